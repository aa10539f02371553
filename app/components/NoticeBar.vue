<script setup lang="ts">
import { useNotices } from '~/stores/notices'

const notices = useNotices()

async function undo() {
  const undone = notices.notice
  notices.close()
  await undone?.undo?.()
}
</script>

<template>
  <div
    v-if="notices.notice"
    class="notice no-print"
    :class="{ bad: notices.notice.bad }"
    :role="notices.notice.bad ? 'alert' : 'status'"
  >
    <div>
      <p>{{ notices.notice.text }}</p>
      <ul v-if="notices.notice.details?.length">
        <li v-for="detail in notices.notice.details.slice(0, 5)" :key="detail">{{ detail }}</li>
        <li v-if="notices.notice.details.length > 5">
          and {{ notices.notice.details.length - 5 }} more
        </li>
      </ul>
    </div>
    <v-btn v-if="notices.notice.undo" variant="text" @click="undo">Undo</v-btn>
    <v-btn variant="text" @click="notices.close()">Close</v-btn>
  </div>
</template>

<style scoped>
.notice {
  position: fixed;
  left: 50%;
  bottom: 16px;
  z-index: 10;
  display: flex;
  gap: 8px;
  align-items: flex-start;
  width: max-content;
  max-width: min(680px, calc(100vw - 20px));
  padding: 12px 8px 12px 18px;
  transform: translateX(-50%);
  border-radius: 12px;
  border-left: 6px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-surface));
  box-shadow: 0 6px 24px rgb(0 0 0 / 0.25);
}
.notice.bad {
  border-left-color: rgb(var(--v-theme-error));
}
p {
  margin: 6px 0;
}
ul {
  margin: 4px 0 6px 18px;
  font-size: 0.9rem;
  overflow-wrap: anywhere;
}
</style>
