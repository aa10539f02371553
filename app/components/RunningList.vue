<script setup lang="ts">
import {
  mdiCheckCircleOutline,
  mdiEyeOutline,
  mdiFridgeOutline,
  mdiHandWashOutline,
  mdiPlay,
  mdiRotateRight,
  mdiStop,
  mdiTrayArrowUp,
  mdiWater,
} from '@mdi/js'
import { computed, ref } from 'vue'
import { placeWords, type Instruction } from '~~/core/guide'
import type { Kitchen } from '~~/core/kitchen'
import type { CompiledSession, Session } from '~~/core/session'
import { clockTime, spanText } from '~/composables/useClock'
import { standsAt } from '~/composables/useMeasures'

const props = defineProps<{
  session: Session
  kitchen: Kitchen
  compiled: CompiledSession
  lines: Instruction[]
  /** A step can be talked about. */
  changes?: boolean
}>()
const emit = defineEmits<{ open: [activity: string] }>()

const ICONS: Partial<Record<Instruction['kind'], string>> = {
  start: mdiPlay,
  end: mdiStop,
  oven: mdiRotateRight,
  wash: mdiWater,
  'wash-hands': mdiHandWashOutline,
  cold: mdiFridgeOutline,
  out: mdiTrayArrowUp,
  stir: mdiEyeOutline,
  check: mdiCheckCircleOutline,
}
const cook = ref('')
/** Steps that the cook wants otherwise than they would be planned. */
const wished = computed(
  () => new Set((props.session.wishes ?? []).flatMap((w) => ('step' in w ? [w.step] : []))),
)
const cooks = computed(() => props.kitchen.people.filter((p) => props.session.cooks.includes(p.id)))
const shown = computed(() => props.lines.filter((l) => !cook.value || l.cook === cook.value))
const personName = (id: string) => props.kitchen.people.find((p) => p.id === id)?.name ?? id
const where = (ids: string[]) =>
  ids.map((id) => placeWords(id, props.kitchen).replace(/^the /, '')).join(', ')
const mark = (dish: string) => props.compiled.dishes.find((d) => d.id === dish)?.mark ?? ''
const order = (dish: string) => props.compiled.order.indexOf(dish)
const clock = (seconds: number) => clockTime(props.session.start, seconds)
</script>

<template>
  <section class="list" aria-labelledby="list-title">
    <div class="top">
      <h2 id="list-title">Everything in order</h2>
      <v-btn-toggle
        v-model="cook"
        class="no-print"
        mandatory
        density="compact"
        variant="text"
        aria-label="Whose list"
      >
        <v-btn value="">Everybody</v-btn>
        <v-btn v-for="p in cooks" :key="p.id" :value="p.id">{{ p.name }}</v-btn>
      </v-btn-toggle>
    </div>
    <ol>
      <li v-for="line in shown" :key="line.key" :class="line.kind" :data-kind="line.kind">
        <time class="figure">{{ clock(line.at) }}</time>
        <span class="who-does">{{ personName(line.cook) }}</span>
        <DishMark v-if="line.dish" :mark="mark(line.dish)" :index="order(line.dish)" />
        <span v-else />
        <div class="what">
          <p>
            <v-icon v-if="ICONS[line.kind]" :icon="ICONS[line.kind]" size="16" aria-hidden="true" />
            {{ line.text }}
            <span v-if="line.places.length && line.kind !== 'wash'" class="quiet"
              >· {{ where(line.places)
              }}<template v-if="line.celsius !== undefined && line.kind !== 'oven'">
                · {{ standsAt(line.celsius) }}</template
              ></span
            >
          </p>
          <p v-if="line.amounts.length" class="uses">{{ line.amounts.join(' · ') }}</p>
          <p v-if="line.caution" class="caution">{{ line.caution }}</p>
          <p v-if="line.activity !== undefined && wished.has(line.activity)" class="quiet">
            as you want it
          </p>
          <v-btn
            v-if="changes && line.activity !== undefined && line.points?.[0] === 0"
            class="no-print change"
            size="x-small"
            variant="text"
            :aria-label="`Change: ${line.text}`"
            @click="emit('open', line.activity)"
            >Change</v-btn
          >
        </div>
        <span class="figure long">
          <template v-if="line.until > line.at">{{ spanText(line.until - line.at) }}</template>
        </span>
        <span class="figure until quiet">
          <template v-if="line.until > line.at">until {{ clock(line.until) }}</template>
        </span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.list {
  margin-top: 32px;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: baseline;
}
h2 {
  font-size: 1.5rem;
}
ol {
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 3.4em 4.2em 2.6em minmax(0, 1fr) 4.5em 6.5em;
  gap: 2px 12px;
  align-items: baseline;
  padding: 7px 0;
  border-bottom: 1px solid var(--hair);
}
/* What is looked at rather than done steps back a little. */
.check .what,
.stir .what,
.end .what {
  font-size: 0.94rem;
}
time {
  font-family: var(--display);
  font-size: 1.1rem;
}
.uses {
  font-size: 0.88rem;
  color: var(--quiet);
}
.caution {
  font-size: 0.88rem;
  color: rgb(var(--v-theme-error));
}
.oven .what {
  font-weight: 600;
}
.long,
.until {
  text-align: right;
}
.until {
  font-size: 0.88rem;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 3.2em 2.6em minmax(0, 1fr) 4em;
  }
  .who-does {
    order: 5;
    grid-column: 1 / 3;
    font-size: 0.85rem;
  }
  .until {
    order: 6;
    grid-column: 3 / -1;
    text-align: left;
  }
}
@media print {
  li {
    break-inside: avoid;
  }
}
</style>
