import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { licencesFile, noteShipped } from './licences'

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwind(), noteShipped(), licencesFile()],
  worker: { format: 'es', plugins: () => [noteShipped()] },
  build: { target: 'es2022', chunkSizeWarningLimit: 1200 },
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4610', changeOrigin: true } } },
})
