import { computed, type Ref } from 'vue'
import { instructions, type Instruction } from '~~/core/guide'
import type { Kitchen } from '~~/core/kitchen'
import type { Plan } from '~~/core/plan'
import type { CompiledSession, Session } from '~~/core/session'
import { clockTime } from './useClock'
import { said, setTo, timeOf } from './useMeasures'

/** Everything that the cooks of a session are told, by its clock; nothing while there is no plan. */
export function useTelling(input: {
  session: Ref<Session | undefined>
  kitchen: Ref<Kitchen | undefined>
  compiled: Ref<CompiledSession | undefined>
  plan: Ref<Plan | undefined>
  /** When it really began, in milliseconds since the epoch, where it has. */
  startedAt?: Ref<number | undefined>
}) {
  return computed<Instruction[]>(() => {
    const [session, kitchen] = [input.session.value, input.kitchen.value]
    const [compiled, plan] = [input.compiled.value, input.plan.value]
    if (!session || !kitchen || !compiled || !plan) return []
    const began = input.startedAt?.value
    const clock = (seconds: number) =>
      began === undefined
        ? clockTime(session.start, seconds)
        : timeOf(new Date(began + seconds * 1000))
    return instructions(plan, compiled, kitchen, { clock, dial: setTo }).map((line) => ({
      ...line,
      text: said(line.text),
      amounts: line.amounts.map(said),
      ...(line.caution === undefined ? {} : { caution: said(line.caution) }),
    }))
  })
}
