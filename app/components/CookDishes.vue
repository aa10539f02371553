<script setup lang="ts">
import { computed } from 'vue'
import { notBegun, type Running, type Standing, type Turn } from '~~/core/logbook'
import type { Recipe } from '~~/core/recipe'
import type { CompiledSession } from '~~/core/session'
import { plain } from '~/composables/plain'
import { spanText } from '~/composables/useClock'
import { useTrying } from '~/composables/useTrying'

/** The dishes under way: how far each is, one more of it, another one, or what could be given up. */
const props = defineProps<{
  compiled: CompiledSession
  running: Running
  standing: Standing
  turns: readonly Turn[]
  gone: ReadonlyMap<string, number>
  recipes: readonly Recipe[]
  /** Seconds beyond the session's limit; 0 or less where it has none or keeps it. */
  beyond: number
  timeAt: (seconds: number) => string
}>()
const emit = defineEmits<{ giveUp: [dish: string]; add: [recipe: string]; close: [] }>()

const dishes = computed(() => props.compiled.dishes.filter((d) => !d.base))
const open = computed(() => new Set(notBegun(props.running, props.standing)))
const leftOf = (dish: string) => props.turns.filter((t) => t.line.dish === dish && !t.over).length
const stateOf = (dish: string) => {
  if (props.gone.has(dish)) return 'given up'
  const left = leftOf(dish)
  if (!left) return 'done'
  const last = Math.max(...props.turns.filter((t) => t.line.dish === dish).map((t) => t.to))
  return `${open.value.has(dish) ? 'not begun' : 'under way'}, done about ${props.timeAt(last)}`
}
/** The recipe that a dish is made by, whatever it is called in this session. */
const recipeOf = (dish: string) => {
  const extra = props.running.events.findLast((e) => e.kind === 'extra' && e.dish === dish)
  return extra?.kind === 'extra' ? extra.recipe : dish
}
const others = computed(() =>
  props.recipes
    .filter((r) => !r.base && !dishes.value.some((d) => recipeOf(d.id) === r.id))
    .map((r) => ({ value: r.id, title: r.name })),
)
const known = computed(() => new Set(props.recipes.map((r) => r.id)))

/** Tries the rest without each dish that has not begun; what is gained is by what is to be made now. */
const { tried, found, ask, stop } = useTrying(
  () => `${props.gone.size} ${props.compiled.dishes.length}`,
  (planner, onTry) => {
    const { running, standing } = plain({ running: props.running, standing: props.standing })
    const { now, pauses } = standing
    return planner.without(running, { now, pauses }, [...open.value], onTry)
  },
)
const gain = (dish: string) => found.value?.find((w) => w.dish === dish)
</script>

<template>
  <v-card class="card" data-test="cook-dishes">
    <h2>The dishes</h2>
    <p v-if="beyond > 60" class="caution">
      This order is {{ spanText(beyond) }} over the time that the session was given.
    </p>
    <p v-if="tried" role="status">
      Trying without each: {{ tried[0] }} of {{ tried[1] }}
      <v-btn variant="text" height="56" @click="stop">Stop</v-btn>
    </p>
    <v-btn
      v-else-if="!found && open.size"
      variant="tonal"
      height="56"
      class="ask"
      data-test="ask-without"
      @click="ask(open.size)"
    >
      What would giving one up save?
    </v-btn>
    <p v-else-if="found && !found.length">No dish that has not begun holds the others up.</p>
    <ul class="bare lined">
      <li v-for="d in dishes" :key="d.id" :data-test="`dish-${d.id}`">
        <DishMark :mark="d.mark" :index="compiled.order.indexOf(d.id)" />
        <span class="what">
          {{ d.name }}
          <span class="quiet state">{{ stateOf(d.id) }}</span>
          <strong v-if="gain(d.id)" class="state"
            >Without it all is done at {{ timeAt(gain(d.id)!.finish) }}</strong
          >
        </span>
        <v-btn
          v-if="known.has(recipeOf(d.id))"
          variant="outlined"
          height="56"
          :aria-label="`One more: ${d.name}`"
          @click="emit('add', recipeOf(d.id))"
        >
          One more
        </v-btn>
        <v-btn
          v-if="leftOf(d.id) && !gone.has(d.id)"
          variant="outlined"
          height="56"
          :aria-label="`Give up: ${d.name}`"
          @click="emit('giveUp', d.id)"
        >
          Give up
        </v-btn>
      </li>
    </ul>
    <div class="foot">
      <PickField
        v-if="others.length"
        :items="others"
        aria-label="Another dish"
        placeholder="Another dish …"
        @pick="emit('add', $event)"
      />
      <v-btn variant="text" height="56" @click="emit('close')">Close</v-btn>
    </div>
  </v-card>
</template>

<style scoped>
.card {
  padding: 20px;
}
h2 {
  margin-bottom: 8px;
  font-size: 1.3rem;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 10px;
  align-items: center;
  padding: 6px 0;
}
.what {
  flex: 1 1 200px;
  font-size: 1.15rem;
}
.state {
  display: block;
  font-size: 1rem;
}
.caution {
  color: rgb(var(--v-theme-error));
}
.foot {
  display: flex;
  gap: 12px;
  align-items: center;
  margin-top: 12px;
}
.foot > :first-child {
  flex: 1;
}
</style>
