<script setup lang="ts">
import { issueText } from '~/composables/issueText'
import { format } from 'date-fns'
import { computed, ref } from 'vue'
import type { CookedRecord } from '~~/core/logbook'
import { readRecipe } from '~~/core/recipe'
import { database } from '~/database/database'
import { useLive } from '~/composables/useLive'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'

/** What to do otherwise the next time, kept with the recipe that it is about. */
const props = defineProps<{ record: CookedRecord }>()
const saving = useSaving()
const notices = useNotices()

/** The recipe of a dish, also of one more of it. */
const recipeOf = (dish: string) => {
  const extra = props.record.cooking.events.findLast((e) => e.kind === 'extra' && e.dish === dish)
  return extra?.kind === 'extra' ? extra.recipe : dish
}
const ids = computed(() => [...new Set(props.record.dishes.map((d) => recipeOf(d.id)))])
const recipes = useLive(() => database.recipes.toArray())
const items = computed(() =>
  (recipes.value ?? [])
    .filter((r) => ids.value.includes(r.id))
    .map((r) => ({ value: r.id, title: r.name })),
)
const dish = ref<string>()
const text = ref('')
const wrong = ref<string>()
async function keep() {
  const [id, said] = [dish.value, text.value.trim()]
  if (id === undefined) return (wrong.value = 'Say which dish it is about.')
  if (!said) return (wrong.value = 'Write what to do otherwise.')
  wrong.value = undefined
  const day = format(new Date(props.record.cooking.startedAt), 'yyyy-MM-dd')
  const before = await database.recipes.get(id)
  if (!before) return
  const after = { ...before, notes: [{ day, text: said }, ...(before.notes ?? [])] }
  const reading = readRecipe(after)
  if (!reading.ok) {
    const [issue] = reading.issues
    return (wrong.value = issueText(issue!))
  }
  await saving.write(`"${before.name}"`, () => database.recipes.put(after))
  text.value = ''
  notices.show({
    text: `Kept with ${before.name}.`,
    undo: () => saving.write(`"${before.name}"`, () => database.recipes.put(before)),
  })
}
</script>

<template>
  <form v-if="items.length" data-test="next-time" @submit.prevent="keep">
    <PickField
      :value="dish"
      :items="items"
      aria-label="Dish that it is about"
      placeholder="Which dish"
      @pick="dish = $event"
    />
    <v-text-field
      v-model="text"
      aria-label="What to do otherwise"
      placeholder="Five minutes less in the oven"
      maxlength="300"
      :error="wrong !== undefined"
    />
    <v-btn type="submit" variant="tonal" height="44">Keep with the recipe</v-btn>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-top: 8px;
}
form > :first-child {
  flex: 1 1 200px;
}
form > :nth-child(2) {
  flex: 3 1 260px;
}
.wrong {
  flex-basis: 100%;
}
</style>
