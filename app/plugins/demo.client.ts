import { loadDemoOnce } from '~/database/demo'

export default defineNuxtPlugin(async () => {
  await loadDemoOnce()
})
