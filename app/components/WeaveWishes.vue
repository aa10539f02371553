<script setup lang="ts">
import { mdiPin } from '@mdi/js'
import { differenceInSeconds, parseISO } from 'date-fns'
import { computed } from 'vue'
import { wishText } from '~~/core/advice'
import type { Kitchen } from '~~/core/kitchen'
import { sameWish, type CompiledSession, type Session, type Wish } from '~~/core/session'
import type { Column } from '~/composables/useWeave'
import { speakingOf } from '~/composables/useWish'

interface Block {
  activity?: string | undefined
  x: number
  top: number
}
/** What of the plan is the cook's own will: a pin at each step, and the time that is kept free. */
const props = defineProps<{
  session: Session
  kitchen: Kitchen
  compiled: CompiledSession
  columns: readonly Column[]
  hands: readonly (Block & { width: number })[]
  stretches: readonly Block[]
  y: (seconds: number) => number
  end: number
}>()

const kept = computed(() =>
  (props.session.wishes ?? []).filter((w) => !props.compiled.idle.some((o) => sameWish(o, w))),
)
const words = (wish: Wish) => wishText(wish, speakingOf(props.compiled, props.kitchen))
/** Ids of the steps that a wish is about. */
const stepsOf = (wish: Wish) => [
  ...('step' in wish ? [wish.step] : []),
  ...('other' in wish ? [wish.other] : []),
]
const pins = computed(() => {
  const wanted = new Map<string, string[]>()
  for (const w of kept.value)
    for (const id of stepsOf(w)) wanted.set(id, [...(wanted.get(id) ?? []), words(w)])
  const of = (blocks: readonly Block[]) => {
    const seen = new Set<string>()
    return blocks.flatMap((b) => {
      const said = b.activity === undefined ? undefined : wanted.get(b.activity)
      if (!said || seen.has(b.activity!)) return []
      seen.add(b.activity!)
      return [{ key: `${b.activity} ${b.x}`, x: b.x, top: b.top, text: said.join('. ') }]
    })
  }
  return [
    ...of(props.hands.map((h) => ({ ...h, x: h.x + h.width - 11 }))),
    ...of(props.stretches.map((s) => ({ ...s, x: s.x + 3 }))),
  ]
})
const seconds = (iso: string) => differenceInSeconds(parseISO(iso), parseISO(props.session.start))
const spans = computed(() =>
  kept.value.flatMap((w) => {
    if (w.kind !== 'free' && w.kind !== 'closed') return []
    const column = props.columns.find((c) => c.id === (w.kind === 'free' ? w.cook : w.place))
    const from = Math.max(0, seconds(w.from))
    const until = Math.min(props.end, seconds(w.until))
    if (!column || until <= from) return []
    const [top, bottom] = [props.y(from), props.y(until)]
    return [
      { key: JSON.stringify(w), column, top, bottom, free: w.kind === 'free', text: words(w) },
    ]
  }),
)
</script>

<template>
  <g>
    <g v-for="s in spans" :key="s.key" data-test="wished">
      <title>As you want it: {{ s.text }}</title>
      <rect
        :x="s.column.x"
        :y="s.top"
        :width="s.column.width"
        :height="s.bottom - s.top"
        rx="3"
        class="own"
      />
      <text v-if="s.free && s.bottom - s.top > 12" :x="s.column.x + 8" :y="s.top + 11">free</text>
    </g>
    <g
      v-for="p in pins"
      :key="p.key"
      :transform="`translate(${p.x} ${p.top - 1}) scale(0.5)`"
      data-test="wished"
    >
      <title>As you want it: {{ p.text }}</title>
      <circle cx="12" cy="12" r="12" class="under" />
      <path :d="mdiPin" class="pin" />
    </g>
  </g>
</template>

<style scoped>
text {
  fill: rgb(var(--v-theme-primary));
  font-family: var(--text);
  font-size: 10.5px;
  font-weight: 650;
}
.own {
  fill: rgb(var(--v-theme-primary));
  fill-opacity: 0.07;
  stroke: rgb(var(--v-theme-primary));
  stroke-dasharray: 4 3;
}
.under {
  fill: rgb(var(--v-theme-surface));
}
.pin {
  fill: rgb(var(--v-theme-primary));
}
</style>
