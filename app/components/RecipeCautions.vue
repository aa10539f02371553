<script setup lang="ts">
import { computed } from 'vue'
import { allergensOf, READ_THE_PACK, upperFirst, type Recipe } from '~~/core/recipe'
import { cautionsOf, FIRST } from '~~/core/safety'
import { said } from '~/composables/useMeasures'

/** What can hurt somebody in this dish, and what only the pack says it holds. */
const props = defineProps<{ recipe: Recipe }>()

const cautions = computed(() => {
  // The same words at several steps are said once.
  const seen = new Map<string, { text: string; source: string }>()
  for (const c of cautionsOf(props.recipe)) seen.set(c.text, c)
  return [...seen.values()]
})
/** Where it comes from; that local guidance comes first is said once, below. */
const sourceOf = (source: string) => `${upperFirst(source.replace(/; [^;]*first$/, ''))}.`
const varies = computed(() =>
  allergensOf(props.recipe.ingredients.map((i) => i.item))
    .varies.map(({ name, items }) => `${name} (${items.join(', ')})`)
    .join('; '),
)
</script>

<template>
  <section aria-label="Take care">
    <h2>Take care</h2>
    <ul v-if="cautions.length">
      <li v-for="c in cautions" :key="c.text" data-test="caution">
        {{ said(c.text) }} <small class="quiet">{{ said(sourceOf(c.source)) }}</small>
      </li>
    </ul>
    <p v-else>Nothing in it asks for more care than usual.</p>
    <p v-if="varies" data-test="varies">The pack says whether it has {{ varies }}.</p>
    <p class="quiet">{{ FIRST }} {{ READ_THE_PACK }}</p>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding-left: 1.1em;
}
li {
  margin: 0 0 6px;
}
p {
  margin: 6px 0 0;
}
</style>
