<script setup lang="ts">
import { computed } from 'vue'
import {
  newStation,
  READY_KITCHENS,
  type Box,
  type Kitchen,
  type KitchenInput,
  type KitchenStation,
  type Person,
  type Zone,
} from '~~/core/kitchen'
import { useKitchens } from '~/composables/useKitchens'
import { useNotices } from '~/stores/notices'

useHead({ title: 'Kitchen · Cadrum' })
const { data, change, begin } = useKitchens()
const notices = useNotices()
const kitchen = computed(() => data.value?.kitchen)
const ZONES: [Zone, string][] = [
  ['hob', 'Hob'],
  ['oven', 'Oven'],
  ['appliance', 'Machines'],
  ['vessel', 'Pots, pans, trays and dishes'],
  ['bench', 'Boards and bench'],
  ['cold', 'Cold'],
]
const inZone = (zone: Zone) => kitchen.value!.stations.filter((s) => s.zone === zone)

async function apply(edit: (kitchen: Kitchen) => KitchenInput, undo?: { text: string }) {
  const before = kitchen.value!
  const issues = await change(edit)
  if (issues.length)
    notices.show({
      text: 'That does not fit; nothing was changed.',
      details: issues.map((i) => `${i.path}: ${i.message}; allowed: ${i.allowed}`),
      bad: true,
    })
  else if (undo)
    notices.show({
      text: undo.text,
      undo: async () => {
        await change(() => before)
      },
    })
}
const add = (kind: string) =>
  apply((k) => ({
    ...k,
    stations: [...k.stations, newStation(kind, k.stations)],
  }))
const edit = (id: string, patch: Partial<KitchenStation>) =>
  apply((k) => ({
    ...k,
    stations: k.stations.map((s) => (s.id === id ? { ...s, ...patch } : s)),
  }))
const remove = (id: string) =>
  apply((k) => ({ ...k, stations: k.stations.filter((s) => s.id !== id) }), {
    text: `${kitchen.value!.stations.find((s) => s.id === id)!.name} is gone.`,
  })

/** So many places on among its like: what stands elsewhere stays where it is. */
function move(id: string, by: number) {
  void apply((k) => {
    const { zone } = k.stations.find((s) => s.id === id)!
    const own = k.stations.filter((s) => s.zone === zone)
    const from = own.findIndex((s) => s.id === id)
    if (!own[from + by]) return k
    own.splice(from + by, 0, ...own.splice(from, 1))
    return { ...k, stations: k.stations.map((s) => (s.zone === zone ? own.shift()! : s)) }
  })
}
function addPerson() {
  void apply((k) => {
    let n = k.people.length + 1
    while (k.people.some((p) => p.id === `cook-${n}`)) n++
    return {
      ...k,
      people: [
        ...k.people,
        {
          id: `cook-${n}`,
          name: `Cook ${n}`,
          practice: 'learning',
          skills: ['knife', 'heat', 'simple'],
        },
      ],
    }
  })
}
const editPerson = (id: string, patch: Partial<Person>) =>
  apply((k) => ({ ...k, people: k.people.map((p) => (p.id === id ? { ...p, ...patch } : p)) }))
const removePerson = (id: string) =>
  apply((k) => ({ ...k, people: k.people.filter((p) => p.id !== id) }), {
    text: `${kitchen.value!.people.find((p) => p.id === id)!.name} does not cook here any more.`,
  })
const wrong = (text: string) => notices.show({ text, bad: true })
</script>

<template>
  <div v-if="!data" class="quiet" role="status">Opening the kitchen …</div>
  <div v-else>
    <header v-if="kitchen" class="top">
      <h1>
        <TypedField
          as="heading"
          :value="kitchen.name"
          aria-label="Name of the kitchen"
          @commit="apply((k) => ({ ...k, name: $event }))"
        />
      </h1>
      <v-menu>
        <template #activator="{ props }">
          <v-btn v-bind="props" variant="text">Begin with another kitchen</v-btn>
        </template>
        <v-list>
          <v-list-item
            v-for="r in READY_KITCHENS"
            :key="r.title"
            :title="r.title"
            :subtitle="r.about"
            @click="begin(r.kitchen)"
          />
        </v-list>
      </v-menu>
    </header>
    <section v-else class="begin">
      <h1>What does your kitchen have?</h1>
      <p>
        Begin with the one that comes closest and change what is different. A plan can only use what
        is here.
      </p>
      <div class="cards">
        <v-btn
          v-for="r in READY_KITCHENS"
          :key="r.title"
          variant="outlined"
          class="pressed card"
          @click="begin(r.kitchen)"
        >
          <span>
            <strong>{{ r.title }}</strong>
            <span class="quiet">{{ r.about }}</span>
          </span>
        </v-btn>
      </div>
    </section>
    <div v-if="kitchen" class="shelves">
      <StationShelf
        v-for="[zone, title] in ZONES"
        :key="zone"
        :zone="zone"
        :title="title"
        :stations="inZone(zone)"
        @add="add"
        @edit="edit"
        @move="move"
        @remove="remove"
        @wrong="wrong"
      />
      <KitchenBoxes
        :boxes="kitchen.boxes ?? []"
        @change="
          (boxes: Box[], told?: string) =>
            apply((k) => ({ ...k, boxes }), told ? { text: told } : undefined)
        "
      />
      <KitchenPeople
        :people="kitchen.people"
        @add="addPerson"
        @edit="editPerson"
        @remove="removePerson"
      />
      <HouseRules :rules="kitchen.rules" @edit="apply((k) => ({ ...k, rules: $event }))" />
    </div>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  margin: 6px 0 14px;
}
.top h1 {
  flex: 1;
  min-width: 0;
}
.shelves {
  columns: 2;
  column-gap: 20px;
}
.shelves > * {
  margin-bottom: 18px;
  break-inside: avoid;
}
@media (max-width: 1000px) {
  .shelves {
    columns: 1;
  }
}
.begin {
  max-width: 760px;
  margin: 40px auto;
}
.begin p {
  margin: 10px 0 18px;
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 14px;
}
.card {
  padding: 16px !important;
  border: 2px solid rgb(var(--v-theme-primary));
  border-radius: 12px !important;
}
.card strong,
.card .quiet {
  display: block;
}
</style>
