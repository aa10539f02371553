<script setup lang="ts">
import { mdiMinus, mdiPlus } from '@mdi/js'
import { useElementSize } from '@vueuse/core'
import { computed, ref, toRef } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import type { Plan } from '~~/core/plan'
import type { CompiledSession, Session } from '~~/core/session'
import { clockTime } from '~/composables/useClock'
import { standsAt } from '~/composables/useMeasures'
import { useFollowing } from '~/composables/useFollowing'
import { useWeave } from '~/composables/useWeave'

const props = defineProps<{
  session: Session
  kitchen: Kitchen
  compiled: CompiledSession
  plan: Plan
  followed: string | undefined
  /** Where it is being watched: how far it has come, in seconds. */
  now?: number
}>()
const emit = defineEmits<{ open: [activity: string] }>()

const ZOOMS = [1.9, 3.4, 5, 8, 14, 22]
const zoom = ref(1)
const frame = ref<HTMLElement>()
const { width: frameWidth } = useElementSize(frame)

const { columns, width, height, y, end, stretches, hands, threads, ovens, hairline } = useWeave({
  plan: toRef(props, 'plan'),
  compiled: toRef(props, 'compiled'),
  kitchen: toRef(props, 'kitchen'),
  width: frameWidth,
  perMinute: computed(() => ZOOMS[zoom.value]!),
})

const clock = (seconds: number) => clockTime(props.session.start, seconds)
const { lookedAt, dishLooked, kept, keep, following, faded } = useFollowing({
  dish: toRef(props, 'followed'),
  hands,
  stretches,
})
const ticks = computed(() => {
  const step = zoom.value >= 3 ? 300 : 900
  return Array.from({ length: Math.floor(end.value / step) + 1 }, (_, i) => i * step)
})
/** Warmer the hotter, from pale amber at 100 °C to brick at 240. */
const warmth = (celsius: number) =>
  `hsl(${36 - Math.min(24, Math.max(0, (celsius - 100) / 6))} 85% 55%)`
const summary = computed(
  () =>
    `The plan as a weave: time runs down from ${clock(0)} to ${clock(end.value)}, with a strand for each cook and each place. The list further down says the same in words.`,
)
</script>

<template>
  <div>
    <div class="tools no-print">
      <slot />
      <span class="zoom" role="group" aria-label="Size of the weave">
        <v-btn
          :icon="mdiMinus"
          size="x-small"
          variant="outlined"
          aria-label="Smaller"
          :disabled="zoom === 0"
          @click="zoom--"
        />
        <v-btn
          :icon="mdiPlus"
          size="x-small"
          variant="outlined"
          aria-label="Larger"
          :disabled="zoom === ZOOMS.length - 1"
          @click="zoom++"
        />
      </span>
    </div>
    <div
      ref="frame"
      class="frame"
      tabindex="0"
      role="region"
      aria-label="The weave, scrolls sideways"
    >
      <WeaveHeads
        :columns="columns"
        :width="width"
        :kept="kept"
        @look="lookedAt = $event"
        @keep="keep"
      />
      <svg
        :width="width"
        :height="height"
        :viewBox="`0 0 ${width} ${height}`"
        role="img"
        :aria-label="summary"
        data-test="weave"
      >
        <WeaveTextures />
        <g class="grid">
          <template v-for="t in ticks" :key="t">
            <line x1="40" :x2="width" :y1="y(t)" :y2="y(t)" :class="{ strong: t % 1800 === 0 }" />
            <text v-if="t % 1800 === 0 || zoom >= 3" x="36" :y="y(t) + 4" text-anchor="end">
              {{ clock(t) }}
            </text>
          </template>
        </g>
        <g>
          <rect
            v-for="c in columns"
            :key="c.id"
            :x="c.x"
            y="0"
            :width="c.width"
            :height="height"
            :class="c.group === 'Hands' ? 'palm' : 'warp'"
          />
        </g>
        <g v-for="o in ovens" :key="`${o.station}${o.from}`">
          <rect
            :x="o.x"
            :y="o.set"
            :width="o.width"
            :height="Math.max(0, o.top - o.set)"
            :fill="warmth(o.celsius)"
            opacity="0.22"
          />
          <rect
            :x="o.x"
            :y="o.top"
            :width="o.width"
            :height="o.bottom - o.top"
            :fill="warmth(o.celsius)"
            opacity="0.5"
          />
          <line :x1="o.x - 3" :x2="o.x + o.width + 3" :y1="o.set" :y2="o.set" class="knob" />
        </g>
        <path
          v-for="t in threads"
          :key="t.key"
          :d="t.path"
          fill="none"
          :stroke="t.colour"
          :stroke-width="t.thin ? 1.2 : 2"
          :stroke-dasharray="t.thin ? '2 3' : undefined"
          :opacity="faded(t) ? 0.05 : following ? 0.95 : 0.34"
        />
        <g
          v-for="s in stretches"
          :key="s.activity"
          :data-activity="s.activity"
          :opacity="faded(s) ? 0.14 : 1"
          @click="emit('open', s.activity)"
          @mouseenter="dishLooked = s.dish"
          @mouseleave="dishLooked = undefined"
        >
          <title>{{ clock(s.from) }} to {{ clock(s.to) }}: {{ s.text }}</title>
          <rect
            v-for="fill in [s.look.colour, `url(#${s.look.pattern})`]"
            :key="fill"
            :x="s.x - 7"
            :y="s.top"
            width="14"
            :height="Math.max(2, s.bottom - s.top - 1)"
            rx="6"
            :fill="fill"
          />
          <g v-if="s.bottom - s.top > 17">
            <rect :x="s.x - 8" :y="s.top + 2" width="16" height="13" rx="3" :fill="s.look.colour" />
            <text :x="s.x" :y="s.top + 12" class="mark">{{ s.mark }}</text>
          </g>
        </g>
        <g
          v-for="h in hands"
          :key="h.key"
          :opacity="faded(h) ? 0.14 : 1"
          @click="h.activity !== undefined && emit('open', h.activity)"
          @mouseenter="dishLooked = h.dish"
          @mouseleave="dishLooked = undefined"
        >
          <title>{{ clock(h.from) }} to {{ clock(h.to) }}: {{ h.text }}</title>
          <rect
            :x="h.x"
            :y="h.top"
            :width="h.width"
            :height="Math.max(1.5, h.bottom - h.top - 1)"
            rx="3"
            class="held"
            :style="{ '--dish': h.look?.colour ?? 'transparent' }"
          />
          <template v-if="h.look">
            <rect
              v-for="fill in [h.look.colour, `url(#${h.look.pattern})`]"
              :key="fill"
              :x="h.x"
              :y="h.top"
              width="8"
              :height="Math.max(1.5, h.bottom - h.top - 1)"
              rx="2"
              :fill="fill"
            />
          </template>
          <svg
            v-if="h.bottom - h.top >= 11"
            :x="h.x + 11"
            :y="h.top"
            :width="h.width - 13"
            :height="h.bottom - h.top"
          >
            <text class="deed">
              <tspan v-if="h.mark" x="0" y="9.6" class="deed-mark">{{ h.mark }}</tspan>
              <tspan
                v-for="(line, k) in h.lines"
                :key="k"
                :x="h.mark && !k ? 20 : 0"
                :y="9.6 + 12 * k"
              >
                {{ line }}
              </tspan>
            </text>
          </svg>
        </g>
        <polyline v-if="now === undefined" :points="hairline" class="hairline" />
        <WeaveWishes
          v-if="session.wishes?.length"
          :session="session"
          :kitchen="kitchen"
          :compiled="compiled"
          :columns="columns"
          :hands="hands"
          :stretches="stretches"
          :y="y"
          :end="end"
        />
        <line x1="40" :x2="width" :y1="y(plan.makespan)" :y2="y(plan.makespan)" class="finish" />
        <g v-if="now !== undefined">
          <rect x="40" :y="y(now)" :width="width - 40" :height="height" class="ahead" />
          <line x1="40" :x2="width" :y1="y(now)" :y2="y(now)" class="now" data-test="now-line" />
        </g>
        <!-- Above all else, so that what stands beside the oven does not hide when to set it. -->
        <text
          v-for="o in ovens"
          :key="`${o.station}${o.from} set`"
          :x="o.x + o.width + 4"
          :y="o.set + 10"
          class="heat"
        >
          {{ standsAt(o.celsius) }} {{ clock(o.setAt) }}
        </text>
      </svg>
    </div>
  </div>
</template>

<style scoped src="./weave.css"></style>
