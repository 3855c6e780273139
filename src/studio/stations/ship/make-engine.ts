import { packEngine } from '../../../ship/engine-package.ts'

/** The rules as a package file. */
export async function makeEngine(): Promise<Uint8Array<ArrayBuffer>> {
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
  return content as Uint8Array<ArrayBuffer>
}
