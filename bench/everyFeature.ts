import { readProblem, type Problem, type ProblemInput } from '../core/problem'
import { below, seeded, type Random } from '../core/solver'

type ActivityInput = ProblemInput['activities'][number]
type ModeInput = ActivityInput['modes'][number]
type PhaseInput = ModeInput['phases'][number]
type NeedInput = NonNullable<ModeInput['needs']>[number]
type RelationInput = NonNullable<ProblemInput['relations']>[number]

const MINUTE = 60

/**
 * A session of so many dishes, about five and a half steps each, that uses every feature of
 * the contract: modes and choices, holds, washing between contents, oven temperatures and
 * methods, hygiene classes, absences, longest waits, releases, a step that runs on aside, a
 * dinner that is due. Written by its own rules and not compiled from recipes, so that the
 * engine is not measured on one habit of modelling only. The same for the same seed.
 */
export function everyFeature(dishes: number, seed: number): Problem {
  const session = new Draft(seeded(seed * 104729 + dishes))
  for (let d = 0; d < dishes; d++) session.dish(d)
  const more = Math.max(1, Math.round(dishes / 12))
  const input: ProblemInput = {
    format: 'cadrum/problem@1',
    name: `${dishes} dishes with every feature, ${seed}`,
    cooks: [
      { id: 'first', attention: 100 },
      {
        id: 'second',
        attention: 80,
        skills: ['knife', 'simple', 'heat'],
        unavailable: [[100 * MINUTE, 125 * MINUTE]],
      },
    ],
    stations: stations(more),
    activities: session.activities,
    choices: session.choices,
    relations: session.relations,
    holds: session.holds,
    hygiene: { raw: { produce: 60, ready: 90, neutral: 40 }, produce: { ready: 30 } },
  }
  const reading = readProblem(input)
  if (!reading.ok) throw new Error(JSON.stringify(reading.issues))
  return reading.value
}

function stations(more: number): ProblemInput['stations'] {
  const several = (
    count: number,
    station: ProblemInput['stations'][number],
  ): ProblemInput['stations'] =>
    Array.from({ length: count }, (_, k) => ({ ...station, id: `${station.id}-${k}` }))
  const oven = (id: string, start: number) => ({
    id,
    kind: 'oven',
    capacity: 2,
    oven: {
      min: 50,
      max: 250,
      start,
      heatSecondsPerDegree: 4,
      coolSecondsPerDegree: 8,
      methods: ['bake', 'fan', 'grill'],
    },
  })
  return [
    ...several(2, { id: 'burner', kind: 'burner', size: 20, tags: ['hob'] }),
    ...several(2, { id: 'large-burner', kind: 'burner', size: 28, tags: ['hob', 'large'] }),
    oven('oven', 20),
    { ...oven('small-oven', 20), capacity: 1 },
    ...several(2, {
      id: 'board',
      kind: 'board',
      wash: {
        seconds: 45,
        between: { produce: { produce: 0, raw: 0 }, raw: { produce: 90 } },
      },
    }),
    ...several(1 + more, { id: 'pot', kind: 'pot', size: 5, wash: { seconds: 150 } }),
    ...several(1, { id: 'large-pot', kind: 'pot', size: 9, wash: { seconds: 200, skill: 'heat' } }),
    ...several(1 + more, { id: 'skillet', kind: 'skillet', size: 28, wash: { seconds: 120 } }),
    ...several(2 + more, { id: 'tray', kind: 'tray', size: 2, wash: { seconds: 90 } }),
    ...several(1, {
      id: 'processor',
      kind: 'processor',
      wash: { seconds: 120, between: { crumbs: { crumbs: 0 } } },
    }),
    { id: 'slow-cooker', kind: 'slow-cooker', size: 6, wash: { seconds: 240 } },
    {
      id: 'pressure-cooker',
      kind: 'pressure-cooker',
      size: 6,
      wash: { seconds: 180 },
      unavailable: [[0, 15 * MINUTE]],
    },
    { id: 'rack', kind: 'rack', capacity: 3 * more + 2 },
    { id: 'fridge', kind: 'fridge', capacity: 10 + 6 * more },
  ]
}

class Draft {
  readonly activities: ActivityInput[] = []
  readonly choices: NonNullable<ProblemInput['choices']> = []
  readonly relations: RelationInput[] = []
  readonly holds: NonNullable<ProblemInput['holds']> = []

  constructor(private readonly random: Random) {}

  dish(d: number): void {
    const kinds = [this.bake, this.stew, this.braise, this.roast, this.soup]
    kinds[below(this.random, kinds.length)]!.call(this, `d${d}`)
  }

  /** Cut by hand or machine, filled into a tray, baked at one or two heats, cooled, packed. */
  private bake(d: string): void {
    const cut = this.cut(d, 'produce')
    const fill = this.add(d, 'fill', 'produce', [mode('', [], [this.hands(4, 9, 60)])])
    const low = this.oneOf([150, 160, 180, 190, 200, 220])
    const heat = this.oven(low, this.oneOf([0, 10, 20]), this.oneOf(['bake', 'bake', 'fan']))
    const second: PhaseInput[] = this.chance(0.25)
      ? [{ seconds: [0, 10 * MINUTE] }, this.oven(230, 20, 'grill')(6, 10)]
      : []
    const bake = this.add(d, 'bake', 'neutral', [
      mode('', [{ kind: 'oven' }], [this.hands(1, 2, 40), heat(20, 55), ...second]),
    ])
    const cool = this.cool(d)
    const pack = this.pack(d)
    this.chain([cut, fill, bake, cool, pack], [null, 30, 5, 60])
    this.hold(d, 'tray', { kind: 'tray', contents: d }, fill, cool)
  }

  /** Cut, brown, simmer on in the same pot, cool in the pot, pack. */
  private stew(d: string): void {
    const cut = this.cut(d, 'produce')
    const raw = this.chance(0.5)
      ? this.add(d, 'meat', 'raw', [
          mode('', [{ kind: 'board', contents: 'raw' }], [this.hands(4, 9, 90, 'knife')]),
        ])
      : undefined
    const brown = this.add(d, 'brown', raw ? 'raw' : 'neutral', [
      mode('', [{ kind: 'burner', tags: ['hob'] }], [this.hands(6, 12, 70, 'heat')]),
    ])
    const simmer = this.add(d, 'simmer', 'neutral', [
      mode('', [{ kind: 'burner', minSize: 20 }], [this.watch(25, 70, 10, 20)]),
    ])
    const cool = this.cool(d)
    const pack = this.pack(d)
    this.chain([cut, brown, simmer, cool, pack], [90, 1, 5, 60])
    if (raw) this.chain([raw, brown], [20])
    const pot = { kind: 'pot', minSize: this.oneOf([4, 5, 5, 8]), contents: d }
    this.hold(d, 'pot', pot, brown, cool)
  }

  /** One of three ways: slow cooker, pressure cooker, or oven; the first wants browning first. */
  private braise(d: string): void {
    const raw = this.add(d, 'meat', 'raw', [
      mode('', [{ kind: 'board', contents: 'raw' }], [this.hands(6, 12, 90, 'knife')]),
    ])
    const brown = this.add(d, 'brown', 'raw', [
      mode(
        '',
        [
          { kind: 'burner', tags: ['large'] },
          { kind: 'skillet', contents: d },
        ],
        [this.hands(6, 10, 70, 'heat')],
      ),
    ])
    const slow = this.add(d, 'slow', 'neutral', [
      mode(
        'low',
        [{ kind: 'slow-cooker', contents: d }],
        [this.hands(2, 3, 40), this.wait(240, 300)],
      ),
      mode(
        'high',
        [{ kind: 'slow-cooker', contents: d }],
        [this.hands(2, 3, 40), this.wait(150, 180)],
      ),
    ])
    const pressure = this.add(d, 'pressure', 'neutral', [
      mode(
        '',
        [{ kind: 'pressure-cooker', contents: d }],
        [this.hands(2, 4, 50, 'heat'), this.watch(8, 14, 20, 4), this.wait(25, 45)],
      ),
    ])
    const oven = this.add(d, 'oven', 'neutral', [
      mode(
        '',
        [{ kind: 'oven' }, { kind: 'tray', contents: d }],
        [this.hands(1, 3, 40), this.oven(150, 10, 'bake')(80, 120)],
      ),
    ])
    const cool = this.cool(d)
    const pack = this.pack(d)
    this.chain([raw, brown], [25])
    for (const way of [slow, oven]) this.chain([brown, way, cool], [15, 10])
    this.chain([raw, oven], [40])
    this.chain([pressure, cool], [10])
    this.chain([raw, pressure], [40])
    this.chain([cool, pack], [60])
    this.choices.push({
      id: `${d}-way`,
      options: [
        { id: 'slow', activities: [brown, slow], cost: 1 },
        { id: 'pressure', activities: [pressure], cost: 2 },
        { id: 'oven', activities: [oven], cost: 0 },
      ],
    })
  }

  /** Raw on a tray, roasted, carved by a practised hand; now and then a dinner that is due. */
  private roast(d: string): void {
    const season = this.add(d, 'season', 'raw', [mode('', [], [this.hands(5, 9, 90)])], {
      ...(this.chance(0.3) ? { release: 15 * MINUTE } : {}),
    })
    const heat = this.oven(this.oneOf([180, 200, 210]), 10, 'fan')
    const roast = this.add(d, 'roast', 'neutral', [
      mode(
        'oven',
        [{ kind: 'oven' }],
        [this.hands(1, 2, 40), heat(35, 75), { seconds: [5 * MINUTE, 20 * MINUTE] }],
      ),
    ])
    const carve = this.add(d, 'carve', 'ready', [
      mode('', [{ kind: 'board', contents: 'ready' }], [this.hands(5, 9, 60, 'knife')]),
    ])
    const pack = this.pack(d)
    this.chain([season, roast, carve, pack], [20, 25, 30])
    this.hold(d, 'tray', { kind: 'tray', contents: d }, season, roast)
    if (this.chance(0.4)) {
      // A sauce that must be ready just when the roast is.
      const sauce = this.add(d, 'sauce', 'neutral', [
        mode(
          '',
          [{ kind: 'burner' }, { kind: 'skillet', contents: `${d} sauce` }],
          [this.hands(3, 6, 60, 'heat'), this.watch(8, 15, 30, 10)],
        ),
      ])
      this.relations.push({
        from: roast,
        to: sauce,
        kind: 'FF',
        min: -10 * MINUTE,
        max: 20 * MINUTE,
      })
      this.relations.push({ from: sauce, to: pack, kind: 'FS', min: 0 })
    }
  }

  /** Cut, boil, blend; now and then a stock that runs on overnight beside it. */
  private soup(d: string): void {
    const cut = this.cut(d, 'produce')
    const boil = this.add(d, 'boil', 'neutral', [
      mode(
        '',
        [
          { kind: 'burner', tags: ['hob'] },
          { kind: 'pot', contents: d },
        ],
        [this.hands(1, 2, 40, 'heat'), this.watch(18, 35, 10, 15)],
      ),
    ])
    const blend = this.add(d, 'blend', 'neutral', [
      mode('', [{ kind: 'processor', contents: d }], [this.hands(3, 6, 60)]),
    ])
    const cool = this.cool(d)
    const pack = this.pack(d)
    this.chain([cut, boil, blend, cool, pack], [90, 10, 20, 60])
    if (this.chance(0.2)) {
      const stock = this.add(
        d,
        'stock',
        'neutral',
        [mode('', [{ kind: 'fridge', amount: 2 }], [this.wait(600, 700)])],
        { aside: true },
      )
      this.relations.push({ from: cut, to: stock, kind: 'SS', min: 5 * MINUTE })
    }
  }

  private cut(d: string, contents: string): string {
    const modes = [
      mode('knife', [{ kind: 'board', contents }], [this.hands(6, 14, 60, 'knife')]),
      ...(this.chance(0.4)
        ? [mode('machine', [{ kind: 'processor', contents: 'crumbs' }], [this.hands(2, 5, 50)])]
        : []),
    ]
    return this.add(d, 'cut', 'produce', modes)
  }

  private cool(d: string): string {
    return this.add(d, 'cool', 'neutral', [mode('', [{ kind: 'rack' }], [this.wait(20, 45)])])
  }

  private pack(d: string): string {
    const pack = this.add(d, 'pack', 'ready', [mode('', [], [this.hands(3, 7, 50, 'simple')])])
    if (this.chance(0.5))
      this.holds.push({ id: `${d}-fridge`, need: { kind: 'fridge' }, from: pack, to: null })
    return pack
  }

  private add(
    d: string,
    name: string,
    hygiene: string,
    modes: ModeInput[],
    more: Partial<ActivityInput> = {},
  ): string {
    const id = `${d}-${name}`
    this.activities.push({ id, dish: d, label: `${name} for ${d}`, hygiene, modes, ...more })
    return id
  }

  /** One after another; each wait at most so many minutes, null: as long as one likes. */
  private chain(ids: string[], most: (number | null)[]): void {
    ids.slice(1).forEach((to, i) => {
      const max = most[i]
      this.relations.push({
        from: ids[i]!,
        to,
        kind: 'FS',
        ...(max == null ? {} : { max: max * MINUTE }),
      })
    })
  }

  private hold(d: string, name: string, need: NeedInput, from: string, to: string): void {
    this.holds.push({ id: `${d}-${name}`, need, from, to })
  }

  private hands(least: number, most: number, attention: number, skill?: string): PhaseInput {
    const seconds = this.seconds(least, most)
    return { seconds: [seconds, seconds], hands: { attention, ...(skill ? { skill } : {}) } }
  }

  private watch(least: number, most: number, attention: number, longer: number): PhaseInput {
    const seconds = this.seconds(least, most)
    return { seconds: [seconds, seconds + longer * MINUTE], watch: attention }
  }

  private wait(least: number, most: number): PhaseInput {
    const seconds = this.seconds(least, most)
    return { seconds: [seconds, Math.round(seconds * 1.4)] }
  }

  private oven(low: number, width: number, method: string) {
    return (least: number, most: number): PhaseInput => {
      const seconds = this.seconds(least, most)
      return {
        seconds: [seconds, seconds + 3 * MINUTE],
        watch: 5,
        heat: { need: 0, celsius: [low, low + width], method },
      }
    }
  }

  private seconds(least: number, most: number): number {
    return 15 * Math.round(((least + this.random() * (most - least)) * MINUTE) / 15)
  }

  private chance(p: number): boolean {
    return this.random() < p
  }

  private oneOf<T>(list: readonly T[]): T {
    return list[below(this.random, list.length)]!
  }
}

const mode = (id: string, needs: NeedInput[], phases: PhaseInput[]): ModeInput => ({
  id: id || 'only',
  needs,
  phases,
})
