import type { HouseRules } from '../kitchen'
import type { Problem } from '../problem'
import { counted } from '../quantity'
import { roughBound } from '../solver'
import type { Card } from './activities'

const HOUR = 3600
/** What may be kept an eye on from a chair, of attention: a simmer, a pressure cooker, never a frying pan. */
const FROM_A_CHAIR = 15
/** A breather comes when a cook has been at it for a while, and may be late by so much. */
const AFTER = 900
/** A session that takes so long at least has a meal in it, begun after two hours and over by the fourth. */
const LONG = 4 * HOUR
const MEAL = [2 * HOUR, 4 * HOUR] as const

/**
 * The problem with the breaks that the house wants: minutes for each cook in every hour that the session
 * takes at least, and a meal for all together where it is long. They take hands and all attention but what
 * a pot that murmurs by itself wants; and they count for nothing, so that no plan is longer but for the
 * work that waits meanwhile.
 */
export function withBreaks(
  problem: Problem,
  { breather, meal }: HouseRules,
  cards: Record<string, Card>,
): Problem {
  if (!breather && !meal) return problem
  const length = roughBound(problem)
  const activities = [...problem.activities]
  const relations = [...problem.relations]
  const pins = [...(problem.pins ?? [])]
  const add = (
    id: string,
    { id: cook, attention }: Problem['cooks'][number],
    minutes: number,
    text: string,
    from: number,
    to: number,
  ) => {
    activities.push({
      id,
      label: text,
      aside: true,
      hygiene: 'neutral',
      release: from,
      due: to + 60 * minutes,
      modes: [
        {
          id: 'rest',
          needs: [],
          phases: [
            {
              seconds: [60 * minutes, 60 * minutes],
              hands: { attention: Math.max(0, attention - FROM_A_CHAIR) },
            },
          ],
        },
      ],
    })
    pins.push({ activity: id, cook })
    cards[id] = {
      dish: '',
      step: 'break',
      text,
      work: 'rest',
      turns: 1,
      uses: [],
      ways: {},
      hygiene: 'neutral',
      later: [],
    }
  }
  for (const [k, cook] of problem.cooks.entries()) {
    const words = `Sit down for ${counted(breather, 'minute')}`
    for (let hour = 0; breather && (hour + 1) * HOUR + AFTER <= length; hour++)
      add(
        `break.${cook.id}.${hour + 1}`,
        cook,
        breather,
        words,
        hour * HOUR + AFTER,
        (hour + 1) * HOUR,
      )
    if (!meal || length < LONG) continue
    add(`meal.${cook.id}`, cook, meal, `Eat something: ${counted(meal, 'minute')}`, ...MEAL)
    const [first] = problem.cooks
    if (k > 0)
      relations.push({
        from: `meal.${first!.id}`,
        to: `meal.${cook.id}`,
        kind: 'SS',
        min: 0,
        max: 0,
      })
  }
  return { ...problem, activities, relations, pins }
}
