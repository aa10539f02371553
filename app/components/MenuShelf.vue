<script setup lang="ts">
import { computed } from 'vue'
import { plural } from '~~/core/quantity'
import { idFor, type Recipe } from '~~/core/recipe'
import { inTurn, menuFrom, withMenu, type Session } from '~~/core/session'
import { dayText } from '~/composables/useMeasures'
import { useLive } from '~/composables/useLive'
import { database } from '~/database/database'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'

/** Menus that were kept: this one can join them, an earlier one can be cooked again. */
const props = defineProps<{ session: Session; recipes: Recipe[] }>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()
const notices = useNotices()
const saving = useSaving()
const save = (action: () => Promise<unknown>) => saving.write('the menus', action)
const menus = useLive(() => database.menus.toArray())
const turn = computed(() => inTurn(menus.value ?? []))

async function keep() {
  const taken = new Set((menus.value ?? []).map((m) => m.id))
  const menu = menuFrom(props.session, idFor(props.session.name, taken))
  await save(() => database.menus.put(menu))
  notices.show({
    text: `"${menu.name}" is kept, with ${menu.dishes.length} dishes.`,
    undo: () => save(() => database.menus.delete(menu.id)),
  })
}
async function cook(id: string) {
  const menu = turn.value.find((m) => m.id === id)
  if (!menu) return
  const { dishes } = props.session
  emit('change', (s) => withMenu(s, menu, props.recipes))
  const day = props.session.start.slice(0, 10)
  await save(() => database.menus.update(menu.id, { day }))
  const gone = menu.dishes.filter((d) => !props.recipes.some((r) => r.id === d.recipe)).length
  notices.show({
    text: `"${menu.name}" is cooked again${gone ? `; ${gone} of its recipes ${plural(gone, 'is', 'are')} no longer here` : ''}.`,
    undo: async () => {
      emit('change', (s) => ({ ...s, dishes }))
      await save(() => database.menus.update(menu.id, { day: menu.day }))
    },
  })
}
const kept = computed(() =>
  turn.value.map((m) => ({
    value: m.id,
    title: `${m.name}, ${m.dishes.length} dishes, last ${dayText(m.day, 'd MMM')}`,
  })),
)
</script>

<template>
  <div class="shelf">
    <PickField
      v-if="turn.length"
      class="before"
      :items="kept"
      aria-label="A menu from before"
      placeholder="A menu from before …"
      @pick="cook"
    />
    <v-btn v-if="session.dishes.length" size="small" variant="text" @click="keep"
      >Keep this menu</v-btn
    >
  </div>
</template>

<style scoped>
.shelf {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  margin-top: 8px;
  font-size: 0.9rem;
}
.before {
  flex: 1 1 16em;
}
</style>
