<script setup lang="ts">
import { issueText } from '~/composables/issueText'
import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { counted } from '~~/core/quantity'
import type { Reading } from '~~/core/reading'
import { LARGEST_RECIPE_FILE, type Found } from '~~/core/recipe'
import { minutesText, WORK_WORDS } from '~/composables/useWords'
import { readAway } from '~/workers/reading'

defineProps<{ canClose: boolean }>()
const emit = defineEmits<{ take: [found: Found[]]; close: [] }>()
const EXAMPLE = `Leek and potato soup
Serves 4

500 g leeks …

Slice the leeks and soften them in a pot for 10 minutes …`
const picker = ref<{ open: () => void }>()
const text = ref('')
const source = ref('')
const refused = ref<string[]>([])

const reading = shallowRef<Reading<Found[]>>()
const busy = ref(false)
watchDebounced(
  text,
  async (now) => {
    if (!now.trim()) {
      reading.value = undefined
      return
    }
    busy.value = true
    const next = await readAway(now)
    if (!next || now !== text.value) return
    reading.value = next
    busy.value = false
  },
  { debounce: 150 },
)
const found = computed(() => (reading.value?.ok ? reading.value.value : []))
const issues = computed(() =>
  refused.value.length
    ? refused.value
    : reading.value && !reading.value.ok
      ? reading.value.issues.map((i) => `${i.path}: ${issueText(i)}`)
      : [],
)
const preview = computed(() => {
  const first = found.value.length === 1 ? found.value[0]! : undefined
  return first && 'read' in first ? first.read : undefined
})
const doubts = computed(
  () =>
    (preview.value?.steps.reduce((n, s) => n + s.doubts.length, 0) ?? 0) +
    (preview.value?.doubts.length ?? 0),
)

async function open(file: File) {
  refused.value = []
  source.value = file.name
  if (file.size > LARGEST_RECIPE_FILE) {
    text.value = ''
    refused.value = [
      `${file.name} is too large (${Math.round(file.size / 1e6)} MB). Allowed: up to ${LARGEST_RECIPE_FILE / 1e6} MB.`,
    ]
    return
  }
  text.value = await file.text()
}
</script>

<template>
  <section class="intake" aria-label="Bring a recipe in">
    <h1>Bring a recipe in</h1>
    <p class="quiet">
      Paste it as it stands, ingredients and method, or open a file: text, a saved page, JSON or
      CSV. It is read here, in your browser.
    </p>
    <v-textarea
      v-model="text"
      rows="9"
      aria-label="Recipe text"
      :placeholder="EXAMPLE"
      @update:model-value="refused = []"
    />
    <div class="file">
      <v-btn variant="outlined" @click="picker?.open()">Open a file</v-btn>
      <FilePicker
        ref="picker"
        label="Recipe file"
        accept=".txt,.md,.html,.htm,.json,.jsonld,.csv,text/*,application/json"
        @chosen="open"
      />
      <span v-if="source" class="quiet">{{ source }}</span>
    </div>
    <ul v-if="issues.length" class="refused wrong" role="alert">
      <li v-for="issue in issues.slice(0, 5)" :key="issue">{{ issue }}</li>
    </ul>
    <div v-if="preview" class="preview" :class="{ old: busy }" data-test="preview">
      <p role="status">
        <strong>{{ preview.name }}</strong>, serves {{ preview.serves }}:
        {{ preview.ingredients.length }} ingredients, {{ preview.steps.length }} steps<template
          v-if="doubts"
          >, <span class="flag">{{ doubts }} to check</span></template
        >.
      </p>
      <p v-for="doubt in preview.doubts" :key="doubt" class="wrong">{{ doubt }}</p>
      <ol class="bare">
        <li v-for="s in preview.steps" :key="s.id">
          <span class="work">{{ WORK_WORDS[s.work] }}</span>
          <span class="figure" :class="{ guess: !s.stated }"
            >{{ minutesText(...s.minutes) }}{{ s.stated ? '' : '?' }}</span
          >
          <span>{{ s.do }}</span>
        </li>
      </ol>
    </div>
    <p v-if="busy" class="quiet" role="status">Reading …</p>
    <p v-else-if="!preview && found.length" role="status">
      {{ counted(found.length, 'recipe') }} found.
    </p>
    <div class="buttons">
      <v-btn
        color="primary"
        :disabled="!found.length || busy"
        data-test="take"
        @click="emit('take', found)"
      >
        {{ found.length > 1 ? `Keep all ${found.length}` : 'Keep it' }}
      </v-btn>
      <v-btn v-if="canClose" variant="text" @click="emit('close')">Close</v-btn>
    </div>
  </section>
</template>

<style scoped>
.intake {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.file {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.preview {
  padding: 10px 14px;
  border-left: 4px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-surface));
}
ol {
  margin-top: 6px;
}
.preview.old {
  opacity: 0.6;
}
.preview li {
  display: grid;
  grid-template-columns: 7.5em 5.5em minmax(0, 1fr);
  gap: 10px;
  padding: 3px 0;
  font-size: 0.92rem;
}
.work {
  font-weight: 650;
}
.guess,
.flag {
  color: rgb(var(--v-theme-error));
}
.refused {
  padding: 8px 12px 8px 28px;
  border-left: 4px solid rgb(var(--v-theme-error));
}
.buttons {
  display: flex;
  gap: 8px;
}
@media (max-width: 500px) {
  .preview li {
    grid-template-columns: 6em 1fr;
  }
  .preview li span:last-child {
    grid-column: 1 / -1;
  }
}
</style>
