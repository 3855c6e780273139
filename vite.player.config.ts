import Icons from 'unplugin-icons/vite'
import { defineConfig } from 'vite'

/** The player as one script and one style sheet, which go into every shipped file. */
export default defineConfig({
  plugins: [Icons({ compiler: 'raw', scale: 1 })],
  publicDir: false,
  build: {
    outDir: 'dist/player',
    target: 'es2022',
    lib: {
      entry: 'src/player/shipped.ts',
      formats: ['iife'],
      name: 'LuckyTwin',
      fileName: () => 'player.js',
      cssFileName: 'player',
    },
  },
})
