import { proxy, type Remote } from 'comlink'
import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import type { Planner } from '~/workers/planner.worker'
import { workTogether, type Team } from '~/workers/planners'

/**
 * Something that is tried out in a worker, one thing after another: how many of how many are done, a way to
 * stop with what was found by then, what was found so far where the work tells it, and what came of it, which is forgotten as soon as what it is about has
 * changed.
 *
 * @param about what it is about: a new value makes what was found worthless
 */
export function useTrying<T>(
  about: () => unknown,
  work: (
    planner: Remote<Planner>,
    onTry: (done: number, of: number, soFar?: unknown) => void,
  ) => Promise<T>,
) {
  const tried = ref<[number, number]>()
  const found = shallowRef<T>()
  let team: Team<T> | undefined
  const end = () => {
    team?.end()
    team = undefined
    tried.value = undefined
  }
  onScopeDispose(end)
  watch(about, () => {
    end()
    found.value = undefined
  })
  /** Begins, with so many things to try as far as is known. */
  async function ask(of = 1): Promise<void> {
    end()
    found.value = undefined
    tried.value = [0, of]
    const own: Team<T> = workTogether(1, (planner) =>
      work(
        planner,
        proxy((done: number, all: number, soFar?: unknown) => {
          if (team !== own) return
          tried.value = [done, all]
          if (soFar !== undefined) found.value = soFar as T
        }),
      ),
    )
    team = own
    const result = await own.result
    if (!result || team !== own) return
    found.value = result[0]
    end()
  }
  return { tried, found, ask, stop: () => team?.stop() }
}
