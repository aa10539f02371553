<script setup lang="ts">
import { computed } from 'vue'
import { shortBy } from '~~/core/eating'
import { dayAfter } from '~~/core/packing'
import { useHouse, movedText } from '~/composables/useHouse'
import { download } from '~/composables/useDownload'
import { dayText } from '~/composables/useMeasures'

useHead({ title: 'Eat · Cadrum' })
const { ready, today, arrangement, lying, recipes, order, kitchen, roleOf, does } = useHouse()
const days = computed(() => arrangement.value?.days ?? [])
const coming = computed(() => days.value.filter((d) => d.day > today.value))
const short = computed(() => shortBy(days.value, lying.value, roleOf))
const moved = computed(() => arrangement.value?.moved ?? [])
/** The day after the last, for as many as usually eat. */
function oneMore() {
  const last = days.value.at(-1)?.day ?? today.value
  const day = dayAfter(last < today.value ? today.value : last, 1)
  const eaters = days.value.at(-1)?.eaters || (kitchen.value?.people.length ?? 1)
  void does({ kind: 'eaters', day, eaters }, `${dayText(day, 'EEEE d MMM')} is an evening too.`)
}
async function asCalendar() {
  if (!arrangement.value) return
  const { eveningsCalendar } = await import('~~/core/eating')
  const stamp = new Date().toISOString()
  download(
    'evenings.ics',
    'text/calendar',
    eveningsCalendar(arrangement.value, lying.value, recipes.value, stamp),
  )
}
const print = () => window.print()
</script>

<template>
  <div v-if="!ready" class="quiet" role="status">Opening the household …</div>
  <div v-else>
    <h1>Eat</h1>
    <p v-if="!arrangement || !kitchen" class="quiet" data-test="nothing">
      When dishes are cooked and <NuxtLink to="/pack?fill">the boxes filled</NuxtLink>, it stands
      here what there is on which evening, when to begin, and what comes out of the freezer the
      night before.
    </p>
    <div v-else class="eat">
      <div class="now">
        <TonightCard
          :day="today"
          :arrangement="arrangement"
          :lying="lying"
          :recipes="recipes"
          :order="order"
          :kitchen="kitchen"
          @act="does"
        />
        <EatFirst
          :arrangement="arrangement"
          :lying="lying"
          :today="today"
          :order="order"
          @act="does"
        />
      </div>
      <section aria-label="The evenings to come" data-test="evenings">
        <h2>The evenings to come</h2>
        <ul v-if="moved.length" class="moved" role="status">
          <li v-for="m in moved" :key="m.day">{{ movedText(m) }}</li>
        </ul>
        <ul class="bare">
          <EveningPlate
            v-for="d in coming"
            :key="d.day"
            :day="d"
            :days="days"
            :lying="lying"
            :recipes="recipes"
            :order="order"
            :short="short.get(d.day) ?? 0"
            :today="today"
            @act="does"
          />
        </ul>
        <p v-if="!coming.length" class="quiet">
          No evening is planned after {{ dayText(today, 'EEEE d MMMM') }}.
          <NuxtLink to="/choose">Plan the next session</NuxtLink>.
        </p>
        <p class="no-print">
          <v-btn size="small" variant="text" @click="oneMore">One evening more</v-btn>
          <v-btn size="small" variant="text" @click="asCalendar">For the calendar</v-btn>
          <v-btn size="small" variant="text" @click="print">Print it for the fridge door</v-btn>
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.eat {
  display: grid;
  grid-template-columns: minmax(320px, 5fr) minmax(0, 7fr);
  gap: 20px 32px;
  align-items: start;
  margin-top: 10px;
}
.now {
  display: grid;
  gap: 20px;
}
h2 {
  margin-bottom: 4px;
  font-size: 1.3rem;
}
.moved {
  margin: 4px 0 8px 20px;
}
@media (max-width: 900px) {
  .eat {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
