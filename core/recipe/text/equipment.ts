import { OVEN_SHAPES } from '../flow/vessels'
import type { WorkKind } from '../work'
import { isDough } from './foods'
import { EQUIPMENT, ON_HOB, VESSELS } from './lexicon'
import { plain } from './plain'

/** Where the food is, as far as a method has told so far. */
export interface Whereabouts {
  /** The vessel that the dish is in. */
  vessel: string | undefined
  /** The tray, tin or dish last spoken of: what goes into the oven. */
  dish: string | undefined
  /** °C that the oven was last set to. */
  oven: [number, number] | undefined
  /** The same of the air fryer. */
  fryer: [number, number] | undefined
  /** Something wet went in since it was put in there. */
  wet: boolean
  /** The pressure cooker was opened again. */
  opened: boolean
  /** What a bare `pan` is in this recipe. */
  pan: string
  /** The last work on a heat. */
  heated: WorkKind | undefined
}

/** Kinds of equipment that a text names, in the order of its words, each once. */
export function equipmentIn(text: string): string[] {
  let line = plain(text).replace(
    // `(or overnight in the fridge)`: the other way is not the one that is planned.
    /\((?:or|alternatively)\b[^)]*\)|\b(?:pan|pasta|oven|potato|meat|pot|tin) (?:juices|drippings)\b|\bfrying oil\b|\b(?:little|mini|tiny|small lidded|yogh?urt|plastic|\d+ (?:small|little)) pots\b|\bover (?:the )?casserole\b|\((?:about )?\d[^()]* in (?:a|the) (?:mixer|processor|machine)\)|\b(?:straight )?(?:from|out of) the oven\b|\b(?:push|stab|poke|press|slot)\b[^.;]*\bholes\b/g,
    ' ',
  )
  const found: { kind: string; at: number }[] = []
  for (const [pattern, kind] of EQUIPMENT)
    for (let m = pattern.exec(line); m; m = pattern.exec(line)) {
      found.push({ kind, at: m.index })
      line = line.slice(0, m.index) + ' '.repeat(m[0].length) + line.slice(m.index + m[0].length)
    }
  const own = found.sort((a, b) => a.at - b.at).map((f) => f.kind)
  return [...new Set(own)]
}

/** In the air fryer that was heated before, where the words say so and no pan is spoken of. */
export const inFryer = (text: string, named: readonly string[], where: Whereabouts) =>
  where.fryer !== undefined &&
  !named.some((k) => ON_HOB.has(k)) &&
  (/\bbasket\b|\bsingle layer\b|\bshak(?:e|ing)\b/i.test(text) ||
    // Nothing has been on another heat since: it is what was heated for this.
    ((where.heated === undefined || where.vessel === 'air-fryer') &&
      !named.length &&
      /^(?:cook|fry|bake|roast|crisp|raise|increase|turn|reduce)\b/i.test(text)))

/** `the pan`, `the same pot`: a vessel without saying which kind. */
export const namesPan = (text: string) =>
  /\bpans?\b/.test(
    plain(text).replace(
      /\b(?:sauce|frying|stock|muffin|cake|loaf|roasting|baking|sheet)[ -]?pans?\b/g,
      ' ',
    ),
  )

/** Everything that a step is done with: what its words name, and what such work always takes. */
export function equipmentOf(text: string, work: WorkKind, where: Whereabouts): string[] {
  const named = equipmentIn(text)
  const vessel =
    named.find((k) => VESSELS.has(k)) ?? (namesPan(text) ? panOf(work, where) : undefined)
  const all = new Set(named)
  const need = (...kinds: string[]) => kinds.forEach((k) => all.add(k))
  const onHob = (fresh: string) => {
    // What is fried while something else simmers is fried in a pan of its own.
    const busy =
      ['fry', 'brown', 'soften'].includes(work) &&
      where.wet &&
      (where.heated === 'boil' || where.heated === 'simmer') &&
      !/^(?:add|stir|return|melt in)\b/i.test(text)
    const in_ =
      vessel ?? (usable(where.vessel) && !busy ? where.vessel! : busy ? 'frying-pan' : fresh)
    need(in_)
    if (ON_HOB.has(in_) || OVER_HEAT.test(text)) need('burner')
    // Heat on the hob is not the oven's, unless the words put it there.
    if (!/\b(?:in|into|to) the oven\b/.test(text.toLowerCase())) all.delete('oven')
  }
  if (vessel) need(vessel)
  // `In a bowl over a pan of simmering water`.
  if (/\bover (?:a|the) (?:[a-z]+ )?(?:pan|saucepan|pot) of\b/i.test(text)) need('pot', 'burner')
  const lower = text.toLowerCase()
  const any = (...kinds: string[]) => kinds.some((k) => all.has(k))
  switch (work) {
    case 'cut':
      // `Mark into bars`: in the tin.
      if (/^(?:mark|score)\b/.test(lower) && where.dish) break
      if (!any('processor', 'blender', 'bowl') && !/^(?:flake|crumble|tear|strip)\b/.test(lower))
        need('board')
      break
    case 'brown':
    case 'fry':
      // Butter and flour for a white sauce: milk follows.
      onHob(
        namesPan(text) || AROMATIC.test(lower)
          ? where.pan
          : ROUX.test(lower)
            ? 'pot'
            : 'frying-pan',
      )
      break
    case 'soften':
      onHob(/\b(?:butter|chocolate|honey|sugar)\b/.test(lower) ? 'pot' : where.pan)
      break
    case 'boil':
      if (!all.has('kettle')) onHob('pot')
      break
    case 'simmer':
      onHob('pot')
      break
    case 'bake':
      if (
        all.has('air-fryer') ||
        (where.vessel === 'air-fryer' && !all.has('oven')) ||
        inFryer(text, named, where)
      ) {
        need('air-fryer')
        break
      }
      need('oven')
      if (!vessel) need(bakedIn(lower, where))
      break
    case 'grill':
      all.delete('grill')
      if (any('outdoor-grill', 'griddle')) break
      need('oven')
      if (!vessel && where.dish) need(where.dish)
      break
    case 'heat':
      if (any('air-fryer')) break
      if (all.delete('grill') || !any('microwave', 'oven', 'outdoor-grill', 'griddle')) need('oven')
      if (!any('microwave')) for (const k of all) if (VESSELS.has(k)) all.delete(k)
      break
    case 'pressure':
      need('pressure-cooker')
      break
    case 'slow':
      need('slow-cooker')
      break
    case 'chill':
      if (!all.has('freezer')) need(/\bfreeze\b/.test(lower) ? 'freezer' : 'fridge')
      break
    case 'drain':
      if (
        /\b(?:drain|rinse|strain|sieve|wash)\b/.test(lower) &&
        !/\b(?:kitchen|paper|absorbent) (?:paper|towels?|roll)\b/.test(lower)
      )
        need('colander')
      break
    case 'blend':
      if (any('processor', 'mixer')) break
      need(where.vessel === 'processor' && !named.length ? 'processor' : 'blender')
      break
    case 'shape':
      if (!all.size) need(/\broll out\b/.test(lower) || isDough(text) ? 'bench' : 'board')
      break
    case 'mix':
      if (/^(?:line|grease)\b/.test(lower)) {
        // `Line the case with paper`: in the tin that it is in.
        if (!all.size) need(where.dish ?? (usable(where.vessel) ? where.vessel! : 'tin'))
        break
      }
      if (/\bknead\b/.test(lower) && !all.has('mixer')) need('bench')
      else if (!all.size) need(mixedIn(lower, where))
      break
    case 'assemble':
      if (
        !all.size &&
        where.vessel === 'bowl' &&
        /^(?:add|make a well|bring (?:it )?together)\b/.test(lower)
      )
        need('bowl')
      if (!all.size && usable(where.vessel) && GOES_INTO_POT.test(lower) && !ONTO_PLATE.test(lower))
        need(where.vessel!)
      break
    default:
      break
  }
  return [...all]
}

/** `Tip onto paper towels`, `tip out`. */
const ONTO_PLATE =
  /^(?:tip|turn|lift|scoop) (?:(?:it|them|everything) )?out\b(?! (?:in|into)\b)|\b(?:onto|on to) (?:a |the |some )?(?:[a-z]+ )?(?:paper|plates?|boards?|towels?|racks?)\b|^put (?:it |them )?on an? (?:[a-z]+ )?(?:plate|board|rack)\b/
/** `Now add the lentils`, `take the lid off, turn up the heat and throw in the mushrooms`. */
const GOES_INTO_POT =
  /^(?:(?:now|then|next|finally|gradually|slowly)[, ]+)*(?:add|stir|pour|return|tip|put|throw|drop)\b|^(?:take the lid off|uncover|remove the lid|(?:turn|raise|increase|lower|reduce)\b)[^.;]*\b(?:add|stir|pour|tip|throw|drop|put)\b/
/** What a curry or a soup begins with: in the pan that its liquid goes into. */
const AROMATIC = /\b(?:seeds|spices|garlic|onions?)\b/
const ROUX = /\b(?:melt|heat)\b[^.]*\bbutter\b[^.]*\b(?:add|stir|whisk|sprinkle)\b[^.]*\bflour\b/
const OVER_HEAT = /\b(?:over|on) (?:an? |the )?(?:[a-z-]+ )?(?:heat|flame|hob|burner|ring)\b/i

/** What something is mixed in, where its words do not say: what it is stirred into, or a bowl. */
function mixedIn(text: string, where: Whereabouts): string {
  const lower = text.replace(/^(?:off|away from) the heat,?\s*/, '')
  const { vessel } = where
  if (/^toss (?:with|in) /.test(lower))
    return vessel === 'tray' || vessel === 'oven-dish' ? vessel : 'bowl'
  // `Fluff the top with a fork`: of the pie.
  if (/^fluff\b/.test(lower) && OVEN_SHAPES.has(vessel)) return vessel!
  // `Tip in the potatoes`: into the hot tin.
  if (/^(?:tip|add|put|throw|toss)(?: in)? the\b/.test(lower) && OVEN_SHAPES.has(vessel))
    return vessel!
  const into =
    /\b(?:in|into|through)\b|\bback\b|^(?:fluff|stir|mash|season|add|toss|sprinkle|crush|squash|break|return|shred|pull)\b/.test(
      lower,
    )
  return into && usable(vessel) ? vessel! : 'bowl'
}

/** What something goes into the oven in, where its words do not say. */
function bakedIn(lower: string, where: Whereabouts): string {
  const { vessel, dish } = where
  if (vessel && OVEN_SHAPES.has(vessel)) return vessel
  const back = /\b(?:return|back)\b/.test(lower) && dish !== undefined
  if (!back && /\b(?:transfer|return|move|put|cover)\b/.test(lower) && usable(vessel))
    return vessel!
  return dish ?? (vessel === 'pot' || vessel === 'frying-pan' ? vessel : 'tray')
}

/** A bare `pan` is the one at hand, or the one that such work takes. */
const panOf = (work: WorkKind, where: Whereabouts) =>
  // `Cool in the pan`: in the tin that it was baked in.
  (work === 'cool' || work === 'rest') && where.dish !== undefined
    ? where.dish
    : where.vessel !== undefined && ON_HOB.has(where.vessel)
      ? where.vessel
      : ['brown', 'fry', 'soften'].includes(work)
        ? where.pan
        : work === 'bake'
          ? 'tray'
          : 'pot'

const usable = (vessel: string | undefined) =>
  vessel !== undefined &&
  (ON_HOB.has(vessel) || ['pressure-cooker', 'slow-cooker', 'rice-cooker'].includes(vessel))
