<script setup lang="ts">
import type { LoomRow } from '~~/core/board'
import { dishLook } from '~/composables/useDishLook'

/** The threads of all dishes as they pass one sitting or evening. */
const props = defineProps<{
  row: LoomRow
  order: readonly string[]
  /** How each cell is read out. */
  words: (dish: string) => string
  /** The dish whose cell takes the focus in this row, if any. */
  focused: string | undefined
  moved: string | undefined
}>()
const emit = defineEmits<{
  act: [dish: string]
  focus: [dish: string]
  grab: [dish: string, event: PointerEvent]
  key: [dish: string, event: KeyboardEvent]
}>()
const look = (dish: string) => dishLook(Math.max(0, props.order.indexOf(dish)))
</script>

<template>
  <div class="cells" role="group" :aria-label="row.name">
    <span
      v-for="c in row.cells"
      :key="c.dish"
      role="button"
      :aria-pressed="row.kind === 'evening' ? c.eaten : undefined"
      class="cell"
      :class="[look(c.dish).texture, { grabbed: moved === c.dish }]"
      :style="{ '--dish': look(c.dish).colour }"
      :tabindex="focused === c.dish ? 0 : -1"
      :aria-label="words(c.dish)"
      :title="words(c.dish)"
      :data-row="row.id"
      :data-dish="c.dish"
      @click="emit('act', c.dish)"
      @focus="emit('focus', c.dish)"
      @keydown="emit('key', c.dish, $event)"
      @pointerdown="emit('grab', c.dish, $event)"
    >
      <i class="line" :class="c.before" />
      <i class="line below" :class="c.after" />
      <b v-if="c.steps.length" class="knot" />
      <b v-else-if="c.eaten" class="plate" />
    </span>
  </div>
</template>

<style scoped>
.cells {
  display: flex;
  align-self: stretch;
}
.cell {
  position: relative;
  width: 34px;
  min-height: 44px;
  cursor: pointer;
  touch-action: none;
}
.cell:hover {
  background: var(--hair);
}
.line {
  position: absolute;
  top: -2px;
  left: 14px;
  width: 6px;
  height: calc(50% + 2px);
  background: var(--dish);
}
.line.below {
  top: 50%;
}
.line.nothing {
  background: none;
}
/* What lies in the freezer is beaded, what goes on or waits between two sittings thin. */
.line.freezer {
  background: radial-gradient(circle at 3px 4px, var(--dish) 2.6px, transparent 3px) 0 0 / 6px 9px;
}
.line.parted,
.line.shelf {
  left: 16px;
  width: 2px;
}
.knot,
.plate {
  position: absolute;
  top: 50%;
  left: 17px;
  translate: -50% -50%;
}
.knot {
  width: 18px;
  height: 18px;
  rotate: 45deg;
  background: var(--dish);
}
.plate {
  width: 20px;
  height: 20px;
  border: 5px solid var(--dish);
  border-radius: 50%;
  background: rgb(var(--v-theme-surface));
}
.slant .knot {
  border-right: 4px double #fff;
}
.dots .knot {
  border-right: 4px dotted #fff;
}
.bars .knot {
  border-right: 4px dashed #fff;
}
.grabbed .plate {
  border-style: dashed;
}
</style>
