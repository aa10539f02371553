<script setup lang="ts">
import { mdiDrag } from '@mdi/js'
import { computed, ref } from 'vue'
import { STATION_KINDS, type KitchenStation, type Zone } from '~~/core/kitchen'
import { useDragOrder } from '~/composables/useDragOrder'
import { kindWord } from '~/composables/useWords'

const props = defineProps<{ zone: Zone; title: string; stations: KitchenStation[] }>()
const emit = defineEmits<{
  add: [kind: string]
  edit: [id: string, patch: Partial<KitchenStation>]
  move: [id: string, by: number]
  remove: [id: string]
  wrong: [text: string]
}>()

const list = ref<HTMLElement>()
useDragOrder(list, (i, by) => emit('move', props.stations[i]!.id, by))

const kinds = computed(() =>
  Object.entries(STATION_KINDS)
    .filter(([, s]) => s.zone === props.zone)
    .map(([kind]) => kind),
)
</script>

<template>
  <section class="shelf" :class="zone" :aria-label="title">
    <h2>{{ title }}</h2>
    <ul ref="list" class="bare">
      <li
        v-for="(s, i) in stations"
        :key="s.id"
        :class="{ out: s.outOfUse }"
        :data-test="`station-${s.id}`"
      >
        <span v-if="stations.length > 1" class="grip" :title="`Drag ${s.name} to its place`"
          ><v-icon :icon="mdiDrag" size="18"
        /></span>
        <TypedField
          class="over"
          :value="s.name"
          :aria-label="`Name of ${s.name}`"
          @commit="emit('edit', s.id, { name: $event })"
        />
        <StationFacts
          class="facts"
          :station="s"
          @edit="emit('edit', s.id, $event)"
          @wrong="emit('wrong', $event)"
        />
        <span class="act">
          <button
            type="button"
            :disabled="i === 0"
            :aria-label="`${s.name} one place up`"
            @click="emit('move', s.id, -1)"
          >
            ↑
          </button>
          <button
            type="button"
            :disabled="i === stations.length - 1"
            :aria-label="`${s.name} one place down`"
            @click="emit('move', s.id, 1)"
          >
            ↓
          </button>
          <button
            type="button"
            :aria-pressed="s.outOfUse"
            @click="emit('edit', s.id, { outOfUse: !s.outOfUse })"
          >
            {{ s.outOfUse ? 'not today' : 'in use' }}
          </button>
          <button type="button" :aria-label="`Take ${s.name} away`" @click="emit('remove', s.id)">
            ×
          </button>
        </span>
      </li>
    </ul>
    <p class="adds">
      <button v-for="k in kinds" :key="k" type="button" class="more" @click="emit('add', k)">
        + {{ kindWord(k) }}
      </button>
    </p>
  </section>
</template>

<style scoped>
.shelf {
  padding: 12px 16px 10px;
  border-top: 4px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-surface));
}
h2 {
  font-size: 1.15rem;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: center;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
}
.grip {
  cursor: grab;
  touch-action: none;
  color: var(--quiet);
}
.out .over,
.out .facts {
  text-decoration: line-through;
  color: var(--quiet);
}
.over {
  flex: 1 1 8em;
  min-width: 6em;
}
.act {
  display: flex;
  gap: 4px;
  margin-left: auto;
}
.act button {
  white-space: nowrap;
  min-width: 30px;
  min-height: 32px;
  font-size: 0.88rem;
}
.act button:disabled {
  opacity: 0.35;
}
.act [aria-pressed='true'] {
  color: rgb(var(--v-theme-error));
}
.hob ul {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 10px;
  margin: 8px 0;
  padding: 12px;
  border-radius: 14px;
  background: rgb(var(--v-theme-surface-variant));
}
.hob li {
  flex-direction: column;
  gap: 2px;
  align-items: center;
  padding: 10px 6px;
  border: 3px double var(--quiet);
  border-radius: 40px;
}
.hob .over {
  flex: none;
  width: 100%;
  text-align: center;
}
.hob .act {
  margin: 0;
}
.adds {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
  margin-top: 8px;
}
@media (max-width: 500px) {
  .hob ul {
    gap: 8px;
    padding: 8px;
  }
  .hob li {
    border-radius: 24px;
  }
  .hob .act {
    flex-wrap: wrap;
    justify-content: center;
  }
  .hob .act button {
    min-width: 26px;
  }
}
</style>
