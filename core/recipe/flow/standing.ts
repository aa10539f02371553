import type { Step } from '../schema'
import { isBread, isGrain } from '../text/foods'
import { cooks, ON_HEAT } from '../work'
import type { Lot } from './lots'

/** How long food may stand between two steps where the recipe does not say. */
export interface Standing {
  /** Minutes within which it is best. */
  best: number
  /** Minutes that it may stand at most. */
  most: number
  /** Whether more would spoil it or make it unsafe, rather than a little worse. */
  must: boolean
  /** Why, as one would say it, and where the figure comes from. */
  source: string
}

interface Rule extends Standing {
  id: string
  /** `same`: both are done in the same vessel. */
  when: (from: Lot, a: Step, b: Step, same: boolean) => boolean
}

const OURS = 'an estimate of ours'
const GUIDANCE = 'usual food safety guidance'
/** On the hob to be cooked; browned meat has a rule of its own. */
const cookOnHob = ({ work }: Step) => ON_HEAT.has(work) && work !== 'brown'
const ICED = /\b(?:iced?|ice[ -]cold|cold (?:running )?water|ice bath)\b/i

const HOT_WATER = /\b(?:hot|boiling|boiled|warm)\b[^.;]*\bwater\b/i

/** Whether it lies in hot water that makes it soft, and then too soft. */
export const softens = ({ work, do: text }: Pick<Step, 'work' | 'do'>) =>
  work === 'soak' && HOT_WATER.test(text) && isGrain(text)

/**
 * The longest waits by what the food is and what comes next; the first that fits counts. What is in
 * none of them may stand: cut vegetables, rested dough, dry goods, cold food that is ready.
 */
export const STANDING: Rule[] = [
  {
    id: 'drain',
    when: (_, a, b) => b.work === 'drain' && (a.work === 'boil' || a.work === 'simmer'),
    best: 1,
    most: 2,
    must: true,
    source: `it goes on cooking in its water: ${OURS}`,
  },
  {
    id: 'fried',
    when: (_, a, b) => b.work === 'drain' && a.work === 'fry',
    best: 1,
    most: 3,
    must: true,
    source: `it goes on browning in its hot fat: ${OURS}`,
  },
  {
    id: 'ice',
    when: (from, _, b) => from.hot && b.work === 'cool' && ICED.test(b.do),
    best: 1,
    most: 2,
    must: true,
    source: `it goes on cooking until it is in cold water: ${OURS}`,
  },
  {
    id: 'warm bread',
    when: (_, a) => a.work === 'heat' && isBread(a.do),
    best: 5,
    most: 15,
    must: false,
    source: `it goes cold and stiff: ${OURS}`,
  },
  {
    id: 'soaked hot',
    when: (_, a) => softens(a),
    best: 5,
    most: 10,
    must: false,
    source: `it goes on softening in its water: ${OURS}`,
  },
  {
    id: 'in the pan',
    when: (from, a, b, same) =>
      same && from.hot && cookOnHob(a) && ['mix', 'assemble', 'season'].includes(b.work),
    best: 3,
    most: 8,
    must: false,
    source: `what is in the pan goes on cooking until the rest is in: ${OURS}`,
  },
  {
    id: 'on the hob',
    when: (from, a, b, same) => same && from.hot && cookOnHob(a) && cookOnHob(b),
    best: 2,
    most: 5,
    must: false,
    source: `what is on the heat goes on cooking until the next step begins: ${OURS}`,
  },
  {
    id: 'out of the cold',
    when: (from) => from.cold && (from.raw || from.dough),
    // It may lie in the cold for longer: there it waits, not beside the stove.
    best: 5,
    most: 15,
    must: true,
    source: `what was chilled is used before it warms up: ${GUIDANCE}, the figure ${OURS}`,
  },
  {
    id: 'into the cold',
    when: (from, _, b) => from.raw && b.work === 'chill',
    best: 2,
    most: 10,
    must: true,
    source: `raw food that is to be cold goes into the cold at once: ${GUIDANCE}, the figure ${OURS}`,
  },
  {
    id: 'raw',
    when: (from) => from.raw && !from.dough,
    best: 15,
    most: 30,
    must: true,
    source: `raw meat, fish and egg stay out of the cold no longer than half an hour: ${GUIDANCE}, with a margin of ours`,
  },
  {
    id: 'browned',
    when: (from) => from.part,
    best: 10,
    most: 20,
    must: true,
    source: `browned meat is not cooked through and goes straight on: ${GUIDANCE}, the figure ${OURS}`,
  },
  {
    id: 'risen',
    when: (_, a, b) => a.work === 'prove' && (b.work === 'bake' || b.work === 'assemble'),
    best: 5,
    most: 12,
    must: true,
    source: `risen dough falls again: ${OURS}`,
  },
  {
    id: 'risen dough',
    when: (_, a) => a.work === 'prove',
    best: 10,
    most: 25,
    must: false,
    source: `dough goes on rising: ${OURS}`,
  },
  {
    id: 'dough',
    when: (from, a, b) => from.dough && !from.cold && a.work !== 'chill' && b.work === 'bake',
    best: 5,
    most: 15,
    must: false,
    source: `dough and batter lose their lift before the oven: ${OURS}`,
  },
  {
    id: 'dough worked',
    when: (from, a) => from.dough && a.work !== 'chill' && a.work !== 'rest',
    best: 10,
    most: 30,
    must: false,
    source: `worked dough dries out and rises unevenly: ${OURS}`,
  },
  {
    id: 'rinsed',
    when: (from, a) => a.work === 'drain' && !from.cooked && !from.raw,
    best: 15,
    most: 45,
    must: false,
    source: `rinsed and soaked grain and pulses dry out or ferment: ${OURS}`,
  },
  {
    id: 'from the cold',
    when: (from) => from.cold && from.cooked,
    best: 30,
    most: 60,
    must: true,
    source: `ready food stays cold until it is wanted: ${GUIDANCE}, the figure ${OURS}`,
  },
  {
    id: 'carve',
    when: (from, a, b) => from.hot && a.work === 'rest' && b.work === 'cut',
    best: 10,
    most: 20,
    must: false,
    source: `a roast gets cold after its rest: ${OURS}`,
  },
  {
    id: 'set down',
    when: (from, _, b) => from.hot && (b.work === 'rest' || b.work === 'cool'),
    best: 10,
    most: 10,
    must: false,
    source: `it is set down to cool or rest as soon as it is off the heat: ${OURS}`,
  },
  {
    id: 'drained',
    when: (from, a, b) =>
      from.hot && a.work === 'drain' && (from.grain || isGrain(`${a.do} ${b.do}`)),
    best: 5,
    most: 10,
    must: false,
    source: `drained grain and pasta stick together: ${OURS}`,
  },
  {
    id: 'next heat',
    when: (from, _, b) => from.hot && (cooks(b.work) || b.work === 'heat'),
    best: 10,
    most: 25,
    must: false,
    source: `hot food goes on to its next heat before it cools: ${OURS}`,
  },
  {
    id: 'hot',
    when: (from) => from.hot,
    best: 15,
    most: 30,
    must: false,
    source: `hot food is seen to while it is hot: ${OURS}`,
  },
]

/** How long food may stand between two steps; undefined where it may stand as long as one likes. */
export function standingBetween(from: Lot, a: Step, b: Step, same = false): Standing | undefined {
  const rule = STANDING.find((r) => r.when(from, a, b, same))
  return rule && { best: rule.best, most: rule.most, must: rule.must, source: rule.source }
}
