import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { packed } from './packed'
import { licencesFile, noteShipped } from './licences'

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwind(), noteShipped(), licencesFile(), packed()],
  worker: { format: 'es', plugins: () => [noteShipped()] },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 1200,
    rolldownOptions: {
      output: {
        // What every page needs comes in one file instead of fifty: it packs better, and is one way over the line.
        codeSplitting: { groups: [{ name: 'start', tags: ['$initial'] }] },
      },
    },
  },
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4610', changeOrigin: true } } },
})
