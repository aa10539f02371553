import { copyEncoding, emptyEncoding, type Encoding } from '../sgs/encoding'
import type { Model } from '../model/model'
import type { Random } from '../structures/random'
import type { SerialSchedule } from '../sgs/serialScheduleGeneration'
import { encodeSchedule } from '../sgs/encodeSchedule'
import { PARAMS } from '../params'

const { EXCURSION, AT_HOME, TOLERANCE, HEAT, AWAY } = PARAMS.annealing
/** Which of the schedules tried the search goes on from: annealing, with excursions. */
export class Annealing {
  /** What the next schedule is put together from. */
  candidate: Encoding
  /** What it is changed from, and its energy. */
  current: Encoding
  energy = Infinity
  private heat = 0
  /** Where an excursion set out from, its energy, and when the next one begins or this one ends. */
  private readonly home: Encoding
  private homeEnergy = Infinity
  private away = false
  private turning = 0
  /** Schedules from one heating to the next. */
  private readonly rounds: number

  constructor(
    model: Model,
    private readonly random: Random,
  ) {
    this.candidate = emptyEncoding(model)
    this.current = emptyEncoding(model)
    this.home = emptyEncoding(model)
    this.rounds = 40 * model.activities.length + 200
  }

  /** Whether an excursion begins; one that is over and led nowhere ends where it began. */
  turn(iteration: number): boolean {
    if (iteration < this.turning) return false
    const { random, current, home } = this
    const spread = 0.5 + random()
    if (!this.away) {
      copyEncoding(current, home)
      this.homeEnergy = this.energy
      this.away = true
      this.turning = iteration + EXCURSION * spread
      return true
    }
    this.away = false
    this.turning = iteration + AT_HOME * spread
    const worse = this.energy - this.homeEnergy
    if (worse > 0 && random() >= Math.exp(-worse / (TOLERANCE * Math.abs(this.homeEnergy)))) {
      copyEncoding(home, current)
      this.energy = this.homeEnergy
    }
    return false
  }

  /** Whether to go on from a schedule of such an energy. */
  accepts(energy: number, constructing: boolean, iteration: number): boolean {
    if (energy <= this.energy) return true
    if (constructing) return false
    const progress = (iteration % this.rounds) / this.rounds
    const temperature = this.heat * (this.away ? AWAY : (1 - progress) * (1 - progress))
    return this.random() < Math.exp((this.energy - energy) / Math.max(1e-9, temperature))
  }

  /** The excursion that was to begin has led to nothing that could be put together. */
  giveUp(): void {
    this.away = false
  }

  /** Goes on from the candidate, as it was put together. */
  accept(energy: number, schedule: SerialSchedule): void {
    const { candidate, current } = this
    this.candidate = current
    this.current = candidate
    this.energy = energy
    this.heat = Math.max(1, Math.abs(energy) * HEAT)
    encodeSchedule(candidate, schedule)
  }
}
