import type { Random } from '../solver'
import type { Draw } from './network'
import type { Times } from './times'

/** How long everything takes in one run, by the keys of the draws: the same however it is planned anew. */
export class Luck {
  private readonly known = new Map<string, [seconds: number, late: number]>()
  private readonly people = new Map<string, number>()

  /** @param noise how much of the spread there is: 0 for none, 1 for the usual */
  constructor(
    private readonly random: Random,
    private readonly times: Times,
    private readonly noise: number,
  ) {}

  /** Seconds that it takes, and how much later somebody comes to see to it. */
  of(draw: Draw): readonly [seconds: number, late: number] {
    const known = this.known.get(draw.key)
    if (known) return known
    const drawn: [number, number] = [Math.round(this.seconds(draw)), Math.round(this.late(draw))]
    this.known.set(draw.key, drawn)
    return drawn
  }

  private seconds({ kind, seconds, cook, work }: Draw): number {
    const { times, noise } = this
    if (noise === 0 || seconds === 0 || kind === 'reaction') return seconds
    if (kind === 'hands') {
      const pace =
        this.person(`${cook}`, times.person) +
        this.person(`${cook} ${work}`, times.work) +
        this.normal() * times.step
      const mishap =
        this.random() < times.mishap * noise ? this.exponential(times.mishapSeconds) : 0
      return seconds * Math.exp(noise * pace) + mishap
    }
    const spread = kind === 'ramp' ? times.ramp : times[kind]
    return seconds * Math.exp(noise * spread * this.normal())
  }

  private late({ kind, called }: Draw): number {
    if (kind !== 'reaction' && !called) return 0
    return this.noise * this.exponential(this.times.reaction)
  }

  private person(who: string, spread: number): number {
    const pace = this.people.get(who) ?? this.normal() * spread
    this.people.set(who, pace)
    return pace
  }

  private exponential(mean: number): number {
    return -mean * Math.log(1 - this.random())
  }

  /** Normally distributed around 0 (Box and Muller, 1958). */
  private normal(): number {
    return Math.sqrt(-2 * Math.log(1 - this.random())) * Math.cos(2 * Math.PI * this.random())
  }
}
