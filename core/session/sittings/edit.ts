import { addDays, differenceInCalendarDays, parseISO } from 'date-fns'
import type { Kitchen } from '../../kitchen'
import type { Recipe } from '../../recipe'
import { instantOf, keyOf, MAIN, type Session, type SessionDish, type Sitting } from '../schema'
import { wishesLater } from '../wishes'
import { assign } from './assign'

/**
 * The session with how its dishes are parted written down, so that it stays as it is whatever else changes:
 * only a dish for which that is no longer possible, or that would be too old, is parted anew.
 */
export function withParted(
  session: Session,
  kitchen: Kitchen,
  recipes: readonly Recipe[],
): Session {
  const { parted: _, ...whole } = session
  if (!session.sittings?.length) return whole
  const { placed, slots } = assign(session, kitchen, recipes)
  return {
    ...whole,
    parted: Object.fromEntries(
      [...placed].map(([dish, steps]) => [
        dish,
        Object.fromEntries([...steps].map(([step, at]) => [step, slots[at]!.id])),
      ]),
    ),
  }
}

/** The session with all its dishes to be parted anew, but for what the cook has fixed. */
export function partedAnew(session: Session): Session {
  const { parted: _, ...rest } = session
  return rest
}

/** The session with one more sitting, for whose sake everything is parted anew. */
export function withSitting(session: Session, sitting: Omit<Sitting, 'id'>): Session {
  const known = new Set((session.sittings ?? []).map((s) => s.id))
  const k = Array.from({ length: known.size + 1 }, (_, i) => i + 1).find(
    (n) => !known.has(`sitting-${n}`),
  )!
  return partedAnew({
    ...session,
    sittings: [...(session.sittings ?? []), { id: `sitting-${k}`, ...sitting }],
  })
}

/** The session without a sitting, and without what was fixed to it. */
export function withoutSitting(session: Session, id: string): Session {
  const sittings = (session.sittings ?? []).filter((s) => s.id !== id)
  const { sittings: _, ...rest } = session
  return partedAnew({
    ...rest,
    ...(sittings.length ? { sittings } : {}),
    dishes: session.dishes.map((d) => onlyFixed(d, (f) => f.sitting !== id)),
  })
}

/**
 * The session with what was changed of one of its sittings, or of an evening, as a session of its own: when
 * it begins, how long there is, and who cooks.
 */
export function withChanged(
  session: Session,
  sitting: string,
  own: Session,
  edit: (session: Session) => Session,
): Session {
  if (sitting === MAIN) return together(session, edit(session))
  const now = edit(own)
  // What the cooks aim at is that of the whole session.
  const calm = {
    ...session,
    ...(now.calm === undefined ? {} : { calm: now.calm }),
    ...(now.aim === undefined ? {} : { aim: now.aim }),
  }
  if (calm.evenings?.some((e) => e.day === sitting && keyOf(session.id, e.day) === own.id))
    return {
      ...calm,
      evenings: calm.evenings.map((e) =>
        e.day === sitting
          ? {
              ...e,
              cooks: now.cooks,
              ...(now.ready && now.ready !== own.ready ? { at: now.ready.slice(11) } : {}),
            }
          : e,
      ),
    }
  return {
    ...calm,
    sittings: (calm.sittings ?? []).map((s) => {
      if (s.id !== sitting) return s
      const { limit: _, ...rest } = s
      return {
        ...rest,
        start: now.start,
        cooks: now.cooks,
        ...(now.limit === undefined ? {} : { limit: now.limit }),
      }
    }),
  }
}

/** Where the day itself is another, its other sittings and its end keep their distance to it. */
function together(before: Session, now: Session): Session {
  const days = differenceInCalendarDays(parseISO(now.start), parseISO(before.start))
  if (!days) return now
  const later = (instant: string) => instantOf(addDays(parseISO(instant), days))
  return {
    ...now,
    ...(now.ready && now.ready === before.ready ? { ready: later(now.ready) } : {}),
    ...(now.sittings
      ? { sittings: now.sittings.map((s) => ({ ...s, start: later(s.start) })) }
      : {}),
    ...(now.wishes ? { wishes: wishesLater(now.wishes, later) } : {}),
  }
}

/** The session with a step of a dish fixed to a sitting, or left to the plan. */
export function withFixed(
  session: Session,
  recipe: string,
  step: string,
  sitting: string | undefined,
): Session {
  const dishes = session.dishes.map((d) => {
    if (d.recipe !== recipe) return d
    const free = onlyFixed(d, (f) => f.step !== step)
    return sitting === undefined
      ? free
      : { ...free, fixed: [...(free.fixed ?? []), { step, sitting }] }
  })
  return { ...session, dishes }
}

type Fixed = NonNullable<SessionDish['fixed']>[number]

function onlyFixed(dish: SessionDish, keeps: (fixed: Fixed) => boolean): SessionDish {
  const { fixed, ...bare } = dish
  const left = fixed?.filter(keeps) ?? []
  return left.length ? { ...bare, fixed: left } : bare
}
