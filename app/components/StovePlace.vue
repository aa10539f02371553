<script setup lang="ts">
import {
  mdiCancel,
  mdiClockPlusOutline,
  mdiDotsVertical,
  mdiRestore,
  mdiSwapHorizontal,
} from '@mdi/js'
import { computed } from 'vue'
import type { KitchenStation } from '~~/core/kitchen'
import type { Occupied, Timer, Turning } from '~~/core/logbook'
import { lowerFirst } from '~~/core/recipe'
import type { CompiledSession } from '~~/core/session'
import { timerText } from '~/composables/useClock'
import { standsAt } from '~/composables/useMeasures'

/** One place of the kitchen: what is in it, its heat, and how long it still needs, as a ring. */
const props = defineProps<{
  station: KitchenStation
  inside: Occupied[]
  timers: Timer[]
  compiled: CompiledSession
  now: number
  out: boolean
  /** Other ways in which what is in it can go on. */
  turnings: readonly Turning[]
  timeAt: (seconds: number) => string
}>()
const emit = defineEmits<{
  out: [on: boolean]
  more: [timer: Timer, minutes: number]
  turn: [turning: Turning]
}>()
const wayOf = ({ activity, mode }: Turning) =>
  lowerFirst(props.compiled.cards[activity]?.ways[mode] ?? mode)

const rows = computed(() =>
  props.inside.map((o) => {
    const dish = props.compiled.dishes.find((d) => d.id === o.dish)
    const timer = props.timers.find((t) => t.activity === o.activity)
    const left = timer ? timer.due - props.now : undefined
    return {
      ...o,
      timer,
      left,
      mark: dish?.mark ?? '',
      name: dish?.name ?? props.compiled.cards[o.activity]?.text ?? '',
      index: props.compiled.order.indexOf(o.dish),
      share:
        timer && timer.due > timer.from
          ? Math.min(100, (100 * (props.now - timer.from)) / (timer.due - timer.from))
          : 0,
    }
  }),
)
const heat = computed(() => rows.value.find((r) => r.celsius !== undefined)?.celsius)
const timed = computed(() => rows.value.filter((r) => r.timer))
</script>

<template>
  <article
    class="place"
    :class="{ out, hot: heat !== undefined, rings: timed.some((r) => r.timer!.rings) }"
    :data-test="`place-${station.id}`"
  >
    <header>
      <h3>{{ station.name }}</h3>
      <span v-if="heat !== undefined" class="heat">{{ standsAt(heat) }}</span>
      <v-menu>
        <template #activator="{ props: opens }">
          <v-btn
            v-bind="opens"
            :icon="mdiDotsVertical"
            variant="text"
            width="44"
            height="44"
            :aria-label="`What to do with ${station.name}`"
          />
        </template>
        <v-list>
          <template v-for="r in timed" :key="r.activity">
            <v-list-item
              v-for="m in [2, 5, 10]"
              :key="m"
              :prepend-icon="mdiClockPlusOutline"
              :title="`${r.name}: ${m} minutes more`"
              min-height="56"
              @click="emit('more', r.timer!, m)"
            />
          </template>
          <v-list-item
            v-for="t in turnings"
            :key="t.mode"
            :prepend-icon="mdiSwapHorizontal"
            :title="`Go on ${wayOf(t)}: done at ${timeAt(t.until)}`"
            min-height="56"
            @click="emit('turn', t)"
          />
          <v-list-item
            v-if="!out"
            :prepend-icon="mdiCancel"
            title="Out of use: plan without it"
            min-height="56"
            @click="emit('out', true)"
          />
          <v-list-item
            v-else
            :prepend-icon="mdiRestore"
            title="It can be used again"
            min-height="56"
            @click="emit('out', false)"
          />
        </v-list>
      </v-menu>
    </header>
    <p v-if="out" class="word">Out of use{{ rows.length ? ': see to what is in it' : '' }}</p>
    <p v-else-if="!rows.length" class="quiet free">free</p>
    <div v-for="r in rows" :key="`${r.activity} ${r.phase}`" class="row">
      <v-progress-circular
        v-if="r.timer"
        :model-value="r.share"
        :size="68"
        :width="6"
        :color="r.left! <= 0 ? 'error' : 'primary'"
        role="timer"
        :aria-label="`${r.name}: ${timerText(r.left!)}`"
      >
        <span class="figure left">{{
          (r.left! < 0 ? '+' : '') + timerText(Math.abs(r.left!))
        }}</span>
      </v-progress-circular>
      <DishMark v-if="r.index >= 0" :mark="r.mark" :index="r.index" />
      <span class="name">{{ r.name }}</span>
    </div>
  </article>
</template>

<style scoped>
.place {
  padding: 4px 6px 10px 14px;
  border: 1px solid var(--hair);
  border-radius: 14px;
  background: rgb(var(--v-theme-surface));
}
.place.hot {
  border-top: 4px solid rgb(var(--v-theme-error));
}
.place.rings {
  border-color: rgb(var(--v-theme-error));
  border-width: 3px;
}
.place.out {
  border-style: dashed;
  opacity: 0.75;
}
header {
  display: flex;
  align-items: center;
  gap: 8px;
}
h3 {
  flex: 1;
  font-size: 1rem;
}
.heat {
  font-weight: 650;
  color: rgb(var(--v-theme-error));
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  padding: 3px 0;
}
.name {
  flex: 1 1 auto;
  min-width: min-content;
  font-size: 1.05rem;
  line-height: 1.2;
  overflow-wrap: break-word;
}
.row > :first-child {
  flex: none;
}
.left {
  font-size: 0.8rem;
  font-weight: 650;
  color: rgb(var(--v-theme-on-surface));
}
.free {
  min-height: 30px;
}
.word {
  color: rgb(var(--v-theme-error));
}
</style>
