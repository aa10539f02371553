<script setup lang="ts">
import { issueText } from '~/composables/issueText'
import { mdiClose } from '@mdi/js'
import { computed, ref } from 'vue'
import { dayText, said } from '~/composables/useMeasures'
import { usePreparation } from '~/composables/usePreparation'
import { amountSaid, packsSaid } from '~~/core/shopping'
import { foodOf, type Section } from '~~/core/food'
import { spareOf } from '~~/core/eating'
import { counted } from '~~/core/quantity'
import { toUseUp } from '~~/core/stock'
import { useHouse } from '~/composables/useHouse'
import { useLive } from '~/composables/useLive'
import { database } from '~/database/database'
import { listed } from '~~/core/guide'
import type { Recipe } from '~~/core/recipe'
import { dueOf, readToUse, withNewDish, withoutDue, type Due, type Session } from '~~/core/session'

/** What should be used soon, and what opened packs leave: each with the dishes that would take it. */
const props = defineProps<{ session: Session; recipes: Recipe[] }>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()
const due = computed(() => dueOf(props.session, props.recipes))
const { preparation } = usePreparation()
/** Where what was opened does not keep for long. */
const FRESH: readonly Section[] = ['produce', 'bread', 'meat', 'fish', 'dairy', 'tins']
const opened = computed(() =>
  (preparation.value?.list.lines ?? []).filter(
    (l) => l.left >= 1 && FRESH.includes(l.section) && l.packs.some((p) => !p.offer.loose),
  ),
)
/** Packed dishes that no evening takes: portions that are there already. */
const { lying, arrangement } = useHouse()
const spare = computed(() => (arrangement.value ? spareOf(arrangement.value, lying.value) : []))
/** What lies in the house and should go before long, where the session does not know of it yet. */
const stock = useLive(() => database.stock.toArray())
const inHouse = computed(() => {
  const known = new Set((props.session.useUp ?? []).map((u) => foodOf(u.item).key))
  const house = toUseUp(stock.value ?? [], props.session.start.slice(0, 10))
  return dueOf({ useUp: house, dishes: props.session.dishes }, props.recipes).filter(
    (d) => !known.has(foodOf(d.item).key) && d.takers.length,
  )
})
const note = ({ item, amount, unit, by }: Due) =>
  emit('change', (s) => ({ ...s, useUp: [...(s.useUp ?? []), { item, amount, unit, by }] }))
const nameOf = (id: string) => props.recipes.find((r) => r.id === id)?.name ?? id
const line = ref('')
const by = ref('')
const wrong = ref<string>()

function add() {
  const reading = readToUse(line.value, by.value || undefined)
  if (!reading.ok) {
    const [issue] = reading.issues
    wrong.value = issueText(issue!)
    return
  }
  wrong.value = undefined
  line.value = by.value = ''
  emit('change', (s) => ({ ...s, useUp: [...(s.useUp ?? []), reading.value] }))
}
const drop = (due: Due) => emit('change', (s) => withoutDue(s, due))
const day = (iso: string) => dayText(iso, 'EEE d MMM')
/** A base cannot be chosen: it comes with the dishes that take from it. */
const canJoin = (id: string) => props.recipes.some((r) => r.id === id && !r.base)
</script>

<template>
  <section aria-label="To be used up" data-test="use-up">
    <h2>To be used up</h2>
    <ul class="bare">
      <li v-for="(d, k) in due" :key="d.line + d.by + k">
        <span
          ><strong>{{ said(d.line) }}</strong
          ><template v-if="d.by"> by {{ day(d.by) }}</template
          >:
          <template v-if="!d.takers.length">no recipe here uses it.</template>
          <template v-for="(t, i) in d.takers" :key="t.recipe"
            >{{ i ? '; ' : '' }}{{ nameOf(t.recipe) }} wants {{ said(t.wants)
            }}<v-btn
              v-if="!t.chosen && canJoin(t.recipe)"
              size="x-small"
              variant="outlined"
              class="join"
              @click="emit('change', (s) => withNewDish(s, t.recipe))"
              >Cook it</v-btn
            ></template
          ></span
        >
        <IconButton :icon="mdiClose" :label="`${d.item} is used up`" @click="drop(d)" />
      </li>
    </ul>
    <div class="adding">
      <LineForm
        v-model="line"
        label="Something to use up"
        example="300 g spinach"
        button="Note it"
        :wrong="wrong"
        @add="add"
      />
      <DayField
        class="by"
        :value="by || undefined"
        name="To be used by"
        empty
        @set="by = $event ?? ''"
      />
    </div>
    <template v-if="inHouse.length">
      <h2>In the house, to be used soon</h2>
      <ul class="bare">
        <li v-for="d in inHouse" :key="d.line + d.by" data-test="in-house">
          <span
            ><strong>{{ said(d.line) }}</strong
            ><template v-if="d.by"> by {{ day(d.by) }}</template
            >: for {{ listed(d.takers.map((t) => nameOf(t.recipe))) }}</span
          >
          <v-btn size="x-small" variant="outlined" @click="note(d)">Use it up</v-btn>
        </li>
      </ul>
    </template>
    <template v-if="spare.length">
      <h2>Cooked and packed, and not planned for an evening</h2>
      <ul class="bare">
        <li v-for="s in spare" :key="s.lying.pack.id" data-test="spare">
          <span
            ><strong>{{ s.lying.pack.name }}</strong
            >, {{ counted(s.left, 'portion') }} {{ s.lying.place === 'shelf' ? 'on' : 'in' }} the
            {{ s.lying.place }}, by {{ day(s.lying.eatBy) }}</span
          >
        </li>
      </ul>
    </template>
    <template v-if="opened.length">
      <h2>Left in opened packs</h2>
      <ul class="bare">
        <li v-for="l in opened" :key="l.id" data-test="pack">
          <span
            ><strong>{{ said(amountSaid(l.left, l.unit)) }}</strong> {{ l.item }} of
            {{ said(packsSaid(l)) }}, for
            {{ [...new Set(l.wants.map((w) => nameOf(w.dish)))].join(' and ') }}</span
          >
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 16px;
  font-size: 1.2rem;
}
li {
  display: flex;
  gap: 6px;
  align-items: baseline;
  justify-content: space-between;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
  font-size: 0.92rem;
}
.join {
  margin-left: 6px;
}
.adding {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: baseline;
}
.adding form {
  flex: 1;
  min-width: 14em;
}
.adding .by {
  width: 12.5em;
}
</style>
