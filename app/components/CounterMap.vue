<script setup lang="ts">
import { computed } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import type { SetOutDish } from '~~/core/setout'
import { dishLook } from '~/composables/useDishLook'

/**
 * The counter from above, as it is laid: boards in front of the cook, and behind them a place for each dish
 * from left to right in the order in which it is wanted.
 */
const props = defineProps<{
  dishes: readonly SetOutDish[]
  kitchen: Kitchen
  order: readonly string[]
  isDone: (mark: string) => boolean
}>()
const [PLACE, HIGH, ROW] = [104, 62, 7]
const boards = computed(() =>
  props.kitchen.stations.filter((s) => s.kind === 'board' && !s.outOfUse).map((s) => s.name),
)
const rows = computed(() => Math.ceil(props.dishes.length / ROW))
const width = computed(() => Math.min(ROW, Math.max(3, props.dishes.length)) * PLACE + 16)
const height = computed(() => rows.value * HIGH + 62)
const places = computed(() =>
  props.dishes.map((d, k) => {
    const there = d.items.filter((i) => props.isDone(`out:${i.id}`)).length
    return {
      ...dishLook(Math.max(0, props.order.indexOf(d.dish))),
      dish: d,
      x: 8 + (k % ROW) * PLACE,
      y: 8 + Math.floor(k / ROW) * HIGH,
      there,
      full: there === d.items.length,
    }
  }),
)
const words = computed(
  () =>
    `The counter: ${props.dishes.map((d, k) => `place ${k + 1} ${d.name}`).join(', ')}; in front ${boards.value.join(', ')}`,
)
</script>

<template>
  <svg
    class="counter"
    :viewBox="`0 0 ${width} ${height}`"
    :style="{ maxWidth: `${width}px` }"
    role="img"
    :aria-label="words"
  >
    <rect class="top" x="1" y="1" :width="width - 2" :height="height - 2" rx="8" />
    <g v-for="p in places" :key="p.dish.dish">
      <rect
        class="place"
        :class="{ full: p.full }"
        :x="p.x + 3"
        :y="p.y"
        :width="PLACE - 8"
        :height="HIGH - 10"
        rx="6"
        :stroke="p.colour"
      />
      <rect :x="p.x + 3" :y="p.y" :width="PLACE - 8" height="6" :fill="p.colour" />
      <text :x="p.x + 12" :y="p.y + 28" class="mark">{{ p.dish.mark }}</text>
      <text :x="p.x + PLACE - 14" :y="p.y + 28" text-anchor="end" class="small">
        {{ p.there }} of {{ p.dish.items.length }}
      </text>
      <text v-if="p.dish.packs" :x="p.x + 12" :y="p.y + 45" class="small">
        {{ p.dish.packs }} to pack
      </text>
    </g>
    <g v-for="(b, k) in boards" :key="b">
      <rect class="board" :x="8 + k * 150" :y="height - 46" width="140" height="36" rx="4" />
      <text :x="8 + k * 150 + 70" :y="height - 23" text-anchor="middle" class="small">{{ b }}</text>
    </g>
  </svg>
</template>

<style scoped>
.counter {
  display: block;
  width: 100%;
  margin: 8px 0;
}
.top {
  fill: rgb(var(--v-theme-surface));
  stroke: var(--hair);
}
.place {
  fill: rgb(var(--v-theme-background));
  stroke-dasharray: 5 4;
}
.place.full {
  stroke-dasharray: none;
  stroke-width: 2.5;
}
.board {
  fill: none;
  stroke: currentColor;
  opacity: 0.7;
}
text {
  fill: currentColor;
}
.mark {
  font-size: 17px;
  font-weight: 700;
}
.small {
  font-size: 12px;
}
</style>
