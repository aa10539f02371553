import { placesOf } from '../guide'
import type { Kitchen } from '../kitchen'
import { lowerFirst } from '../recipe'
import type { ActivityRun, Plan } from '../plan'
import type { Problem } from '../problem'
import type { CompiledSession } from '../session'

/** A link of the chain that decides the finishing time, and why it could not be earlier. */
export interface ChainLink {
  activity: string
  from: number
  to: number
  /** What it waited for: another step, a cook's hands, a place, an oven's heat, or nothing (it began the day). */
  waitedFor: 'step' | 'follows' | 'hands' | 'place' | 'oven' | 'nothing'
  /** Id of the cook or station, where it waited for one. */
  by?: string
}

interface Cause {
  run: ActivityRun
  waitedFor: ChainLink['waitedFor']
  by?: string
}

/**
 * From the last thing to finish back to the start, along links without slack: each begins at the
 * very moment at which what it waited for let it. Where two steps may not lie further apart, what
 * comes later may be what holds the earlier one back.
 */
export function decidingChain(compiled: CompiledSession, plan: Plan): ChainLink[] {
  const { problem } = compiled
  const aside = new Set(problem.activities.filter((a) => a.aside).map((a) => a.id))
  const runs = plan.activities.filter((r) => !aside.has(r.id))
  const byLength = [...runs].sort((a, b) => b.end - a.end || b.start - a.start)
  const last = byLength.find((r) => !compiled.cards[r.id]?.marker) ?? byLength[0]
  if (!last) return []
  const chain = easiestChain(last, new Causes(compiled, plan))
  return chain.filter((l) => !compiled.cards[l.activity]?.marker)
}

/** What each kind of link costs to follow in thought: the food's own way first, busy hands last. */
const EFFORT: Record<ChainLink['waitedFor'], number> = {
  nothing: 0,
  step: 1,
  follows: 2,
  place: 5,
  oven: 5,
  hands: 8,
}

interface Reached {
  run: ActivityRun
  cost: number
  via?: { run: string; cause: Cause }
}

/**
 * Of all chains back to the beginning the one that is easiest to follow (Dijkstra's algorithm over
 * causes); where none leads there, the one that goes back furthest.
 */
function easiestChain(last: ActivityRun, causes: Causes): ChainLink[] {
  const reached = new Map<
    string,
    { run: ActivityRun; cost: number; via?: { run: string; cause: Cause } }
  >()
  const open = new Map<string, Reached>([[last.id, { run: last, cost: 0 }]])
  let end: ActivityRun | undefined
  while (open.size && !end) {
    const [id, now] = [...open].reduce((a, b) => (b[1].cost < a[1].cost ? b : a))
    open.delete(id)
    reached.set(id, now)
    if (now.run.start === 0) end = now.run
    else
      for (const cause of causes.of(now.run)) {
        const cost = now.cost + EFFORT[cause.waitedFor]
        const known = open.get(cause.run.id)
        if (reached.has(cause.run.id) || (known && known.cost <= cost)) continue
        open.set(cause.run.id, { run: cause.run, cost, via: { run: id, cause } })
      }
  }
  end ??= [...reached.values()].reduce((a, b) => (b.run.start < a.run.start ? b : a)).run
  const chain: ChainLink[] = []
  let waitedFor: Cause | undefined
  for (let id: string | undefined = end.id; id !== undefined;) {
    const { run, via }: Reached = reached.get(id)!
    chain.push({
      activity: run.id,
      from: run.start,
      to: run.end,
      waitedFor: waitedFor?.waitedFor ?? 'nothing',
      ...(waitedFor?.by === undefined ? {} : { by: waitedFor.by }),
    })
    waitedFor = via?.cause
    id = via?.run
  }
  return chain
}

/** Seconds between two heats at which the oven's own pace still counts as the cause. */
const RAMP = 3600

/** Everything that may have held a step back until the very moment it began. */
class Causes {
  private readonly places: Map<string, string[]>
  private readonly byId: Map<string, ActivityRun>
  private readonly relations: Map<string, Problem['relations']>

  constructor(
    private readonly compiled: CompiledSession,
    private readonly plan: Plan,
  ) {
    this.places = placesOf(plan, compiled)
    this.byId = new Map(plan.activities.map((r) => [r.id, r]))
    this.relations = new Map()
    for (const r of compiled.problem.relations)
      for (const id of new Set([r.from, r.to]))
        this.relations.set(id, [...(this.relations.get(id) ?? []), r])
  }

  of(run: ActivityRun): Cause[] {
    return [...this.steps(run), ...this.hands(run), ...this.station(run), ...this.oven(run)]
  }

  private steps(run: ActivityRun): Cause[] {
    return (this.relations.get(run.id) ?? []).flatMap((r): Cause[] => {
      const other = this.byId.get(r.from === run.id ? r.to : r.from)
      if (!other || other === run) return []
      const from = r.from === run.id ? run : other
      const to = r.from === run.id ? other : run
      const lag =
        (r.kind[1] === 'F' ? to.end : to.start) - (r.kind[0] === 'F' ? from.end : from.start)
      if (r.to === run.id && lag === r.min) return [{ run: other, waitedFor: 'step' }]
      // It may not begin earlier, since what follows it cannot.
      if (r.from === run.id && r.max !== undefined && lag === r.max)
        return [{ run: other, waitedFor: 'follows' }]
      return []
    })
  }

  /** Hands that were busy until then, a wash of hands or of a vessel in between allowed. */
  private hands(run: ActivityRun): Cause[] {
    const own = run.phases[0]
    if (own?.cook === undefined || own.from !== run.start) return []
    const { cook } = own
    const washing = Math.max(
      0,
      ...Object.values(this.compiled.problem.hygiene).flatMap((to) => Object.values(to)),
    )
    const before = this.plan.activities
      .flatMap((r) => r.phases.map((p) => ({ r, p })))
      .filter(({ r, p }) => r !== run && p.cook === cook && p.to <= run.start && p.to > p.from)
      .sort((a, b) => b.p.to - a.p.to)[0]
    const chore = this.plan.chores
      .filter((c) => c.cook === cook && c.to <= run.start)
      .sort((a, b) => b.to - a.to)[0]
    const free = Math.max(before?.p.to ?? 0, chore?.to ?? 0)
    return before && run.start - free <= washing
      ? [{ run: before.r, waitedFor: 'hands', by: cook }]
      : []
  }

  /** A place that something else had until then, washing up in between allowed. */
  private station(run: ActivityRun): Cause[] {
    const own = this.places.get(run.id) ?? []
    return own.flatMap((station): Cause[] => {
      const washed = this.plan.chores.filter((c) => c.station === station && c.to === run.start)
      const freed = washed[0]?.from ?? run.start
      const until = [
        ...this.plan.activities
          .filter((r) => r.stations.includes(station))
          .map((r) => ({ run: r, to: r.end })),
        ...this.plan.holds
          .filter((h) => h.station === station)
          .flatMap((h) => {
            const ends = this.plan.activities.filter((r) => r.end === h.to)
            return ends.map((r) => ({ run: r, to: h.to }))
          }),
      ]
      return until
        .filter((u) => u.run !== run && u.to === freed && u.run.start < run.start)
        .slice(0, 2)
        .map((u) => ({ run: u.run, waitedFor: 'place', by: station }))
    })
  }

  private oven(run: ActivityRun): Cause[] {
    const heats = new Set(this.plan.heats.map((h) => h.station))
    const oven = run.stations.find((s) => heats.has(s))
    if (oven === undefined) return []
    const before = this.plan.activities
      .filter((r) => r !== run && r.stations.includes(oven) && r.end <= run.end)
      .filter((r) => r.start < run.start && run.start - r.end <= RAMP)
      .sort((a, b) => b.end - a.end)[0]
    return before ? [{ run: before, waitedFor: 'oven', by: oven }] : []
  }
}

const WHY: Record<Exclude<ChainLink['waitedFor'], 'nothing' | 'step'>, (by: string) => string> = {
  follows: () => 'which cannot come any sooner',
  hands: (by) => `once ${by} has a hand free`,
  place: (by) => `once ${by} is free`,
  oven: (by) => `once ${by} is at its heat`,
}

/** The deciding chain as one says it: each dish once in a row, with why it waited for what came before. */
export function chainText(
  chain: readonly ChainLink[],
  compiled: CompiledSession,
  kitchen: Pick<Kitchen, 'people' | 'stations'>,
): { dishes: string; many: boolean; steps: string } {
  const name = (id: string | undefined) =>
    kitchen.people.find((p) => p.id === id)?.name ??
    kitchen.stations
      .find((s) => s.id === id)
      ?.name.replace(/^(?=[A-Z])/, 'the ')
      .toLowerCase() ??
    'it'
  const parts: { dish: string; why: string; deeds: string[] }[] = []
  for (const link of chain) {
    const card = compiled.cards[link.activity]!
    const last = parts.at(-1)
    const deed = shortly(card.text)
    if (last?.dish === card.dish) {
      if (last.deeds.at(-1) !== deed) last.deeds.push(deed)
    } else {
      const why =
        link.waitedFor === 'nothing' || link.waitedFor === 'step'
          ? ''
          : WHY[link.waitedFor](name(link.by))
      parts.push({ dish: card.dish, why, deeds: [deed] })
    }
  }
  const called = (dish: string) => compiled.dishes.find((d) => d.id === dish)?.name ?? dish
  const dishes = [...new Set(parts.map((p) => called(p.dish)))]
  return {
    dishes: dishes.join(', then '),
    many: dishes.length > 1,
    steps: parts
      .map(
        ({ dish, why, deeds }, i) =>
          `${i ? 'then ' : ''}${called(dish)}${why ? ` (${why})` : ''}: ${deeds.join(', ')}`,
      )
      .join('; '),
  }
}

/** The first few words of what is to do. */
function shortly(text: string): string {
  const first = text
    .replace(/, (?:panful|load|part) \d+ of \d+.*$/, '')
    .split(/[,.;:(]/)[0]!
    .trim()
  const words = first.split(/\s+/)
  const short = words.slice(0, 5).join(' ')
  return lowerFirst(short).replace(/ (?:the|a|an|of|in|with|and|to|for|on)$/i, '')
}
