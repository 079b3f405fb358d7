import tailwind from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import { packed } from './packed'
import { manifest } from './manifest'
import { licencesFile, noteShipped } from './licences'

/** The application as a device keeps it, to open without network. */
const ownWorker = VitePWA({
  strategies: 'injectManifest',
  srcDir: 'src/offline',
  filename: 'sw.ts',
  manifestFilename: 'app.webmanifest',
  manifest,
  // Registered by the page, for whoever is signed in.
  injectRegister: null,
  injectManifest: {
    globPatterns: ['**/*.{html,js,css,wasm,woff2,svg,png,webmanifest}'],
    // Parts of the library for documents that nothing here asks for.
    globIgnores: ['**/html2canvas-*', '**/purify*', '**/index.es-*', '**/licences.txt'],
    maximumFileSizeToCacheInBytes: 5e6,
    buildPlugins: { vite: [noteShipped()] },
  },
})

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwind(), noteShipped(), licencesFile(), packed(), ownWorker],
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
