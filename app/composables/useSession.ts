import { computed } from 'vue'
import { brokenWords, checkPlan, relaxed } from '~~/core/plan'
import { fingerprint } from '~~/core/problem'
import type { Issue } from '~~/core/reading'
import { compileSession, type CompiledSession, type Session } from '~~/core/session'
import { database } from '~/database/database'
import { openedSession } from '~/database/opened'
import { useSaving } from '~/stores/saving'
import { spanText } from './useClock'
import { useLive } from './useLive'
import { inKitchenWords } from './useWords'

/**
 * The open session with its kitchen, recipes, compiled problem and kept plan, all live from
 * the database; `ready` once they are there. Changes go through `change` and are saved at once.
 */
export function useSession() {
  const saving = useSaving()
  const data = useLive(async () => {
    const session = await openedSession()
    if (!session) return { session: undefined }
    const [kitchen, recipes, kept, cooking] = await Promise.all([
      database.kitchens.get(session.kitchen),
      database.recipes.toArray(),
      database.plans.get(session.id),
      database.cooking.get(session.id),
    ])
    return { session, kitchen, recipes, kept, cooking }
  })
  const ready = computed(() => data.value !== undefined)
  const session = computed(() => data.value?.session)
  const kitchen = computed(() => data.value?.kitchen)
  const recipes = computed(() => data.value?.recipes ?? [])
  const cooking = computed(() => data.value?.cooking)

  const compiling = computed(() =>
    session.value && kitchen.value
      ? compileSession({ session: session.value, kitchen: kitchen.value, recipes: recipes.value })
      : undefined,
  )
  const compiled = computed<CompiledSession | undefined>(() =>
    compiling.value?.ok ? compiling.value.value : undefined,
  )
  const issues = computed<Issue[]>(() =>
    compiling.value && !compiling.value.ok ? compiling.value.issues : [],
  )
  const problemMark = computed(() => compiled.value && fingerprint(compiled.value.problem))
  /** What is kept of planning; a plan that the checker refuses, from wherever it came, is none. */
  const kept = computed(() => {
    const there = data.value?.kept
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
    const id = session.value?.id
    if (id === undefined) return
    await saving.write(`"${session.value!.name}"`, () =>
      // Read and write in one transaction: another tab may have changed it since.
      database.transaction('rw', database.sessions, async () => {
        const current = await database.sessions.get(id)
        if (current) await database.sessions.put(edit(current))
      }),
    )
  }

  return {
    ready,
    session,
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
  }
}
