<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { kindWord } from '~~/core/kitchen'
import { indexOf, search, timesOf, type Recipe } from '~~/core/recipe'
import { spanText } from '~/composables/useClock'
import { minutesText } from '~/composables/useWords'

const props = defineProps<{ recipes: Recipe[]; open: string | undefined }>()
const emit = defineEmits<{ open: [id: string] }>()

const words = ref('')
const chosen = reactive({ equipment: '', within: '', main: '', without: '' })
const index = computed(() => indexOf(props.recipes))
const each = (of: (entry: (typeof index.value)[number]) => Iterable<string>) =>
  [...new Set(index.value.flatMap((e) => [...of(e)]))].sort()
const options = (none: string, values: string[], title = (value: string) => value) => [
  { value: '', title: none },
  ...values.map((value) => ({ value, title: title(value) })),
]
/** By what the list can be narrowed. */
const narrowed = computed(() => ({
  equipment: {
    name: 'Made with',
    items: options(
      'any equipment',
      each((e) => e.equipment),
      kindWord,
    ),
  },
  within: {
    name: 'Done within',
    items: options('any time', ['30', '60', '120'], (m) => `within ${spanText(Number(m) * 60)}`),
  },
  main: {
    name: 'Mostly of',
    items: options(
      'any main ingredient',
      each((e) => (e.main ? [e.main] : [])),
    ),
  },
  without: {
    name: 'Without',
    items: options(
      'any allergen',
      each((e) => e.allergens),
      (a) => `without ${a}`,
    ),
  },
}))
const place = computed(() => new Map(props.recipes.map((r, i) => [r.id, i])))
const found = computed(() =>
  search(index.value, {
    words: words.value,
    ...(chosen.equipment ? { equipment: chosen.equipment } : {}),
    ...(chosen.within ? { within: Number(chosen.within) } : {}),
    ...(chosen.main ? { main: chosen.main } : {}),
    ...(chosen.without ? { without: chosen.without } : {}),
  }),
)
</script>

<template>
  <section class="box" aria-label="Recipe box">
    <v-text-field
      v-model="words"
      type="search"
      placeholder="Name, ingredient, step"
      aria-label="Search recipes"
    />
    <div class="narrow">
      <PickField
        v-for="(n, key) in narrowed"
        :key="key"
        :value="chosen[key]"
        :items="n.items"
        :aria-label="n.name"
        @pick="chosen[key] = $event"
      />
    </div>
    <p class="quiet count" role="status">{{ found.length }} of {{ recipes.length }}</p>
    <v-virtual-scroll :items="found" :item-height="54" class="list" data-test="recipe-list">
      <template #default="{ item }">
        <v-btn
          variant="text"
          class="pressed row"
          block
          :aria-current="item.id === open ? 'true' : undefined"
          @click="emit('open', item.id)"
        >
          <DishMark :mark="item.mark" :index="place.get(item.id) ?? 0" />
          <span class="what">
            <span class="name">{{ item.name }}</span>
            <span class="quiet small"
              >{{ minutesText(timesOf(item).whole, timesOf(item).whole) }}, hands
              {{ minutesText(timesOf(item).hands, timesOf(item).hands) }}
              <template v-if="item.steps.some((s) => s.doubts.length)"> · to check</template></span
            >
          </span>
        </v-btn>
      </template>
    </v-virtual-scroll>
  </section>
</template>

<style scoped>
.narrow {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  margin-top: 8px;
}
.count {
  margin: 6px 0 2px;
  font-size: 0.85rem;
}
.list {
  height: min(58vh, 600px);
}
.row {
  height: 54px !important;
  padding: 0 6px !important;
  border-bottom: 1px solid var(--hair);
  border-radius: 0 !important;
}
.row :deep(.v-btn__content) {
  display: flex;
  gap: 10px;
  min-width: 0;
}
.row[aria-current] {
  background: rgb(var(--v-theme-surface-variant));
}
.what {
  display: flex;
  flex-direction: column;
  min-width: 0;
  line-height: 1.2;
}
.name {
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}
.small {
  font-size: 0.82rem;
}
@media (max-width: 900px) {
  .list {
    height: 260px;
  }
}
</style>
