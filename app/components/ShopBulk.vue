<script setup lang="ts">
import { issueText } from '~/composables/issueText'
import { computed, ref } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import { readAmount, type Recipe } from '~~/core/recipe'
import { MOST_BATCHES } from '~~/core/session'
import { foodOf, measured } from '~~/core/food'
import { amountSaid, bulkWays, type BulkWay } from '~~/core/shopping'
import { counted, trim } from '~~/core/quantity'
import { spanText } from '~/composables/useClock'
import { said } from '~/composables/useMeasures'

/** So many kilos of one thing: what they could become, down to the last of it. */
const props = defineProps<{ kitchen: Kitchen; recipes: readonly Recipe[] }>()
const emit = defineEmits<{ take: [way: BulkWay]; close: [] }>()
const line = ref('')
const wrong = ref<string>()
const asked = ref<{ item: string; amount: number; unit: 'g' | 'ml' | 'piece' }>()
const hands = ref('')
const most = ref(4)
const minutes = computed(() => (hands.value.trim() ? Number(hands.value) : undefined))
const wrongMinutes = computed(
  () => minutes.value !== undefined && !(minutes.value >= 5 && minutes.value <= 2000),
)
const room = (kind: string) =>
  props.kitchen.stations
    .filter((s) => s.kind === kind && !s.outOfUse)
    .reduce((n, s) => n + s.capacity, 0)
const ways = computed(() =>
  asked.value && !wrongMinutes.value
    ? bulkWays(asked.value.item, asked.value.amount, asked.value.unit, props.recipes, {
        freezer: room('freezer'),
        fridge: room('fridge'),
        most: most.value,
        ...(minutes.value === undefined ? {} : { hands: minutes.value }),
      })
    : [],
)
const nameOf = (id: string) => props.recipes.find((r) => r.id === id)?.name ?? id
function ask() {
  const read = readAmount(line.value, 'bulk', '5 kg pork shoulder')
  if (!read.ok) {
    const [issue] = read.issues
    wrong.value = issueText(issue!)
    return
  }
  const { item, amount, unit } = read.value
  const own = measured(foodOf(item), amount, unit)
  wrong.value =
    own.amount > 100_000 ? 'That is more than any house cooks. Allowed: up to 100 kg.' : undefined
  if (!wrong.value) asked.value = { item, amount: own.amount, unit: own.unit }
}
const amount = (n: number) => said(amountSaid(n, asked.value!.unit))
const batchItems = Array.from({ length: MOST_BATCHES }, (_, k) => ({
  value: k + 1,
  title: `up to ${k + 1}`,
}))
</script>

<template>
  <v-card title="A lot of one thing" data-test="bulk">
    <v-card-text>
      <p class="quiet">A whole piece, a sack, a glut: which dishes take it all?</p>
      <LineForm
        v-model="line"
        label="What there is a lot of"
        example="5 kg pork shoulder"
        button="What could it be?"
        :wrong="wrong"
        @add="ask"
      />
      <div class="limits">
        <PickField
          label="Batches of a dish"
          :value="most"
          :items="batchItems"
          @pick="most = $event"
        />
        <FieldName label="Minutes of hands">
          <v-text-field
            v-model="hands"
            placeholder="any"
            aria-label="Minutes of hands"
            :error="wrongMinutes"
          />
        </FieldName>
      </div>
      <p v-if="wrongMinutes" class="wrong" role="alert">
        "{{ hands }}" is no time. Allowed: 5 to 2000 minutes, or nothing.
      </p>
      <p v-if="asked && !ways.length && !wrongMinutes" class="quiet" role="status">
        No dish of yours takes {{ asked.item }} within that.
      </p>
      <ol class="bare">
        <li v-for="(w, k) in ways" :key="k">
          <p>
            <strong>{{
              w.dishes.map((d) => `${nameOf(d.recipe)} ×${trim(d.batches)}`).join(', ')
            }}</strong>
          </p>
          <p class="quiet">
            {{ w.dishes.map((d) => amount(d.amount)).join(' + ') }}
            {{
              w.left > 1
                ? `and ${amount(w.left)} left for the freezer as it is`
                : 'and nothing left'
            }}; {{ counted(Math.round(w.servings), 'serving') }}, {{ trim(w.freezer) }} l freezer,
            {{ trim(w.fridge) }} l fridge, about {{ spanText(w.hands * 60) }} of hands
          </p>
          <v-btn size="small" variant="tonal" @click="emit('take', w)">Onto the menu</v-btn>
        </li>
      </ol>
    </v-card-text>
    <v-card-actions>
      <v-btn variant="text" @click="emit('close')">Close</v-btn>
    </v-card-actions>
  </v-card>
</template>

<style scoped>
.limits {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  margin: 8px 0;
}
li {
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
