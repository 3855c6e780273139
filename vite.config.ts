import vue from '@vitejs/plugin-vue'
import Icons from 'unplugin-icons/vite'
import { defineConfig } from 'vite'

/** The studio. Its picture library and the built player are made first (scripts/build.mjs). */
export default defineConfig({
  plugins: [vue(), Icons({ compiler: 'vue3', scale: 1 })],
  build: {
    outDir: 'dist/app',
    rolldownOptions: { checks: { pluginTimings: false } },
    manifest: true,
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    modulePreload: { polyfill: false },
  },
  // each job of the worker is loaded when it is asked for
  worker: { format: 'es' },
  server: { host: '127.0.0.1' },
})
