import { defineNuxtModule } from 'nuxt/kit'
import { generateSW } from 'workbox-build'

/**
 * Makes the service worker that keeps the application in the browser, so that it opens without the
 * server. It is written once the pages are there and before the server lists what it serves.
 */
export default defineNuxtModule({
  meta: { name: 'offline' },
  setup(_, nuxt) {
    if (nuxt.options.dev) return
    nuxt.hook('nitro:build:public-assets', async (nitro) => {
      const folder = nitro.options.output.publicDir
      const { warnings } = await generateSW({
        swDest: `${folder}/sw.js`,
        globDirectory: folder,
        // One page serves all addresses: which of them it shows is settled in the browser.
        globPatterns: ['index.html', 'icon.svg', '_nuxt/**/*.{js,css,woff2}'],
        maximumFileSizeToCacheInBytes: 5_000_000,
        dontCacheBustURLsMatching: /\/_nuxt\//,
        navigateFallback: '/index.html',
        navigateFallbackAllowlist: (nitro.options.prerender.routes ?? []).map(
          (page) => new RegExp(`^${page}/?(?:\\?|$)`),
        ),
        clientsClaim: true,
        sourcemap: false,
        mode: 'production',
      })
      if (warnings.length) throw new Error(warnings.join('\n'))
    })
  },
})
