<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiDrag, mdiTrashCanOutline } from '@mdi/js'
import { computed, ref } from 'vue'
import { KINDS, type KitchenStation, type Zone } from '~~/core/kitchen'
import { useDragOrder } from '~/composables/useDragOrder'
import { mostIn, stationWords } from '~/composables/useStationWords'

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
/** The one whose facts can be changed just now. */
const open = ref<string>()
const kinds = computed(() =>
  Object.entries(KINDS)
    .filter(([, k]) => k.usual.zone === props.zone)
    .map(([value, { one }]) => ({ value, title: one })),
)
/** A burner is drawn as wide as it is; where that is not known, a strong one wider than others. */
const across = (s: KitchenStation) =>
  props.zone === 'hob'
    ? {
        '--across': `${Math.min(30, Math.max(12, s.size ?? (s.tags.includes('large') ? 22 : 17)))}`,
      }
    : {}
</script>

<template>
  <section class="shelf" :class="zone" :aria-label="title">
    <h2>{{ title }}</h2>
    <ul ref="list" class="bare">
      <li
        v-for="(s, i) in stations"
        :key="s.id"
        :class="{ out: s.outOfUse, open: open === s.id }"
        :style="across(s)"
        :data-test="`station-${s.id}`"
      >
        <NamedLine
          class="line"
          :name="s.name"
          :words="s.outOfUse ? 'not in use' : stationWords(s)"
          :source="mostIn(s)?.source"
          :open="open === s.id"
          @rename="emit('edit', s.id, { name: $event })"
          @toggle="open = open === s.id ? undefined : s.id"
        >
          <span v-if="stations.length > 1" class="grip" :title="`Drag ${s.name} to its place`"
            ><v-icon :icon="mdiDrag" size="18"
          /></span>
        </NamedLine>
        <div v-if="open === s.id" class="more-of-it">
          <StationFacts
            :station="s"
            @edit="emit('edit', s.id, $event)"
            @wrong="emit('wrong', $event)"
          />
          <div class="act">
            <CheckField
              :value="!s.outOfUse"
              label="in use"
              :aria-label="`${s.name} is in use`"
              @set="emit('edit', s.id, { outOfUse: !$event })"
            />
            <IconButton
              :icon="mdiArrowUp"
              :disabled="i === 0"
              :label="`${s.name} one place up`"
              @click="emit('move', s.id, -1)"
            />
            <IconButton
              :icon="mdiArrowDown"
              :disabled="i === stations.length - 1"
              :label="`${s.name} one place down`"
              @click="emit('move', s.id, 1)"
            />
            <IconButton
              :icon="mdiTrashCanOutline"
              :label="`Take ${s.name} away`"
              @click="emit('remove', s.id)"
            />
          </div>
        </div>
      </li>
    </ul>
    <AddMenu :items="kinds" :label="`Add to ${title.toLowerCase()}`" @pick="emit('add', $event)" />
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 2px;
  font-size: 1.15rem;
}
li {
  border-bottom: 1px solid var(--hair);
}
.grip {
  cursor: grab;
  touch-action: none;
  color: var(--quiet);
}
.out :deep(.name) {
  text-decoration: line-through;
}
.more-of-it {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  justify-content: space-between;
  padding: 4px 8px 10px 26px;
}
.act {
  display: flex;
  gap: 2px;
  align-items: center;
}
/* The hob as one stands before it: what is named first is in front. */
.hob ul {
  display: flex;
  flex-wrap: wrap-reverse;
  gap: 10px 6px;
  align-items: center;
  justify-content: space-around;
  margin: 8px 0;
  padding: 12px;
  border-radius: 14px;
  background: rgb(var(--v-theme-surface-variant));
}
.hob li {
  display: flex;
  flex: 1 1 44%;
  flex-direction: column;
  align-items: center;
  border: 0;
}
.hob .line {
  flex-direction: column;
  gap: 0;
  align-items: center;
  justify-content: center;
  width: calc(var(--across) * 7.2px);
  height: calc(var(--across) * 7.2px);
  min-width: 112px;
  min-height: 112px;
  padding: 6px;
  position: relative;
  border: 3px double var(--quiet);
  border-radius: 50%;
}
.hob .grip {
  position: absolute;
  top: 6px;
}
.hob .line :deep(.name) {
  flex: none;
  width: 88%;
  min-width: 0;
}
.hob :deep(.name input) {
  text-align: center;
}
.hob :deep(.name .v-field) {
  font-size: 0.92rem;
}
.hob :deep(.words) {
  flex: none;
  font-size: 0.8rem;
  text-align: center;
}
.hob .more-of-it {
  justify-content: center;
  padding: 8px;
}
</style>
