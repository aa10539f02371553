import type { Context } from './context'

/** Rule 2: every time lag between present activities, least and most. */
export function checkRelations({ problem, placed, facts, report }: Context): void {
  for (const relation of problem.relations) {
    const from = placed.get(relation.from)?.run
    const to = placed.get(relation.to)?.run
    if (!from || !to) continue
    const first = relation.kind[0] === 'F' ? from.end : from.start
    const second = relation.kind[1] === 'F' ? to.end : to.start
    const known = (id: string, kind: string | undefined) =>
      kind === 'F' ? facts.ended(id) : facts.begun(id)
    if (known(relation.from, relation.kind[0]) && known(relation.to, relation.kind[1])) continue
    const lag = second - first
    const say = (message: string) =>
      report({ rule: 2, subject: relation.to, from: first, to: second, message })
    if (lag < relation.min)
      say(`comes ${lag} s after "${relation.from}" (${relation.kind}), least ${relation.min} s`)
    if (relation.max !== undefined && lag > relation.max)
      say(`comes ${lag} s after "${relation.from}" (${relation.kind}), most ${relation.max} s`)
  }
}
