<script setup lang="ts">
import { computed } from 'vue'
import { named, onlyWhen, whenOf, type Recipe, type Step } from '~~/core/recipe'
import { useFields, type Change } from '~/composables/useFields'

const props = defineProps<{ recipe: Recipe; step: Step; change: Change<Recipe> }>()
const { errors, apply } = useFields<Recipe>((edit) => props.change(edit))
const when = computed(() => whenOf(props.recipe, props.step.id))
const value = computed(() => (when.value ? `${when.value.route.id} ${when.value.option.id}` : ''))

const options = computed(() => [
  { value: '', title: 'always' },
  ...props.recipe.routes.flatMap((r) =>
    r.options.map((o) => ({ value: `${r.id} ${o.id}`, title: `when cooked ${o.label}` })),
  ),
])

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
    <PickField label="This is done" :value="value" :items="options" @pick="choose" />
    <TypedField
      v-if="when"
      label="That way is called"
      :value="when.option.label"
      @commit="rename"
    />
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
