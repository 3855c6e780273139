import { defineConfig } from 'vite'
import { playerCredits } from './scripts/tools/player-credits.mjs'

/** The player as one script and one style sheet, which go into every shipped file; the mode `rivals` makes the script in which minds play too. */
export default defineConfig(({ mode }) => {
  const rivals = mode === 'rivals'
  return {
    plugins: [playerCredits(rivals ? 'player-rivals-credits.json' : 'player-credits.json')],
    publicDir: false,
    // see src/player/minds-play.ts
    define: { 'import.meta.env.VITE_MINDS_PLAY': String(rivals) },
    build: {
      outDir: 'dist/player',
      rolldownOptions: { checks: { pluginTimings: false } },
      emptyOutDir: false,
      target: 'es2022',
      // every byte of it goes into every shipped file
      minify: 'terser',
      terserOptions: { ecma: 2020, compress: { passes: 3, unsafe_arrows: true } },
      lib: {
        entry: 'src/player/shipped.ts',
        formats: ['iife'],
        name: 'LuckyTwin',
        fileName: () => (rivals ? 'player-rivals.js' : 'player.js'),
        cssFileName: 'player',
      },
    },
  }
})
