import type { WorkKind } from '../work'
import { clausesOf } from './clauses'
import { durationsIn } from './durations'
import { equipmentIn, equipmentOf, type Whereabouts } from './equipment'
import { isLiquid, isRaw } from './foods'
import { grouped, isBesideOnly, isHotFat, isStorageNote, type Group } from './groups'
import { namesOf, type IngredientRead } from './ingredientLine'
import { VESSELS } from './lexicon'
import { sentencesOf } from './sentences'
import { cooks, hygieneOf } from './stepHygiene'
import { GUESSED, timeOf } from './stepTime'
import { temperaturesIn } from './temperatures'
import { linked, type Draft } from './waits'
import { workOf } from './workOf'

/** One thing to do, as a method says it. */
export interface StepRead {
  id: string
  do: string
  work: WorkKind
  /** Least and most minutes. */
  minutes: [number, number]
  /** Whether the text states them, or they are a guess by the kind of work. */
  stated: boolean
  /** °C of oven or fat; a range as [low, high]; null where there is none. */
  celsius: number | [number, number] | null
  /** °C in the middle of the food at which it is done, where the text says so. */
  core?: number
  equipment: string[]
  hygiene: 'raw' | 'ready' | 'produce' | 'neutral'
  after: { step: string; least?: number; most?: number }[]
  /** Ids of the ingredients that its words name. */
  uses: string[]
  /** What the cook has to look at. */
  doubts: string[]
}

/** The steps of a method, with what waits for what; ingredients are told apart by their names. */
export function stepsOf(method: string, ingredients: readonly IngredientRead[]): StepRead[] {
  const reader = new Reader(ingredients, method)
  for (const sentence of sentencesOf(method))
    for (const group of grouped(clausesOf(sentence))) reader.take(group)
  return linked(reader.end())
}

/** Goes through a method and keeps in mind where the food is by now. */
class Reader {
  private readonly drafts: Draft[] = []
  private readonly cooked = new Set<string>()
  /** Ingredients that were spoken of so far. */
  private readonly named = new Set<string>()
  /** `Heat the oil`: waits for what is fried in it. */
  private prelude: string | undefined
  private readonly where: Whereabouts = {
    vessel: undefined,
    dish: undefined,
    oven: undefined,
    fryer: undefined,
    wet: false,
    opened: false,
    heated: undefined,
    pan: 'frying-pan',
  }

  constructor(
    private readonly ingredients: readonly IngredientRead[],
    method: string,
  ) {
    // Much liquid makes a bare `pan` a saucepan.
    const litres = ingredients.reduce(
      (sum, i) => sum + (isLiquid(i.item) ? i.amount * (LITRES[i.unit] ?? 0) : 0),
      0,
    )
    const poured =
      /\b(?:[4-9]\d\d ?ml|\d(?:\.\d+)? ?(?:l|litres?|liters?|pints?|quarts?)) (?:of )?(?:\w+ )?(?:stock|water|milk|broth)\b/i
    if (litres >= 0.4 || poured.test(method)) this.where.pan = 'pot'
    // Before its lid is locked a pressure cooker is a pot.
    this.where.opened = LOCKED.test(method)
  }

  take(group: Group): void {
    const text =
      this.prelude === undefined
        ? group.text
        : `${this.prelude.replace(/[.\s]+$/, '')}, then ${group.text.charAt(0).toLowerCase()}${group.text.slice(1)}`
    if (isHotFat(group) && !durationsIn(text).some((d) => d.kind === 'span')) {
      this.prelude = text
      const vessel =
        equipmentIn(text).find((k) => VESSELS.has(k)) ??
        (/\b(?:the|same) (?:[a-z]+ )?pan\b/i.test(text) ? this.where.vessel : undefined) ??
        (/\bpan\b/i.test(text) ? this.where.pan : undefined)
      if (vessel) this.goTo(vessel, false)
      this.where.heated = 'fry'
      return
    }
    this.prelude = undefined
    if (LOCKED.test(text)) this.where.opened = false
    const last = this.drafts[this.drafts.length - 1]
    if (last && isBesideOnly(group) && !durationsIn(text).length && last.work !== 'heat') {
      last.do = `${last.do}. ${sentenceCase(text)}`
      return
    }
    if (last && goesOn(group, last)) {
      const span = durationsIn(text).find((d) => d.kind === 'span')!
      last.minutes = [span.least, span.most]
      last.stated = true
      last.doubts = last.doubts.filter((d) => d !== GUESSED)
      last.do = `${last.do}: ${lowerFirst(sentenceCase(text))}`
      return
    }
    if (!isStorageNote(text)) this.drafts.push(this.draft({ ...group, text }))
  }

  end(): Draft[] {
    if (this.prelude !== undefined) {
      const text = this.prelude
      this.drafts.push(this.draft({ text, work: 'fry', verb: 'heat', meanwhile: false }))
    }
    return this.drafts
  }

  /** Whether an ingredient is in what is cooked here: not the meat that nobody has spoken of yet. */
  private isIn(i: IngredientRead, uses: readonly string[], work: WorkKind): boolean {
    if (uses.includes(i.id)) return true
    if (work === 'brown') return false
    return this.named.has(i.id) || !isRaw(i.item) || (!uses.length && !this.named.size)
  }

  private goTo(vessel: string, wet: boolean): void {
    const { where } = this
    if (vessel !== where.vessel && vessel !== 'bowl') where.wet = wet
    where.vessel = vessel
  }

  private draft(group: Group): Draft {
    const { where, ingredients, cooked } = this
    const { text } = group
    const uses = usedIn(text, ingredients)
    const items = uses.map((id) => ingredients.find((i) => i.id === id)!.item)
    const named = equipmentIn(text)
    const vessel = named.find((k) => VESSELS.has(k))
    const doubts: string[] = []
    const wet = isLiquid(text) || items.some(isLiquid)
    if (vessel && vessel !== where.vessel && vessel !== 'bowl') where.wet = false
    if (wet) where.wet = true
    const work = workOf(group, where, named, items)
    const equipment = equipmentOf(text, work, where)
    const heat = this.heatOf(text, work, equipment, doubts)
    const main = equipment.find((k) => VESSELS.has(k))
    // A bowl that nobody spoke of is no place where the dish is from now on.
    if (
      main &&
      work !== 'drain' &&
      work !== 'cut' &&
      work !== 'heat' &&
      (main !== 'bowl' || vessel) &&
      !/\b(?:hand|stick|immersion) blender\b/i.test(text)
    )
      this.goTo(main, wet)
    if (vessel && ['tray', 'oven-dish', 'tin'].includes(vessel)) where.dish = vessel
    if (cooks(work)) where.heated = work
    if (work === 'pressure') where.opened = false
    else if (where.vessel === 'pressure-cooker' && work === 'rest') where.opened = true
    const time = timeOf(text, work, uses, ingredients, doubts)
    const hygiene = hygieneOf(text, work, uses, ingredients, cooked, this.drafts)
    // What was browned is not done; what was simmered or baked is, and all that was in it.
    if (cooks(work)) for (const i of ingredients) if (this.isIn(i, uses, work)) cooked.add(i.id)
    for (const id of uses) this.named.add(id)
    const within = withinOf(text)
    return {
      do: sentenceCase(text),
      work,
      ...time,
      ...heat,
      equipment,
      hygiene,
      uses,
      doubts,
      meanwhile: group.meanwhile,
      separate: SEPARATE.test(text),
      verb: group.verb,
      ...(within === undefined ? {} : { within }),
    }
  }

  private heatOf(
    text: string,
    work: WorkKind,
    equipment: readonly string[],
    doubts: string[],
  ): Pick<Draft, 'celsius' | 'core'> {
    const { where } = this
    const all = temperaturesIn(text)
    const oven = all.find((t) => t.of !== 'core')
    const core = all.find((t) => t.of === 'core')
    if (oven?.doubt) doubts.push(oven.doubt)
    if (oven?.fan)
      doubts.push('the heat is stated for an oven with a fan: without one about 20 °C more')
    const stated: [number, number] | undefined = oven && [oven.least, oven.most]
    const fryer = equipment.includes('air-fryer')
    if (stated && (work === 'heat' || work === 'bake')) where[fryer ? 'fryer' : 'oven'] = stated
    const heat = work === 'bake' ? (stated ?? (fryer ? where.fryer : where.oven)) : stated
    if (work === 'bake' && !heat) doubts.push('no oven heat is stated')
    return {
      celsius: heat ? (heat[0] === heat[1] ? heat[0] : heat) : null,
      ...(core ? { core: core.most } : {}),
    }
  }
}

const LOCKED =
  /\b(?:lock|seal|secure|close|fasten)\b[^.;]*\blid\b|\blid (?:on|locked|closed)\b|\b(?:high|low|full) pressure\b|\b(?:to|under) pressure\b/i

/** Litres in a unit, for what is poured or comes in tins. */
const LITRES: Partial<Record<IngredientRead['unit'], number>> = { ml: 0.001, l: 1, g: 0.001, kg: 1 }
/** `Transfer to the oven. 2 hours, then lid off`: how long what was just begun takes. */
const goesOn = (group: Group, last: Draft) =>
  !last.stated &&
  cooks(last.work) &&
  /^(?:about |around )?\d[^,;.]*\b(?:hours?|hrs?|h|minutes?|mins?|min)\b[\s.,;]/i.test(
    `${group.text} `,
  ) &&
  /^(?:cook|take|turn|stir|remove|uncover)$/.test(group.verb)
const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
const SEPARATE =
  /\b(?:separate|another|second|clean|different|other) (?:\w+ )?(?:pan|pot|bowl|saucepan|skillet|dish)\b/i

const sentenceCase = (text: string) => {
  const tidy = text.replace(/[\s.,;:]+$/, '')
  return tidy.charAt(0).toUpperCase() + tidy.slice(1)
}

/** At once, or within so many minutes: how long the food may wait before this step. */
function withinOf(text: string): number | undefined {
  const span = durationsIn(text).find((d) => d.kind === 'within')
  if (span) return span.most
  return /\b(?:immediately|at once|straight ?away|right away)\b/i.test(text) ? 2 : undefined
}

/** Ids of the ingredients whose names stand in a text. */
export function usedIn(text: string, ingredients: readonly IngredientRead[]): string[] {
  const words = new Set(namesOf(text))
  // A word that several ingredients share tells none of them apart, unless it is all there is.
  const sharing = new Map<string, number>()
  for (const i of ingredients)
    for (const n of namesOf(i.item)) sharing.set(n, (sharing.get(n) ?? 0) + 1)
  return ingredients
    .filter((i) => {
      const names = namesOf(i.item)
      const hit = names.filter((n) => words.has(n))
      if (!hit.length) return false
      return hit.some((n) => sharing.get(n) === 1) || hit.length === names.length
    })
    .map((i) => i.id)
}
