/** The evenings to come out of what is packed: each with what there is, when to begin and what to do. */
export function eatText(core, { house, around, recipes, kitchen, clock, day }) {
  const { arrangement } = core.arranged(house, around)
  const lying = core.lyingIn(house.packs)
  const nameOf = (id) => lying.find((l) => l.pack.id === id)?.pack.name ?? id
  const short = core.shortBy(arrangement.days, lying, around.roleOf)
  const out = []
  for (const d of arrangement.days) {
    if (day !== undefined && d.day !== day) continue
    const evening = core.eveningFrom(d.day, arrangement, lying, recipes)
    const what = evening.eaten.map((e) => `${e.name} × ${e.portions}`).join(', ')
    const wanting = short.has(d.day) ? `; ${short.get(d.day)} go short` : ''
    out.push(`${d.day}, ${d.eaters} eat: ${what || 'nothing'}${wanting}`)
    const asked = core.eveningToPlan(d.day, evening, arrangement, recipes, kitchen)
    const planned = asked && core.planEvening(asked, kitchen, { clock })
    for (const l of planned?.lines ?? []) {
      out.push(`  ${clock(planned.session, l.at)}  ${l.text}`)
      if (l.caution) out.push(`         ! ${l.caution}`)
    }
  }
  for (const f of arrangement.freeze)
    out.push(`into the freezer by ${f.by}: ${nameOf(f.pack)}, ${f.portions} portions`)
  for (const l of arrangement.lost)
    out.push(`eaten by nobody by ${l.eatBy}: ${nameOf(l.pack)}, ${l.portions} portions`)
  for (const m of arrangement.moved)
    out.push(
      `${m.day}: ${m.to.join(' and ') || 'nothing'} instead of ${m.from.join(' and ')}, ${m.why}`,
    )
  return out
}
