import { IN_SMALL, WITH_SPOONS } from '../../quantity'
import { lowerFirst } from '../casing'
import { cooks, cooksThrough, ON_HEAT, type WorkKind } from '../work'
import { stepsFrom, type Draft, type StepRead } from './drafts'
import { durationsIn } from './durations'
import { equipmentIn, type Whereabouts } from './equipment'
import { isLiquid, isMeat, isRaw } from './foods'
import { isBesideOnly, isHotFat, type Group } from './groups'
import { meantBy } from './meant'
import {
  AGAIN,
  ANOTHER_DAY,
  goesOn,
  KEPT_BACK,
  HALF_OF,
  LIQUOR_STANDS,
  LOCKED,
  movesTo,
  MOVING,
  overnight,
  REPEATS,
  sentenceCase,
  THIN_CRISP,
  TURNS_OVEN,
  SWITCH,
  WASHES_JARS,
  WHILE_MAKING,
  withinOf,
} from './methodWords'
import { isApart, isAtTable, isCheck, isReheating, isStorageNote, isTalk } from './notes'
import { foodWords, namesOf, type IngredientRead } from './ingredientLine'
import { apart, calledInFull, usedIn } from './usedIn'
import { VERB_OF, VESSELS } from './lexicon'
import { bareOf, FOR_THE, namesKind, PRODUCTS } from './references'
import { doneIn, leftIn } from './placing'
import { plain } from './plain'
import { liftsMeat } from './partings'
import { hygieneOf } from './stepHygiene'
import { COOKS_ALONG, GUESSED, timeOf } from './stepTime'
import { temperaturesIn } from './temperatures'
import { HOB } from './goingOn'
import { stewsInPots } from './stewPots'
import { Sourcing } from './sources'
import { Threads, type Mention, type Sources } from './threads'

/** Words of a recipe's name by which its method may call the dish: none of food, of a vessel or of a kind. */
function dishWords(name: string, ingredients: readonly IngredientRead[]): Set<string> {
  const foods = new Set(ingredients.flatMap((i) => namesOf(i.item)))
  const words = foodWords(name.replace(/\b(?:with|and|&|in|on|for)\b.*$/i, ''))
  const last = words.at(-1)
  const named =
    last !== undefined &&
    last.length > 4 &&
    !foods.has(last) &&
    !PRODUCTS.has(last) &&
    !namesKind(last, name) &&
    !equipmentIn(last).length &&
    !VERB_OF.has(last)
  return new Set(named ? [last] : [])
}

/** `35 minutes.`: what is done for so long. */
const timed = (text: string, work: WorkKind) =>
  /^(?:for |about |around )*\d[^,.;a-z]*(?:minutes?|mins?|hours?|hrs?)(?:\W*$| (?:with|without|on|at|covered|uncovered)\b)/i.test(
    text,
  )
    ? `${work === 'bake' ? 'Bake' : 'Cook'} for ${lowerFirst(text.replace(/^for /i, ''))}`
    : text

type Place = Pick<Mention, 'section' | 'label' | 'goesOn'>

/** Goes through a method and keeps in mind where each food is by now. */
export class Reader {
  private readonly drafts: Draft[] = []
  private readonly threads: Threads
  private readonly sourcing: Sourcing
  private readonly real: ReadonlyMap<string, string>
  /** `Heat the oil`: waits for what is fried in it. */
  private prelude: { text: string; place: Place } | undefined
  /** What an oven and an air fryer were last set to, and what a bare `pan` is. */
  private readonly set: Pick<Whereabouts, 'oven' | 'fryer' | 'pan'>
  private readonly locks: boolean
  /** How many trays are got ready, where the method says so. */
  private readonly trays: number | undefined

  /** The step that washed and heated the jars, until something goes into them. */
  private jars: number | undefined

  private readonly ingredients: readonly IngredientRead[]

  constructor(listed: readonly IngredientRead[], method: string, name: string) {
    const ingredients = apart(listed, method)
    this.ingredients = ingredients
    this.real = new Map(ingredients.map((i) => [i.id, i.id.replace(/:.*$/, '')]))
    this.threads = new Threads(
      ingredients,
      calledInFull(method, ingredients),
      new Set(usedIn(method, ingredients)),
      dishWords(name, ingredients),
    )
    this.sourcing = new Sourcing(this.threads)
    // Much liquid makes a bare `pan` a saucepan.
    const litres = ingredients.reduce(
      (sum, i) => sum + (isLiquid(i.item) ? (i.amount * (IN_SMALL[i.unit] ?? 0)) / 1000 : 0),
      0,
    )
    const poured =
      /\b(?:[4-9]\d\d ?ml|\d(?:\.\d+)? ?(?:l|litres?|liters?|pints?|quarts?)) (?:of )?(?:\w+ )?(?:stock|water|milk|broth)\b/i
    this.set = {
      oven: undefined,
      fryer: undefined,
      pan: litres >= 0.4 || poured.test(method) ? 'pot' : 'frying-pan',
    }
    // Before its lid is locked a pressure cooker is a pot.
    this.locks = LOCKED.test(method)
    const trays = /\b([2-6]) (?:[a-z]+ )?(?:trays|sheets)\b/.exec(plain(method))?.[1]
    this.trays = trays === undefined ? undefined : Number(trays)
  }

  take(given: Group, place: Place): void {
    const { prelude } = this
    // `Refrigerate while you make the soup`: what comes next is beside it.
    const beside = !place.goesOn && WHILE_MAKING.test(this.drafts.at(-1)?.do ?? '')
    const group = this.uncovered(beside ? { ...given, meanwhile: true } : given)
    const text =
      prelude === undefined
        ? group.text
        : `${prelude.text.replace(/[.\s]+$/, '')}, then ${lowerFirst(group.text)}`
    if (
      SWITCH.test(group.text) ||
      (isHotFat(group) && !durationsIn(text).some((d) => d.kind === 'span'))
    ) {
      this.prelude = { text, place: prelude?.place ?? place }
      return
    }
    // `Heat a pan and grease with a little butter`: what is fried in it comes next.
    if (prelude && /^(?:grease|oil|brush|butter|wipe)\b/i.test(group.text)) {
      this.prelude = { text, place: prelude.place }
      return
    }
    // `Heat the oil; add the cumin seeds and let them sizzle`: what is fried in it first.
    if (
      prelude &&
      group.work === 'assemble' &&
      /^add\b/i.test(group.text) &&
      !durationsIn(text).length
    ) {
      this.prelude = { text, place: prelude.place }
      return
    }
    this.prelude = undefined
    // `Melt the butter. Mix the spinach and the feta`: melted for later, and by itself.
    const apart = /^(?:mix|combine|whisk|beat|stir) (?!with\b|in\b|through\b|together\b)/i.test(
      group.text,
    )
    if (prelude && !place.goesOn && apart && /^melt\b/i.test(prelude.text)) {
      const melted = { text: prelude.text, work: 'soften' as const, verb: 'melt', meanwhile: true }
      const mention = this.mentionOf(melted, prelude.place)
      this.draft(mention, this.sourcing.of(mention))
      this.take({ ...given, meanwhile: true }, place)
      return
    }
    const before = this.drafts.at(-1)
    if (before && KEPT_BACK.test(text)) {
      before.do = `${before.do}. ${sentenceCase(text)}`
      this.threads.keepBack()
      return
    }
    if (before && (isApart(text) || isCheck(text))) {
      before.do = `${before.do}. ${sentenceCase(text)}`
      return
    }
    // What is packed is eaten another day, and so is what goes on it then.
    if (before && isAtTable(text) && this.drafts.some((d) => d.work === 'pack')) {
      before.do = `${before.do}. ${sentenceCase(text)}`
      return
    }
    if (isStorageNote(text) || isTalk(group, text) || isReheating(text)) return
    // `Or freeze for up to 3 months`: another way, and no step of its own.
    if (before && /^or\b/i.test(text)) {
      before.do = `${before.do}, ${lowerFirst(text.replace(/[\s.,;:]+$/, ''))}`
      return
    }
    if (before?.work === 'pack' && ANOTHER_DAY.test(text)) return
    const again = before && AGAIN.exec(plain(text))
    if (again) {
      this.again(before, group, text, place, Number(again[1] ?? again[2] ?? 2))
      return
    }
    const at = prelude
      ? { ...place, label: place.label ?? prelude.place.label, goesOn: prelude.place.goesOn }
      : place
    const mention = this.mentionOf({ ...group, text }, at)
    const sources = this.sourcing.of(mention)
    const { current } = this.threads
    if (LOCKED.test(text) && current) current.where.opened = false
    const last = this.drafts.at(-1)
    const same = !sources.others.length && (!sources.main || sources.main === current)
    if (
      last &&
      same &&
      !sources.fresh.length &&
      last.work !== 'heat' &&
      isBesideOnly(group) &&
      !movesTo(text) &&
      !(current && liftsMeat(current, mention)) &&
      // `Take off the lid for the final 10 minutes`.
      durationsIn(text).every((d) => d.kind === 'moment')
    ) {
      last.do = `${last.do}. ${sentenceCase(text)}`
      this.threads.beside(text)
      return
    }
    // `Weigh one of them for this`: how, not what.
    if (last && same && sources.main && !sources.fresh.length && group.work === 'measure') {
      last.do = `${last.do}. ${sentenceCase(text)}`
      return
    }
    if (last && same && goesOn(group, last)) {
      const span = durationsIn(text).find((d) => d.kind === 'span')!
      last.minutes = [span.least, span.most]
      last.stated = true
      last.doubts = last.doubts.filter((d) => d !== GUESSED)
      last.do = `${last.do}: ${lowerFirst(sentenceCase(text))}`
      return
    }
    this.draft(mention, sources)
  }

  /** `Uncover for a final 5 minutes`: it cooks on as it did. */
  private uncovered(group: Group): Group {
    const last = this.drafts.at(-1)
    const isOn =
      group.work === 'assemble' &&
      /^(?:uncover|(?:take|remove) the (?:lid|foil))\b/i.test(group.text) &&
      durationsIn(group.text).some((d) => d.kind === 'span')
    return isOn && last && cooks(last.work) ? { ...group, work: last.work, verb: last.verb } : group
  }

  /** What was done last puts the dish away. */
  get packed(): boolean {
    return this.drafts.at(-1)?.work === 'pack'
  }

  /**
   * `After the tofu has had 10 minutes, add the broccoli`: what is in the oven has had that much, and
   * the minutes that are left come behind it; undefined where nothing was put in for longer.
   */
  soFar(minutes: number): number | undefined {
    const last = this.drafts.at(-1)
    const baked = this.drafts.findLast((d) => d.work === 'bake')
    const whole = baked?.minutes[1] ?? 0
    if (!baked?.stated || whole <= minutes || !last) return undefined
    baked.minutes = [minutes, minutes]
    baked.do = `${baked.do}: ${minutes} minutes so far`
    return whole - minutes
  }

  /** `Do this three times, 30 minutes apart`: what was done last, and the waits in between. */
  private again(before: Draft, group: Group, text: string, place: Place, times: number): void {
    const span = durationsIn(text).find((d) => d.kind === 'span' || d.kind === 'every')
    if (!span) {
      before.do = `${before.do}. ${sentenceCase(text)}`
      return
    }
    const mention = this.mentionOf({ ...group, text, work: 'rest', verb: 'rest' }, place)
    this.draft(mention, this.sourcing.of(mention))
    const waits = Math.max(1, times - 1)
    Object.assign(this.drafts.at(-1)!, { minutes: [waits * span.least, waits * span.most] })
  }

  /** `Repeat with the rest`: as long again as all since the half of it was put in; whether that is known. */
  repeats(text: string, place: Place): boolean {
    if (!REPEATS.test(text)) return false
    const from = this.drafts.findLastIndex((d) => HALF_OF.test(d.do))
    const cooked = from < 0 ? [] : this.drafts.slice(from).filter((d) => cooks(d.work))
    const [first] = cooked
    if (!first) return false
    const mention = this.mentionOf(
      { text, work: first.work, verb: 'repeat', meanwhile: false },
      place,
    )
    const { current } = this.threads
    if (current === undefined) return false
    this.draft(mention, { main: current, others: [], order: [], after: [], fresh: [] })
    const sum = (k: 0 | 1) => cooked.reduce((all, d) => all + d.minutes[k], 0)
    Object.assign(this.drafts.at(-1)!, {
      minutes: [sum(0), sum(1)],
      stated: cooked.every((d) => d.stated),
      equipment: first.equipment,
      doubts: [],
    } satisfies Partial<Draft>)
    return true
  }

  end(): StepRead[] {
    const { prelude } = this
    if (prelude) {
      const mention = this.mentionOf(
        { text: prelude.text, work: 'fry', verb: 'heat', meanwhile: false },
        prelude.place,
      )
      this.draft(mention, this.sourcing.of(mention))
    }
    // `Refrigerate` as the last word, of what is in its boxes: it stays there.
    const last = this.drafts.at(-1)
    if (
      last?.work === 'chill' &&
      !last.stated &&
      ['cool', 'rest'].includes(this.drafts.at(-2)?.work ?? '')
    )
      Object.assign(last, {
        work: 'pack',
        minutes: [1, 2],
        equipment: [],
        hygiene: 'ready',
        doubts: last.doubts.filter((d) => d !== GUESSED),
      } satisfies Partial<Draft>)
    stewsInPots(this.drafts, (id) => {
      const { item, amount, unit, counted } = this.ingredients.find((i) => i.id === id)!
      if (!isLiquid(item)) return 0
      const tins = counted && /^(?:tin|can)/.test(counted) ? 0.4 : 0
      return unit === 'piece' ? amount * tins : (amount * (WITH_SPOONS[unit] ?? 0)) / 1000
    })
    return stepsFrom(this.drafts, this.real)
  }

  private mentionOf(group: Group, place: Place): Mention {
    // `To make the pastry, rub in the butter`: that of the pastry.
    const label = place.label ?? FOR_THE.exec(group.text)?.[1]
    return {
      text: group.text,
      verb: group.verb,
      work: group.work,
      uses: meantBy(group.text, label, this.threads),
      vessels: equipmentIn(group.text.replace(MOVING, '')).filter((k) => VESSELS.has(k)),
      meanwhile: group.meanwhile,
      ...place,
    }
  }

  /** Where the food of a step is: where that of its main source was, or nowhere yet. */
  private whereOf({ main, order }: Sources): Whereabouts {
    const known = main?.where
    const before = order.length ? this.drafts[order.at(-1)!]! : undefined
    const pan = before?.equipment.find((k) => VESSELS.has(k))
    return {
      vessel: known?.vessel ?? pan,
      dish: known?.dish,
      wet: known?.wet ?? false,
      opened: known?.opened ?? this.locks,
      // `Turn the heat down, add the onions, 10 minutes`: in the pan that the meat was browned in.
      heated: known?.heated ?? (before && !known && HOB.has(before.work) ? before.work : undefined),
      ...this.set,
    }
  }

  private draft(mention: Mention, sources: Sources): void {
    const { ingredients, threads } = this
    const { text } = mention
    const index = this.drafts.length
    const where = this.whereOf(sources)
    if (LOCKED.test(text)) where.opened = false
    const uses = sources.prepares
      ? sources.fresh
      : [...new Set([...mention.uses, ...sources.fresh])]
    const items = uses.map((id) => ingredients.find((i) => i.id === id)!.item)
    const doubts: string[] = []
    const done = doneIn(mention, sources, where, items, threads)
    const { work, equipment, named, vessel } = done
    const heat = this.heatOf(text, work, equipment, doubts)
    leftIn(where, mention, done)
    const time = timeOf(
      `${overnight(mention, work)}${this.oneByOne(mention) ? ', 1 by 1' : ''}`,
      work,
      uses,
      ingredients,
      doubts,
      sources.main?.pieces,
      this.trays,
    )
    this.takeFrom(text, sources.main?.last, time.minutes)
    const cooked = [sources.main, ...sources.others].some((t) => t?.cooked)
    // What the list does not hold the words may still name.
    const unlisted = !cooked && isMeat(bareOf(text)) && !ingredients.some((i) => isRaw(i.item))
    const raw = threads.isRaw(sources) || unlisted
    const fresh = sources.fresh.map((id) => threads.broughtAs(id))
    const known = sources.main?.where.vessel ?? sources.main?.where.dish
    const hygiene = hygieneOf(text, work, {
      raw,
      cooked,
      fresh,
      inVessel: known !== undefined && known !== 'bowl',
      items: unlisted ? [text] : threads.itemsOf(sources),
    })
    const waits = this.waitsOf(text, work, sources, equipment)
    // `Rice: rinse, soak`: what is rinsed stands in front.
    const [only] =
      !mention.uses.length && bareOf(text).trim().toLowerCase() === mention.verb ? fresh : []
    this.drafts.push({
      do: sentenceCase(only === undefined ? timed(text, work) : `${text} the ${only}`),
      work,
      ...time,
      ...heat,
      equipment,
      hygiene,
      uses,
      doubts,
      verb: mention.verb,
      main: sources.main?.last,
      waits,
    })
    if (work === 'heat' && !named.includes('microwave')) return
    if (sources.prepares && WASHES_JARS.test(text)) {
      this.jars = index
      return
    }
    if (vessel && sources.prepares) {
      threads.prepared.set(vessel, index)
      return
    }
    const holders = [sources.main, ...sources.others].flatMap((t) => t ?? [])
    // An egg around what is cooked already is no flesh.
    const flesh =
      unlisted || fresh.some(isMeat) || holders.some((t) => !t.through && threads.hasMeat(t))
    const thin = work === 'fry' && THIN_CRISP.test(`${text} ${items.join(' ')}`)
    const through = thin || cooksThrough(work, time.minutes[1], flesh, text)
    threads.taken(index, { ...mention, work }, sources, where, {
      raw: raw && !through,
      cooked: cooked || cooks(work),
      through: through || (!flesh && holders.some((t) => t.through)),
    })
  }

  /** `Press each one flat and cook in a dry pan, a minute a side`: one after the other. */
  private oneByOne({ text, goesOn }: Mention): boolean {
    const before = goesOn ? this.drafts.at(-1) : undefined
    return (
      /\beach (?:one|ball|round|piece)\b/i.test(before?.do ?? '') &&
      /\b(?:a|per|each) side\b/i.test(text)
    )
  }

  /** What a step waits for: the food that it takes up, the place of other food, what was got ready for it. */
  private waitsOf(
    text: string,
    work: WorkKind,
    sources: Sources,
    equipment: readonly string[],
  ): Draft['waits'] {
    const { prepared } = this.threads
    const waits: Draft['waits'] = new Map()
    const most = withinOf(text)
    const from = [sources.main, ...sources.others].flatMap((t) => t ?? [])
    // `Return the egg and serve at once`: at once after the rice, not after the egg that stood by.
    const latest = Math.max(...sources.after, ...from.map((t) => t.last))
    const food = (k: number) => ({
      food: true,
      ...(most === undefined || k < latest ? {} : { most }),
    })
    for (const k of sources.order) waits.set(k, { food: false })
    if (work === 'heat') return waits
    for (const k of sources.after) waits.set(k, food(k))
    for (const t of from) {
      if (t.liftedAt !== undefined && t.liftedAt !== t.last) {
        if (!from.some((o) => o.last === t.liftedAt)) waits.set(t.liftedAt, { food: false })
        delete t.liftedAt
      }
      // What was left in its pot is waited for by itself, though what was lifted out came from there too.
      const left = t.left && sources.others.length > 0
      // `Brush again with what is left` of the glaze: what went on before is in it by another way.
      const apart = t === this.threads.lent && t !== sources.main
      const stands = left ? { most: LIQUOR_STANDS } : {}
      waits.set(t.last, left || apart ? { food: true, kept: true, ...stands } : food(t.last))
      if (left && sources.others.some((o) => this.threads.hasMeat(o))) t.left = false
    }
    for (const kind of equipment) {
      const ready = prepared.get(kind)
      if (ready === undefined) continue
      waits.set(ready, { food: false })
      prepared.delete(kind)
    }
    if (this.jars !== undefined && /\b(?:jars?|bottles?)\b/i.test(text)) {
      // Hot jars: a cold one cracks.
      waits.set(this.jars, { food: false, most: 15 })
      this.jars = undefined
    }
    const pot = this.drafts.findLastIndex((d) => d.equipment.includes('pot'))
    if (sources.back && pot >= 0) waits.set(pot, { food: true, kept: true, most: LIQUOR_STANDS })
    return waits
  }

  /** `Boil the carrots for 10 minutes and steam the beans over them for the last 5`: the first 5 go before. */
  private takeFrom(text: string, before: number | undefined, minutes: [number, number]): void {
    const whole = before === undefined ? undefined : this.drafts[before]
    if (
      !whole?.stated ||
      !(ON_HEAT.has(whole.work) || whole.work === 'bake') ||
      !COOKS_ALONG.test(plain(text)) ||
      whole.minutes[0] <= minutes[1]
    )
      return
    whole.minutes = [whole.minutes[0] - minutes[1], whole.minutes[1] - minutes[0]]
  }

  private heatOf(
    text: string,
    work: WorkKind,
    equipment: readonly string[],
    doubts: string[],
  ): Pick<Draft, 'celsius' | 'core'> {
    const where = this.set
    const all = temperaturesIn(text)
    const oven = all.find((t) => t.of !== 'core')
    const core = all.find((t) => t.of === 'core')
    if (oven?.doubt) doubts.push(oven.doubt)
    if (oven?.fan)
      doubts.push('the heat is stated for an oven with a fan: without one about 20 °C more')
    const stated: [number, number] | undefined = oven && [oven.least, oven.most]
    const fryer = equipment.includes('air-fryer')
    if (stated && (work === 'heat' || work === 'bake' || TURNS_OVEN.test(text)))
      where[fryer ? 'fryer' : 'oven'] = stated
    if (work === 'assemble' && TURNS_OVEN.test(text)) return { celsius: null }
    const heat = work === 'bake' ? (stated ?? (fryer ? where.fryer : where.oven)) : stated
    if (work === 'bake' && !heat) doubts.push('no oven heat is stated')
    return {
      celsius: heat ? (heat[0] === heat[1] ? heat[0] : heat) : null,
      ...(core ? { core: core.most } : {}),
    }
  }
}
