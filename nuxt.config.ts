import { cp } from 'node:fs/promises'
import { build } from 'esbuild'
import { night, day } from './app/theme'

export default defineNuxtConfig({
  modules: ['vuetify-nuxt-module', '@pinia/nuxt', '@nuxt/eslint'],
  // The journal lives on the device: see docs/decisions/rendering.md
  ssr: false,
  devtools: { enabled: false },
  app: {
    head: {
      title: 'Remous',
      htmlAttrs: { lang: 'en' },
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  css: ['@fontsource-variable/atkinson-hyperlegible-next/index.css', '~/assets/main.css'],
  compatibilityDate: '2026-01-01',
  nitro: {
    compressPublicAssets: { gzip: true, brotli: true },
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
