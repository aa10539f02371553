<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import { handworkOf } from '~~/core/board'
import { usePlanShown } from '~/composables/usePlanShown'
import { useRehearsal } from '~/composables/useRehearsal'
import { useSession } from '~/composables/useSession'
import { useTelling } from '~/composables/useTelling'
import { inKitchenWords } from '~/composables/useWords'
import { usePlanning } from '~/stores/planning'

useHead({ title: 'Plan · Cadrum' })
const held = useSession()
const { ready, session, kitchen, recipes, cooking, kept, compiled, issues, problemMark, broken } =
  held
const { changeSitting: change } = held
const planning = usePlanning()
const { shown, planNow } = usePlanShown(held)
const plan = computed(() => shown.value?.plan)
/** Why this session cannot be done, where that is proven. */
const refusal = computed(() => {
  if (planning.running || !compiled.value || !kitchen.value) return []
  const proven = kept.value?.problem === problemMark.value ? kept.value?.plan.reasons : undefined
  const [made, place] = [compiled.value, kitchen.value]
  return (proven ?? []).map((words) => inKitchenWords(words, made, place, session.value!.start))
})
const followed = ref<string>()
/** The step that is talked about. */
const step = ref<string>()
const asked = computed(() =>
  session.value && kitchen.value
    ? { session: session.value, kitchen: kitchen.value, recipes: held.cookedBy.value }
    : undefined,
)
/** An evening follows from who eats what: there is nothing to argue about. */
const isEvening = computed(() => /^\d{4}-/.test(held.sitting.value))
function talkOf(activity: string) {
  step.value = activity
  void nextTick(() => document.getElementById('talk-title')?.scrollIntoView({ block: 'start' }))
}
const rehearsal = useRehearsal({
  plan,
  compiled,
  settled: computed(() => !planning.running && !broken.value.length),
})

const lines = useTelling({ session, kitchen, compiled, plan })
const handwork = computed(() =>
  plan.value && compiled.value ? handworkOf(plan.value, compiled.value) : [],
)
</script>

<template>
  <div v-if="!ready" class="quiet" role="status">Opening the household …</div>
  <EmptyHousehold v-else-if="!session || !kitchen" />
  <div v-else>
    <SittingStrip :sittings="held.sittings.value" :open="held.sitting.value" @open="held.openThe" />
    <PlanHeadline
      :session="session"
      :kitchen="kitchen"
      :shown="shown"
      :compiled="compiled"
      :handwork="handwork"
      :people="rehearsal.follow.value"
      :rehearsed="broken.length === 0"
    />
    <div class="board">
      <section class="cloth" aria-label="The plan">
        <IssueList
          v-if="issues.length"
          :issues="issues"
          :session="session"
          :kitchen="kitchen"
          :recipes="recipes"
          @change="change"
        />
        <PlanProgress
          v-if="!plan"
          :can-plan="compiled !== undefined && !cooking"
          :refusal="refusal"
          :broken="broken"
          @plan="planNow"
        />
        <TheWeave
          v-if="plan && compiled"
          :session="session"
          :kitchen="kitchen"
          :compiled="compiled"
          :plan="plan"
          :followed="followed"
          @open="talkOf"
        >
          <PlanProgress :can-plan="!cooking" :refusal="refusal" :broken="broken" @plan="planNow" />
        </TheWeave>
      </section>
      <SessionPanel
        class="side no-print"
        :session="session"
        :kitchen="kitchen"
        :recipes="recipes"
        :whole="held.sitting.value === 'main'"
        :evening="isEvening"
        :compiled="compiled"
        :locked="cooking !== undefined"
        :followed="followed"
        :shown="shown"
        :makespan="planning.running ? undefined : plan?.makespan"
        @change="change"
        @follow="followed = followed === $event ? undefined : $event"
      />
    </div>
    <PlanTalk
      v-if="compiled && asked && !isEvening"
      :asked="asked"
      :compiled="compiled"
      :plan="broken.length ? undefined : plan"
      :step="step"
      :locked="cooking !== undefined"
      @change="held.change"
      @close="step = undefined"
    />
    <PlanRehearsal
      v-if="plan && compiled && !broken.length"
      class="no-print"
      :session="session"
      :kitchen="kitchen"
      :compiled="compiled"
      :plan="plan"
      :steady="shown?.steady"
      :rehearsal="rehearsal"
    />
    <RunningList
      v-if="plan && compiled"
      :session="session"
      :kitchen="kitchen"
      :compiled="compiled"
      :lines="lines"
      :changes="!isEvening && !cooking"
      @open="talkOf"
    />
  </div>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: 270px minmax(0, 1fr);
  gap: 24px;
  align-items: start;
  margin-top: 12px;
}
/* Read first, filled in after it: beside it where there is room, below it on a phone. */
.side {
  grid-area: 1 / 1;
}
.cloth {
  grid-area: 1 / 2;
}
@media (max-width: 900px) {
  .side,
  .cloth {
    grid-area: auto;
  }
  .board {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
