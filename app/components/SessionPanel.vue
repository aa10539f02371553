<script setup lang="ts">
import { isValid, parseISO } from 'date-fns'
import { ref } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import type { Recipe } from '~~/core/recipe'
import type { CompiledSession, Session } from '~~/core/session'

const props = defineProps<{
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
  compiled: CompiledSession | undefined
  locked: boolean
  followed: string | undefined
  /** Seconds of the plan on the page, where there is one. */
  makespan: number | undefined
}>()
const emit = defineEmits<{
  change: [edit: (session: Session) => Session]
  follow: [dish: string]
}>()

const timeWrong = ref<string>()

function toggle(cook: string) {
  emit('change', (s) => ({
    ...s,
    cooks: props.kitchen.people
      .map((p) => p.id)
      .filter((id) => (id === cook ? !s.cooks.includes(id) : s.cooks.includes(id))),
  }))
}

function setStart(value: string) {
  const sound = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(value) && isValid(parseISO(value))
  timeWrong.value = sound ? undefined : 'Give a day and a time, such as 20 March 2027, 9:00.'
  if (sound) emit('change', (s) => ({ ...s, start: value }))
}
</script>

<template>
  <section class="panel" aria-label="This session">
    <p v-if="locked" class="locked">
      This plan is being cooked. To change it, stop the session on the
      <NuxtLink to="/cook">Cook</NuxtLink> page first.
    </p>
    <fieldset :disabled="locked">
      <label class="field">
        Begins
        <input
          class="inset"
          type="datetime-local"
          :value="session.start"
          :aria-invalid="timeWrong !== undefined"
          @change="setStart(($event.target as HTMLInputElement).value)"
        />
      </label>
      <p v-if="timeWrong" class="wrong" role="alert">{{ timeWrong }}</p>

      <SessionLimit
        :session="session"
        :kitchen="kitchen"
        :recipes="recipes"
        :makespan="makespan"
        @change="emit('change', $event)"
      />

      <h2>Who cooks</h2>
      <div class="cooks">
        <label v-for="person in kitchen.people" :key="person.id">
          <input
            type="checkbox"
            :checked="session.cooks.includes(person.id)"
            @change="toggle(person.id)"
          />
          {{ person.name }} <span class="quiet">{{ person.practice }}</span>
        </label>
      </div>

      <SessionDishes
        :session="session"
        :recipes="recipes"
        :compiled="compiled"
        :followed="followed"
        @change="emit('change', $event)"
        @follow="emit('follow', $event)"
      />
    </fieldset>
  </section>
</template>

<style scoped>
fieldset {
  min-width: 0;
  border: 0;
}
h2 {
  margin: 14px 0 4px;
  font-size: 1.1rem;
}
.field {
  display: flex;
  flex-direction: column;
  gap: 2px;
  margin-top: 8px;
  font-size: 0.9rem;
}
.inset {
  color-scheme: light dark;
}
.cooks {
  display: flex;
  flex-direction: column;
}
.cooks label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 30px;
}
.cooks input {
  width: 18px;
  height: 18px;
  accent-color: rgb(var(--v-theme-primary));
}
.locked,
.wrong {
  margin-bottom: 8px;
  padding: 8px 12px;
  border-left: 4px solid rgb(var(--v-theme-error));
  font-size: 0.9rem;
}
</style>
