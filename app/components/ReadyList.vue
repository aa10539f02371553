<script setup lang="ts">
import { computed } from 'vue'
import type { ListedSitting } from '~~/core/session'
import type { Ready } from '~~/core/setout'
import { clockText, dayText, said } from '~/composables/useMeasures'

/** What is seen to before the cooking, day by day, with what can hurt somebody beside it. */
const props = defineProps<{
  ready: readonly Ready[]
  sittings: readonly ListedSitting[]
  isDone: (mark: string) => boolean
}>()
const emit = defineEmits<{ done: [mark: string, on: boolean] }>()
const days = computed(() => {
  const out: { day: string; things: Ready[] }[] = []
  for (const r of props.ready) {
    const day = r.at.slice(0, 10)
    if (out.at(-1)?.day !== day) out.push({ day, things: [] })
    out.at(-1)!.things.push(r)
  }
  return out
})
/** Each caution once: it is the same for all that it is about. */
const cautions = computed(() => [...new Set(props.ready.flatMap((r) => r.caution ?? []))])
</script>

<template>
  <section aria-label="Before" data-test="ready">
    <h2>Before</h2>
    <p v-if="!ready.length" class="quiet">Nothing is to be seen to.</p>
    <div v-for="d in days" :key="d.day" class="day">
      <h3>{{ dayText(d.day, 'EEEE d MMMM') }}</h3>
      <ul class="bare">
        <li v-for="r in d.things" :key="r.id">
          <span class="figure at">{{ clockText(r.at.slice(11)) }}</span>
          <CheckField
            :value="isDone(`ready:${r.id}`)"
            :label="said(r.words)"
            @set="emit('done', `ready:${r.id}`, $event)"
          />
        </li>
      </ul>
    </div>
    <p v-for="c in cautions" :key="c" class="caution">{{ said(c) }}</p>
    <p v-if="cautions.length" class="quiet">
      Usual guidance; what your local authority says, and the maker of a machine, comes first.
    </p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.25rem;
}
h3 {
  font-size: 1rem;
}
.day {
  margin-bottom: 6px;
}
li {
  display: grid;
  grid-template-columns: 3.8em minmax(0, 1fr);
  gap: 8px;
  align-items: center;
}
li :deep(.v-label) {
  white-space: normal;
}
h2 {
  margin-bottom: 4px;
}
.at {
  text-align: right;
}
.caution {
  margin: 4px 0;
  padding-left: 10px;
  border-left: 4px solid rgb(var(--v-theme-error));
  font-size: 0.92rem;
}
</style>
