<script setup lang="ts">
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { computed } from 'vue'
import { counted } from '~~/core/quantity'
import { isPast, type Lying } from '~~/core/packing'
import { dayText } from '~/composables/useMeasures'

/** One pack where it lies: what it is, how much, and till when. */
const props = defineProps<{
  lying: Lying
  index: number
  today: string
  chosen: boolean
  /** The evening that it is meant for. */
  on: string | undefined
}>()
const emit = defineEmits<{ choose: [] }>()
const past = computed(() => isPast(props.lying, props.today))
const days = computed(() =>
  differenceInCalendarDays(parseISO(props.lying.eatBy), parseISO(props.today)),
)
const till = computed(() =>
  past.value
    ? `past its day, ${dayText(props.lying.eatBy, 'EEE d MMM')}`
    : days.value === 0
      ? 'eat today'
      : `by ${dayText(props.lying.eatBy, days.value > 300 ? 'd MMM yyyy' : 'EEE d MMM')}`,
)
</script>

<template>
  <v-btn
    class="tile"
    :class="{ past, soon: !past && days <= 1 && lying.place !== 'freezer' }"
    variant="outlined"
    height="auto"
    :aria-pressed="chosen"
    :data-test="`pack-${lying.pack.id}`"
    @click="emit('choose')"
  >
    <span class="in">
      <DishMark :mark="lying.pack.mark" :index="index" />
      <span class="words">
        <strong>{{ lying.pack.name }}</strong>
        <span class="quiet"
          >{{ counted(lying.left, 'portion')
          }}<template v-if="lying.pack.variant">, {{ lying.pack.variant }}</template
          ><template v-if="lying.thawed">, thawed</template
          ><template v-if="lying.pack.is === 'raw'">, raw</template></span
        >
        <span class="figure" :class="past ? 'wrong' : ''"
          >{{ till }}<template v-if="on && !past"> · for {{ dayText(on, 'EEE d') }}</template></span
        >
      </span>
    </span>
  </v-btn>
</template>

<style scoped>
.tile {
  justify-content: start;
  padding: 7px 8px;
  border-color: var(--hair);
  text-align: start;
  white-space: normal;
}
.tile :deep(.v-btn__content) {
  white-space: normal;
}
.tile[aria-pressed='true'] {
  border: 2px solid rgb(var(--v-theme-primary));
}
.soon {
  border-left: 5px solid rgb(var(--v-theme-error));
}
.past {
  border: 2px dashed rgb(var(--v-theme-error));
}
.in {
  display: flex;
  gap: 8px;
  align-items: start;
}
.words {
  display: flex;
  flex-direction: column;
  font-size: 0.9rem;
  line-height: 1.25;
  overflow-wrap: anywhere;
}
</style>
