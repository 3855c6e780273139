import { defineConfig } from 'vite'

/** The rules as one ES module without dependencies (src/engine); scripts/tools/engine-package.mjs adds its types and makes it a package. */
export default defineConfig({
  publicDir: false,
  build: {
    outDir: 'dist/engine',
    target: 'es2022',
    minify: 'terser',
    terserOptions: { ecma: 2020, compress: { passes: 2 } },
    lib: { entry: 'src/engine/engine.ts', formats: ['es'], fileName: () => 'engine.js' },
  },
})
