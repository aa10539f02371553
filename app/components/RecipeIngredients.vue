<script setup lang="ts">
import { issueText } from '~/composables/issueText'
import { mdiClose } from '@mdi/js'
import { ref } from 'vue'
import type { Reading } from '~~/core/reading'
import {
  cookedGrams,
  ingredientLine,
  isFish,
  isMeat,
  servingsPerKilo,
  thawHours,
  withIngredient,
  withoutIngredient,
  type Recipe,
} from '~~/core/recipe'
import type { Change } from '~/composables/useFields'
import { said } from '~/composables/useMeasures'

const props = defineProps<{
  recipe: Recipe
  change: Change<Recipe>
}>()
const errors = ref<Record<string, string | undefined>>({})
const added = ref('')

/** Puts a line in; what it says is worked out on the recipe as it stands by then. */
async function put(line: string, id?: string) {
  const field = id ?? 'new'
  const reading: Reading<Recipe> = withIngredient(props.recipe, line, id)
  const [issue] = reading.ok
    ? await props.change((r) => {
        const now = withIngredient(r, line, id)
        return now.ok ? now.value : r
      })
    : reading.issues
  errors.value[field] = issue && issueText(issue)
  if (!issue && id === undefined) added.value = ''
}
async function takeOut(id: string) {
  const [issue] = await props.change((r) => withoutIngredient(r, id))
  errors.value[id] = issue && issueText(issue)
}
const kilos = (i: Recipe['ingredients'][number]) =>
  i.unit === 'kg' ? i.amount : i.unit === 'g' ? i.amount / 1000 : 0
/** What a cook wants to know of a piece of raw meat or fish. */
function about(i: Recipe['ingredients'][number]) {
  const kg = kilos(i)
  if (kg < 0.25 || !isMeat(i.item)) return undefined
  const thaw = thawHours(kg, 'fridge')
  const quick = thawHours(kg, 'cold-water')
  const heads = servingsPerKilo(
    /\b(?:bone|shanks?|legs?|thighs?|ribs?|whole|hock|drumsticks?)\b/i.test(i.item),
  )
  const [least, most] = [heads.least, heads.most].map((h) => Math.max(1, Math.round(h * kg)))
  const cooked = cookedGrams(1000 * kg, isFish(i.item))
  return {
    text: `frozen: ${thaw.least}–${thaw.most} h in the fridge, or ${quick.least}–${quick.most} h in cold water; enough for ${least === most ? least : `${least}–${most}`}; ${cooked.least}–${cooked.most} g when cooked`,
    source: `${thaw.source}; ${quick.source}; ${heads.source}; ${cooked.source}`,
  }
}
</script>

<template>
  <section aria-label="Ingredients">
    <h2>Ingredients</h2>
    <ul class="bare">
      <li v-for="i in recipe.ingredients" :key="i.id">
        <TypedField
          class="line"
          as="text"
          long
          :value="said(ingredientLine(i))"
          :aria-label="`Ingredient: ${i.item}`"
          :aria-invalid="!!errors[i.id]"
          @commit="put($event, i.id)"
        />
        <IconButton :icon="mdiClose" :label="`Without ${i.item}`" @click="takeOut(i.id)" />
        <small v-if="about(i)" class="quiet" :title="about(i)!.source">{{
          said(about(i)!.text)
        }}</small>
        <p v-if="errors[i.id]" class="wrong" role="alert">{{ errors[i.id] }}</p>
      </li>
    </ul>
    <LineForm
      v-model="added"
      label="Another ingredient"
      example="200 g leeks, sliced"
      button="Add"
      :wrong="errors.new"
      @add="put($event)"
    />
  </section>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  border-bottom: 1px solid var(--hair);
}
li :deep(.line) {
  flex: 1;
  min-width: 0;
}
small {
  flex-basis: 100%;
  padding: 0 2px 4px;
  font-size: 0.8rem;
}
</style>
