/** Themes of the picture library: Unicode's groups of signs, by their names there, in plain words. */
export const PICTURE_THEMES = [
  { kind: 'Objects', words: 'Everyday things' },
  { kind: 'Travel & Places', words: 'Travel and places' },
  { kind: 'Symbols', words: 'Signs' },
  { kind: 'People & Body', words: 'People' },
  { kind: 'Flags', words: 'Flags' },
] as const
export type PictureTheme = (typeof PICTURE_THEMES)[number]['kind']

/** The ending of a picture that shows what another shows, with another colour of skin. */
const SKIN = /-(medium-light|medium-dark|light|medium|dark)$/

/** The names of a theme's pictures; of those that differ in the colour of skin only one. In: all of the library. */
export function picturesOfTheme(
  library: readonly { name: string; kind: string }[],
  theme: PictureTheme,
): string[] {
  const names = new Set(library.map(({ name }) => name))
  return library.flatMap(({ name, kind }) =>
    kind === theme && !(SKIN.test(name) && names.has(name.replace(SKIN, ''))) ? [name] : [],
  )
}
