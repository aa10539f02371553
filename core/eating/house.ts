import type { Issue, Reading } from '../reading'
import type { Session } from '../session'
import { lyingIn, lyingOf, withMove, type Lying, type Move, type Pack } from '../packing'
import { arrange, type Arrangement } from './arrange'
import type { RoleOf } from './served'
import { daysFrom, type Day } from './days'
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

interface Around {
  today: string
  sessions: readonly Session[]
  roleOf: RoleOf
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
export function arranged(house: House, { today, sessions, roleOf }: Around): After {
  const lying = lyingIn(house.packs)
  const said = new Set(house.meals.map((m) => m.id))
  // Where nobody has said anything, what was packed for a day is on its table.
  const days = daysFrom(today, sessions, house.meals).map((d) =>
    said.has(d.day) ? d : { ...d, plate: meantFor(d.day, lying) },
  )
  const arrangement = arrange(today, days, lying, roleOf)
  return { house: { ...house, meals: withDays(house.meals, arrangement.days) }, arrangement }
}

/** The meals with what is on each plate now; those of days gone by stay as they are. */
function withDays(meals: readonly Meal[], days: readonly Day[]): Meal[] {
  const by = new Map(meals.map((m) => [m.id, m]))
  for (const d of days) {
    const known = by.get(d.day)
    if (!known && !d.plate.length) continue
    by.set(d.day, { ...(known ?? empty(d.day)), plate: d.plate })
  }
  return [...by.values()].sort((a, b) => a.id.localeCompare(b.id))
}

/** What was packed for a day, as far as it is still there. */
const meantFor = (day: string, lying: readonly Lying[]): Part[] =>
  lying.filter((l) => l.pack.on === day).map((l) => ({ pack: l.pack.id, portions: l.left }))

const empty = (day: string): Meal => ({ format: 'cadrum/meal@1', id: day, plate: [] })

function happen(house: House, act: Act, { today, sessions }: Around): Reading<House> {
  const wrong = (path: string, message: string, allowed: string): Reading<House> => ({
    ok: false,
    issues: [{ path, message, allowed }],
  })
  const meal = (day: string) => house.meals.find((m) => m.id === day) ?? empty(day)
  const withMeal = (...changed: Meal[]): House => ({
    ...house,
    meals: [...house.meals.filter((m) => !changed.some((c) => c.id === m.id)), ...changed].sort(
      (a, b) => a.id.localeCompare(b.id),
    ),
  })
  switch (act.kind) {
    case 'packed': {
      const taken = new Set(house.packs.map((p) => p.id))
      const twice = act.packs.find((p) => taken.has(p.id))
      if (twice) return wrong(twice.name, 'is packed already', 'each box once')
      const packs = [...house.packs, ...act.packs]
      const days = new Set(act.packs.flatMap((p) => p.on ?? []))
      const there = lyingIn(packs)
      const meant = (day: string) => meantFor(day, there)
      // What only came out best of less is looked at anew, and what was meant for a day is on its table.
      const open = (m: Meal) => m.id >= today && !m.fixed && !m.over
      const kept = house.meals.filter((m) => !open(m))
      const known = new Set(kept.map((m) => m.id))
      const again = house.meals
        .filter((m) => open(m) && !days.has(m.id))
        .map((m) => {
          const own = meant(m.id)
          const isThere = m.plate.some((p) => own.some((x) => x.pack === p.pack))
          return isThere ? m : { ...m, plate: own }
        })
      const fresh = [...days]
        .filter((day) => day >= today && !known.has(day))
        .map((day): Meal => ({ ...meal(day), plate: meant(day) }))
      const meals = [...kept, ...again, ...fresh].sort((a, b) => a.id.localeCompare(b.id))
      return { ok: true, value: { packs, meals } }
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
      for (const part of act.plate) {
        const pack = house.packs.find((p) => p.id === part.pack)
        const l = pack && lyingOf(pack)
        if (!l || l.left < part.portions - 1e-9)
          return wrong(pack?.name ?? part.pack, `has ${l?.left ?? 0} left`, 'no more than there is')
      }
      return {
        ok: true,
        value: withMeal({ ...meal(act.day), plate: [...act.plate], fixed: true }),
      }
    }
    case 'swapped': {
      if (act.day === act.with) return wrong(act.day, 'is the same evening', 'another one')
      // What nobody said stands for this day as for any: how many eat is the day's own.
      const planned = (day: string) =>
        daysFrom(today, sessions, house.meals).find((d) => d.day === day)?.plate ?? meal(day).plate
      return {
        ok: true,
        value: withMeal(
          { ...meal(act.day), plate: planned(act.with), fixed: true },
          { ...meal(act.with), plate: planned(act.day), fixed: true },
        ),
      }
    }
    case 'let go': {
      const { fixed: _, ...now } = meal(act.day)
      return { ok: true, value: withMeal(now) }
    }
  }
}
