<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { counted } from '~~/core/quantity'
import { finish, undo } from '~~/core/logbook'
import { useSession } from '~/composables/useSession'
import { useTelling } from '~/composables/useTelling'
import { timerText } from '~/composables/useClock'
import { database } from '~/database/database'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'

useHead({ title: 'Cook · Cadrum' })
const { ready, session, kitchen, cooking, compiled, plan, broken } = useSession()
const notices = useNotices()
const saving = useSaving()
const save = <T,>(action: () => Promise<T>) => saving.write('what was cooked', action)
const at = ref(Date.now())
useIntervalFn(() => (at.value = Date.now()), 500)

const lines = useTelling({ session, kitchen, compiled, plan })
/** What each cook is told, as things to tick off, in the order of the list. */
const tasks = computed(() =>
  lines.value.map((line) => ({
    key: line.key,
    cook: line.cook,
    from: line.at,
    to: line.free,
    line,
  })),
)
const left = computed(() => {
  const done = new Set(cooking.value?.done.map((d) => d.key))
  return tasks.value.filter((t) => !done.has(t.key)).length
})
/** Seconds since the start; they stand still once everything is done. */
const gone = computed(() => {
  const log = cooking.value
  if (!log) return 0
  const end = left.value ? at.value : Math.max(log.startedAt, ...log.done.map((d) => d.endedAt))
  return (end - log.startedAt) / 1000
})
/** What goes on by itself: begun when its line was ticked off, until the line that ends it is. */
const alone = computed(() => {
  const log = cooking.value
  if (!log) return []
  const ended = new Map(log.done.map((d) => [d.key, d.endedAt]))
  return lines.value.flatMap((line) => {
    const begun = ended.get(line.key)
    if (begun === undefined || line.until <= line.free) return []
    if (line.kind !== 'start' && line.kind !== 'cold') return []
    const end = lines.value.find(
      (l) => l.activity === line.activity && (l.kind === 'end' || l.kind === 'out'),
    )
    if (!end || ended.has(end.key)) return []
    const over = begun + (line.until - line.free) * 1000
    return [{ key: line.key, text: line.text, left: Math.round((over - at.value) / 1000) }]
  })
})

async function start() {
  if (!session.value) return
  at.value = Date.now()
  const log = { session: session.value.id, startedAt: at.value, done: [] }
  await save(() => database.cooking.put(log))
}

async function edit(change: (log: NonNullable<typeof cooking.value>) => typeof cooking.value) {
  const id = session.value?.id
  if (id === undefined) return
  await save(() =>
    database.transaction('rw', database.cooking, async () => {
      const log = await database.cooking.get(id)
      const next = log && change(log)
      if (next) await database.cooking.put(next)
    }),
  )
}

async function stop() {
  const log = cooking.value
  if (!log) return
  await save(() => database.cooking.delete(log.session))
  notices.show({
    text: 'The session is stopped.',
    undo: () => save(() => database.cooking.put(log)),
  })
}
</script>

<template>
  <div v-if="!ready" class="quiet" role="status">Opening the household …</div>
  <EmptyHousehold v-else-if="!session || !kitchen" />
  <section v-else-if="!plan" class="start">
    <h1>No plan to cook from</h1>
    <p>Make one first: it takes a few seconds.</p>
    <v-btn to="/plan" color="primary" size="large">To the plan</v-btn>
  </section>
  <section v-else-if="!cooking" class="start">
    <h1>{{ session.name }}</h1>
    <p>
      {{ tasks.length }} things to do for {{ counted(session.cooks.length, 'cook') }}. The clock
      starts when you press the button, whatever time the plan says.
    </p>
    <p v-if="broken.length" class="caution">
      No plan keeps everything. This one comes nearest, but: {{ broken.join('; ') }}.
    </p>
    <p class="caution">
      Hot pans, sharp blades, raw meat: follow your local guidance and the makers’ manuals. The plan
      never knows better than what you see in the pan.
    </p>
    <v-btn color="primary" size="x-large" data-test="start" @click="start">Start cooking now</v-btn>
  </section>
  <section v-else>
    <div class="top">
      <h1>{{ left ? 'On the stove' : 'All done' }}</h1>
      <p class="quiet figure">{{ timerText(gone) }} since the start · {{ left }} to go</p>
      <v-btn variant="outlined" @click="stop">Stop the session</v-btn>
    </div>
    <div class="cooks">
      <CookCard
        v-for="cook in session.cooks"
        :key="cook"
        :name="kitchen.people.find((p) => p.id === cook)?.name ?? cook"
        :cook="cook"
        :tasks="tasks"
        :cooking="cooking"
        :kitchen="kitchen"
        :compiled="compiled!"
        :at="at"
        @done="(key) => edit((log) => finish(tasks, log, cook, Date.now(), key))"
        @undo="edit((log) => undo(log, cook))"
      />
    </div>
    <h2>Running by itself</h2>
    <ul v-if="alone.length" class="alone">
      <li v-for="u in alone" :key="u.key">
        <span>{{ u.text }}</span>
        <span class="figure time" :class="{ over: u.left < 0 }">{{ timerText(u.left) }}</span>
      </li>
    </ul>
    <p v-else class="quiet">Nothing yet. What cooks without you is timed here.</p>
  </section>
</template>

<style scoped>
.start {
  max-width: 560px;
  margin: 40px auto;
}
.start p {
  margin: 10px 0 16px;
}
.caution {
  color: rgb(var(--v-theme-error));
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  align-items: baseline;
}
.top p {
  flex: 1;
}
.cooks {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
  gap: 18px;
  margin: 14px 0 26px;
}
h2 {
  font-size: 1.3rem;
}
.alone {
  padding: 0;
  list-style: none;
}
.alone li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  align-items: baseline;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 1.25rem;
}
.time {
  font-family: var(--display);
  font-size: 1.6rem;
}
.over {
  color: rgb(var(--v-theme-error));
}
</style>
