<script setup lang="ts">
import { mdiRestore } from '@mdi/js'
import { computed } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import type { Occupied, Timer, Turning } from '~~/core/logbook'
import type { CompiledSession } from '~~/core/session'

/** The kitchen as it is laid out: what is where, how hot, and for how long still. */
const props = defineProps<{
  kitchen: Kitchen
  compiled: CompiledSession
  places: readonly Occupied[]
  timers: readonly Timer[]
  out: ReadonlySet<string>
  now: number
  turningsOf: (activity: string) => readonly Turning[]
  timeAt: (seconds: number) => string
}>()
const emit = defineEmits<{
  out: [station: string, on: boolean]
  more: [timer: Timer, minutes: number]
  turn: [turning: Turning]
}>()

/** From the back of the hob down to the cold; what is out of use for good is not there. */
const ZONES = [
  { zone: 'hob', name: 'Hob', always: true },
  { zone: 'oven', name: 'Oven', always: true },
  { zone: 'appliance', name: 'Machines', always: false },
  { zone: 'cold', name: 'Cold', always: false },
] as const
/** Pans and tools are not drawn, but for what is to be given back some time. */
const gone = computed(() =>
  props.kitchen.stations.filter(
    (s) => props.out.has(s.id) && !ZONES.some((z) => z.zone === s.zone),
  ),
)
const shown = computed(() =>
  ZONES.map(({ zone, name, always }) => ({
    zone,
    name,
    stations: props.kitchen.stations.filter(
      (s) =>
        s.zone === zone &&
        !s.outOfUse &&
        (always || props.out.has(s.id) || props.places.some((p) => p.station === s.id)),
    ),
  })).filter((z) => z.stations.length),
)
</script>

<template>
  <div class="map" aria-label="The kitchen now">
    <section v-for="z in shown" :key="z.zone" :aria-label="z.name">
      <h2 v-if="z.stations.length > 1">{{ z.name }}</h2>
      <div class="zone" :class="z.zone">
        <StovePlace
          v-for="s in z.stations"
          :key="s.id"
          :station="s"
          :inside="places.filter((p) => p.station === s.id)"
          :timers="[...timers]"
          :compiled="compiled"
          :now="now"
          :out="out.has(s.id)"
          :turnings="
            places.filter((p) => p.station === s.id).flatMap((p) => turningsOf(p.activity))
          "
          :time-at="timeAt"
          @turn="emit('turn', $event)"
          @out="emit('out', s.id, $event)"
          @more="(timer: Timer, minutes: number) => emit('more', timer, minutes)"
        />
      </div>
    </section>
    <section v-if="gone.length" aria-label="Out of use">
      <h2>Out of use</h2>
      <v-btn
        v-for="s in gone"
        :key="s.id"
        variant="outlined"
        height="56"
        :prepend-icon="mdiRestore"
        @click="emit('out', s.id, false)"
      >
        {{ s.name }} can be used again
      </v-btn>
    </section>
  </div>
</template>

<style scoped>
h2 {
  margin: 10px 0 4px;
  font-size: 1.05rem;
  color: var(--quiet);
}
.zone {
  display: grid;
  margin-top: 10px;
  gap: 10px;
}
.hob {
  grid-template-columns: 1fr 1fr;
}
</style>
