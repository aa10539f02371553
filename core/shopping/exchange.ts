import { type Base, SECTION_WORDS } from '../food'
import Papa from 'papaparse'
import { amountText, measurable, UNITS } from '../quantity'
import type { Issue, Reading } from '../reading'
import { readAmount } from '../recipe'
import { daySchema, idSchema, instantOf } from '../session'
import type { InHouse, ShopLine, ShopList } from './list'
import { MOST_COST, priceSchema, type Price } from './prices'

/** An amount in what it is bought in, as it is said: rounded up to what can be bought. */
export const amountSaid = (amount: number, unit: Base): string =>
  amountText(unit === 'piece' ? Math.ceil(amount - 1e-6) : measurable(amount, unit), unit)

/** What is to be bought of a line: `2 × 400 g`, or `1.2 kg` of what is sold loose. */
export const packsSaid = ({ packs, unit }: Pick<ShopLine, 'packs' | 'unit'>): string =>
  packs
    .map(({ count, offer }) =>
      offer.loose || (count === 1 && unit === 'piece')
        ? amountSaid(count * offer.amount, unit)
        : `${count} × ${amountSaid(offer.amount, unit)}`,
    )
    .join(' + ')

/** The list as plain text, one thing a line, as one would send it to somebody. */
export function listAsText({ lines }: ShopList): string {
  const out: string[] = []
  let section = ''
  for (const line of lines.filter((l) => l.bought > 0)) {
    const words = SECTION_WORDS[line.section]
    if (words !== section) out.push(...(out.length ? [''] : []), words)
    section = words
    out.push(`- ${packsSaid(line)} ${line.item}`)
  }
  const made = lines.flatMap((l) =>
    l.from.flatMap((f) => (f.made === undefined ? [] : [{ ...f, unit: l.unit }])),
  )
  if (made.length)
    out.push(
      '',
      'From other dishes',
      ...made.map((m) => `- ${amountSaid(m.amount, m.unit)} ${m.item}`),
    )
  const checks = lines.filter((l) => l.check)
  if (checks.length)
    out.push(
      '',
      'Is there enough?',
      ...checks.map((l) => `- ${l.item}: ${amountSaid(l.used, l.unit)}`),
    )
  return out.join('\n') + '\n'
}

/** The list as rows, numbers as numbers: for a table, or another program. */
export const listAsRows = ({ lines }: ShopList) =>
  lines.map((l) => ({
    section: SECTION_WORDS[l.section],
    item: l.item,
    unit: l.unit,
    used: round(l.used),
    stock: round(l.stock),
    check: l.check,
    bought: round(l.bought),
    packs: packsSaid(l),
    left: round(l.left),
    cost: l.cost ?? null,
    dishes: [...new Set(l.wants.map((w) => w.dish))].join(' '),
  }))

export const listAsCsv = (list: ShopList): string =>
  Papa.unparse(listAsRows(list), { newline: '\n' }) + '\n'

const round = (n: number) => Math.round(n * 1000) / 1000

/** Rows of a file as JSON, CSV with a head, or one thing a line. */
function rowsOf(text: string, list: string): { rows: unknown[]; lines: boolean } {
  const trimmed = text.trim()
  if (/^[[{]/.test(trimmed)) {
    const json = JSON.parse(trimmed) as unknown
    const own = Array.isArray(json) ? json : (json as Record<string, unknown>)[list]
    if (!Array.isArray(own)) throw new Error(`there is no list called "${list}" in it`)
    return { rows: own, lines: false }
  }
  const [head = '', ...rest] = trimmed.split(/\r?\n/)
  if (/(?:^|[,;\t])"?item"?(?:[,;\t]|$)/i.test(head) && rest.length) {
    const { data } = Papa.parse<Record<string, string>>(trimmed, {
      header: true,
      skipEmptyLines: true,
      transformHeader: (h) => h.trim().toLowerCase(),
    })
    return { rows: data, lines: false }
  }
  return { rows: trimmed.split(/\r?\n/).filter((l) => l.trim()), lines: true }
}

const no = (path: string, message: string, allowed: string): Issue => ({ path, message, allowed })

function readRows<T>(
  text: string,
  list: string,
  allowed: string,
  read: (row: Record<string, unknown>, path: string) => T | Issue,
): Reading<T[]> {
  let found: ReturnType<typeof rowsOf>
  try {
    found = rowsOf(text, list)
  } catch (error) {
    return { ok: false, issues: [no('(the whole file)', (error as Error).message, allowed)] }
  }
  const issues: Issue[] = []
  const out: T[] = []
  for (const [k, row] of found.rows.entries()) {
    const path = `${list}[${k + 1}]`
    const own =
      typeof row === 'string'
        ? fromLine(row, path, allowed)
        : row !== null && typeof row === 'object'
          ? (row as Record<string, unknown>)
          : no(path, 'is no entry', allowed)
    const made = 'message' in own ? (own as Issue) : read(own as Record<string, unknown>, path)
    if (typeof made === 'object' && made !== null && 'message' in made) issues.push(made as Issue)
    else out.push(made as T)
  }
  return issues.length ? { ok: false, issues } : { ok: true, value: out }
}

/** `700 g parsnips`, or `700 g parsnips, 1.20` with what it cost. */
function fromLine(line: string, path: string, allowed: string): Record<string, unknown> | Issue {
  const priced = /^(.*?)[,;]\s*(\d+(?:[.,]\d{1,2})?)\s*$/.exec(line.trim())
  const read = readAmount(priced ? priced[1]! : line, path, allowed)
  if (!read.ok) return read.issues[0]!
  return { ...read.value, ...(priced ? { price: priced[2]!.replace(',', '.') } : {}) }
}

/** An amount above 0 with a unit that is known, of something that has a name. */
function amountIn(row: Record<string, unknown>, path: string): InHouse | Issue {
  const item = typeof row.item === 'string' ? row.item.trim() : ''
  const amount = Number(row.amount)
  const unit = String(row.unit ?? 'piece')
    .trim()
    .replace(/^pieces?$|^$/, 'piece')
  if (!item || item.length > 300)
    return no(`${path}.item`, 'it does not say what it is', 'a name, such as parsnips')
  if (!(amount >= 0 && amount <= 100_000))
    return no(
      `${path}.amount`,
      `"${String(row.amount)}" is no amount`,
      'a number from 0 to 100,000',
    )
  if (!(UNITS as readonly string[]).includes(unit))
    return no(`${path}.unit`, `"${unit}" is not a unit that is known`, UNITS.join(', '))
  return { item, amount, unit: unit as InHouse['unit'] }
}

/** A thing in the house as a file lists it. */
export type HouseFile = InHouse & {
  place?: 'fridge' | 'freezer' | 'shelf'
  where?: string
  by?: string
}

/** What is in the house, from a file: JSON, CSV with the columns item, amount and unit, or lines. */
export const readInHouse = (text: string): Reading<HouseFile[]> =>
  readRows(text, 'stock', '700 g parsnips', (row, path) => {
    const read = amountIn(row, path)
    if ('message' in read) return read
    const said = (field: string) => {
      const value = row[field]
      return typeof value === 'string' && value.trim() ? value.trim() : undefined
    }
    const [id, place, where, by] = ['id', 'place', 'where', 'by'].map(said)
    if (place && !['fridge', 'freezer', 'shelf'].includes(place))
      return no(`${path}.place`, `"${place}" is no place`, 'fridge, freezer, shelf, or nothing')
    if (by && !daySchema.safeParse(by).success)
      return no(`${path}.by`, `"${by}" is no day`, 'a day like 2027-03-20, or nothing')
    return {
      ...read,
      ...(id && idSchema.safeParse(id).success ? { id } : {}),
      ...(place ? { place: place as HouseFile['place'] } : {}),
      ...(where ? { where: where.slice(0, 60) } : {}),
      ...(by ? { by } : {}),
    }
  })

/**
 * Prices from a file: JSON, CSV with the columns item, amount, unit and cost (smallest coin) or price, or
 * lines such as `500 g rolled oats, 0.90`.
 */
export const readPrices = (text: string, today = instantOf(new Date(0))): Reading<Price[]> => {
  let k = 0
  return readRows(text, 'prices', '500 g rolled oats, 0.90', (row, path) => {
    const read = amountIn(row, path)
    if ('message' in read) return read
    const cost =
      row.cost !== undefined && row.cost !== ''
        ? Number(row.cost)
        : Math.round(100 * Number(row.price))
    if (!(Number.isInteger(cost) && cost >= 0 && cost <= MOST_COST))
      return no(
        `${path}.cost`,
        `"${String(row.cost ?? row.price ?? '')}" is no price`,
        `cost: a whole number of the smallest coin up to ${MOST_COST}; or price: such as 0.90`,
      )
    if (!(read.amount > 0))
      return no(`${path}.amount`, 'a price is for an amount above 0', 'such as 500 g')
    const loose = row.loose === true || row.loose === 'true' || row.loose === 'yes'
    const parsed = priceSchema.safeParse({
      id: `price-${++k}`,
      item: read.item,
      amount: read.amount,
      unit: read.unit,
      cost,
      ...(loose ? { loose: true } : {}),
      ...(typeof row.shop === 'string' && row.shop ? { shop: row.shop } : {}),
      day: typeof row.day === 'string' && row.day ? row.day : today.slice(0, 10),
    })
    if (parsed.success) return parsed.data
    const [first] = parsed.error.issues
    return no(
      `${path}.${first!.path.join('.')}`,
      first!.message,
      'see docs/formats/price.schema.json',
    )
  })
}
