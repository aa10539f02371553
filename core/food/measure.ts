import { singular } from '../recipe'
import { WITH_SPOONS, type Unit } from '../quantity'
import type { Base } from './food'
import type { Named } from './foods'

/** An amount of a food in what it is bought in, and whether a weight of pieces or a density was needed. */
export interface Measured {
  amount: number
  unit: Base
  /** By weighing and measuring alone, and by no table. */
  exact: boolean
}

/** A pinch in millilitres, by usual kitchen tables. */
const PINCH = 0.3

/** Millilitres or grams of a unit, or pieces. */
function inUnit(amount: number, unit: Unit): { amount: number; unit: Base } {
  if (unit === 'piece') return { amount, unit: 'piece' }
  if (unit === 'pinch') return { amount: amount * PINCH, unit: 'ml' }
  return {
    amount: amount * WITH_SPOONS[unit]!,
    unit: unit === 'g' || unit === 'kg' ? 'g' : 'ml',
  }
}

/**
 * An amount as a recipe states it in what the food is bought in: two onions as 300 g. Where nothing is
 * known of how they go together, it stays in its own measure.
 */
export function measured(
  { food, counted: said }: Named,
  amount: number,
  unit: Unit,
  counted = unit === 'piece' ? said : undefined,
): Measured {
  const own = inUnit(amount, unit)
  if (!food) return { ...own, exact: true }
  const grams = gramsOf(food, own, counted)
  const share = food.bought ?? 1
  if (own.unit === food.by && counted === undefined)
    return { amount: own.amount * share, unit: food.by, exact: share === 1 }
  if (grams === undefined) return { ...own, exact: true }
  const inBase =
    food.by === 'g'
      ? grams
      : food.by === 'ml'
        ? food.density === undefined
          ? undefined
          : grams / food.density
        : food.each === undefined
          ? undefined
          : grams / food.each
  if (inBase === undefined) return { ...own, exact: true }
  return { amount: inBase * share, unit: food.by, exact: false }
}

/** Grams of an amount, where the food tells. */
function gramsOf(
  food: NonNullable<Named['food']>,
  own: { amount: number; unit: Base },
  counted: string | undefined,
): number | undefined {
  if (own.unit === 'g') return own.amount
  if (own.unit === 'ml') return food.density === undefined ? undefined : own.amount * food.density
  if (counted !== undefined) {
    const each = food.counted?.[singular(counted)]
    return each === undefined ? undefined : own.amount * each
  }
  return food.each === undefined ? undefined : own.amount * food.each
}

/** Grams that an amount in its base weighs, where that is known: for what is bought, stored and packed. */
export function gramsIn({ food }: Named, amount: number, unit: Base): number | undefined {
  if (unit === 'g') return amount
  return food && gramsOf(food, { amount, unit }, undefined)
}
