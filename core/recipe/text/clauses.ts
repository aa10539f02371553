import { durationsIn } from './durations'
import { temperaturesIn } from './temperatures'
import { PHRASES, VERB_OF, type Verb } from './lexicon'
import { singular } from './ingredientLine'
import { WHILE_YOU } from './references'
import type { WorkKind } from '../work'

/** A part of a sentence with one thing to do. */
export interface Clause {
  text: string
  verb: string
  work: WorkKind
  light: boolean
  /** What a leading `when`, `once` or `while` said. */
  meanwhile: boolean
}

interface Word {
  word: string
  at: number
  end: number
}

const BEFORE_COMMAND = new Set(
  'you we i and then or now next finally lastly first also just please either meanwhile again simply immediately afterwards once'.split(
    ' ',
  ),
)
const AFTER_COMMAND = new Set(
  'one two three four five six eight ten twelve the a an your them it each both all any some half this that these those everything in into with over on onto for to until till at by through up down out off under from again well briefly once before together back aside as while about around every uncovered covered without very just if half-way lightly another further more half-covered part-covered partially partly gradually gently slowly'.split(
    ' ',
  ),
)
/** Commands that are things as well: taken for commands only where what follows says so. */
const NOUNS = new Set(
  'puree purée shake whip fork stack jar salt butter flour oil cream mince zest stone pit core joint skin string toast ice top dust line stew juice steam mix cover cut portion bag box label store heat cool brown dress glaze roll pat plate tip dot shape form press fold set season taste rest score process pulse work colour color place layer spread drop strip reserve crack stand stud smooth level dry thin seal close lock crisp grill fillet mash dice slice bottle pipe measure barbecue chop quarter halve roast crush split switch check turn'.split(
    ' ',
  ),
)
/** Commands that often stand alone between commas. */
const ALONE = new Set(['cool', 'season', 'rest', 'stir', 'cover'])
/** Commands that are adjectives as well: `brown sugar`. */
const ADJECTIVE = new Set('brown dry cool thin smooth level crisp roast warm grill'.split(' '))
/** Foods among them. */
const SEASONINGS = new Set(['salt', 'butter', 'flour', 'oil', 'mince', 'skin'])
const FOODS = new Set(
  'puree purée shake whip fork stack salt butter flour oil cream mince toast ice juice stew zest skin'.split(
    ' ',
  ),
)
const UNTIL =
  /\b(?:until|till|so that|so it|which|if|unless|without|because|as (?:it|they|the|soon)|while|when|once|where|making sure|checking|before you|before serving|being careful|taking care|rather than|don't|don’t|do not|never|to prevent|to stop|to avoid|for serving|ready to)\b/g
/** What follows a food that is a command: `salt the water`, never `vinegar and salt in a pan`. */
const AFTER_FOOD =
  /^(?:the|a|an|your|it|them|each|both|all|together|well|every|some|up|off|lightly|generously)$/
/** `Use a stick blender to blend the soup`. */
const TOOL = /^(?:use|using)\b/
const MODAL = /^(?:must|should|may|can|will|to|need|needs)$/
/** `Allow 5 minutes a batch`: how long what was just said takes. */
const PER_BATCH =
  /^(?:allow|allowing|give) [^,;.]*\d[^,;.]* (?:per|for each|each|a) (?:batch|panful|lot|side)\b/
const WHERE = /^(?:in|into|on|using|with|for|to)\b/
/** After `until it is soft and`: these begin something new all the same. */
const STRONG = new Set(
  'add stir pour remove transfer drain serve season set return turn reduce cover cool leave place tip bake spoon whisk lift take blend spread mix simmer scatter sprinkle strain bring stand slide divide'.split(
    ' ',
  ),
)

/**
 * The parts of a sentence that each say to do something. A word that is a thing as well is a
 * command before one of the `foods`: `slice onions`.
 */
export function clausesOf(sentence: string, foods: ReadonlySet<string> = NO_FOODS): Clause[] {
  const lower = sentence
    .toLowerCase()
    .replace(WHILE_YOU, (_, lead: string, who: string | undefined) => `${lead},${who ?? ''}`)
  const words: Word[] = [...lower.matchAll(/[a-zà-ÿ]+(?:-[a-zà-ÿ]+)*/g)].map((m) => ({
    word: m[0],
    at: m.index,
    end: m.index + m[0].length,
  }))
  const blocked = blockedStretches(lower)
  const commands: { at: number; end: number; name: string; verb: Verb }[] = []
  for (let i = 0; i < words.length; i++) {
    const found = verbAt(lower, words, i)
    if (!found) continue
    const { at } = words[i]!
    const block = blocked.find(([from, to]) => at > from && at < to)
    const previous = i > 0 ? words[i - 1]! : undefined
    const gap = previous ? lower.slice(previous.end, at) : ''
    const afterAnd = previous !== undefined && (previous.word === 'and' || previous.word === 'then')
    if (block && !(afterAnd && STRONG.has(found.name.split(' ')[0]!))) continue
    const last = commands[commands.length - 1]
    const run =
      last !== undefined && /^[\s,]*(?:and|or|then)?[\s,]*$/.test(lower.slice(last.end, at))
    const opened =
      previous === undefined ||
      /[,;:(.-]\s*$/.test(gap) ||
      BEFORE_COMMAND.has(previous.word) ||
      (/ly$/.test(previous.word) && opensBefore(lower, words, i - 1))
    // `1 spoon of it`, `parsley and zest into the bowl`: things.
    if (/\d/.test(gap) && previous !== undefined && !/[,;:.)]/.test(gap)) continue
    const then = words[i + found.length]?.word ?? ''
    if (
      afterAnd &&
      FOODS.has(found.name) &&
      /^(?:in|into|over|to|with|through|together)$/.test(then)
    )
      continue
    // `Then the tomatoes and puree`: two foods.
    const isFood = (w: Word | undefined) => w !== undefined && foods.has(singular(w.word))
    if (afterAnd && FOODS.has(found.name) && isFood(words[i]) && isFood(words[i - 2]))
      if (!then || /[,;.]/.test(lower.slice(words[i]!.end, words[i + 1]!.at))) continue
    if (!opened || PER_BATCH.test(lower.slice(at))) continue
    // `In a large bowl, mix the turkey`: the first command after where it is done.
    const first = !commands.length && WHERE.test(lower) && /,\s*$/.test(gap)
    if (
      !run &&
      previous !== undefined &&
      !(first && startsSentence(words.slice(i), found)) &&
      !followed(lower, words, i + found.length, found.name, foods)
    )
      continue
    if (previous === undefined && NOUNS.has(found.name) && !startsSentence(words, found)) continue
    commands.push({ at, end: words[i + found.length - 1]!.end, name: found.name, verb: found.verb })
    i += found.length - 1
  }
  if (!commands.length && /^(?:don't|don’t|do not|never|avoid|try not)\b/.test(lower)) return []
  if (!commands.length) {
    // No command in the usual places: the first verb that no article makes a thing of.
    const i = words.findIndex(
      (w, k) =>
        VERB_OF.has(w.word.replace(/-/g, ' ')) &&
        (!NOUNS.has(w.word) || MODAL.test(words[k - 1]?.word ?? '')) &&
        ((TOOL.test(lower) && words[k - 1]?.word === 'to') ||
          !/^(?:the|a|an|your|of|to|with|for|some)$/.test(words[k - 1]?.word ?? '')),
    )
    if (i < 0) return withoutCommand(sentence)
    const name = words[i]!.word.replace(/-/g, ' ')
    commands.push({ at: words[i]!.at, end: words[i]!.end, name, verb: VERB_OF.get(name)! })
  }
  const lead = /^(?:meanwhile|while\b|as\b|in the meantime|at the same time)/.test(lower)
  let opening: number | undefined
  return commands.flatMap(({ at, name, verb }, k) => {
    const from = opening ?? (k === 0 ? 0 : startOf(lower, at))
    opening = undefined
    const to = k + 1 < commands.length ? startOf(lower, commands[k + 1]!.at) : sentence.length
    const whole = sentence.slice(from, to)
    // `Cook the rice: rinse it, bring it to the boil`: the first only says what the others are.
    if (
      k + 1 < commands.length &&
      /:\s*$/.test(whole) &&
      !durationsIn(whole).some((d) => d.kind === 'span')
    ) {
      opening = from
      return []
    }
    const text = whole
      .replace(/^[\s,;:.-]+|[\s,;:]+$/g, '')
      .replace(/^(?:and|then|and then)\s+/i, '')
      .replace(/[\s,;]+(?:and|then|and then|or)$/i, '')
    const phrase = PHRASES.find(([pattern]) => pattern.test(text.toLowerCase()))
    const lets = LETS.exec(text.toLowerCase())
    const let_ = !phrase && lets ? VERB_OF.get(lets[1]!) : undefined
    return [
      {
        text,
        verb: let_ ? lets![1]! : name,
        work: phrase ? phrase[1] : (let_ ?? verb).work,
        light: !phrase && (let_ ?? verb).light === true,
        meanwhile: k === 0 && lead,
      },
    ]
  })
}

const NO_FOODS: ReadonlySet<string> = new Set()

/** `Let them sweat for five minutes`: what is let happen is the work. */
const LETS =
  /\b(?:let|allow|leave)\b[^,;.]*?\b(sweat|soften|fry|cook|bubble|blip|putter|tick over|evaporate|simmer|boil|reduce|brown|melt|bake|poach|steam|thicken|stew|sizzle|splutter|crackle|pop|crisp|roast)\b/

/** `LOW 10 hrs`: the dial of a slow cooker. */
const SLOW = /\b(?:low|high)\b(?! heat)[^.;]*\b\d+(?:\s*-\s*\d+)?\s*(?:hours?|hrs?|h)\b/i

/** `2 carrots go in the food processor until they are small`. */
const GOES_IN = /\b(?:go|goes)\b (?:straight )?(?:in|into|on|onto) (?:the|a|an|your) ([^.;,]+)/i

/** `Oven on at 220C`, `12 minutes in the oven`: figures say what to do. */
function withoutCommand(sentence: string): Clause[] {
  const oven = /\boven\b/i.test(sentence)
  const release =
    /\brelease\b|\boff the heat\b|\brest(?:ing)?\b|\bin (?:the|its|their) tins?\b|\bin tin\b|\bon (?:a|the) (?:wire |cooling )?rack\b|\bto cool\b/i.test(
      sentence,
    )
  const into = GOES_IN.exec(sentence)
  if (into && !oven) {
    const text = sentence.replace(/[.\s]+$/, '')
    const work: WorkKind = /\bprocessor|blender\b/i.test(into[1]!) ? 'cut' : 'assemble'
    return [{ text, verb: 'put', work, light: true, meanwhile: false }]
  }
  const timed = durationsIn(sentence).some((d) => d.kind === 'span')
  const hot = temperaturesIn(sentence).some((t) => t.of === 'oven')
  if (!timed && !(oven && hot)) return []
  const text = sentence.replace(/[.\s]+$/, '')
  if (SLOW.test(sentence))
    return [{ text, verb: 'cook', work: 'slow', light: false, meanwhile: false }]
  if (timed && /\bair[ -]?fryer\b/i.test(sentence))
    return [{ text, verb: 'bake', work: 'bake', light: false, meanwhile: false }]
  if (/\b(?:fridge|refrigerator)\b/i.test(sentence) && !oven)
    return [{ text, verb: 'chill', work: 'chill', light: false, meanwhile: false }]
  const [work, verb]: [WorkKind, string] = release
    ? ['rest', 'rest']
    : !oven
      ? ['simmer', 'cook']
      : timed
        ? ['bake', 'bake']
        : ['heat', 'preheat']
  return [{ text, verb, work, light: false, meanwhile: false }]
}

function verbAt(
  lower: string,
  words: Word[],
  i: number,
): { verb: Verb; name: string; length: number } | undefined {
  const { word, end } = words[i]!
  const next = words[i + 1]
  if (next && /^[\s-]$/.test(lower.slice(end, next.at))) {
    const two = VERB_OF.get(`${word} ${next.word}`)
    if (two) return { verb: two, name: `${word} ${next.word}`, length: 2 }
  }
  const spaced = VERB_OF.get(word.replace(/-/g, ' '))
  if (spaced) return { verb: spaced, name: word.replace(/-/g, ' '), length: 1 }
  return undefined
}

/** Stretches after `until`, `while` and the like, in which verbs are no commands. */
function blockedStretches(lower: string): [number, number][] {
  const out: [number, number][] = []
  for (const m of lower.matchAll(UNTIL)) {
    const from = m.index
    const rest = lower.slice(from + m[0].length)
    const end = /[,;.]|\bthen\b/.exec(rest)
    out.push([from, end ? from + m[0].length + end.index : lower.length])
  }
  // `(skewer test)`: what stands in brackets explains.
  for (const m of lower.matchAll(/\([^)]*\)/g)) out.push([m.index, m.index + m[0].length])
  return out
}

function opensBefore(lower: string, words: Word[], i: number): boolean {
  if (i <= 0) return true
  const before = words[i - 1]!
  return (
    BEFORE_COMMAND.has(before.word) ||
    /[,;:(.-]\s*$/.test(lower.slice(before.end, words[i]!.at)) ||
    (/ly$/.test(before.word) && opensBefore(lower, words, i - 1))
  )
}

/** Whether what follows lets the word be a command. */
function followed(
  lower: string,
  words: Word[],
  next: number,
  name: string,
  foods: ReadonlySet<string>,
): boolean {
  const noun = NOUNS.has(name)
  const follower = words[next]
  const before = words[next - 1]!
  if (!follower) return !noun || /^(?:then|and)$/.test(words[next - 2]?.word ?? '')
  const gap = lower.slice(before.end, follower.at)
  if (/\d/.test(gap)) return true
  if (/[,;.]/.test(gap)) return !noun || ALONE.has(name)
  // `cover and simmer`: two commands with one object or none.
  const then = words[next + 1]?.word ?? ''
  if (noun && follower.word === 'and' && VERB_OF.has(then) && !FOODS.has(name) && !FOODS.has(then))
    return true
  if (!noun || /ly$/.test(follower.word)) return true
  const plainly = !FOODS.has(name) && (!ADJECTIVE.has(name) || next === 1)
  if (plainly && foods.has(singular(follower.word))) return true
  return SEASONINGS.has(name) ? AFTER_FOOD.test(follower.word) : AFTER_COMMAND.has(follower.word)
}

/** `Brown sugar goes in last` begins with no command, `Brown the mince` does. */
function startsSentence(words: Word[], found: { name: string; length: number }): boolean {
  const follower = words[found.length]
  if (!follower) return true
  return !/^(?:sugar|rice|bread|lentils|is|are|goes|should|will)$/.test(follower.word)
}

/** Where the clause of a command begins: at the adverbs and joining words before it. */
function startOf(lower: string, at: number): number {
  // A few words are enough: a long sentence is not gone through again for each of its commands.
  const from = Math.max(0, at - NEAR)
  const m =
    /(?:[,;]\s*|\s+)(?:(?:and|then|or|now|finally|next|also|just)\s+)*(?:[a-z]+ly\s+)*$/.exec(
      lower.slice(from, at),
    )
  return m ? from + m.index : at
}
const NEAR = 80
