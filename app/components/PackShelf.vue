<script setup lang="ts">
import { computed } from 'vue'
import type { Act } from '~~/core/eating'
import { litresLying, type Lying } from '~~/core/packing'
import type { StockPlace } from '~~/core/stock'

/** A place as it stands: what is to be eaten first in front, and how full it is. */
const props = defineProps<{
  place: StockPlace
  name: string
  lying: readonly Lying[]
  room: number | undefined
  order: readonly string[]
  today: string
  /** The evening that each pack is meant for. */
  meant: ReadonlyMap<string, string>
  chosen: string | undefined
}>()
const emit = defineEmits<{ choose: [id: string | undefined]; act: [act: Act, told: string] }>()
const relay = (act: Act, told: string) => emit('act', act, told)
const own = computed(() => props.lying.filter((l) => l.place === props.place))
const litres = computed(() => litresLying(props.lying, props.place))
const full = computed(() => props.room !== undefined && litres.value > props.room)
</script>

<template>
  <section :aria-label="`Packed, in the ${name.toLowerCase()}`" :data-test="`packed-${place}`">
    <h2>{{ name }}</h2>
    <template v-if="room !== undefined">
      <p class="quiet">
        <span class="figure">{{ litres }}</span> of <span class="figure">{{ room }}</span> litres
        for what is packed
      </p>
      <v-progress-linear
        :model-value="(100 * litres) / Math.max(room, 0.1)"
        :color="full ? 'error' : 'primary'"
        height="8"
        rounded
        :aria-label="`How full the ${name.toLowerCase()} is`"
      />
      <p v-if="full" class="wrong" role="alert">
        Fuller than it can be by {{ Math.round(10 * (litres - room)) / 10 }} litres: what is packed
        too tight does not get cold in time.
      </p>
    </template>
    <div class="cold" :class="place">
      <template v-for="l in own" :key="l.pack.id">
        <PackTile
          :lying="l"
          :index="order.indexOf(l.pack.dish)"
          :today="today"
          :chosen="l.pack.id === chosen"
          :on="meant.get(l.pack.id)"
          @choose="emit('choose', l.pack.id === chosen ? undefined : l.pack.id)"
        />
        <PackActs
          v-if="l.pack.id === chosen"
          class="wide"
          :lying="l"
          :today="today"
          @act="relay"
          @close="emit('choose', undefined)"
        />
      </template>
      <p v-if="!own.length" class="quiet">Nothing packed lies here.</p>
    </div>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 2px;
  font-size: 1.2rem;
}
.cold {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
  gap: 8px;
  margin: 8px 0;
  padding: 10px;
  border: 1px solid var(--hair);
  border-bottom-width: 6px;
  border-radius: 10px;
}
.wide {
  grid-column: 1 / -1;
}
.freezer {
  border-style: double;
  border-width: 4px 4px 8px;
}
</style>
