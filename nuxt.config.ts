import { cp } from 'node:fs/promises'
import { build } from 'esbuild'
import { night, day } from './app/theme'

export default defineNuxtConfig({
  modules: ['vuetify-nuxt-module', '@pinia/nuxt', '@nuxt/eslint', '@vite-pwa/nuxt'],
  // The journal lives on the device: see docs/decisions/rendering.md
  ssr: false,
  devtools: { enabled: false },
  app: {
    head: {
      title: 'Remous',
      htmlAttrs: { lang: 'en' },
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }, { name: 'theme-color', content: '#F5EFE2' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  css: ['@fontsource-variable/atkinson-hyperlegible-next/index.css', '~/assets/main.css'],
  compatibilityDate: '2026-01-01',
  nitro: {
    compressPublicAssets: { gzip: true, brotli: true },
    // The shell that every address opens without a network.
    prerender: { routes: ['/'], crawlLinks: false },
    hooks: {
      async compiled(nitro) {
        const out = nitro.options.output.serverDir
        await cp('server/db/migrations', `${out}/migrations`, { recursive: true })
        // Threads are started from files of their own, which the server's bundle does not hold.
        await build({ entryPoints: { chart: 'server/workers/chart.ts' }, outdir: `${out}/workers`, outExtension: { '.js': '.mjs' }, bundle: true, platform: 'node', format: 'esm', target: 'node20' })
      },
    },
  },
  // Everything outside app/ and server/ is checked too, as code that runs in Node.
  typescript: { strict: true, nodeTsConfig: { include: ['core', 'shared', 'demo', 'sim', 'bench', 'e2e'].map(folder => `../${folder}/**/*.ts`).concat('../*.config.ts') } },
  telemetry: false,
  eslint: { config: { stylistic: true } },
  pwa: {
    // A new version waits until the angler asks for it: a page that reloads itself at a stop is worse than an old one.
    registerType: 'prompt',
    manifest: {
      name: 'Remous', short_name: 'Remous', description: 'Finds the school, rigs for it, logs it.', lang: 'en', start_url: '/', display: 'standalone',
      background_color: '#F5EFE2', theme_color: '#F5EFE2',
      icons: [
        { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
        { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
        { src: '/icon-masked-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      ],
      shortcuts: [{ name: 'Log', url: '/log' }],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,html,woff2,svg,png,ico,json}'],
      // Answers are kept by the app itself, which says how old they are.
      navigateFallback: '/', navigateFallbackDenylist: [/^\/api\//],
      clientsClaim: true, cleanupOutdatedCaches: true, maximumFileSizeToCacheInBytes: 6_000_000,
    },
    client: { installPrompt: true },
  },
  vuetify: {
    moduleOptions: { styles: true },
    vuetifyOptions: {
      icons: { defaultSet: 'mdi-svg' },
      theme: { defaultTheme: 'day', themes: { day, night } },
      defaults: {
        VBtn: { variant: 'flat', ripple: false, rounded: 'lg' },
        VTextField: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
        VSelect: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto' },
        VSlider: { hideDetails: true, color: 'primary', trackSize: 3, thumbSize: 22 },
      },
    },
  },
})
