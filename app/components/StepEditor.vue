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
const HYGIENE = {
  raw: 'raw meat, fish or egg',
  produce: 'vegetables and fruit',
  ready: 'food that is eaten as it is',
  neutral: 'nothing that matters',
}

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
const chosenIn = (event: Event) => (event.target as HTMLSelectElement).value
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
          >It is right</v-btn
        >
      </li>
    </ul>
    <label class="named">
      What to do
      <TypedField
        class="inset"
        :value="step.do"
        :aria-invalid="!!errors.do"
        @commit="apply('do', (s) => ({ ...s, do: $event }))"
      />
    </label>
    <p v-if="errors.do" class="wrong" role="alert">{{ errors.do }}</p>
    <div class="fields">
      <label class="named">
        Kind of work
        <select
          class="inset"
          :value="step.work"
          @change="apply('work', (s) => ({ ...s, work: chosenIn($event) as Step['work'] }))"
        >
          <option v-for="k in WORK_KINDS" :key="k" :value="k">{{ WORK_WORDS[k] }}</option>
        </select>
      </label>
      <label class="named">
        Hands are on
        <select
          class="inset"
          :value="step.hygiene ?? ''"
          @change="
            apply('hygiene', (s) => ({
              ...s,
              hygiene: (chosenIn($event) || undefined) as Step['hygiene'],
            }))
          "
        >
          <option value="">as this work usually is</option>
          <option v-for="(word, key) in HYGIENE" :key="key" :value="key">{{ word }}</option>
        </select>
      </label>
      <label v-if="step.ways.length > 1" class="named">
        This way is called
        <TypedField class="inset" :value="way.label" @commit="nameWay" />
      </label>
    </div>
    <div v-if="step.ways.length > 1" class="ways" role="tablist" aria-label="Ways to do it">
      <button
        v-for="(w, i) in step.ways"
        :key="w.id"
        type="button"
        role="tab"
        :aria-selected="w.id === way.id"
        @click="chosen = i"
      >
        {{ w.label ?? 'as written' }}
      </button>
    </div>
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
.ways,
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
.ways button:not(.v-btn) {
  padding: 4px 12px;
  border: 1.5px solid var(--quiet);
  border-radius: 14px;
}
.ways button[aria-selected='true']:not(.v-btn) {
  border-color: rgb(var(--v-theme-primary));
  font-weight: 650;
}
</style>
