<script setup lang="ts">
import type { Recipe } from '~~/core/recipe'
import type { Session, SessionDish } from '~~/core/session'
import { clockText, dayText } from '~/composables/useMeasures'

/** When a dish is to be ready, and how soon it may be begun. */
const props = defineProps<{ session: Session; dish: SessionDish; recipe: Recipe | undefined }>()
const emit = defineEmits<{ set: [patch: Partial<SessionDish>] }>()
/** An hour for a day that was chosen first. */
const HOUR = { ready: '18:30', notBefore: '09:00' }
const day = (of: 'ready' | 'notBefore') => props.dish[of]?.slice(0, 10)
const hour = (of: 'ready' | 'notBefore') => props.dish[of]?.slice(11)
const words = (at: string | undefined) =>
  at ? `${dayText(at.slice(0, 10), 'EEE d MMM')} ${clockText(at.slice(11))}` : ''
function setDay(of: 'ready' | 'notBefore', value: string | undefined) {
  emit('set', { [of]: value ? `${value}T${hour(of) ?? HOUR[of]}` : undefined })
}
function setHour(of: 'ready' | 'notBefore', value: string | undefined) {
  const on = day(of) ?? props.session.start.slice(0, 10)
  emit('set', { [of]: value ? `${on}T${value}` : undefined })
}
</script>

<template>
  <details class="times">
    <summary>
      {{ dish.ready ? `ready by ${words(dish.ready)}` : 'at a fixed time'
      }}{{ dish.notBefore ? `, not before ${words(dish.notBefore)}` : '' }}
    </summary>
    <div class="fields">
      <DayField
        label="Ready on"
        :name="`${recipe?.name}: ready on`"
        :value="day('ready')"
        empty
        @set="setDay('ready', $event)"
      />
      <HourField
        label="by"
        :name="`${recipe?.name}: ready by`"
        :value="hour('ready')"
        empty
        @set="setHour('ready', $event)"
      />
      <DayField
        label="Not before"
        :name="`${recipe?.name}: not before the day`"
        :value="day('notBefore')"
        empty
        @set="setDay('notBefore', $event)"
      />
      <HourField
        label="at"
        :name="`${recipe?.name}: not before`"
        :value="hour('notBefore')"
        empty
        @set="setHour('notBefore', $event)"
      />
    </div>
  </details>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1.4fr 1fr;
  gap: 6px 8px;
}
.times[open] {
  flex-basis: 100%;
}
summary {
  font-size: 0.9rem;
}
</style>
