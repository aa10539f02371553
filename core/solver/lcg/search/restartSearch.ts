import type { Decisions } from './decisions'
import type { Engine, Outcome } from '../engine/engine'
import type { Held } from './largeNeighbourhood'
import { PARAMS } from '../../params'

const { TRY_AFTER, RESTART, TIMES, LEAST, EACH, LATEST } = PARAMS.restartSearch

/** Searches for solutions with restarts, one after another, on what has been learned so far. */
export class RestartSearch {
  private restarts = 0
  /** Bounds followed by a usual search that ends in a solution. */
  private usual = 0

  constructor(
    private readonly engine: Engine,
    private readonly decisions: Decisions,
    private readonly activities: number,
  ) {}

  /**
   * A solution that meets the target and all that is held, in the engine, after at most so many
   * conflicts times so many; or that there is none (`engine.impossible`: with nothing held either),
   * or `limit`.
   */
  search(
    target: Held[number] | undefined,
    held: Held,
    conflicts: number,
    times: number,
    expired: () => boolean,
  ): Outcome {
    const { engine } = this
    const before = engine.followed
    engine.most = before + times * Math.max(TIMES * this.usual, LEAST + EACH * this.activities)
    const outcome = this.run(target, held, engine.conflicts + times * conflicts, expired)
    engine.most = Infinity
    if (outcome === 'solution') this.usual += (engine.followed - before - this.usual) * LATEST
    return outcome
  }

  private run(
    target: Held[number] | undefined,
    held: Held,
    limit: number,
    expired: () => boolean,
  ): Outcome {
    const { engine, decisions } = this
    engine.backtrack(0)
    engine.tidy()
    let restart = engine.conflicts + RESTART * luby(++this.restarts)
    let sinceTry: number = TRY_AFTER
    for (let turn = 0; ; turn++) {
      if ((turn & 31) === 31 && expired()) return 'limit'
      if (!engine.propagate()) {
        if (!engine.learn()) return 'impossible'
        if (engine.conflicts >= limit || expired()) return 'limit'
        if (!held.length && engine.conflicts >= restart) {
          engine.backtrack(0)
          restart = engine.conflicts + RESTART * luby(++this.restarts)
        }
        continue
      }
      if (engine.spent) return 'limit'
      // First the length that is asked for, alone, so that a refusal of it is learned; then
      // everything that the neighbourhood holds, at once.
      if (engine.level === 0) {
        if (!engine.assume(target === undefined ? [] : [target])) return 'impossible'
        continue
      }
      if (engine.level === 1 && held.length) {
        if (!engine.assume(held)) return 'impossible'
        continue
      }
      if (++sinceTry >= TRY_AFTER) {
        sinceTry = 0
        if (decisions.finish()) continue
      }
      if (!decisions.next()) return 'solution'
    }
  }
}

/** 1 1 2 1 1 2 4 …: the restart sequence of Luby, Sinclair and Zuckerman (1993). */
function luby(i: number): number {
  for (let k = 1; ; k++) {
    if (i === (1 << k) - 1) return 1 << (k - 1)
    if (i < (1 << k) - 1) return luby(i - (1 << (k - 1)) + 1)
  }
}
