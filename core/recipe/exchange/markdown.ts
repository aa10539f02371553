import type { Reading } from '../../reading'
import { readRecipe } from '../read'
import type { Recipe } from '../schema'
import { ingredientLine } from '../ingredients'
import { stepLine } from './jsonLd'

const FENCE = '```cadrum-recipe'

/** A recipe to read and print, with all of it as data at the end, so that it comes back equal. */
export function markdownOf(recipe: Recipe): string {
  return [
    `# ${escaped(recipe.name)}`,
    '',
    `Serves ${recipe.serves}`,
    '',
    '## Ingredients',
    '',
    ...recipe.ingredients.map((i) => `- ${escaped(ingredientLine(i))}`),
    '',
    '## Method',
    '',
    ...recipe.steps.map(
      (s, i) => `${i + 1}. ${escaped(stepLine(s))}${s.caution ? ` *${escaped(s.caution)}*` : ''}`,
    ),
    '',
    FENCE,
    JSON.stringify(recipe),
    '```',
    '',
  ].join('\n')
}

/** Signs that Markdown or HTML would take for their own. */
const escaped = (text: string) => text.replace(/[\\`*_#<>[\]]/g, '\\$&')

/** The recipe in Markdown of our own; undefined where the text has none of our data in it. */
export function fromMarkdown(text: string): Reading<Recipe> | undefined {
  const from = text.indexOf(`${FENCE}\n`)
  if (from < 0) return undefined
  const start = from + FENCE.length + 1
  const end = text.indexOf('\n```', start)
  try {
    return readRecipe(JSON.parse(text.slice(start, end < 0 ? undefined : end)))
  } catch {
    return {
      ok: false,
      issues: [
        {
          path: '(the data at the end)',
          message: 'is cut off or damaged',
          allowed: 'the file as it was exported',
        },
      ],
    }
  }
}
