import type { Issue, Reading } from '../reading'
import { isPast, lyingIn, lyingOf, withMove, type Move, type Pack } from '../packing'
import { arrange, type Arrangement } from './arrange'
import { daysFrom, type Around, type Day } from './days'
import type { Meal, Part } from './schema'

/** What a household has packed, and what it eats when. */
export interface House {
  packs: readonly Pack[]
  meals: readonly Meal[]
}

/** Something that happens after the stove. */
export type Act =
  | { kind: 'packed'; packs: readonly Pack[] }
  | { kind: 'happened'; pack: string; move: Move }
  /** An evening is over: of each pack so much was eaten; what else was warmed is thrown away, or lies on. */
  | { kind: 'eaten'; day: string; at: string; of: readonly Part[]; warmed?: readonly Part[] }
  | { kind: 'eaters'; day: string; eaters: number }
  | { kind: 'on the table'; day: string; plate: readonly Part[] }
  | { kind: 'swapped'; day: string; with: string }
  | { kind: 'let go'; day: string }

/** The house afterwards, and how the evenings to come are arranged now. */
export interface After {
  house: House
  arrangement: Arrangement
}

/** The most that eat one evening. */
const MOST_EATERS = 40

/**
 * The house after something happened, with the evenings to come arranged again: what was arranged stays as far
 * as it can. What cannot be is refused, and nothing changes.
 */
export function afterwards(house: House, act: Act, around: Around): Reading<After> {
  const read = happen(house, act, around)
  return read.ok ? { ok: true, value: arranged(read.value, around) } : read
}

/** The evenings to come as they are best arranged for what lies there; what the cook has fixed stays. */
export function arranged(house: House, around: Around): After {
  const lying = lyingIn(house.packs)
  const days = daysFrom(around, house.meals, lying)
  const arrangement = arrange(around.today, days, lying, around.roleOf)
  return { house: { ...house, meals: withDays(house.meals, arrangement.days) }, arrangement }
}

const byDay = (meals: Iterable<Meal>): Meal[] => [...meals].sort((a, b) => a.id.localeCompare(b.id))

/** The meals with what is on each plate now; those of days gone by stay as they are. */
function withDays(meals: readonly Meal[], days: readonly Day[]): Meal[] {
  const by = new Map(meals.map((m) => [m.id, m]))
  for (const d of days) {
    const known = by.get(d.day)
    if (known || d.plate.length) by.set(d.day, { ...(known ?? unsaid(d.day)), plate: d.plate })
  }
  return byDay(by.values())
}

/** Nobody has said anything of that day. */
const unsaid = (day: string): Meal => ({ format: 'cadrum/meal@1', id: day })

function happen(house: House, act: Act, around: Around): Reading<House> {
  const { today } = around
  const wrong = (path: string, message: string, allowed: string): Reading<House> => ({
    ok: false,
    issues: [{ path, message, allowed }],
  })
  const meal = (day: string) => house.meals.find((m) => m.id === day) ?? unsaid(day)
  const withMeal = (...changed: Meal[]): House => ({
    ...house,
    meals: byDay([...house.meals.filter((m) => !changed.some((c) => c.id === m.id)), ...changed]),
  })
  switch (act.kind) {
    case 'packed': {
      const taken = new Set(house.packs.map((p) => p.id))
      const twice = act.packs.find((p) => taken.has(p.id))
      if (twice) return wrong(twice.name, 'is packed already', 'each box once')
      // What only came out best of less is looked at anew, from what was packed for each day.
      const meals = house.meals.map((m) => {
        if (m.id < today || m.fixed || m.over) return m
        const { plate: _, ...rest } = m
        return rest
      })
      return { ok: true, value: { packs: [...house.packs, ...act.packs], meals } }
    }
    case 'happened': {
      const pack = house.packs.find((p) => p.id === act.pack)
      if (!pack) return wrong(act.pack, 'is no pack that lies here', 'a pack that does')
      const read = withMove(pack, act.move)
      if (!read.ok) return read
      return {
        ok: true,
        value: { ...house, packs: house.packs.map((p) => (p === pack ? read.value : p)) },
      }
    }
    case 'eaten': {
      const issues: Issue[] = []
      let packs = house.packs
      const take = (part: Part, move: Move) => {
        const pack = packs.find((p) => p.id === part.pack)
        const read: Reading<Pack> = pack
          ? withMove(pack, move)
          : {
              ok: false,
              issues: [{ path: part.pack, message: 'is gone', allowed: 'what is there' }],
            }
        if (read.ok) packs = packs.map((p) => (p === pack ? read.value : p))
        else issues.push(...read.issues)
      }
      for (const part of act.of) take(part, { kind: 'eaten', at: act.at, portions: part.portions })
      for (const part of act.warmed ?? [])
        take(part, { kind: 'thrown', at: act.at, portions: part.portions, why: 'warmed and left' })
      if (issues.length) return { ok: false, issues }
      const over: Meal = { ...meal(act.day), plate: [...act.of], over: true }
      return { ok: true, value: { ...withMeal(over), packs } }
    }
    case 'eaters': {
      if (!Number.isInteger(act.eaters) || act.eaters < 0 || act.eaters > MOST_EATERS)
        return wrong(act.day, `${act.eaters} is not a number of eaters`, `0 to ${MOST_EATERS}`)
      const { fixed: _, ...now } = meal(act.day)
      return { ok: true, value: withMeal({ ...now, eaters: act.eaters }) }
    }
    case 'on the table': {
      const issues = notFor(act.day, act.plate, house.packs)
      return issues.length
        ? { ok: false, issues }
        : { ok: true, value: withMeal({ ...meal(act.day), plate: [...act.plate], fixed: true }) }
    }
    case 'swapped': {
      if (act.day === act.with) return wrong(act.day, 'is the same evening', 'another one')
      // How many eat is the day's own.
      const days = daysFrom(around, house.meals, lyingIn(house.packs))
      const plate = (day: string) => days.find((d) => d.day === day)?.plate ?? []
      const [here, there] = [plate(act.day), plate(act.with)]
      const issues = [
        ...notFor(act.with, here, house.packs),
        ...notFor(act.day, there, house.packs),
      ]
      if (issues.length) return { ok: false, issues }
      return {
        ok: true,
        value: withMeal(
          { ...meal(act.day), plate: there, fixed: true },
          { ...meal(act.with), plate: here, fixed: true },
        ),
      }
    }
    case 'let go': {
      const { fixed: _, ...now } = meal(act.day)
      return { ok: true, value: withMeal(now) }
    }
  }
}

/** Why something cannot be on the table of a day: there is less of it, or it would be past its day. */
function notFor(day: string, plate: readonly Part[], packs: readonly Pack[]): Issue[] {
  return plate.flatMap((part): Issue[] => {
    const pack = packs.find((p) => p.id === part.pack)
    const l = pack && lyingOf(pack)
    if (!l || l.left < part.portions - 1e-9)
      return [
        {
          path: pack?.name ?? part.pack,
          message: `has ${l?.left ?? 0} left`,
          allowed: 'no more than there is',
        },
      ]
    return isPast(l, day)
      ? [
          {
            path: pack.name,
            message: `would be past its day, ${l.eatBy}`,
            allowed: 'an evening before',
          },
        ]
      : []
  })
}
