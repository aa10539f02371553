<script setup lang="ts">
import { computed, ref } from 'vue'
import { AIM_WORDS } from '~~/core/advice'
import type { KeptPlan } from '~~/core/household'
import {
  CALM,
  figureOf,
  MOST_CALM,
  sessionSchema,
  type Aim,
  type Calm,
  type CompiledSession,
  type Session,
} from '~~/core/session'
import { counted } from '~~/core/quantity'
import { spanText } from '~/composables/useClock'
import { numberTyped } from '~/composables/useFields'

/** How much longer the plan may be, for the sake of what, and what that costs and gains. */
const props = defineProps<{
  session: Session
  compiled: CompiledSession | undefined
  /** The plan on the page, where there is one. */
  shown: KeptPlan | undefined
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()

const WORDS = { shortest: 'as short as can be', calm: 'calm', 'very calm': 'very calm' } as const
const percent = computed(() => props.session.calm ?? CALM.calm)
const names = Object.keys(CALM) as Calm[]
const items = computed(() => [
  ...names.map((name) => ({ value: CALM[name] as number, title: WORDS[name] })),
  ...(names.some((name) => CALM[name] === percent.value)
    ? []
    : [{ value: percent.value, title: 'as you say' }]),
])
const aim = computed(() => props.session.aim ?? 'dishes')
const aimAt = (next: Aim) => emit('change', (s) => ({ ...s, aim: next }))
const wrong = ref<string>()
const set = (calm: number) => emit('change', (s) => ({ ...s, calm }))
function type(typed: string) {
  wrong.value = undefined
  const calm = numberTyped(typed)
  if (sessionSchema.shape.calm.safeParse(calm).success) set(calm)
  else
    wrong.value = `"${typed}" is not a share. Allowed: 0 to ${MOST_CALM} percent, in whole numbers.`
}

/** What the plan on the page costs and gains against the shortest one that was found. */
const words = computed(() => {
  const { shown, compiled } = props
  if (!shown?.values || !compiled) return undefined
  const { objective } = compiled.problem
  const value = (name: (typeof objective)[number]) => {
    const at = objective.indexOf(name)
    return { is: shown.values?.[at], was: shown.strict?.[at] }
  }
  const { is, was } = value(figureOf(aim.value))
  if (is === undefined) return undefined
  const now = {
    dishes: `${counted(is, 'change')} of dish`,
    hands: `Hands free ${spanText(is)} after the beginning`,
    ovens: is ? `${counted(is, 'change')} of oven heat` : 'No change of oven heat',
  }[aim.value]
  const gain = was === undefined ? 0 : was - is
  if (gain < (aim.value === 'hands' ? 60 : 1)) return `${now}.`
  const longer = shown.plan.makespan - shown.strict![0]!
  const price = longer >= 30 ? `${spanText(longer)} longer` : 'no longer'
  const than = 'than in the shortest plan found'
  return aim.value === 'hands'
    ? `${now}, ${spanText(gain)} sooner ${than}; ${price}.`
    : `${now}, ${gain} fewer ${than}; ${price}.`
})
</script>

<template>
  <div class="calm">
    <div class="fields">
      <PickField
        label="The plan is to be"
        aria-label="The plan is to be"
        :value="percent"
        :items="items"
        @pick="set"
      />
      <TypedField
        label="At most longer"
        class="share"
        :value="percent"
        inputmode="numeric"
        unit="%"
        aria-label="At most longer, in percent"
        :aria-invalid="wrong !== undefined"
        @commit="type"
      />
      <div class="aim">
        <PickField
          label="for the sake of"
          aria-label="For the sake of"
          :value="aim"
          :items="AIM_WORDS"
          @pick="aimAt"
        />
      </div>
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <p v-else-if="words" class="quiet" data-test="calm">{{ words }}</p>
  </div>
</template>

<style scoped>
.calm {
  display: flex;
  flex-direction: column;
  gap: 4px;
  margin-top: 10px;
  font-size: 0.9rem;
}
.fields {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 6.5em;
  gap: 8px;
}
.aim {
  grid-column: 1 / -1;
}
</style>
