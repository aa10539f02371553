import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { computed, watchEffect } from 'vue'
import { useTheme } from 'vuetify'

/** Light or dark, as the system says until somebody chooses; every page of the application follows. */
export function useColours() {
  const theme = useTheme()
  const prefersDark = usePreferredDark()
  const chosen = useLocalStorage<'light' | 'dark' | 'system'>('cadrum-light', 'system')
  const dark = computed(() =>
    chosen.value === 'system' ? prefersDark.value : chosen.value === 'dark',
  )
  watchEffect(() => theme.change(dark.value ? 'dark' : 'light'))
  const turn = () => (chosen.value = dark.value ? 'light' : 'dark')
  return { dark, turn }
}
