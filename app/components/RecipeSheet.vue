<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Issue } from '~~/core/reading'
import { amountText } from '~~/core/quantity'
import {
  allergensIn,
  jsonLdOf,
  markdownOf,
  timesOf,
  withNewStep,
  withoutStep,
  withStep,
  type Recipe,
  type Step,
} from '~~/core/recipe'
import { download } from '~/composables/useDownload'
import { minutesText } from '~/composables/useWords'
import { useNotices } from '~/stores/notices'

const props = defineProps<{
  recipe: Recipe
  index: number
  inSession: boolean
  change: (edit: (recipe: Recipe) => Recipe) => Promise<Issue[]>
}>()
const emit = defineEmits<{ remove: []; session: [on: boolean] }>()
const notices = useNotices()

const open = ref<string>()
const nameWrong = ref<string>()
const servesWrong = ref<string>()
watch(
  () => props.recipe.id,
  () => {
    open.value = undefined
    nameWrong.value = servesWrong.value = undefined
  },
)
const allergens = computed(() => allergensIn(props.recipe.ingredients.map((i) => i.item)))
const times = computed(() => timesOf(props.recipe))
const doubts = computed(() => props.recipe.steps.reduce((n, s) => n + s.doubts.length, 0))

async function rename(name: string) {
  const issues = await props.change((r) => ({ ...r, name: name.trim() }))
  nameWrong.value = issues.length ? 'A recipe needs a name of up to 300 letters.' : undefined
}
async function serve(typed: string) {
  const serves = Number(typed.replace(',', '.'))
  if (!(serves > 0)) servesWrong.value = `Serves: "${typed}" is no number above 0.`
  else servesWrong.value = (await props.change((r) => ({ ...r, serves })))[0]?.message
}
const changeStep = (id: string) => (edit: (s: Step) => Step) =>
  props.change((r) => withStep(r, id, edit))

async function insert(after: string) {
  let id = ''
  await props.change((r) => {
    const made = withNewStep(r, after)
    id = made.id
    return made.recipe
  })
  open.value = id
}
async function takeOut(id: string) {
  const before = props.recipe
  const gone = before.steps.find((s) => s.id === id)!
  open.value = undefined
  await props.change((r) => withoutStep(r, id))
  notices.show({
    text: `"${gone.do}" is out of the recipe.`,
    undo: async () => {
      await props.change(() => before)
    },
  })
}
const FILES = {
  'JSON-LD': () =>
    download(
      `${props.recipe.id}.jsonld`,
      'application/ld+json',
      JSON.stringify(jsonLdOf(props.recipe), null, 1),
    ),
  Markdown: () => download(`${props.recipe.id}.md`, 'text/markdown', markdownOf(props.recipe)),
  JSON: () =>
    download(`${props.recipe.id}.json`, 'application/json', JSON.stringify(props.recipe, null, 1)),
}
</script>

<template>
  <article class="sheet" :aria-label="recipe.name">
    <header>
      <DishMark :mark="recipe.mark" :index="index" />
      <TypedField
        class="title display"
        :value="recipe.name"
        aria-label="Name of the recipe"
        :aria-invalid="!!nameWrong"
        @commit="rename($event)"
      />
    </header>
    <p v-if="nameWrong" class="wrong" role="alert">{{ nameWrong }}</p>
    <p class="facts">
      <label
        >Serves
        <TypedField
          :value="recipe.serves"
          inputmode="numeric"
          aria-label="Serves"
          :aria-invalid="!!servesWrong"
          @commit="serve($event)"
      /></label>
      <span class="quiet"
        >{{ minutesText(times.whole, times.whole) }} alone, hands
        {{ minutesText(times.hands, times.hands) }}</span
      >
      <span v-if="allergens.length">Contains {{ allergens.join(', ') }}</span>
      <span v-if="doubts" class="flag" data-test="doubts">{{ doubts }} to confirm</span>
    </p>
    <p v-if="servesWrong" class="wrong" role="alert">{{ servesWrong }}</p>
    <div class="buttons">
      <v-btn
        v-if="!recipe.base"
        :color="inSession ? undefined : 'primary'"
        :variant="inSession ? 'outlined' : 'flat'"
        data-test="to-session"
        @click="emit('session', !inSession)"
        >{{ inSession ? 'In the session: take it out' : 'Put it in the session' }}</v-btn
      >
      <v-menu>
        <template #activator="{ props: menu }">
          <v-btn v-bind="menu" variant="text">Save as a file</v-btn>
        </template>
        <v-list>
          <v-list-item v-for="(save, name) in FILES" :key="name" :title="name" @click="save" />
        </v-list>
      </v-menu>
      <v-btn variant="text" @click="emit('remove')">Delete</v-btn>
    </div>
    <div class="parts">
      <section aria-label="Ingredients">
        <h2>Ingredients</h2>
        <ul>
          <li v-for="i in recipe.ingredients" :key="i.id">
            <span class="figure">{{ amountText(i.amount, i.unit) }}</span> {{ i.item
            }}<span v-if="i.note" class="quiet">, {{ i.note }}</span>
          </li>
        </ul>
      </section>
      <section aria-label="Steps" class="steps">
        <h2>Steps</h2>
        <p class="quiet legend">
          Filled: hands at work. Open: it cooks or waits. A dashed thread may wait, a whole one not
          for ever.
        </p>
        <StepStrip
          v-slot="{ step }"
          :recipe="recipe"
          :open="open"
          @open="open = open === $event ? undefined : $event"
        >
          <StepEditor
            :key="step.id"
            :recipe="recipe"
            :step="step"
            :change="changeStep(step.id)"
            @insert="insert(step.id)"
            @remove="takeOut(step.id)"
          />
        </StepStrip>
      </section>
    </div>
  </article>
</template>

<style scoped>
header {
  display: flex;
  gap: 12px;
  align-items: center;
}
.title {
  flex: 1;
  min-width: 0;
  padding: 2px 6px;
  border: 0;
  border-bottom: 2px solid transparent;
  background: none;
  color: inherit;
  font-family: var(--display) !important;
  font-size: 1.7rem;
}
.title:hover,
.title:focus {
  border-bottom-color: var(--hair);
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
  margin: 6px 0;
}
.facts input {
  width: 4em;
  padding: 3px 8px;
  border: 1px solid var(--quiet);
  border-radius: 8px;
  background: rgb(var(--v-theme-surface));
  color: inherit;
}
.flag,
.wrong {
  color: rgb(var(--v-theme-error));
}
[aria-invalid='true'] {
  border: 2px solid rgb(var(--v-theme-error)) !important;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-bottom: 12px;
}
.parts {
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr);
  gap: 24px;
}
h2 {
  margin-bottom: 6px;
  font-size: 1.15rem;
}
ul {
  padding: 0;
  list-style: none;
}
li {
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
  line-height: 1.25;
}
.legend {
  margin-bottom: 4px;
  font-size: 0.82rem;
}
@media (max-width: 1000px) {
  .parts {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 500px) {
  .title {
    font-size: 1.25rem;
  }
}
</style>
