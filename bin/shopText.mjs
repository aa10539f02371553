/** Money as figures alone: the currency is the household's own. */
const money = (cost) => (cost / 100).toFixed(2)

/** What stands below a list: the total, what each dish costs, what is left of packs, and what is seen to before. */
export function shopText({ lines, total }, costs, ready, recipes) {
  const name = (id) => recipes.find((r) => r.id === id)?.name ?? id
  const out = []
  const unknown = lines.filter((l) => total.unknown.includes(l.id)).map((l) => l.item)
  const range =
    total.most === undefined
      ? `at least ${money(total.least)}`
      : total.most === total.least
        ? money(total.least)
        : `${money(total.least)} to ${money(total.most)}`
  out.push('', `total: ${range}`)
  if (unknown.length) out.push(`no price is known of: ${unknown.join(', ')}`)
  for (const { dish, cost, unknown: without, servings } of costs) {
    const known = cost > 0 || !without.length
    const each = `${money(cost / servings)} for each of ${servings} servings`
    out.push(
      known
        ? `${name(dish)}: ${without.length ? 'at least ' : ''}${money(cost)}, ${each}`
        : `${name(dish)}: nothing of it has a price`,
    )
  }
  const left = lines.filter((l) => l.left > 0.5 && l.bought > 0)
  if (left.length) out.push('', 'left of what is bought:')
  for (const l of left) {
    const of = l.leftFor.length ? `, which could go into: ${l.leftFor.map(name).join(', ')}` : ''
    out.push(`  ${Math.round(l.left)} ${l.unit === 'piece' ? '' : `${l.unit} `}${l.item}${of}`)
  }
  if (ready.length) out.push('', 'before:')
  for (const r of ready) {
    out.push(`  ${r.at.replace('T', ' ')}  ${r.words}`)
    if (r.caution) out.push(`      ! ${r.caution}`)
  }
  return out
}
