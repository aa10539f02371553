<script setup lang="ts">
import { computed } from 'vue'
import type { Handwork } from '~~/core/board'
import type { Kitchen } from '~~/core/kitchen'
import { cookView, type Cooking } from '~~/core/logbook'
import type { CompiledSession } from '~~/core/session'
import { spanText, timerText } from '~/composables/useClock'

const props = defineProps<{
  name: string
  cook: string
  work: Handwork[]
  cooking: Cooking
  kitchen: Kitchen
  compiled: CompiledSession
  at: number
}>()
const emit = defineEmits<{ done: []; undo: [] }>()

const view = computed(() => cookView(props.work, props.cooking, props.cook, props.at))
const card = computed(() => {
  const id = view.value.now?.activity
  return id === undefined ? undefined : props.compiled.cards[id]
})
const where = computed(() =>
  (view.value.now?.where ?? [])
    .map((id) => props.kitchen.stations.find((s) => s.id === id)?.name ?? id)
    .join(', '),
)
const any = computed(() => props.cooking.done.some((d) => d.cook === props.cook))
const dishName = (id: string | undefined) =>
  props.compiled.dishes.find((d) => d.id === id)?.name ?? ''
</script>

<template>
  <article class="card" :data-test="`cook-${cook}`">
    <h2>{{ name }}</h2>
    <template v-if="view.now">
      <p class="dish">{{ dishName(view.now.dish) }}</p>
      <p class="deed" data-test="now">{{ view.now.text }}</p>
      <p v-if="where" class="quiet">{{ where }}</p>
      <p v-if="card?.uses.length" class="uses">
        {{ card.turns > 1 ? 'In all turns together: ' : '' }}{{ card.uses.join(' · ') }}
      </p>
      <p class="time figure" :class="{ over: view.left < 0 }">
        <template v-if="view.startsIn > 0">
          <small>in</small> {{ timerText(view.startsIn) }}
        </template>
        <template v-else>{{ timerText(view.left) }}</template>
      </p>
      <p v-if="card?.caution" class="caution">{{ card.caution }}</p>
    </template>
    <p v-else class="deed">Nothing more to do. Sit down.</p>
    <div class="keys">
      <v-btn
        v-if="view.now"
        color="primary"
        height="60"
        class="done"
        :aria-label="`Done: ${view.now.text}`"
        @click="emit('done')"
      >
        Done
      </v-btn>
      <v-btn
        height="60"
        variant="outlined"
        :disabled="!any"
        :aria-label="`Take back the last step of ${name}`"
        @click="emit('undo')"
      >
        Undo
      </v-btn>
    </div>
    <ol v-if="view.next.length" class="next">
      <li v-for="(n, i) in view.next" :key="n.key">
        <span class="quiet">{{ i === 0 ? 'next' : 'soon' }}</span> {{ n.text }}
        <span class="quiet">{{ spanText(n.to - n.from) }}</span>
      </li>
    </ol>
  </article>
</template>

<style scoped>
.card {
  display: flex;
  flex-direction: column;
  padding: 18px 22px;
  border-radius: 16px;
  border: 1px solid var(--hair);
  background: rgb(var(--v-theme-surface));
}
h2 {
  font-size: 1.1rem;
}
.dish {
  color: var(--quiet);
}
.deed {
  font-family: var(--display);
  font-size: 1.6rem;
  line-height: 1.2;
}
.uses {
  margin-top: 4px;
  font-size: 1.25rem;
}
.time {
  margin: 6px 0;
  font-family: var(--display);
  font-size: 3rem;
  line-height: 1.1;
}
.time small {
  font-size: 1.2rem;
}
.over,
.caution {
  color: rgb(var(--v-theme-error));
}
.keys {
  display: flex;
  gap: 12px;
  margin: 12px 0;
}
.done {
  flex: 1;
  font-size: 1.3rem;
}
.next {
  margin-top: auto;
  padding: 8px 0 0;
  border-top: 1px solid var(--hair);
  list-style: none;
}
.next li {
  padding: 3px 0;
}
</style>
