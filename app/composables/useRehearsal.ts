import { proxy } from 'comlink'
import { onScopeDispose, ref, shallowRef, watch, type Ref } from 'vue'
import type { Plan } from '~~/core/plan'
import { quantile, type Policy, type Rehearsal } from '~~/core/rehearsal'
import type { CompiledSession } from '~~/core/session'
import { plain } from './plain'
import { workTogether, type Team } from '~/workers/planners'

/** Runs where the order of the plan is kept, and where it is planned anew: each of those is planned many times. */
export const RUNS = { follow: 1000, replan: 20 } as const
const SLICE = { follow: 50, replan: 1 } as const

/** When people will be finished by a rehearsal: in half of all runs, and in nine of ten. */
export const honest = ({ finishes }: Rehearsal) => ({
  half: quantile(finishes, 0.5),
  most: quantile(finishes, 0.9),
})

/** The plan on the page rehearsed in a worker, as soon as it is no longer being worked on. */
export function useRehearsal(input: {
  plan: Ref<Plan | undefined>
  compiled: Ref<CompiledSession | undefined>
  /** Whether it is left as it is: neither planning nor a plan that breaks something. */
  settled: Ref<boolean>
}) {
  const follow = shallowRef<Rehearsal>()
  const replan = shallowRef<Rehearsal>()
  const running = ref<Policy>()
  let team: Team<Rehearsal> | undefined

  async function rehearse(policy: 'follow' | 'replan'): Promise<void> {
    const [plan, compiled] = [input.plan.value, input.compiled.value]
    if (!plan || !compiled) return
    end()
    running.value = policy
    const [problem, copy] = [plain(compiled.problem), plain(plan)]
    const options = { runs: RUNS[policy], slice: SLICE[policy], seed: 1, policy }
    const mine = workTogether(1, (planner) =>
      planner.rehearse(
        problem,
        copy,
        options,
        proxy((so: Rehearsal) => {
          if (policy === 'replan' && team === mine) replan.value = so
        }),
      ),
    )
    team = mine
    const found = await mine.result.catch(() => undefined)
    if (team !== mine) return
    team = running.value = undefined
    if (found) (policy === 'follow' ? follow : replan).value = found[0]
  }

  function end(): void {
    team?.end()
    team = running.value = undefined
  }
  onScopeDispose(end)

  watch(
    [input.plan, input.settled],
    () => {
      end()
      follow.value = replan.value = undefined
      if (input.settled.value && input.plan.value?.activities.length) void rehearse('follow')
    },
    // At once, so that its planner is given back before the next planning asks for some.
    { immediate: true, flush: 'sync' },
  )
  return { follow, replan, running, rehearse, stop: () => team?.stop() }
}
