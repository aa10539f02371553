<script setup lang="ts">
import { computed } from 'vue'
import type { Recipe } from '~~/core/recipe'
import type { Session } from '~~/core/session'

const props = defineProps<{ session: Session; recipes: Recipe[] }>()
const emit = defineEmits<{ add: [recipe: string] }>()
/** A base joins by itself where a dish takes from it. */
const toAdd = computed(() =>
  props.recipes
    .filter((r) => !r.base && !props.session.dishes.some((d) => d.recipe === r.id))
    .map((r) => ({ value: r.id, title: r.name })),
)
</script>

<template>
  <PickField
    v-if="toAdd.length"
    class="add"
    :items="toAdd"
    aria-label="Add a dish"
    placeholder="Add a dish …"
    @pick="emit('add', $event)"
  />
  <p v-else-if="!recipes.length" class="quiet">
    No recipes yet: <NuxtLink to="/recipes">bring one in</NuxtLink>.
  </p>
</template>

<style scoped>
.add {
  margin-top: 10px;
}
</style>
