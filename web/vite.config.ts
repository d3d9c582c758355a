import { createHash } from 'node:crypto'
import { basename } from 'node:path'
import { constants } from 'node:zlib'
import react from '@vitejs/plugin-react'
import { defaultClientConditions, defineConfig, type Plugin } from 'vite'
import { compression } from 'vite-plugin-compression2'
import { compiledMessages } from './compiledMessages.ts'

/** Its index names all of it: what only later views look at would else come with the Line. */
const CORE = /core.src/

export default defineConfig({
  root: import.meta.dirname,
  plugins: [compiledMessages(), react(), buildNamed(), smallOnTheWire()],
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
      output: { codeSplitting: { groups: [{ name: 'first', tags: ['$initial'], test: (id) => !CORE.test(id) }] } },
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
