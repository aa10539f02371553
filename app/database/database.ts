import Dexie, { type EntityTable, type Table } from 'dexie'
import type { KeptPlan } from '~~/core/household'
import type { Kitchen } from '~~/core/kitchen'
import type { Cooking } from '~~/core/logbook'
import type { Recipe } from '~~/core/recipe'
import type { Menu, Session } from '~~/core/session'

/** A small fact about this browser: which session is open, whether the demo was loaded. */
export interface Setting {
  key: string
  value: string
}

/** Everything of the household, in this browser only. */
export class Database extends Dexie {
  declare kitchens: EntityTable<Kitchen, 'id'>
  declare recipes: EntityTable<Recipe, 'id'>
  declare sessions: EntityTable<Session, 'id'>
  declare plans: Table<KeptPlan, string>
  declare cooking: Table<Cooking, string>
  declare menus: EntityTable<Menu, 'id'>
  declare settings: Table<Setting, string>

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
  }
}

export const database = new Database()
