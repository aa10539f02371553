<script setup lang="ts">
import { computed } from 'vue'
import { useTheme } from 'vuetify'
import type { Rehearsal } from '~~/core/rehearsal'
import type { CompiledSession, Session } from '~~/core/session'
import { clockTime } from '~/composables/useClock'

/** When everything is finished, in how many of a hundred runs, and when each dish is done. */
const props = defineProps<{
  session: Session
  compiled: CompiledSession
  follow: Rehearsal
  replan: Rehearsal | undefined
}>()
const theme = useTheme()
const clock = (seconds: number) => clockTime(props.session.start, seconds)
const colour = (name: string) => theme.current.value.colors[name] as string

/** Seconds of a bar: at least five minutes, and not so many bars that none is seen. */
const MOST_BARS = 24
const bins = computed(() => {
  const all = [props.follow, props.replan].flatMap((r) => r?.finishes ?? [])
  const [from, to] = [Math.min(...all), Math.max(...all)]
  const width = 300 * Math.max(1, Math.ceil((to - from) / 300 / MOST_BARS))
  const first = Math.floor(from / width) * width
  const count = Math.floor((to - first) / width) + 1
  const sharesOf = (r: Rehearsal) => {
    const shares = new Array<number>(count).fill(0)
    for (const f of r.finishes) shares[Math.floor((f - first) / width)]! += 100 / r.runs
    return shares
  }
  return { labels: shares(count, first, width), sharesOf }
})
const shares = (count: number, first: number, width: number) =>
  Array.from({ length: count }, (_, i) => clock(first + i * width))

const finishes = computed(() => [
  {
    label: 'in the plan’s order',
    data: bins.value.sharesOf(props.follow),
    backgroundColor: colour('primary'),
  },
  ...(props.replan
    ? [
        {
          label: 'planned anew on the way',
          data: bins.value.sharesOf(props.replan),
          backgroundColor: colour('warning'),
        },
      ]
    : []),
])
const finishOptions = computed(() => ({
  scales: {
    x: { grid: { display: false }, title: { display: true, text: 'finished at' } },
    y: { title: { display: true, text: 'of 100 runs' }, beginAtZero: true },
  },
  plugins: { legend: { display: props.replan !== undefined } },
}))

const dishes = computed(() => props.follow.dishes.toSorted((a, b) => a.most - b.most))
const nameOf = (id: string) => props.compiled.dishes.find((d) => d.id === id)?.name ?? id
const done = computed(() => [
  {
    label: 'by the plan until nine times in ten',
    data: dishes.value.map((d): [number, number] => [d.planned, Math.max(d.planned + 60, d.most)]),
    backgroundColor: colour('primary'),
    borderSkipped: false,
    barThickness: 12,
  },
])
const doneOptions = computed(() => ({
  indexAxis: 'y' as const,
  scales: {
    x: {
      min: Math.floor(Math.min(...dishes.value.map((d) => d.planned)) / 1800) * 1800,
      ticks: { stepSize: 1800, callback: (v: string | number) => clock(Number(v)) },
    },
    y: { grid: { display: false } },
  },
  plugins: { legend: { display: false }, tooltip: { enabled: false } },
}))
</script>

<template>
  <div class="charts">
    <figure>
      <figcaption>When everything is finished</figcaption>
      <ChartFrame
        name="When everything is finished, in how many of a hundred runs"
        :labels="bins.labels"
        :datasets="finishes"
        :options="finishOptions"
        :height="230"
        data-test="finish-chart"
      />
    </figure>
    <figure>
      <figcaption>When each dish is done: by the plan, until nine times in ten</figcaption>
      <ChartFrame
        name="When each dish is done, from the plan to nine times in ten"
        :labels="dishes.map((d) => nameOf(d.dish))"
        :datasets="done"
        :options="doneOptions"
        :height="60 + 24 * dishes.length"
      />
    </figure>
  </div>
</template>

<style scoped>
.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 20px 40px;
  margin-top: 14px;
}
figure {
  min-width: 0;
  margin: 0;
}
figcaption {
  margin-bottom: 6px;
  font-size: 0.9rem;
  color: var(--quiet);
}
</style>
