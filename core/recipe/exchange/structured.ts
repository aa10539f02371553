import { Parser } from 'htmlparser2'
import { plain } from '../text/plain'
import { recipeFrom, type RecipeRead } from '../text/readText'
import type { Recipe } from '../schema'
import { readRecipe } from '../read'

/** What a file or a paste turned out to hold. */
export type Found = { exact: Recipe } | { read: RecipeRead }

/** Recipes among structured data, those of our own taken over whole. */
export function recipesIn(json: unknown): Found[] {
  if (Array.isArray(json)) return json.flatMap(recipesIn)
  if (typeof json !== 'object' || json === null) return []
  const node = json as Record<string, unknown>
  if (node['@graph']) return recipesIn(node['@graph'])
  const type = node['@type']
  const isRecipe = type === 'Recipe' || (Array.isArray(type) && type.includes('Recipe'))
  if (!isRecipe) return node['mainEntity'] ? recipesIn(node['mainEntity']) : []
  const own = node['cadrum:recipe']
  if (own) {
    const reading = readRecipe(own)
    if (reading.ok) return [{ exact: reading.value }]
  }
  return [{ read: fromSchema(node) }]
}

function fromSchema(node: Record<string, unknown>): RecipeRead {
  const doubts: string[] = []
  const yields = texts(node['recipeYield'] ?? node['yield']).map((t) => /\d+/.exec(plain(t))?.[0])
  const serves = yields.find(Boolean)
  if (!serves) doubts.push('how many it serves is not stated: 4 is a guess')
  const ingredients = texts(node['recipeIngredient'] ?? node['ingredients'])
  if (!ingredients.length) doubts.push('no list of ingredients was found')
  return recipeFrom({
    name: texts(node['name'])[0] ?? 'A recipe without a name',
    serves: serves ? Number(serves) : undefined,
    ingredients,
    method: steps(node['recipeInstructions']).join('\n'),
    doubts,
  })
}

const texts = (value: unknown): string[] =>
  Array.isArray(value)
    ? value.flatMap(texts)
    : typeof value === 'string' || typeof value === 'number'
      ? [stripTags(String(value))].filter(Boolean)
      : []

/** `HowToStep`, `HowToSection`, lists of strings, or one text. */
function steps(value: unknown): string[] {
  if (Array.isArray(value)) return value.flatMap(steps)
  if (typeof value === 'string') return stripTags(value, '\n').split(/\n+/).filter(Boolean)
  if (typeof value !== 'object' || value === null) return []
  const node = value as Record<string, unknown>
  return node['itemListElement']
    ? steps(node['itemListElement'])
    : texts(node['text'] ?? node['name'])
}

/** The words of a text with markup in it. Nothing in it is ever run: tags are dropped, not shown. */
export function stripTags(html: string, between = ' '): string {
  let out = ''
  let hidden = 0
  const parser = new Parser({
    onopentagname: (name) => {
      if (HIDDEN.has(name)) hidden++
      else if (BLOCKS.has(name)) out += between
    },
    ontext: (text) => {
      if (!hidden) out += text
    },
    onclosetag: (name) => {
      if (HIDDEN.has(name)) hidden = Math.max(0, hidden - 1)
      else if (BLOCKS.has(name)) out += between
    },
  })
  parser.write(html)
  parser.end()
  return out
    .replace(/[^\S\n]+/g, ' ')
    .replace(/ *\n+ */g, '\n')
    .trim()
}

const HIDDEN = new Set(['script', 'style', 'noscript', 'template', 'svg', 'nav', 'footer', 'form'])
const BLOCKS = new Set(
  'p div li ul ol br h1 h2 h3 h4 h5 h6 tr td th section article header table dt dd'.split(' '),
)

/** A saved page: the recipes among its linked data, else its words as one text. */
export function fromHtml(html: string): { found: Found[]; text: string } {
  const blocks: string[] = []
  let inData = false
  let block = ''
  const parser = new Parser({
    onopentag: (name, attributes) => {
      if (name === 'script' && /ld\+json/i.test(attributes['type'] ?? '')) {
        inData = true
        block = ''
      }
    },
    ontext: (text) => {
      if (inData) block += text
    },
    onclosetag: (name) => {
      if (name !== 'script' || !inData) return
      inData = false
      blocks.push(block)
    },
  })
  parser.write(html)
  parser.end()
  const found = blocks.flatMap((b) => {
    try {
      return recipesIn(JSON.parse(b))
    } catch {
      // Damaged data in a page is common; the words of the page are still there.
      return []
    }
  })
  return { found, text: stripTags(html, '\n') }
}
