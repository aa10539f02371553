import { isMeat } from './foods'
import { foodWords, fullWord, namesOf, singular, type IngredientRead } from './ingredientLine'

/** Eggs that are separated are two things from then on. */
export const apart = (listed: readonly IngredientRead[], method: string): IngredientRead[] =>
  listed.flatMap((i) =>
    /\beggs?$/.test(i.item) && /\byolks?\b/i.test(method) && /\bwhites?\b/i.test(method)
      ? [
          { ...i, id: `${i.id}:yolk`, item: 'egg yolks' },
          { ...i, id: `${i.id}:white`, item: 'egg whites' },
        ]
      : [i],
  )

/** Made of a thing, and not the thing: `chicken stock` is no chicken. */
const MADE_FROM =
  /^(?:stock|broth|sauce|gravy|bouillon|powder|paste|purée|puree|passata|ketchup|oil|juice|vinegar|seasoning|cube)s?$/

/** What nobody buys but as a paste, a sauce or a stock. */
const ONLY_BOUGHT_SO = new Set(
  'mustard chipotle harissa miso tamarind gochujang sambal hoisin sriracha worcestershire soy teriyaki tahini korma tikka massaman'.split(
    ' ',
  ),
)

/** Ids of the ingredients of which all words stand together somewhere in a method. */
export function calledInFull(method: string, ingredients: readonly IngredientRead[]): Set<string> {
  const said = ` ${(method.toLowerCase().match(/[a-zà-ÿ]+/g) ?? []).map(singular).join(' ')} `
  return new Set(
    ingredients
      .filter((i) => namesOf(i.item).length > 1 && said.includes(` ${namesOf(i.item).join(' ')} `))
      .map((i) => i.id),
  )
}

/**
 * Ids of the ingredients whose names stand in a text. Where one of two that share a word is elsewhere
 * called in full, the word alone is the other.
 */
export function usedIn(
  text: string,
  ingredients: readonly IngredientRead[],
  inFull: ReadonlySet<string> = new Set(),
): string[] {
  const list = foodWords(text)
  const words = new Set(list)
  const spokenWords = (text.toLowerCase().match(/[a-zà-ÿ]+|[,;.]/g) ?? []).map((w) =>
    fullWord(singular(w)),
  )
  const names = new Map(ingredients.map((i) => [i.id, namesOf(i.item)]))
  // A word that several ingredients share tells none of them apart, unless it is all there is.
  const sharing = new Map<string, IngredientRead[]>()
  for (const i of ingredients)
    for (const n of names.get(i.id)!) sharing.set(n, [...(sharing.get(n) ?? []), i])
  // `Pancetta cubes` are pancetta; stock cubes are not.
  const inCubes = (i: IngredientRead) =>
    /\bcubes?$/.test(i.item) && !/\b(?:stock|bouillon)\b/.test(i.item)
  const hits = (i: IngredientRead) =>
    names.get(i.id)!.filter((n) => words.has(n) && !(n === 'cube' && inCubes(i)))
  // `The chipotle` is the chipotle paste; `the chicken` is no chicken stock.
  const isMadeFrom = (i: IngredientRead) =>
    MADE_FROM.test(names.get(i.id)!.at(-1) ?? '') &&
    !inCubes(i) &&
    !hits(i).some((n) => ONLY_BOUGHT_SO.has(n))
  return ingredients
    .filter((i) => {
      if (/:(?:yolk|white)$/.test(i.id)) {
        const part = i.id.endsWith(':yolk') ? /\byolks?\b/i : /\bwhites?\b/i
        const other = /\b(?:yolks?|whites?)\b/i.test(text)
        return part.test(text) || (!other && /\beggs\b/i.test(text))
      }
      const own = names.get(i.id)!
      const hit = hits(i)
      if (!hit.length) return false
      const head = own.at(-1)!
      // `The flour` is no flour tortilla, where the list has flour.
      const isHeadOfOther = (n: string) =>
        sharing.get(n)!.some((o) => o !== i && names.get(o.id)!.at(-1) === n)
      if (!hit.includes(head) && hit.every(isHeadOfOther)) return false
      // `Cola or apple juice`: by either name; but `lamb or chicken stock` is no lamb.
      const either = i.item.split(/ or /i)
      const ofMeat = MADE_FROM.test(head) && isMeat(either[0]!)
      if (either.length > 1 && !ofMeat && either.some((p) => words.has(namesOf(p).at(-1) ?? '')))
        return true
      if (isMadeFrom(i) && own.length > 1)
        return hit.includes(head) && (hit.length > 1 || sharing.get(head)!.length === 1)
      if (hit.some((n) => sharing.get(n)!.length === 1)) return true
      if (hit.length === own.length && own.length > 1) return true
      // The thing itself rather than what is made from it, then what more of its words stand for.
      return hit.some((n) => {
        const others = sharing.get(n)!.filter((o) => o !== i && !isMadeFrom(o))
        const spoken = spokenWords.some(
          (w, k) => w === n && !MADE_FROM.test(spokenWords[k + 1] ?? ''),
        )
        if (inFull.has(i.id) && others.some((o) => !inFull.has(o.id))) return false
        return spoken && others.every((o) => hits(o).length <= hit.length)
      })
    })
    .map((i) => i.id)
}
