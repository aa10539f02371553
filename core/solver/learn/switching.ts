import { BRIEF } from '../../plan'
import { allOf, ALWAYS, anyOf, NEVER_SO, not, someOf } from './codes'
import { Linear } from './linear'
import type { SessionModel, Touch } from './sessionModel'
import type { Code } from './trail'

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
      const code = codeOf(touch, cook)
      return code === NEVER_SO ? [] : [{ touch, dish, code }]
    })
    if (!own.length) return
    for (const t of own) {
      const links = own
        .filter((s) => s !== t && s.dish === t.dish)
        .flatMap((s) => {
          if (session.turnOf(s.touch, t.touch) === NEVER_SO) return []
          const both = allOf(engine, [s.code, t.code])
          if (both === NEVER_SO) return []
          return [linkOf(session, s.touch, t.touch, both, own, t.dish)]
        })
      const begins = engine.newBool()
      anyOf(engine, [not(t.code), begins, ...links])
      sum.addWhere(begins, 1)
    }
    // The first run of a cook is no change.
    sum.addWhere(
      someOf(
        engine,
        own.map((t) => t.code),
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
  both: Code,
  own: readonly { touch: Touch; dish: string | undefined; code: Code }[],
  dish: string | undefined,
): Code {
  const { engine } = session
  // What is not yet decided is tried as a link first.
  const link = not(engine.newBool())
  anyOf(engine, [not(link), both])
  engine.edges.add(s.e, t.s, 0, [link])
  for (const u of own) {
    if (u.dish === dish) continue
    const [before, after] = [session.turnOf(u.touch, s), session.turnOf(t, u.touch)]
    if (before === undefined || after === undefined) continue
    anyOf(engine, [not(link), not(u.code), before, after])
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

const codeOf = (touch: Touch, cook: number): Code => {
  const code = touch.cooks.find((x) => x.cook === cook)?.code ?? NEVER_SO
  return code === ALWAYS ? touch.code : code
}
