import { BRIEF } from '../../../plan'
import { allOf, ALWAYS, anyOf, NEVER_SO, not, someOf } from '../engine/literals'
import { Linear } from '../engine/linear'
import type { SessionModel, Touch } from './sessionModel'
import type { Literal } from '../engine/trail'

/** A stay at a dish: hands work that is surely not brief. */
interface Stay {
  touch: Touch
  dish: string | undefined
}

/**
 * A variable: at most how often the cooks go from one dish to another, and equal to it where all that
 * could come between two steps of a dish has an order with both of them. Each stay begins a run at its
 * dish, or follows another stay at it with nothing of another dish in between.
 */
export function switchCount(session: SessionModel): number {
  const { engine, model } = session
  const stays = staysOf(session)
  const count = engine.newInt(0, stays.length)
  const sum = new Linear(0).add(count, -1)
  model.cooks.forEach((_, cook) => {
    const own = stays.flatMap(({ touch, dish }) => {
      const literal = codeOf(touch, cook)
      return literal === NEVER_SO ? [] : [{ touch, dish, literal }]
    })
    if (!own.length) return
    for (const t of own) {
      const links = own
        .filter((s) => s !== t && s.dish === t.dish)
        .flatMap((s) => {
          if (session.turnOf(s.touch, t.touch) === NEVER_SO) return []
          const both = allOf(engine, [s.literal, t.literal])
          if (both === NEVER_SO) return []
          return [linkOf(session, s.touch, t.touch, both, own, t.dish)]
        })
      const begins = engine.newBool()
      anyOf(engine, [not(t.literal), begins, ...links])
      sum.addWhere(begins, 1)
    }
    // The first run of a cook is no change.
    sum.addWhere(
      someOf(
        engine,
        own.map((t) => t.literal),
      ),
      -1,
    )
  })
  sum.post(engine)
  return count
}

/** True only where the second follows the first with nothing of another dish in between. */
function linkOf(
  session: SessionModel,
  s: Touch,
  t: Touch,
  both: Literal,
  own: readonly { touch: Touch; dish: string | undefined; literal: Literal }[],
  dish: string | undefined,
): Literal {
  const { engine } = session
  // What is not yet decided is tried as a link first.
  const link = not(engine.newBool())
  anyOf(engine, [not(link), both])
  engine.precedences.add(s.e, t.s, 0, [link])
  for (const u of own) {
    if (u.dish === dish) continue
    const [before, after] = [session.turnOf(u.touch, s), session.turnOf(t, u.touch)]
    if (before === undefined || after === undefined) continue
    anyOf(engine, [not(link), not(u.literal), before, after])
  }
  return link
}

function staysOf({ touches, model }: SessionModel): Stay[] {
  return touches.flatMap((touch) => {
    if (touch.activity < 0 || touch.least <= BRIEF || model.activities[touch.activity]!.aside)
      return []
    return [{ touch, dish: model.problem.activities[touch.activity]!.dish }]
  })
}

const codeOf = (touch: Touch, cook: number): Literal => {
  const literal = touch.cooks.find((x) => x.cook === cook)?.literal ?? NEVER_SO
  return literal === ALWAYS ? touch.literal : literal
}
