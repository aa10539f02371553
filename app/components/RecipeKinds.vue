<script setup lang="ts">
import { issueText } from '~/composables/issueText'
import { mdiClose } from '@mdi/js'
import { computed, ref } from 'vue'
import { canSplit, readKinds, type Recipe } from '~~/core/recipe'
import { percents } from '~~/core/session'
import type { Change } from '~/composables/useFields'

/** One load split into several kinds from some step on. */
const props = defineProps<{ recipe: Recipe; change: Change<Recipe> }>()
const line = ref('')
const wrong = ref<string>()
const chosen = ref('')
/** Steps that can be done kind by kind; where nothing is chosen the last before packing. */
const steps = computed(() => props.recipe.steps.filter(canSplit))
const step = computed(
  () => chosen.value || (steps.value.filter((s) => s.work !== 'pack').at(-1) ?? steps.value[0])?.id,
)
const shares = computed(() => percents((props.recipe.variants?.kinds ?? []).map((k) => k.share)))

async function split() {
  const reading = readKinds(line.value)
  const at = step.value
  if (at === undefined) return
  const [issue] = reading.ok
    ? await props.change((r) => ({ ...r, variants: { step: at, kinds: reading.value } }))
    : reading.issues
  wrong.value = issue && issueText(issue)
  if (!issue) line.value = ''
}
const whole = () => props.change(({ variants: _, ...rest }) => rest)
const saying = (id: string) => props.recipe.steps.find((s) => s.id === id)?.do ?? id
</script>

<template>
  <section v-if="recipe.variants || step !== undefined" aria-label="Kinds">
    <h2>Split into kinds</h2>
    <p v-if="recipe.variants" class="kinds" data-test="kinds">
      <span
        >From “{{ saying(recipe.variants.step) }}” on:
        <template v-for="(k, i) in recipe.variants.kinds" :key="k.name"
          >{{ i ? ', ' : '' }}{{ k.name }} {{ shares[i] }} %</template
        >. Packed kind by kind.</span
      >
      <IconButton :icon="mdiClose" label="Do not split it" @click="whole" />
    </p>
    <template v-else-if="step !== undefined">
      <PickField
        label="From"
        aria-label="From which step it is split"
        :value="chosen"
        :items="[
          { value: '', title: saying(step) },
          ...steps.map((s) => ({ value: s.id, title: s.do })),
        ]"
        @pick="chosen = $event"
      />
      <LineForm
        v-model="line"
        label="Kinds and their shares"
        example="mild 1/4, smoky, lemon"
        button="Split"
        :wrong="wrong"
        @add="split"
      />
    </template>
  </section>
</template>

<style scoped>
.kinds {
  display: flex;
  gap: 6px;
  align-items: baseline;
  justify-content: space-between;
  border-bottom: 1px solid var(--hair);
}
</style>
