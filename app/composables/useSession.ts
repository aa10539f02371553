import { computed } from 'vue'
import { fingerprint } from '~~/core/problem'
import type { Issue } from '~~/core/reading'
import { compileSession, type CompiledSession, type Session } from '~~/core/session'
import { database } from '~/database/database'
import { useLive } from './useLive'

/**
 * The open session with its kitchen, recipes, compiled problem and kept plan, all live from
 * the database; `ready` once they are there. Changes go through `change` and are saved at once.
 */
export function useSession() {
  const data = useLive(async () => {
    const session = await database.sessions.toCollection().first()
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
  const kept = computed(() => data.value?.kept)

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
  /** The kept plan, where it is for the session as it stands now and has something in it. */
  const plan = computed(() =>
    kept.value && kept.value.problem === problemMark.value && kept.value.plan.activities.length
      ? kept.value.plan
      : undefined,
  )

  async function change(edit: (session: Session) => Session): Promise<void> {
    const id = session.value?.id
    if (id === undefined) return
    // Read and write in one transaction: another tab may have changed it since.
    await database.transaction('rw', database.sessions, async () => {
      const current = await database.sessions.get(id)
      if (current) await database.sessions.put(edit(current))
    })
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
    change,
  }
}
