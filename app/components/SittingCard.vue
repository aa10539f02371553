<script setup lang="ts">
import { addMinutes, differenceInMinutes, format, parseISO, subDays } from 'date-fns'
import { computed, ref } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import {
  MAIN,
  partedAnew,
  sessionSchema,
  withoutSitting,
  withSitting,
  type Session,
} from '~~/core/session'

/** When a sitting begins and ends, and who cooks then; a new one is offered for the evening before. */
const props = defineProps<{ session: Session; kitchen: Kitchen; sitting: string }>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session]; close: [] }>()

/** An evening before the day itself, as most have it. */
const EVENING = { from: '19:00', minutes: 120 }
const known = computed(() =>
  props.sitting === MAIN
    ? props.session
    : props.session.sittings?.find((s) => s.id === props.sitting),
)
const isNew = computed(() => known.value === undefined)
const dayBefore = format(subDays(parseISO(props.session.start.slice(0, 10)), 1), 'yyyy-MM-dd')
const begins = ref(known.value?.start ?? `${dayBefore}T${EVENING.from}`)
const minutes = ref<number | undefined>(isNew.value ? EVENING.minutes : known.value?.limit)
const cooks = ref([...(known.value?.cooks ?? props.session.cooks)])
const day = computed(() => begins.value.slice(0, 10))
const from = computed(() => begins.value.slice(11))
const until = computed(() =>
  minutes.value === undefined
    ? undefined
    : format(addMinutes(parseISO(begins.value), minutes.value), 'HH:mm'),
)
function setUntil(time: string | undefined) {
  if (time === undefined) {
    minutes.value = undefined
    return
  }
  const gap = differenceInMinutes(parseISO(`${day.value}T${time}`), parseISO(begins.value))
  minutes.value = gap > 0 ? gap : gap + 1440
}
const toggle = (id: string, on: boolean) =>
  (cooks.value = props.kitchen.people
    .map((p) => p.id)
    .filter((x) => (x === id ? on : cooks.value.includes(x))))
const twice = computed(() => {
  const others = [
    { id: MAIN, start: props.session.start },
    ...(props.session.sittings ?? []),
  ].filter((s) => s.id !== props.sitting)
  return others.some((s) => s.start === begins.value)
})
const wrong = computed(() =>
  !cooks.value.length
    ? 'Nobody cooks then. Allowed: one cook or more.'
    : twice.value
      ? 'Another sitting begins at that very time. Allowed: any other.'
      : sessionSchema.shape.limit.safeParse(minutes.value).success
        ? undefined
        : 'That is too short to cook anything. Allowed: ten minutes or more.',
)

function save() {
  if (wrong.value) return
  const own = {
    start: begins.value,
    cooks: [...cooks.value],
    ...(minutes.value === undefined ? {} : { limit: minutes.value }),
  }
  const [id, fresh] = [props.sitting, isNew.value]
  emit('change', (s) => {
    if (fresh) return withSitting(s, own)
    if (id !== MAIN) {
      const sittings = (s.sittings ?? []).map((x) => {
        const { limit: _, ...rest } = x
        return x.id === id ? { ...rest, ...own } : x
      })
      return partedAnew({ ...s, sittings })
    }
    const { limit: _, ...rest } = s
    return partedAnew({ ...rest, ...own })
  })
  emit('close')
}
function remove() {
  const id = props.sitting
  emit('change', (s) => withoutSitting(s, id))
  emit('close')
}
</script>

<template>
  <v-card class="card" data-test="sitting-card">
    <h2>{{ isNew ? 'One more sitting' : (known as { name?: string }).name || 'This sitting' }}</h2>
    <p v-if="isNew" class="quiet">
      What soaks, rises or cooks by itself overnight is begun then, and what is cut can be.
    </p>
    <div class="fields">
      <DayField
        label="On"
        name="The sitting is on"
        :value="day"
        @set="$event && (begins = `${$event}T${from}`)"
      />
      <HourField
        label="from"
        name="The sitting begins at"
        :value="from"
        @set="$event && (begins = `${day}T${$event}`)"
      />
      <HourField label="until" name="The sitting ends at" :value="until" empty @set="setUntil" />
    </div>
    <div class="who">
      <CheckField
        v-for="p in kitchen.people"
        :key="p.id"
        :value="cooks.includes(p.id)"
        :label="p.name"
        @set="toggle(p.id, $event)"
        >{{ p.practice }}</CheckField
      >
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div class="keys">
      <v-btn color="primary" :disabled="wrong !== undefined" data-test="keep-sitting" @click="save">
        {{ isNew ? 'Add it' : 'Keep' }}
      </v-btn>
      <v-btn variant="text" @click="emit('close')">Never mind</v-btn>
      <v-btn v-if="!isNew && sitting !== MAIN" variant="text" color="error" @click="remove">
        Without this sitting
      </v-btn>
    </div>
  </v-card>
</template>

<style scoped>
.card {
  padding: 20px;
}
.fields,
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  margin: 12px 0;
}
.fields > * {
  flex: 1 1 130px;
}
</style>
