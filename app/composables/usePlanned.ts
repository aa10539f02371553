import { computed } from 'vue'
import { fingerprint } from '~~/core/problem'
import { compileSession } from '~~/core/session'
import type { useSession } from './useSession'

/** Seconds of the plan of each sitting that has one for what it is now, by the sitting's id. */
export function usePlanned({
  parting,
  kitchen,
  plans,
}: Pick<ReturnType<typeof useSession>, 'parting' | 'kitchen' | 'plans'>) {
  return computed(() => {
    const out = new Map<string, number>()
    for (const { id, session, recipes } of parting.value?.sittings ?? []) {
      const kept = plans.value.find((p) => p.session === session.id)
      if (!kept?.plan.activities.length || !kitchen.value) continue
      const made = compileSession({ session, recipes, kitchen: kitchen.value })
      if (made.ok && fingerprint(made.value.problem) === kept.problem)
        out.set(id, kept.plan.makespan)
    }
    return out
  })
}
