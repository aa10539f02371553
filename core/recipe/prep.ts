import { lowerFirst, upperFirst } from './casing'
import { freeId } from './naming'
import { durationsIn } from './text/durations'
import { isMeat, isRaw } from './text/foods'
import type { IngredientRead } from './text/ingredientLine'
import { DONE } from './text/lexicon'
import { pieceGrams } from './text/stepTime'
import type { StepRead } from './text/drafts'

const WORD = new RegExp(`\\b(?:${Object.keys(DONE).join('|')})\\b`, 'g')
/** Bought like that, and nothing is left to do. */
const BOUGHT = /\b(?:tins?|tinned|cans?|canned|frozen|jars?|ready|passata|packets?|sachets?)\b/i
/** Minutes for one of it, by what it is; for a piece of anything else, and for 100 g: estimates of ours. */
const EACH: [RegExp, number][] = [
  [/\bgarlic\b/, 0.5],
  [/\b(?:onions?|shallots?|leeks?|peppers?)\b/, 1.2],
  [/\b(?:squash|pumpkin|celeriac|swede|cabbage|cauliflower)\b/, 5],
  [/\b(?:parsley|coriander|dill|mint|basil|chives|herbs?|rosemary|thyme)\b/, 1.5],
]
const PIECE = 0.9
const HUNDRED_GRAMS = 0.7

/**
 * Steps for what a list of ingredients has done already, `2 onions, finely chopped`, where the method
 * does not say to do it: somebody has to. Each goes in front of the first step that uses the thing.
 */
export function withPrep(
  steps: readonly StepRead[],
  ingredients: readonly IngredientRead[],
): StepRead[] {
  const taken = new Set(steps.map((s) => s.id))
  const prep: StepRead[] = []
  const waits = new Map<string, string[]>()
  for (const i of ingredients) {
    const words = deed(i)
    const user = steps.find((s) => s.uses.includes(i.id))
    if (!user) continue
    const put = (step: Omit<StepRead, 'id' | 'uses'>) => {
      const id = freeId(`${step.work}-${i.id}`, taken)
      taken.add(id)
      prep.push({ ...step, id, uses: [i.id] })
      waits.set(user.id, [...(waits.get(user.id) ?? []), id])
    }
    const soaked = user.work === 'soak' ? undefined : soakOf(i)
    if (soaked) {
      put({ ...PREP, ...soaked })
      continue
    }
    // `2 eggs, hard boiled & quartered`: boiled first, and cooled in cold water.
    const boiled = user.work === 'boil' ? undefined : boiledOf(i)
    if (boiled) {
      put({ ...PREP, ...boiled, stated: true })
      const [id] = waits.get(user.id)!.slice(-1)
      put({ ...PREP, ...peeledOf(i, words), after: [{ step: id! }] })
      waits.set(
        user.id,
        waits.get(user.id)!.filter((w) => w !== id),
      )
      continue
    }
    const implied = words ? undefined : impliedBy(i, user, steps)
    if (implied) {
      put({ ...PREP, ...cutOf(i, implied) })
      continue
    }
    if (!words || user.work === 'cut' || BOUGHT.test(i.text) || i.pack) continue
    put({ ...PREP, ...cutOf(i, words) })
  }
  return [
    ...prep,
    ...steps.map((s) => ({
      ...s,
      after: [...s.after, ...(waits.get(s.id) ?? []).map((step) => ({ step }))],
    })),
  ]
}

/** A step of its own before the method begins. */
const PREP: Omit<StepRead, 'id' | 'do' | 'work' | 'minutes' | 'uses'> = {
  stated: false,
  celsius: null,
  equipment: [],
  hygiene: 'produce',
  after: [],
  doubts: [],
}

/** Soaked for longer than this is done before the session. */
const SOAKED_BEFORE = 180

/** `Dried chillies, soaked in hot water 15 min`, where that is not begun the day before. */
function soakOf(
  i: IngredientRead,
): Pick<StepRead, 'do' | 'work' | 'minutes' | 'stated'> | undefined {
  const how = /\bsoaked\b([^,;(]*)/i.exec(i.preparation ?? '')?.[1]
  const time = how === undefined ? undefined : durationsIn(how).find((d) => d.kind === 'span')
  if (!time || time.most > SOAKED_BEFORE) return undefined
  return {
    do: `Soak the ${i.item}${how!.replace(/\s+$/, '')}`,
    work: 'soak',
    minutes: [time.least, time.most],
    stated: true,
  }
}

/** Cutting of something on a board, as long as so much of it takes. */
function cutOf(
  i: IngredientRead,
  words: string,
): Pick<StepRead, 'do' | 'work' | 'minutes' | 'equipment' | 'hygiene'> {
  const usual = minutesFor(i)
  const half = (factor: number) => Math.max(0.5, Math.round(usual * factor) / 2)
  return {
    do: words,
    work: 'cut',
    minutes: [half(1.5), half(2.5)],
    equipment: ['board'],
    hygiene: isRaw(i.item) ? 'raw' : 'produce',
  }
}

/** What goes into a pan cut, whether anybody says so or not, and how. */
const GOES_IN_CUT: [RegExp, string][] = [
  [/\bgarlic\b/, 'Peel and crush'],
  [/\bginger\b/, 'Peel and grate'],
  [/\b(?:onions?|shallots?|carrots?)\b/, 'Peel and chop'],
  [/\b(?:celery|leeks?|peppers|(?:red|green|yellow|orange|bell) pepper)\b/, 'Chop'],
]
const AS_IT_IS =
  /\b(?:spring|baby|pearl|pickled|silverskin|crispy|dried|powder|granules|salt|paste|pur[eé]e|oil|black|white)\b/
/** `2 onions`, that are softened and that nobody says to cut: told all the same. */
function impliedBy(
  i: IngredientRead,
  user: StepRead,
  steps: readonly StepRead[],
): string | undefined {
  if (i.unit !== 'piece' || !(i.amount > 0) || BOUGHT.test(i.text) || i.pack) return undefined
  if (i.preparation || AS_IT_IS.test(i.item)) return undefined
  const cutSmall = /\bcut (?:up|small|finely|in(?:to)? )/i.test(user.do)
  if (!['soften', 'fry'].includes(user.work) && !(user.work === 'simmer' && cutSmall))
    return undefined
  const own = steps.filter((s) => s.uses.includes(i.id))
  if (own.some((s) => s.work === 'cut' || s.work === 'blend' || SAYS_HOW.test(s.do)))
    return undefined
  const how = GOES_IN_CUT.find(([p]) => p.test(i.item))?.[1]
  return how && `${how} the ${i.item}`
}
const SAYS_HOW =
  /\b(?:whole|halves|wedges|chop(?:ped)?|slic(?:e|ed)|dic(?:e|ed)|crush(?:ed)?|grat(?:e|ed)|minc(?:e|ed)|shred(?:ded)?|press(?:ed)?|processor|blitz)\b/i

/** `Hard boiled` of eggs: ten minutes, and soft ones six and a half, as kitchens count them. */
function boiledOf(
  i: IngredientRead,
): Pick<StepRead, 'do' | 'work' | 'minutes' | 'equipment' | 'hygiene'> | undefined {
  const how = /\b(hard|soft|medium)?[- ]?boiled\b/i.exec(`${i.item} ${i.preparation ?? ''}`)
  if (!how || !/\beggs?\b/i.test(i.item)) return undefined
  const minutes = /soft|medium/i.test(how[1] ?? '') ? 6.5 : 10
  return {
    do: `Boil the eggs for ${minutes} minutes, then put them into cold water`,
    work: 'boil',
    minutes: [minutes, minutes],
    equipment: ['pot', 'burner'],
    hygiene: 'neutral',
  }
}
const peeledOf = (i: IngredientRead, words: string | undefined) => ({
  do: words ? `Peel the eggs, then ${lowerFirst(words)}` : 'Peel the eggs',
  work: 'cut' as const,
  minutes: [i.amount * 0.5, Math.max(1, i.amount)] as [number, number],
  equipment: words ? ['board'] : [],
  hygiene: 'ready' as const,
})

/** `finely chopped` of onions as one says it to somebody: `Finely chop the onions`. */
function deed(i: IngredientRead): string | undefined {
  const said = (i.preparation ?? '').toLowerCase()
  const found = [...said.matchAll(WORD)]
  if (!found.length) {
    const into =
      /(?:^|, )((?:in|into) (?:\w+ )*(?:chunks|rings|wedges|strips|cubes|pieces|dice|batons|slices|ribbons))\b/.exec(
        said,
      )?.[1]
    // `1 cm dice`.
    const size =
      /^(?:about )?(\d[\d.]* ?(?:cm|mm|inch) (?:chunks|cubes|pieces|dice|slices|rounds))\b/.exec(
        said,
      )?.[1]
    return into ? `Cut the ${i.item} ${into}` : size ? `Cut the ${i.item} into ${size}` : undefined
  }
  const verbs = found.map((m) => {
    const manner = /([a-z]+ly )$/.exec(said.slice(0, m.index))?.[1] ?? ''
    return `${manner}${DONE[m[0]]}`
  })
  const last = found.at(-1)!
  const tail =
    /^\s*((?:(?:lengthways|lengthwise|crossways|across|thinly) )?(?:in|into|to|about|\d)[^,;(]*)/.exec(
      said.slice(last.index + last[0].length),
    )?.[1]
  const all = [...new Set(verbs)].join(' and ')
  return `${upperFirst(all)} the ${i.item}${tail ? ` ${tail.trim()}` : ''}`
}

/** Usual minutes to prepare an ingredient, for one batch. */
function minutesFor(i: IngredientRead): number {
  const grams = pieceGrams(i)
  const peeled = /\bpeeled\b/.test(i.preparation ?? '') ? 1.5 : 1
  if (i.unit === 'piece' && i.amount > 0) {
    const each = EACH.find(([p]) => p.test(i.item))?.[1] ?? PIECE
    return Math.min(30, Math.max(0.5, i.amount * each * peeled))
  }
  const weight = grams || (i.unit === 'ml' ? i.amount * 0.6 : i.unit === 'l' ? i.amount * 600 : 50)
  return Math.min(
    30,
    Math.max(0.5, (weight / 100) * HUNDRED_GRAMS * (isMeat(i.item) ? 1.1 : peeled)),
  )
}
