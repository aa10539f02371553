import { isMeat } from './foods'
import { namesOf, singular, type IngredientRead } from './ingredientLine'
import { plain } from './plain'
import { bareOf, PRODUCTS } from './references'
import type { Threads } from './threads'
import { usedIn } from './usedIn'

/** Ids of the ingredients that a text means, in a part of the method under a heading or none. */
export function meantBy(text: string, label: string | undefined, threads: Threads): string[] {
  const named = usedIn(bareOf(text), threads.ingredients, threads.calledInFull)
  return nearest(alsoMeant(named, text, threads), text, label, threads)
}

/** `The beef` where the only meat is rump steak; and no parsley where `the parsley sauce` is meant. */
function alsoMeant(uses: string[], text: string, threads: Threads): string[] {
  const { ingredients } = threads
  const item = (id: string) => threads.item(id)
  const lower = bareOf(text).toLowerCase()
  const meats = ingredients.filter((i) => isMeat(i.item))
  const [only] = meats
  const meat = isMeat(lower) && !uses.some((id) => isMeat(item(id)))
  const kept = uses.filter((id) => {
    const head = namesOf(item(id)).at(-1)
    // `Salt and pepper` is no red pepper, and the juice of the lemon no apple juice.
    if (
      head === 'pepper' &&
      VEGETABLE.test(item(id)) &&
      !/pepper/.test(lower.replace(SEASONS, ' '))
    )
      return false
    // `Strain the juices`: what has run out.
    if (head === 'juice' && /\b(?:the|its|their) juices\b/.test(lower) && !/\bjuice\b/.test(lower))
      return false
    // `Everything for the paste` is no tamarind paste.
    const heading = /\b(?:everything|ingredients) (?:for|in|under) the ([a-z]+)/.exec(lower)?.[1]
    if (head !== undefined && head === heading && !lower.includes(item(id))) return false
    const unpressed = lower.replace(PRESSED, ' ')
    if (head === 'juice' && unpressed !== lower && !/juice/.test(unpressed))
      return (lower.match(PRESSED) ?? []).some((said) => {
        const fruit = /lemon|lime|orange/.exec(said)![0]
        return item(id).includes(fruit)
      })
    // Ice water is no other water.
    if (head === 'water' && /^iced?\b/i.test(item(id)) && !/\bice/.test(lower)) return false
    // The water of a pan or of the tap is none of the list's.
    const asListed = /^boiling\b/i.test(item(id)) && /\bthe boiling water\b/.test(lower)
    if (
      head === 'water' &&
      !asListed &&
      TAP.test(lower) &&
      threads.ingredients.find((i) => i.id === id)?.group
    )
      return false
    // `Half the sauce` is what was made of that name, and not the soy sauce that went into something.
    // `The honey and soy`: the soy sauce by its first word.
    const first = namesOf(item(id)).slice(0, -1)
    const full =
      (plain(item(id)).split(' ').length > 1 && lower.includes(plain(item(id)))) ||
      (head !== undefined && !lower.includes(head) && first.some((n) => lower.includes(n)))
    if (head && PRODUCTS.has(head) && !full && threads.latest((t) => t.names.has(head)))
      return false
    if (threads.isNamed(id)) return true
    const made = new RegExp(`\\b${head}s? (?:sauce|soup|stew|dressing|butter sauce|gravy)\\b`)
    return !(head && made.test(lower) && !lower.replace(made, ' ').includes(head))
  })
  // `Put the goose fat in a tin`: though duck fat out of the pan is none of the list's.
  for (const i of ingredients)
    if (
      / (?:fat|dripping)$/.test(i.item) &&
      !kept.includes(i.id) &&
      text.toLowerCase().includes(i.item)
    )
      kept.push(i.id)
  const own = kept.map((id) => pressedHere(id, kept, threads))
  return meat && only && meats.length === 1 ? [...own, only.id] : own
}

/** `Lemon juice` of the lemon that stands with what it goes to, and not of the bottle under another heading. */
function pressedHere(id: string, uses: readonly string[], threads: Threads): string {
  const of = (x: string) => threads.ingredients.find((i) => i.id === x)!
  const fruit = /^(lemon|lime) juice$/.exec(of(id).item)?.[1]
  if (fruit === undefined) return id
  const beside = uses.filter((x) => x !== id)
  const here = beside.length ? beside : [...(threads.current?.items ?? [])]
  const among = (group: string | undefined) => here.filter((x) => of(x).group === group).length
  const [most] = [...here].sort((a, b) => among(of(b).group) - among(of(a).group))
  if (most === undefined || of(most).group === of(id).group) return id
  const whole = threads.ingredients.find(
    (i) => namesOf(i.item).at(-1) === fruit && i.group === of(most).group,
  )
  return whole?.id ?? id
}

const TAP =
  /\b(?:pan|pot|saucepan|kettle) (?:full )?of (?:[a-z]+ )?water\b|\b(?:under|running|tap|plenty of|boiling|simmering)\b[^,.;]{0,20}\bwater\b/
/** Peppers that are eaten, and not ground. */
const VEGETABLE =
  /\b(?:red|green|yellow|orange|bell|sweet|romano|pointed|long|roasted)\b[^,]*\bpeppers?\b/i
const SEASONS = /\bsalt(?:,| and| &) (?:freshly )?(?:ground )?(?:black |white )?pepper\b/g
/** Juice of a fruit that is pressed for it. */
const PRESSED =
  /\b(?:lemon|lime|orange)(?:['’]s)? juice\b|\bjuice of (?:the |a |an |half |\d )*(?:lemon|lime|orange)s?\b/g

/** Of two things by the same name the one that stands with what is being worked on, or the one that is not used yet. */
function nearest(
  uses: string[],
  text: string,
  label: string | undefined,
  threads: Threads,
): string[] {
  const list = uses.map((id) => threads.ingredients.find((i) => i.id === id)!)
  const head = (i: IngredientRead) => namesOf(i.item).at(-1)
  const asListed = (i: IngredientRead) =>
    i.amount > 0 && new RegExp(`\\b${i.amount} ?${i.unit}\\b`).test(plain(text))
  /** `Dark`, `white`: what tells it from others of its name, where the text says so. */
  const told = (i: IngredientRead) =>
    plain(i.item)
      .split(' ')
      .some(
        (w) =>
          w.length > 3 && singular(w) !== head(i) && new RegExp(`\\b${w}\\b`).test(plain(text)),
      )
  const shares = (a: IngredientRead, b: IngredientRead) =>
    namesOf(a.item).some((n) => namesOf(b.item).includes(n))
  return uses.filter((_, k) => {
    const own = list[k]!
    const same = list.filter((o) => o !== own && head(o) === head(own))
    // `Thyme` of the rice is not the thyme leaves that went into the marinade.
    const elsewhere = (o: IngredientRead) =>
      o !== own && o.group !== own.group && !threads.isNamed(o.id) && shares(o, own)
    const others = groupOf(list.filter((i) => i.group !== own.group))
    if (!same.length && threads.isNamed(own.id) && list.some(elsewhere) && others) return false
    if (!same.length) return true
    if (!told(own) && same.some(told)) return false
    // `Pour the chocolate over the eggs`: that which was melted.
    const moved = /^(?:pour|tip|spoon|scrape) /i.test(text) && !list.some(told)
    if (moved && !threads.isNamed(own.id) && same.some((o) => threads.isNamed(o.id))) return false
    // `Salt` where the list has salt, and flaky salt too.
    const more = plain(own.item)
      .split(' ')
      .filter((w) => w !== plain(same[0]!.item))
    const bare = same.some(
      (o) => o.group === own.group && plain(own.item).endsWith(` ${plain(o.item)}`),
    )
    if (bare && !more.some((w) => w.length > 3 && plain(text).includes(w))) return false
    // `Toast the 2 tbsp rice`: that of which the list has so much.
    if ([own, ...same].some(asListed)) return asListed(own)
    const alone = list.filter((i) => !list.some((o) => o !== i && head(o) === head(i)))
    const under = list.find((i) => isUnder(i, label))
    // `Warm the milk and butter`: of several headings the first that is not used yet.
    const unused = list.find((i) => !threads.isNamed(i.id) && i.group !== undefined)
    const here =
      (under && { group: under.group }) ??
      groupOf(alone) ??
      groupOf(currentItems(threads)) ??
      (unused && { group: unused.group })
    return !here || own.group === here.group || !same.some((o) => o.group === here.group)
  })
}

const currentItems = ({ current, ingredients }: Threads): IngredientRead[] => {
  return [...(current?.items ?? [])].map((x) => ingredients.find((i) => i.id === x)!)
}

/** The heading that all of them stand under, or that they stand under none; undefined where they differ. */
const groupOf = (items: readonly IngredientRead[]): Pick<IngredientRead, 'group'> | undefined => {
  const [first] = items
  return first && items.every((i) => i.group === first.group) ? { group: first.group } : undefined
}

/** Whether a part of the method and a part of the list have the same heading. */
export const isUnder = (i: IngredientRead, label: string | undefined) => {
  if (!label || !i.group) return false
  const words = new Set(namesOf(i.group.replace(/\([^)]*\)/g, '')))
  return namesOf(label).some((w) => words.has(w))
}
