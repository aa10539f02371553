<script setup lang="ts">
import { roleIn } from '~~/core/session'
import { issueText } from '~/composables/issueText'
import { computed, ref, watch } from 'vue'
import {
  allergensIn,
  jsonLdOf,
  markdownOf,
  timesOf,
  withInstead,
  withNewStep,
  withoutStep,
  withStep,
  type Recipe,
  type Step,
} from '~~/core/recipe'
import { useFields, type Change } from '~/composables/useFields'
import { download } from '~/composables/useDownload'
import { minutesText } from '~/composables/useWords'
import { useNotices } from '~/stores/notices'

const props = defineProps<{
  recipe: Recipe
  index: number
  /** Undefined where there is no session yet: a kitchen comes first. */
  inSession: boolean | undefined
  change: Change<Recipe>
}>()
const emit = defineEmits<{ remove: []; session: [on: boolean] }>()
const notices = useNotices()
const { errors, apply, figure } = useFields<Recipe>((edit) => props.change(edit))

const open = ref<string>()
watch(
  () => props.recipe.id,
  () => {
    open.value = undefined
    errors.name = errors.serves = undefined
  },
)
const allergens = computed(() => allergensIn(props.recipe.ingredients.map((i) => i.item)))
const times = computed(() => timesOf(props.recipe))
const doubts = computed(() => props.recipe.steps.reduce((n, s) => n + s.doubts.length, 0))

const rename = (name: string) => apply('name', (r) => ({ ...r, name: name.trim() }))
const serve = (typed: string) =>
  figure('serves', 'Serves', typed, (serves) => void apply('serves', (r) => ({ ...r, serves })))
const ROLES = {
  meal: 'a meal',
  part: 'a part, combined with others',
  extra: 'beside or between meals',
}
const setRole = (role: NonNullable<Recipe['role']>) => apply('role', (r) => ({ ...r, role }))
const changeStep = (id: string) => (edit: (s: Step) => Step) =>
  props.change((r) => withStep(r, id, edit))

/** An edit of the whole recipe; whether it was kept, and if not, why. */
async function kept(edit: (recipe: Recipe) => Recipe): Promise<boolean> {
  const [issue] = await props.change(edit)
  if (issue) notices.show({ text: issueText(issue), bad: true })
  return issue === undefined
}
async function insert(make: (recipe: Recipe) => { recipe: Recipe; id: string }) {
  let id = ''
  const done = await kept((r) => {
    const made = make(r)
    id = made.id
    return made.recipe
  })
  if (done) open.value = id
}
async function takeOut(id: string) {
  const before = props.recipe
  const gone = before.steps.find((s) => s.id === id)!
  if (!(await kept((r) => withoutStep(r, id)))) return
  open.value = undefined
  notices.show({
    text: `"${gone.do}" is out of the recipe.`,
    undo: async () => void (await kept(() => before)),
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
      <h1>
        <TypedField
          as="heading"
          long
          :value="recipe.name"
          aria-label="Name of the recipe"
          :aria-invalid="!!errors.name"
          @commit="rename($event)"
        />
      </h1>
    </header>
    <p v-if="errors.name" class="wrong" role="alert">{{ errors.name }}</p>
    <div class="facts">
      <span>Serves</span>
      <TypedField
        class="snug"
        :value="recipe.serves"
        inputmode="numeric"
        aria-label="Serves"
        :aria-invalid="!!errors.serves"
        @commit="serve($event)"
      />
      <PickField
        class="snug"
        :value="roleIn(recipe)"
        :items="ROLES"
        aria-label="What it is on the table"
        @pick="setRole"
      />
      <span class="quiet"
        >{{ minutesText(times.whole, times.whole) }} alone, hands
        {{ minutesText(times.hands, times.hands) }}</span
      >
      <span v-if="allergens.length" data-test="contains">Contains {{ allergens.join(', ') }}</span>
      <span v-if="doubts" class="flag" data-test="doubts">{{ doubts }} to check</span>
    </div>
    <p v-if="errors.serves" class="wrong" role="alert">{{ errors.serves }}</p>
    <div class="buttons">
      <v-btn
        v-if="!recipe.base && inSession !== undefined"
        :color="inSession ? undefined : 'primary'"
        :variant="inSession ? 'outlined' : 'flat'"
        data-test="to-session"
        @click="emit('session', !inSession)"
        >{{ inSession ? 'In the session: take it out' : 'Put it in the session' }}</v-btn
      >
      <v-btn v-else-if="!recipe.base" variant="outlined" to="/kitchen"
        >Describe your kitchen first</v-btn
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
      <div>
        <RecipeIngredients :recipe="recipe" :change="change" />
        <RecipeKeeping :recipe="recipe" :change="change" />
        <RecipeKinds :key="recipe.id" :recipe="recipe" :change="change" />
        <RecipeCautions :recipe="recipe" />
        <RecipeNotes :recipe="recipe" :change="change" />
      </div>
      <section aria-label="Steps" class="steps">
        <h2>Steps</h2>
        <p class="quiet legend">
          Filled dot: your hands. Open dot: it cooks or waits. Dashed line: no hurry. Solid line:
          within a set time.
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
            :change-recipe="change"
            @insert="insert((r) => withNewStep(r, step.id))"
            @instead="insert((r) => withInstead(r, step.id))"
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
h1 {
  flex: 1;
  min-width: 0;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
  margin: 6px 0;
}
.flag {
  color: rgb(var(--v-theme-error));
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
.parts > div {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  align-content: start;
}
.parts :deep(h2) {
  margin-bottom: 6px;
  font-size: 1.15rem;
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
</style>
