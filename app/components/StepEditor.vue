<script setup lang="ts">
import { computed, ref } from 'vue'
import { WORK_KINDS, type Recipe, type Step } from '~~/core/recipe'
import { useFields, type Change } from '~/composables/useFields'
import { WORK_WORDS } from '~/composables/useWords'

const props = defineProps<{
  recipe: Recipe
  step: Step
  change: Change<Step>
  changeRecipe: Change<Recipe>
}>()
const emit = defineEmits<{ remove: []; insert: []; instead: [] }>()
const { errors, apply } = useFields<Step>((edit) => props.change(edit))

const chosen = ref(0)
const way = computed(() => props.step.ways[Math.min(chosen.value, props.step.ways.length - 1)]!)
const HYGIENE: { value: NonNullable<Step['hygiene']> | ''; title: string }[] = [
  { value: '', title: 'as this work usually is' },
  { value: 'raw', title: 'raw meat, fish or egg' },
  { value: 'produce', title: 'vegetables and fruit' },
  { value: 'ready', title: 'food that is eaten as it is' },
  { value: 'neutral', title: 'nothing that matters' },
]
const KINDS_OF_WORK = WORK_KINDS.map((value) => ({ value, title: WORK_WORDS[value] }))

function nameWay(label: string) {
  const { id } = way.value
  void apply('ways', (s) => ({
    ...s,
    ways: s.ways.map((w) => (w.id === id ? { ...w, label: label || 'one way' } : w)),
  }))
}
function addWay() {
  const taken = new Set(props.step.ways.map((w) => w.id))
  let n = 2
  while (taken.has(`way-${n}`)) n++
  void apply('ways', (s) => ({
    ...s,
    ways: [...s.ways, { ...way.value, id: `way-${n}`, label: `another way (${n})` }],
  }))
  chosen.value = props.step.ways.length
}
function removeWay() {
  const { id } = way.value
  chosen.value = 0
  void apply('ways', (s) => ({ ...s, ways: s.ways.filter((w) => w.id !== id) }))
}
</script>

<template>
  <div class="editor" :aria-label="`Edit: ${step.do}`" role="group">
    <ul v-if="step.doubts.length" class="bare">
      <li v-for="(doubt, i) in step.doubts" :key="doubt" class="doubt">
        <span>{{ doubt }}</span>
        <v-btn
          size="small"
          variant="tonal"
          @click="apply('doubts', (s) => ({ ...s, doubts: s.doubts.filter((_, k) => k !== i) }))"
          >That is right</v-btn
        >
      </li>
    </ul>
    <TypedField
      label="What to do"
      long
      :value="step.do"
      :aria-invalid="!!errors.do"
      @commit="apply('do', (s) => ({ ...s, do: $event }))"
    />
    <p v-if="errors.do" class="wrong" role="alert">{{ errors.do }}</p>
    <div class="fields">
      <PickField
        label="Kind of work"
        :value="step.work"
        :items="KINDS_OF_WORK"
        @pick="apply('work', (s) => ({ ...s, work: $event }))"
      />
      <PickField
        label="Hands are on"
        :value="step.hygiene ?? ''"
        :items="HYGIENE"
        @pick="apply('hygiene', (s) => ({ ...s, hygiene: $event || undefined }))"
      />
      <TypedField
        v-if="step.ways.length > 1"
        label="This way is called"
        :value="way.label"
        @commit="nameWay"
      />
    </div>
    <v-btn-toggle
      v-if="step.ways.length > 1"
      :model-value="way.id"
      mandatory
      density="compact"
      variant="outlined"
      aria-label="Ways to do it"
      @update:model-value="chosen = step.ways.findIndex((w) => w.id === $event)"
    >
      <v-btn v-for="w in step.ways" :key="w.id" :value="w.id" size="small">
        {{ w.label ?? 'as written' }}
      </v-btn>
    </v-btn-toggle>
    <p v-if="errors.ways" class="wrong" role="alert">{{ errors.ways }}</p>
    <WayFields :key="way.id" :recipe="recipe" :step="step" :way="way" :change="change" />
    <StepWaits :recipe="recipe" :step="step" :change="change" />
    <StepAhead :step="step" :change="change" />
    <StepMore :recipe="recipe" :step="step" :change="change" />
    <StepWhen :recipe="recipe" :step="step" :change="changeRecipe" />
    <div class="buttons">
      <v-btn size="small" variant="text" @click="emit('insert')">Add a step after this</v-btn>
      <v-btn size="small" variant="text" @click="addWay">Another way to do it</v-btn>
      <v-btn size="small" variant="text" @click="emit('instead')">Other steps instead</v-btn>
      <v-btn v-if="step.ways.length > 1" size="small" variant="text" @click="removeWay"
        >Without this way</v-btn
      >
      <v-btn
        v-if="recipe.steps.length > 1"
        size="small"
        variant="text"
        color="error"
        @click="emit('remove')"
        >Take the step out</v-btn
      >
    </div>
  </div>
</template>

<style scoped>
.editor {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 14px 16px 8px;
  border-left: 4px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-surface));
}
.fields,
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.doubt {
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
  padding: 4px 0;
  color: rgb(var(--v-theme-error));
}
.fields > * {
  flex: 1 1 200px;
}
</style>
