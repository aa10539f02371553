<script setup lang="ts">
import { computed, ref } from 'vue'
import { indexOf, search, timesOf, type Recipe } from '~~/core/recipe'
import { kindWord, minutesText } from '~/composables/useWords'

const props = defineProps<{ recipes: Recipe[]; open: string | undefined }>()
const emit = defineEmits<{ open: [id: string] }>()

const words = ref('')
const equipment = ref('')
const within = ref('')
const main = ref('')
const without = ref('')
const index = computed(() => indexOf(props.recipes))
const kinds = computed(() => [...new Set(index.value.flatMap((e) => [...e.equipment]))].sort())
const mains = computed(() => [...new Set(index.value.flatMap((e) => e.main ?? []))].sort())
const allergens = computed(() => [...new Set(index.value.flatMap((e) => e.allergens))].sort())
const place = computed(() => new Map(props.recipes.map((r, i) => [r.id, i])))
const found = computed(() =>
  search(index.value, {
    words: words.value,
    ...(equipment.value ? { equipment: equipment.value } : {}),
    ...(within.value ? { within: Number(within.value) } : {}),
    ...(main.value ? { main: main.value } : {}),
    ...(without.value ? { without: without.value } : {}),
  }),
)
</script>

<template>
  <section class="box" aria-label="Recipe box">
    <input
      v-model="words"
      type="search"
      class="search inset"
      placeholder="Name, ingredient, step"
      aria-label="Search recipes"
    />
    <div class="narrow">
      <select v-model="equipment" class="inset" aria-label="Made with">
        <option value="">any equipment</option>
        <option v-for="k in kinds" :key="k" :value="k">{{ kindWord(k) }}</option>
      </select>
      <select v-model="within" class="inset" aria-label="Done within">
        <option value="">any time</option>
        <option value="30">within 30 min</option>
        <option value="60">within 1 h</option>
        <option value="120">within 2 h</option>
      </select>
      <select v-model="main" class="inset" aria-label="Mostly of">
        <option value="">of anything</option>
        <option v-for="m in mains" :key="m" :value="m">{{ m }}</option>
      </select>
      <select v-model="without" class="inset" aria-label="Without">
        <option value="">any allergen</option>
        <option v-for="a in allergens" :key="a" :value="a">without {{ a }}</option>
      </select>
    </div>
    <p class="quiet count" role="status">{{ found.length }} of {{ recipes.length }}</p>
    <v-virtual-scroll :items="found" :item-height="54" class="list" data-test="recipe-list">
      <template #default="{ item }">
        <button
          type="button"
          class="row"
          :aria-current="item.id === open ? 'true' : undefined"
          @click="emit('open', item.id)"
        >
          <DishMark :mark="item.mark" :index="place.get(item.id) ?? 0" />
          <span class="what">
            <span class="name">{{ item.name }}</span>
            <span class="quiet small"
              >{{ minutesText(timesOf(item).whole, timesOf(item).whole) }}, hands
              {{ minutesText(timesOf(item).hands, timesOf(item).hands) }}
              <template v-if="item.steps.some((s) => s.doubts.length)">
                · to confirm</template
              ></span
            >
          </span>
        </button>
      </template>
    </v-virtual-scroll>
  </section>
</template>

<style scoped>
.inset {
  width: 100%;
}
select {
  font-size: 0.9rem;
}
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
button.row:not(.v-btn) {
  display: flex;
  gap: 10px;
  align-items: center;
  width: 100%;
  height: 54px;
  padding: 0 6px;
  border-bottom: 1px solid var(--hair);
  text-align: left;
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
