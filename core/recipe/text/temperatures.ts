import { OVEN_MARKS } from '../../quantity'
import { convert } from 'convert'
import { plain } from './plain'

/** A temperature that a text speaks of, in whole °C. */
export interface Temperature {
  least: number
  most: number
  at: number
  end: number
  /** Of the oven or the fat, or of the middle of the food when it is done. */
  of: 'oven' | 'fat' | 'core'
  /** Stated for an oven with a fan only. */
  fan: boolean
  doubt?: string
}

const MARKS = new Map(OVEN_MARKS)

/** Ovens in words, by the usual meaning of these words. */
const WORDS: [RegExp, number][] = [
  [/\bvery hot oven\b/, 230],
  [/\bmoderately hot oven\b/, 190],
  [/\bhot oven\b/, 210],
  [/\bmoderate oven\b/, 180],
  [/\b(?:very low|very cool|very slow) oven\b/, 120],
  [/\b(?:low|cool|slow) oven\b/, 150],
]

const SCALE = '(c|f|celsius|centigrade|fahrenheit)'
const DEGREES =
  /(\d{2,3})\s*(?:(?:°|degrees?|deg\.?)?\s*(?:c|f)?\s*(?:-|to)\s*(\d{2,3}))?\s*(?:(°|degrees?|deg\.?)\s*)?(c|f|celsius|centigrade|fahrenheit)?(?![a-z0-9%])/g
const GAS =
  /\bgas(?: mark)?\s*(\d(?:\.\d+)?)(?:\s*(?:-|to)\s*(\d))?(?![\d.]*\s*(?:minutes?|mins?))/g

/** Temperatures in a text, in order; where the same is said twice over (°C, fan, gas) only once. */
export function temperaturesIn(text: string): Temperature[] {
  const line = plain(text)
  const found: Temperature[] = []
  for (const m of line.matchAll(DEGREES)) {
    const [whole, low, high, sign, letter] = m
    const at = m.index
    // `Oven 190.`: no sign, and nothing else that it could be.
    const bare =
      /\boven(?: on| going| hot)?(?: at| to|:)?\s*$|\b(?:bake|roast|cook|oven|preheat)\b[^.;\d]*\bat\s*$|\b(?:raise|increase|turn|lower|reduce)(?: it| the oven| the heat| heat| the temperature)?(?: up| down)? to\s*$/.test(
        line.slice(0, at),
      ) &&
      Number(low) >= 100 &&
      Number(low) <= 260 &&
      !/^\s*(?:g|ml|minutes?|mins?)\b/.test(line.slice(at + whole.length))
    if (!sign && !letter && !bare) continue
    const around = line.slice(at, at + whole.length)
    if (letter && !sign && !new RegExp(`\\d\\s?${SCALE}`).test(around)) continue
    const scale = letter ? letter[0]! : ''
    const doubt = scale === '' ? 'it does not say whether °C or °F is meant' : undefined
    const fahrenheit = scale === 'f' || (scale === '' && Number(high ?? low) >= 275)
    const celsius = (n: string) =>
      Math.round(fahrenheit ? convert(Number(n), 'F').to('C') : Number(n))
    found.push({
      least: celsius(low!),
      most: celsius(high ?? low!),
      at,
      end: at + whole.length,
      of: whatOf(line, at, at + whole.length),
      fan: isFan(line, at, at + whole.length),
      ...(doubt === undefined ? {} : { doubt }),
    })
  }
  for (const m of line.matchAll(GAS)) {
    const mark = MARKS.get(Number(m[1]))
    if (mark === undefined) continue
    const high = (m[2] && MARKS.get(Number(m[2]))) || mark
    const end = m.index + m[0].length
    found.push({ least: mark, most: high, at: m.index, end, of: 'oven', fan: false })
  }
  found.sort((a, b) => a.at - b.at)
  if (!found.some((t) => t.of === 'oven'))
    for (const [pattern, value] of WORDS) {
      const m = pattern.exec(line)
      if (!m) continue
      const doubt = `a ${m[0]} is usually about ${value} °C`
      found.push({
        least: value,
        most: value,
        at: m.index,
        end: m.index + m[0].length,
        of: 'oven',
        fan: false,
        doubt,
      })
      break
    }
  return sameOnce(line, found)
}

function whatOf(line: string, at: number, end: number): Temperature['of'] {
  const before = line.slice(Math.max(0, at - 90), at)
  // `190 °C with a baking sheet inside`: nothing of the food.
  const after = line
    .slice(end, end + 50)
    .replace(/^[^.;\d]*\b(?:tray|sheet|tin|pan|stone|dish|pot|casserole)\b[^.;\d]* inside\b/, '')
  if (
    /\b(?:internal|inside|core|thermometer|probe|thickest|the (?:centre|center|middle)|temperature of the (?:meat|chicken|turkey|fish|loaf|joint)|reads?|registers?)\b[^.;\d]*$/.test(
      before,
    ) ||
    /^[^.;\d]*\b(?:inside|in the (?:centre|center|middle|thickest)|on (?:a|the) (?:\w+ )?(?:thermometer|probe)|internal)/.test(
      after,
    )
  )
    return 'core'
  if (
    /\b(?:cooked through|done|until cooked|juices run clear)\b[^.;\d]*$/.test(before) &&
    COOL.test(line.slice(at, end))
  )
    return 'core'
  if (/\b(?:oil|fat|lard|dripping)\b[^.;\d]*$/.test(before.slice(-50))) return 'fat'
  return 'oven'
}

/** Below 100: no oven is meant. */
const COOL = /^\d{2}(?!\d)/

const isFan = (line: string, at: number, end: number) =>
  /^\s*(?:\(|,)?\s*(?:fan|convection)/.test(line.slice(end, end + 14)) ||
  /\b(?:fan|convection)(?: oven)?(?: at| to|:)?\s*$/.test(line.slice(Math.max(0, at - 16), at))

/** `180C/160C fan/gas 4` is one temperature: the first of neighbours that is not for a fan. */
function sameOnce(line: string, all: Temperature[]): Temperature[] {
  const out: Temperature[] = []
  let last: Temperature | undefined
  for (const t of all) {
    const between = last ? line.slice(last.end, t.at) : ''
    const same =
      last !== undefined &&
      last.of === t.of &&
      /^[\s/(),;:|]*(?:or |fan|convection|oven|at|gas|°|conventional|[\s/(),])*$/.test(between)
    if (!same) out.push(t)
    else if (out[out.length - 1]!.fan && !t.fan)
      out[out.length - 1] = { ...t, at: out[out.length - 1]!.at, end: t.end }
    last = t
  }
  return out
}
