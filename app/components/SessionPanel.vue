<script setup lang="ts">
import type { KeptPlan } from '~~/core/household'
import type { Kitchen } from '~~/core/kitchen'
import type { Recipe } from '~~/core/recipe'
import type { CompiledSession, Session } from '~~/core/session'

const props = defineProps<{
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
  /** It is the session's own sitting, in which its menu is changed too. */
  whole: boolean
  /** It is an evening: when it is begun follows from when they eat. */
  evening: boolean
  compiled: CompiledSession | undefined
  locked: boolean
  followed: string | undefined
  /** The plan on the page, where there is one. */
  shown: KeptPlan | undefined
  /** Seconds of it, once it is no longer being worked on. */
  makespan: number | undefined
}>()
const emit = defineEmits<{
  change: [edit: (session: Session) => Session]
  follow: [dish: string]
}>()

function toggle(cook: string) {
  emit('change', (s) => ({
    ...s,
    cooks: props.kitchen.people
      .map((p) => p.id)
      .filter((id) => (id === cook ? !s.cooks.includes(id) : s.cooks.includes(id))),
  }))
}

const setReady = (time: string) =>
  emit('change', (s) => (s.ready ? { ...s, ready: `${s.ready.slice(0, 10)}T${time}` } : s))
const setAllReady = (time: string | undefined) =>
  emit('change', ({ ready: _, ...s }) =>
    time === undefined ? s : { ...s, ready: `${s.start.slice(0, 10)}T${time}` },
  )
/** Day and hour are changed each by itself: the other may just have been changed too. */
const setDay = (day: string) => emit('change', (s) => ({ ...s, start: day + s.start.slice(10) }))
const setHour = (time: string) =>
  emit('change', (s) => ({ ...s, start: `${s.start.slice(0, 11)}${time}` }))
</script>

<template>
  <section class="panel" aria-label="This session">
    <p v-if="locked" class="locked">
      This plan is being cooked. To change it, stop the session on the
      <NuxtLink to="/cook">Cook</NuxtLink> page first.
    </p>
    <fieldset :disabled="locked">
      <HourField
        v-if="evening"
        label="On the table"
        name="On the table at"
        :value="session.ready?.slice(11)"
        @set="$event && setReady($event)"
      />
      <DayField
        v-if="!evening"
        label="Begins"
        name="Begins on"
        :value="session.start.slice(0, 10)"
        @set="$event && setDay($event)"
      />
      <SessionLimit
        v-if="!evening"
        :session="session"
        :kitchen="kitchen"
        :recipes="recipes"
        :makespan="makespan"
        @change="emit('change', $event)"
      >
        <HourField
          label="at"
          name="Begins at"
          :value="session.start.slice(11)"
          @set="$event && setHour($event)"
        />
      </SessionLimit>

      <HourField
        v-if="whole"
        label="All of it ready by"
        name="All of it ready by"
        :value="session.ready?.slice(11)"
        empty
        @set="setAllReady"
      />

      <SessionCalm
        :session="session"
        :compiled="compiled"
        :shown="shown"
        @change="emit('change', $event)"
      />

      <h2>Who cooks</h2>
      <div class="cooks">
        <CheckField
          v-for="person in kitchen.people"
          :key="person.id"
          :value="session.cooks.includes(person.id)"
          :label="person.name"
          @set="toggle(person.id)"
          >{{ person.practice }}</CheckField
        >
      </div>

      <SessionDishes
        v-if="whole"
        :session="session"
        :recipes="recipes"
        :compiled="compiled"
        :followed="followed"
        @change="emit('change', $event)"
        @follow="emit('follow', $event)"
      />
      <p v-else class="quiet">
        What is done in it follows from the menu: see <NuxtLink to="/choose">Choose</NuxtLink>.
      </p>
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
.locked {
  margin-bottom: 8px;
  padding: 8px 12px;
  border-left: 4px solid rgb(var(--v-theme-error));
  font-size: 0.9rem;
}
</style>
