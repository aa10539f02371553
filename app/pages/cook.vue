<script setup lang="ts">
import { mdiChevronDown, mdiPause, mdiPlay } from '@mdi/js'
import { onKeyStroke, useMediaQuery, useStorage } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import { missingIn, turningsOf, type Timer, type Turn } from '~~/core/logbook'
import { upperFirst } from '~~/core/recipe'
import { useActs } from '~/composables/useActs'
import { spanText, timerText } from '~/composables/useClock'
import { useProbe } from '~/composables/useProbe'
import { useRunning } from '~/composables/useRunning'
import { useToday } from '~/composables/useToday'
import { useTelling } from '~/composables/useTelling'
import { useNotices } from '~/stores/notices'
import { usePlanning } from '~/stores/planning'

useHead({ title: 'Cook · Cadrum' })
const run = useRunning()
const { ready, session, kitchen, recipes, cooking, compiled, plan, broken } = run
const { now, standing, left, places, cooling, timers, out, paused, counted, handOf, timeAt, tell } =
  run
const notices = useNotices()
const planning = usePlanning()
// What is cooked today is what somebody comes here for; any other can be opened.
const todays = useToday(run)
onMounted(() => void todays.open())

const planned = useTelling({ session, kitchen, compiled, plan })
const cooks = computed(() =>
  (session.value?.cooks ?? []).map((id) => ({
    id,
    name: kitchen.value?.people.find((p) => p.id === id)?.name ?? id,
  })),
)
/** Whose device this is; on a wide screen everybody is there at once. */
const mine = useStorage('cadrum-cook', '')
const wide = useMediaQuery('(min-width: 1180px)')
const own = computed(() => cooks.value.find((c) => c.id === mine.value)?.id ?? cooks.value[0]?.id)
const shown = computed(() =>
  wide.value ? cooks.value : cooks.value.filter((c) => c.id === own.value),
)
const finish = computed(() => standing.value && timeAt(standing.value.finish))
const late = computed(() => counted.value.findLast((e) => e.kind === 'planned'))
const { added, done, more, moreTime, later, skip, handOver, first, add, giveUp, turn, missing } =
  useActs(run)

async function toLogbook() {
  await stop()
  await navigateTo('/logbook')
}
async function stop() {
  const over = !left.value
  const undo = await run.end()
  notices.show({
    text: over ? 'The session is in the logbook.' : 'The session is stopped.',
    ...(undo ? { undo } : {}),
  })
}
/** Who else could do what this cook has in hand: nobody is given what they are not able to do. */
function othersFor(cook: string) {
  const activity = handOf(cook).now?.line.activity
  return activity === undefined
    ? []
    : cooks.value.filter((o) => o.id !== cook && run.able(o.id, activity))
}
/** The food that a step is about, in words. */
const aboutOf = (activity: string) => {
  const card = compiled.value?.cards[activity]
  return card?.about ?? card?.text ?? ''
}
const dishName = (id: string | undefined) =>
  compiled.value?.dishes.find((d) => d.id === id)?.name ?? ''
/** What is being measured, and by whom. */
const measured = ref<{ turn: Turn; cook: string }>()
const { leastFor, whereIs } = useProbe(run)
async function keepTemperature(celsius: number) {
  const it = measured.value
  measured.value = undefined
  if (!it?.turn.line.dish) return
  const { dish, activity } = it.turn.line
  await tell({
    kind: 'temperature',
    cook: it.cook,
    dish,
    celsius,
    ...(activity === undefined ? {} : { activity }),
  })
}
/** In whose line something is missing. */
const lacking = ref<{ turn: Turn; cook: string }>()
function lacks(act: (it: { turn: Turn; cook: string }, dish: string) => unknown) {
  const it = lacking.value
  lacking.value = undefined
  if (it?.turn.line.dish) void act(it, it.turn.line.dish)
}
/** What is missing of what a cook has in hand. */
const missingOf = (cook: string) => {
  const line = handOf(cook).now?.line
  return line ? missingIn(line, counted.value) : new Map<number, string>()
}
/** Whether a dish can be given up by itself: others take from a base. */
const isWhole = (dish: string | undefined) =>
  dish !== undefined &&
  !run.gone.value.has(dish) &&
  compiled.value?.dishes.some((d) => d.id === dish && !d.base) === true
const begins = (t: Turn) => t.line.points?.[0] === 0 && t.line.activity !== undefined
const ways = (activity: string) =>
  run.running.value && standing.value
    ? turningsOf({ ...run.running.value, plan: standing.value.plan }, activity, now.value)
    : []
const seesDishes = ref(false)
async function addDish(recipe: string) {
  const why = await run.addDish(recipe)
  if (why) notices.show({ text: why })
}
const seesLog = ref(false)
const sound = useStorage('cadrum-sound', true)
const voice = useStorage('cadrum-voice', false)
const cards = ref<{ key: (n: number) => void }[]>([])
/** Keys stand for what is on the screen; in a field they are what they are. */
const typing = (e: KeyboardEvent) =>
  e.ctrlKey ||
  e.metaKey ||
  e.altKey ||
  !cooking.value ||
  (e.target as HTMLElement).closest(
    'input, textarea, select, button, a, [role="menu"], .v-overlay',
  ) !== null
onKeyStroke(['1', '2', '3', '4', '5', '6', '7', '8', '9', ' '], (e) => {
  if (typing(e)) return
  e.preventDefault()
  const k = shown.value.findIndex((c) => c.id === own.value)
  cards.value[Math.max(0, k)]?.key(e.key === ' ' ? 1 : Number(e.key))
})
onKeyStroke(['ArrowLeft', 'ArrowRight'], (e) => {
  if (typing(e) || cooks.value.length < 2) return
  e.preventDefault()
  const k = cooks.value.findIndex((c) => c.id === own.value)
  const by = e.key === 'ArrowRight' ? 1 : cooks.value.length - 1
  mine.value = cooks.value[(k + by) % cooks.value.length]!.id
})
</script>

<template>
  <div v-if="!ready" class="quiet" role="status">Opening the household …</div>
  <EmptyHousehold v-else-if="!session || !kitchen" />
  <CookPlanning v-else-if="!cooking && (!plan || planning.running)" />
  <CookReady
    v-else-if="!cooking && plan && compiled"
    :sittings="run.sittings.value"
    :sitting="run.sitting.value"
    :session="session"
    :kitchen="kitchen"
    :compiled="compiled"
    :plan="plan"
    :lines="planned"
    :recipes="run.cookedBy.value"
    :broken="broken"
    @start="run.start()"
    @open="run.openThe"
  />
  <section v-else-if="!standing || !compiled" class="start">
    <h1>This session cannot go on</h1>
    <p>Its recipes or its kitchen have changed since it began. What was told so far is kept.</p>
    <v-btn variant="outlined" size="large" @click="stop">Stop the session</v-btn>
  </section>
  <section v-else>
    <div class="top">
      <h1>{{ left ? 'On the stove' : 'All done' }}</h1>
      <p class="figure" data-test="forecast">
        <template v-if="left">
          Finished about <strong>{{ finish }}</strong><template
            v-if="run.most.value !== undefined && run.most.value > standing.finish + 60"
            >, nine times in ten by {{ timeAt(run.most.value) }}</template
          >
          · {{ left }} to go<span class="wide"> · {{ timerText(now) }} since the start</span>
        </template>
        <template v-else>{{ spanText(standing.finish) }} from beginning to end.</template>
      </p>
      <v-btn v-if="!left" height="56" color="primary" data-test="to-logbook" @click="toLogbook">
        Into the logbook
      </v-btn>
      <v-btn
        v-if="left"
        height="56"
        :variant="paused ? 'flat' : 'tonal'"
        :color="paused ? 'primary' : undefined"
        :prepend-icon="paused ? mdiPlay : mdiPause"
        data-test="pause"
        @click="tell(paused ? { kind: 'resumed' } : { kind: 'paused' })"
      >
        {{ paused ? 'Go on' : 'Pause all' }}
      </v-btn>
      <v-menu>
        <template #activator="{ props: opens }">
          <v-btn v-bind="opens" height="56" variant="tonal" :append-icon="mdiChevronDown">
            More
          </v-btn>
        </template>
        <v-list>
          <v-list-item
            min-height="56"
            title="The dishes: more, or fewer"
            @click="seesDishes = true"
          />
          <v-list-item min-height="56" title="What has happened" @click="seesLog = true" />
          <v-list-item
            min-height="56"
            :title="sound ? 'Without sound' : 'With sound'"
            @click="sound = !sound"
          />
          <v-list-item
            min-height="56"
            :title="voice ? 'Do not speak' : 'Speak what rings'"
            @click="voice = !voice"
          />
          <v-list-item min-height="56" title="Stop the session" @click="stop" />
        </v-list>
      </v-menu>
    </div>
    <p v-if="paused" class="told" role="status">
      Hands stand still since {{ timeAt(Math.round((paused.at - cooking!.startedAt) / 1000)) }}.
      What is on the heat goes on, and rings.
    </p>
    <p v-else-if="run.replanning.value && left" class="told quiet" role="status">
      Looking how to go on best …
    </p>
    <p v-else-if="late && left" class="told" role="status" data-test="replanned">
      {{ late.kind === 'planned' ? late.words : '' }}
    </p>
    <p v-if="run.stuck.value.length" class="told caution" data-test="stuck">
      What is out of use is needed, and nothing else here can do it:
      {{ run.stuck.value.map((id) => compiled!.cards[id]?.text ?? id).join('; ') }}. Do it another
      way when it comes, or leave it out.
    </p>
    <p v-if="run.beyond.value > 60 && left" class="told caution" data-test="beyond">
      {{ spanText(run.beyond.value) }} over the time that you gave it.
      <v-btn variant="outlined" height="56" @click="seesDishes = true">What can be given up?</v-btn>
    </p>
    <p v-for="w in standing.waits.slice(0, 1)" :key="w.between.join()" class="told caution">
      {{ upperFirst(aboutOf(w.between[0])) }} will have stood {{ spanText(w.over) }} too long in
      this order. Keep it covered, and cold if you can.
    </p>
    <v-btn-toggle
      v-if="!wide && cooks.length > 1"
      :model-value="own"
      mandatory
      variant="outlined"
      class="whose"
      aria-label="Whose work"
      @update:model-value="mine = $event"
    >
      <v-btn v-for="c in cooks" :key="c.id" :value="c.id" height="56">{{ c.name }}</v-btn>
    </v-btn-toggle>
    <div class="stove">
      <div class="cooks">
        <NowCard
          v-for="c in shown"
          :key="c.id"
          ref="cards"
          :cook="c.id"
          :name="c.name"
          :others="othersFor(c.id)"
          :hand="handOf(c.id)"
          :going="left > 0"
          :paused="paused !== undefined"
          :kitchen="kitchen"
          :compiled="compiled"
          :added="added(handOf(c.id).now?.line.key)"
          :missing="missingOf(c.id)"
          :can-undo="run.lastOf(c.id) !== undefined"
          @done="(turn: Turn, ago: number) => done(c.id, turn, ago)"
          @more="(turn: Turn, minutes: number) => more(c.id, turn, minutes)"
          @later="(turn: Turn, minutes: number) => later(c.id, turn, 60 * minutes)"
          @skip="skip(c.id, $event)"
          @hand="(turn: Turn, to: string) => handOver(c.id, turn, to)"
          @first="first(c.id, $event)"
          @added="add(c.id, $event)"
          @temperature="measured = { turn: $event, cook: c.id }"
          @missing="lacking = { turn: $event, cook: c.id }"
          @out="tell({ kind: 'out', cook: c.id, station: $event })"
          @undo="run.undo(c.id)"
        />
      </div>
      <div>
        <StoveMap
          :kitchen="kitchen"
          :compiled="compiled"
          :places="places"
          :timers="timers"
          :out="out"
          :now="now"
          :turnings-of="ways"
          :time-at="timeAt"
          @turn="turn"
          @out="(station: string, on: boolean) => tell({ kind: on ? 'out' : 'back', station })"
          @more="(timer: Timer, minutes: number) => moreTime(timer, minutes)"
        />
        <CoolingList :cooling="cooling" :compiled="compiled" :now="now" :time-at="timeAt" />
      </div>
    </div>
    <CookLog
      v-if="seesLog || !left"
      :events="counted"
      :kitchen="kitchen"
      :compiled="compiled"
      :time-at="timeAt"
      :started-at="cooking!.startedAt"
      :closes="left > 0"
      @close="seesLog = false"
      @undo="tell({ kind: 'undone', event: $event })"
      @correct="
        (event: string, from: number, to: number) => tell({ kind: 'corrected', event, from, to })
      "
      @note="tell({ kind: 'note', text: $event })"
    />
    <v-dialog
      :model-value="measured !== undefined"
      max-width="560"
      @update:model-value="measured = undefined"
    >
      <TemperatureCard
        v-if="measured"
        :dish="dishName(measured.turn.line.dish)"
        :least="leastFor(measured.turn)"
        :where="whereIs(measured.turn)"
        @keep="keepTemperature"
        @close="measured = undefined"
      />
    </v-dialog>
    <v-dialog
      :model-value="lacking !== undefined"
      max-width="560"
      @update:model-value="lacking = undefined"
    >
      <MissingCard
        v-if="lacking"
        :turn="lacking.turn"
        :dish="dishName(lacking.turn.line.dish)"
        :can-wait="begins(lacking.turn)"
        :can-give-up="isWhole(lacking.turn.line.dish)"
        @missing="
          (item: string, other: string) =>
            lacks(({ cook }, dish) => missing(cook, dish, item, other))
        "
        @later="(m: number) => lacks((it) => later(it.cook, it.turn, 60 * m))"
        @give-up="lacks((_, dish) => giveUp(dish))"
        @close="lacking = undefined"
      />
    </v-dialog>
    <v-dialog v-model="seesDishes" max-width="760">
      <CookDishes
        v-if="run.running.value"
        :compiled="compiled"
        :running="run.running.value"
        :standing="standing"
        :turns="run.turns.value"
        :gone="run.gone.value"
        :recipes="recipes"
        :beyond="run.beyond.value"
        :time-at="timeAt"
        @give-up="giveUp"
        @add="addDish"
        @close="seesDishes = false"
      />
    </v-dialog>
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
  gap: 8px 16px;
  align-items: center;
}
.top p {
  flex: 1 1 300px;
  font-size: 1.15rem;
}
.told {
  margin: 6px 0;
  font-size: 1.15rem;
}
.whose {
  height: 56px;
  margin: 8px 0;
}
.stove {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  gap: 18px;
  align-items: start;
  margin-top: 8px;
}
.cooks {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(330px, 100%), 1fr));
  gap: 14px;
}
@media (max-width: 500px) {
  h1 {
    font-size: 1.5rem;
  }
  .wide {
    display: none;
  }
}
@media (max-width: 1000px) {
  .stove {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
