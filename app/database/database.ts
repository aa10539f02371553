import Dexie, { type EntityTable, type Table } from 'dexie'
import type { Household, KeptPlan } from '~~/core/household'
import type { Meal } from '~~/core/eating'
import type { Kitchen } from '~~/core/kitchen'
import type { CookedRecord, Cooking } from '~~/core/logbook'
import type { Pack } from '~~/core/packing'
import type { Recipe } from '~~/core/recipe'
import type { Menu, Rhythm, Session } from '~~/core/session'
import type { Preparing } from '~~/core/setout'
import type { Price } from '~~/core/shopping'
import type { Stock } from '~~/core/stock'
import { whyNotKept } from './failure'

/** A small fact about this browser: which session is open, whether the demo was loaded. */
export interface Setting {
  key: string
  value: string
}

/** The household as it was at an earlier time, to go back to. */
export interface State {
  id: number
  /** Milliseconds since the epoch. */
  at: number
  /** What was about to happen, or nothing where it was merely kept now and then. */
  before: string
  household: Household
}

/** Everything of the household, in this browser only. */
export class Database extends Dexie {
  declare kitchens: EntityTable<Kitchen, 'id'>
  declare recipes: EntityTable<Recipe, 'id'>
  declare sessions: EntityTable<Session, 'id'>
  declare plans: Table<KeptPlan, string>
  declare cooking: Table<Cooking, string>
  declare menus: EntityTable<Menu, 'id'>
  declare rhythms: EntityTable<Rhythm, 'id'>
  declare stock: EntityTable<Stock, 'id'>
  declare prices: EntityTable<Price, 'id'>
  declare preparing: EntityTable<Preparing, 'id'>
  declare packs: EntityTable<Pack, 'id'>
  declare meals: EntityTable<Meal, 'id'>
  declare records: EntityTable<CookedRecord, 'id'>
  declare settings: Table<Setting, string>
  declare states: EntityTable<State, 'id'>

  constructor(name = 'cadrum') {
    super(name)
    // A later version gets its own line with an upgrade; this one is never edited.
    this.version(1).stores({
      kitchens: 'id',
      recipes: 'id',
      sessions: 'id',
      plans: 'session',
      cooking: 'session',
      settings: 'key',
    })
    this.version(2).stores({ menus: 'id' })
    this.version(3).stores({ states: '++id, at' })
    this.version(4).stores({ records: 'id' })
    this.version(5).stores({ rhythms: 'id' })
    this.version(6).stores({ stock: 'id', prices: 'id', preparing: 'id' })
    this.version(7).stores({ packs: 'id', meals: 'id' })
  }
}

export let database = new Database()

/** Whether what is written stays when the page is closed, and if not, why. */
export type Lasting = { lasts: true } | { lasts: false; why: string }

/**
 * Opens the household. A browser that keeps nothing gets a database in memory in its place, so that
 * everything works until the page is closed.
 *
 * @param blocked called where another tab of an older version has to be closed first
 */
export async function openDatabase(blocked: () => void = () => {}): Promise<Lasting> {
  database.on('blocked', blocked)
  try {
    await database.open()
    return { lasts: true }
  } catch (error) {
    const why = whyNotKept(error)
    const { indexedDB, IDBKeyRange } = await import('fake-indexeddb')
    // Live queries look for it here, and are silent without.
    Object.assign(Dexie.dependencies, { indexedDB, IDBKeyRange })
    database = new Database('cadrum')
    await database.open()
    return { lasts: false, why }
  }
}
