import { createSharedComposable } from '@vueuse/core'
import { format } from 'date-fns'
import { computed } from 'vue'
import { nothingReady, prepare, type Preparing } from '~~/core/setout'
import { SECTIONS, type Section } from '~~/core/food'
import type { Plan } from '~~/core/plan'
import { sessionOf, sittingOf } from '~~/core/session'
import { database } from '~/database/database'
import { useSaving } from '~/stores/saving'
import { useLive } from './useLive'
import { measures } from './useMeasures'
import { useSession } from './useSession'

/** The sections of the shop in the household's own order. */
export const ownSections = (): Section[] =>
  (measures.sections ?? []).filter((s): s is Section => SECTIONS.includes(s as Section))

/**
 * All that lies between the menu of the open session and its first cut, up to date with whatever changes:
 * list, money, what is seen to before, labels; with what was ticked of it. Shared by the pages and the
 * reminder that stands on each.
 */
export const usePreparation = createSharedComposable(() => {
  const held = useSession()
  const saving = useSaving()
  const house = useLive(async () => {
    const [stock, prices, preparing, records, packs] = await Promise.all([
      database.stock.toArray(),
      database.prices.toArray(),
      database.preparing.toArray(),
      database.records.toArray(),
      database.packs.toArray(),
    ])
    return {
      stock,
      prices,
      preparing,
      packs,
      cooked: records.filter((r) => !r.stopped).map((r) => r.cooking.session),
    }
  })
  const { whole: session, kitchen, recipes, parting, plans } = held
  const ready = computed(() => held.ready.value && house.value !== undefined)
  const stock = computed(() => house.value?.stock ?? [])
  const ticked = computed(
    (): Preparing =>
      house.value?.preparing.find((p) => p.id === session.value?.id) ??
      nothingReady(session.value?.id ?? 'none'),
  )
  const planOf = computed(() => {
    const by = new Map(
      plans.value.flatMap((p): [string, Plan][] =>
        p.plan.activities.length ? [[p.session, p.plan]] : [],
      ),
    )
    return (key: string) => by.get(key)
  })
  /** Sittings of this session that have been cooked. */
  const over = computed(
    () =>
      new Set(
        (house.value?.cooked ?? [])
          .filter((key) => sessionOf(key) === session.value?.id)
          .map(sittingOf),
      ),
  )
  const preparation = computed(() => {
    if (!session.value || !kitchen.value || !house.value || !parting.value) return undefined
    return prepare({
      session: session.value,
      kitchen: kitchen.value,
      recipes: recipes.value,
      stock: stock.value,
      prices: house.value.prices,
      choices: ticked.value,
      sections: ownSections(),
      planOf: planOf.value,
      assignment: parting.value.assignment,
      over: over.value,
      packed: (dish) =>
        house.value!.packs.filter((p) => p.dish === dish && p.session === session.value!.id),
    })
  })

  /** Changes what was ticked for the open session. */
  const tick = (edit: (now: Preparing) => Preparing) => {
    const id = session.value!.id
    return saving.write('what was ticked', () =>
      database.transaction('rw', database.preparing, async () => {
        const now = (await database.preparing.get(id)) ?? nothingReady(id)
        await database.preparing.put(edit(now))
      }),
    )
  }
  const isDone = (mark: string) => ticked.value.done.includes(mark)
  /** Ticks something as done, or not. */
  const setDone = (mark: string, on: boolean) =>
    tick((t) => ({
      ...t,
      done: [...t.done.filter((d) => d !== mark), ...(on ? [mark] : [])],
    }))

  return {
    ...held,
    ready,
    stock,
    prices: computed(() => house.value?.prices ?? []),
    ticked,
    preparation,
    planOf,
    over,
    tick,
    isDone,
    setDone,
  }
})

/** Today, in ISO form. */
export const today = (): string => format(new Date(), 'yyyy-MM-dd')
