import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import { betterPlan, type KeptPlan } from '~~/core/household'
import type { Problem } from '~~/core/problem'
import { database } from '~/database/database'
import type { PlanningProgress, PlanningResult } from '~/workers/planner.worker'
import { planTogether } from '~/workers/planTogether'

/** How long a plan is worked on by itself, in seconds. */
const SECONDS = 20

let current: ReturnType<typeof planTogether> | undefined
let turn = 0

const keep = (session: string, mark: string, result: PlanningResult): KeptPlan => ({
  session,
  problem: mark,
  plan: result.plan,
  boundBy: result.boundBy,
  oneByOne: result.oneByOne ?? null,
})

/** The planning that is under way, if any; its result goes to the database. */
export const usePlanning = defineStore('planning', () => {
  const running = ref(false)
  const progress = shallowRef<PlanningProgress>()
  const failure = ref<string>()
  const seconds = ref(SECONDS)
  /** The best plan of the run under way, to look at meanwhile. */
  const preview = shallowRef<KeptPlan>()

  async function plan(session: string, problem: Problem, mark: string, seed = 1): Promise<void> {
    const mine = ++turn
    // An earlier run is of no use any more; fresh workers are quicker than waiting for it.
    current?.end()
    running.value = true
    progress.value = undefined
    preview.value = undefined
    failure.value = undefined
    current = planTogether(
      JSON.parse(JSON.stringify(problem)) as Problem,
      { seconds: seconds.value, seed },
      (result) => keep(session, mark, result),
      (p) => {
        if (mine !== turn) return
        progress.value = p
        if (p.better)
          preview.value = {
            ...keep(session, mark, p.better),
            oneByOne: p.better.oneByOne ?? preview.value?.oneByOne ?? null,
          }
      },
    )
    try {
      const now = await current.result
      if (mine !== turn) return
      if (now.plan.status === 'unknown')
        failure.value =
          'No plan turned up in the time there was. Plan again, or make the session smaller.'
      await database.transaction('rw', database.plans, async () => {
        await database.plans.put(betterPlan(await database.plans.get(session), now))
      })
    } catch (error) {
      if (mine === turn) failure.value = error instanceof Error ? error.message : String(error)
    } finally {
      if (mine === turn) running.value = false
    }
  }

  function stop(): void {
    current?.stop()
  }

  return { running, progress, preview, failure, seconds, plan, stop }
})
