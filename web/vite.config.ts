import react from '@vitejs/plugin-react'
import { defaultClientConditions, defineConfig } from 'vite'

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react()],
  resolve: { conditions: ['@logged-thermal/source', ...defaultClientConditions] },
  build: { outDir: 'dist', emptyOutDir: true, assetsInlineLimit: 0, chunkSizeWarningLimit: 600 },
  server: { port: 4311, proxy: { '/api': 'http://127.0.0.1:4310', '/health': 'http://127.0.0.1:4310' } },
})
