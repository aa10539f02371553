<script setup lang="ts">
import { computed } from 'vue'
import { STATION_KINDS, type KitchenStation, type Zone } from '~~/core/kitchen'
import { kindWord } from '~/composables/useWords'

const props = defineProps<{ zone: Zone; title: string; stations: KitchenStation[] }>()
const emit = defineEmits<{
  add: [kind: string]
  edit: [id: string, field: string, patch: Partial<KitchenStation>]
  move: [id: string, by: -1 | 1]
  remove: [id: string]
  wrong: [text: string]
}>()

const kinds = computed(() =>
  Object.entries(STATION_KINDS)
    .filter(([, s]) => s.zone === props.zone)
    .map(([kind]) => kind),
)
/** What a size means for a kind, if it has one. */
const SIZE: Record<string, string> = {
  pot: 'litres',
  'slow-cooker': 'litres',
  'pressure-cooker': 'litres',
  'rice-cooker': 'litres',
  'air-fryer': 'litres',
  'frying-pan': 'cm across',
}
/** What several of a kind are counted in. */
const COUNT: Record<string, string> = {
  oven: 'shelves',
  tray: 'trays',
  'oven-dish': 'dishes',
  bowl: 'bowls',
  bench: 'places',
  fridge: 'litres free',
  freezer: 'litres free',
}

function figure(s: KitchenStation, field: 'size' | 'capacity', typed: string) {
  const value = Number(typed.replace(',', '.'))
  if (!(value > 0)) {
    const unit = (field === 'size' ? SIZE : COUNT)[s.kind]
    emit('wrong', `${s.name}: "${typed}" is no number of ${unit} above 0. Nothing was changed.`)
    return
  }
  emit('edit', s.id, field, { [field]: value })
}
function heat(s: KitchenStation, k: 'min' | 'max', typed: string) {
  const value = Number(typed)
  const { oven } = s
  const sound =
    oven &&
    value >= 0 &&
    value <= 400 &&
    typed.trim() !== '' &&
    (k === 'min' ? value <= oven.max : value >= oven.min)
  if (!sound) {
    emit(
      'wrong',
      `${s.name}: ${k === 'min' ? 'the lowest' : 'the highest'} heat "${typed}" does not fit. Allowed: 0 to 400 °C, the lowest below the highest.`,
    )
    return
  }
  emit('edit', s.id, 'oven', { oven: { ...oven, [k]: value } })
}
</script>

<template>
  <section class="shelf" :class="zone" :aria-label="title">
    <h2>{{ title }}</h2>
    <ul>
      <li
        v-for="(s, i) in stations"
        :key="s.id"
        :class="{ out: s.outOfUse }"
        :data-test="`station-${s.id}`"
      >
        <TypedField
          class="name"
          :value="s.name"
          :aria-label="`Name of ${s.name}`"
          @commit="emit('edit', s.id, 'name', { name: $event })"
        />
        <span class="facts">
          <label v-if="SIZE[s.kind]"
            ><TypedField
              inputmode="decimal"
              :value="s.size"
              :aria-label="`${s.name}: ${SIZE[s.kind]}`"
              @commit="figure(s, 'size', $event)"
            />
            {{ SIZE[s.kind] }}</label
          >
          <label v-if="COUNT[s.kind]"
            ><TypedField
              inputmode="decimal"
              :value="s.capacity"
              :aria-label="`${s.name}: ${COUNT[s.kind]}`"
              @commit="figure(s, 'capacity', $event)"
            />
            {{ COUNT[s.kind] }}</label
          >
          <template v-if="s.oven">
            <label
              ><TypedField
                inputmode="numeric"
                :value="s.oven.min"
                :aria-label="`${s.name}: lowest heat in °C`"
                @commit="heat(s, 'min', $event)"
              />
              to</label
            >
            <label
              ><TypedField
                inputmode="numeric"
                :value="s.oven.max"
                :aria-label="`${s.name}: highest heat in °C`"
                @commit="heat(s, 'max', $event)"
              />
              °C</label
            >
          </template>
          <label v-if="s.kind === 'burner'"
            ><input
              type="checkbox"
              :checked="s.tags.includes('large')"
              @change="
                emit('edit', s.id, 'tags', {
                  tags: ($event.target as HTMLInputElement).checked ? ['large'] : [],
                })
              "
            />
            strong</label
          >
        </span>
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
            @click="emit('edit', s.id, 'outOfUse', { outOfUse: !s.outOfUse })"
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
      <button v-for="k in kinds" :key="k" type="button" class="add" @click="emit('add', k)">
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
ul {
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: center;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
}
.out .name,
.out .facts {
  text-decoration: line-through;
  color: var(--quiet);
}
.name {
  flex: 1 1 8em;
  min-width: 6em;
  padding: 4px 6px;
  border: 0;
  border-bottom: 1px dotted var(--quiet);
  background: none;
  color: inherit;
  font-size: 1rem;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  font-size: 0.88rem;
}
.facts label {
  display: flex;
  gap: 4px;
  align-items: center;
}
.facts input:not([type='checkbox']) {
  width: 3.6em;
  padding: 3px 6px;
  border: 1px solid var(--quiet);
  border-radius: 6px;
  background: rgb(var(--v-theme-background));
  color: inherit;
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
.hob .name {
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
.add {
  padding: 4px 10px !important;
  border: 1.5px dashed var(--quiet) !important;
  border-radius: 14px;
  font-size: 0.88rem !important;
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
