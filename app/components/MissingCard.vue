<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Turn } from '~~/core/logbook'
import { insteadIn, itemIn } from '~~/core/recipe'

/** Something that should go in is not there: what is done about it. */
const props = defineProps<{ turn: Turn; dish: string; canWait: boolean; canGiveUp: boolean }>()
const emit = defineEmits<{
  missing: [item: string, instead: string]
  later: [minutes: number]
  giveUp: []
  close: []
}>()

const [only] = props.turn.line.amounts.length === 1 ? [0] : []
const which = ref<number | undefined>(only)
const amount = computed(() =>
  which.value === undefined ? undefined : props.turn.line.amounts[which.value],
)
const instead = ref('')
const known = computed(() => (amount.value === undefined ? undefined : insteadIn(amount.value)))
function pick(k: number) {
  which.value = k
  instead.value = known.value ?? ''
}
if (only !== undefined) pick(only)
const tell = (other: string) => {
  if (amount.value !== undefined) emit('missing', itemIn(amount.value), other)
}
</script>

<template>
  <v-card class="card" data-test="missing-card">
    <h2>What is missing?</h2>
    <div class="keys">
      <v-btn
        v-for="(text, k) in turn.line.amounts"
        :key="k"
        height="56"
        :variant="which === k ? 'tonal' : 'outlined'"
        :aria-pressed="which === k"
        @click="pick(k)"
      >
        {{ text }}
      </v-btn>
    </div>
    <form v-if="amount !== undefined" @submit.prevent="tell(instead.trim())">
      <v-text-field v-model="instead" label="Take instead" maxlength="300" class="instead" />
      <p class="caution">Check its pack for what your eaters must not have.</p>
      <div class="keys">
        <v-btn type="submit" color="primary" height="56" :disabled="!instead.trim()">
          Take that
        </v-btn>
        <v-btn variant="outlined" height="56" @click="tell('')">Leave it out</v-btn>
      </div>
    </form>
    <div v-if="canWait" class="keys">
      <v-btn
        v-for="m in [15, 30, 60]"
        :key="m"
        variant="outlined"
        height="56"
        @click="emit('later', m)"
      >
        It comes in {{ m }} minutes
      </v-btn>
    </div>
    <div class="keys">
      <v-btn v-if="canGiveUp" variant="outlined" height="56" class="wraps" @click="emit('giveUp')">
        Give up {{ dish }}
      </v-btn>
      <v-btn variant="text" height="56" @click="emit('close')">Close</v-btn>
    </div>
  </v-card>
</template>

<style scoped>
.instead :deep(.v-field) {
  min-height: 56px;
  font-size: 1.25rem;
}
.caution {
  margin-top: 8px;
  font-size: 1.25rem;
  color: rgb(var(--v-theme-error));
}
.card {
  padding: 20px;
}
h2 {
  font-size: 1.3rem;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 12px 0;
}
.keys .v-btn {
  min-width: 0;
  max-width: 100%;
  font-size: 1.1rem;
}
.keys :deep(.v-btn__content) {
  white-space: normal;
  text-align: start;
}
</style>
