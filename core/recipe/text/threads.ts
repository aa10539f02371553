import type { WorkKind } from '../work'
import type { Whereabouts } from './equipment'
import { isMeat, isRaw } from './foods'
import { namesOf, singular, type IngredientRead } from './ingredientLine'
import {
  bareOf,
  beginsAnew,
  MADE_OF,
  isReserved,
  isStaple,
  madeIn,
  namesKind,
  productsIn,
  PUT_INTO,
  shareOf,
  SPOKEN_OF,
} from './references'
import { ON_HOB } from './lexicon'

/** Food that goes through a method by itself until it meets other food. */
export interface Thread {
  /** The step that it comes from. */
  last: number
  items: Set<string>
  names: Set<string>
  /** Raw meat, fish or egg is in it that nothing has cooked through. */
  raw: boolean
  cooked: boolean
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
  /** Ingredients that are touched for the first time, or a part of them is. */
  fresh: string[]
}

/** Put to what is there already, unless something else is named. */
const ADDS =
  /^(?:add|stir|pour|tip|sprinkle|scatter|drizzle|fold|whisk|beat|return|dot|top|crumble|grate|squeeze|season|mix|spread|brush|glaze|crack|put|drop|push|tuck|nestle|cover|spoon|cook|deglaze|garnish|mash|fork|toss|throw|bring|bubble|thicken|simmer)\b/
const INTO = /\b(?:in|into|through|over|on top|onto|on|around|to (?:the|it|them)|back)\b/
/** Begins something of its own where all it names is new. */
const BEGINS = new Set<WorkKind>([
  'cut',
  'measure',
  'boil',
  'soak',
  'drain',
  'blend',
  'season',
  'shape',
])
const HOB = new Set<WorkKind>(['fry', 'brown', 'soften', 'simmer'])
const SECOND =
  /\b(?:separate|another|second|clean|different|other|fresh|dry) (?:\w+ )?(?:pan|pot|bowl|saucepan|skillet|dish|tray|tin|roasting tin)\b/
const KNOWN_VESSEL =
  /\b(?:the|same|that|this|your) (?:[a-z-]+ ){0,2}?(pan|pot|skillet|saucepan|casserole|dish|bowl|tray|tin|hole|wok|slow cooker|pressure cooker|roasting tin|cooker|drippings|fat)s?\b/
const ALL = /\b(?:everything|all (?:the )?ingredients|the lot|the ingredients)\b/
const IT = /\b(?:it|them|they|both|each|this|that)\b/
const BONES = /\b(?:bones?|carcass(?:es)?|trimmings)\b/
const JUICES =
  /(?<!\b(?:lemon|lime|orange|apple|citrus|tomato|fruit|pineapple) )\b(?:juices?(?! runs?\b)|drippings)\b/
const LIQUID =
  /\b(?:reserved|saved|cooking|poaching) (?:cooking |pasta )?(?:liquid|liquor|water|milk)\b/
const KEEPS_LIQUID = /\b(?:keep|reserv|sav)(?:e|es|ing)?\b[^.;]*\b(?:liquid|liquor|water|milk)\b/
const SERVES = /^(?:serve|eat|dish up|plate)\b|^to serve\b/
const LIFTS =
  /^(?:grind|pound)\b|\b(?:lift|take|remove|transfer|scoop|set)\b[^.;]*\b(?:out|aside|onto|on to|to a|slotted spoon|plate|board)\b|\blift (?:the|out)\b/
/** `Scatter with the crumbs`, `fold the herbs through`: onto or into what is not named. */
const SPREADS_OVER =
  /^(?:uncover(?:,| and)* )?(?:scatter|sprinkle|top|strew|finish|dot|fill) (?:over |evenly )?(?:with|over) the\b/
const STIRRED_THROUGH =
  /^(?:fold|stir|toss|mix) (?:the|both|all|those) [a-z ]{3,40} (?:through|in)(?=$|[,.;]| and\b| just\b| before\b)/
const PARTS =
  /\b(?:reserve|reserving|keep(?:ing)? back|save|transfer|lift|strain|separate|scoop|slotted spoon)\b/
const DIVIDES =
  /\b(?:divide|split|share)\b[^.;]*\b(?:into|between|in) (?:\w+ )?(?:2|3|4|5|6|halves|half|thirds|quarters|two|three|four|five|six)\b/

const MAKES =
  /^(?:whisk|make|mix|combine|shake|blend|prepare|stir)(?: up| together)? (?:the|your|an?) ((?:[a-z-]+ ?){1,3})/
const WATER =
  /\b(?:bring|boil|heat|fill|put)\b[^.;]*\b(?:pan|pot|saucepan|kettle)\b[^.;]*\bwater\b|\b(?:bring|boil)\b[^.;]*\bwater\b[^.;]*\bboil\b/
const ICE = /\b(?:fill|prepare|set up|have|make)\b[^.;]*\b(?:ice|iced)\b/

/** `Meat stock`, `chicken broth`: no meat. */
const isMadeOf = (lower: string) =>
  /\b(?:meat|fish|vegetable) (?:stock|broth|juices|thermometer|mixture|sauce)\b/.test(lower)

const DISHES = new Set('stew soup chowder chilli curry ragu sauce gravy casserole base'.split(' '))

/** What is shaped or cut into something is no food that goes in. */
const inputOf = (lower: string, work: WorkKind) =>
  work === 'shape' || work === 'cut' || work === 'assemble'
    ? lower.replace(
        /\b(?:in)?to (?:\d+|an?|small|even|equal|large|thin|thick|\w+ (?=balls|rounds|cakes|patties))[^,;.]*/g,
        ' ',
      )
    : lower

/** Keeps in mind which food is where while a method is read, and says what each step goes on from. */
export class Threads {
  readonly all: Thread[] = []
  current: Thread | undefined
  /** The step that last used each kind of vessel. */
  private readonly usedLast = new Map<string, number>()
  /** The step that left bones, and those that left juices in a tin. */
  private boned: number | undefined
  private roasted: number[] = []
  private liquid: number | undefined
  /** Which ingredients were taken in part so far. */
  private readonly parted = new Set<string>()
  private readonly named = new Set<string>()
  private section = -1

  constructor(private readonly ingredients: readonly IngredientRead[]) {}

  private item(id: string): string {
    return this.ingredients.find((i) => i.id === id)!.item
  }

  /** What a step's food is, by what its words say and what has been done so far. */
  sourcesOf(mention: Mention): Sources {
    const { text, work, verb } = mention
    const lower = bareOf(text).toLowerCase()
    const turned = this.section >= 0 && mention.section !== this.section
    if (turned) this.turnTo(mention)
    const found = new Set<Thread>()
    const after: number[] = []
    const order: number[] = []
    const fresh: string[] = []
    for (const id of mention.uses) {
      // `The juices` are what has run out, not the apple juice that went in.
      if (
        this.roasted.length &&
        this.named.has(id) &&
        /\bthe juices\b/.test(lower) &&
        /\bjuices?$/.test(this.item(id))
      )
        continue
      const holder = this.holderOf(id, mention)
      if (!holder) fresh.push(id)
      else found.add(holder.parted ? this.partOf(holder, mention.uses) : holder)
    }
    const making = MAKES.exec(lower)?.[1]
    const makes =
      making === undefined
        ? undefined
        : productsIn(making).find((n) => !this.latest((t) => t.names.has(n)))
    if (makes && !found.size) {
      const own = this.unnamed(fresh).filter((i) => i.group && productsIn(i.group).includes(makes))
      fresh.push(...own.map((i) => i.id))
      return { main: undefined, others: [], order, after, fresh }
    }
    if (ALL.test(lower) && !this.all.some((t) => !t.closed && t.section === mention.section))
      fresh.push(...this.unnamed(fresh).map((i) => i.id))
    if (!isMadeOf(lower) && !this.open.some((t) => this.isOfKind(lower, t)))
      fresh.push(
        ...this.unnamed(fresh)
          .filter((i) => namesKind(lower, i.item))
          .map((i) => i.id),
      )
    if (this.speaksOfIt(lower, mention) && this.current) found.add(this.current)
    const made = new Set(madeIn(text))
    for (const i of this.ingredients)
      if (
        !this.named.has(i.id) &&
        !fresh.includes(i.id) &&
        namesKind(lower, i.item) &&
        !isMadeOf(lower)
      )
        fresh.push(i.id)
    for (const name of productsIn(inputOf(lower, work))) {
      if (made.has(name)) continue
      // `The broth`: an ingredient, and found as one.
      if (mention.uses.some((id) => namesOf(this.item(id)).includes(name))) continue
      const thread = this.madeAs(name, mention, found)
      if (thread) found.add(thread)
    }
    const iced = /\bice(?:d)?[ -](?:bath|water)\b|\biced water\b/.test(lower)
      ? this.latest((t) => t.names.has('ice bath'))
      : undefined
    if (iced) found.add(iced)
    const box = SPOKEN_OF.exec(lower)?.[1]
    const boxed = box === undefined ? undefined : this.latest((t) => t.names.has(box))
    if (boxed) found.add(boxed)
    if (/^(?:blanch|boil|cook|poach|parboil|drop|lower|add)\b/.test(lower) && fresh.length) {
      const water = this.open.findLast((t) => t.names.has('boiling water'))
      if (
        water &&
        !/\b(?:an?|another|second|separate) (?:[a-z-]+ ){0,3}(?:pan|pot|saucepan)\b/.test(lower)
      )
        found.add(water)
    }
    if (
      !found.size ||
      /\b(?:vegetables?|veg|meat|birds?|fish|joints?|spices|herbs|fruit)\b/.test(lower)
    )
      for (const t of this.all) if (!t.closed && this.isOfKind(lower, t)) found.add(t)
    if (
      BONES.test(lower) &&
      this.boned !== undefined &&
      !mention.uses.some((id) => BONES.test(this.item(id)))
    ) {
      after.push(this.boned)
      if (work === 'simmer' || work === 'boil' || work === 'pressure' || work === 'slow')
        return {
          main: undefined,
          others: [...found].filter((t) => ![...t.items].some((id) => isMeat(this.item(id)))),
          order,
          after,
          fresh,
          back: /\b(?:back|return)\b/.test(lower),
        }
    }
    if (JUICES.test(lower) && this.roasted.length && !found.size) after.push(...this.roasted)
    const anew = mention.meanwhile || beginsAnew(text)
    const vessel = this.vesselMeant(lower, mention)
    if (vessel) {
      if ('thread' in vessel) {
        if (!found.has(vessel.thread)) found.add(vessel.thread)
      } else order.push(vessel.step)
    }
    if (/^carve\b/.test(lower) && !found.size) {
      const meat = this.open.findLast((t) => [...t.items].some((id) => isMeat(this.item(id))))
      if (meat) found.add(meat)
    }
    if (SERVES.test(lower) || SERVES.test(verb))
      for (const t of this.all) if (!t.closed) found.add(t)
    if (/\bboth\b/.test(lower) && found.size < 2)
      for (const t of this.all.filter((x) => !x.closed).slice(-2)) found.add(t)
    if (/\beverything\b/.test(lower) && !fresh.length)
      for (const t of work === 'cool' || work === 'rest'
        ? this.open
        : this.current
          ? [this.current]
          : [])
        found.add(t)
    if (LIQUID.test(lower) && this.liquid !== undefined) after.push(this.liquid)
    const onTop = this.onTopOf(lower, mention, found, fresh)
    if (onTop) found.add(onTop)
    // What was browned is on a plate: what comes now goes into the pan that it was in.
    const pan = this.current?.lifted
      ? this.usedLast.get(this.current.where.vessel ?? '')
      : undefined
    if (
      pan !== undefined &&
      fresh.length &&
      !found.size &&
      !order.length &&
      !anew &&
      HOB.has(work) &&
      !mention.vessels.length
    )
      order.push(pan)
    if (!found.size && !order.length && !after.length) {
      const on = this.goesOnFrom(mention, lower, fresh, anew)
      if (on) found.add(on)
    } else if (
      this.current &&
      !order.length &&
      !found.has(this.current) &&
      !anew &&
      this.isJoined(mention, lower, fresh)
    )
      found.add(this.current)
    const main = this.mainOf(lower, found)
    return {
      main,
      others: [...found].filter((t) => t !== main),
      order: order.filter((k) => ![...found].some((t) => t.last === k)),
      after,
      fresh,
    }
  }

  isNamed(id: string): boolean {
    return this.named.has(id)
  }

  /** Ingredients that nothing has been said of yet. */
  private unnamed(fresh: readonly string[]): IngredientRead[] {
    return this.ingredients.filter((i) => !this.named.has(i.id) && !fresh.includes(i.id))
  }

  /** Whether a text speaks of something in it by the name of its kind. */
  private isOfKind(lower: string, thread: Thread): boolean {
    return [...thread.items].some((id) => namesKind(lower, this.item(id)))
  }

  /** Takes a step down: the food of its sources is now one, unless it was divided. */
  taken(
    step: number,
    mention: Mention,
    sources: Sources,
    where: Whereabouts,
    state: Pick<Thread, 'raw' | 'cooked'>,
  ): void {
    const { main, others, fresh } = sources
    const lower = mention.text.toLowerCase()
    // Serving is the end of what is served, and not of what is said after it.
    if (SERVES.test(lower) && main) {
      for (const id of fresh) this.named.add(id)
      return
    }
    const begun = main === undefined
    const thread: Thread = main ?? {
      last: step,
      items: new Set(),
      names: new Set(),
      raw: false,
      cooked: false,
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
    thread.last = step
    thread.where = where
    Object.assign(thread, state)
    thread.section = mention.section
    thread.lifted = LIFTS.test(lower) && !/\b(?:into the|to the) (?:slow|pressure)/.test(lower)
    thread.parted = thread.items.size > 1 && (PARTS.test(lower) || /\bboth\b/.test(lower))
    if (WATER.test(lower)) thread.names.add('boiling water')
    else if (mention.work === 'drain') thread.names.delete('boiling water')
    if (ICE.test(lower)) thread.names.add('ice bath')
    const boxes = PUT_INTO.exec(lower)?.[1]
    if (boxes) thread.names.add(boxes.replace(/es$|s$/, '') === 'glass' ? 'glass' : singular(boxes))
    if (KEEPS_LIQUID.test(lower)) this.liquid = step
    if (DIVIDES.test(lower)) thread.divided = step
    if (
      /\b(?:carve|pull|strip|shred|bone|pick|joint)\b/.test(lower) &&
      [...thread.items].some((id) => isMeat(this.item(id)))
    )
      this.boned = step
    if (
      ['bake', 'slow'].includes(mention.work) &&
      [...thread.items].some((id) => isMeat(this.item(id)))
    )
      this.roasted = [...this.roasted.filter((k) => k !== step), step]
    this.current = thread
    this.section = mention.section
    for (const kind of mention.vessels) this.usedLast.set(kind, step)
    if (where.vessel && mention.work !== 'cut' && !thread.lifted)
      this.usedLast.set(where.vessel, step)
  }

  /** A word about what was done last that is no step of its own: something may be lifted out. */
  beside(text: string): void {
    const { current } = this
    if (!current) return
    if (LIFTS.test(text.toLowerCase())) current.lifted = true
    if (PARTS.test(text.toLowerCase())) current.parted = true
    if (KEEPS_LIQUID.test(text.toLowerCase())) this.liquid = current.last
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
  private turnTo(mention: Mention): void {
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

  /** What is spoken of, of food that has come apart: the meat without what it was cooked in. */
  private partOf(holder: Thread, uses: readonly string[]): Thread {
    const spoken = uses.filter((id) => holder.items.has(id))
    if (spoken.length === holder.items.size) return holder
    const part: Thread = { ...holder, items: new Set(spoken), names: new Set(), parted: false }
    for (const id of spoken) holder.items.delete(id)
    // The other part is still what was spoken of as a whole.
    this.all.push(part)
    return part
  }

  /** The food that an ingredient has become, where that is what is spoken of. */
  private holderOf(id: string, mention: Mention): Thread | undefined {
    const ingredient = this.ingredients.find((i) => i.id === id)!
    const holder = this.latest((t) => t.items.has(id)) ?? undefined
    if (!this.named.has(id) || !holder) return undefined
    const share = shareOf(mention.text, ingredient)
    if (isReserved(mention.text)) return holder
    if (
      namesOf(ingredient.item).some((n) =>
        new RegExp(`\\b${n}s? mixture\\b`, 'i').test(mention.text),
      )
    )
      return holder
    // Part of it is still as it was bought: what is left of that is meant.
    if (this.parted.has(id) && share !== 'all') return undefined
    if (isStaple(ingredient.item)) {
      const only = [...holder.items].every((x) => isStaple(this.item(x)))
      return only && holder === this.current && share === 'all' ? holder : undefined
    }
    return holder
  }

  private latest(is: (t: Thread) => boolean): Thread | undefined {
    const here = this.all.filter(is)
    return (
      here.findLast((t) => !t.closed && t === this.current) ??
      here.findLast((t) => !t.closed) ??
      undefined
    )
  }

  /** `the same pan`: what is in it or, where that was lifted out, the pan alone. */
  private vesselMeant(
    lower: string,
    mention: Mention,
  ): { thread: Thread } | { step: number } | undefined {
    if (SECOND.test(lower)) return undefined
    const m = KNOWN_VESSEL.exec(lower)
    if (!m && !/\bin what is left\b/.test(lower)) return undefined
    const kinds = mention.vessels.length
      ? mention.vessels
      : ['frying-pan', 'pot', 'tray', 'oven-dish', 'pressure-cooker']
    const open = this.all.filter(
      (t) => !t.closed && t.where.vessel !== undefined && kinds.includes(t.where.vessel),
    )
    const there = open.findLast((t) => t === this.current) ?? open.at(-1)
    const step = Math.max(...kinds.map((k) => this.usedLast.get(k) ?? -1))
    if (there && !there.lifted && there.last >= step) return { thread: there }
    return step >= 0 ? { step } : undefined
  }

  /** The food that is called so: as it was named, by what it is made of, or what else it could be. */
  private madeAs(name: string, mention: Mention, found: ReadonlySet<Thread>): Thread | undefined {
    const named = this.latest((t) => t.names.has(name))
    if (named) return named
    const made = this.latest((t) =>
      (MADE_OF[name] ?? []).some(
        (n) => t.names.has(n) || [...t.items].some((id) => namesOf(this.item(id)).includes(n)),
      ),
    )
    if (made) return made
    if (found.size) {
      const apart = this.open.filter((t) => !found.has(t) && t.items.size > 0)
      const into = new RegExp(
        `\\b(?:in|into|with|over|through|to) (?:the|this) (?:[a-z-]+ )?${name}`,
      )
      if (!into.test(mention.text.toLowerCase())) return undefined
      // A stew or a sauce is what most has gone into.
      if (DISHES.has(name))
        return apart.reduce<Thread | undefined>(
          (a, b) => (a && a.items.size > b.items.size ? a : b),
          undefined,
        )
      return apart.findLast((t) => t.names.size === 0)
    }
    if (
      mention.goesOn ||
      !new RegExp(`\\b(?:the|this|that|each|your|\\d+) (?:[a-z-]+ ){0,2}${name}`).test(
        mention.text.toLowerCase(),
      )
    )
      return undefined
    const others = this.open.filter((t) => t !== this.current && !t.names.has('boiling water'))
    return others.findLast((t) => t.names.size === 0) ?? (others.length ? undefined : this.current)
  }

  /** By which headings of the list of ingredients all that is in it stands together. */
  private groupNames(thread: Thread): string[] {
    const groups = [...thread.items].map((id) => this.ingredients.find((i) => i.id === id)!.group)
    const [first] = groups
    return first !== undefined && groups.every((g) => g === first) ? productsIn(first) : []
  }

  /** `Fluff it up`, `turn the salmon in it`: what was worked on last. */
  private speaksOfIt(lower: string, mention: Mention): boolean {
    if (mention.meanwhile) return false
    if (/\beach (?:batch|panful|lot|one|piece|cake|ball|round)\b/.test(lower)) return true
    if (/\b(?:i|you|we) [a-z]+ (?:it|them)\b/.test(lower)) return true
    if (
      /^(?:arrange|lay|place|put|transfer|spread|tip|pour|spoon|set|return|lift|roll|shape|divide|press|pat|stack|spray|slide) (?:back |out |evenly |flat )?(?:on|in|into|onto|over|to|out(?=[,.;]| and|$))\b(?! top)/.test(
        lower,
      )
    )
      return true
    return (
      /^(?:in (?:the|that) [a-z -]{3,30}, )?[a-z-]+ (?:(?:up|out|down|over|off|gently|well|both|all|of|each) )*(?:it|them|these|this)\b(?! (?:is|are|has|have)\b)/.test(
        lower,
      ) || /\b(?:in|into|with|over|to|on|through|from|around) (?:it|them)\b/.test(lower)
    )
  }

  /** `sprinkle on top`: of what stood there before this was mixed. */
  private onTopOf(
    lower: string,
    mention: Mention,
    found: Set<Thread>,
    fresh: string[],
  ): Thread | undefined {
    const spread = SPREADS_OVER.test(lower) || STIRRED_THROUGH.test(lower)
    if (!spread && !/\b(?:on top|over (?:the top|everything|it|them)|on it|all over)\b/.test(lower))
      return undefined
    const current = this.current
    if (spread && (!current || !found.has(current))) return fresh.length ? undefined : current
    const others = this.open.filter((t) => t !== current && t.where.vessel !== undefined)
    if (!spread && current && (fresh.length || !others.length || !mention.goesOn)) return current
    return others.at(-1)
  }

  /** What a step goes on from that names nothing known. */
  private goesOnFrom(
    mention: Mention,
    lower: string,
    fresh: string[],
    anew: boolean,
  ): Thread | undefined {
    const { current } = this
    if (!current || mention.work === 'heat') return undefined
    if (WATER.test(lower) || ICE.test(lower)) return undefined
    if (!fresh.length) {
      if (anew && !IT.test(lower)) return this.open.filter((t) => t !== current).at(-1) ?? undefined
      return current
    }
    const turned = current.section !== mention.section && labelNames(mention.label).length > 0
    if (anew || SECOND.test(lower) || turned) return undefined
    const head = lower.replace(/[,;].*$/, '')
    if (
      /^(?:add|(?:stir|pour|tip|mix|fold|whisk|beat|sprinkle|scatter|crumble|drop) (?:in|through))\b/.test(
        lower,
      ) ||
      /^(?:sprinkle|scatter|drizzle|brush|dust|dot|top|spread|glaze)\b/.test(lower) ||
      /^(?:lower|reduce|raise|turn|take)\b[^,;]*\b(?:heat|down|up|off)\b[^,;]*(?:, | and |, then )(?:add|stir|pour|tip|fold|whisk)\b/.test(
        lower,
      )
    )
      return current
    // `Whisk the starch into the cream`: what it goes into is new as well.
    const target =
      /^(?:whisk|stir|rub|mix|beat|fold|work|toss)\b.*[a-z] (?:into|through|onto|with) (?:the |both |some |all )?((?:[a-z-]+ ?){1,5})$/.exec(
        lower.replace(/[.,;].*$/, ''),
      )?.[1]
    if (target && fresh.length > 1) {
      const words = new Set(namesOf(target))
      if (fresh.some((id) => namesOf(this.item(id)).some((n) => words.has(n)))) return undefined
    }
    if (
      /^(?:stir|mix|fold|whisk|beat|tip|pour|throw|put) [^,.;]*? (?:in|through)(?=[,.;]|$| and\b| then\b)/.test(
        lower,
      )
    )
      return current
    if (IT.test(lower) && mention.goesOn) return current
    if (mention.work === 'season' && !fresh.some((id) => isMeat(this.item(id)))) return current
    if (BEGINS.has(mention.work) && !INTO.test(lower)) return undefined
    if (BEGINS.has(mention.work) && ['cut', 'measure', 'soak', 'drain'].includes(mention.work))
      return undefined
    // A vessel that is only now spoken of holds something else.
    const elsewhere =
      mention.vessels.some((k) => k !== current.where.vessel) &&
      /\b(?:an?|your|two) (?:[a-z-]+[ ,]+){0,4}(?:pan|pot|bowl|saucepan|skillet|casserole|dish|tray|tin|wok|processor|jug|jar)\b/.test(
        lower,
      )
    if (elsewhere) return undefined
    const other =
      mention.vessels.some((k) => k !== current.where.vessel) &&
      !/^(?:add|stir|return)\b/.test(lower)
    if (other && current.where.vessel !== undefined && !IT.test(lower)) return undefined
    if (other && /^put\b/.test(lower)) return undefined
    if (mention.goesOn) return current
    const adds = ADDS.exec(lower)
    if (
      adds &&
      (INTO.test(head) ||
        /^(?:add|stir|pour|tip|sprinkle|scatter|return|deglaze|season|garnish|top|crumble)\b/.test(
          lower,
        ))
    )
      return current
    const onHob = current.where.vessel !== undefined && ON_HOB.has(current.where.vessel)
    if (
      HOB.has(mention.work) &&
      onHob &&
      !current.lifted &&
      !mention.vessels.length &&
      !/^(?:melt|boil)\b/.test(lower)
    )
      return current
    return undefined
  }

  /** Whether what was just made goes along with what is named: `sprinkle on top and bake`. */
  private isJoined(mention: Mention, lower: string, fresh: string[]): boolean {
    const { current } = this
    if (!current || current.closed) return false
    if (
      /^(?:add|give|return|(?:stir|mix|fold|tip|pour|whisk|beat|throw|put) in|top with)\b/.test(
        lower,
      )
    )
      return true
    if (fresh.length) return false
    if (!mention.goesOn)
      return (
        IT.test(lower) &&
        /^(?:add|stir|pour|spoon|spread|fold|tip|brush|toss|mix|put|place|lay)\b/.test(lower)
      )
    return /^(?:add|stir|pour|spoon|spread|fold|tip|brush|toss|mix|put|place|lay|sprinkle|scatter|return|layer|arrange|serve)\b/.test(
      lower,
    )
  }

  /** What stays where it is, and the others come to: after `to`, `into` or `over`, else the latest. */
  private mainOf(lower: string, found: Set<Thread>): Thread | undefined {
    const list = [...found]
    if (list.length < 2) return list[0]
    if (SPREADS_OVER.test(lower) || STIRRED_THROUGH.test(lower)) return list.at(-1)
    const target = /\b(?:in|into|to|over|onto|on|among|with|through)\s+(?:the|your)\s+(.+)$/.exec(
      lower,
    )?.[1]
    if (target) {
      const words = new Set(namesOf(target))
      const named = list.find(
        (t) =>
          [...t.names].some((n) => words.has(n)) ||
          [...t.items].some((id) => namesKind(target, this.item(id))) ||
          [...t.items].some((id) => namesOf(this.item(id)).some((n) => words.has(n))),
      )
      if (named) return named
    }
    if (/\b(?:over|among|on|onto) (?:everything|it|them|top)\b/.test(lower))
      return list.reduce((a, b) => (this.spokenAt(lower, b) < this.spokenAt(lower, a) ? b : a))
    if (
      this.current &&
      found.has(this.current) &&
      /^(?:add|stir|mix|fold|tip|pour|whisk|beat|return)\b/.test(lower)
    )
      return this.current
    const hot = list.filter((t) => t.where.vessel !== undefined)
    return hot.at(-1) ?? list.at(-1)
  }

  /** Where in a text a thread is first spoken of. */
  private spokenAt(lower: string, thread: Thread): number {
    const words = [...thread.names, ...[...thread.items].flatMap((id) => namesOf(this.item(id)))]
    const at = words.map((w) => lower.indexOf(w)).filter((k) => k >= 0)
    return at.length ? Math.min(...at) : Infinity
  }

  /** Whether a step has raw meat, fish or egg in it. */
  isRaw(sources: Sources): boolean {
    return (
      [sources.main, ...sources.others].some((t) => t?.raw) ||
      sources.fresh.some((id) => isRaw(this.item(id)))
    )
  }
}

/** Names that a heading or a label gives: `For the white sauce`. */
export const labelNames = (label: string | undefined): string[] =>
  label === undefined ? [] : productsIn(label)
