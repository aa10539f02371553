import type { MActivity, MMode, Model } from '../model/model'
import { leastOf, energyBound, type Work } from './energyBound'
import { presentIn, type OptionScenario } from '../model/optionScenario'
import { disjoint, washedContents, type WashedGroup } from './washedContents'
import { PARAMS } from '../params'

const { PRICES, SWEEPS } = PARAMS.cookBound

/** What is taken of a choice, or in common: hands work, and for each group what is washed for. */
interface Part {
  work: Work[]
  washed: Work[][]
}

/** The hands work of a session that no plan gets round, for any group of its cooks. */
export class CookBound {
  /** Groups of washed stations, those that are surely washed most and those that may be. */
  private readonly washing: WashedGroup[]
  private readonly washed: WashedGroup[]

  constructor(
    private readonly model: Model,
    private readonly base: OptionScenario,
    /** For each choice, what each of its options brings. */
    private readonly branches: OptionScenario[][],
    groups: readonly (readonly number[])[],
  ) {
    const all = washedContents(model, groups, base, branches)
    this.washing = disjoint(all, (g) => sumOf(surelyWashed(g)))
    this.washed = disjoint(all, (g) => sumOf([g.surely, ...g.options.flat()].flat()) - g.spared)
  }

  /** A makespan, in seconds, before which these cooks cannot have done what only they may do. */
  of(cooks: readonly number[]): number {
    const room = (from: number, to: number) => handsFree(this.model, cooks, from, to)
    const surely = energyBound(this.surely(cooks), room)
    const { work, spared } = this.priced(cooks)
    return spared > 0 ? Math.max(surely, energyBound(work, room, spared)) : surely
  }

  /** Hands work and washes as far as they do not depend on choices. */
  private surely(cooks: readonly number[]): Work[] {
    const { model, branches, washing } = this
    return [
      ...this.common(cooks),
      ...branches.flatMap((scenarios, k) =>
        leastOf(scenarios.map((s) => optionWork(model, s, k, cooks))),
      ),
      ...washing.filter((g) => g.cooks.every((c) => cooks.includes(c))).flatMap(surelyWashed),
    ]
  }

  private common(cooks: readonly number[]): Work[] {
    return presentIn(this.model, this.base).flatMap((a) => handsWork(a, this.base, cooks))
  }

  /**
   * The same with washes that one option asks for and another does not. All but as many contents as a
   * group has stations are washed for, so each may be priced at up to what its wash takes, if that is
   * taken off again for as many (Lagrangian relaxation): the option that is least then counts.
   */
  private priced(cooks: readonly number[]): { work: Work[]; spared: number } {
    const { model, branches } = this
    const washed = this.washed.filter((g) => g.cooks.every((c) => cooks.includes(c)))
    const choices = branches.map((scenarios, k): Part[] =>
      scenarios.map((s, j) => ({
        work: optionWork(model, s, k, cooks),
        washed: washed.map((g) => g.options[k]![j]!),
      })),
    )
    const price = pricesOf(
      choices,
      washed.map((g) => sumOf(g.surely) - g.spared),
    )
    const at = (list: Work[], g: number) =>
      list.map((w) => ({ ...w, seconds: Math.floor(price[g]! * w.seconds) }))
    return {
      work: [
        ...this.common(cooks),
        ...choices.flatMap((parts) =>
          leastOf(parts.map((p) => [...p.work, ...p.washed.flatMap(at)])),
        ),
        ...washed.flatMap((g, k) => at(g.surely, k)),
      ],
      spared: washed.reduce((sum, g, k) => sum + Math.ceil(price[k]! * g.spared), 0),
    }
  }
}

/**
 * For each group the share of its washes that counts, such that the sum of the work is large: one after
 * another, from none and from all of them, as to raise one alone may only have another taken.
 */
function pricesOf(choices: Part[][], surplus: number[]): number[] {
  const hands = choices.map((parts) => parts.map((p) => sumOf(p.work)))
  const washed = choices.map((parts) => parts.map((p) => p.washed.map(sumOf)))
  const total = (price: number[]) =>
    choices.reduce(
      (sum, parts, k) =>
        sum +
        Math.min(
          ...parts.map((_, j) =>
            washed[k]![j]!.reduce((own, w, g) => own + price[g]! * w, hands[k]![j]!),
          ),
        ),
      surplus.reduce((sum, s, g) => sum + price[g]! * s, 0),
    )
  const climbed = (price: number[]) => {
    for (let sweep = 0; sweep < SWEEPS; sweep++)
      for (let g = 0; g < price.length; g++) {
        const tries = Array.from({ length: PRICES + 1 }, (_, p) => price.with(g, p / PRICES))
        price = tries.reduce((best, next) => (total(next) > total(best) ? next : best), price)
      }
    return price
  }
  const [none, all] = [0, 1].map((p) => climbed(surplus.map(() => p)))
  return total(none!) > total(all!) ? none! : all!
}

/**
 * Between d different contents on m stations there are at least d - m washes: all but the longest so many
 * count, between the first instant and the least that may go on after one.
 */
function surelyWashed({ surely, stations }: WashedGroup): Work[] {
  const counted = [...surely]
    .sort((a, b) => a.seconds - b.seconds)
    .slice(0, Math.max(0, surely.length - stations.length))
  if (!counted.length) return []
  const tail = Math.min(...surely.map((w) => w.tail))
  return [{ seconds: sumOf(counted), head: surely[0]!.head, tail }]
}

const sumOf = (work: Work[]) => work.reduce((sum, w) => sum + w.seconds, 0)

/** Hands work of what an option of a choice brings. */
function optionWork(
  model: Model,
  s: OptionScenario,
  choice: number,
  cooks: readonly number[],
): Work[] {
  return presentIn(model, s)
    .filter((a) => a.choice === choice)
    .flatMap((a) => handsWork(a, s, cooks))
}

function handsWork(activity: MActivity, s: OptionScenario, cooks: readonly number[]): Work[] {
  const perMode = activity.modes.map((mode) => phaseWork(activity, mode, s, cooks))
  return activity.modes.length === 1 ? perMode[0]! : leastOf(perMode)
}

function phaseWork(
  activity: MActivity,
  mode: MMode,
  s: OptionScenario,
  cooks: readonly number[],
): Work[] {
  const node = 2 * activity.index
  const out: Work[] = []
  let before = 0
  for (const [k, phase] of mode.phases.entries()) {
    // Facts may stand where two things could not be planned: they bind nothing.
    const begun = k < (activity.fact?.phases.length ?? 0)
    if (!begun && phase.hands && phase.min > 0 && phase.cooks.every((c) => cooks.includes(c)))
      out.push({
        seconds: phase.min,
        head: s.at[node]! + before,
        tail: s.tail[node + 1]! + mode.min - before - phase.min,
      })
    before += phase.min
  }
  return out
}

/** Seconds of hands that some cooks have in [from, to), absences taken off. */
function handsFree(model: Model, cooks: readonly number[], from: number, to: number): number {
  let sum = 0
  for (const c of cooks) {
    if (to <= from) continue
    sum += to - from
    for (const [a, b] of model.cooks[c]!.away)
      sum -= Math.max(0, Math.min(b, to) - Math.max(a, from))
  }
  return sum
}
