import { BRIEF } from '../../../plan'
import type { Model } from '../../model/model'
import { below, type Random } from '../../structures/random'
import { ALWAYS } from '../engine/literals'
import type { Decisions } from './decisions'
import type { Literal } from '../engine/trail'
import type { OrderEnd, SessionModel, Touch } from '../model/sessionModel'
import { PARAMS } from '../../params'

/** What a neighbourhood lies around: anything, where a cook's work begins or ends, or a change of dish. */
export type Around = 'anything' | 'ends' | 'changes'

const { NEAR, ANYWHERE, DISHES } = PARAMS.largeNeighbourhood

/** Bound literals to be held as far as they can be. */
export type Held = [number, number][]

/**
 * Large neighbourhood search (Shaw, 1998): what is held and what is free near the plan whose values the
 * decisions have.
 */
export class LargeNeighbourhood {
  constructor(
    private readonly session: SessionModel,
    private readonly model: Model,
    private readonly random: Random,
    private readonly decisions: Decisions,
  ) {}

  private get values(): Int32Array {
    return this.decisions.values
  }

  /** Everything that the plan to stay near says: who, where, how, and the order of neighbours. */
  everything(): Held {
    const held = this.around(new Set())
    for (const literals of this.decisions.washCodes)
      for (const literal of literals) this.hold(held, literal)
    return held
  }

  /** Holds everything of the best plan but what belongs to some of its activities. */
  around(free: Set<number>): Held {
    const { session, values } = this
    const held: Held = []
    const hold = (literal: Literal | undefined) => this.hold(held, literal)
    this.decisions.perActivity.forEach((literals, i) => {
      if (!free.has(i)) literals.forEach(hold)
    })
    // Neighbours in time keep their order; all others follow from that.
    const holdOrder = (list: OrderEnd[]) => {
      const order = list
        .filter((t) => !free.has(t.activity) && !free.has(t.until) && values[t.s]! >= 0)
        .sort((a, b) => values[a.s]! - values[b.s]! || values[a.e]! - values[b.e]!)
      for (let i = 1; i < order.length; i++) hold(session.turnOf(order[i - 1]!, order[i]!))
    }
    for (let c = 0; c < this.model.cooks.length; c++) holdOrder(this.touchesOf(c))
    for (const place of session.places)
      if (place.stations.length === 1) holdOrder(place.uses.filter((u) => this.taken(u.literal)))
    return held
  }

  private hold(held: Held, literal: Literal | undefined): void {
    const value = literal !== undefined && literal >= 0 ? this.values[literal >> 1]! : -1
    if (value < 0) return
    const x = literal! >> 1
    held.push(value === 1 ? [2 * x, 1] : [2 * x + 1, 0])
  }

  /** Gives the neighbours in each cook's work an order; whether one had none yet. */
  order(): boolean {
    const { session } = this
    const before = session.orders.length
    for (let c = 0; c < this.model.cooks.length; c++) {
      const list = this.inOrder(c).filter((t) => !t.fact)
      for (let i = 1; i < list.length; i++) session.lateTurn(list[i - 1]!, list[i]!)
    }
    return session.orders.length > before
  }

  /** What a cook has in hand in the best plan. */
  touchesOf(cook: number): Touch[] {
    return this.session.touches.filter(
      (t) =>
        this.values[t.s]! >= 0 && t.cooks.some((x) => x.cook === cook && this.taken(x.literal)),
    )
  }

  /** The same in order. */
  inOrder(cook: number): Touch[] {
    const { values } = this
    return this.touchesOf(cook).sort(
      (a, b) => values[a.s]! - values[b.s]! || values[a.e]! - values[b.e]!,
    )
  }

  private taken(literal: Literal): boolean {
    return literal === ALWAYS || (literal >= 0 && this.values[literal >> 1] === 1 - (literal & 1))
  }

  private centre(length: number, around: Around): number {
    const { model, random } = this
    const anywhere = random() * length
    if (around === 'anything' || random() < ANYWHERE) return anywhere
    const list = this.touchesOf(below(random, model.cooks.length))
    if (!list.length) return anywhere
    if (around === 'changes') {
      const [, after] = this.changeOf(list)
      return after ? this.values[after.s]! : anywhere
    }
    return random() < 0.5
      ? Math.min(...list.map((t) => this.values[t.s]!))
      : Math.max(...list.map((t) => this.values[t.e]!))
  }

  /** Two stays of one cook at different dishes, one after the other; nothing where there are none. */
  private changeOf(list: Touch[]): [] | [Touch, Touch] {
    const stays = list
      .filter((t) => t.activity >= 0 && t.least > BRIEF)
      .sort((a, b) => this.values[a.s]! - this.values[b.s]!)
    const changes = stays.flatMap((t, k) => {
      const before = stays[k - 1]
      return before && this.dishOf(before.activity) !== this.dishOf(t.activity) ? [k] : []
    })
    if (!changes.length) return []
    const k = changes[below(this.random, changes.length)]!
    return [stays[k - 1]!, stays[k]!]
  }

  private dishOf(activity: number): string | undefined {
    return this.model.problem.activities[activity]!.dish
  }

  /** Activities to leave free: such a share of all, of a plan of such a length, mostly around something. */
  pick(share: number, length: number, about: Around): Set<number> {
    const { model, random, session } = this
    const n = model.activities.length
    const wanted = Math.min(n, Math.max(3, Math.round(n * share)))
    const free = new Set<number>()
    // Of a large session only what lies together: the order of the rest was never asked for.
    const kind = session.partial ? 0 : random()
    const startOf = (i: number) => this.values[session.activities[i]?.start ?? 0]!
    if (kind < NEAR[about]) {
      const centre = this.centre(length, about)
      const order = model.activities
        .map((a) => a.index)
        .sort((a, b) => Math.abs(startOf(a) - centre) - Math.abs(startOf(b) - centre))
      for (const i of order.slice(0, wanted)) free.add(i)
    } else if (kind < DISHES || !session.places.length) {
      const dishes = [...new Set(model.problem.activities.map((a) => a.dish ?? a.id))]
      if (about === 'changes')
        for (const t of this.changeOf(this.touchesOf(below(random, model.cooks.length)))) {
          const k = dishes.indexOf(this.dishOf(t.activity) ?? '')
          if (k >= 0) dishes.unshift(...dishes.splice(k, 1))
        }
      let named = about === 'changes' ? 2 : 0
      while (free.size < wanted && dishes.length) {
        const [dish] = dishes.splice(named-- > 0 ? 0 : below(random, dishes.length), 1)
        model.problem.activities.forEach((a, i) => {
          if ((a.dish ?? a.id) === dish) free.add(i)
        })
      }
    } else {
      const place = session.places[below(random, session.places.length)]!
      for (const use of place.uses) free.add(use.activity)
      while (free.size < wanted) free.add(below(random, n))
    }
    return free
  }
}
