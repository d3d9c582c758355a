import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { viteSingleFile } from 'vite-plugin-singlefile'
import { compiledMessages } from './compiledMessages.ts'
import usual from './vite.config.ts'

/** The checker as one file beside the application: it goes into packets and runs from wherever it was saved. */
export default defineConfig({
  root: import.meta.dirname,
  publicDir: false,
  plugins: [compiledMessages(), react(), viteSingleFile()],
  ...(usual.resolve ? { resolve: usual.resolve } : {}),
  ...(usual.css ? { css: usual.css } : {}),
  worker: { plugins: () => [compiledMessages()] },
  build: {
    outDir: 'dist',
    emptyOutDir: false,
    chunkSizeWarningLimit: 4000,
    rolldownOptions: { input: `${import.meta.dirname}/check.html` },
  },
})
