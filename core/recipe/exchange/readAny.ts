import { issuesFrom, type Reading } from '../../reading'
import { recipeSchema } from '../schema'
import { readRecipe } from '../read'
import { readRecipeText } from '../text/readText'
import { fromHtml, recipesIn, type Found } from './structured'
import { fromMarkdown } from './markdown'
import { fromCsv } from './table'

/** Largest file that is looked at for recipes, in characters. */
export const LARGEST_RECIPE_FILE = 20_000_000

/** Most tags of a page: beyond it, opening and never closing them takes minutes. */
const MOST_TAGS = 50_000

/**
 * Every recipe in a text or file: our own JSON, schema.org linked data (alone or in a saved page),
 * CSV, our Markdown, or ordinary recipe text. What it is is found out from the content. Anything
 * that is none of these comes back as an issue.
 */
export function readRecipes(content: string): Reading<Found[]> {
  const text = content.replace(/^\ufeff/, '')
  const no = (message: string, allowed: string): Reading<Found[]> => ({
    ok: false,
    issues: [{ path: '(the whole file)', message, allowed }],
  })
  if (text.length > LARGEST_RECIPE_FILE)
    return no('the file is too large', `up to ${LARGEST_RECIPE_FILE / 1e6} MB`)
  if (!text.trim()) return no('there is nothing in it', 'the text of a recipe')
  if (text.includes('\0')) return no('this is not text', 'text, HTML, JSON or CSV')
  if (/^\s*[[{]/.test(text)) return fromJson(text, no)
  if (/^\s*<(?:!doctype|html|\?xml|head|body|div|article|script)/i.test(text)) {
    if ((text.match(/</g) ?? []).length > MOST_TAGS)
      return no('the page has too many parts', `a saved page of up to ${MOST_TAGS} tags`)
    const { found, text: words } = fromHtml(text)
    return { ok: true, value: found.length ? found : [{ read: readRecipeText(words) }] }
  }
  const own = fromMarkdown(text)
  if (own) return own.ok ? { ok: true, value: [{ exact: own.value }] } : own
  if (/^[^\n]{0,300}[,;\t][^\n]*$/m.test(text.split('\n')[0]!)) {
    const rows = fromCsv(text)
    if (rows?.length) return { ok: true, value: rows.map((read) => ({ read })) }
  }
  const read = readRecipeText(text)
  return read.steps.length
    ? { ok: true, value: [{ read }] }
    : no('no steps of a recipe were found in it', 'a text that says what to do, in sentences')
}

function fromJson(
  text: string,
  no: (message: string, allowed: string) => Reading<Found[]>,
): Reading<Found[]> {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    return no('the file is cut off or damaged: it is not complete JSON', 'complete JSON')
  }
  const format = (json as { format?: unknown }).format
  if (format === 'cadrum/recipe@1') {
    const reading = readRecipe(json)
    return reading.ok ? { ok: true, value: [{ exact: reading.value }] } : reading
  }
  const list = (json as { recipes?: unknown }).recipes
  if (
    Array.isArray(list) &&
    list.some((r) => (r as { format?: unknown })?.format === 'cadrum/recipe@1')
  ) {
    const parsed = recipeSchema.array().safeParse(list)
    return parsed.success
      ? { ok: true, value: parsed.data.map((exact) => ({ exact })) }
      : { ok: false, issues: issuesFrom(parsed.error) }
  }
  const found = recipesIn(json)
  return found.length
    ? { ok: true, value: found }
    : no('there is no recipe in this JSON', 'cadrum/recipe@1, or a schema.org Recipe')
}
