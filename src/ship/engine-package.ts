import { createTarGzip } from 'nanotar'

/** The files of dist/engine, by name. */
export type EngineFiles = Record<
  'engine.js' | 'engine.d.ts' | 'package.json' | 'README.md' | 'LICENSE',
  string
>
export const ENGINE_FILES = ['engine.js', 'engine.d.ts', 'package.json', 'README.md', 'LICENSE'] as const
export const ENGINE_NAME = 'lucky-twin-engine.tgz'

/** The rules as a package file that `npm install` takes. The same files give the same package. */
export const packEngine = (files: EngineFiles): Promise<Uint8Array> =>
  createTarGzip(
    ENGINE_FILES.map((name) => ({ name: `package/${name}`, data: files[name] })),
    { attrs: { mtime: 0, mode: '644' } },
  )
