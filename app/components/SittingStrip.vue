<script setup lang="ts">
import { format } from 'date-fns'
import { computed } from 'vue'
import type { ListedSitting } from '~~/core/session'
import { clockText, dayText } from '~/composables/useMeasures'

/** Which sitting or evening of the session is looked at; of one alone there is nothing to say. */
const props = defineProps<{ sittings: readonly ListedSitting[]; open: string }>()
const emit = defineEmits<{ open: [sitting: string] }>()
const today = format(new Date(), 'yyyy-MM-dd')
const cookings = computed(() => props.sittings.filter((s) => s.kind === 'cooking'))
const evenings = computed(() =>
  props.sittings
    .filter((s) => s.kind === 'evening')
    .map((s) => ({
      value: s.id,
      title: `${dayOf(s)}, on the table ${clockText(s.start.slice(11))}`,
    })),
)
const dayOf = (s: ListedSitting) =>
  s.start.startsWith(today) ? 'today' : dayText(s.start.slice(0, 10), 'EEE d MMM')
const inEvening = computed(() => evenings.value.find((e) => e.value === props.open))
</script>

<template>
  <nav v-if="sittings.length > 1" class="strip no-print" aria-label="Sittings and evenings">
    <v-btn
      v-for="s in cookings"
      :key="s.id"
      size="small"
      :variant="open === s.id ? 'flat' : 'outlined'"
      :color="open === s.id ? 'primary' : undefined"
      :aria-pressed="open === s.id"
      @click="emit('open', s.id)"
    >
      {{ dayOf(s) }} {{ clockText(s.start.slice(11)) }}
    </v-btn>
    <div v-if="evenings.length" class="evenings">
      <PickField
        :value="inEvening?.value ?? ''"
        :items="[...(inEvening ? [] : [{ value: '', title: 'an evening …' }]), ...evenings]"
        aria-label="An evening"
        @pick="$event && emit('open', $event)"
      />
    </div>
  </nav>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-bottom: 6px;
}
.evenings {
  width: 310px;
}
</style>
