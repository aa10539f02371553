import { computed, type Ref } from 'vue'
import { decidingChain, handworkOf, strandsOf, type Strand } from '~~/core/board'
import type { Kitchen } from '~~/core/kitchen'
import { fitWords } from './fitWords'
import { said } from './useMeasures'
import { ovenSettings, type Plan } from '~~/core/plan'
import type { CompiledSession } from '~~/core/session'
import { dishLook, type DishLook } from './useDishLook'

const AXIS = 46
/** Seconds of what goes on overnight that are drawn. */
const AFTER = 900
const TOP = 8
const LANE = 21
const GAP = 5
const GROUP_GAP = 15
/** A letter of a heading is about so wide. */
const LETTER = 7.5
const HANDS_MOST = 190
const HANDS_LEAST = 92

export interface Column {
  id: string
  name: string
  group: string
  x: number
  width: number
}

const GROUPS: Record<Strand['zone'], string> = {
  bench: 'Bench',
  hob: 'Hob',
  oven: 'Oven',
  appliance: 'Machines',
  standing: 'Standing',
  vessel: 'Vessels',
  cold: 'Cold',
}

/** Where everything of the weave goes, in pixels, for a width and so many pixels a minute. */
export function useWeave(input: {
  plan: Ref<Plan>
  compiled: Ref<CompiledSession>
  kitchen: Ref<Kitchen>
  width: Ref<number>
  perMinute: Ref<number>
}) {
  const { plan, compiled, kitchen } = input
  const y = (seconds: number) => TOP + (seconds / 60) * input.perMinute.value
  const look = (dish: string): DishLook => dishLook(Math.max(0, compiled.value.order.indexOf(dish)))
  const mark = (dish: string) => compiled.value.dishes.find((d) => d.id === dish)?.mark ?? ''

  const handwork = computed(() => handworkOf(plan.value, compiled.value))
  const laid = computed(() => strandsOf(plan.value, compiled.value, kitchen.value))
  /** What goes on all night is drawn no further than a little after the sitting. */
  const end = computed(() => {
    const last = plan.value.makespan + AFTER
    const ends = plan.value.activities.map((a) =>
      compiled.value.cards[a.id]?.beyond ? Math.min(a.end, last) : a.end,
    )
    return Math.max(60, ...ends, ...plan.value.chores.map((c) => c.to))
  })
  const height = computed(() => y(end.value) + 12)

  const columns = computed<Column[]>(() => {
    const cooks = compiled.value.problem.cooks
    const { strands } = laid.value
    const groups = new Set(strands.map((s) => s.zone)).size
    const rest = strands.reduce((sum, s) => sum + s.lanes * LANE + GAP, 0) + groups * GROUP_GAP
    const hands = Math.min(
      HANDS_MOST,
      Math.max(
        HANDS_LEAST,
        (input.width.value - AXIS - rest - 8) / Math.max(1, cooks.length) - GAP,
      ),
    )
    const out: Column[] = []
    let x = AXIS
    for (const cook of cooks) {
      const name = kitchen.value.people.find((p) => p.id === cook.id)?.name ?? cook.id
      out.push({ id: cook.id, name, group: 'Hands', x, width: hands })
      x += hands + GAP
    }
    let zone: Strand['zone'] | undefined
    let began = AXIS
    for (const strand of strands) {
      if (strand.zone !== zone) {
        // Its heading is over its own strands, however few there are.
        const heading = zone ? GROUPS[zone].length * LETTER + GAP : 0
        x = began = Math.max(x + GROUP_GAP, began + heading)
      }
      zone = strand.zone
      out.push({
        id: strand.id,
        name: strand.name,
        group: GROUPS[strand.zone],
        x,
        width: strand.lanes * LANE,
      })
      x += strand.lanes * LANE + GAP
    }
    return out
  })
  const column = (id: string) => columns.value.find((c) => c.id === id)
  const width = computed(() => {
    const last = columns.value[columns.value.length - 1]
    return last ? last.x + last.width + 8 : 200
  })

  const stretches = computed(() =>
    laid.value.stretches.map((s) => {
      const { dish, text } = compiled.value.cards[s.activity]!
      return {
        ...s,
        dish,
        text: said(text),
        look: look(dish),
        mark: mark(dish),
        x: (column(s.strand)?.x ?? 0) + s.lane * LANE + LANE / 2,
        top: y(s.from),
        bottom: y(Math.min(s.to, end.value)),
      }
    }),
  )
  const stretchOf = computed(() => new Map(stretches.value.map((s) => [s.activity, s])))

  const hands = computed(() =>
    handwork.value.map((h) => {
      const at = column(h.cook)!
      return {
        ...h,
        text: said(h.text),
        x: at.x,
        width: at.width,
        top: y(h.from),
        bottom: y(h.to),
        look: h.dish === undefined ? undefined : look(h.dish),
        mark: h.dish === undefined ? '' : mark(h.dish),
        lines: fitWords(said(h.text), at.width - 15, y(h.to) - y(h.from), h.dish !== undefined),
      }
    }),
  )

  /** From one stretch of a dish to the next, and over to the hands that hold it. */
  const threads = computed(() => {
    const out: { key: string; dish: string; path: string; colour: string; thin: boolean }[] = []
    const joined = new Set<string>()
    for (const r of compiled.value.problem.relations) {
      const from = stretchOf.value.get(r.from)
      const to = stretchOf.value.get(r.to)
      const key = `${r.from} ${r.to}`
      if (!from || !to || r.kind !== 'FS' || joined.has(key)) continue
      joined.add(key)
      const bend = Math.min(26, Math.max(6, (to.top - from.bottom) / 2))
      out.push({
        key,
        dish: to.dish,
        colour: from.look.colour,
        thin: from.dish !== to.dish,
        path: `M${from.x},${from.bottom} C${from.x},${from.bottom + bend} ${to.x},${to.top - bend} ${to.x},${to.top}`,
      })
    }
    for (const h of hands.value) {
      const stretch = h.activity === undefined ? undefined : stretchOf.value.get(h.activity)
      if (!stretch || !h.look) continue
      const middle = (h.top + h.bottom) / 2
      const edge = h.x + h.width
      out.push({
        key: h.key,
        dish: stretch.dish,
        colour: h.look.colour,
        thin: false,
        path: `M${edge},${middle} C${edge + 18},${middle} ${stretch.x - 24},${middle} ${stretch.x},${middle}`,
      })
    }
    return out
  })

  const ovens = computed(() =>
    ovenSettings(compiled.value.problem, plan.value).flatMap((o) => {
      const at = column(o.station)
      return at
        ? [{ ...o, x: at.x, width: at.width, top: y(o.from), bottom: y(o.to), set: y(o.setAt) }]
        : []
    }),
  )

  /** The hairline: down each link, across to the next. */
  const hairline = computed(() => {
    const points = decidingChain(compiled.value, plan.value).flatMap((link) => {
      const s = stretchOf.value.get(link.activity)
      return s ? [`${s.x},${s.top}`, `${s.x},${s.bottom}`] : []
    })
    return points.join(' ')
  })

  return { columns, width, height, y, end, stretches, hands, threads, ovens, hairline }
}
