<script setup lang="ts">
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  Tooltip,
  type ChartConfiguration,
} from 'chart.js'
import { onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue'
import { useTheme } from 'vuetify'

/** A chart of bars in the colours of the page; what it shows stands in words beside it. */
Chart.register(BarController, BarElement, CategoryScale, LinearScale, Legend, Tooltip)

type Bars = ChartConfiguration<'bar', (number | [number, number])[], string>
const props = defineProps<{
  name: string
  labels: string[]
  datasets: Bars['data']['datasets']
  options: NonNullable<Bars['options']>
  height: number
}>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const theme = useTheme()
let chart: Chart<'bar', (number | [number, number])[], string> | undefined

function draw() {
  if (!canvas.value) return
  Chart.defaults.color = theme.current.value.colors['on-surface'] as string
  Chart.defaults.font.family = getComputedStyle(document.body).fontFamily
  Chart.defaults.font.size = 13
  chart?.destroy()
  chart = new Chart(canvas.value, {
    type: 'bar',
    data: { labels: props.labels, datasets: props.datasets },
    options: { ...props.options, animation: false, maintainAspectRatio: false },
  })
}
onMounted(draw)
watch([() => [props.labels, props.datasets, props.options], () => theme.name.value], draw)
onBeforeUnmount(() => chart?.destroy())
</script>

<template>
  <div :style="{ height: `${height}px` }">
    <canvas ref="canvas" role="img" :aria-label="name" />
  </div>
</template>
