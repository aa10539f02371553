/** Has the browser keep the application, once the page stands and nothing else wants the line. */
export default defineNuxtPlugin((nuxt) => {
  if (import.meta.dev || !('serviceWorker' in navigator)) return
  nuxt.hook('app:suspense:resolve', () => {
    const register = () => void navigator.serviceWorker.register('/sw.js').catch(() => {})
    if ('requestIdleCallback' in window) requestIdleCallback(register, { timeout: 5000 })
    else setTimeout(register, 2000)
  })
})
