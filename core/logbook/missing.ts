import type { Instruction } from '../guide'
import { itemIn } from '../recipe'
import { counting, ofKind, type Event } from './events'

/** What goes into a line and is not there, by its place among the amounts: with what goes in instead, or ''. */
export function missingIn(
  { dish, amounts }: Pick<Instruction, 'dish' | 'amounts'>,
  events: readonly Event[],
): Map<number, string> {
  const own = ofKind(counting(events), 'missing').filter((e) => e.dish === dish)
  const out = new Map<number, string>()
  if (!own.length) return out
  amounts.forEach((amount, k) => {
    const item = itemIn(amount)
    const found = own.findLast((e) => e.item === item)
    if (found) out.set(k, found.instead)
  })
  return out
}
