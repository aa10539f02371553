import type { Kitchen } from '../kitchen'
import type { Reading } from '../reading'
import type { Recipe } from '../recipe'
import { compileSession, withExtras, type CompiledSession, type Session } from '../session'
import { counting, ofKind, type Event } from './events'

/** What a session was begun with. */
export interface Begun {
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
}

/** The session as it is cooked by now: as it was begun, with the dishes that came to it on the way. */
export function sessionNow({ session, kitchen, recipes }: Begun, events: readonly Event[]): Begun {
  const extras = ofKind(counting(events), 'extra')
  return { ...withExtras(session, recipes, extras), kitchen }
}

/**
 * The compiled session as it is cooked by now. What it began with keeps its ids; no break is added, since
 * the hour that it was meant for may be over.
 */
export function compiledNow(begun: Begun, events: readonly Event[]): Reading<CompiledSession> {
  const now = compileSession(sessionNow(begun, events))
  if (!now.ok || !ofKind(counting(events), 'extra').length) return now
  const first = compileSession(begun)
  if (!first.ok) return first
  const known = new Set(first.value.problem.activities.map((a) => a.id))
  const { problem, cards } = now.value
  const gone = new Set(
    problem.activities
      .filter((a) => cards[a.id]?.work === 'rest' && cards[a.id]!.dish === '' && !known.has(a.id))
      .map((a) => a.id),
  )
  return {
    ok: true,
    value: {
      ...now.value,
      problem: {
        ...problem,
        activities: problem.activities.filter((a) => !gone.has(a.id)),
        relations: problem.relations.filter((r) => !gone.has(r.from) && !gone.has(r.to)),
        ...(problem.pins ? { pins: problem.pins.filter((p) => !gone.has(p.activity)) } : {}),
      },
    },
  }
}
