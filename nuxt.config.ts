import { defineNuxtConfig } from 'nuxt/config'
import vuetify from 'vite-plugin-vuetify'

/** The pages there are: made ahead, kept for use without the server, and all that is answered. */
const PAGES = [
  '/',
  '/choose',
  '/buy',
  '/set-out',
  '/plan',
  '/cook',
  '/pack',
  '/keep',
  '/eat',
  '/recipes',
  '/kitchen',
  '/logbook',
]

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  telemetry: false,
  ssr: false,
  devtools: { enabled: false },
  modules: ['@pinia/nuxt'],
  runtimeConfig: { pages: PAGES },
  css: [
    '@fontsource-variable/fraunces/index.css',
    '@fontsource-variable/atkinson-hyperlegible-next/index.css',
    'vuetify/styles',
    '~/assets/main.css',
  ],
  app: {
    head: {
      title: 'Cadrum',
      htmlAttrs: { lang: 'en' },
      meta: [
        { name: 'viewport', content: 'width=device-width, initial-scale=1' },
        { name: 'description', content: 'Plans a kitchen session and carries you through it.' },
      ],
      link: [{ key: 'icon', rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  build: { transpile: ['vuetify'] },
  experimental: { viteEnvironmentApi: true },
  hooks: {
    'vite:extendConfig': (config) => {
      config.plugins?.push(vuetify({ autoImport: true }))
    },
  },
  vite: { worker: { format: 'es' } },
  postcss: { plugins: { cssnano: false } },
  routeRules: {
    '/**': {
      headers: {
        // The rest of the policy stands in each page, with the hashes of its scripts.
        'content-security-policy': "frame-ancestors 'none'",
        'x-content-type-options': 'nosniff',
        'referrer-policy': 'no-referrer',
        'cross-origin-opener-policy': 'same-origin',
        'cross-origin-resource-policy': 'same-origin',
      },
    },
    // A new one is looked for at each visit; everything else is named by its content.
    '/sw.js': { headers: { 'cache-control': 'no-cache' } },
  },
  nitro: {
    compressPublicAssets: { gzip: true, brotli: true },
    prerender: { routes: PAGES },
  },
  typescript: { strict: true },
})
