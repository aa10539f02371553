import { computed } from 'vue'
import { asPacked } from '~~/core/eating'
import { brokenWords, checkPlan, relaxed } from '~~/core/plan'
import { fingerprint } from '~~/core/problem'
import { begunAt } from '~~/core/logbook'
import type { Issue } from '~~/core/reading'
import type { Recipe } from '~~/core/recipe'
import {
  compileSession,
  cookingsOf,
  eveningToCook,
  keyOf,
  listSittings,
  MAIN,
  sessionOf,
  sittingOf,
  withChanged,
  withParted,
  type CompiledSession,
  type Session,
  type SittingToCook,
} from '~~/core/session'
import { database } from '~/database/database'
import { openedSession, openedSitting, openSitting } from '~/database/opened'
import { useEdits } from '~/stores/edits'
import { useSaving } from '~/stores/saving'
import { spanText } from './useClock'
import { useLive } from './useLive'
import { inKitchenWords } from './useWords'

/** What is read of a sitting: the session that it belongs to, and what is kept of it. */
async function opened(ofCooking: boolean) {
  const whole = await openedSession()
  if (!whole) return { whole }
  const logs = (await database.cooking.toArray()).filter((l) => sessionOf(l.session) === whole.id)
  const chosen = await openedSitting(whole.id)
  // What is on the stove goes before what is looked at.
  const here = logs.find((l) => l.session === keyOf(whole.id, chosen)) ?? logs[0]
  const sitting = ofCooking && here ? sittingOf(here.session) : chosen
  const keys = [sitting, MAIN, ...(whole.sittings ?? []).map((s) => s.id)]
  const [kitchen, recipes, records, packs, meals, plans] = await Promise.all([
    database.kitchens.get(whole.kitchen),
    database.recipes.toArray(),
    database.records.where('id').startsWith(whole.id).toArray(),
    database.packs.toArray(),
    database.meals.toArray(),
    database.plans.bulkGet([...new Set(keys)].map((id) => keyOf(whole.id, id))),
  ])
  const cooking = logs.find((l) => l.session === keyOf(whole.id, sitting))
  const told = [...records.map((r) => r.cooking), ...logs]
  return { whole, sitting, kitchen, recipes, plans, cooking, logs, told, packs, meals }
}

/** Each dish in the colour that it has on every other page. */
export const inOwnColours = (made: CompiledSession, recipes: readonly Recipe[]) => {
  const known = recipes.map((r) => r.id)
  return { ...made, order: [...known, ...made.order.filter((id) => !known.includes(id))] }
}

/**
 * The open sitting of the open session with its kitchen, recipes, compiled problem and kept plan, all live
 * from the database; `ready` once they are there. `session` is the sitting as a session of its own, `whole`
 * the one that it belongs to. Changes go through `change` (of the whole) or `changeSitting`, and are saved
 * at once. With `ofCooking` a sitting that is being cooked goes before the one that was opened.
 */
export function useSession({ ofCooking = false } = {}) {
  const saving = useSaving()
  const edits = useEdits()
  const data = useLive(() => opened(ofCooking))
  const ready = computed(() => data.value !== undefined)
  const whole = computed(() => data.value?.whole)
  const kitchen = computed(() => data.value?.kitchen)
  const recipes = computed(() => data.value?.recipes ?? [])
  const cooking = computed(() => data.value?.cooking)
  /** Sittings of this session that are being cooked, this one or another. */
  const onTheStove = computed(() => data.value?.logs ?? [])

  const held = computed(() =>
    whole.value && kitchen.value
      ? { session: whole.value, kitchen: kitchen.value, recipes: recipes.value }
      : undefined,
  )
  /** Once it is packed, evenings have what was packed for them, and not what the menu meant. */
  const served = computed(
    () =>
      held.value && {
        ...held.value,
        session: asPacked(held.value.session, data.value?.packs ?? [], data.value?.meals ?? []),
      },
  )
  /** What is done in which sitting, by the plans that there are. */
  const parting = computed(() => {
    const plans = new Map(
      (data.value?.plans ?? []).flatMap((p) => (p ? [[p.session, p.plan]] : [])),
    )
    const logs = data.value?.told ?? []
    const begun = (key: string, activity: string) =>
      logs.flatMap((log) => (log.session === key ? (begunAt(log, activity) ?? []) : [])).at(-1)
    return held.value && cookingsOf(held.value, (key) => plans.get(key), begun)
  })
  const sittings = computed(() =>
    served.value ? listSittings(served.value, parting.value?.assignment) : [],
  )
  const sitting = computed(() => {
    const id = data.value?.sitting ?? MAIN
    return sittings.value.some((s) => s.id === id) ? id : MAIN
  })
  /** The open sitting; of one in which nothing is done there is nothing but its name. */
  const open = computed((): Pick<SittingToCook, 'session' | 'recipes'> | undefined => {
    if (!held.value) return undefined
    const id = sitting.value
    const found = sittings.value.some((s) => s.id === id && s.kind === 'evening')
      ? eveningToCook(served.value!, id, parting.value?.assignment)
      : parting.value?.sittings.find((s) => s.id === id)
    if (found) return found
    const own = whole.value!.sittings?.find((s) => s.id === id)
    const { sittings: _, parted: __, ...rest } = whole.value!
    const key = keyOf(rest.id, id)
    return { session: { ...rest, ...own, id: key, name: rest.name, dishes: [] }, recipes: [] }
  })
  const session = computed(() => open.value?.session ?? whole.value)

  const compiling = computed(() =>
    open.value && kitchen.value
      ? compileSession({ ...open.value, kitchen: kitchen.value })
      : undefined,
  )
  const compiled = computed<CompiledSession | undefined>(() =>
    compiling.value?.ok ? inOwnColours(compiling.value.value, recipes.value) : undefined,
  )
  const issues = computed<Issue[]>(() => [
    ...(parting.value?.issues ?? []),
    ...(compiling.value && !compiling.value.ok ? compiling.value.issues : []),
  ])
  const problemMark = computed(() => compiled.value && fingerprint(compiled.value.problem))
  /** What is kept of planning; a plan that the checker refuses, from wherever it came, is none. */
  const kept = computed(() => {
    const there = data.value?.plans?.find((p) => p?.session === session.value?.id)
    const made = compiled.value
    if (!there || !made || there.problem !== problemMark.value) return there
    const { plan, least } = there
    const breaches = plan.activities.length
      ? checkPlan(made.problem, plan)
      : least
        ? checkPlan(relaxed(made.problem, least.broken), least.plan)
        : []
    return breaches.length ? undefined : there
  })
  /** The kept plan, where it is for the session as it stands now and has something in it. */
  const plan = computed(() => {
    const there = kept.value
    if (!there || there.problem !== problemMark.value) return undefined
    return there.plan.activities.length ? there.plan : there.least?.plan
  })
  /** Where no plan keeps everything: what the one that is shown breaks, in the kitchen's words. */
  const broken = computed(() => {
    const [there, made, place] = [kept.value, compiled.value, kitchen.value]
    if (!there?.least || !made || !place || there.problem !== problemMark.value) return []
    if (there.plan.activities.length) return []
    return brokenWords(made.problem, there.least.broken, spanText).map((words) =>
      inKitchenWords(words, made, place, session.value!.start),
    )
  })

  async function change(edit: (session: Session) => Session): Promise<void> {
    const id = whole.value?.id
    if (id === undefined) return
    const made = await saving.write(`"${whole.value!.name}"`, () =>
      // Read and write in one transaction: another tab may have changed it since.
      database.transaction(
        'rw',
        [database.sessions, database.kitchens, database.recipes],
        async () => {
          const current = await database.sessions.get(id)
          if (!current) return undefined
          const next = edit(current)
          const place = next.sittings?.length && (await database.kitchens.get(next.kitchen))
          const after = place ? withParted(next, place, await database.recipes.toArray()) : next
          await database.sessions.put(after)
          return { before: current, after }
        },
      ),
    )
    // Only what is kept can be taken back.
    if (made) edits.remember(made)
  }
  /** Changes the open sitting alone, as far as it is not the whole. */
  const changeSitting = (edit: (session: Session) => Session) => {
    const [id, own] = [sitting.value, session.value]
    return change((now) => (own ? withChanged(now, id, own, edit) : now))
  }
  const openThe = (id: string) =>
    saving.write('which sitting is open', () => openSitting(whole.value!.id, id))

  return {
    ready,
    whole,
    sittings,
    sitting,
    parting,
    /** What is kept of planning the sittings, this one and the others. */
    plans: computed(() => (data.value?.plans ?? []).flatMap((p) => p ?? [])),
    onTheStove,
    session,
    /** The recipes by which the sitting is cooked: what of each is done in it. */
    cookedBy: computed(() => open.value?.recipes ?? []),
    kitchen,
    recipes,
    cooking,
    kept,
    compiled,
    issues,
    problemMark,
    plan,
    broken,
    change,
    changeSitting,
    openThe,
  }
}
