import Papa from 'papaparse'
import { recipeFrom, type RecipeRead } from '../text/readText'
import { plain } from '../text/plain'

const COLUMNS = {
  name: /^(?:name|title|recipe|dish)$/i,
  serves: /^(?:serves|servings|yield|portions)$/i,
  ingredients: /^ingredients?$/i,
  method: /^(?:method|steps?|instructions?|directions?|preparation)$/i,
}

/** The recipes of a table, one a row: lists in a cell stand on lines or between `;` or `|`. */
export function fromCsv(content: string): RecipeRead[] | undefined {
  const table = Papa.parse<Record<string, string>>(content, {
    header: true,
    skipEmptyLines: 'greedy',
  })
  const fields = table.meta.fields ?? []
  const column = (pattern: RegExp) => fields.find((f) => pattern.test(f.trim()))
  const [name, serves, ingredients, method] = Object.values(COLUMNS).map(column)
  if (!name || !method) return undefined
  const cell = (row: Record<string, string>, key: string | undefined) => (key && row[key]) || ''
  return table.data
    .filter((row) => cell(row, name).trim() && cell(row, method).trim())
    .map((row) => {
      const served = /\d+/.exec(plain(cell(row, serves)))?.[0]
      return recipeFrom({
        name: cell(row, name).trim(),
        serves: served ? Number(served) : undefined,
        ingredients: cell(row, ingredients)
          .split(/\s*[\n;|]\s*/)
          .filter(Boolean),
        method: cell(row, method)
          .split(/\s*\|\s*/)
          .join('\n'),
        doubts: served ? [] : ['how many it serves is not stated: 4 is a guess'],
      })
    })
}
