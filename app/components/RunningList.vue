<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ListLine } from '~~/core/board'
import type { Kitchen } from '~~/core/kitchen'
import type { CompiledSession, Session } from '~~/core/session'
import { clockTime, spanText } from '~/composables/useClock'

const props = defineProps<{
  session: Session
  kitchen: Kitchen
  compiled: CompiledSession
  lines: ListLine[]
}>()

const cook = ref<string>('')
const cooks = computed(() => props.kitchen.people.filter((p) => props.session.cooks.includes(p.id)))
const shown = computed(() => props.lines.filter((l) => !cook.value || l.cook === cook.value))
const personName = (id: string) => props.kitchen.people.find((p) => p.id === id)?.name ?? id
const stationNames = (ids: string[]) =>
  ids
    .map((id) => props.kitchen.stations.find((s) => s.id === id)?.name ?? id)
    .join(', ')
    .toLowerCase()
const mark = (dish: string) => props.compiled.dishes.find((d) => d.id === dish)?.mark ?? ''
const order = (dish: string) => props.compiled.order.indexOf(dish)
const clock = (seconds: number) => clockTime(props.session.start, seconds)
</script>

<template>
  <section class="list" aria-labelledby="list-title">
    <div class="top">
      <h2 id="list-title">In order</h2>
      <div class="who no-print" role="group" aria-label="Whose list">
        <button type="button" :aria-pressed="cook === ''" @click="cook = ''">Everybody</button>
        <button
          v-for="p in cooks"
          :key="p.id"
          type="button"
          :aria-pressed="cook === p.id"
          @click="cook = p.id"
        >
          {{ p.name }}
        </button>
      </div>
    </div>
    <ol>
      <li v-for="line in shown" :key="line.key">
        <time class="figure">{{ clock(line.from) }}</time>
        <span class="who-does">{{ personName(line.cook) }}</span>
        <DishMark v-if="line.dish" :mark="mark(line.dish)" :index="order(line.dish)" />
        <span v-else class="wash" aria-hidden="true">~</span>
        <div class="what">
          <p>
            {{ line.text }}
            <span v-if="line.where.length" class="quiet">· {{ stationNames(line.where) }}</span>
          </p>
          <p v-if="line.uses.length" class="uses">{{ line.uses.join(' · ') }}</p>
          <p v-if="line.caution" class="caution">{{ line.caution }}</p>
        </div>
        <span class="figure long">{{ spanText(line.to - line.from) }}</span>
        <p v-if="line.meanwhile.length" class="meanwhile">
          <span class="unseen">Meanwhile: </span>
          <span v-for="m in line.meanwhile" :key="m.activity" :title="m.text">
            <b>{{ mark(m.dish) }}</b> to {{ clock(m.until) }}
          </span>
        </p>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.list {
  margin-top: 32px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: baseline;
}
h2 {
  font-size: 1.5rem;
}
.who button {
  min-height: 36px;
  padding: 4px 12px;
  border-bottom: 3px solid transparent;
}
.who button[aria-pressed='true'] {
  border-bottom-color: rgb(var(--v-theme-primary));
  font-weight: 650;
}
ol {
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 3.4em 4.2em 2.6em minmax(0, 1fr) 4.5em minmax(140px, 22%);
  gap: 2px 12px;
  align-items: baseline;
  padding: 7px 0;
  border-bottom: 1px solid var(--hair);
}
time {
  font-family: var(--display);
  font-size: 1.1rem;
}
.wash {
  text-align: center;
  color: var(--quiet);
}
.uses {
  font-size: 0.88rem;
  color: var(--quiet);
}
.caution {
  font-size: 0.88rem;
  color: rgb(var(--v-theme-error));
}
.long {
  text-align: right;
}
.meanwhile {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  font-size: 0.82rem;
  color: var(--quiet);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 3.2em 2.6em minmax(0, 1fr) 4em;
  }
  .who-does {
    order: 5;
    grid-column: 1 / 3;
    font-size: 0.85rem;
  }
  .meanwhile {
    order: 6;
    grid-column: 3 / -1;
  }
}
@media print {
  li {
    break-inside: avoid;
  }
}
</style>
