<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Act } from '~~/core/eating'
import { isPast, WHY_THROWN, type Lying, type Move } from '~~/core/packing'
import { AFTER_STOVE } from '~~/core/safety'
import { counted } from '~~/core/quantity'
import { numberTyped } from '~/composables/useFields'
import { dayText } from '~/composables/useMeasures'
import { moment } from '~/composables/useHouse'

/** What can happen to a pack: eaten, moved, given away, thrown away. */
const props = defineProps<{ lying: Lying; today: string }>()
const emit = defineEmits<{ act: [act: Act, told: string]; close: [] }>()
const pack = computed(() => props.lying.pack)
const past = computed(() => isPast(props.lying, props.today))
const portions = ref(String(props.lying.left))
const wrong = ref('')
watch(
  () => [pack.value.id, props.lying.left],
  () => {
    portions.value = String(props.lying.left)
    wrong.value = ''
  },
)
const tell = (move: Move, told: string) =>
  emit('act', { kind: 'happened', pack: pack.value.id, move }, `${pack.value.name}: ${told}.`)
function some(kind: 'eaten' | 'given' | 'used', told: string, anyway = false) {
  const n = take()
  if (n !== undefined)
    tell(
      { kind, at: moment(), portions: n, ...(anyway ? { anyway: true as const } : {}) } as Move,
      `${counted(n, 'portion')} ${told}`,
    )
}
function thrown(why: (typeof WHY_THROWN)[number]) {
  const n = take()
  if (n !== undefined)
    tell({ kind: 'thrown', at: moment(), portions: n, why }, `${counted(n, 'portion')} thrown away`)
}
function take(): number | undefined {
  const n = numberTyped(portions.value)
  const fine = n > 0 && n <= props.lying.left
  wrong.value = fine
    ? ''
    : `"${portions.value}" cannot be taken. Allowed: more than 0, up to ${props.lying.left}.`
  return fine ? n : undefined
}
const move = (place: Lying['place'], told: string) =>
  tell({ kind: 'moved', place, at: moment() }, told)
function lies(typed: string) {
  const where = typed.trim().slice(0, 60)
  tell(
    { kind: 'moved', place: props.lying.place, at: moment(), ...(where ? { where } : {}) },
    where ? `lies in: ${where}` : 'lies anywhere',
  )
}
const WHY = Object.fromEntries(WHY_THROWN.map((w) => [w, w])) as Record<
  (typeof WHY_THROWN)[number],
  string
>
</script>

<template>
  <section class="acts" :aria-label="pack.name" data-test="pack-acts">
    <h3>{{ pack.name }}</h3>
    <p class="quiet">
      {{ counted(lying.left, 'portion') }} of {{ pack.portions }}, cooked
      {{ dayText(pack.cooked, 'EEE d MMM') }},
      {{ past ? 'was to be eaten' : lying.place === 'freezer' ? 'at its best' : 'to be eaten' }} by
      {{ dayText(lying.eatBy, 'EEE d MMM yyyy') }}: {{ pack.because }}.
      <template v-if="lying.thawed">
        It has thawed: it is not frozen again, but what is cooked of it may be.
      </template>
    </p>
    <div class="keys">
      <TypedField
        class="portions"
        label="How many portions"
        :value="portions"
        inputmode="decimal"
        :aria-invalid="!!wrong"
        @commit="portions = $event"
      />
      <template v-if="!past">
        <v-btn color="primary" @click="some('eaten', 'eaten')">Eaten</v-btn>
        <v-btn
          v-if="lying.place !== 'fridge'"
          variant="tonal"
          @click="move('fridge', 'in the fridge')"
          >{{ lying.place === 'freezer' ? 'Into the fridge, to thaw' : 'Into the fridge' }}</v-btn
        >
        <v-btn
          v-if="lying.place !== 'freezer' && !lying.thawed"
          variant="tonal"
          @click="move('freezer', 'in the freezer')"
          >Into the freezer</v-btn
        >
        <v-btn variant="text" @click="some('used', 'into another dish')">Into another dish</v-btn>
        <v-btn variant="text" @click="some('given', 'given away')">Given away</v-btn>
      </template>
      <v-btn v-else variant="text" @click="some('eaten', 'eaten past its day', true)"
        >Eaten all the same</v-btn
      >
      <PickField class="why" label="Thrown away: why" :items="WHY" @pick="thrown($event)" />
      <TypedField
        class="where"
        label="Where it lies"
        :value="lying.where"
        placeholder="drawer, shelf"
        @commit="lies"
      />
      <v-btn variant="text" @click="emit('close')">Close</v-btn>
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <p v-if="past" class="wrong">{{ AFTER_STOVE.past.text }}</p>
    <template v-else>
      <p v-if="lying.place === 'freezer'" class="quiet">{{ AFTER_STOVE.thaw.text }}</p>
      <p v-if="pack.is === 'raw'" class="wrong">{{ AFTER_STOVE.raw.text }}</p>
      <details>
        <summary>Giving some away</summary>
        <p class="quiet">{{ AFTER_STOVE.others.text }}</p>
        <p class="quiet">{{ AFTER_STOVE.scraps.text }}</p>
      </details>
    </template>
  </section>
</template>

<style scoped>
.acts {
  padding: 12px 14px;
  border: 2px solid rgb(var(--v-theme-primary));
  border-radius: 10px;
  background: rgb(var(--v-theme-surface));
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
  margin-top: 8px;
}
.keys :deep(.portions) {
  width: 5em;
}
.keys :deep(.why) {
  width: 13em;
}
.keys :deep(.where) {
  width: 12em;
}
</style>
