import { ENGINE_NAME, packEngine } from '../../../ship/engine-package.ts'

/** The rules as a package file, and its name. */
export async function makeEngine(): Promise<{ name: string; content: Uint8Array<ArrayBuffer> }> {
  const [js, types, manifest, readme, license] = await Promise.all([
    import('../../../../dist/engine/engine.js?raw'),
    import('../../../../dist/engine/engine.d.ts?raw'),
    import('../../../../dist/engine/package.json?raw'),
    import('../../../../dist/engine/README.md?raw'),
    import('../../../../dist/engine/LICENSE?raw'),
  ])
  const content = await packEngine({
    'engine.js': js.default,
    'engine.d.ts': types.default,
    'package.json': manifest.default,
    'README.md': readme.default,
    LICENSE: license.default,
  })
  return { name: ENGINE_NAME, content: content as Uint8Array<ArrayBuffer> }
}
