<script setup lang="ts">
import { ref } from 'vue'

/** Something that is typed as one says it, or chosen in a picture of all there is. */
const props = defineProps<{
  value: string | undefined
  /** The value as one says it. */
  shown: string | undefined
  name: string
  label?: string | undefined
  placeholder: string
  /** The button that opens the picture, and what it says behind the name. */
  icon: string
  choose: string
  /** What a typed text means; undefined where it means nothing. */
  read: (typed: string) => string | undefined
  /** What is said of a text that means nothing. */
  refusal: string
  /** May be left empty. */
  empty?: boolean
}>()
const emit = defineEmits<{ set: [value: string | undefined] }>()
const open = ref(false)
const wrong = ref(false)

function commit(typed: string) {
  const value = props.read(typed)
  wrong.value = value === undefined && !(props.empty && typed.trim() === '')
  if (!wrong.value && value !== props.value) emit('set', value)
}
/** Takes over what was chosen; with `more` there is more to choose. */
function take(value: string, more = false) {
  open.value = more
  wrong.value = false
  emit('set', value)
}
</script>

<template>
  <div>
    <TypedField
      :label="label"
      :aria-label="name"
      :value="shown"
      :placeholder="placeholder"
      :aria-invalid="wrong"
      @commit="commit"
    >
      <v-menu v-model="open" :close-on-content-click="false" location="bottom end">
        <template #activator="{ props: menu }">
          <IconButton v-bind="menu" :icon="icon" :label="`${name}: ${choose}`" />
        </template>
        <slot :take="take" />
      </v-menu>
    </TypedField>
    <p v-if="wrong" class="wrong" role="alert">{{ name }}: {{ refusal }}</p>
  </div>
</template>
