import Icons from 'unplugin-icons/vite'
import { defineConfig } from 'vite'

/** The player as one script and one style sheet, which go into every shipped file; the mode `rivals` makes the script in which minds play too. */
export default defineConfig(({ mode }) => {
  const rivals = mode === 'rivals'
  return {
    plugins: [Icons({ compiler: 'raw', scale: 1 })],
    publicDir: false,
    // see src/player/minds-play.ts
    define: { 'import.meta.env.VITE_MINDS_PLAY': String(rivals) },
    build: {
      outDir: 'dist/player',
      emptyOutDir: !rivals,
      target: 'es2022',
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
