<script setup lang="ts">
import { mdiRedo, mdiUndo } from '@mdi/js'
import { onKeyStroke } from '@vueuse/core'
import { useEdits } from '~/stores/edits'

/** Takes changes of the session back and does them again, also by Ctrl+Z and Ctrl+Shift+Z. */
const props = defineProps<{ session: string }>()
const edits = useEdits()
onKeyStroke(['z', 'Z'], (e) => {
  const typing = (e.target as HTMLElement).closest('input, textarea')
  if (!(e.ctrlKey || e.metaKey) || typing) return
  e.preventDefault()
  void (e.shiftKey ? edits.redo(props.session) : edits.undo(props.session))
})
</script>

<template>
  <span class="edits no-print" role="group" aria-label="Changes">
    <IconButton
      :icon="mdiUndo"
      label="Take the last change back"
      :disabled="!edits.canUndo(session)"
      @click="edits.undo(session)"
    />
    <IconButton
      :icon="mdiRedo"
      label="Change it again"
      :disabled="!edits.canRedo(session)"
      @click="edits.redo(session)"
    />
  </span>
</template>
