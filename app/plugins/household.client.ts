import { openDatabase } from '~/database/database'
import { loadDemoOnce } from '~/database/demo'
import { followMeasures } from '~/composables/useMeasures'
import { NotSaved } from '~/database/failure'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'
import { useTabs } from '~/stores/tabs'

/** Opens what the household owns, and has everything told that goes wrong and was told nowhere else. */
export default defineNuxtPlugin(async (nuxt) => {
  const [saving, notices] = [useSaving(), useNotices()]
  const tell = (error: unknown) => {
    // What could not be saved is told, by name, at the top of every page.
    if (error instanceof NotSaved) return
    console.error(error)
    const message = error instanceof Error ? error.message : String(error)
    notices.show({ text: 'Something went wrong here.', details: [message], bad: true })
  }
  nuxt.vueApp.config.errorHandler = tell
  window.addEventListener('unhandledrejection', (event) => {
    event.preventDefault()
    tell(event.reason)
  })
  window.addEventListener('beforeunload', (event) => {
    if (saving.writing || saving.pending.length || !saving.lasting.lasts) event.preventDefault()
  })
  saving.lasting = await openDatabase(() => (saving.blocked = true))
  saving.blocked = false
  useTabs().begin()
  followMeasures()
  // The page stands first, and says that it is opening.
  nuxt.hook('app:mounted', () => {
    void saving
      .write('the demo household', () => loadDemoOnce(), { byItself: true })
      .catch(tell)
      .then(() => {
        saving.opened = true
        return notices.recall()
      })
      .catch(tell)
  })
  // Asked once there is something to lose; a browser that says no may clear it when space is short.
  void navigator.storage?.persist?.().catch(() => {})
})
