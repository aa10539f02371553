<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import type { Recipe } from '~~/core/recipe'
import { sessionSchema, type Session } from '~~/core/session'
import { plain } from '~/composables/plain'
import { numberTyped } from '~/composables/useFields'
import { spanText } from '~/composables/useClock'
import { useTrying } from '~/composables/useTrying'

const props = defineProps<{
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
  /** Seconds of the plan on the page, where there is one. */
  makespan: number | undefined
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()

const wrong = ref<string>()
const over = computed(() =>
  props.session.limit !== undefined && props.makespan !== undefined
    ? props.makespan - props.session.limit * 60
    : undefined,
)
// Proposals are for the session as it was.
const {
  tried,
  found: options,
  ask,
  stop,
} = useTrying(
  () => props.session,
  (planner, onTry) => {
    const { session, kitchen, recipes } = props
    return planner.leaveOut(plain({ session, kitchen, recipes }), session.limit! * 60, onTry)
  },
)

function setLimit(typed: string) {
  wrong.value = undefined
  if (typed.trim() === '') return emit('change', ({ limit: _, ...s }) => s)
  const limit = numberTyped(typed)
  if (sessionSchema.shape.limit.safeParse(limit).success) emit('change', (s) => ({ ...s, limit }))
  else wrong.value = `"${typed}" is not a limit. Allowed: 10 to 2880 minutes, or empty.`
}

const nameOf = (id: string) => props.recipes.find((r) => r.id === id)?.name ?? id
const without = (dishes: string[]) =>
  emit('change', (s) => ({ ...s, dishes: s.dishes.filter((d) => !dishes.includes(d.recipe)) }))
</script>

<template>
  <div class="limit">
    <div class="fields">
      <slot />
      <TypedField
        label="To be done within"
        :value="session.limit"
        inputmode="numeric"
        placeholder="any"
        unit="min"
        aria-label="To be done within, in minutes"
        :aria-invalid="wrong !== undefined"
        @commit="setLimit"
      />
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <template v-else-if="over !== undefined">
      <p v-if="over <= 0" class="quiet" data-test="limit-kept">{{ spanText(-over) }} to spare.</p>
      <template v-else>
        <p class="wrong" data-test="limit-missed">{{ spanText(over) }} too long.</p>
        <v-btn
          v-if="!tried && !options"
          size="small"
          variant="outlined"
          @click="ask(session.dishes.length)"
          >What could be left out?</v-btn
        >
        <p v-if="tried" role="status">
          Trying without each: {{ tried[0] }} of {{ tried[1] }}
          <v-btn size="small" variant="text" @click="stop">Stop</v-btn>
        </p>
        <ul v-if="options" class="bare lined" data-test="left-out">
          <li v-for="o in options" :key="o.dishes.join()">
            <span
              >Without {{ o.dishes.map(nameOf).join(' and ') }}:
              <strong class="figure">{{ spanText(o.makespan) }}</strong><template v-if="!o.fits"
                >, still too long</template
              ></span
            >
            <v-btn size="small" variant="tonal" @click="without(o.dishes)">Leave out</v-btn>
          </li>
          <li v-if="!options.length" class="quiet">
            Leaving out up to four dishes does not help. Another day, or more hands?
          </li>
        </ul>
      </template>
    </template>
  </div>
</template>

<style scoped>
.limit {
  display: flex;
  flex-direction: column;
  gap: 4px;
  margin-top: 10px;
  font-size: 0.9rem;
}
.fields {
  display: flex;
  gap: 8px;
}
.fields > * {
  flex: 1;
}
</style>
