<script setup lang="ts">
import { computed } from 'vue'
import { placeWords, type Instruction } from '~~/core/guide'
import type { Kitchen } from '~~/core/kitchen'
import { cookView, type Cooking, type Task } from '~~/core/logbook'
import type { CompiledSession } from '~~/core/session'
import { spanText, timerText } from '~/composables/useClock'
import { standsAt } from '~/composables/useMeasures'

const props = defineProps<{
  name: string
  cook: string
  tasks: (Task & { line: Instruction })[]
  cooking: Cooking
  kitchen: Kitchen
  compiled: CompiledSession
  at: number
}>()
const emit = defineEmits<{ done: [key: string]; undo: [] }>()

const view = computed(() => cookView(props.tasks, props.cooking, props.cook, props.at))
const line = computed(() => view.value.now?.line)
const where = computed(() =>
  (line.value?.places ?? []).map((id) => placeWords(id, props.kitchen)).join(', '),
)
const any = computed(() => props.cooking.done.some((d) => d.cook === props.cook))
/** Whether somebody else still has something to do: then this cook is not finished either. */
const others = computed(() => {
  const done = new Set(props.cooking.done.map((d) => d.key))
  return props.tasks.some((t) => !done.has(t.key))
})
const dishName = (id: string | undefined) =>
  props.compiled.dishes.find((d) => d.id === id)?.name ?? ''
</script>

<template>
  <article class="card" :data-test="`cook-${cook}`">
    <h2>{{ name }}</h2>
    <template v-if="line">
      <p class="dish">{{ dishName(line.dish) }}</p>
      <p class="deed" data-test="now">{{ line.text }}</p>
      <p v-if="where || line.celsius !== undefined" class="where">
        {{ where }}
        <template v-if="line.celsius !== undefined && line.kind !== 'oven'">
          · {{ standsAt(line.celsius) }}</template
        >
      </p>
      <p v-if="line.amounts.length" class="uses">{{ line.amounts.join(' · ') }}</p>
      <p class="time figure" :class="{ over: view.left < 0 }">
        <template v-if="view.startsIn > 0">
          <small>in</small> {{ timerText(view.startsIn) }}
        </template>
        <template v-else-if="line.free > line.at">{{ timerText(view.left) }}</template>
        <small v-else>now</small>
      </p>
      <p v-if="line.caution" class="caution">{{ line.caution }}</p>
    </template>
    <p v-else-if="others" class="deed">Nothing for you just now: see what the others do.</p>
    <p v-else class="deed">All done. Sit down.</p>
    <div class="keys">
      <v-btn
        v-if="view.now && line"
        color="primary"
        height="60"
        class="done"
        :aria-label="`Done: ${line.text}`"
        @click="emit('done', view.now.key)"
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
        <span class="quiet">{{ i === 0 ? 'next' : 'soon' }}</span> {{ n.line.text }}
        <span v-if="n.to > n.from" class="quiet">{{ spanText(n.to - n.from) }}</span>
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
.where,
.uses {
  margin-top: 4px;
  font-size: 1.25rem;
}
.where {
  color: var(--quiet);
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
