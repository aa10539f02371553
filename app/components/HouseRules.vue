<script setup lang="ts">
import { heatText } from '~/composables/useMeasures'
import { ref } from 'vue'
import {
  MOST_BREATHER,
  MOST_MEAL,
  USUAL_RULES,
  type HouseRules,
  type Kitchen,
} from '~~/core/kitchen'
import { numberTyped } from '~/composables/useFields'

defineProps<{ rules: Kitchen['rules'] }>()
const emit = defineEmits<{ edit: [rules: HouseRules] }>()

type Choice = 'cutting' | 'raw' | 'pans'
const CHOICES: {
  key: Choice
  title: string
  options: { value: string; words: string; why: string }[]
}[] = [
  {
    key: 'cutting',
    title: 'Cutting',
    options: [
      { value: 'any', words: 'whenever it fits', why: 'the shortest plan' },
      { value: 'first', words: 'everything first', why: 'one board, one mess, then a calm stove' },
      {
        value: 'just-before',
        words: 'just before use',
        why: 'within a quarter of an hour: fresher, and no bowls standing about',
      },
    ],
  },
  {
    key: 'raw',
    title: 'Raw meat and fish',
    options: [
      {
        value: 'any',
        words: 'whenever it fits',
        why: 'hands, board and knife are washed at every change',
      },
      {
        value: 'last',
        words: 'after all other cutting',
        why: 'handled once, and nothing eaten as it is comes near the board afterwards',
      },
    ],
  },
  {
    key: 'pans',
    title: 'Pots and pans',
    options: [
      { value: 'wash', words: 'washed and used again', why: 'fewer are needed' },
      {
        value: 'next-clean',
        words: 'the next clean one',
        why: 'one load of washing-up at the end, if you have enough of them',
      },
    ],
  },
]
const BREAKS = [
  { key: 'breather', title: 'For each cook, in every hour', most: MOST_BREATHER },
  { key: 'meal', title: 'To eat, in four hours or more', most: MOST_MEAL },
] as const
const wrong = ref<{ key: string; words: string }>()
function rest(
  rules: Kitchen['rules'],
  { key, title, most }: (typeof BREAKS)[number],
  typed: string,
) {
  wrong.value = undefined
  const minutes = numberTyped(typed)
  if (Number.isInteger(minutes) && minutes >= 0 && minutes <= most) set(rules, { [key]: minutes })
  else wrong.value = { key, words: `${title}: "${typed}" is none. Allowed: 0 to ${most} minutes.` }
}
const of = (rules: Kitchen['rules']) => rules ?? USUAL_RULES
const set = (rules: Kitchen['rules'], patch: Partial<HouseRules>) =>
  emit('edit', { ...of(rules), ...patch })
</script>

<template>
  <section class="rules" aria-label="House rules">
    <h2>House rules</h2>
    <fieldset v-for="c in CHOICES" :key="c.key">
      <legend>{{ c.title }}</legend>
      <v-radio-group
        :model-value="of(rules)[c.key]"
        :aria-label="c.title"
        @update:model-value="set(rules, { [c.key]: $event })"
      >
        <v-radio v-for="o in c.options" :key="o.value" :value="o.value">
          <template #label
            ><span
              >{{ o.words }} <span class="quiet">{{ o.why }}</span></span
            ></template
          >
        </v-radio>
      </v-radio-group>
    </fieldset>
    <fieldset>
      <legend>Breaks</legend>
      <div class="breaks">
        <TypedField
          v-for="b in BREAKS"
          :key="b.key"
          :label="b.title"
          :value="of(rules)[b.key]"
          inputmode="numeric"
          unit="min"
          :aria-invalid="wrong?.key === b.key"
          @commit="rest(rules, b, $event)"
        />
      </div>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong.words }}</p>
      <p v-else class="quiet">
        0 for none. Hands are free then; what only wants an eye kept on it goes on.
      </p>
    </fieldset>
    <fieldset>
      <legend>Caution</legend>
      <CheckField
        :value="of(rules).hot"
        :label="`above ${heatText(32)} in the kitchen`"
        @set="set(rules, { hot: $event })"
        >cooked food stands an hour at most, not two: germs grow faster. Follow local
        guidance.</CheckField
      >
      <CheckField
        :value="of(rules).cautions === 'strict'"
        label="small children, old or ill people eat along"
        @set="set(rules, { cautions: $event ? 'strict' : 'usual' })"
        >an hour at most, and a full minute of washing after raw food: a little of a germ harms them
        more.</CheckField
      >
    </fieldset>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.15rem;
}
legend {
  margin-top: 8px;
  font-weight: 650;
}
.breaks {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  margin-bottom: 4px;
}
.breaks > * {
  width: 15em;
}
.rules :deep(.quiet) {
  font-size: 0.88rem;
}
</style>
