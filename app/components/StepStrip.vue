<script setup lang="ts">
import { computed } from 'vue'
import { kindWord } from '~~/core/kitchen'
import { counted } from '~~/core/quantity'
import { equipmentFor, lawOf, stripOf, whenOf, type Recipe } from '~~/core/recipe'
import { heatRange } from '~/composables/useMeasures'
import { minutesText, WORK_WORDS } from '~/composables/useWords'

const props = defineProps<{ recipe: Recipe; open: string | undefined }>()
const emit = defineEmits<{ open: [id: string] }>()

const LANE = 18
const ROW = 60
const strip = computed(() => stripOf(props.recipe))
const gutter = computed(() => strip.value.lanes * LANE + 8)
const x = (lane: number) => LANE / 2 + lane * LANE + 2

/** All threads from a step to one that waits for it; tight where it may not wait for ever. */
const threads = computed(() =>
  strip.value.rows.flatMap((r, to) =>
    r.from.map((f) => ({
      from: f.row,
      to,
      lane: f.lane,
      tight: props.recipe.steps[to]!.after.find((a) => a.step === f.id)?.most !== undefined,
    })),
  ),
)
/** What to draw beside each step: what passes, what comes in, what goes on below. */
const drawn = computed(() =>
  strip.value.rows.map((r, i) => {
    const here = threads.value.filter((t) => t.from <= i && i <= t.to)
    const at = x(r.lane)
    const paths = here.map((t) => {
      const lane = x(t.lane)
      const path =
        t.to === i
          ? lane === at
            ? `M${at},0V${ROW / 2}`
            : `M${lane},0C${lane},${ROW / 3} ${at},${ROW / 8} ${at},${ROW / 2}`
          : t.from === i
            ? `M${lane},${ROW / 2}V${ROW}`
            : `M${lane},0V${ROW}`
      return { path, tight: t.tight }
    })
    const below = here.filter((t) => t.to > i).map((t) => ({ left: x(t.lane), tight: t.tight }))
    return { at, paths, below }
  }),
)
const wait = (step: Recipe['steps'][number]) => {
  const a = step.after.find((w) => w.least || w.most != null)
  if (!a) return ''
  if (a.most === 0) return 'at once'
  return a.most == null
    ? `after ${minutesText(a.least!, a.least!)}`
    : `within ${minutesText(a.most, a.most)}`
}
</script>

<template>
  <ol class="bare strip" :style="{ '--gutter': `${gutter}px`, '--row': `${ROW}px` }">
    <li v-for="(s, i) in recipe.steps" :key="s.id">
      <div class="lanes" aria-hidden="true">
        <svg :width="gutter" :height="ROW">
          <path
            v-for="(p, k) in drawn[i]!.paths"
            :key="k"
            :d="p.path"
            :class="{ tight: p.tight }"
          />
          <circle
            :cx="drawn[i]!.at"
            :cy="ROW / 2"
            r="6"
            :class="{ hands: lawOf(s.work).attend === 'hands' }"
          />
        </svg>
        <span
          v-for="(b, k) in open === s.id ? drawn[i]!.below : []"
          :key="k"
          class="on"
          :class="{ tight: b.tight }"
          :style="{ left: `${b.left}px` }"
        />
      </div>
      <div class="content">
        <v-btn
          variant="text"
          block
          class="pressed step"
          :aria-expanded="open === s.id"
          :data-test="`step-${s.id}`"
          @click="emit('open', s.id)"
        >
          <span class="head">
            <strong>{{ WORK_WORDS[s.work] }}</strong>
            <span class="figure time">{{
              minutesText(s.ways[0]!.minutes[0], s.ways[0]!.minutes[1])
            }}</span>
            <span v-if="s.ways[0]!.heat" class="figure hot">{{
              heatRange(s.ways[0]!.heat.celsius)
            }}</span>
            <span class="quiet">{{ wait(s) }}</span>
            <span v-if="whenOf(recipe, s.id)" class="when"
              >if {{ whenOf(recipe, s.id)!.option.label }}</span
            >
            <span v-if="s.ahead" class="quiet" :title="s.ahead.how"
              >up to {{ counted(s.ahead.days, 'day') }} ahead</span
            >
            <span class="quiet gear">{{ equipmentFor(recipe, s).map(kindWord).join(', ') }}</span>
            <span v-if="s.doubts.length" class="doubt">to check</span>
          </span>
          <span class="do">{{ s.do }}</span>
        </v-btn>
        <slot v-if="open === s.id" :step="s" />
      </div>
    </li>
  </ol>
</template>

<style scoped>
.strip {
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: var(--gutter) minmax(0, 1fr);
}
.lanes {
  position: relative;
}
svg {
  display: block;
}
svg path {
  fill: none;
  stroke: var(--quiet);
  stroke-width: 2;
  stroke-dasharray: 2 4;
}
svg path.when {
  font-style: italic;
}
.tight {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 3;
  stroke-dasharray: none;
}
svg circle {
  fill: rgb(var(--v-theme-background));
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 3;
}
svg circle.hands {
  fill: rgb(var(--v-theme-primary));
}
.on {
  position: absolute;
  top: var(--row);
  bottom: 0;
  width: 0;
  margin-left: -1px;
  border-left: 2px dotted var(--quiet);
}
.on.tight {
  border-left: 3px solid rgb(var(--v-theme-primary));
}
.content {
  min-width: 0;
  border-bottom: 1px solid var(--hair);
}
.step {
  height: calc(var(--row) - 1px) !important;
  padding: 2px 8px !important;
}
.step :deep(.v-btn__content) {
  display: flex;
  flex-direction: column;
  align-items: start;
  justify-content: center;
  min-width: 0;
}
.step[aria-expanded='true'] {
  background: rgb(var(--v-theme-surface-variant));
}
.head {
  display: flex;
  gap: 12px;
  align-items: baseline;
  width: 100%;
  overflow: hidden;
  font-size: 0.88rem;
  white-space: nowrap;
}
.head strong,
.time,
.hot,
.doubt {
  flex: none;
}
.hot {
  color: rgb(var(--v-theme-error));
}
.gear {
  overflow: hidden;
  text-overflow: ellipsis;
}
.doubt {
  margin-left: auto;
  padding: 0 8px;
  border: 1.5px solid rgb(var(--v-theme-error));
  border-radius: 10px;
  color: rgb(var(--v-theme-error));
  font-size: 0.8rem;
}
.do {
  width: 100%;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}
</style>
