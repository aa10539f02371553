<script setup lang="ts">
import { computed } from 'vue'
import { dishLook } from '~/composables/useDishLook'

const props = defineProps<{ mark: string; index: number }>()
const look = computed(() => dishLook(props.index))
</script>

<template>
  <span class="mark" :class="look.texture" :style="{ '--dish': look.colour }" aria-hidden="true">{{
    mark
  }}</span>
</template>

<style scoped>
.mark {
  print-color-adjust: exact;
  display: inline-block;
  min-width: 2.1em;
  padding: 2px 5px;
  border-radius: 5px;
  background: var(--dish);
  color: #fff;
  font-size: 0.8rem;
  font-weight: 700;
  text-align: center;
  box-shadow: inset 0 -5px 0 -1px rgb(255 255 255 / 0);
  border-bottom: 4px solid var(--dish);
}
.slant {
  border-bottom-style: double;
  border-bottom-color: #fff;
}
.dots {
  border-bottom-style: dotted;
  border-bottom-color: #fff;
}
.bars {
  border-bottom-style: dashed;
  border-bottom-color: #fff;
}
</style>
