import { defineConfig } from 'vite'

/** The server, the command line and the benchmarks, for Node; packages stay in node_modules. */
export default defineConfig({
  publicDir: false,
  build: {
    ssr: true,
    outDir: 'dist/node',
    target: 'node20',
    rollupOptions: {
      input: {
        cli: 'src/cli/main.ts',
        server: 'src/server/main.ts',
        bench: 'scripts/bench/core.ts',
        schemas: 'scripts/schemas/write.ts',
        'tile-yard': 'scripts/demo/tile-yard.ts',
        'stored-game': 'scripts/tools/stored-game.ts',
        'clock-movement': 'scripts/demo/clock-movement.ts',
      },
      output: { entryFileNames: '[name].js' },
    },
  },
})
