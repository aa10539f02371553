import { addSeconds, format, parseISO } from 'date-fns'

/** How an instant of a session is said: `9:05`. */
export const clockOf = (session) => (seconds) =>
  format(addSeconds(parseISO(session.start), seconds), 'H:mm')

/** The list of a plan as it is printed, line by line. */
export function listText(core, held, compiled, lines, clock) {
  const name = (id) => held.kitchen.people.find((p) => p.id === id)?.name ?? id
  const dish = (id) => compiled.dishes.find((d) => d.id === id)?.name
  return lines.flatMap((l) => {
    const until = l.until > l.at ? ` (until ${clock(l.until)})` : ''
    const where = l.places.length
      ? ` · ${l.places.map((p) => core.placeWords(p, held.kitchen).replace(/^the /, '')).join(', ')}`
      : ''
    const heat = l.celsius === undefined || l.kind === 'oven' ? '' : ` · ${l.celsius} °C`
    return [
      `${clock(l.at).padStart(5)}  ${name(l.cook)}${l.dish ? `  [${dish(l.dish)}]` : ''}  ${l.text}${until}${where}${heat}`,
      ...(l.amounts.length ? [`         ${l.amounts.join(' · ')}`] : []),
      ...(l.caution ? [`         ! ${l.caution}`] : []),
    ]
  })
}
