<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'
import { wishText, withoutWish, type Asked } from '~~/core/advice'
import { sameWish, type CompiledSession, type Session, type Wish } from '~~/core/session'
import { clockTime } from '~/composables/useClock'
import { plain } from '~/composables/plain'
import { useTrying } from '~/composables/useTrying'
import { speakingOf } from '~/composables/useWish'

/** What the cook wants otherwise, each taken back with one touch; where nothing can be planned, which to take back. */
const props = defineProps<{
  asked: Asked
  compiled: CompiledSession
  /** Nothing can be planned as it stands. */
  stuck: boolean
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()
const wishes = computed(() => props.asked.session.wishes ?? [])
const speaking = computed(() => speakingOf(props.compiled, props.asked.kitchen))
const isIdle = (wish: Wish) => props.compiled.idle.some((w) => sameWish(w, wish))
const drop = (wish: Wish) => {
  const gone = plain(wish)
  emit('change', (s) => withoutWish(s, gone))
}
const { tried, found, ask, stop } = useTrying(
  () => props.asked.session,
  (planner, onTry) => planner.roomFor(plain(props.asked), onTry),
)
</script>

<template>
  <div v-if="wishes.length" data-test="wishes">
    <h3>As you want it</h3>
    <ul class="bare lined">
      <li v-for="(w, k) in wishes" :key="k" data-test="wish">
        <span
          >{{ wishText(w, speaking)
          }}<template v-if="isIdle(w)"> (not in this plan: it waits)</template>.</span
        >
        <IconButton
          :icon="mdiClose"
          :label="`Take back: ${wishText(w, speaking)}`"
          @click="drop(w)"
        />
      </li>
    </ul>
    <template v-if="stuck">
      <v-btn v-if="!tried && !found" size="small" variant="outlined" @click="ask(wishes.length)">
        Which of them stands in the way?
      </v-btn>
      <p v-if="tried" role="status">
        Trying without each …
        <v-btn size="small" variant="text" @click="stop">Stop</v-btn>
      </p>
      <ul v-if="found" class="bare lined" data-test="in-the-way">
        <li v-for="c in found" :key="JSON.stringify(c.wish)">
          <span
            >Without this all is finished at
            <strong class="figure">{{ clockTime(asked.session.start, c.makespan) }}</strong>:
            {{ wishText(c.wish, speaking) }}.</span
          >
          <v-btn size="small" variant="tonal" @click="drop(c.wish)">Take it back</v-btn>
        </li>
        <li v-if="!found.length" class="quiet">None of them alone: take back several.</li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
h3 {
  margin: 8px 0 2px;
  font-size: 1rem;
}
</style>
