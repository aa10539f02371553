<script setup lang="ts">
import { mdiBellRing, mdiVolumeHigh, mdiVolumeOff } from '@mdi/js'
import { useWakeLock } from '@vueuse/core'
import { computed, onBeforeUnmount, watch } from 'vue'
import { placeWords } from '~~/core/guide'
import { useAway } from '~/composables/useAway'
import { useBell } from '~/composables/useBell'
import { timerText } from '~/composables/useClock'
import { tabIcon } from '~/composables/tabIcon'
import { useRunning } from '~/composables/useRunning'

/** Rings on every page until somebody answers, and keeps the screen awake while there is something to do. */
const { timers, now, tell, compiled, kitchen, left, paused, turns, session, cooking } = useRunning()
useAway(() => cooking.value?.startedAt)

const ringing = computed(() =>
  timers.value
    .filter((t) => t.rings)
    .map((t) => {
      const dish = compiled.value?.dishes.find((d) => d.id === t.dish)?.name ?? ''
      const place = t.places.find((id) => /burner|oven|cooker/.test(kindOf(id)))
      const where =
        place && `${kindOf(place) === 'burner' ? 'on' : 'in'} ${placeWords(place, kitchen.value!)}`
      const text = [compiled.value?.cards[t.activity]?.text, where].filter(Boolean).join(', ')
      return { ...t, name: dish, text, over: now.value - t.due }
    }),
)
const kindOf = (id: string) => kitchen.value?.stations.find((s) => s.id === id)?.kind ?? ''
const loud = computed(() =>
  ringing.value.length ? ringing.value.map((r) => `${r.name}: time is up`).join('. ') : undefined,
)
const { sound } = useBell(loud)
const answer = (r: { activity: string; phase: number }) =>
  tell({ kind: 'heard', activity: r.activity, phase: r.phase, second: now.value })

const lock = useWakeLock()
watch(left, (n) => void (n > 0 ? lock.request('screen') : lock.release()).catch(() => {}), {
  immediate: true,
})
onBeforeUnmount(() => void lock.release().catch(() => {}))

const next = computed(
  () =>
    turns.value
      .filter((t) => !t.over && session.value?.cooks.includes(t.line.cook))
      .sort((a, b) => a.from - b.from)[0],
)
/** Seconds until the next thing. */
const wait = computed(() => Math.round((next.value?.from ?? 0) - now.value))
/** What comes next, in the title of the tab. */
const title = computed(() => {
  if (ringing.value.length) return `Time is up: ${ringing.value[0]!.name}`
  if (paused.value) return 'Standing still'
  if (!next.value) return 'All done'
  return `${wait.value > 0 ? `in ${timerText(wait.value)}` : 'now'}: ${next.value.line.text}`
})
/** And in its icon: minutes to the next thing. */
const icon = computed(() => {
  if (ringing.value.length) return tabIcon('!', true)
  if (paused.value) return tabIcon('II', false)
  if (!next.value) return tabIcon('ok', false)
  const minutes = Math.ceil(wait.value / 60)
  return minutes > 0 ? tabIcon(String(Math.min(999, minutes)), false) : tabIcon('now', false)
})
useHead({ title, link: [{ key: 'icon', rel: 'icon', type: 'image/svg+xml', href: icon }] })
</script>

<template>
  <aside v-if="ringing.length" class="bell no-print" role="alert" data-test="bell">
    <div v-for="r in ringing" :key="`${r.activity} ${r.phase}`" class="row">
      <v-icon :icon="mdiBellRing" size="32" class="ring" aria-hidden="true" />
      <p>
        <strong>{{ r.name }}</strong>
        <span class="what">{{ r.text }}</span>
      </p>
      <span class="figure over">{{ timerText(r.over) }} <small>over</small></span>
      <v-btn color="error" height="60" :aria-label="`I have heard: ${r.name}`" @click="answer(r)">
        Heard
      </v-btn>
    </div>
    <v-btn
      :icon="sound ? mdiVolumeHigh : mdiVolumeOff"
      variant="text"
      class="sound"
      :aria-label="sound ? 'Without sound' : 'With sound'"
      @click="sound = !sound"
    />
  </aside>
</template>

<style scoped>
.bell {
  position: sticky;
  top: 0;
  z-index: 12;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
  padding: 8px 20px;
  border-block: 3px solid rgb(var(--v-theme-error));
  background: rgb(var(--v-theme-surface));
}
.row {
  display: flex;
  flex: 1 1 420px;
  gap: 12px;
  align-items: center;
}
.row p {
  flex: 1;
}
.row strong {
  display: block;
  font-size: 1.4rem;
}
.over small {
  font-size: 1rem;
}
.over {
  font-family: var(--display);
  font-size: 2rem;
  color: rgb(var(--v-theme-error));
}
@media (max-width: 700px) {
  /* What is in hand has to stay within reach, however much rings. */
  .bell {
    max-height: 40vh;
    padding: 4px 10px;
    overflow-y: auto;
  }
  .row {
    flex-basis: 100%;
    gap: 8px;
  }
  .row p {
    min-width: 0;
  }
  .row strong {
    font-size: 1.15rem;
    line-height: 1.2;
  }
  .over {
    font-size: 1.3rem;
    white-space: nowrap;
  }
  .ring,
  .sound,
  .what,
  .over small {
    display: none;
  }
}
</style>
