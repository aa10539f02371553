import { OVEN_SHAPES } from '../flow/vessels'
import { ON_HEAT, type WorkKind } from '../work'
import { durationsIn } from './durations'
import { inFryer, type Whereabouts } from './equipment'
import { isBoiled, isMeat, isPasta } from './foods'
import type { Group } from './groups'
import { POTS, VESSELS } from './lexicon'
import { plain } from './plain'
import { temperaturesIn } from './temperatures'

/** What something is let do that is fried. */
const COLOURS =
  /\b(?:let|leave|allow)\b[^.;]*\b(?:colou?r|catch|crisp|char|take on (?:a little |some )?colou?r)\b/
const ROUX = /\bmelt\b[^.]*\bbutter\b[^.]*\bflour\b[^.]*\bmilk\b/
/** Fried in a pan, whatever else it is called. */
const BATTER = /\b(?:batter|pancakes?|crepes?|fritters?|omelettes?)\b/
/** `Give it a minute`. */
const GIVES = /\bgive (?:it|them|that|everything) (?:all )?(?:another |about )?(?:an?|\d)/
/** A pot or a stone that is heated with the oven, and has nothing in it yet. */
const EMPTY_POT =
  /\b(?:put|place|set) (?:an?|your) (?:(?:empty|heavy|large|lidded|cast[ -]iron|deep) )+(?:pot|casserole|skillet|stone|tray|tin|pan)\b[^.;]*\b(?:in|into) the oven\b/

/** What kind of work a clause is, where its verb alone leaves that open. */
export function workOf(
  group: Group,
  where: Whereabouts,
  named: readonly string[],
  items: readonly string[],
): WorkKind {
  const { verb, work } = group
  const text = group.text.toLowerCase()
  const about = `${text} ${items.join(' ')}`
  const spans = durationsIn(text).filter((d) => d.kind === 'span')
  if (named.includes('microwave')) return 'heat'
  if (work === 'heat') return 'heat'
  // `Wash the jars and dry them in the oven`: what takes its time is the oven.
  if (/\b(?:jars?|bottles?)\b/.test(text) && named.includes('oven') && spans.length) return 'bake'
  // `… and heat to 240 °C`.
  if (EMPTY_POT.test(text) || (verb === 'heat' && /^(?:then )?heat (?:it )?to \d{3}/.test(text)))
    return 'heat'
  // `Add the garlic, and give it a minute`: on the heat that it is on.
  const hot =
    where.heated !== undefined && ['fry', 'soften', 'brown', 'simmer'].includes(where.heated)
  if (hot && GIVES.test(text) && spans.length && work !== 'bake') return 'fry'
  // `Put the chops back for 3 minutes to heat through`.
  if (hot && spans.length && work === 'assemble' && /\bback\b|\b(?:heat|warm) through\b/.test(text))
    return 'simmer'
  // `Bring to a bubble, then low heat, 2½ hours`.
  if (
    work === 'boil' &&
    /\b(?:low|lowest|gentle|gently)\b/.test(text) &&
    spans.some((d) => d.least >= 15)
  )
    return 'simmer'
  if (work === 'simmer' && COOK.test(verb)) return cookedHow(text, about, verb, where, named)
  // `Melt the butter, stir in the flour, then whisk in the milk`: over the heat.
  if (work === 'mix' && ROUX.test(text)) return 'simmer'
  switch (verb) {
    case 'season':
    case 'salt':
      return /\bto taste\b|\bcheck\b/.test(text) ? 'mix' : 'season'
    case 'flour':
      return isMeat(about) && where.heated === undefined ? 'season' : work
    case 'toss':
      if (spans.length && /\b(?:over|on) (?:the|a) (?:[a-z]+ )?heat\b/.test(text))
        return where.heated === 'simmer' || where.heated === 'boil' ? 'simmer' : 'fry'
    // falls through
    case 'rub':
    case 'coat':
    case 'dust':
      return isMeat(about) &&
        (verb === 'rub' || where.heated === undefined) &&
        !/\bflour\b/.test(text)
        ? 'season'
        : work
    case 'reduce':
      if (/\breduce (?:the )?(?:heat|temperature|oven|speed|flame)\b/.test(text)) return work
      return spans.length ||
        /\b(?:let|allow|leave)\b/.test(text) ||
        /\bby (?:half|a third|two thirds|0\.\d+)\b|\buntil (?:thick|syrupy|reduced)\b|\bover (?:a |the )?[a-z-]* ?heat\b/.test(
          text,
        )
        ? 'simmer'
        : work
    case 'fold':
      // `Fold the edges in`, of what lies in its tin.
      if (/\bthe (?:edges|sides|ends) (?:in|over)\b/.test(text))
        return OVEN_SHAPES.has(where.vessel ?? where.dish) ? 'assemble' : 'shape'
      return /\b(?:in|over) the (?:sides|edges|ends|corners|flaps)\b|\bin half\b|^fold (?:it )?(?:over|up)\b/.test(
        text,
      )
        ? 'shape'
        : work
    case 'brown':
      return named.includes('grill') ? 'grill' : work
    case 'toast':
    case 'crisp':
    case 'dry':
      return named.includes('oven') || named.includes('tray') || where.heated === 'bake'
        ? 'bake'
        : work
    case 'braise':
    case 'stew':
    case 'poach':
      return named.includes('oven') ? 'bake' : 'simmer'
    case 'press':
      if (/\bgarlic\b/.test(text)) return 'cut'
      if (spans.some((d) => d.least >= 8)) return 'rest'
    // falls through
    case 'pat':
    case 'roll':
    case 'flatten':
    case 'shape':
      if (
        verb === 'roll' &&
        /\bin (?:the|a|some) (?:\w+ )?(?:glaze|sauce|crumbs|breadcrumbs|flour|sugar|seeds|spices?|butter|oil|nuts|herbs)\b/.test(
          text,
        )
      )
        return 'mix'
      return INTO_TIN.test(text) ? 'assemble' : work
    case 'squeeze':
      return /\b(?:lemon|lime|orange|juice)\b/.test(text) ? 'assemble' : work
    case 'pack':
      // `Pack the pork snugly into a casserole`.
      return named.some((k) => ['pot', 'tray', 'oven-dish'].includes(k)) &&
        !/\b(?:box(?:es)?|tubs?|bags?|containers?)\b/.test(text)
        ? 'assemble'
        : work
    case 'mash':
      return 'mix'
    case 'crush':
      return /\b(?:garlic|seeds?|spices?|pods?|peppercorns?|biscuits?|nuts?)\b/.test(text)
        ? work
        : 'mix'
    case 'steam':
      return /\b(?:leave|let|allow)\b/.test(text) ? 'rest' : work
    case 'chill':
    case 'refrigerate':
      return /^\w+ (?:for )?up to\b/.test(text) && durationsIn(text).some((d) => d.kind === 'keeps')
        ? 'pack'
        : work
    case 'freeze':
      return spans.length || /\bon (?:a|the) tray\b|\buntil (?:hard|firm|solid)\b/.test(text)
        ? 'chill'
        : 'pack'
    case 'shred':
    case 'pull':
    case 'break':
      // `Shred the beef with two forks`: in its sauce, unless it is lifted out of it.
      return /\bforks?\b/.test(text) &&
        POTS.has(where.vessel ?? '') &&
        where.heated !== undefined &&
        !/^(?:remove|lift|take|transfer|scoop)\b|\b(?:board|plate|bowl)\b/.test(text)
        ? 'mix'
        : work
    case 'grate':
    case 'crumble':
    case 'tear':
    case 'shave':
      return /\bover\b|\bon top\b|^(?:tear|crumble|grate) (?:in|on)\b/.test(text)
        ? 'assemble'
        : work
    case 'allow':
      return durationsIn(text).some((d) => d.kind === 'perWeight') ? 'bake' : work
    case 'glaze':
      return spans.length && named.includes('frying-pan') ? 'fry' : work
    case 'leave':
    case 'let':
      // `Turn up the heat and let them colour`: in the pan that they are in.
      if (hot && COLOURS.test(text)) return 'fry'
      return goesOnBy(text, where, spans.length) ? 'simmer' : work
    case 'stand':
      return !spans.length && INTO_TIN.test(text) ? 'assemble' : work
    case 'keep':
      if (/\bkeep (?:going|cooking|frying|stirring)\b/.test(text) && where.heated)
        return where.heated
    // falls through
    case 'set aside':
    case 'reserve':
      return spans.length ? 'rest' : work
    default:
      return work === 'assemble' || work === 'mix' ? putHow(text, verb, work, where, named) : work
  }
}

const COOK = /^(?:cook|heat|warm|reheat|reduce down|bubble|thicken)$/
const INTO_TIN =
  /\b(?:in|into|over|onto) (?:a|the|an) (?:[a-z-]+ ){0,3}(?:tin|dish|tray|pan|base)\b/
const SOFT = /\b(?:soft|softened|softens?|translucent|transparent|tender)\b/
/** No hand stays on what cooks so. */
const SLOWLY =
  /\b(?:gently|slowly|(?:on|over) (?:a |the )?(?:very )?low (?:heat|flame))\b|\bstirring (?:now and (?:again|then)|occasionally|from time to time|every)\b/
const ONIONS = /\b(?:onions?|shallots?|leeks?|celery|peppers?|fennel)\b/

/** `Cook for ten minutes`: in what, and what went before, says how. */
function cookedHow(
  text: string,
  about: string,
  verb: string,
  where: Whereabouts,
  named: readonly string[],
): WorkKind {
  const at = (kind: string) =>
    named.includes(kind) || (where.vessel === kind && !named.some((k) => VESSELS.has(k)))
  if (at('slow-cooker')) return 'slow'
  if (at('pressure-cooker') && !where.opened) return 'pressure'
  if (at('air-fryer') || inFryer(text, named, where)) return 'bake'
  if (at('rice-cooker')) return 'simmer'
  // What joins a roast cooks in the oven that is on.
  const inShape = where.vessel === undefined || OVEN_SHAPES.has(where.vessel)
  if (/\balongside\b/.test(text) && where.oven !== undefined && inShape) return 'bake'
  // `Turn the oven down, cover and cook for 6 hours`: in the tin that it is in.
  const hot = where.heated === 'bake' || (where.oven !== undefined && where.heated === undefined)
  const inOven = hot && OVEN_SHAPES.has(where.vessel ?? where.dish)
  const onFire = /\b(?:hob|heat|flame|burner|ring)\b/.test(text)
  if (inOven && !onFire && !named.some((k) => VESSELS.has(k) && !OVEN_SHAPES.has(k))) return 'bake'
  // `Sit the dumplings on the stew and cook, uncovered, until golden`: in the oven that it was in.
  const browns = /\b(?:golden|brown|browned|puffed|crisp)\b/.test(text)
  if (where.heated === 'bake' && browns && !onFire && !named.some((k) => VESSELS.has(k)))
    return 'bake'
  // `35 minutes`, of what lies in its dish when the oven has been heated.
  const bare =
    /^(?:(?:cook )?for |about )*\d[^,.;]*(?:minutes?|mins?|hours?|hrs?)(?:\W*$|,? (?:stir|turn|toss|shak)[a-z]* (?:them |it )?(?:every|once|twice|halfway)\b| (?:till|until)\b)/.test(
      plain(text),
    )
  if (bare && where.oven !== undefined && OVEN_SHAPES.has(where.vessel ?? where.dish)) return 'bake'
  if (named.includes('oven') || temperaturesIn(text).some((t) => t.of === 'oven')) return 'bake'
  if (named.includes('outdoor-grill') || named.includes('griddle')) return 'grill'
  if (BATTER.test(about) && !where.wet) return 'fry'
  if (isPasta(about) || /\bboiling (?:salted )?water\b/.test(about)) return 'boil'
  if (
    /\b(?:until (?:well )?brown(?:ed)?|brown all over|until no longer pink)\b/.test(text) &&
    isMeat(about)
  )
    return 'brown'
  if (ONIONS.test(about) && (SOFT.test(text) || SLOWLY.test(text)) && !where.wet) return 'soften'
  const pan = named.find((k) => VESSELS.has(k)) ?? where.vessel
  if (pan === undefined && isBoiled(about)) return 'boil'
  if (durationsIn(text).some((d) => d.kind === 'span' && d.least > 25)) return 'simmer'
  const frying =
    where.heated === 'fry' ||
    where.heated === 'soften' ||
    where.heated === 'brown' ||
    /\b(?:heat|warm|add|melt)\b[^.;]*\b(?:oil|butter|ghee|fat)\b/.test(text)
  if (verb === 'cook' && pan === 'griddle') return 'fry'
  const fries = verb === 'cook' || (verb === 'heat' && /\bcook\b/.test(text))
  if (fries && !where.wet && (pan === 'frying-pan' || frying))
    return (SLOWLY.test(text) || /\blid on\b|\bcovered\b/.test(text)) && !isMeat(about)
      ? 'soften'
      : 'fry'
  const water = /\b(?:in|with) (?:a (?:large |big )?(?:pan|pot|saucepan) of|plenty of|salted)\b/
  return isBoiled(about) && water.test(text) ? 'boil' : 'simmer'
}

/** `Lid on, lowest heat, leave it be for an hour`: it cooks. */
const goesOnBy = (text: string, where: Whereabouts, timed: number) =>
  timed > 0 &&
  where.heated !== undefined &&
  ON_HEAT.has(where.heated) &&
  /\b(?:leave|let) (?:it|them|that|everything|this) (?:be|alone|to it|go|tick)\b|\b(?:low|lowest|gentle) (?:heat|flame)\b/.test(
    text,
  ) &&
  !/\boff the heat\b/.test(text)

/** `Give it 20 minutes longer`. */
const LONGER =
  /\b(?:give|leave) (?:it|them) (?:for )?(?:another |a further )?\d[^,;.]*\b(?:longer|more|minutes)\b|(?:^|, )(?:another )?\d+(?:-\d+)? (?:minutes?|mins?) (?:more|longer)\b/

/** `Between four freezer boxes`: put away for another day. */
const INTO_BOXES =
  /\b(?:between|among|into) (?:[a-z0-9-]+ ){0,3}(?:(?:freezer|lidded|airtight|storage|takeaway|plastic) (?:boxes|containers|tubs|bags)|freezer ?bags)\b/i

/** Put into a cooker or the fridge for so long: that is the work, not the putting. */
function putHow(
  text: string,
  verb: string,
  work: WorkKind,
  where: Whereabouts,
  named: readonly string[],
): WorkKind {
  if (/^(?:turn|flip)$/.test(verb) && durationsIn(text).length) {
    if (named.includes('air-fryer')) return 'bake'
    if (named.includes('rack')) return 'cool'
    if (/\bdown\b/.test(text) && where.heated === 'boil') return 'simmer'
    if (where.heated) return where.heated
  }
  if (/^(?:divide|split|ladle|spoon|transfer|tip)$/.test(verb) && INTO_BOXES.test(text))
    return 'pack'
  if (where.heated && LONGER.test(plain(text))) return where.heated
  // `Add the garlic for 2 minutes`: it fries on for so long.
  const fries = where.heated !== undefined && ['fry', 'soften', 'brown'].includes(where.heated)
  if (
    fries &&
    /^(?:add|(?:tip|stir|throw) in) [^,;]{3,60} for (?:about |another |a )?(?:\d|one|two|minute)/i.test(
      text,
    )
  )
    return where.heated === 'soften' ? 'soften' : 'fry'
  // `Add wine, reduce to nothing`: over the heat.
  const hot = where.heated !== undefined && ON_HEAT.has(where.heated)
  if (hot && /, reduce(?: (?:to nothing|right down|by half|a little))?\W*$/.test(text))
    return 'simmer'
  if (verb === 'knead' || !durationsIn(text).some((d) => d.kind === 'span' && d.most >= 3))
    return work
  // `Put the rice and water in the rice cooker, about 25 minutes`.
  if (named.includes('rice-cooker')) return 'simmer'
  if (named.includes('slow-cooker') && /\b(?:low|high|cook)\b/.test(text)) return 'slow'
  if (named.includes('fridge') || named.includes('freezer')) return 'chill'
  if (named.includes('oven')) return 'bake'
  // `Put the berries in a pan, medium heat, 12 min`.
  const onFire = /\b(?:low|medium|high|gentle) heat\b/.test(text)
  if (onFire && named.some((k) => k === 'pot' || k === 'frying-pan')) return 'simmer'
  const hob = where.heated !== undefined && ON_HEAT.has(where.heated)
  // `Add the stock a ladle at a time, 18 minutes`: it cooks all that time.
  const goesOn = durationsIn(text).some((d) => d.kind === 'span' && d.least >= 5)
  if (verb === 'add' && hob && goesOn && !/\bfor the last\b/.test(text)) return 'simmer'
  if (verb === 'cover') return hob && !/\boff the heat\b/.test(text) ? 'simmer' : 'rest'
  if (/^(?:turn|flip|stir)$/.test(verb) && where.heated) return where.heated
  return work
}
