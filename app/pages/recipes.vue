<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { Found, Recipe } from '~~/core/recipe'
import { withNewDish, withoutDish } from '~~/core/session'
import { useRecipes } from '~/composables/useRecipes'
import { useSession } from '~/composables/useSession'
import { useNotices } from '~/stores/notices'

useHead({ title: 'Recipes · Cadrum' })
const route = useRoute()
const router = useRouter()
const notices = useNotices()
const { list, recipes, change, take, remove } = useRecipes()
const { whole: session, change: changeSession } = useSession()
const bringing = ref(false)

const openId = computed(() => (typeof route.query.open === 'string' ? route.query.open : undefined))
const recipe = computed(
  () =>
    recipes.value.find((r) => r.id === openId.value) ??
    (bringing.value ? undefined : recipes.value[0]),
)
const place = computed(() => recipes.value.findIndex((r) => r.id === recipe.value?.id))

const detail = ref<HTMLElement>()
/** On a narrow screen what was asked for stands below the list: goes there. */
async function show() {
  await nextTick()
  if (window.innerWidth <= 900) detail.value?.scrollIntoView()
}
async function open(id: string) {
  bringing.value = false
  await router.replace({ query: { open: id } })
  await show()
}
async function bring() {
  bringing.value = true
  await router.replace({ query: {} })
  await show()
}
async function keep(found: Found[]) {
  const ids = await take(found)
  notices.show({
    text: ids.length === 1 ? 'It is in the box.' : `${ids.length} recipes are in the box.`,
  })
  await open(ids[0]!)
}
async function gone(target: Recipe) {
  await remove(target.id)
  void router.replace({ query: {} })
}
function inSession(on: boolean) {
  const id = recipe.value!.id
  void changeSession((s) => (on ? withNewDish(s, id) : withoutDish(s, id)))
}
</script>

<template>
  <div v-if="!list" class="quiet" role="status">Opening the recipe box …</div>
  <div v-else class="page-grid">
    <aside>
      <v-btn color="primary" block class="bring" data-test="bring" @click="bring"
        >Bring a recipe in</v-btn
      >
      <RecipeBox :recipes="recipes" :open="recipe?.id" @open="open" />
    </aside>
    <div ref="detail" class="detail">
      <RecipeIntake
        v-if="bringing || !recipe"
        :can-close="recipes.length > 0"
        @take="keep"
        @close="bringing = false"
      />
      <RecipeSheet
        v-else
        :recipe="recipe"
        :index="place"
        :in-session="session?.dishes.some((d) => d.recipe === recipe!.id)"
        :change="(edit: (r: Recipe) => Recipe) => change(recipe!.id, edit)"
        @remove="gone(recipe)"
        @session="inSession"
      />
    </div>
  </div>
</template>

<style scoped>
.page-grid {
  display: grid;
  grid-template-columns: 290px minmax(0, 1fr);
  gap: 28px;
  align-items: start;
  margin-top: 8px;
}
.detail {
  min-width: 0;
}
.bring {
  margin-bottom: 12px;
}
@media (max-width: 900px) {
  .page-grid {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
