import { defineNuxtConfig } from 'nuxt/config'
import vuetify from 'vite-plugin-vuetify'

export default defineNuxtConfig({
  compatibilityDate: '2026-01-01',
  telemetry: false,
  ssr: false,
  devtools: { enabled: false },
  modules: ['@pinia/nuxt'],
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
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
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
  nitro: { prerender: { routes: ['/', '/plan', '/cook', '/recipes', '/kitchen'] } },
  typescript: { strict: true },
})
