import { computed, watch } from 'vue'
import { betterPlan, type KeptPlan } from '~~/core/household'
import { usePlanning } from '~/stores/planning'
import type { useSession } from './useSession'

/**
 * The plan to look at: the kept one, or the best so far of the run under way; never one of another
 * session. A session without a plan of its own gets one at once: any change makes another problem.
 */
/** The plan that is to be looked at, the one that breaks least where none keeps everything. */
function planIn(kept: KeptPlan): KeptPlan | undefined {
  if (kept.plan.activities.length) return kept
  return kept.least && { ...kept, plan: kept.least.plan }
}

export function usePlanShown({
  session,
  kept,
  compiled,
  problemMark,
  cooking,
}: Pick<
  ReturnType<typeof useSession>,
  'session' | 'kept' | 'compiled' | 'problemMark' | 'cooking'
>) {
  const planning = usePlanning()
  const shown = computed(() => {
    const fits = (kept: KeptPlan | undefined) =>
      kept && kept.problem === problemMark.value ? planIn(kept) : undefined
    const [there, found] = [planning.running ? undefined : fits(kept.value), fits(planning.preview)]
    // For a moment after a run its plan is on its way to the database and back.
    if (!there || !found) return there ?? found
    return betterPlan(there, found)
  })

  function planNow(seed = 1) {
    if (!session.value || !compiled.value || problemMark.value === undefined) return
    // Who steers has the plan in mind: what nobody asked to be changed stays as it is.
    const known = session.value.wishes?.length ? kept.value?.plan : undefined
    const previous = known?.activities.length ? known : undefined
    void planning.plan(session.value.id, compiled.value.problem, problemMark.value, {
      seed,
      previous,
    })
  }
  // What was proven infeasible is kept too and not tried again.
  watch(
    problemMark,
    (mark) => {
      // A plan of what the session was before is of no use to one that cannot be planned.
      if (mark === undefined) {
        if (session.value) planning.stop()
      } else if (planning.running && planning.about === mark) {
        // Another page has begun with it.
      } else if (kept.value?.problem !== mark) {
        // What was planned a moment ago and is wanted again is there already.
        if (session.value && planning.recall(session.value.id, compiled.value!.problem, mark))
          planning.drop()
        else planNow()
      } else {
        planning.drop()
        // The next change is planned as fast as if there had been one before.
        if (!cooking.value) planning.warmUp(compiled.value!.problem)
      }
    },
    { immediate: true },
  )
  return { shown, planNow }
}
