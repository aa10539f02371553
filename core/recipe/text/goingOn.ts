import { COATS, OVEN_SHAPES } from '../flow/vessels'
import type { WorkKind } from '../work'
import { isBread, isLiquid, isMeat } from './foods'
import { namesOf } from './ingredientLine'
import { ON_HOB, POTS } from './lexicon'
import { isUnder } from './meant'
import { isStaple, namesKind } from './references'
import { ICE, labelNames, WATER, type Mention, type Thread, type Threads } from './threads'

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
/** `Scatter with the crumbs`, `fold the herbs through`: onto or into what is not named. */
const SPREADS_OVER =
  /^(?:uncover(?:,| and)* )?(?:(?:scatter|sprinkle|top|strew|finish|dot|fill) (?:over |evenly )?(?:with|over)|spread with) the\b/
const STIRRED_THROUGH =
  /^(?:fold|stir|toss|mix) (?:the|both|all|those) [a-z ]{3,40} (?:through|in)(?=$|[,.;]| and\b| just\b| before\b)/
/** `Slice the sausages and fold them through`: through what stands in its pot beside. */
const THROUGH_IT =
  /^(?:fold|stir|toss|mix) (?:it|them|this|these) (?:back )?(?:gently )?(?:through|in)(?=$|[,.;]| (?:and|just|before|gently|again|along with|with)\b)/
/** `Push the middle down, spread with the mustard`: of what was baked. */
const PUSHED_DOWN = /^(?:push|press) (?:the (?:middle|centre|base)|it) down\b/
/** `Spoon over the syrup`: the syrup, over what was named before it or stands there. */
const POURED_OVER =
  /\b(?:spoon|pour|drizzle|brush|spread|ladle|trickle|scatter|sprinkle) over (?:the|your|half|all|some)\b(.*)$/
const POURS =
  /\b(?:sauce|syrup|dressing|glaze|gravy|marinade|custard|icing|butter|topping|cheese|crumbs|crumble|cream|jam|mash|rest)\b/
/** `Lay them over`: over what stands beside. */
const LAID_OVER =
  /^(?:lay|place|drape|put|set|fit|drizzle|spread|pour|spoon|scatter|sprinkle) (?:(?:it|them|this|these|one) )?(?:over|on top)(?=[,.;]|$| (?:when|once|and|to)\b)/
/** `Spread the mash over`: what is named, over what lies in its dish. */
const NAMED_OVER =
  /^(?:lay|spread|spoon|pour|put|scatter|arrange|sprinkle) (?:half )?the [a-z ]{2,30}? (?:over|on top)(?=[,.;]|$| and\b)/
/** Where things lie that something is laid over. */
const IN_SHAPE = new Set([...OVEN_SHAPES, 'rack', 'bowl', 'frying-pan', ...POTS])
/** Lies in something that more can be stirred into. */
const inPotOf = ({ lifted, where: { vessel } }: Thread) =>
  !lifted &&
  vessel !== undefined &&
  (POTS.has(vessel) || vessel === 'frying-pan' || vessel === 'bowl')
const dishOf = (t: Thread) => t.where.dish ?? t.where.vessel
const COOKS_IN =
  /^(?:fry|brown|sear|cook|roast|bake|grill|boil|simmer|poach|bring|saut[eé]|steam|stew|(?:pressure|slow)[ -]cook) (?:them |it )?(?:to (?:a |the )?(?:boil|simmer) )?(?:in|for|over|on|until|with)\b/
/** `Toss the potatoes in the oil`. */
const IN_OIL =
  /^(?:toss|coat|turn|rub|roll) (?:the|your|all) [^,;.]{3,40}? (?:in|with) (?:(?:the|a|some|half|rest|remaining|little|of|\d+ ?(?:tbsp|ml|g)) )*(?:[a-z]+ )?(?:oil|butter|flour)\b/
/** What lies in a dish, by what it is called. */
const OVER_DISH = /\bover (?:the )?(?:casserole|lasagne|gratin|bake|pie|dish)\b/
/** Bread and plates that are warmed beside the dish. */
const BREADS =
  /^(?:warm|toast|heat|grill) (?:up )?(?:the |some |your )?(?:[a-z]+ )?(?:flatbreads?|bread|tortillas?|naans?|pittas?|pitas?|rolls|buns|plates|bowls)\b/
/** Cooks on with something that comes to it, and names nothing before that. */
const WHILE_ADDING =
  /^(?:fry|cook|roast|bake|grill|boil|simmer|poach|steam|process|blend|blitz|whizz|whisk|mix|beat)(?: gently| on)? (?:for|until|till|in|over) [^;.]*\b(?:adding|stirring in|tipping in) (?:the|ice|cold|more)\b/
export const HOB = new Set<WorkKind>(['fry', 'brown', 'soften', 'simmer'])
export const SECOND =
  /\b(?:separate|another|second|clean|different|other|fresh|dry) (?:\w+ )?(?:pan|pot|bowl|saucepan|skillet|dish|tray|tin|roasting tin)\b/
export const IT = /\b(?:it|them|they|both|each|this|that)\b/

/** `sprinkle on top`: of what stood there before this was mixed. */
export function onTopOf(
  kept: Threads,
  lower: string,
  mention: Mention,
  found: Set<Thread>,
  fresh: string[],
): Thread | undefined {
  const under = LAID_OVER.test(lower) && !fresh.length && found.size < 2
  if (under && kept.current) {
    // `Boil the marinade and spoon over`: over the meat, wherever it lies.
    const sauced = ['marinade', 'gravy', 'glaze'].some((n) => kept.current!.names.has(n))
    const meat = sauced
      ? kept.open.findLast((t) => t !== kept.current && t.cooked && kept.hasMeat(t))
      : undefined
    if (meat) {
      found.add(kept.current)
      return meat
    }
    found.add(kept.current)
    return kept.open.findLast((t) => t !== kept.current && IN_SHAPE.has(dishOf(t)))
  }
  if (
    NAMED_OVER.test(lower) &&
    !fresh.length &&
    found.size === 1 &&
    kept.current &&
    found.has(kept.current)
  )
    return kept.open.findLast((t) => t !== kept.current && OVEN_SHAPES.has(dishOf(t)))
  if (STIRRED_IN.test(lower) && found.size === 1 && !found.has(kept.current!))
    return inPotOf(kept.current ?? [...found][0]!) ? kept.current : undefined
  if (isAddedToPot(kept, lower, found))
    return kept.open.findLast((t) => t !== kept.current && inPotOf(t))
  if (THROUGH_IT.test(lower) && (!fresh.length || /\bin (?:along )?with\b/.test(lower)))
    return kept.open.findLast(
      (t) => t !== kept.current && (inPotOf(t) || (t.cooked && t.where.vessel === 'tray')),
    )
  const spread = SPREADS_OVER.test(lower) || STIRRED_THROUGH.test(lower)
  if (
    !spread &&
    !OVER_DISH.test(lower) &&
    !/\b(?:on top|over (?:the top|everything|it|them)|on it|all over)\b/.test(lower)
  )
    return undefined
  // `Sprinkle the crumbs over the casserole`: over what lies in its dish.
  if (OVER_DISH.test(lower)) {
    const dish = kept.open.findLast((t) => t !== kept.current && OVEN_SHAPES.has(dishOf(t)))
    if (dish && kept.current) found.add(kept.current)
    return dish ?? kept.current
  }
  const current = kept.current
  if (spread && (!current || !found.has(current))) return fresh.length ? undefined : current
  const others = kept.open.filter((t) => t !== current && t.where.vessel !== undefined)
  if (!spread && current && (fresh.length || !others.length || !mention.goesOn)) return current
  return others.at(-1)
}

/** `Shred the cabbage. Add it with the beans`, `chop and stir in the walnuts`: what was cut, to what is in its pot. */
const isAddedToPot = (kept: Threads, lower: string, found: ReadonlySet<Thread>) =>
  ADDED_TO_POT.test(lower) &&
  kept.current !== undefined &&
  found.size === 1 &&
  found.has(kept.current) &&
  !kept.current.cooked &&
  kept.current.where.vessel === undefined
const ADDED_TO_POT =
  /^(?:now |then )?(?:add (?:it|them|these|this|the|your)|(?:add|(?:stir|fold|mix|tip) (?:in|through))(?= [a-z]))\b(?![^.;]*\b(?:to|into) (?:the|a|your)\b)/

/** `Mash half the squash, stir it in`: into what cooks beside it. */
const STIRRED_IN =
  /[,;] (?:then )?(?:stir|fold|mix) (?:it|them|this) (?:back )?(?:in|through)\b(?! (?:a|the) (?:bowl|pan)\b)/

/** `Wilt the spinach in a big pan with a splash of water`: in one of its own. */
const IN_A_PAN =
  /^[a-z]+ (?:the|some|your|all)\b[^,;]* in(?:to)? (?:an?|another) (?:[a-z-]+ ){0,3}(?:pan|pot|saucepan|skillet|wok|casserole)\b/

/** What a step goes on from that names nothing known. */
export function goesOnFrom(
  kept: Threads,
  mention: Mention,
  lower: string,
  fresh: string[],
  anew: boolean,
): Thread | undefined {
  const { current } = kept
  if (!current || mention.work === 'heat') return undefined
  // `Knock back, divide into 4 balls`: the dough, whatever was cooked while it rose.
  if (/^(?:knock|punch) (?:it )?(?:back|down)\b/.test(lower))
    return kept.latest((t) => t.names.has('dough')) ?? current
  // `Bring the water back to the boil`: with what was put in.
  if (/^bring (?:the water|it|everything) back to\b/.test(lower)) return current
  if (WATER.test(lower) || ICE.test(lower)) return undefined
  // `Warm the flatbreads`: bread that stands by, and not what was done last.
  if (!fresh.length && BREADS.test(lower) && !mention.uses.length) return undefined
  const bread = (id: string) => isBread(kept.item(id))
  if (fresh.length && fresh.every(bread) && BREADS.test(lower)) return undefined
  // `Make six hollows, crack an egg into each`: in what is in the pan.
  if (
    /^make (?:[a-z0-9]+ )?(?:small |little )?(?:hollows?|wells?|dents?|holes?|dips?)\b/.test(lower)
  )
    return current
  // `Rice: rinse 450 g jasmine`, of which the list says nothing: a thing of its own.
  const own = /^(?:rinse|wash|soak|boil|cook|steam) \d+ ?k?g (?!of (?:the|it)\b)[a-z]/
  if (!fresh.length && !mention.uses.length && own.test(lower)) return undefined
  if (!fresh.length) {
    if (anew && !IT.test(lower)) return kept.open.filter((t) => t !== current).at(-1) ?? undefined
    return current
  }
  const ofOther = (id: string) => !kept.sharesHeading(id, current)
  const isOwn = (id: string) =>
    isUnder(
      kept.ingredients.find((i) => i.id === id)!,
      mention.label,
    )
  // `Compote: berries, sugar and the orange into a pan`: of the list by that name.
  const begins = !mention.goesOn && fresh.every(isOwn) && ![...current.items].some(isOwn)
  const turned =
    begins ||
    (current.section !== mention.section &&
      (labelNames(mention.label).length > 0 || fresh.every(ofOther)))
  if (anew || SECOND.test(lower) || turned) return undefined
  // `Toss the sage leaves in the remaining oil`: beside what stands there.
  const inOil = IN_OIL.test(lower) && fresh.some((id) => !isStaple(kept.item(id)))
  if (inOil && !mention.goesOn) return undefined
  // `Dimple with oiled fingers, scatter over the rosemary`: done to what lies there.
  if (/^(?:fluff|fork)\b/.test(lower)) return current
  if (/^(?:dimple|prick|slash|poke|knock|punch|flatten|stretch) (?!the\b|an?\b)/.test(lower))
    return current
  // `Put the steak in the freezer`: it alone.
  const alone = /\b(?:in|into) the (?:freezer|fridge)\b/.test(lower) && !IT.test(lower)
  if (alone && /^(?:put|pop|place|chill|stick) (?:the|your|some)\b/.test(lower)) return undefined
  // `Cook the noodles in boiling water`: water of their own.
  if (/\bin(?:to)? (?:[a-z]+ ){0,5}?(?:boiling|salted|simmering)\b/.test(lower)) return undefined
  // `Steam green beans for 5 minutes`: by themselves.
  if (/^steam (?!it\b|them\b)[a-z]/.test(lower) && !mention.goesOn) return undefined
  const head = lower.replace(/[,;].*$/, '')
  // `Fry in batches in hot oil`: what is fried is not said again.
  // `Into a pot with water`: what goes in is not said again.
  if (
    /^(?:straight )?(?:in|into|onto|on) (?:(?:a|the|your) )?(?:[a-z-]+ )?(?:pot|pan|saucepan|dish|tin|tray|bowl|oven|slow cooker|casserole)\b/.test(
      lower,
    )
  )
    return current
  // `Boil for 12 minutes, adding the peas for the last two`: what boils is not said again.
  if (WHILE_ADDING.test(lower)) return current
  const onlyMedium = fresh.every((id) => isStaple(kept.item(id)) || isLiquid(kept.item(id)))
  if (onlyMedium && mention.goesOn && /\b(?:toss|coat|mix|shake|rub|drizzle)\b/.test(lower))
    return current
  // `Fry in the oil for 8 minutes with the cumin`: neither is it there.
  const alongside = /\bwith (?:the|a|some|both|all)\b/.test(lower) && !IN_A_PAN.test(lower)
  if ((onlyMedium || alongside) && COOKS_IN.test(lower)) return current
  // `Mix with the flour and the yeast`: what was there is mixed with them.
  if (
    /^(?:mix|mash|crush|smash|squash|combine|blend|blitz|whizz|pulse|process|beat|stir|toss|whisk|cover|top up|fill up|finish|dress|season|enrich|loosen|sharpen) (?:it |them |everything )?(?:in (?:a|the) (?:[a-z]+ )?(?:processor|blender) )?with\b/.test(
      lower,
    )
  )
    return current
  if (
    /^(?:add|(?:stir|pour|tip|mix|fold|whisk|beat|sprinkle|scatter|crumble|drop|break|squeeze|swirl|snip) (?:in|through))\b/.test(
      lower,
    ) ||
    /^(?:sprinkle|scatter|drizzle|brush|dust|dot|top|spread|glaze)\b|^(?:sift|sieve) (?:over|in)\b/.test(
      lower,
    ) ||
    /^(?:tear|crumble|grate|shave|crack|break|lay|ladle|spoon|pour|squeeze) over\b|^(?:tear|crumble|grate|snip) (?:in|on)\b/.test(
      lower,
    ) ||
    /^(?:lower|reduce|raise|turn|take)\b[^,;]*\b(?:heat|down|up|off)\b[^.;]*(?:, | and |, then )(?:add|stir|pour|tip|fold|whisk|throw|put|drop|scatter)\b/.test(
      lower,
    )
  )
    return current
  // `Whisk the starch into the cream`: what it goes into is new as well.
  const target =
    /^(?:whisk|stir|rub|mix|beat|fold|work|toss|put|steep|soak|dissolve|infuse)\b.*[a-z] (?:in|into|through|onto|with) (?:the |both |some |all )?((?:[a-z-]+ ?){1,5})$/.exec(
      lower.replace(/[.,;].*$/, ''),
    )?.[1]
  if (target && fresh.length > 1) {
    const words = new Set(namesOf(target))
    if (fresh.some((id) => namesOf(kept.item(id)).some((n) => words.has(n)))) return undefined
  }
  if (
    /^(?:stir|mix|fold|whisk|beat|tip|pour|throw|put) [^,.;]*? (?:in|through)(?=[,.;]|$| and\b| then\b)/.test(
      lower,
    )
  )
    return current
  if (IT.test(lower) && mention.goesOn) return current
  if (IN_A_PAN.test(lower) && !mention.goesOn) return undefined
  if (mention.work === 'season' && !fresh.some((id) => isMeat(kept.item(id)))) return current
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
    mention.vessels.some((k) => k !== current.where.vessel) && !/^(?:add|stir|return)\b/.test(lower)
  if (other && current.where.vessel !== undefined && !IT.test(lower)) return undefined
  if (other && /^put\b/.test(lower)) return undefined
  // `Warm the tortillas in the microwave`: they alone.
  if (/\bmicrowave\b/.test(lower) && !IT.test(lower)) return undefined
  // `Toast the walnuts in the oven`: nothing of what stands in its pot goes in there.
  const ofItsOwn =
    /^toast (?:the|your|some|all|\d)/.test(lower) ||
    (/^(?:roast|bake|grill|crisp|warm) (?:the|your|some|all|\d)/.test(lower) &&
      (['bake', 'grill'].includes(mention.work) || /\bin (?:the|a) (?:[a-z]+ )?oven\b/.test(lower)))
  const onHobNow = current.where.vessel !== undefined && ON_HOB.has(current.where.vessel)
  // `Cook the noodles for 5 minutes`: in water of their own, where nothing says into what.
  const starch =
    !mention.goesOn &&
    /^(?:cook|boil|steam) (?:the |your )?(?:[a-z]+ )?(?:pasta|noodles|spaghetti|penne|macaroni|rice|couscous|quinoa|bulgur)\b/.test(
      lower,
    )
  if (starch && !INTO.test(head)) return undefined
  if (ofItsOwn && onHobNow) return undefined
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
  // `Fry the onion in oil`, when the sauce has simmered: in a pan of its own.
  const simmered = current.where.wet && ON_HOB.has(current.where.vessel ?? '')
  const fries =
    /^(?:fry|brown|sear|saut[eé]|soften|sweat) (?:the|your|some) [^,;.]* in (?:a|the|some|\d)[^,;.]*\b(?:oil|butter|ghee|fat)\b/
  if (simmered && fries.test(lower) && fresh.some((id) => !isStaple(kept.item(id))))
    return undefined
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
export function isJoined(kept: Threads, mention: Mention, lower: string, fresh: string[]): boolean {
  const { current } = kept
  if (!current || current.closed) return false
  if (
    /^(?:put|tip|pour|place|nestle|sit|lay|slide|tuck|set|stir|mix|fold) [^,.;]*\bback\b|^(?:add|give|return|(?:stir|mix|fold|tip|pour|whisk|beat|throw|put|drop|slide|lower) in|(?:stir|mix|fold|toss) through|(?:top|fill|stuff|load|brush|glaze|baste|coat|spread)(?: [a-z]+ly)? with)\b/.test(
      lower,
    )
  )
    return true
  if (PUSHED_DOWN.test(lower)) return true
  // `Pile the filling down the middle`: of what was rolled out for it.
  if (DOWN_THE_MIDDLE.test(lower) && isSheet(kept, current)) return true
  // `Drizzle over the saffron milk, top with the herbs`: over what stands there.
  if (/^(?:drizzle|trickle|pour|spoon|sprinkle) over (?:the|your|all)\b/.test(lower)) return true
  if (
    /^(?:remove|take|lift) (?:it |them |the (?:pan|pot) )?(?:from|off) the heat\b[^.;]*\b(?:pour|spoon|ladle|tip|spread|stir|fold)\b/.test(
      lower,
    )
  )
    return true
  if (fresh.length) return false
  if (!mention.goesOn)
    return (
      IT.test(lower.replace(/\beach (?=[a-z])(?!with\b|in\b|on\b|over\b|and\b)/g, ' ')) &&
      /^(?:add|stir|pour|spoon|spread|fold|tip|brush|toss|mix|put|place|lay)\b/.test(lower)
    )
  return /^(?:add|stir|pour|spoon|spread|fold|tip|brush|toss|mix|put|place|lay|sprinkle|scatter|return|layer|arrange|serve|pile|pack)\b/.test(
    lower,
  )
}

const DOWN_THE_MIDDLE =
  /^(?:pile|spoon|spread|put|lay|arrange|heap|place) (?:the|your|half the) [a-z ]{3,30}? (?:(?:down|along) the (?:middle|centre|length)|(?:over|on|onto) one (?:half|side))\b/
/** Rolled out, and nothing is in it yet. */
const isSheet = (kept: Threads, { cooked, items }: Thread) =>
  !cooked &&
  items.size === 1 &&
  [...items].every((id) => /\b(?:pastry|dough|filo)\b/.test(kept.item(id)))

const COMES_TO_IT =
  /^(?:put|tip|pour|place|stir|nestle|sit|lay|slide|tuck|set) [^,.;]*\bback(?:\b(?! (?:to|in|into) )|$)|^(?:add|return) (?![^,.;]*\b(?:to|into|in) (?:the|a|your)\b)/

/** What stays where it is, and the others come to: after `to`, `into` or `over`, else the latest. */
export function mainOf(kept: Threads, lower: string, found: Set<Thread>): Thread | undefined {
  const list = [...found]
  if (list.length < 2) return list[0]
  // `Stir through the onion mix`: what stands there stays.
  const stays = kept.current && found.has(kept.current) ? kept.current : undefined
  if (stays && OVEN_SHAPES.has(dishOf(stays)) && /\bfinish(?:ing)? with\b/.test(lower)) return stays
  if (stays && PUSHED_DOWN.test(lower)) return stays
  if (stays && DOWN_THE_MIDDLE.test(lower) && isSheet(kept, stays)) return stays
  if (stays && /^(?:stir|fold|mix|toss) (?:through|in) (?:the|your|all|both)\b/.test(lower))
    return isAddedToPot(kept, lower, new Set([stays])) ? list.find((t) => t !== stays) : stays
  if (OVER_DISH.test(lower)) {
    const dish = list.find((t) => OVEN_SHAPES.has(dishOf(t)))
    if (dish) return dish
  }
  if (stays && STIRRED_IN.test(lower) && inPotOf(stays)) return stays
  const base = list.find((t) => t.base)
  if (base) return base
  if (SPREADS_OVER.test(lower) || STIRRED_THROUGH.test(lower)) return list.at(-1)
  // `Put the mince back`, `add the onions and the noodles`: to what is in the pan, and stays there.
  const { current } = kept
  const inHotPan =
    current && !current.lifted && found.has(current) && ON_HOB.has(current.where.vessel ?? '')
  if (inHotPan && COMES_TO_IT.test(lower)) return current
  // `Brush the ribs with the glaze`: the glaze comes to them.
  if (COATS.test(lower) && kept.lent && found.has(kept.lent))
    return list.find((t) => t !== kept.lent)
  const poured = POURED_OVER.exec(lower)?.[1]?.replace(/[,;.].*$/, '')
  // `Pour over the fish`: it lies under what is poured.
  const pours = poured !== undefined && (isLiquid(poured) || POURS.test(poured))
  if (poured !== undefined && !pours && kept.current && found.has(kept.current)) {
    const under = list.find((t) => t !== kept.current && isCalled(kept, t, poured))
    if (under) return under
  }
  if (poured !== undefined) {
    const isPoured = (t: Thread) => isCalled(kept, t, poured)
    const under = list.find((t) => !isPoured(t))
    if (under && list.some(isPoured)) return under
  }
  if (THROUGH_IT.test(lower) || (stays && isAddedToPot(kept, lower, new Set([stays]))))
    return list.find((t) => t !== kept.current)
  const target =
    /\b(?:in|into|to|over|onto|on|on top of|among|round|around|with|through)\s+(?:the|your)\s+(.+)$/.exec(
      lower,
    )?.[1]
  if (target && !/^[a-z]+ in the\b/.test(lower)) {
    // `Into the case, scatter over the cheese`: the case, rather than what has cheese in it.
    for (const where of [target.replace(/[,;].*$/, ''), target]) {
      const named = list.find(
        (t) =>
          isCalled(kept, t, where) ||
          (isMeat(where) && kept.hasMeat(t)) ||
          [...t.items].some((id) => namesKind(where, kept.item(id))),
      )
      if (named) return named
    }
  }
  // `Add them to the pan`: what is in the pan stays there.
  const inPan = list.filter((t) => t.where.vessel !== undefined && ON_HOB.has(t.where.vessel))
  if (
    inPan.length === 1 &&
    /\b(?:to|into|in) the (?:[a-z-]+ )?(?:pan|pot|saucepan|skillet|casserole|wok)\b/.test(lower)
  )
    return inPan[0]
  if (NAMED_OVER.test(lower)) {
    const under = list.find((t) => OVEN_SHAPES.has(dishOf(t)))
    if (under) return under
  }
  if (LAID_OVER.test(lower)) return list.find((t) => t !== kept.current)
  if (/\b(?:over|among|on|onto) (?:everything|it|them|top)\b/.test(lower))
    return list.reduce((a, b) => (spokenAt(kept, lower, b) < spokenAt(kept, lower, a) ? b : a))
  if (
    kept.current &&
    found.has(kept.current) &&
    /^(?:add|stir|mix|fold|tip|pour|whisk|beat|return|drop|slide|lower)\b/.test(lower)
  )
    return kept.current
  const hot = list.filter((t) => t.where.vessel !== undefined)
  return hot.at(-1) ?? list.at(-1)
}

/** Whether a text calls food by its name, or by what is in it. */
function isCalled(kept: Threads, thread: Thread, text: string): boolean {
  const words = new Set(namesOf(text))
  return (
    [...thread.names].some((n) => words.has(n)) ||
    [...thread.items].some((id) => namesOf(kept.item(id)).some((n) => words.has(n)))
  )
}

/** Where in a text a thread is first spoken of. */
function spokenAt(kept: Threads, lower: string, thread: Thread): number {
  const words = [...thread.names, ...[...thread.items].flatMap((id) => namesOf(kept.item(id)))]
  const at = words.map((w) => lower.indexOf(w)).filter((k) => k >= 0)
  return at.length ? Math.min(...at) : Infinity
}
