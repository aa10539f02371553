import { Moves } from '../improve/moves'
import type { SearchState } from './searchState'
import type { Strategy } from './strategy'

/** Simulated annealing over encodings, with kicks now and then. */
export function annealingStrategy(state: SearchState): Strategy {
  const { decoder, incumbent, model, random } = state
  const moves = new Moves(model, random)
  return {
    ready: () => decoder.annealing.energy < Infinity,
    step: () => {
      const { annealing } = decoder
      const kick = annealing.turn(state.iterations)
      if (kick) moves.kick(annealing.candidate, annealing.current)
      else moves.change(annealing.candidate, annealing.current, incumbent.gathers)
      const origin = kick ? 'kick' : 'change'
      const found = decoder.assemble(origin)
      if (found) return decoder.take(found, origin, state.iterations)
      if (kick) annealing.giveUp()
      return false
    },
  }
}
