import type { Need, Phase, Problem, Station } from '../core/problem'

/** Amounts are fractions of a station; the reference counts in whole parts of so much. */
const PARTS = 1000

/** Some phase, of some mode of some activity, as the reference knows it. */
interface Task {
  start: string
  end: string
  /** For each cook who could, the name of the boolean that says so. */
  cooks: Map<number, string>
  attention: number
  hands: boolean
  /** Hygiene class; none for a chore. */
  hygiene: string | undefined
  activity: number
}

interface Occupation {
  start: string
  end: string
  /** For each station that could serve, the name of the boolean that says so. */
  stations: Map<number, string>
  amount: number
  contents: string | undefined
}

interface Heat {
  start: string
  end: string
  celsius: string
  method: string
  stations: Map<number, string>
}

/**
 * A problem of the contract as a MiniZinc model that minimises the makespan, written from the
 * contract alone: it shares nothing with the engine but the problem, and every rule is spelled out
 * over pairs. Oven temperatures are whole degrees. `upper` is a makespan that is known to be
 * possible; the model is satisfied by no plan that is longer.
 *
 * @throws where the session is under way, which the reference does not know.
 */
export function referenceModel(problem: Problem, upper: number): string {
  if (problem.progress) throw new Error('the reference knows no session under way')
  return new Reference(problem, upper).text()
}

class Reference {
  private readonly lines: string[] = []
  private readonly tasks: Task[] = []
  private readonly occupations: Occupation[] = []
  private readonly heats: Heat[] = []
  private readonly indexOf: Map<string, number>
  private readonly last: number
  private names = 0

  constructor(
    private readonly problem: Problem,
    private readonly upper: number,
  ) {
    this.indexOf = new Map(problem.activities.map((a, i) => [a.id, i]))
    const aside = problem.activities.filter((a) => a.aside)
    const longest = (a: (typeof aside)[number]) =>
      Math.max(...a.modes.map((m) => m.phases.reduce((s, p) => s + (p.seconds[1] ?? upper), 0)))
    this.last = aside.reduce((sum, a) => sum + longest(a), upper)
  }

  text(): string {
    const { problem } = this
    this.say(`var 0..${this.last}: latest;`)
    this.say(`var 0..${this.upper}: makespan;`)
    problem.activities.forEach((_, i) => this.activity(i))
    this.choices()
    problem.relations.forEach((r) => this.relation(r))
    problem.holds.forEach((h) => this.hold(h))
    problem.stations.forEach((s, k) => this.station(s, k))
    problem.cooks.forEach((_, c) => this.cook(c))
    problem.stations.forEach((s, k) => s.oven && this.oven(s.oven, k))
    this.say('solve minimize makespan;')
    this.say('output ["\\(makespan)"];')
    return this.lines.join('\n')
  }

  private say(line: string): void {
    this.lines.push(line)
  }

  private must(what: string): void {
    this.lines.push(`constraint ${what};`)
  }

  private bool(): string {
    const name = `b${this.names++}`
    this.say(`var bool: ${name};`)
    return name
  }

  private int(low: number, high: number): string {
    const name = `v${this.names++}`
    this.say(`var ${low}..${high}: ${name};`)
    return name
  }

  /** Exactly one of the booleans where `when` holds, else none. */
  private oneOf(names: Iterable<string>, when: string): void {
    const sum = [...names].map((n) => `bool2int(${n})`).join(' + ') || '0'
    this.must(`${sum} = bool2int(${when})`)
  }

  private apart(start: string, end: string, spans: readonly (readonly number[])[], when: string) {
    for (const [from, to] of spans)
      this.must(`${when} -> (${end} <= ${from} \\/ ${start} >= ${to})`)
  }

  private activity(i: number): void {
    const { problem, last, upper } = this
    const a = problem.activities[i]!
    this.say(`var bool: P${i};`)
    this.say(`var 0..${last}: S${i};`)
    this.say(`var 0..${last}: E${i};`)
    this.must(`P${i} -> E${i} <= latest`)
    if (!a.aside) this.must(`P${i} -> (E${i} <= makespan /\\ E${i} <= ${upper})`)
    if (a.release !== undefined) this.must(`P${i} -> S${i} >= ${a.release}`)
    const due = Math.min(a.due ?? Infinity, problem.deadline ?? Infinity)
    if (due < Infinity) this.must(`P${i} -> E${i} <= ${due}`)
    const modes = a.modes.map(() => this.bool())
    this.oneOf(modes, `P${i}`)
    const pins = (problem.pins ?? []).filter((p) => p.activity === a.id)
    for (const { start, mode } of pins) {
      if (start) this.must(`P${i} -> (S${i} >= ${start[0]} /\\ S${i} <= ${start[1]})`)
      if (mode !== undefined)
        a.modes.forEach((m, k) => m.id !== mode && this.must(`not ${modes[k]}`))
    }
    a.modes.forEach((mode, m) => {
      const when = modes[m]!
      const served = mode.needs.map((need, n) => {
        const heats = mode.phases.flatMap((p) => (p.heat?.need === n ? [p.heat] : []))
        const stations = this.occupy(need, `S${i}`, `E${i}`, when, heats)
        for (const [k, on] of stations)
          for (const pin of pins) {
            const wanted = pin.stations?.[n]
            if (wanted !== undefined && wanted !== problem.stations[k]!.id) this.must(`not ${on}`)
          }
        return stations
      })
      let at = `S${i}`
      mode.phases.forEach((phase, k) => {
        const end = k === mode.phases.length - 1 ? `E${i}` : this.int(0, last)
        const [least, most] = phase.seconds
        this.must(`${when} -> ${end} - ${at} >= ${least}`)
        if (most !== null) this.must(`${when} -> ${end} - ${at} <= ${most}`)
        this.phase(phase, at, end, when, i)
        if (phase.heat) this.heat(phase.heat, at, end, served[phase.heat.need]!)
        at = end
      })
    })
  }

  private phase(phase: Phase, start: string, end: string, when: string, activity: number): void {
    if (!phase.hands && phase.watch === undefined) return
    const attention = phase.hands?.attention ?? phase.watch ?? 0
    const skill = phase.hands?.skill
    const able = this.able(skill).filter((c) => attention <= this.problem.cooks[c]!.attention)
    const cooks = new Map(able.map((c) => [c, this.bool()]))
    this.oneOf(cooks.values(), when)
    for (const pin of this.problem.pins ?? [])
      if (
        phase.hands &&
        pin.cook !== undefined &&
        pin.activity === this.problem.activities[activity]!.id
      )
        for (const [c, does] of cooks)
          if (this.problem.cooks[c]!.id !== pin.cook) this.must(`not ${does}`)
    const { hygiene } = this.problem.activities[activity]!
    this.tasks.push({ start, end, cooks, attention, hands: !!phase.hands, hygiene, activity })
  }

  private able(skill: string | readonly string[] | undefined): number[] {
    return this.problem.cooks.flatMap((c, k) =>
      [skill ?? []].flat().every((s) => !c.skills || c.skills.includes(s)) ? [k] : [],
    )
  }

  private occupy(
    need: Need,
    start: string,
    end: string,
    when: string,
    heats: NonNullable<Phase['heat']>[],
  ): Map<number, string> {
    const can = ({ kind, tags, size, capacity, oven }: Station) =>
      kind === need.kind &&
      need.tags.every((t) => tags.includes(t)) &&
      (need.minSize === undefined || (size !== undefined && size >= need.minSize)) &&
      capacity >= need.amount &&
      heats.every((h) => oven?.methods.includes(h.method))
    const stations = new Map(
      this.problem.stations.flatMap((s, k) => (can(s) ? [[k, this.bool()]] : [])),
    )
    this.oneOf(stations.values(), when)
    const { amount, contents } = need
    this.occupations.push({ start, end, stations, amount, contents })
    return stations
  }

  private heat(
    heat: NonNullable<Phase['heat']>,
    start: string,
    end: string,
    stations: Map<number, string>,
  ): void {
    const [low, high] = heat.celsius
    const celsius = this.int(Math.ceil(low), Math.floor(high))
    this.heats.push({ start, end, celsius, method: heat.method, stations })
  }

  private choices(): void {
    const chosen = new Map<string, string[]>()
    for (const choice of this.problem.choices) {
      const options = choice.options.map(() => this.bool())
      this.oneOf(options, 'true')
      choice.options.forEach((o, k) =>
        o.activities.forEach((a) => chosen.set(a, [...(chosen.get(a) ?? []), options[k]!])),
      )
    }
    this.problem.activities.forEach((a, i) =>
      this.must(`P${i} = (${chosen.get(a.id)?.join(' \\/ ') ?? 'true'})`),
    )
  }

  private relation({ from, to, kind, min, max }: Problem['relations'][number]): void {
    const i = this.indexOf.get(from)!
    const j = this.indexOf.get(to)!
    const lag = `${kind[1] === 'S' ? 'S' : 'E'}${j} - ${kind[0] === 'S' ? 'S' : 'E'}${i}`
    this.must(`(P${i} /\\ P${j}) -> ${lag} >= ${min}`)
    if (max !== undefined) this.must(`(P${i} /\\ P${j}) -> ${lag} <= ${max}`)
  }

  private hold({ need, from, to }: Problem['holds'][number]): void {
    const i = this.indexOf.get(from)!
    const j = to === null ? undefined : this.indexOf.get(to)!
    const when = this.bool()
    this.must(`${when} = (P${i} /\\ ${j === undefined ? 'true' : `P${j}`})`)
    this.occupy(need, `S${i}`, j === undefined ? 'latest' : `E${j}`, when, [])
  }

  private station(station: Station, k: number): void {
    const here = this.occupations.filter((o) => o.stations.has(k))
    const on = (o: Occupation) => o.stations.get(k)!
    for (const o of here) this.apart(o.start, o.end, station.unavailable, on(o))
    if (station.wash) return this.washed(station, k, here)
    const sum = here.reduce((total, o) => total + o.amount, 0)
    if (sum <= station.capacity) return
    if (here.every((o) => 2 * o.amount > station.capacity)) {
      for (const [a, b] of pairs(here))
        this.must(`(${on(a)} /\\ ${on(b)}) -> (${a.end} <= ${b.start} \\/ ${b.end} <= ${a.start})`)
      return
    }
    // A peak begins where something begins.
    for (const o of here) {
      const beside = here.filter((p) => p !== o)
      const taken = beside.map(
        (p) =>
          `${parts(p.amount)} * bool2int(${on(p)} /\\ ${p.start} <= ${o.start} /\\ ${o.start} < ${p.end})`,
      )
      this.must(
        `${on(o)} -> ${[`${parts(o.amount)}`, ...taken].join(' + ')} <= ${parts(station.capacity)}`,
      )
    }
  }

  /** One occupation after another, and between two of them a wash where their contents want one. */
  private washed(station: Station, k: number, here: Occupation[]): void {
    const wash = station.wash!
    const on = (o: Occupation) => o.stations.get(k)!
    const before = new Map<Occupation, Map<Occupation, string>>(here.map((o) => [o, new Map()]))
    for (const [a, b] of pairs(here)) {
      const ab = this.bool()
      const ba = this.bool()
      this.oneOf([ab, ba], `(${on(a)} /\\ ${on(b)})`)
      this.must(`${ab} -> ${a.end} <= ${b.start}`)
      this.must(`${ba} -> ${b.end} <= ${a.start}`)
      before.get(a)!.set(b, ab)
      before.get(b)!.set(a, ba)
    }
    const seconds = (a: Occupation, b: Occupation) => {
      if (a.contents !== undefined && a.contents === b.contents) return 0
      const own = a.contents !== undefined && b.contents !== undefined
      return (own ? wash.between?.[a.contents!]?.[b.contents!] : undefined) ?? wash.seconds
    }
    for (const b of here) {
      const dirty = here.filter((a) => a !== b && seconds(a, b) > 0)
      if (!dirty.length) continue
      const done = this.bool()
      const start = this.int(0, this.last)
      const end = this.int(0, this.last)
      this.must(`${done} -> (${end} <= ${b.start} /\\ ${start} <= ${end})`)
      if (this.problem.deadline !== undefined)
        this.must(`${done} -> ${end} <= ${this.problem.deadline}`)
      for (const a of here)
        if (a !== b) this.must(`(${done} /\\ ${before.get(a)!.get(b)!}) -> ${start} >= ${a.end}`)
      for (const a of dirty) {
        const between = here.flatMap((c) =>
          c === a || c === b ? [] : [`(${before.get(a)!.get(c)!} /\\ ${before.get(c)!.get(b)!})`],
        )
        const long = `(${done} /\\ ${end} - ${start} >= ${seconds(a, b)})`
        this.must(`${before.get(a)!.get(b)!} -> (${[long, ...between].join(' \\/ ')})`)
      }
      this.apart(start, end, station.unavailable, done)
      const cooks = new Map(this.able(wash.skill).map((c) => [c, this.bool()]))
      this.oneOf(cooks.values(), done)
      const chore = { attention: 0, hands: true, hygiene: undefined, activity: -1 }
      this.tasks.push({ start, end, cooks, ...chore })
    }
  }

  private cook(c: number): void {
    const cook = this.problem.cooks[c]!
    const mine = this.tasks.filter((t) => t.cooks.has(c))
    const does = (t: Task) => t.cooks.get(c)!
    for (const t of mine) this.apart(t.start, t.end, cook.unavailable, does(t))
    const hands = mine.filter((t) => t.hands)
    for (const [a, b] of pairs(hands))
      if (a.activity !== b.activity || a.activity < 0)
        this.must(`(${does(a)} /\\ ${does(b)}) -> (${clear(a, b)})`)
    for (const t of mine.filter((x) => x.attention > 0)) {
      const taken = mine.flatMap((u) =>
        u === t || u.attention === 0 || u.activity === t.activity
          ? []
          : [
              `${parts(u.attention)} * bool2int(${does(u)} /\\ ${u.start} <= ${t.start} /\\ ${t.start} < ${u.end})`,
            ],
      )
      if (taken.length)
        this.must(
          `(${does(t)} /\\ ${t.start} < ${t.end}) -> ${[`${parts(t.attention)}`, ...taken].join(' + ')} <= ${parts(cook.attention)}`,
        )
    }
    this.clean(c, hands)
  }

  /** Before each hands phase one pause to wash after the last one of each class that wants it. */
  private clean(c: number, hands: Task[]): void {
    const does = (t: Task) => t.cooks.get(c)!
    for (const b of hands) {
      if (b.hygiene === undefined) continue
      for (const [from, to] of Object.entries(this.problem.hygiene)) {
        const seconds = to[b.hygiene] ?? 0
        const after = hands.filter((a) => a !== b && a.hygiene === from)
        if (!seconds || !after.length) continue
        const pause = this.int(0, this.last)
        const due = after.map((a) => {
          const name = this.bool()
          this.must(`${name} = (${does(a)} /\\ ${does(b)} /\\ ${a.end} <= ${b.start})`)
          this.must(`${name} -> (${pause} >= ${a.end} /\\ ${pause} + ${seconds} <= ${b.start})`)
          return name
        })
        const any = this.bool()
        this.must(`${any} = (${due.join(' \\/ ')})`)
        const end = `(${pause} + ${seconds})`
        for (const u of hands)
          if (u !== b) this.must(`(${any} /\\ ${does(u)}) -> (${clear(u, { start: pause, end })})`)
        this.apart(pause, end, this.problem.cooks[c]!.unavailable, any)
      }
    }
  }

  private oven(oven: NonNullable<Station['oven']>, k: number): void {
    const here = this.heats.filter((h) => h.stations.has(k))
    const on = (h: Heat) => h.stations.get(k)!
    const ramp = (gap: string, rise: string) =>
      `${gap} >= 0 /\\ ${PARTS} * (${gap}) >= ${parts(oven.heatSecondsPerDegree)} * (${rise}) /\\ ` +
      `${PARTS} * (${gap}) >= ${parts(oven.coolSecondsPerDegree)} * (0 - (${rise}))`
    for (const h of here) {
      this.must(`${on(h)} -> (${h.celsius} >= ${oven.min} /\\ ${h.celsius} <= ${oven.max})`)
      this.must(`${on(h)} -> (${ramp(h.start, `${h.celsius} - ${oven.start}`)})`)
    }
    for (const [a, b] of pairs(here)) {
      const then = (x: Heat, y: Heat) =>
        ramp(`${y.start} - ${x.end}`, `${y.celsius} - ${x.celsius}`)
      const same = a.method === b.method ? [`${a.celsius} = ${b.celsius}`] : []
      const ways = [...same, `(${then(a, b)})`, `(${then(b, a)})`]
      this.must(`(${on(a)} /\\ ${on(b)}) -> (${ways.join(' \\/ ')})`)
    }
  }
}

/** That two stretches do not overlap; one without length overlaps nothing. */
const clear = (a: { start: string; end: string }, b: { start: string; end: string }) =>
  `${a.end} <= ${b.start} \\/ ${b.end} <= ${a.start} \\/ ${a.start} = ${a.end}`

const parts = (amount: number) => Math.round(amount * PARTS)

function* pairs<T>(items: readonly T[]): Generator<[T, T]> {
  for (let i = 0; i < items.length; i++)
    for (let j = i + 1; j < items.length; j++) yield [items[i]!, items[j]!]
}
