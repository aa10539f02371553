import { differenceInCalendarDays, differenceInMinutes, format, parseISO } from 'date-fns'
import type { Recipe } from '../recipe'
import { goesTo } from './closing'
import { USUAL_HOUR, type Session, type SessionDish } from './schema'

/** Hours after the beginning of a session within which what it makes is eaten as it comes from it. */
const TONIGHT = 5
/** Days after which what is to be eaten has no time to freeze through and to thaw again. */
const FREEZES = 1

/** When a dish is eaten on a day. */
const mealOn = (session: Session, day: string) =>
  parseISO(`${day}T${session.evenings?.find((e) => e.day === day)?.at ?? USUAL_HOUR}`)

/**
 * The dish with where it goes, as it is wanted: what would be eaten as it comes from the stove and is eaten
 * hours later goes into the cold till then.
 */
export function keptTill(session: Session, dish: SessionDish, recipe: Recipe): SessionDish {
  if (goesTo(recipe, dish.to) !== 'tonight' || !dish.on?.length || dish.ready) return dish
  const soon = dish.on.some((day) => {
    const minutes = differenceInMinutes(mealOn(session, day), parseISO(session.start))
    return minutes >= 0 && minutes <= 60 * TONIGHT
  })
  return soon ? dish : { ...dish, to: 'fridge' }
}

/** Whether what is eaten on a day never went into the freezer: it was made that day or the day before. */
export const neverFrozen = (made: string, day: string): boolean =>
  differenceInCalendarDays(parseISO(day), parseISO(made)) <= FREEZES

/** What of a dish for the freezer is eaten so soon that it stays out, in words: `Saturday and Sunday`. */
export function staysOut(session: Session, dish: SessionDish | undefined): string | undefined {
  const days = (dish?.on ?? []).filter(
    (day) => day >= session.start.slice(0, 10) && neverFrozen(session.start, day),
  )
  return days.length ? days.map((day) => format(parseISO(day), 'EEEE')).join(' and ') : undefined
}
