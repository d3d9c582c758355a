import { createHash } from 'node:crypto'
import { basename } from 'node:path'
import { constants } from 'node:zlib'
import react from '@vitejs/plugin-react'
import { defaultClientConditions, defineConfig, type Plugin } from 'vite'
import { compression } from 'vite-plugin-compression2'
import { VitePWA } from 'vite-plugin-pwa'
import { compiledMessages } from './compiledMessages.ts'

/** Its index names all of it: what only later views look at would else come with the Line. */
const CORE = /core.src/
/** How entries are judged before they are taken: no view draws with it. */
const ADMISSION = /core.src.admission/

export default defineConfig({
  root: import.meta.dirname,
  plugins: [compiledMessages(), react(), installable(), buildNamed(), smallOnTheWire()],
  resolve: { conditions: ['@logged-thermal/source', ...defaultClientConditions] },
  css: {
    modules: {
      localsConvention: 'camelCaseOnly',
      // Readable, and the same in every build: 'line-name' is .name of line.module.css.
      generateScopedName: (name, file) => `${scopeOf(file)}-${name}`,
    },
  },
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    manifest: true,
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 1200,
    // What the Line opens with is one file: a browser asks for six at a time, and each round to the server counts.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'first', tags: ['$initial'], test: (id) => !CORE.test(id) },
            { name: 'admission', test: ADMISSION, includeDependenciesRecursively: false },
          ],
        },
      },
    },
  },
  server: { port: 4311, proxy: { '/api': 'http://127.0.0.1:4310', '/health': 'http://127.0.0.1:4310' } },
})

/** 'header' of 'header.module.css', 'cooling-sheet' of 'coolingSheet.module.css'. */
function scopeOf(file: string): string {
  return basename(file.split('?')[0]!, '.module.css').replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)
}

/** Names the build in the page, by what is in it: files are named by their content, so the page's own digest says it all. */
function buildNamed(): Plugin {
  return {
    name: 'build-named',
    apply: 'build',
    transformIndexHtml: {
      order: 'post',
      handler: (html) => [
        {
          tag: 'meta',
          attrs: { name: 'lt-build', content: createHash('sha256').update(html).digest('hex').slice(0, 16) },
          injectTo: 'head',
        },
      ],
    },
  }
}

/** A brotli file beside each script and style sheet: made once, better than a server can make it for each asking. */
function smallOnTheWire(): Plugin {
  const params = { [constants.BROTLI_PARAM_QUALITY]: 10 }
  return compression({ include: /\.(js|css)$/, algorithms: [['brotliCompress', { params }]] })
}

/**
 * The whole program lies on the tablet once it was opened there, and can be installed. A new one comes in beside it and waits
 * until it is loaded (`src/app/program.ts`).
 */
function installable(): Plugin[] {
  return VitePWA({
    registerType: 'prompt',
    injectRegister: false,
    manifest: {
      name: 'Logged Thermal',
      short_name: 'Logged',
      description: 'What the readings of a batch prove, while it can still be rescued.',
      display: 'standalone',
      background_color: '#E6EEE6',
      theme_color: '#E6EEE6',
      icons: [
        { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
        { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
        { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
        { src: '/icon-full-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
      ],
    },
    workbox: {
      globPatterns: ['**/*.{js,css,html,svg,woff2}', 'icon-*.png'],
      // Handed out, never opened from here.
      globIgnores: ['check.html'],
      maximumFileSizeToCacheInBytes: 4e6,
      navigateFallback: '/index.html',
      navigateFallbackDenylist: [/^\/(api|health|metrics)(\/|$)/, /^\/check\.html$/],
      clientsClaim: true,
      cleanupOutdatedCaches: true,
    },
  })
}
