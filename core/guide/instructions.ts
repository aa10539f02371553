import type { Kitchen } from '../kitchen'
import { ovenSettings, type ActivityRun, type OvenSetting, type Plan } from '../plan'
import type { Phase } from '../problem'
import { rulesOf, standingOf, type Card, type CompiledSession } from '../session'
import { handWashes } from './handWashing'
import type { Instruction } from './instruction'
import { checkWords, LineWords } from './lineWords'
import { placesOf } from './places'
import { mindingOf, placeWords } from './words'

/** Minutes for which something must go on by itself to be looked at before it ends. */
const WORTH_A_LOOK = 600
/** Work that is looked at for whether it is done, before it ends. */
const DONE_COOKING = new Set(['bake', 'grill', 'simmer', 'slow', 'pressure'])

/** What a part of a dish ends with that waits for another sitting. */
const PUT_AWAY = new Set(['pack', 'chill'])

/** The order of lines that are told at the same moment. */
const RANK: Record<Instruction['kind'], number> = {
  oven: 0,
  check: 1,
  end: 2,
  out: 3,
  'wash-hands': 4,
  wash: 5,
  do: 6,
  start: 7,
  cold: 8,
  stir: 9,
}

export interface TellingOptions {
  /** The time of day, or since the start, for so many seconds. */
  clock?: (seconds: number) => string
  /** What an oven is set to, as its dial says it, from degrees Celsius. */
  dial?: (celsius: number) => string
}

/**
 * Everything that the cooks are told, by time: each step as it begins and, where it goes on by
 * itself, as it ends; each oven setting; washing of vessels and hands; what goes into the cold and
 * comes out; what wants a stir or a look. Every list, page and print shows these lines.
 */
export function instructions(
  plan: Plan,
  compiled: CompiledSession,
  kitchen: Kitchen,
  { clock = sinceStart, dial = inCelsius }: TellingOptions = {},
): Instruction[] {
  const telling = new Telling(plan, compiled, kitchen, clock, dial)
  for (const run of plan.activities) telling.activity(run)
  telling.ovens()
  telling.washing()
  telling.storing()
  return telling.lines.sort(
    (a, b) => a.at - b.at || RANK[a.kind] - RANK[b.kind] || (a.key < b.key ? -1 : 1),
  )
}

/** `1:05` for an hour and five minutes after the start. */
const sinceStart = (seconds: number) =>
  `${Math.floor(seconds / 3600)}:${String(Math.floor((seconds % 3600) / 60)).padStart(2, '0')}`

const inCelsius = (celsius: number) => `${Math.round(celsius)} °C`

/** The step by which what was kept is warmed: a second time it is not. */
const REHEAT = 'reheat'
/** The step by which what is eaten as it is comes to the table. */
const TAKE_OUT = 'take-out'

type Draft = Omit<Instruction, 'cook' | 'amounts' | 'places' | 'until' | 'free'> &
  Partial<Pick<Instruction, 'amounts' | 'places' | 'until' | 'free'>> & {
    cook?: string | undefined
  }

class Telling {
  readonly lines: Instruction[] = []
  private readonly places: Map<string, string[]>
  private readonly words: LineWords
  private readonly specs: Map<string, CompiledSession['problem']['activities'][number]>

  constructor(
    private readonly plan: Plan,
    private readonly compiled: CompiledSession,
    private readonly kitchen: Kitchen,
    private readonly clock: (seconds: number) => string,
    private readonly dial: (celsius: number) => string,
  ) {
    this.places = placesOf(plan, compiled)
    this.words = new LineWords(plan, compiled, kitchen, clock, this.places)
    this.specs = new Map(compiled.problem.activities.map((a) => [a.id, a]))
  }

  /** All lines of one activity. */
  activity(run: ActivityRun): void {
    const given = this.compiled.cards[run.id]
    const mode = this.specs.get(run.id)?.modes.find((m) => m.id === run.mode)
    if (!given || !mode || given.marker) return
    const way = given.ways[run.mode]
    const words = way === undefined ? given.text : `${given.text}, ${way}`
    const main = mainOf(mode.phases)
    // Where nobody looks whether it is done, it is said at the start what it has to be like then.
    const looked = main >= 0 && DONE_COOKING.has(given.work)
    const { caution, ...bare } = given
    const told = [caution, looked ? undefined : given.atEnd].filter(Boolean).join(' ')
    const card: Card = told ? { ...bare, caution: told } : bare
    const tell = (line: Draft) => this.tell(run, card, line)
    const [first] = run.phases
    const opens = mode.phases[0]!.hands && main > 0
    const goesOn = main < 0 ? run.end : run.phases[lastMain(mode.phases)]!.to
    if (main < 0) {
      tell({
        key: `${run.id}#0`,
        at: run.start,
        until: run.end,
        free: run.end,
        kind: 'do',
        cook: first!.cook,
        points: [0, run.phases.length],
        text: this.words.opening(words, run, card),
        amounts: card.uses,
      })
      return
    }
    const cold = card.work === 'chill'
    tell({
      key: opens ? `${run.id}#0` : `${run.id}#begin`,
      at: run.start,
      until: card.beyond ? (opens ? first!.to : run.start) : goesOn,
      free: opens ? first!.to : run.start,
      kind: cold ? 'cold' : 'start',
      cook: first!.cook,
      points: [0, opens ? 1 : 0],
      text: this.words.opening(words, run, card),
      amounts: card.uses,
      ...this.heatOf(run, mode.phases[main]!),
    })
    // Its end belongs to another sitting, and is told there.
    if (card.beyond) return
    const lasts = run.phases[main]!.to - run.phases[main]!.from
    const pressed = this.words.underPressure(run.id, words)
    const minding = mindingOf(pressed ? 'pressure' : card.work, lasts)
    if (mode.phases[main]!.watch && minding)
      tell({
        key: `${run.id}#mind`,
        at: run.phases[main]!.from,
        until: run.phases[main]!.to,
        kind: minding.kind,
        cook: run.phases[main]!.cook,
        text: minding.text,
      })
    for (const { phase, step, text } of card.later) {
      const at = run.phases[phase]!
      tell({
        key: `${run.id}#${phase}`,
        at: at.from,
        until: run.phases[phase + 1]?.to ?? at.to,
        kind: 'start',
        points: [phase, phase],
        step,
        text,
        ...this.heatOf(run, mode.phases[phase + 1]!),
      })
    }
    const closing = mode.phases.length - 1
    const takesOff = mode.phases[closing]!.hands && closing > main
    const long = goesOn - run.phases[main]!.from >= WORTH_A_LOOK
    // Nobody looks into a cooker that is under pressure.
    if (looked && !pressed && (long || card.atEnd !== undefined))
      tell({
        key: `${run.id}#check`,
        at: goesOn,
        until: goesOn,
        kind: 'check',
        cook: takesOff ? run.phases[closing]!.cook : undefined,
        text: checkWords(words, card.atEnd ?? card.caution),
        ...(card.atEnd === undefined ? {} : { caution: card.atEnd }),
      })
    tell({
      key: takesOff ? `${run.id}#${closing}` : `${run.id}#end`,
      at: goesOn,
      until: run.end,
      free: run.end,
      kind: cold ? 'out' : 'end',
      points: [takesOff ? closing : closing + 1, closing + 1],
      cook: takesOff ? run.phases[closing]!.cook : undefined,
      text: this.words.ending(run, card, words),
    })
  }

  /** When each oven is set to what, and when it is off. */
  ovens(): void {
    const settings = ovenSettings(this.compiled.problem, this.plan)
    const names = new Set(settings.map((s) => s.station))
    settings.forEach((s, k) => {
      const before = settings.slice(0, k).findLast((x) => x.station === s.station)
      const after = settings.slice(k + 1).some((x) => x.station === s.station)
      const same = before && before.celsius === s.celsius && before.method === s.method
      const which = names.size > 1 ? placeWords(s.station, this.kitchen) : 'the oven'
      const heat = s.method === 'grill' ? 'the grill, at full heat' : this.dial(s.celsius)
      const set = `oven ${s.station} ${s.method} ${Math.round(s.celsius)}`
      if (!same)
        this.push({
          key: `${set} ${this.lines.filter((l) => l.key.startsWith(set)).length + 1}`,
          at: this.setBefore(s, before?.to ?? 0),
          until: s.from,
          kind: 'oven',
          text:
            s.method === 'grill'
              ? `Set ${which} to ${heat}: hot by ${this.clock(s.from)}`
              : `Set ${which} to ${heat}: ${before && before.celsius > s.celsius ? 'down' : 'hot'} by ${this.clock(s.from)}`,
          places: [s.station],
          celsius: Math.round(s.celsius),
        })
      if (!after)
        this.push({
          key: `oven ${s.station} off`,
          at: s.to,
          until: s.to,
          kind: 'oven',
          text: `Turn ${which} off`,
          places: [s.station],
        })
    })
  }

  /** When an oven is set, in seconds: by when it has to be, and before anything is put in for that heat. */
  private setBefore(s: OvenSetting, free: number): number {
    const put = this.plan.activities.flatMap((run) => {
      const bakes = run.phases.some((p) => p.from >= s.from && p.to <= s.to)
      return bakes && run.stations.includes(s.station) && run.start < s.setAt ? [run.start] : []
    })
    return Math.max(free, Math.min(s.setAt, ...put))
  }

  /** Vessels and hands to wash. */
  washing(): void {
    for (const c of this.plan.chores)
      this.push({
        key: `wash ${c.station} ${c.from}`,
        at: c.from,
        until: c.to,
        free: c.to,
        kind: 'wash',
        cook: c.cook,
        text: `Wash ${placeWords(c.station, this.kitchen)}`,
        places: [c.station],
      })
    for (const w of handWashes(this.plan, this.compiled)) {
      const raw = this.specs.get(w.after)!.hygiene === 'raw'
      this.push({
        key: `hands ${w.cook} ${w.from}`,
        at: w.from,
        until: w.to,
        free: w.to,
        kind: 'wash-hands',
        cook: w.cook,
        dish: this.compiled.cards[w.after]!.dish,
        text: raw ? 'Wash your hands with soap: they were on raw food' : 'Wash your hands',
      })
    }
  }

  /** Where each dish goes when it is finished. */
  storing(): void {
    for (const dish of this.compiled.dishes) {
      if (dish.base) continue
      const own = this.plan.activities.filter(
        (r) =>
          this.compiled.cards[r.id]?.dish === dish.id &&
          !this.compiled.cards[r.id]!.marker &&
          !this.compiled.cards[r.id]!.beyond,
      )
      const last = own.reduce<ActivityRun | undefined>(
        (l, r) => (!l || r.end > l.end ? r : l),
        undefined,
      )
      if (!last) continue
      const card = this.compiled.cards[last.id]!
      const kept = dish.to === 'fridge' || dish.to === 'freezer'
      const cook = last.phases.at(-1)?.cook
      const at = last.end
      const line = { at, until: at, cook, dish: dish.id, step: card.step, activity: last.id }
      if (dish.next !== undefined && (!kept || !PUT_AWAY.has(card.work))) continue
      if (kept)
        this.push({
          ...line,
          key: `cold ${dish.id}`,
          kind: 'cold',
          text: dish.next
            ? `${dish.name}: into the ${dish.to} with what is ready of it, its name on it. The rest is done ${dish.next}`
            : `${dish.name} is done: it goes into the ${dish.to}, with its name and the date on it${dish.to === 'freezer' && dish.staysOut ? `; what is eaten on ${dish.staysOut} stays in the fridge` : ''}`,
        })
      else
        this.push({
          ...line,
          key: `done ${dish.id}`,
          kind: 'end',
          text:
            dish.to === 'shelf'
              ? `${dish.name} is done: keep it dry, with its name and the date on it`
              : own.some((r) => this.compiled.cards[r.id]!.step === REHEAT)
                ? `${dish.name}: onto the table, hot. What was warmed and is left is thrown away`
                : own.some((r) => this.compiled.cards[r.id]!.step === TAKE_OUT)
                  ? `${dish.name}: on the table. What is left goes back where it lay by ${this.clock(at + standingOf(rulesOf(this.kitchen)))}`
                  : `${dish.name} is done, to be eaten today. What is left goes into the fridge by ${this.clock(at + standingOf(rulesOf(this.kitchen)))}`,
        })
    }
  }

  private heatOf(run: ActivityRun, phase: Phase): { celsius?: number } {
    const station = phase.heat && run.stations[phase.heat.need]
    const heat = this.plan.heats.find(
      (h) =>
        h.station === station &&
        h.from <= run.end &&
        run.start <= h.to &&
        inRange(h.celsius, phase),
    )
    return heat ? { celsius: Math.round(heat.celsius) } : {}
  }

  private tell(run: ActivityRun, card: Card, line: Draft): void {
    const opening = line.kind === 'do' || line.kind === 'start' || line.kind === 'cold'
    this.push({
      dish: card.dish,
      step: card.step,
      activity: run.id,
      places: this.places.get(run.id) ?? [],
      ...line,
      ...(opening && card.caution !== undefined && line.step === undefined
        ? { caution: card.caution }
        : {}),
    })
  }

  private push({ cook, amounts = [], places = [], until, free, ...line }: Draft): void {
    this.lines.push({
      ...line,
      until: until ?? line.at,
      free: free ?? line.at,
      cook: cook ?? this.whoIsFree(line.at, line.activity),
      amounts,
      places,
    })
  }

  /** Whoever tells by looking: the cook whose hands are on the dish, else one who is free just then. */
  private whoIsFree(at: number, activity: string | undefined): string {
    const { cooks } = this.compiled.problem
    const able = cooks.filter((c) => !c.skills || c.skills.includes('heat'))
    const there = (able.length ? able : cooks).filter(
      (c) => !c.unavailable.some(([a, b]) => a <= at && at < b),
    )
    const busy = (id: string) =>
      this.plan.activities.some((r) =>
        r.phases.some((p, k) => p.cook === id && p.from < at && at < p.to && this.isHands(r, k)),
      ) || this.plan.chores.some((c) => c.cook === id && c.from < at && at < c.to)
    const dish = activity === undefined ? undefined : this.compiled.cards[activity]?.dish
    const own = this.plan.activities
      .filter((r) => this.compiled.cards[r.id]?.dish === dish)
      .flatMap((r) => r.phases)
      .filter((p) => p.cook !== undefined && p.to <= at)
      .sort((a, b) => b.to - a.to)[0]?.cook
    const free = there.filter((c) => !busy(c.id))
    return (
      free.find((c) => c.id === own)?.id ?? free[0]?.id ?? there[0]?.id ?? own ?? cooks[0]?.id ?? ''
    )
  }

  private isHands(run: ActivityRun, k: number): boolean {
    const mode = this.specs.get(run.id)?.modes.find((m) => m.id === run.mode)
    return mode?.phases[k]?.hands !== undefined
  }
}

const inRange = (celsius: number, { heat }: Phase) =>
  heat !== undefined && heat.celsius[0] <= celsius && celsius <= heat.celsius[1]

/** The first phase that goes on without hands; -1 where hands do it all. */
const mainOf = (phases: readonly Phase[]) => phases.findIndex((p) => !p.hands)
const lastMain = (phases: readonly Phase[]) => phases.findLastIndex((p) => !p.hands)
