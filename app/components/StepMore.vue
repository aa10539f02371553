<script setup lang="ts">
import { computed } from 'vue'
import { staysIn, type Recipe, type Step } from '~~/core/recipe'
import { useFields, type Change } from '~/composables/useFields'

/** What a step's words may leave open: what goes in, how it grows, in goes, and where it stays. */
const props = defineProps<{ recipe: Recipe; step: Step; change: Change<Step> }>()
const { errors, apply, figure } = useFields<Step>((edit) => props.change(edit))

const SCALES: { value: Step['scale']; title: string }[] = [
  { value: 'once', title: 'the same time' },
  { value: 'pot', title: 'half as long again' },
  { value: 'each', title: 'twice as long' },
]
const STAYS = [
  { value: '', title: 'as the words say' },
  { value: 'stays', title: 'the food stays in its vessel' },
  { value: 'out', title: 'the food is out of its vessel' },
]
const ingredients = computed(() =>
  props.recipe.ingredients.map((i) => ({ value: i.id, title: i.item })),
)
const stays = computed(() =>
  props.step.stays === undefined ? '' : props.step.stays ? 'stays' : 'out',
)
const setStays = (value: string) =>
  apply('stays', ({ stays: _, ...rest }) =>
    value === '' ? rest : { ...rest, stays: value === 'stays' },
  )
const browns = computed(() => ['brown', 'fry'].includes(props.step.work))
function setPanfuls(key: 'pieces' | 'per28', typed: string) {
  if (typed.trim() === '') void apply('panfuls', ({ panfuls: _, ...rest }) => rest)
  else
    figure('panfuls', key === 'pieces' ? 'Pieces' : 'Pieces a pan takes', typed, (n) => {
      const whole = Math.max(1, Math.round(n))
      void apply('panfuls', (s) => ({
        ...s,
        panfuls: { pieces: 12, per28: 6, ...s.panfuls, [key]: whole },
      }))
    })
}
</script>

<template>
  <details class="more">
    <summary>More about this step</summary>
    <div class="fields">
      <FieldName label="What goes in" class="wide">
        <v-select
          :model-value="step.uses"
          :items="ingredients"
          aria-label="What goes in"
          multiple
          chips
          closable-chips
          @update:model-value="apply('uses', (s) => ({ ...s, uses: $event }))"
        />
      </FieldName>
      <PickField
        label="Twice as much takes"
        :value="step.scale"
        :items="SCALES"
        @pick="apply('scale', (s) => ({ ...s, scale: $event }))"
      />
      <PickField
        label="Afterwards"
        :value="stays"
        :items="STAYS"
        :hint="`By its words ${staysIn({ ...step, stays: undefined }) ? 'it stays in' : 'it comes out'}`"
        persistent-hint
        @pick="setStays"
      />
      <CheckField
        class="wide"
        :value="step.aside"
        label="Runs on after the session, and does not count as it"
        @set="apply('aside', (s) => ({ ...s, aside: $event }))"
      />
      <template v-if="browns">
        <TypedField
          label="By the panful, of one batch"
          unit="pieces"
          inputmode="numeric"
          aria-label="Pieces in one batch"
          :value="step.panfuls?.pieces"
          @commit="setPanfuls('pieces', $event)"
        />
        <TypedField
          label="A pan of 28 cm takes"
          unit="pieces"
          inputmode="numeric"
          aria-label="Pieces that a 28 cm pan takes"
          :value="step.panfuls?.per28"
          @commit="setPanfuls('per28', $event)"
        />
      </template>
    </div>
    <p v-for="(message, field) in errors" v-show="message" :key="field" class="wrong" role="alert">
      {{ message }}
    </p>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-size: 0.9rem;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 12px;
  align-items: start;
  margin-top: 8px;
}
.wide {
  grid-column: 1 / -1;
}
</style>
