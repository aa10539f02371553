import { describe, expect, it } from 'vitest'
import { demoRecipes, demoSession } from '../../demo'
import { listAsCsv, listAsText, readInHouse, readPrices } from './exchange'
import { shopList } from './list'

const words = (read: { ok: boolean; issues?: { path: string; message: string }[] }) =>
  (read.issues ?? []).map((i) => `${i.path}: ${i.message}`)

describe('a list that goes out', () => {
  const list = shopList({ session: demoSession, recipes: demoRecipes })

  it('is text by where things stand, with what to look for apart', () => {
    const text = listAsText(list)
    expect(text).toMatch(/^Fruit and vegetables\n- .* carrots\n/)
    expect(text).toContain('- 1.8 kg onions\n')
    expect(text).toMatch(/Is there enough\?\n(?:- .*\n)*- salt: 14 g\n/)
    expect(text.indexOf('salt')).toBeGreaterThan(text.indexOf('Is there enough'))
  })

  it('is a table with the sums that a reader can check', () => {
    const rows = listAsCsv(list).trim().split('\n')
    expect(rows[0]).toBe('section,item,unit,used,stock,check,bought,packs,left,cost,dishes')
    expect(rows).toHaveLength(list.lines.length + 1)
  })
})

describe('what is in the house, read from a file', () => {
  it('is JSON, a table or lines', () => {
    const as = [{ item: 'parsnips', amount: 700, unit: 'g' }]
    for (const text of [
      JSON.stringify(as),
      JSON.stringify({ stock: as }),
      'Item;Amount;Unit\nparsnips;700;g',
      '700 g parsnips\n',
    ])
      expect(readInHouse(text)).toEqual({ ok: true, value: as })
  })

  it('says what is wrong, and in which entry', () => {
    expect(words(readInHouse('[{"item":"x","amount":-1,"unit":"g"}]'))).toEqual([
      'stock[1].amount: "-1" is no amount',
    ])
    expect(words(readInHouse('item,amount,unit\nleeks,2,crates'))).toEqual([
      'stock[1].unit: "crates" is not a unit that is known',
    ])
    expect(words(readInHouse('700 g\n'))[0]).toMatch(/^stock/)
    expect(words(readInHouse('{"things":[]}'))).toEqual([
      '(the whole file): there is no list called "stock" in it',
    ])
    expect(readInHouse('{broken').ok).toBe(false)
  })
})

describe('prices, read from a file', () => {
  it('are whole coins, or decimals, with what they buy', () => {
    const lines = readPrices('500 g rolled oats, 0.90\n1 kg carrots, 1,20')
    expect(lines.ok && lines.value.map((p) => [p.item, p.amount, p.unit, p.cost])).toEqual([
      ['rolled oats', 500, 'g', 90],
      ['carrots', 1, 'kg', 120],
    ])
    const json = readPrices('[{"item":"eggs","amount":6,"unit":"piece","cost":210,"loose":true}]')
    expect(json.ok && json.value[0]).toMatchObject({ cost: 210, loose: true })
  })

  it('that cannot be are refused by name', () => {
    expect(words(readPrices('[{"item":"eggs","amount":6,"unit":"piece","cost":1.5}]'))).toEqual([
      'prices[1].cost: "1.5" is no price',
    ])
    expect(words(readPrices('[{"item":"eggs","amount":0,"unit":"piece","cost":1}]'))[0]).toMatch(
      /amount above 0/,
    )
    expect(words(readPrices('500 g oats'))).toEqual(['prices[1].cost: "" is no price'])
    expect(
      words(readPrices('[{"item":"eggs","amount":6,"unit":"piece","cost":100000000}]')),
    ).toHaveLength(1)
  })
})
