import { cooks, type WorkKind } from '../work'
import type { Whereabouts } from './equipment'
import { isMeat, isRaw } from './foods'
import { namesOf, singular, type IngredientRead } from './ingredientLine'
import { plain } from './plain'
import {
  bareOf,
  isReserved,
  isStaple,
  madeIn,
  fullProductsIn,
  namesKind,
  productsIn,
  PUT_INTO,
  shareOf,
} from './references'

/** Food that goes through a method by itself until it meets other food. */
export interface Thread {
  /** The step that it comes from. */
  last: number
  items: Set<string>
  names: Set<string>
  /** Raw meat, fish or egg is in it that nothing has cooked through. */
  raw: boolean
  cooked: boolean
  /** Some heat has cooked it all through, whatever came to it afterwards. */
  through: boolean
  where: Whereabouts
  /** Where it lay when it was last in a vessel: the food may have been lifted out since. */
  lifted: boolean
  section: number
  /** It went into something else, or was served. */
  closed: boolean
  /** Parts of it go different ways from this step on. */
  divided: number | undefined
  /** More than one thing is apart in it: meat lifted out, and what it cooked in. */
  parted: boolean
  /** Into how many pieces it was divided. */
  pieces?: number
  /** Something was lifted out of it, and it stays in its pot until that comes back. */
  left?: boolean
  /** The first layer in a dish, which what is tucked in comes onto. */
  base?: boolean
  /** The step that lifted it out: nothing is done to what stays before that. */
  liftedAt?: number
}

/** What a step says, as far as it tells which food it is about. */
export interface Mention {
  text: string
  verb: string
  work: WorkKind
  uses: string[]
  /** Kinds of vessel that its words name. */
  vessels: string[]
  section: number
  label: string | undefined
  /** The same sentence as the step before. */
  goesOn: boolean
  meanwhile: boolean
}

/** Where a step's food comes from. */
export interface Sources {
  /** The food that goes on; undefined where something new begins. */
  main: Thread | undefined
  others: Thread[]
  /** Steps of which only a vessel is taken over. */
  order: number[]
  /** Steps whose food is taken without going on from where it is now: bones, juices. */
  after: number[]
  /** Put back to what is still in the pot that it came from. */
  back?: boolean
  /** A tin or a tray is got ready, and nothing is cooked. */
  prepares?: true
  /** Ingredients that are touched for the first time, or a part of them is. */
  fresh: string[]
}

const CITRUS = /\b(?:lemons?|limes?|oranges?|grapefruits?|clementines?)\b/i
const ZESTS = /\b(?:zest|rind)\b/
const SQUEEZES = /\b(?:squeeze|juice|halve|slice|segment|quarter)\b/
const KEEPS_LIQUID =
  /\b(?:keep|reserv|sav)(?:e|es|ing)?\b[^.;]*\b(?:liquid|liquor|water|milk)\b|\bstrain(?:ing)? the (?:[a-z]+ )?(?:liquid|liquor|milk)\b/
/** `To serve, boil the pasta` begins something of its own. */
export const SERVES =
  /^(?:serve|eat|dish up|plate)\b|^(?:put|pile|set) (?:everything|it all|the lot) on the table\b|^to serve\b(?!,? (?:boil|cook|toast|fry|grill|bake|steam|roast|reheat|warm|heat)\b)/
const LIFTS =
  /^(?:grind|pound)\b|\bremove (?:it |them )?from (?:the )?(?:skillet|pan|pot|wok)\b|\b(?:lift|take|remove|removing|lifting|transferring|transfer|scoop|set|tip)\b[^.;]*\b(?:out|aside|onto|on to|to a|slotted spoon|plate|board|colander)\b|\blift (?:the|out)\b|^put (?:it |them |the [a-z]+ )?on an? (?:[a-z]+ )?(?:plate|board)\b|^reserve[.\s]*$/
/** Lifted into what it goes on in. */
const LIFTED_INTO =
  /\b(?:into the|to the) (?:slow|pressure)|\binto an? (?:[a-z-]+ ){0,3}(?:dish|tin|tray)\b/
const PARTS =
  /\b(?:reserve|reserving|keep(?:ing)? back|save|transfer|lift|strain|separate|scoop|slotted spoon)\b|\b(?:take|fish|remove)\b[^.;]*\b(?:out|from)\b/
const DIVIDES =
  /\b(?:divide|split|share)\b[^.;]*\b(?:into|between|in) (?:\w+ )?(?:2|3|4|5|6|halves|half|thirds|quarters|two|three|four|five|six)\b/
/** The first layer in a dish that is still empty. */
export const BASE_LAYER = /\b(?:over|on|in|into|across) the (?:base|bottom) of\b/
/** Names for what meat was cooked in. */
export const LIQUOR = ['stock', 'broth', 'liquor', 'liquid']
const IN_LIQUID = new Set<WorkKind>(['simmer', 'boil', 'slow', 'pressure'])
const PIECES =
  /\b(?:divide|cut|split|shape|form|roll)\b[^.;]*?\b(?:in)?to (?:about )?(\d+)\b(?! ?(?:cm|mm|inch|min))/
export const WATER =
  /\b(?:bring|boil|heat|fill|put)\b[^.;]*\b(?:pan|pot|saucepan|kettle)\b[^.;]*\bwater\b|\b(?:bring|boil)\b[^.;]*\bwater\b[^.;]*\bboil\b/
export const ICE = /\b(?:fill|prepare|set up|have|make)\b[^.;]*\b(?:ice|iced)\b/

/** Keeps in mind which food is where while a method is read. */
export class Threads {
  readonly all: Thread[] = []
  current: Thread | undefined
  /** The step that last used each kind of vessel. */
  readonly usedLast = new Map<string, number>()
  /** The step that left bones, and those that left juices in a tin. */
  boned: number | undefined
  roasted: number[] = []
  /** Steps that have lifted a roast out: its juices and its tin are free from then on. */
  private readonly freed = new Set<number>()
  liquid: number | undefined
  /** What a part of went into something else, and the rest of it did not. */
  lent: Thread | undefined
  /** Which ingredients were taken in part so far. */
  readonly parted = new Set<string>()
  readonly named = new Set<string>()
  section = -1
  /** Of which food a part was taken as it stood then, by ingredient: the rest of it is still there. */
  readonly leftAt = new Map<string, number>()
  /** Fruit of which only the rind went in. */
  readonly zested = new Set<string>()
  /** Tins that were lined or greased, and by which step, until something goes into them. */
  readonly prepared = new Map<string, number>()

  /**
   * @param calledInFull ids of ingredients that the method somewhere calls by all their words: `icing sugar`
   */
  constructor(
    readonly ingredients: readonly IngredientRead[],
    readonly calledInFull: ReadonlySet<string> = new Set(),
    /** Ids of those that it names anywhere. */
    readonly spokenOf: ReadonlySet<string> = new Set(),
    /** Words by which it may call the whole dish. */
    readonly dishWords: ReadonlySet<string> = new Set(),
  ) {}

  item(id: string): string {
    return this.ingredients.find((i) => i.id === id)!.item
  }

  /** Whether `the tin` can only be the one that something was roasted in. */
  isRoasting(): boolean {
    return this.usedLast.has('tray') && !this.usedLast.has('tin') && !this.prepared.has('tin')
  }

  isNamed(id: string): boolean {
    return this.named.has(id)
  }

  /** Ingredients that nothing has been said of yet. */
  unnamed(fresh: readonly string[]): IngredientRead[] {
    return this.ingredients.filter((i) => !this.named.has(i.id) && !fresh.includes(i.id))
  }

  /** Whether a text speaks of something in it by the name of its kind. */
  isOfKind(lower: string, thread: Thread): boolean {
    return [...thread.items].some((id) => namesKind(lower, this.item(id)))
  }

  /** Takes a step down: the food of its sources is now one, unless it was divided. */
  taken(
    step: number,
    mention: Mention,
    sources: Sources,
    where: Whereabouts,
    state: Pick<Thread, 'raw' | 'cooked' | 'through'>,
  ): void {
    const { main, others, fresh } = sources
    const lower = mention.text.toLowerCase()
    // Serving is the end of what is served, and not of what is said after it.
    if (SERVES.test(lower) && main) {
      for (const id of fresh) this.named.add(id)
      return
    }
    for (const t of this.open) if (t.left && t !== main) t.liftedAt ??= step
    const begun = main === undefined
    const thread: Thread = main ?? {
      last: step,
      items: new Set(),
      names: new Set(),
      raw: false,
      cooked: false,
      through: false,
      where,
      lifted: false,
      section: mention.section,
      closed: false,
      divided: undefined,
      parted: false,
    }
    if (begun) this.all.push(thread)
    for (const id of fresh) {
      thread.items.add(id)
      this.named.add(id)
      if (ZESTS.test(lower) && CITRUS.test(this.item(id))) this.zested.add(id)
      if (
        shareOf(
          mention.text,
          this.ingredients.find((i) => i.id === id)!,
        ) !== 'all'
      )
        this.parted.add(id)
    }
    for (const other of others) {
      for (const id of other.items) thread.items.add(id)
      for (const name of other.names) thread.names.add(name)
      other.closed = true
    }
    for (const name of [...madeIn(mention.text), ...labelNames(mention.label)])
      thread.names.add(name)
    for (const name of productsIn(bareOf(mention.text)))
      if (
        !this.latest((t) => t.names.has(name)) &&
        // `Fish sauce` makes no sauce of what it goes into.
        ![...thread.items].some((id) => namesOf(this.item(id)).includes(name))
      )
        thread.names.add(name)
    for (const name of this.groupNames(thread)) thread.names.add(name)
    const lastOf = thread.last
    thread.last = step
    thread.where = where
    Object.assign(thread, state)
    thread.section = mention.section
    thread.lifted = LIFTS.test(lower) && !LIFTED_INTO.test(lower)
    thread.parted = thread.items.size > 1 && (PARTS.test(lower) || /\bboth\b/.test(lower))
    if (WATER.test(lower)) thread.names.add('boiling water')
    else if (mention.work === 'drain') thread.names.delete('boiling water')
    if (ICE.test(lower)) thread.names.add('ice bath')
    const boxes = PUT_INTO.exec(lower)?.[1]
    if (boxes) thread.names.add(boxes.replace(/es$|s$/, '') === 'glass' ? 'glass' : singular(boxes))
    if (KEEPS_LIQUID.test(lower)) this.liquid = step
    // What meat or bones were cooked in is a stock, where the list has none.
    if (IN_LIQUID.has(mention.work) && this.hasMeat(thread))
      for (const name of [...LIQUOR, ...(this.hasSauce ? [] : ['sauce', 'gravy'])])
        if (!this.ingredients.some((i) => namesOf(i.item).includes(name))) thread.names.add(name)
    // What the juices of a roast are boiled down to.
    if (IN_LIQUID.has(mention.work) && /\bjuices\b/.test(lower) && !this.hasMeat(thread))
      for (const name of ['sauce', 'gravy', 'juices']) thread.names.add(name)
    const pieces = PIECES.exec(plain(lower))
    if (pieces) thread.pieces = Number(pieces[1])
    if (DIVIDES.test(lower)) thread.divided = step
    thread.base = BASE_LAYER.test(lower)
    if (/\b(?:carve|pull|strip|shred|bone|pick|joint)\b/.test(lower) && this.hasMeat(thread))
      this.boned = step
    // Once it has been lifted out, its juices and its tin are free.
    if (
      main &&
      this.roasted.includes(lastOf) &&
      !this.freed.has(lastOf) &&
      !['bake', 'slow', 'heat', 'grill'].includes(mention.work)
    ) {
      this.roasted = this.roasted.map((k) => (k === lastOf ? step : k))
      this.freed.add(step)
    }
    if (['bake', 'slow'].includes(mention.work) && this.hasMeat(thread))
      this.roasted = [...this.roasted.filter((k) => k !== step), step]
    this.current = thread
    this.section = mention.section
    for (const kind of mention.vessels) this.usedLast.set(kind, step)
    // A pan is the same though what was browned in it has been lifted out.
    if (where.vessel && mention.work !== 'cut' && (!thread.lifted || cooks(mention.work)))
      this.usedLast.set(where.vessel, step)
  }

  /** A sauce or a gravy is made by itself, or listed. */
  private get hasSauce(): boolean {
    const isOne = (text: string | undefined) => /\b(?:sauce|gravy)\b/i.test(text ?? '')
    return (
      this.ingredients.some((i) => isOne(i.item) || isOne(i.group)) ||
      this.all.some((t) => [...t.names].some(isOne) && !this.hasMeat(t))
    )
  }

  /** A word about what was done last that is no step of its own: something may be lifted out. */
  beside(text: string): void {
    const { current } = this
    if (!current) return
    if (LIFTS.test(text.toLowerCase())) current.lifted = true
    if (PARTS.test(text.toLowerCase())) current.parted = true
    if (KEEPS_LIQUID.test(text.toLowerCase())) this.liquid = current.last
  }

  /** Whether nothing but lemon, orange or the like is in it. */
  isCitrus({ items }: Thread): boolean {
    return items.size > 0 && [...items].every((id) => CITRUS.test(this.item(id)))
  }

  hasMeat(thread: Thread): boolean {
    return [...thread.items].some((id) => isMeat(this.item(id)))
  }

  /** All that is in the food of a step. */
  itemsOf({ main, others, fresh }: Sources): string[] {
    const ids = new Set([...[main, ...others].flatMap((t) => [...(t?.items ?? [])]), ...fresh])
    return [...ids].map((id) => this.item(id))
  }

  /** Food that nothing has taken up yet. */
  get open(): Thread[] {
    return this.all.filter((t) => !t.closed)
  }

  /** Under a new heading what was divided before goes on in a part of its own. */
  turnTo(mention: Mention): void {
    const divided = this.all.findLast((t) => t.divided !== undefined)
    if (!divided) return
    const part: Thread = {
      ...divided,
      items: new Set(divided.items),
      names: new Set(divided.names),
      last: divided.divided!,
      section: mention.section,
      closed: false,
    }
    this.all.push(part)
    this.current = part
  }

  /** Food of which one part goes another way than the other: `wrap one`, and later `bake the other`. */
  otherPart(mention: Mention): Thread | undefined {
    const divided = this.all.findLast((t) => t.divided !== undefined)
    if (!divided) return undefined
    this.turnTo(mention)
    return this.current
  }

  /** A part of what was made last is kept for later, by the names that it may be called then. */
  keepBack(): void {
    const { current } = this
    if (!current) return
    const names = new Set([...current.names, 'marinade', 'sauce', 'glaze', 'dressing'])
    this.all.unshift({ ...current, items: new Set(current.items), names, section: -1 })
  }

  /** The liquor without the meat that lies beside it. */
  withoutMeat(holder: Thread): Thread {
    const meat = [...holder.items].filter((id) => isMeat(this.item(id)))
    if (!meat.length || meat.length === holder.items.size) return holder
    this.partOf(holder, meat)
    return holder
  }

  /** What is spoken of, of food that has come apart: the meat without what it was cooked in. */
  partOf(holder: Thread, uses: readonly string[]): Thread {
    const spoken = uses.filter((id) => holder.items.has(id))
    if (spoken.length === holder.items.size) return holder
    const part: Thread = {
      ...holder,
      items: new Set(spoken),
      names: new Set(),
      parted: false,
      left: false,
    }
    for (const id of spoken) holder.items.delete(id)
    // The other part is still what was spoken of as a whole.
    this.all.push(part)
    return part
  }

  /** The food that an ingredient has become, where that is what is spoken of. */
  holderOf(id: string, mention: Mention): Thread | undefined {
    const ingredient = this.ingredients.find((i) => i.id === id)!
    const holder = this.latest((t) => t.items.has(id)) ?? undefined
    if (!this.named.has(id) || !holder) return undefined
    // The rind went in before: what is squeezed now is the fruit itself.
    if (this.zested.has(id) && SQUEEZES.test(mention.text.toLowerCase())) {
      this.zested.delete(id)
      return undefined
    }
    const share = shareOf(mention.text, ingredient)
    if (isReserved(mention.text)) return holder
    if (
      namesOf(ingredient.item).some((n) =>
        new RegExp(`\\b${n}s? mixture\\b`, 'i').test(mention.text),
      )
    )
      return holder
    // `Mix the last of the parmesan with the crumbs`: that which did not go into the dish.
    if (holder.items.size > 2 && /^(?:mix|combine|toss)\b[^.;]*\blast of the\b/i.test(mention.text))
      return undefined
    // Part of it is still as it was bought: what is left of that is meant.
    if (this.parted.has(id) && share !== 'all') return undefined
    if (isStaple(ingredient.item)) {
      // `Add to the milk`, `bring the milk to the boil`: where it is by now.
      const there =
        !holder.closed &&
        namesOf(ingredient.item).some((n) =>
          new RegExp(
            String.raw`(?:^|, |\b(?:then|and) )(?:add|stir|pour|tip|whisk|return|put)\b[^,.;]*\b(?:to|into) the (?:[a-z]+ )?${n}s?\b|^(?:slowly |gently )?bring the ${n}\b`,
          ).test(bareOf(mention.text).toLowerCase()),
        )
      if (there && holder.items.size > 1 && share === 'all') return holder
      const only = [...holder.items].every((x) => isStaple(this.item(x)))
      // `Add the stock a ladle at a time`: that which is kept hot.
      const keptHot = only && !holder.closed && holder.where.vessel === 'pot'
      if (keptHot && share === 'all' && /^(?:add|ladle|pour)\b/i.test(mention.text)) return holder
      return only && holder === this.current && share === 'all' ? holder : undefined
    }
    return holder
  }

  latest(is: (t: Thread) => boolean): Thread | undefined {
    const here = this.all.filter(is)
    return (
      here.findLast((t) => !t.closed && t === this.current) ??
      here.findLast((t) => !t.closed) ??
      undefined
    )
  }

  /** By which headings of the list of ingredients all that is in it stands together. */
  groupNames(thread: Thread): string[] {
    const heading = this.commonHeading(thread)
    return heading === undefined ? [] : [...productsIn(heading), ...fullProductsIn(heading)]
  }

  /** Whether something in it stands under the same heading of the list, or there are none. */
  sharesHeading(id: string, thread: Thread): boolean {
    const heading = (x: string) => this.ingredients.find((i) => i.id === x)!.group
    const own = heading(id)
    return own === undefined || [...thread.items].some((x) => heading(x) === own)
  }

  /** Words of that heading, for what is cooked already: `the dal`. */
  headingOf(thread: Thread): string[] {
    const heading = thread.cooked ? this.commonHeading(thread) : undefined
    return heading === undefined ? [] : namesOf(heading)
  }

  private commonHeading(thread: Thread): string | undefined {
    const groups = [...thread.items].map((id) => this.ingredients.find((i) => i.id === id)!.group)
    const [first] = groups
    return first !== undefined && groups.every((g) => g === first) ? first : undefined
  }

  /** `2 eggs, hard boiled`: cooked before they go in, whatever they are called. */
  broughtAs(id: string): string {
    const { item, preparation = '' } = this.ingredients.find((i) => i.id === id)!
    return /\b(?:boiled|cooked)\b/.test(preparation) ? `boiled ${item}` : item
  }

  /** Whether a step has raw meat, fish or egg in it. */
  isRaw(sources: Sources): boolean {
    return (
      [sources.main, ...sources.others].some((t) => t?.raw) ||
      sources.fresh.some((id) => isRaw(this.broughtAs(id)))
    )
  }
}

/** Names that a heading or a label gives: `For the white sauce`. */
export const labelNames = (label: string | undefined): string[] =>
  label === undefined ? [] : [...productsIn(label), ...fullProductsIn(label)]
