import type { Plan } from '../plan'
import type { Problem } from '../problem'
import { networkOf } from '../rehearsal'

/**
 * Seconds that each activity may begin later with the finish as it is, where everything keeps to the order of
 * the plan and food waits no longer than it may: the total float of the network, 0 on the chain that decides.
 * What goes before it may have to come later with it. What the cold or the night goes on with counts for
 * nobody's finish.
 */
export function slackOf(problem: Problem, plan: Plan): Map<string, number> {
  const net = networkOf(problem, plan)
  const latest = new Float64Array(net.planned.length).fill(plan.makespan)
  net.runs.forEach(({ activity, end }) => {
    if (activity.aside) latest[end] = Infinity
  })
  net.fixed.forEach((fact, i) => {
    if (fact) latest[i] = net.planned[i]!
  })
  let lower = true
  const atMost = (i: number, t: number) => {
    if (t >= latest[i]! || net.fixed[i]) return
    // What the plan has is possible, whatever rounds.
    latest[i] = Math.max(t, net.planned[i]!)
    lower = true
  }
  while (lower) {
    lower = false
    for (let k = net.order.length - 1; k >= 0; k--) {
      const to = net.order[k]!
      for (let j = net.first[to]!; j < net.first[to + 1]!; j++) {
        const draw = net.arcDraw[j]!
        const lag = net.arcLag[j]! + (draw < 0 ? 0 : net.draws[draw]!.seconds)
        if (net.planned[net.arcFrom[j]!]! < latest[net.arcFrom[j]!]!)
          atMost(net.arcFrom[j]!, latest[to]! - lag)
      }
    }
    for (const { from, to, most } of net.limits)
      if (net.planned[to]! < latest[to]!) atMost(to, latest[from]! + most)
  }
  return new Map(
    net.runs.map(({ activity, start, end }) => {
      const room = Math.min(latest[start]! - net.planned[start]!, latest[end]! - net.planned[end]!)
      return [
        activity.id,
        net.fixed[start] ? 0 : Math.max(0, Math.floor(Math.min(room, plan.makespan))),
      ]
    }),
  )
}
