/** What is no page of the application is answered as not found; the page itself says so too. */
export default defineNitroPlugin((nitro) => {
  const pages = new Set(useRuntimeConfig().pages as string[])
  nitro.hooks.hook('render:response', (response, { event }) => {
    const path = event.path.split('?')[0]!.replace(/(?<=.)\/$/, '')
    if (response.statusCode === 200 && !pages.has(path) && !path.startsWith('/200'))
      response.statusCode = 404
  })
})
