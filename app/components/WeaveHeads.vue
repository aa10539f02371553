<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Column } from '~/composables/useWeave'

/** The cooks and places over their strands; each can be followed. */
const props = defineProps<{ columns: Column[]; width: number; kept: string | undefined }>()
const emit = defineEmits<{ look: [id: string | undefined]; keep: [id: string] }>()
const groups = computed(() => {
  const out: { name: string; x: number; width: number }[] = []
  for (const c of props.columns) {
    const last = out[out.length - 1]
    if (last?.name === c.group) last.width = c.x + c.width - last.x
    else out.push({ name: c.group, x: c.x, width: c.width })
  }
  return out
})

/** One stop for the Tab key; the arrows go from one to the next. */
const bar = ref<SVGElement>()
const at = ref(0)
function enter(i: number) {
  at.value = i
  emit('look', props.columns[i]!.id)
}
function go(by: number) {
  const all = bar.value!.querySelectorAll<SVGTextElement>('[role=button]')
  all[(at.value + by + all.length) % all.length]!.focus()
}
</script>

<template>
  <svg
    ref="bar"
    class="heads"
    :width="width"
    height="96"
    :viewBox="`0 0 ${width} 96`"
    role="toolbar"
    aria-label="Follow a cook or a place"
    @keydown.right.prevent="go(1)"
    @keydown.left.prevent="go(-1)"
  >
    <g v-for="g in groups" :key="g.name + g.x">
      <text :x="g.x" y="14" class="group">{{ g.name }}</text>
      <line :x1="g.x" :x2="g.x + g.width" y1="19" y2="19" class="rule" />
    </g>
    <template v-for="(c, i) in columns" :key="c.id">
      <text
        :class="c.group === 'Hands' ? 'name' : 'place'"
        :transform="
          c.group === 'Hands' ? `translate(${c.x + 2},88)` : `translate(${c.x + 12},92) rotate(-58)`
        "
        :tabindex="i === at ? 0 : -1"
        role="button"
        :aria-pressed="kept === c.id"
        @mouseenter="emit('look', c.id)"
        @mouseleave="emit('look', undefined)"
        @focus="enter(i)"
        @blur="emit('look', undefined)"
        @click="emit('keep', c.id)"
        @keydown.enter.space.prevent="emit('keep', c.id)"
      >
        {{ c.name }}
      </text>
    </template>
  </svg>
</template>

<style scoped src="./weave.css"></style>
