<script setup lang="ts">
import { computed, ref } from 'vue'
import type { KeptPlan } from '~~/core/household'
import type { Kitchen } from '~~/core/kitchen'
import type { Plan } from '~~/core/plan'
import type { CompiledSession, Session } from '~~/core/session'
import { clockTime, spanText } from '~/composables/useClock'
import { honest, RUNS, type useRehearsal } from '~/composables/useRehearsal'

/** How the plan goes with people: when they finish, what holds them up, and which waits get too long. */
const props = defineProps<{
  session: Session
  kitchen: Kitchen
  compiled: CompiledSession
  plan: Plan
  /** How the plan was chosen among several. */
  steady: KeptPlan['steady']
  rehearsal: ReturnType<typeof useRehearsal>
}>()
const { follow, replan, running, rehearse, stop } = props.rehearsal

const MOST = 5
const clock = (seconds: number) => clockTime(props.session.start, seconds)
const dish = (id: string) => props.compiled.dishes.find((d) => d.id === id)?.name ?? ''
const step = (id: string) => {
  const card = props.compiled.cards[id]
  return card ? [dish(card.dish), card.text].filter(Boolean).join(': ') : id
}
const times = (share: number) =>
  share >= 0.995 ? 'every time' : `${Math.max(1, Math.round(share * 100))} times in 100`
const people = computed(() => follow.value && honest(follow.value))
const late = computed(() => follow.value?.late.slice(0, MOST) ?? [])
/** A wait that is seldom too long, or by little, is nothing to look out for. */
const waits = computed(() =>
  (follow.value?.waits ?? []).filter((w) => w.share >= 0.1 && w.seconds >= 60).slice(0, MOST),
)
const gained = computed(() => (props.steady ? props.steady.otherwise - props.steady.eighty : 0))
const watching = ref(false)
</script>

<template>
  <section class="rehearsal" aria-labelledby="rehearsal-title">
    <div class="top">
      <h2 id="rehearsal-title">With people</h2>
      <v-btn
        class="no-print"
        size="small"
        variant="outlined"
        :aria-expanded="watching"
        @click="watching = !watching"
        >{{ watching ? 'Enough watched' : 'Watch it' }}</v-btn
      >
    </div>
    <RehearsalWatch
      v-if="watching"
      :session="session"
      :kitchen="kitchen"
      :compiled="compiled"
      :plan="plan"
    />
    <p v-if="!follow || !people" class="quiet" role="status">
      {{ running ? 'Rehearsing …' : 'Rehearsed once the plan is settled.' }}
    </p>
    <template v-else>
      <p data-test="honest">
        Finished about {{ clock(people.half) }}, nine times in ten before {{ clock(people.most) }}.
        <span class="quiet">
          Rehearsed {{ follow.runs.toLocaleString('en') }} times in the plan’s order, with times
          that vary as they do in kitchens: how much is an estimate of ours.
        </span>
      </p>
      <p v-if="gained >= 60" data-test="steady">
        Of {{ steady!.of }} plans this is the one with which people are finished soonest: four times
        in five before {{ clock(steady!.eighty) }}, {{ spanText(gained) }} sooner than with the one
        that looks best on paper.
      </p>
      <div class="columns">
        <div>
          <h3>What makes it late, on average</h3>
          <ul class="bare lined" data-test="late">
            <li v-for="l in late" :key="l.activity">
              <span>{{ step(l.activity) }}</span>
              <span class="figure">{{ spanText(l.seconds) }}</span>
            </li>
            <li v-if="!late.length" class="quiet">Nothing: it goes as planned.</li>
          </ul>
        </div>
        <div>
          <h3>Where a wait has no room</h3>
          <ul class="bare lined" data-test="waits">
            <li v-for="w in waits" :key="w.between.join()">
              <span
                >{{ step(w.between[0]) }}
                <span class="quiet">
                  {{
                    w.between[0] === w.between[1]
                      ? 'goes on too long'
                      : 'then waits too long for what is next'
                  }},
                  {{ times(w.share) }}
                </span>
              </span>
              <span class="figure">by {{ spanText(w.seconds) }}</span>
            </li>
            <li v-if="!waits.length" class="quiet">Nowhere that matters.</li>
          </ul>
        </div>
      </div>
      <p v-if="replan" data-test="replanned">
        Planned anew on the way, {{ Math.round(replan.replans) }} times a session: about
        {{ clock(honest(replan).half) }}, nine times in ten before {{ clock(honest(replan).most) }};
        {{ Math.round(replan.brokenPerHundred / 100) }} waits too long in a session instead of
        {{ Math.round(follow.brokenPerHundred / 100) }}.
        <span class="quiet">{{ replan.runs }} runs.</span>
      </p>
      <div class="no-print tools">
        <v-btn
          v-if="running !== 'replan'"
          size="small"
          variant="outlined"
          @click="rehearse('replan')"
          >And planned anew on the way?</v-btn
        >
        <template v-else>
          <span role="status">{{ replan?.runs ?? 0 }} of {{ RUNS.replan }} runs</span>
          <v-btn size="small" variant="text" @click="stop()">Stop</v-btn>
        </template>
      </div>
      <LazyRehearsalCharts
        :session="session"
        :compiled="compiled"
        :follow="follow"
        :replan="replan"
      />
    </template>
  </section>
</template>

<style scoped>
.rehearsal {
  margin-top: 28px;
}
.top {
  display: flex;
  gap: 16px;
  align-items: center;
  margin-bottom: 6px;
}
.figure {
  white-space: nowrap;
}
h3 {
  margin: 10px 0 2px;
  font-size: 1rem;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 0 40px;
}
.tools {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-top: 10px;
}
</style>
