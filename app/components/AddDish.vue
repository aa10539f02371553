<script setup lang="ts">
import { computed } from 'vue'
import type { Recipe } from '~~/core/recipe'
import type { Session } from '~~/core/session'

const props = defineProps<{ session: Session; recipes: Recipe[] }>()
const emit = defineEmits<{ add: [recipe: string] }>()
/** A base joins by itself where a dish takes from it. */
const toAdd = computed(() =>
  props.recipes.filter((r) => !r.base && !props.session.dishes.some((d) => d.recipe === r.id)),
)
function add(event: Event) {
  const list = event.target as HTMLSelectElement
  if (list.value) emit('add', list.value)
  list.value = ''
}
</script>

<template>
  <label v-if="toAdd.length" class="add"
    >Add a dish
    <select class="inset" :value="''" @change="add">
      <option value="">choose …</option>
      <option v-for="r in toAdd" :key="r.id" :value="r.id">{{ r.name }}</option>
    </select>
  </label>
  <p v-else-if="!recipes.length" class="quiet">
    No recipes yet: <NuxtLink to="/recipes">bring one in</NuxtLink>.
  </p>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: center;
  margin-top: 10px;
  font-size: 0.9rem;
}
.inset {
  flex: 1;
  min-width: 10em;
}
</style>
