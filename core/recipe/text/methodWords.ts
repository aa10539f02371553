import { upperFirst } from '../casing'
import { OVEN_SHAPES } from '../flow/vessels'
import { cooks, type WorkKind } from '../work'
import type { Draft } from './drafts'
import { durationsIn } from './durations'
import { equipmentIn } from './equipment'
import type { Group } from './groups'
import { namesOf, type IngredientRead } from './ingredientLine'
import { VERB_OF } from './lexicon'
import type { Mention } from './threads'

/** `After the tofu's had 10 minutes, `. */
export const HAD =
  /^(?:after|once|when) (?:the |it |they |your )?[a-z’' -]{0,30}?\b(?:had|been in|baked|roasted)(?: for)? (?:about )?(\d+) ?(?:mins?|minutes),? /i

/** `Fry the bacon until crisp`, `until no longer pink`: done, however short it was. */
export const THIN_CRISP =
  /\b(?:until|till) (?:(?:golden|brown|nice|just) (?:and )?)?crisp[^.;]*\b(?:bacon|pancetta|lardons|chorizo|prosciutto)\b|\b(?:bacon|pancetta|lardons|chorizo|prosciutto)\b[^.;]*\b(?:until|till) (?:(?:it is |golden |brown |nice |just )(?:and )?)*crisp|\bcooked (?:right |all the way )?through\b/i

/** Something comes to what lies there. */
export const PUTS_TO =
  /^(?:add|pour|pile|spoon|spread|scatter|sprinkle|top|cover|arrange|drizzle|dot|tuck|fill|stuff|lay|put|crumble|grate|ladle|repeat|finish)\b|\b(?:pour|spoon|spread) over the\b/i

/** `Unwrap the ribs, turn the oven up to 220`: told beside what hands do. */
export const TURNS_OVEN =
  /,? (?:and )?\b(?:turn|raise|increase|lower|reduce) (?:up |down )?the oven (?:temperature )?(?:up |down )?to [^,;.]*/i

/** `Keep back a third in the fridge`: for later, of what was just made. */
export const KEPT_BACK =
  /^(?:(?:keep|set|put) (?:back|aside)|reserve) (?:a (?:third|quarter|little|few|couple)|half|some|about|\d)[^,;]*$/i

/** A pan that only presses something. */
export const AS_WEIGHT =
  /\bunder (?:a|an|another) (?:heavy |weighted |second )?(?:pan|tin|plate|pot|skillet|board|tray)\b/i
/** Everything goes into one bowl. */
export const MIXED_IN = /\binto (?:a|the) (?:[a-z]+ )?bowl with\b/i
/** What runs through is kept. */
export const STRAINED_INTO = /\binto (?:an?|the|another) (?:\w+ )?(?:pan|pot|saucepan|bowl|jug)\b/i
/** A tin or tray is got ready. */
export const PREPARES =
  /^brush (?:an?|the|your) (?:[a-z0-9]+ ){0,3}(?:tins?|springforms?|dish|tray) with (?:the |some |a little )?(?:[a-z]+ )?(?:butter|oil)\b|^(?:lightly |generously |well )?(?:line|grease|oil|butter|flour|base-line)(?:,| and)? (?:(?:line|flour|base-line) )?(?:an?|the|your|two|three|four|both|\d)\b[^.;]*\b(?:tins?|trays?|sheets?|dish(?:es)?|casseroles?|moulds?|ramekins?)\b/i

/** Jars are got ready, with nothing in them yet. */
export const WASHES_JARS =
  /^(?:meanwhile,? )?(?:wash|sterili[sz]e|scald|boil|heat|warm|dry|put)\b[^.;]*\b(?:jars?|bottles?)\b(?![^.;]*\b(?:chutney|jam|with the)\b)/i

/** A pressure cooker is closed. */
export const LOCKED =
  /\b(?:lock|seal|secure|close|fasten)\b[^.;]*\blid\b|\blid (?:on|locked|closed)\b|\b(?:high|low|full) pressure\b|\b(?:to|under) pressure\b/i

/** `Transfer to the oven. 2 hours, then lid off`: how long what was just begun takes. */
export const goesOn = (group: Group, last: Draft) =>
  !last.stated &&
  cooks(last.work) &&
  /^(?:(?:cook|bake|roast|leave)(?: it| them)?(?: for)? |(?:they|it)(?:['’]ll| will)? (?:need|want|take)s? )?(?:about |around )?\d[^,;.]*\b(?:hours?|hrs?|h|minutes?|mins?|min)\b[\s.,;]/i.test(
    `${group.text} `,
  ) &&
  /^(?:cook|take|turn|stir|remove|uncover)$/.test(group.verb)
/** How long the liquor may stand in its pot until the bones are back in it, in minutes: as cooked food may. */
export const LIQUOR_STANDS = 120

/** `Do this three times`. */
export const AGAIN =
  /^(?![^.;]*\bthen (?:finish|top|end|pour|spoon)\b)(?:do (?:this|it|that|so)|repeat(?: this| it| the [a-z]+)?)\b[^.;]*?(?:\b(\d+)(?: more)? times\b|\btwice\b|\bonce more\b)|^stretch and fold (\d+) times\b/

/** What is done the evening before is left until the morning where it says no time. */
export const overnight = ({ text, label }: Mention, work: WorkKind) =>
  ['chill', 'soak', 'prove', 'rest'].includes(work) &&
  /\b(?:night|evening|day)s? before\b|\b(?:mon|tues|wednes|thurs|fri|satur|sun)day (?:night|evening)\b/i.test(
    label ?? '',
  ) &&
  !durationsIn(text).length
    ? `${text} overnight`
    : text

/** `Press sauté`: a machine is set to what follows. */
export const SWITCH =
  /^(?:press|select|choose|hit|turn on|switch on) (?:the )?(?:saut[eé]|start)(?![a-z])[^.;,]{0,20}\.?$/i
/** What stands or cooks by itself while something else is begun. */
export const WHILE_MAKING =
  /\bwhile (?:you|i|we) (?:make|prepare|get on with|see to|start|cook|do) (?:the|your|everything)\b/i
/** Fat is made hot. */
export const HOT_FAT = /\b(?:heat|warm|melt|get)\b[^.;]*\b(?:oil|butter|ghee|fat|dripping|lard)\b/i

const BESIDES =
  /^(?:while (?:it|that|this|they|these|the [a-z]+(?: [a-z]+)?)(?:['’]s|['’]re| is| are)? [^,;.:]{2,40}[,:]\s+|in the (?:morning|evening),? (?=[a-z]))/i
/** When things are done beside each other the plan says, not the words. */
export const sentenceCase = (text: string) => {
  const said = text.replace(/^meanwhile,?\s+/i, '')
  const bare = said.replace(BESIDES, '')
  const commands = VERB_OF.has(/^[a-z]+/i.exec(bare)?.[0].toLowerCase() ?? '')
  return upperFirst((commands ? bare : said).replace(/[\s.,;:]+$/, ''))
}

/** At once, or within so many minutes: how long the food may wait before this step. */
export function withinOf(text: string): number | undefined {
  const span = durationsIn(text).find((d) => d.kind === 'within')
  if (span) return span.most
  return /\b(?:immediately|at once|straight ?away|right away)\b/i.test(text) ? 2 : undefined
}

/** `Thaw overnight and reheat`: what is in the freezer is eaten another day. */
export const ANOTHER_DAY = /^(?:to (?:serve|eat),? )?(?:thaw|defrost|re-?heat)\b/i

/** `Stir into the oats, seeds and salt`: the first that it names. */
export const INTO_NEW =
  /^(?:stir|pour|mix|tip|fold|beat|whisk) (?:it |this |them |everything )?into the ([a-z]+(?: [a-z]+)?)/

/** `Repeat with the rest`, where half of it was cooked. */
export const REPEATS =
  /^repeat\b[^.;]*\bwith (?:the (?:rest|other half|remaining|others)|what is left)\b/i
export const HALF_OF = /\bhalf (?:of )?(?:the|them|your)\b/i
/** `Lift them out into a gratin dish`: they are elsewhere from then on. */
export const movesTo = (text: string) =>
  equipmentIn(
    /\b(?:lift|remove|take)\b[^.;]*?\b(?:into|onto|to) ((?:an?|the) [^.;]*)/i.exec(text)?.[1] ?? '',
  ).some((k) => OVEN_SHAPES.has(k))
/** `While they are in the oven, `: where something else is. */
export const MEANWHILE = /^(?:while|as)\b[^,;]*,\s*/i
/** `Moving it to the slow cooker as it is done`. */
export const MOVING =
  /,? (?:and )?(?:moving|transferring|putting|lifting) (?:it|them|each [a-z]+) (?:out )?(?:in|into|on|onto|to) (?:a|an|the) [^.;,]*/i
/** What is stirred together before other food comes to it. */
export const WHISKED = /^(?:whisk|beat|cream)\b[^.;]*\b(?:stir|fold|mix|whisk|beat|tip|add)\b/i
/** Which of them a text speaks of first. */
export const firstSpoken = (
  text: string,
  ids: readonly string[],
  all: readonly IngredientRead[],
): string => {
  const at = (id: string) => {
    const lower = text.toLowerCase()
    const places = namesOf(all.find((i) => i.id === id)!.item).map((n) => lower.indexOf(n))
    return Math.min(...places.filter((k) => k >= 0), Infinity)
  }
  return ids.reduce((a, b) => (at(b) < at(a) ? b : a))
}

/** Where something is put once it has been cooked. */
export const ASIDE =
  /,? (?:and |then )*(?:set|put|tip|lift|scoop|transfer|remove|take|turn)\b[^.;,]*\b(?:in|into|on|onto|to) (?:a|an|another|the) (?:[a-z]+ )?(?:bowl|plate|board|dish)\b/gi
