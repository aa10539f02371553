<script setup lang="ts">
/** One line to type and add; it stays where it was refused, with why. */
defineProps<{ label: string; example: string; button: string; wrong: string | undefined }>()
const emit = defineEmits<{ add: [line: string] }>()
const line = defineModel<string>({ required: true })
</script>

<template>
  <form @submit.prevent="emit('add', line)">
    <v-text-field
      v-model="line"
      class="line"
      :aria-label="label"
      :placeholder="example"
      :error="wrong !== undefined"
    />
    <v-btn type="submit" size="small" variant="text">{{ button }}</v-btn>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
  margin-top: 8px;
}
.line {
  flex: 1;
  min-width: 0;
}
.wrong {
  flex-basis: 100%;
}
</style>
