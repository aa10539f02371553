import type { Kitchen } from '../kitchen'
import type { ActivityRun, Plan } from '../plan'
import { isDry, lawOf, OVEN_SHAPES } from '../recipe'
import type { Card, CompiledSession } from '../session'
import { emptiedBy } from './places'
import { cueIn, ENDING, listed, placeWords } from './words'

/** Food that waits longer than this between steps is told where it stands. */
const STANDS = 300
/** Longest that cut or mixed food stands in the kitchen, in seconds: usual food safety guidance. */
const OUT_OF_THE_COLD = 2 * 3600
/** Seconds that raw food may be out of the cold: usual guidance, with a margin of ours. */
const RAW_OUT = 1800

/** What a line says beside the words of its step: from where, how long it stood, until when, what next. */
export class LineWords {
  private readonly emptied: Map<string, string[]>
  private readonly runs: Map<string, ActivityRun>

  constructor(
    private readonly plan: Plan,
    private readonly compiled: CompiledSession,
    private readonly kitchen: Kitchen,
    private readonly clock: (seconds: number) => string,
    private readonly places: ReadonlyMap<string, string[]>,
  ) {
    this.emptied = emptiedBy(plan, compiled)
    this.runs = new Map(plan.activities.map((r) => [r.id, r]))
  }

  /** The words of a step with where its food comes from and how long that has stood. */
  opening(words: string, run: ActivityRun, card: Card): string {
    const from = (this.emptied.get(run.id) ?? []).map((s) => placeWords(s, this.kitchen))
    // `Pour into the dal, from the small pan. It will splutter`.
    const said = words.replace(/[.\s]+$/, '')
    const at = said.search(/\. [A-Z]/)
    const [first, behind] = at < 0 ? [said, ''] : [said.slice(0, at), said.slice(at)]
    const parts = [first]
    const chilled = this.compiled.links
      .filter((l) => l.to === run.id && l.from.endsWith('.cold') && this.runs.has(l.from))
      .map(
        (l) => this.compiled.dishes.find((d) => d.id === this.compiled.cards[l.from]!.dish)?.name,
      )
      .filter((n) => n !== undefined)
    if (chilled.length)
      parts.push(`with the ${listed(chilled.map((n) => n.toLowerCase()))} from the fridge`)
    else if (from.length) parts.push(`from ${listed([...new Set(from)])}`)
    const late = this.compiled.links.filter((l) => l.to === run.id && l.best !== undefined)
    const notes = late.flatMap((l) => {
      const before = this.runs.get(l.from)
      const stood = before ? run.start - before.end : 0
      return before && stood > l.best! + 60
        ? [
            `It has stood for ${Math.round(stood / 60)} minutes; within ${Math.round(l.best! / 60)} is best`,
          ]
        : []
    })
    const aside = this.setAside(run, card)
    const rest = this.restInTheCold(run, card)
    if (card.work === 'soak' && !this.places.get(run.id)?.length) parts.push('in a bowl')
    return [`${parts.join(', ')}${behind}`, ...rest, ...aside, ...notes].join('. ')
  }

  /** Of what kind a station is. */
  kindOf(station: string): string | undefined {
    return this.kitchen.stations.find((s) => s.id === station)?.kind
  }

  /** Raw food that waits for its panful or load does so in the fridge. */
  private restInTheCold(run: ActivityRun, card: Card): string[] {
    if (card.turns < 2 || card.hygiene !== 'raw') return []
    const others = this.plan.activities.filter(
      (r) =>
        r.start > run.start &&
        this.compiled.cards[r.id]?.dish === card.dish &&
        this.compiled.cards[r.id]?.step === card.step,
    )
    const last = Math.max(0, ...others.map((r) => r.start))
    return last - run.start > RAW_OUT / 2 ? ['Keep the rest in the fridge until its turn'] : []
  }

  /** What is put down for a while by hands, and lies in no vessel of the plan: into what, until when. */
  private setAside(run: ActivityRun, card: Card): string[] {
    const down = ['cut', 'measure', 'shape', 'drain'].includes(card.work)
    if (!down && !['mix', 'assemble', 'season', 'blend'].includes(card.work)) return []
    const next = this.compiled.links
      .filter((l) => l.from === run.id)
      .flatMap((l) => this.runs.get(l.to) ?? [])
      .reduce((soonest, r) => Math.min(soonest, r.start), Infinity)
    if (!Number.isFinite(next) || next - run.end < STANDS) return []
    const isPerishable = card.uses.length ? !card.uses.every(isDry) : card.hygiene !== 'neutral'
    if (next - run.end > OUT_OF_THE_COLD && isPerishable)
      return [`Cover it and put it into the fridge until ${this.clock(next)}`]
    if (!down) return []
    // `Flake the fish into the baking dish`: it lies there.
    const lies = (p: string) => OVEN_SHAPES.has(this.kindOf(p))
    if (card.work === 'cut' && this.places.get(run.id)?.some(lies)) return []
    const where = card.work === 'shape' ? 'on a plate' : 'in a bowl'
    return [`Set it aside ${where}, covered, until ${this.clock(next)}`]
  }

  /** What is said when it is over, by the food that it is about. */
  ending(run: ActivityRun, card: Card, words: string): string {
    const next = this.compiled.links
      .filter((l) => l.from === run.id)
      .flatMap((l) => {
        const to = this.runs.get(l.to)
        return to ? [{ at: to.start, card: this.compiled.cards[l.to]! }] : []
      })
    next.sort((a, b) => a.at - b.at)
    const then =
      next[0] && next[0].at > run.end + STANDS ? `. Next at ${this.clock(next[0].at)}` : ''
    if (card.ending) return card.ending
    const pressed = this.underPressure(run.id, words)
    const soaked = card.work === 'soak' ? SOAKED.find(([p]) => p.test(words))?.[1] : undefined
    const over =
      pressed && lawOf(card.work).attend === 'watch'
        ? ENDING.pressure
        : (soaked ?? ENDING[card.work])
    const about = card.about ? `: ${card.about}` : ''
    if (this.staysOn(run.id)) {
      // The burner is kept for it; but nothing is left on the heat with nobody beside it.
      const off = then && `Turn off the heat under it until ${this.clock(next[0]!.at)}`
      return (off || 'It stays on the heat') + about
    }
    if (card.work === 'slow' && this.comesBack(run.id)) return `It stays on${about}`
    const released = card.work === 'rest' && /\b(?:pressure|release)\b/i.test(words)
    // `Let it fall for 10 minutes, then release the rest`: the lid stays on until then.
    if (released && next.some((n) => /^(?:quick[- ])?release\b/i.test(n.card.text)))
      return 'Let off what pressure is left by the valve, and keep your hands and face away from it'
    if (released) return `The pressure is down: open it away from your face${then}`
    return `${over ?? 'Done'}${about}${then}`
  }

  /** In a pressure cooker with its lid locked: what is fried or boiled down in it stands open. */
  underPressure(id: string, words: string): boolean {
    const there = (this.places.get(id) ?? []).some((p) => this.kindOf(p) === 'pressure-cooker')
    return there && !OPEN_COOKER.test(words)
  }

  /** Whether a slow cooker goes on with it once something has been stirred in. */
  private comesBack(id: string): boolean {
    const after = (from: string) =>
      this.compiled.links.filter((l) => l.from === from).map((l) => l.to)
    return after(id).some((next) =>
      after(next).some((then) => this.compiled.cards[then]?.work === 'slow'),
    )
  }

  /** Whether the burner goes on under it for the next step in the same pot. */
  private staysOn(id: string): boolean {
    return Object.entries(this.compiled.kept).some(
      ([hold, { activities }]) =>
        /\.burner(?:-\d+)?$/.test(hold) && activities.includes(id) && activities.at(-1) !== id,
    )
  }
}

/** Done in a pressure cooker that stands open. */
const OPEN_COOKER =
  /\bsaut[eé](?![a-z])|\b(?:reduce|thicken|bubble|brown|soften|fry|open|uncovered|lid off|without the lid)\b/i
/** What has lain in something, as one says it. */
const SOAKED: [RegExp, string][] = [
  [/\bmarinat/i, 'Marinated'],
  [/\bbrine/i, 'Brined'],
]

/** How hot the middle has to be by a caution, in degrees Celsius. */
export function leastInside(caution: string | undefined): number | undefined {
  const found = /\b(\d\d) °C/.exec(caution ?? '')?.[1]
  return found === undefined ? undefined : Number(found)
}

/** What to look for when it should be done. */
export function checkWords(words: string, caution: string | undefined): string {
  const core = leastInside(caution)
  const cue = cueIn(words)
  const done = cue ? `: ${cue.replace(/^(?:it is|they are|it's)\s+/i, '')}` : ''
  const inside = core && !cue ? `: ${core} °C in the middle` : ''
  return `Check that it is done${done}${inside}. If not, five more minutes`
}
