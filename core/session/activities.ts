import type { HouseRules, Kitchen, Person } from '../kitchen'
import { rampSeconds, type ProblemInput } from '../problem'
import { measurable } from '../quantity'
import {
  attentionFor,
  HANDLING_ATTENTION,
  ingredientLine,
  lawOf,
  type Equipment,
  type Step,
  type Way,
} from '../recipe'
import type { DishToMake } from './dishes'
import type { Told } from './told'
import { standingOf } from './houseRules'
import { ATTENTION, learnedIn, paceFor } from './people'
import { portionsOf, wantsBench, type Portions } from './portions'

type ActivityInput = ProblemInput['activities'][number]
type ModeInput = ActivityInput['modes'][number]
type PhaseInput = ModeInput['phases'][number]
type NeedInput = NonNullable<ModeInput['needs']>[number]

/** What a cook has to know about one activity of the plan. */
export interface Card {
  dish: string
  step: string
  /** What to do, with its turn where there are several. */
  text: string
  work: Step['work']
  /** Into how many panfuls, loads or parts the step is cut. */
  turns: number
  /** What goes in, with amounts for the batches of this session and this part of the step. */
  uses: string[]
  caution?: string
  /** What can hurt somebody when it is over: how hot its middle has to be. */
  atEnd?: string
  /** Words for each way, by mode id, where the step has several. */
  ways: Record<string, string>
  hygiene: string
  /** What goes on in the same place at another heat, by the phase in which it does. */
  later: { phase: number; step: string; text: string }[]
  /** The food that it is about: `the potatoes`. */
  about?: string
  /** What is said at its end, where that is not what such work usually ends with. */
  ending?: string
  /** Factor on its time that comes from what the cooks' own sessions have taught, where there is one. */
  learned?: number
  /** Goes on when the sitting is over: its end is told in another. */
  beyond?: true
  /** Closes a vessel in the plan, and is nothing that anybody does. */
  marker?: true
}

/** Where and by whom it is cooked. */
export interface Place {
  kitchen: Kitchen
  cooks: readonly Person[]
  rules: HouseRules
}

/** Whole seconds of so many minutes. */
export const minute = (minutes: number) => Math.round(minutes * 60)

/**
 * The activities of a step, one for each turn, with what the cook has to know about them. `kept` are
 * the kinds of place that are kept for it and need not be asked for again.
 */
export function activitiesOf(
  dish: DishToMake,
  step: Step,
  place: Place,
  kept: ReadonlySet<string>,
  told: Told,
): { activity: ActivityInput; card: Card }[] {
  const learned = learnedIn(place.cooks, skillsOf(step), step.work)
  const { recipe } = dish
  const portions = portionsOf(dish, step, place.kitchen)
  const hygiene = step.hygiene ?? lawOf(step.work).hygiene
  const about = told.about(step)
  const caution = told.caution(step)
  const atEnd = told.atEnd(step)
  return Array.from({ length: portions.turns }, (_, turn) => {
    const id = `${recipe.id}.${step.id}${portions.turns > 1 ? `.${turn + 1}` : ''}`
    const text = portions.names
      ? `${step.do}: ${portions.names[turn]}`
      : portions.turns > 1
        ? `${step.do}, ${portions.called} ${turn + 1} of ${portions.turns}`
        : step.do
    return {
      activity: {
        id,
        dish: recipe.id,
        label: text,
        aside: step.aside,
        hygiene,
        modes: step.ways.map((way) =>
          modeOf(dish, step, withoutKept(way, kept), portions, turn, hygiene, place),
        ),
      },
      card: {
        dish: recipe.id,
        step: step.id,
        text,
        work: step.work,
        turns: portions.turns,
        uses: usesOf(dish, step, portions, turn, told.shares(step)),
        hygiene,
        later: laterOf(step),
        ...(learned === 1 ? {} : { learned }),
        ...(about === undefined ? {} : { about }),
        ...(step.beyond ? { beyond: true as const } : {}),
        ...(caution === undefined ? {} : { caution }),
        ...(atEnd === undefined ? {} : { atEnd }),
        ways:
          step.ways.length > 1
            ? Object.fromEntries(step.ways.map((w) => [w.id, w.label ?? w.id]))
            : {},
      },
    }
  })
}

const withoutKept = (way: Way, kept: ReadonlySet<string>): Way =>
  kept.size ? { ...way, on: way.on.filter((need) => !kept.has(need.kind)) } : way

/** What one turn takes of what the step uses: its own share. */
function usesOf(
  { recipe, batches }: DishToMake,
  step: Step,
  portions: Portions,
  turn: number,
  taken: ReadonlyMap<string, number>,
) {
  const share = portions.shareOf(turn)
  return step.uses.flatMap((id) => {
    const part = taken.get(id) ?? 1
    if (part <= 0) return []
    const own = recipe.ingredients.find((i) => i.id === id)!
    const amount = measurable(own.amount * batches * share * part, own.unit)
    return [ingredientLine({ ...own, amount })]
  })
}

/** A change of heat takes two phases: one while the oven turns to it, and one at it. */
function laterOf(step: Step): Card['later'] {
  const way = step.ways[0]!
  const first = (way.load ?? lawOf(step.work).handling) > 0 ? 1 : 0
  return (way.then ?? []).map((t, k) => ({
    phase: first + 1 + 2 * k,
    step: t.step ?? step.id,
    text: t.do,
  }))
}

function modeOf(
  dish: DishToMake,
  step: Step,
  way: Way,
  portions: Portions,
  turn: number,
  hygiene: string,
  place: Place,
): ModeInput {
  const needs = way.on.map((need): NeedInput => needOf(need, dish, hygiene, portions))
  if (wantsBench(step) && !needs.length && place.kitchen.stations.some((s) => s.kind === 'bench'))
    needs.push({ kind: 'bench' })
  return { id: way.id, needs, phases: phasesOf(step, way, portions.factorOf(turn), place) }
}

function needOf(need: Equipment, dish: DishToMake, hygiene: string, portions: Portions): NeedInput {
  const minSize = need.kind === 'frying-pan' ? (portions.minPan ?? need.minSize) : need.minSize
  return {
    kind: need.kind,
    tags: need.tags ?? [],
    amount: portions.amountOf(need),
    // A board is as clean as what was last cut on it; a vessel belongs to its dish.
    contents: need.contents ?? (need.kind === 'board' ? hygiene : dish.recipe.id),
    ...(minSize === undefined ? {} : { minSize }),
  }
}

/** Minutes to the nearest place that the way could be done at; things in the kitchen are at hand. */
function walkTo(way: Way, kitchen: Kitchen): number {
  const nearest = way.on.map((need) =>
    Math.min(...kitchen.stations.filter((s) => s.kind === need.kind).map((s) => s.walk ?? 0)),
  )
  return Math.max(0, ...nearest.filter(Number.isFinite))
}

/** All that the least practised can watch at once: whoever minds something can do that. */
const leastAttention = (cooks: readonly Person[]) =>
  Math.min(100, ...cooks.map((c) => ATTENTION[c.practice]))

function phasesOf(step: Step, way: Way, factor: number, place: Place): PhaseInput[] {
  const law = lawOf(step.work)
  const skills = skillsOf(step)
  const pace = law.attend === 'hands' ? paceFor(place.cooks, skills, step.work) : 1
  const usual = minute(way.minutes[1] * factor * pace)
  const most = minute(way.minutes[2] * factor * pace)
  // In a hot kitchen or a strict house nothing cooked stands to cool for longer than it may, unless it must.
  const strict = place.rules.hot || place.rules.cautions === 'strict'
  const cools = step.work === 'cool' && strict
  const walk = 2 * minute(walkTo(way, place.kitchen))
  // Nobody watches from afar: who minds what stands apart has no eyes left for anything else.
  const wanted = attentionFor(step.work, usual)
  const watched = walk > 0 ? Math.max(wanted, leastAttention(place.cooks)) : wanted
  const seconds: [number, number] = [
    usual + (law.attend === 'hands' ? walk : 0),
    cools
      ? Math.max(usual, Math.min(most, standingOf(place.rules)))
      : most + (law.attend === 'hands' ? walk : 0),
  ]
  if (law.attend === 'hands')
    return [{ seconds, hands: { skill: skills, attention: law.attention } }]
  const handling = (minutes: number, skill: string[]): PhaseInput[] => {
    if (minutes <= 0) return []
    const taken = minute(minutes * learnedIn(place.cooks, skills, step.work)) + walk
    return [{ seconds: [taken, taken], hands: { skill, attention: HANDLING_ATTENTION } }]
  }
  const heat = way.heat && {
    need: way.on.findIndex((n) => n.kind === 'oven'),
    celsius: way.heat.celsius,
    method: way.heat.method,
  }
  const unload = law.skill === undefined ? [] : [law.skill]
  // Turning a pot off touches nothing raw any more, and takes no time worth planning.
  const rawOnHob = skills.includes('raw') && !way.heat
  return [
    ...handling(way.load ?? law.handling, skills),
    {
      seconds,
      ...(law.attend === 'watch' ? { watch: watched } : {}),
      ...(heat ? { heat } : {}),
    },
    ...(heat ? atOtherHeats(way, heat, place.kitchen) : []),
    // What has been cooked is no longer raw when it is lifted off.
    ...handling(way.unload ?? (rawOnHob ? 0 : law.handling), unload),
  ]
}

/** Whoever touches raw food has the skill for it, and the one for the work. */
export function skillsOf(step: Step): string[] {
  const { skill, hygiene } = lawOf(step.work)
  const raw = (step.hygiene ?? hygiene) === 'raw'
  return [...new Set([...(skill === undefined ? [] : [skill]), ...(raw ? ['raw'] : [])])]
}

/** Seconds more than the oven needs to turn to another heat, for what else may stand in it. */
const TURNING = 300

/**
 * What goes on at other heats in the same oven: as long as the oven takes to turn to each, which
 * counts as part of the stated time, and the rest of it there.
 */
function atOtherHeats(
  way: Way,
  heat: NonNullable<PhaseInput['heat']>,
  kitchen: Kitchen,
): PhaseInput[] {
  let before = way.heat!.celsius
  return (way.then ?? []).flatMap(({ minutes, heat: next }): PhaseInput[] => {
    const ramp = rampTo(before, next.celsius, kitchen)
    before = next.celsius
    const [usual, most] = [minute(minutes[1]), minute(minutes[2])]
    return [
      { seconds: [0, ramp + TURNING] },
      {
        seconds: [Math.max(60, usual - ramp), most],
        heat: { need: heat.need, celsius: next.celsius, method: next.method },
      },
    ]
  })
}

/** Seconds that the slowest oven takes from one range of heat to another. */
function rampTo(a: readonly [number, number], b: readonly [number, number], kitchen: Kitchen) {
  const [from, to] = b[0] > a[1] ? [a[1], b[0]] : a[0] > b[1] ? [a[0], b[1]] : [0, 0]
  return Math.ceil(
    Math.max(0, ...kitchen.stations.map(({ oven }) => (oven ? rampSeconds(oven, from, to) : 0))),
  )
}
