import { OVEN_SHAPES } from '../flow/vessels'
import { goesOnFrom, HOB, isJoined, IT, mainOf, onTopOf, SECOND } from './goingOn'
import { namesOf } from './ingredientLine'
import { kindsIn, takeKinds, type Taking } from './kindsTaken'
import { isLiquid } from './foods'
import { fullest, madeAs } from './madeBefore'
import { MOVING, PREPARES, WASHES_JARS } from './methodWords'
import { ONE_LABEL, ONE_OF, OTHER_LABEL, OTHER_ONE, PART_OF, takesOut, THE_REST } from './partings'
import {
  bareOf,
  beginsAnew,
  fullProductsIn,
  isStaple,
  madeIn,
  namesKind,
  productsIn,
  shareOf,
  SPOKEN_OF,
} from './references'
import {
  ALL_TOGETHER,
  BONES,
  COOKED_IN_WATER,
  DISHES,
  FAT_LEFT,
  HALF_OVER,
  HOB_VESSELS,
  ICED,
  IN_THE_DISH,
  inputOf,
  into,
  isMixed,
  isOnHob,
  JUICES,
  KINDS,
  KNOWN_VESSEL,
  LEAFY,
  LEAVES,
  LINES_TINS,
  LIQUID,
  MAKES,
  MIXED_WITH,
  POURED,
  OF_CITRUS,
  OTHER_PAN,
  PUT_ALL,
  SQUEEZED,
  THE_LIQUOR,
  UNDER_SKIN,
  WET_AND_DRY,
} from './sourceWords'
import {
  BASE_LAYER,
  type Mention,
  SERVES,
  type Sources,
  type Thread,
  type Threads,
} from './threads'

/** Tells by a step's words, and by what has been done so far, which food it takes up. */
export class Sourcing {
  private readonly kept: Threads

  constructor(kept: Threads) {
    this.kept = kept
  }

  /** What a step's food is, by what its words say and what has been done so far. */
  of(mention: Mention): Sources {
    const { kept } = this
    const lower = bareOf(mention.text).toLowerCase()
    if (kept.section >= 0 && mention.section !== kept.section) kept.turnTo(mention)
    // `Line a tray with foil`: got ready, and nothing of what is being cooked.
    // `Roll out and line a tart tin`: with what has been rolled.
    const rolled =
      mention.goesOn &&
      /^line\b/.test(lower) &&
      !/\bwith\b/.test(lower) &&
      [...(kept.current?.names ?? [])].some((n) => LINES_TINS.has(n))
    if (rolled) mention = { ...mention, text: `${mention.text} with it` }
    const jars = WASHES_JARS.test(lower)
    const onlyReady =
      !rolled &&
      PREPARES.test(mention.text) &&
      !productsIn(lower).length &&
      !IT.test(lower) &&
      mention.uses.every((id) => isStaple(kept.item(id)))
    if (onlyReady || jars)
      return {
        main: undefined,
        others: [],
        order: [],
        // `Brush the tin with butter` that has been melted.
        after: jars
          ? []
          : mention.uses.flatMap((id) => kept.latest((t) => t.items.has(id))?.last ?? []),
        // `Butter the tins` takes none of the butter of the cake.
        fresh: jars || /^(?:butter|flour|oil|grease)\b/.test(lower) ? [] : mention.uses,
        prepares: true,
      }
    const taking: Taking = {
      mention,
      lower,
      anew: mention.meanwhile || beginsAnew(mention.text),
      found: new Set(),
      fresh: [],
      after: [],
      order: [],
    }
    const { found, order, after, fresh } = taking
    this.takeIngredients(taking)
    if (this.makesSomething(taking)) return { main: undefined, others: [], order, after, fresh }
    takeKinds(kept, taking)
    this.takeProducts(taking)
    this.takeWater(taking)
    const kinds = kindsIn(kept, taking)
    // `The herbs` of the salsa are not the bay in the lentils.
    const ownKind =
      (taking.anew || (mention.label !== undefined && !mention.goesOn)) &&
      fresh.some((id) => namesKind(kinds, kept.item(id)))
    if (!ownKind && (!found.size || KINDS.test(lower)))
      for (const t of kept.open) if (kept.isOfKind(kinds, t)) found.add(t)
    const bones = this.bonesIn(taking)
    if (bones) return bones
    if (JUICES.test(lower) && kept.roasted.length && !found.size) {
      after.push(...kept.roasted)
      // `Pull it apart and moisten with the juices`.
      if (mention.goesOn && kept.current && /\bwith\b/.test(lower)) found.add(kept.current)
    }
    const fat = FAT_LEFT.test(lower) && kept.roasted.length > 0 && !found.size
    // The fat is poured off when the roast has been lifted out, in the tin that it leaves.
    if (fat) order.push(...kept.roasted)
    const vessel = fat ? undefined : this.vesselMeant(lower, mention)
    if (vessel && 'thread' in vessel) found.add(vessel.thread)
    else if (vessel) order.push(vessel.step)
    this.takeAllThatIsMeant(taking)
    this.takePart(taking)
    if (LIQUID.test(lower) && kept.liquid !== undefined) after.push(kept.liquid)
    const onTop = onTopOf(this.kept, lower, mention, found, fresh)
    if (onTop) found.add(onTop)
    this.goOn(taking)
    const lent = this.lentIn(taking)
    if (lent) {
      found.delete(lent)
      after.push(lent.last)
    }
    const main = mainOf(this.kept, lower, found)
    return {
      main,
      others: [...found].filter((t) => t !== main),
      order: order.filter((k) => ![...found].some((t) => t.last === k)),
      after,
      fresh,
    }
  }

  /** Ingredients that are named: as they were bought, or in the food that they have become. */
  private takeIngredients(taking: Taking): void {
    const { mention, lower, found, fresh } = taking
    const { kept } = this
    for (const id of mention.uses) {
      // `The juices` are what has run out, not the apple juice that went in.
      const runOut = kept.roasted.length > 0 && /\bthe juices\b|\bits juices?\b/.test(lower)
      if (runOut && /\bjuices?$/.test(kept.item(id))) continue
      const holder = kept.holderOf(id, mention)
      const ingredient = kept.ingredients.find((i) => i.id === id)!
      const share = holder && shareOf(mention.text, ingredient)
      // `Put 500 g of the cooked chickpeas in the processor`, and later `the remaining chickpeas`.
      const left = kept.leftAt.get(id)
      if (share === 'rest' && left !== undefined) {
        taking.after.push(left)
        continue
      }
      const parts = holder?.cooked && holder.items.size < 3 && share === 'part'
      if (parts && !isStaple(ingredient.item) && !isLiquid(ingredient.item))
        kept.leftAt.set(id, holder.last)
      if (!holder) fresh.push(id)
      else {
        const out = takesOut(holder, mention)
        if (out) holder.left = true
        found.add(out || holder.parted ? kept.partOf(holder, mention.uses) : holder)
      }
    }
  }

  /** `Whisk the dressing`: what the list has under its name begins here; whether that is so. */
  private makesSomething({ lower, found, fresh }: Taking): boolean {
    const { kept } = this
    const making = MAKES.exec(lower)?.[1]
    if (making === undefined || found.size) return false
    const makes = productsIn(making).find((n) => !kept.latest((t) => t.names.has(n)))
    if (!makes) return false
    const own = kept.unnamed(fresh).filter((i) => i.group && productsIn(i.group).includes(makes))
    fresh.push(...own.map((i) => i.id))
    return true
  }

  /** What `it` means, and things made before that are spoken of by name: `the sauce`, `each jar`. */
  private takeProducts(taking: Taking): void {
    const { mention, lower, found } = taking
    const { kept } = this
    // `Skim the juices, boil them down`: the juices.
    if (!JUICES.test(lower) && this.speaksOfIt(lower, mention) && kept.current)
      found.add(kept.current)
    const made = new Set(madeIn(mention.text))
    // Of several sauces the one that is named in full.
    const full = fullProductsIn(lower).flatMap(
      (name) => kept.latest((t) => t.names.has(name)) ?? [],
    )
    for (const t of full) found.add(t)
    const heads = new Set(full.flatMap((t) => [...t.names].map((n) => n.split(' ').at(-1)!)))
    for (const name of productsIn(inputOf(lower, mention.work))) {
      if (made.has(name) || heads.has(name) || taking.heading?.includes(name)) continue
      // `The broth`: an ingredient, and found as one.
      if (mention.uses.some((id) => namesOf(kept.item(id)).includes(name))) continue
      const thread = madeAs(kept, name, mention, found)
      if (thread && DISHES.has(name)) thread.names.add(name)
      if (thread) found.add(thread)
    }
    // `Top with the stroganoff`: what most has gone into on the hob.
    for (const word of kept.dishWords)
      if (new RegExp(String.raw`\b(?:the|your) (?:[a-z]+ )?${word}\b`).test(lower)) {
        const dish =
          kept.latest((t) => t.names.has(word)) ?? fullest(kept.open.filter(isOnHob), word)
        if (dish) found.add(dish)
      }
    // `Dip the chicken in each in turn`: in what was set out for it.
    if (
      /^(?:dip|dredge|coat|pass|dunk|roll) [^.;]*\b(?:in|through) each\b/.test(lower) &&
      kept.current
    )
      found.add(kept.current)
    // `Mix the zest and juice`: of the fruit that was grated and squeezed by itself.
    if (OF_CITRUS.test(lower) && !SQUEEZED.test(lower))
      for (const t of kept.open) if (kept.isCitrus(t)) found.add(t)
    // `Pour the wet ingredients into the dry`: what was mixed so far.
    if (WET_AND_DRY.test(lower) && !taking.anew)
      for (const t of kept.open) if (isMixed(t)) found.add(t)
    // `Tip into the dal`: by the heading of its ingredients.
    for (const t of kept.open)
      if (!found.has(t) && kept.headingOf(t).some((n) => into(n).test(lower))) found.add(t)
    // `Whisk the eggs and milk, and pour into the flour`: with all that was whisked with it before.
    const target = /\b(?:pour|tip|stir|whisk|fold)\b[^.;]*?\binto the ([a-z]+)/.exec(lower)?.[1]
    const dry = kept.open.find(
      (t) =>
        target !== undefined &&
        isMixed(t) &&
        [...t.items].some((id) => kept.isNamed(id) && namesOf(kept.item(id)).at(-1) === target),
    )
    if (dry) found.add(dry)
    // `A spoonful on each leaf`: of the cabbage that was cooked whole.
    if (LEAVES.test(lower)) {
      const leafy = kept.latest((t) => [...t.items].some((id) => LEAFY.test(kept.item(id))))
      if (leafy) found.add(leafy)
    }
    const box = SPOKEN_OF.exec(lower)?.[1]
    const boxed = box === undefined ? undefined : kept.latest((t) => t.names.has(box))
    if (boxed) found.add(boxed)
  }

  /** Boiling water and ice water that stand ready. */
  private takeWater({ mention, lower, found, fresh }: Taking): void {
    const { kept } = this
    const iced = ICED.test(lower) ? kept.latest((t) => t.names.has('ice bath')) : undefined
    if (iced) found.add(iced)
    if (!COOKED_IN_WATER.test(lower) || OTHER_PAN.test(lower)) return
    // `Cook the beans in the curry`: in no water.
    if (found.size > 0 && IN_THE_DISH.test(lower)) return
    // `Core the cabbage and cook it whole`: what was just cut, and lies in nothing.
    const cutNow =
      mention.goesOn && kept.current && found.has(kept.current) ? kept.current : undefined
    if (!fresh.length && !(cutNow && !cutNow.cooked && cutNow.where.vessel === undefined)) return
    // `Fry the garlic, add the tomatoes`: to what is in the pan.
    const { current } = kept
    if (
      /^add\b/.test(lower) &&
      current &&
      current.cooked &&
      !current.names.has('boiling water') &&
      HOB_VESSELS.has(current.where.vessel ?? '')
    )
      return
    // Meat that was lifted out of its water is no water.
    const water = kept.open.findLast((t) => t.names.has('boiling water') && !kept.hasMeat(t))
    if (water) found.add(water)
  }

  /** `Toss with a third of the ragù`: what stays where it is but for that part. */
  private lentIn({ lower, found, fresh }: Taking): Thread | undefined {
    const { kept } = this
    // `Brush half over the meatloaf`: half of what was stirred last.
    const { current } = kept
    if (HALF_OVER.test(lower) && current && found.size > 0 && !found.has(current)) {
      kept.lent = current
      return current
    }
    const parts = [...lower.matchAll(new RegExp(PART_OF, 'g'))].map((m) => m[1] ?? m[2]!)
    // `Spread a ladle of sauce over the base of a dish`: the rest of it stays in its pot.
    const begins = found.size === 1 && !fresh.length && BASE_LAYER.test(lower)
    if (!parts.length || (!begins && found.size + Math.min(1, fresh.length) < 2)) return undefined
    const names = parts.flatMap(productsIn)
    const isNamed = (t: Thread) => t.items.size > 1 && names.some((n) => t.names.has(n))
    // `Rub in two thirds of the marinade`: what was blitzed just now, and nobody called so yet.
    const mixed =
      names.some((n) => POURED.has(n)) && current && !current.cooked && found.has(current)
    const lent = [...found].find(isNamed) ?? (mixed && current.items.size > 1 ? current : undefined)
    for (const n of lent === current ? names : []) lent?.names.add(n)
    if (lent) kept.lent = lent
    return lent
  }

  /** Bones that are cooked again, with all that is in the pot but the meat. */
  private bonesIn({ mention, lower, found, order, after, fresh }: Taking): Sources | undefined {
    const { kept } = this
    if (!BONES.test(lower) || kept.boned === undefined) return undefined
    if (mention.uses.some((id) => BONES.test(kept.item(id)))) return undefined
    after.push(kept.boned)
    if (!['simmer', 'boil', 'pressure', 'slow'].includes(mention.work)) return undefined
    return {
      main: undefined,
      others: [...found].filter((t) => !kept.hasMeat(t)),
      order,
      after,
      fresh,
      back: /\b(?:back|return)\b/.test(lower),
    }
  }

  /** `Carve`, `serve`, `both`, `everything`: open food that no name stands for. */
  private takeAllThatIsMeant({ mention, lower, found, fresh }: Taking): void {
    const { kept } = this
    const { open } = kept
    const add = (threads: readonly (Thread | undefined)[]) =>
      threads.forEach((t) => t && found.add(t))
    if (/^carve\b/.test(lower) && !found.size) add([open.findLast((t) => kept.hasMeat(t))])
    // `Smear it under the skin`, `stuff the lemon inside`: of the bird.
    const bird = UNDER_SKIN.test(lower) && open.findLast((t) => kept.hasMeat(t))
    if (bird && ![...found].some((t) => kept.hasMeat(t))) add([bird])
    // `Beat the egg with the milk. Make a well, pour in`: in the flour.
    if (/^make a well\b/.test(lower) && !fresh.length)
      add([open.findLast((t) => t !== kept.current && isMixed(t)), kept.current])
    const together = ALL_TOGETHER.test(lower) || (/^assemble\b/.test(lower) && found.size > 1)
    if (SERVES.test(lower) || SERVES.test(mention.verb) || together) add(open)
    if (/\bboth\b/.test(lower) && found.size < 2)
      add(
        mention.goesOn && kept.current && kept.current.items.size > 1
          ? [kept.current]
          : open.slice(-2),
      )
    if (/\b(?:all|both) (?:of )?(?:the )?(?:fillings|parts|components|pans|trays)\b/.test(lower))
      add(open)
    // `Return everything to the pan`: what was lifted out of it.
    const lifted = /^return (?:everything|it all|the lot)\b/.test(lower)
      ? open.filter((t) => t === kept.current || (t.lifted && t.cooked))
      : []
    if (lifted.length) add(lifted)
    else if (PUT_ALL.test(lower)) add(open)
    else if (/\beverything\b/.test(lower) && !fresh.length)
      add(['cool', 'rest'].includes(mention.work) ? open : [kept.current])
  }

  /** `Wrap one of them`, `bake the other`, `pour the liquid into a pan`: a part of what there was. */
  private takePart({ mention, lower, found, fresh }: Taking): void {
    const { kept } = this
    const { current } = kept
    if (OTHER_ONE.test(lower) || OTHER_LABEL.test(mention.label ?? '')) {
      const here = mention.goesOn ? undefined : kept.otherPart(mention)
      if (here && (!found.size || (current && found.has(current)))) {
        found.clear()
        found.add(here)
      }
    } else if ((ONE_OF.test(lower) || ONE_LABEL.test(mention.label ?? '')) && !mention.goesOn) {
      const [one] = found.size === 1 ? found : [current]
      if (one && !fresh.length) one.divided = one.last
    }
    const { lent } = kept
    const onTo = /\b(?:over|on top|with)\b/.test(lower)
    if (THE_REST.test(lower) && lent && !lent.closed && (onTo || !found.size)) {
      found.add(lent)
      const lies = current && OVEN_SHAPES.has(current.where.dish ?? current.where.vessel)
      if (current && onTo && (!fresh.length || lies)) found.add(current)
    }
    const liquor = THE_LIQUOR.exec(lower)?.[1]
    if (liquor === undefined || mention.uses.length) return
    const holder =
      kept.latest((t) => t.names.has(liquor)) ?? (current?.parted ? current : undefined)
    if (!holder) return
    found.add(holder.parted ? kept.withoutMeat(holder) : holder)
  }

  /** What a step goes on from, or what goes along with the food that it names. */
  private goOn(taking: Taking): void {
    const { mention, lower, found, order, after, fresh, anew } = taking
    const { current, usedLast } = this.kept
    // What was browned is on a plate: what comes now goes into the pan that it was in.
    const pan = current?.lifted ? usedLast.get(current.where.vessel ?? '') : undefined
    const intoPan =
      fresh.length > 0 && !found.size && !order.length && !anew && !mention.vessels.length
    const puts =
      HOB.has(mention.work) ||
      /^(?:(?:turn|lower|raise|reduce) (?:the )?heat[a-z ]{0,12},? (?:and )?)?(?:add|melt|put|pour|tip|throw)\b/.test(
        lower,
      )
    if (pan !== undefined && intoPan && puts) order.push(pan)
    // `Drain the beans and mix with the sweet potato`, `dice them, and soften in the fat`.
    const mixed = MIXED_WITH.test(lower) && found.size > 0
    const inFat = order.length > 0 && !found.size && !fresh.length
    const stands = current?.where.vessel === undefined || current.where.vessel === 'bowl'
    if (current && mention.goesOn && (mixed || (inFat && stands))) found.add(current)
    const own = anew || mention.vessels.length ? undefined : this.madeUnder(taking)
    if (own) found.add(own)
    else if (!found.size && !order.length && !after.length) {
      const on = goesOnFrom(this.kept, mention, lower, fresh, anew)
      if (on) found.add(on)
    } else if (BASE_LAYER.test(lower)) return
    // `Fill the tortillas, tuck in, six to a dish`: onto the sauce that lies there.
    else if (current?.base && mention.vessels.some((k) => OVEN_SHAPES.has(k))) found.add(current)
    else if (current && !order.length && !anew && isJoined(this.kept, mention, lower, fresh))
      found.add(current)
  }

  /** `Squeeze in the lime` of the chilli when the tortillas have been made: to what is cooked under its heading. */
  private madeUnder({ mention, lower, found, order, after, fresh }: Taking): Thread | undefined {
    const { kept } = this
    const { current } = kept
    const goesIn = /^(?:add|stir in|tip in|squeeze in|stir through|season|finish)\b/.test(lower)
    if (!goesIn || mention.goesOn || !fresh.length || found.size || order.length || after.length)
      return undefined
    const groupOf = (id: string) => kept.ingredients.find((i) => i.id === id)!.group
    const group = groupOf(fresh[0]!)
    const isOwn = (id: string) => groupOf(id) === group
    if (group === undefined || !fresh.every(isOwn) || !current || [...current.items].some(isOwn))
      return undefined
    return kept.open.findLast((t) => t !== current && t.cooked && [...t.items].some(isOwn))
  }

  /** `the same pan`: what is in it or, where that was lifted out, the pan alone. */
  private vesselMeant(
    lower: string,
    mention: Mention,
  ): { thread: Thread } | { step: number } | undefined {
    if (SECOND.test(lower)) return undefined
    const m = KNOWN_VESSEL.exec(lower)
    if (!m && !/\bin what is left\b/.test(lower)) return undefined
    if (mention.vessels.some((k) => this.kept.prepared.has(k))) return undefined
    const kinds = mention.vessels.length
      ? mention.vessels.map((k) => (k === 'tin' && this.kept.isRoasting() ? 'tray' : k))
      : this.kindsOfPan(mention)
    const open = this.kept.all.filter(
      (t) => !t.closed && t.where.vessel !== undefined && kinds.includes(t.where.vessel),
    )
    // `Return to the pot`: to the one that it came out of.
    const left = /\b(?:return|back)\b/.test(lower) ? open.findLast((t) => t.left) : undefined
    if (left) return { thread: left }
    const there = open.findLast((t) => t === this.kept.current) ?? open.at(-1)
    // `Put the tin on the hob`: that of the roast, for its gravy.
    if (/\btin on the hob\b/.test(lower)) {
      const juices = open.findLast((t) => t.left)
      if (juices) return { thread: juices }
      const roast = this.kept.roasted.at(-1)
      if (roast !== undefined) return { step: roast }
    }
    const step = Math.max(...kinds.map((k) => this.kept.usedLast.get(k) ?? -1))
    if (there && !there.lifted && there.last >= step) return { thread: there }
    return step >= 0 ? { step } : undefined
  }

  /** Where `the pan` may be: on the hob what was fried in, though the meat is in its tin by now. */
  private kindsOfPan({ work }: Mention): string[] {
    const onHob = HOB.has(work)
      ? ['frying-pan', 'pot'].filter((k) => this.kept.usedLast.has(k))
      : []
    return onHob.length ? onHob : ['frying-pan', 'pot', 'tray', 'oven-dish', 'pressure-cooker']
  }

  /** `Fluff it up`, `turn the salmon in it`: what was worked on last. */
  private speaksOfIt(whole: string, mention: Mention): boolean {
    // `Get the dripping smoking in a casserole, then brown it`: in what was made hot for it.
    const said = whole.replace(MOVING, '')
    const lower = said.replace(
      /^(?:heat|warm|melt|get)\b[^.;]{3,80}?, then (?=[a-z]+ (?:it|them)\b)/,
      '',
    )
    if (mention.meanwhile) return false
    if (/\beach (?:batch|panful|lot|one|piece|cake|ball|round)\b/.test(lower))
      return !productsIn(inputOf(lower, mention.work)).some((n) =>
        this.kept.latest((t) => t.names.has(n)),
      )
    if (/\b(?:i|you|we) [a-z]+ (?:it|them)\b/.test(lower)) return true
    if (/^set aside (?:with|beside|next to)\b/.test(lower)) return true
    if (
      /^(?:arrange|layer|pile|heap|sit|lay|place|put|transfer|spread|tip|pour|spoon|set|return|lift|roll|shape|divide|split|share|press|pat|stack|spray|slide|ladle) (?:back |out |evenly |flat |straight |carefully |gently )?(?:on|in|into|onto|over|to|between|among|out(?=[,.;]| and|$))\b(?! top)/.test(
        lower,
      )
    )
      return true
    // `Dip in the flour, then the egg`: what has been shaped, in something new.
    if (/^(?:dip|dredge|dunk|coat|roll|dust) (?:lightly )?(?:in|into|with)\b/.test(lower))
      return true
    return (
      /^(?:in (?:the|that) [a-z -]{3,30}, )?[a-z-]+ (?:(?:up|out|down|over|off|gently|well|both|all|most|some|of|each) )*(?:it|them|these|this)\b(?! (?:is|are|has|have)\b)/.test(
        lower,
      ) || /\b(?:in|into|with|over|to|on|through|from|around) (?:it|them)\b/.test(lower)
    )
  }
}
