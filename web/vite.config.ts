import { createHash } from 'node:crypto'
import react from '@vitejs/plugin-react'
import { defaultClientConditions, defineConfig, type Plugin } from 'vite'

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), buildNamed()],
  resolve: { conditions: ['@logged-thermal/source', ...defaultClientConditions] },
  build: { outDir: 'dist', emptyOutDir: true, assetsInlineLimit: 0, chunkSizeWarningLimit: 600 },
  server: { port: 4311, proxy: { '/api': 'http://127.0.0.1:4310', '/health': 'http://127.0.0.1:4310' } },
})

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
