import { createSharedComposable, useNow } from '@vueuse/core'
import { format } from 'date-fns'
import { computed } from 'vue'
import {
  afterwards,
  arranged,
  freshDays,
  type Act,
  type After,
  type House,
  type Moved,
  type RoleOf,
} from '~~/core/eating'
import { lyingIn } from '~~/core/packing'
import type { Reading } from '~~/core/reading'
import { roleIn } from '~~/core/session'
import { database } from '~/database/database'
import { openedKitchen } from '~/database/opened'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'
import { issueLines } from './issueText'
import { useLive } from './useLive'
import { dayText } from './useMeasures'

/** This moment as packs write it, to the second of local time. */
export const moment = (): string => format(new Date(), "yyyy-MM-dd'T'HH:mm:ss")

/** What was moved to another evening, in words: `Wed 24 March: soup instead of stew, it is gone`. */
export const movedText = ({ day, from, to, why }: Moved): string =>
  `${dayText(day, 'EEE d MMM')}: ${to.join(' and ') || 'nothing'} instead of ${from.join(' and ')}, ${why}`

/**
 * What is packed in the house and what is eaten when, up to date with whatever happens; all that happens goes
 * through `does`, which keeps it at once, arranges the evenings to come anew and offers the way back.
 */
export const useHouse = createSharedComposable(() => {
  const saving = useSaving()
  const notices = useNotices()
  const data = useLive(async () => {
    const [packs, meals, sessions, recipes, records, kitchen] = await Promise.all([
      database.packs.toArray(),
      database.meals.toArray(),
      database.sessions.toArray(),
      database.recipes.toArray(),
      database.records.toArray(),
      openedKitchen(),
    ])
    return { packs, meals, sessions, recipes, records, kitchen }
  })
  const now = useNow({ interval: 30_000 })
  const today = computed(() => format(now.value, 'yyyy-MM-dd'))
  const recipes = computed(() => new Map((data.value?.recipes ?? []).map((r) => [r.id, r])))
  const roleOf: RoleOf = (dish) => {
    const recipe = recipes.value.get(dish)
    return recipe ? roleIn(recipe) : 'meal'
  }
  const fresh = computed(() => freshDays(data.value?.sessions ?? [], recipes.value))
  const around = () => ({
    today: today.value,
    sessions: data.value?.sessions ?? [],
    roleOf,
    fresh: fresh.value,
  })
  const house = computed((): House => ({
    packs: data.value?.packs ?? [],
    meals: data.value?.meals ?? [],
  }))
  const lying = computed(() => lyingIn(house.value.packs))
  const arrangement = computed(() =>
    data.value?.packs.length ? arranged(house.value, around()).arrangement : undefined,
  )

  /** Tells what happened; why not, where it cannot be. */
  async function does(act: Act, told?: string): Promise<Reading<After>> {
    let read: Reading<After> | undefined
    let undo = async () => {}
    await saving.write('what lies in the house', () =>
      database.transaction('rw', database.packs, database.meals, async () => {
        const before: House = {
          packs: await database.packs.toArray(),
          meals: await database.meals.toArray(),
        }
        read = afterwards(before, act, around())
        if (!read.ok) return
        undo = await change(before, read.value.house)
      }),
    )
    const done = read!
    if (!done.ok)
      notices.show({
        text: 'That was not taken over.',
        details: issueLines(done.issues),
        bad: true,
      })
    else if (told !== undefined)
      notices.show({
        text: told,
        // While boxes are filled the evenings only begin to be arranged.
        details: act.kind === 'packed' ? [] : done.value.arrangement.moved.map(movedText),
        undo: () => saving.write('what lies in the house', undo),
      })
    return done
  }

  /** Days for which something of what is packed is arranged, from another session than one. */
  const providedBut = (session: string | undefined) =>
    new Set(
      (arrangement.value?.days ?? [])
        .filter(
          (d) =>
            !d.over &&
            d.plate.some(
              (p) => house.value.packs.find((x) => x.id === p.pack)?.session !== session,
            ),
        )
        .map((d) => d.day),
    )

  return {
    providedBut,
    ready: computed(() => data.value !== undefined),
    today,
    now,
    house,
    roleOf,
    lying,
    arrangement,
    recipes,
    order: computed(() => (data.value?.recipes ?? []).map((r) => r.id)),
    sessions: computed(() => data.value?.sessions ?? []),
    records: computed(() => data.value?.records ?? []),
    kitchen: computed(() => data.value?.kitchen),
    does,
  }
})

/** Writes what is another one now, and gives what puts it back. */
async function change(before: House, after: House): Promise<() => Promise<void>> {
  const packs = changed(before.packs, after.packs)
  const meals = changed(before.meals, after.meals)
  await database.packs.bulkPut(packs.now)
  await database.meals.bulkPut(meals.now)
  return () =>
    database.transaction('rw', database.packs, database.meals, async () => {
      await database.packs.bulkDelete(packs.fresh)
      await database.meals.bulkDelete(meals.fresh)
      await database.packs.bulkPut(packs.was)
      await database.meals.bulkPut(meals.was)
    })
}

function changed<T extends { id: string }>(before: readonly T[], after: readonly T[]) {
  const known = new Map(before.map((x) => [x.id, x]))
  const now = after.filter((x) => known.get(x.id) !== x)
  return {
    now: [...now],
    was: now.flatMap((x) => known.get(x.id) ?? []),
    fresh: now.filter((x) => !known.has(x.id)).map((x) => x.id),
  }
}
