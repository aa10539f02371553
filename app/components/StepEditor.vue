<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import type { Issue } from '~~/core/reading'
import { STATION_KINDS } from '~~/core/kitchen'
import { mayWaitFor, WORK_KINDS, type Recipe, type Step, type Way } from '~~/core/recipe'
import { kindWord, WORK_WORDS } from '~/composables/useWords'

const props = defineProps<{
  recipe: Recipe
  step: Step
  change: (edit: (step: Step) => Step) => Promise<Issue[]>
}>()
const emit = defineEmits<{ remove: []; insert: [] }>()

const errors = reactive<Record<string, string | undefined>>({})
const chosen = ref(0)
const way = computed(() => props.step.ways[Math.min(chosen.value, props.step.ways.length - 1)]!)
const others = computed(() => mayWaitFor(props.recipe, props.step.id))
const kinds = computed(() =>
  Object.keys(STATION_KINDS).filter(
    (k) => !['fridge', 'freezer', 'bench'].includes(k) && !way.value.on.some((o) => o.kind === k),
  ),
)
const HYGIENE = {
  raw: 'raw meat, fish or egg',
  produce: 'vegetables and fruit',
  ready: 'food that is eaten as it is',
  neutral: 'nothing that matters',
}

async function apply(field: string, edit: (step: Step) => Step) {
  const [issue] = await props.change(edit)
  errors[field] = issue && `${capital(issue.message)}. Allowed: ${issue.allowed}.`
}
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
const inWay = (edit: (way: Way) => Way) => (s: Step) => ({
  ...s,
  ways: s.ways.map((w) => (w.id === way.value.id ? edit(w) : w)),
})

/** A number as typed; what is none is refused with its name and limits. */
function figure(field: string, name: string, typed: string, use: (value: number) => void) {
  const value = Number(typed.replace(',', '.'))
  if (typed.trim() === '' || !Number.isFinite(value) || value < 0) {
    errors[field] = `${name}: "${typed}" is no number from 0 up.`
    return
  }
  use(value)
}

const WHICH = ['Least', 'Usual', 'Most'] as const
function setMinutes(k: 0 | 1 | 2, typed: string) {
  figure('minutes', `${WHICH[k]} minutes`, typed, (value) => {
    const next = [...way.value.minutes] as [number, number, number]
    next[k] = value
    void apply(
      'minutes',
      inWay((w) => ({ ...w, minutes: next })),
    )
  })
}
function setHeat(k: 0 | 1, typed: string) {
  figure('heat', 'Oven heat', typed, (value) => {
    const now = way.value.heat ?? {
      celsius: [180, 180] as [number, number],
      method: 'bake' as const,
    }
    const celsius = [...now.celsius] as [number, number]
    celsius[k] = value
    void apply(
      'heat',
      inWay((w) => ({ ...w, heat: { ...now, celsius } })),
    )
  })
}
/** A sum taken over: usual in the middle, and some room for what it does not know. */
function takeMinutes(least: number, most: number) {
  const usual = Math.round((least + most) / 2)
  void apply('minutes', (s) => ({
    ...inWay((w) => ({ ...w, minutes: [least, usual, Math.ceil(most * 1.15)] }))(s),
    doubts: s.doubts.filter((d) => !/guess|by weight/.test(d)),
  }))
}
function takeHeat(celsius: number) {
  if (celsius > 0)
    void apply(
      'heat',
      inWay((w) => ({
        ...w,
        heat: { method: 'bake', ...w.heat, celsius: [celsius - 5, celsius + 5] },
      })),
    )
}
function setEquipment(on: Way['on']) {
  void apply(
    'equipment',
    inWay(({ heat, ...w }) => {
      const oven = on.some((o) => o.kind === 'oven')
      return {
        ...w,
        on,
        ...(oven ? { heat: heat ?? { celsius: [175, 185], method: 'bake' } } : {}),
      }
    }),
  )
}
function setWait(id: string, on: boolean) {
  void apply('after', (s) => ({
    ...s,
    after: on ? [...s.after, { step: id }] : s.after.filter((a) => a.step !== id),
  }))
}
function setMost(id: string, typed: string) {
  const set = (most: number | undefined) =>
    apply('after', (s) => ({
      ...s,
      after: s.after.map(({ most: _, ...a }) =>
        a.step === id
          ? { ...a, ...(most === undefined ? {} : { most }) }
          : { ...a, ...(_ === undefined ? {} : { most: _ }) },
      ),
    }))
  if (typed.trim() === '') void set(undefined)
  else figure('after', 'Longest wait', typed, (value) => void set(value))
}
function addWay() {
  const taken = new Set(props.step.ways.map((w) => w.id))
  let n = 2
  while (taken.has(`way-${n}`)) n++
  void apply('ways', (s) => ({
    ...s,
    ways: [...s.ways, { ...way.value, id: `way-${n}`, label: `another way (${n})` }],
  }))
  chosen.value = props.step.ways.length
}
function removeWay() {
  const { id } = way.value
  chosen.value = 0
  void apply('ways', (s) => ({ ...s, ways: s.ways.filter((w) => w.id !== id) }))
}
const typed = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <div class="editor" :aria-label="`Edit: ${step.do}`" role="group">
    <ul v-if="step.doubts.length" class="doubts">
      <li v-for="(doubt, i) in step.doubts" :key="doubt">
        <span>{{ doubt }}</span>
        <v-btn
          size="small"
          variant="tonal"
          @click="apply('doubts', (s) => ({ ...s, doubts: s.doubts.filter((_, k) => k !== i) }))"
          >It is right</v-btn
        >
      </li>
    </ul>
    <label class="wide">
      What to do
      <TypedField
        :value="step.do"
        :aria-invalid="!!errors.do"
        @commit="apply('do', (s) => ({ ...s, do: $event }))"
      />
    </label>
    <p v-if="errors.do" class="wrong" role="alert">{{ errors.do }}</p>
    <div class="fields">
      <label>
        Kind of work
        <select
          :value="step.work"
          @change="apply('work', (s) => ({ ...s, work: typed($event) as Step['work'] }))"
        >
          <option v-for="k in WORK_KINDS" :key="k" :value="k">{{ WORK_WORDS[k] }}</option>
        </select>
      </label>
      <label>
        Hands are on
        <select
          :value="step.hygiene ?? ''"
          @change="
            apply('hygiene', (s) => ({
              ...s,
              hygiene: (typed($event) || undefined) as Step['hygiene'],
            }))
          "
        >
          <option value="">as this work usually is</option>
          <option v-for="(word, key) in HYGIENE" :key="key" :value="key">{{ word }}</option>
        </select>
      </label>
    </div>
    <div v-if="step.ways.length > 1" class="ways" role="tablist" aria-label="Ways to do it">
      <button
        v-for="(w, i) in step.ways"
        :key="w.id"
        type="button"
        role="tab"
        :aria-selected="w.id === way.id"
        @click="chosen = i"
      >
        {{ w.label ?? 'as written' }}
      </button>
    </div>
    <div class="fields">
      <label v-if="step.ways.length > 1">
        This way is called
        <TypedField
          :value="way.label ?? ''"
          @commit="
            apply(
              'ways',
              inWay((w) => ({ ...w, label: $event || 'one way' })),
            )
          "
        />
      </label>
      <label v-for="(word, k) in WHICH" :key="word" class="short">
        {{ word }} min
        <TypedField
          inputmode="decimal"
          :value="way.minutes[k]"
          :aria-invalid="!!errors.minutes"
          :aria-label="`${word} minutes`"
          @commit="setMinutes(k as 0 | 1 | 2, $event)"
        />
      </label>
      <template v-if="way.on.some((o) => o.kind === 'oven')">
        <label class="short">
          Oven from °C
          <TypedField
            inputmode="numeric"
            :value="way.heat?.celsius[0]"
            :aria-invalid="!!errors.heat"
            @commit="setHeat(0, $event)"
          />
        </label>
        <label class="short">
          to °C
          <TypedField
            inputmode="numeric"
            :value="way.heat?.celsius[1]"
            :aria-invalid="!!errors.heat"
            @commit="setHeat(1, $event)"
          />
        </label>
      </template>
    </div>
    <p
      v-for="f in ['minutes', 'heat', 'equipment', 'ways', 'work', 'hygiene']"
      v-show="errors[f]"
      :key="f"
      class="wrong"
      role="alert"
    >
      {{ errors[f] }}
    </p>
    <StepSums :recipe="recipe" :step="step" @minutes="takeMinutes" @heat="takeHeat" />
    <div class="gear">
      <span class="word">With</span>
      <span v-for="(o, i) in way.on" :key="o.kind + i" class="chip">
        {{ kindWord(o.kind) }}
        <button
          type="button"
          :aria-label="`Without the ${kindWord(o.kind)}`"
          @click="setEquipment(way.on.filter((_, k) => k !== i))"
        >
          ×
        </button>
      </span>
      <select
        aria-label="Add equipment"
        :value="''"
        @change="
          setEquipment([
            ...way.on,
            { kind: typed($event), ...(typed($event) === 'oven' ? { amount: 1 } : {}) },
          ])
          ;($event.target as HTMLSelectElement).value = ''
        "
      >
        <option value="">add …</option>
        <option v-for="k in kinds" :key="k" :value="k">{{ kindWord(k) }}</option>
      </select>
    </div>
    <details v-if="others.length" :open="step.after.length > 0">
      <summary>Waits for {{ step.after.length || 'nothing' }}</summary>
      <div v-for="o in others" :key="o.id" class="wait">
        <label>
          <input
            type="checkbox"
            :checked="step.after.some((a) => a.step === o.id)"
            @change="setWait(o.id, ($event.target as HTMLInputElement).checked)"
          />
          {{ o.do }}
        </label>
        <label v-if="step.after.some((a) => a.step === o.id)" class="most">
          at most
          <TypedField
            inputmode="numeric"
            placeholder="any"
            :aria-label="`Longest wait after: ${o.do}`"
            :value="step.after.find((a) => a.step === o.id)?.most ?? ''"
            @commit="setMost(o.id, $event)"
          />
          min later
        </label>
      </div>
    </details>
    <p v-if="errors.after" class="wrong" role="alert">{{ errors.after }}</p>
    <div class="buttons">
      <v-btn size="small" variant="text" @click="emit('insert')">Add a step after this</v-btn>
      <v-btn size="small" variant="text" @click="addWay">Another way to do it</v-btn>
      <v-btn v-if="step.ways.length > 1" size="small" variant="text" @click="removeWay"
        >Without this way</v-btn
      >
      <v-btn
        v-if="recipe.steps.length > 1"
        size="small"
        variant="text"
        color="error"
        @click="emit('remove')"
        >Take the step out</v-btn
      >
    </div>
  </div>
</template>

<style scoped>
.editor {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 14px 16px 8px;
  border-left: 4px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-surface));
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
label {
  display: flex;
  flex-direction: column;
  gap: 2px;
  font-size: 0.85rem;
}
.short {
  width: 6.2em;
}
input:not([type='checkbox']),
select {
  width: 100%;
  padding: 7px 9px;
  border: 1px solid var(--quiet);
  border-radius: 8px;
  background: rgb(var(--v-theme-background));
  color: inherit;
  font-size: 1rem;
}
[aria-invalid='true'] {
  border: 2px solid rgb(var(--v-theme-error)) !important;
}
.doubts {
  padding: 0;
  list-style: none;
}
.doubts li {
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
  padding: 4px 0;
  color: rgb(var(--v-theme-error));
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.ways button {
  padding: 4px 12px !important;
  border: 1.5px solid var(--quiet) !important;
  border-radius: 14px;
}
.ways [aria-selected='true'] {
  border-color: rgb(var(--v-theme-primary)) !important;
  font-weight: 650;
}
.gear {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
}
.gear select {
  width: auto;
  padding: 4px 8px;
}
.chip {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  padding: 2px 4px 2px 12px;
  border-radius: 14px;
  background: rgb(var(--v-theme-surface-variant));
}
.chip button {
  min-width: 26px;
  min-height: 26px;
}
.wait {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  justify-content: space-between;
}
.wait label {
  flex-direction: row;
  gap: 8px;
  align-items: center;
  min-height: 32px;
  font-size: 0.92rem;
}
.wait .most input {
  width: 4.5em;
}
.wrong {
  color: rgb(var(--v-theme-error));
  font-size: 0.9rem;
}
summary {
  cursor: pointer;
  font-size: 0.9rem;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
</style>
