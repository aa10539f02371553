import { mdiChevronDown } from '@mdi/js'
import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

/** Warm enamel, ink, one deep green, and one brick red for what is hot or late. */
const light = {
  dark: false,
  colors: {
    background: '#f6f1e6',
    surface: '#fffcf5',
    'surface-variant': '#ece4d3',
    'on-surface-variant': '#453f33',
    primary: '#1f5c43',
    'on-primary': '#ffffff',
    secondary: '#6a5f4b',
    error: '#a63a26',
    'on-error': '#ffffff',
    warning: '#8a5a00',
    info: '#1f5c43',
    success: '#1f5c43',
    'on-background': '#23211c',
    'on-surface': '#23211c',
  },
}
const dark = {
  dark: true,
  colors: {
    background: '#191b18',
    surface: '#22251f',
    'surface-variant': '#33372e',
    'on-surface-variant': '#ddd6c6',
    primary: '#83c7a2',
    'on-primary': '#0d2118',
    secondary: '#c9bda5',
    error: '#f0917c',
    'on-error': '#2a0d06',
    warning: '#e9b765',
    info: '#83c7a2',
    success: '#83c7a2',
    'on-background': '#ece7db',
    'on-surface': '#ece7db',
  },
}

/** Fields and choices look as `main.css` has them, and have their names above them. */
const FIELD = { variant: 'plain', density: 'compact', hideDetails: 'auto' } as const
const CHOICE = { density: 'compact', hideDetails: true, color: 'primary' } as const

export default defineNuxtPlugin((nuxt) => {
  nuxt.vueApp.use(
    createVuetify({
      theme: { defaultTheme: 'light', themes: { light, dark } },
      icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
      defaults: {
        global: { ripple: false },
        VBtn: { variant: 'flat', rounded: 'lg' },
        VTextField: FIELD,
        VTextarea: FIELD,
        VSelect: { ...FIELD, menuIcon: mdiChevronDown },
        VCheckbox: CHOICE,
        VRadioGroup: { density: 'compact', hideDetails: true },
        VRadio: CHOICE,
        VMenu: { offset: 4 },
        VList: { density: 'compact', rounded: 'lg', elevation: 3 },
        VCard: { rounded: 'lg' },
        VChip: { size: 'small', rounded: 'lg', variant: 'tonal' },
      },
    }),
  )
})
