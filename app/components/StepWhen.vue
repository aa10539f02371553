<script setup lang="ts">
import { computed } from 'vue'
import { named, onlyWhen, whenOf, type Recipe, type Step } from '~~/core/recipe'
import { useFields, type Change } from '~/composables/useFields'

const props = defineProps<{ recipe: Recipe; step: Step; change: Change<Recipe> }>()
const { errors, apply } = useFields<Recipe>((edit) => props.change(edit))
const when = computed(() => whenOf(props.recipe, props.step.id))
const value = computed(() => (when.value ? `${when.value.route.id} ${when.value.option.id}` : ''))

function choose(key: string) {
  const [route, option] = key.split(' ')
  void apply('when', (r) =>
    onlyWhen(r, props.step.id, route && option ? { route, option } : undefined),
  )
}
const rename = (label: string) =>
  apply('when', (r) => named(r, when.value!.route.id, when.value!.option.id, label.trim()))
</script>

<template>
  <div v-if="recipe.routes.length" class="when">
    <label class="named">
      This is done
      <select
        class="inset"
        :value="value"
        @change="choose(($event.target as HTMLSelectElement).value)"
      >
        <option value="">always</option>
        <template v-for="r in recipe.routes" :key="r.id">
          <option v-for="o in r.options" :key="o.id" :value="`${r.id} ${o.id}`">
            when cooked {{ o.label }}
          </option>
        </template>
      </select>
    </label>
    <label v-if="when" class="named">
      That way is called
      <TypedField class="inset" :value="when.option.label" @commit="rename" />
    </label>
    <p v-if="errors.when" class="wrong" role="alert">{{ errors.when }}</p>
  </div>
</template>

<style scoped>
.when {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
