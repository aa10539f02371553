<script setup lang="ts">
import { computed } from 'vue'
import type { Kitchen } from '~~/core/kitchen'
import type { Issue } from '~~/core/reading'
import type { Recipe } from '~~/core/recipe'
import { mendsOf, withDish, type Mend, type Session } from '~~/core/session'

const props = defineProps<{
  issues: Issue[]
  session: Session
  kitchen: Kitchen
  recipes: Recipe[]
}>()
const emit = defineEmits<{ change: [edit: (session: Session) => Session] }>()

const mends = computed(() =>
  mendsOf({ session: props.session, kitchen: props.kitchen, recipes: props.recipes }),
)
function text({ dish, set }: Mend): string {
  const name = props.recipes.find((r) => r.id === dish)?.name ?? dish
  if (set.goes !== undefined) return `${name} in ${set.goes} goes`
  if (set.batches !== undefined) return `${name} ×${set.batches}`
  return set.to === 'tonight' ? `${name}: eaten tonight` : `${name} into the ${set.to}`
}
const mend = ({ dish, set }: Mend) => emit('change', (s) => withDish(s, dish, set))
</script>

<template>
  <div class="issues" role="alert">
    <h2>This cannot be planned yet</h2>
    <ul>
      <li v-for="issue in issues" :key="issue.path + issue.message">
        <strong>{{ issue.message }}.</strong> Allowed: {{ issue.allowed }}.
      </li>
    </ul>
    <div v-if="mends.length" class="mends">
      <span>What would help:</span>
      <v-btn
        v-for="m in mends"
        :key="m.dish + JSON.stringify(m.set)"
        size="small"
        variant="outlined"
        @click="mend(m)"
        >{{ text(m) }}</v-btn
      >
    </div>
  </div>
</template>

<style scoped>
.issues {
  margin-bottom: 16px;
  padding: 14px 18px;
  border-left: 6px solid rgb(var(--v-theme-error));
  background: rgb(var(--v-theme-surface));
}
h2 {
  font-size: 1.15rem;
}
ul {
  margin: 8px 0 0 18px;
}
.mends {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
  margin-top: 10px;
}
</style>
