<script setup lang="ts">
import type { Cooling } from '~~/core/logbook'
import type { CompiledSession } from '~~/core/session'
import { timerText } from '~/composables/useClock'

/** What has come off the heat and must be cold in time, with what helps. */
defineProps<{
  cooling: readonly Cooling[]
  compiled: CompiledSession
  now: number
  timeAt: (seconds: number) => string
}>()
/** From how much of its time on somebody should do something about it. */
const HURRY = 0.6
const share = (c: Cooling, now: number) => (now - c.since) / (c.by - c.since)
</script>

<template>
  <section v-if="cooling.length" data-test="cooling">
    <h2>On the way to the cold</h2>
    <ul>
      <li v-for="c in cooling" :key="c.dish" :class="{ late: now > c.by }">
        <DishMark
          :mark="compiled.dishes.find((d) => d.id === c.dish)?.mark ?? ''"
          :index="compiled.order.indexOf(c.dish)"
        />
        <span class="name">{{ compiled.dishes.find((d) => d.id === c.dish)?.name }}</span>
        <span class="figure">{{ timerText(now - c.since) }} off the heat</span>
        <span class="by">
          <template v-if="now > c.by">
            Too long at room warmth. If it was still hot all through, cool it now; if not, do not
            eat it: your local guidance decides.
          </template>
          <template v-else-if="share(c, now) > HURRY">
            In the cold by {{ timeAt(c.by) }}: spread it out shallow, or stand it in iced water.
          </template>
          <template v-else>in the cold by {{ timeAt(c.by) }}</template>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  margin: 12px 0 4px;
  font-size: 1.05rem;
  color: var(--quiet);
}
ul {
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: baseline;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 1.05rem;
}
.name {
  flex: 1;
}
.by {
  flex-basis: 100%;
}
.late .by {
  color: rgb(var(--v-theme-error));
}
</style>
