/** A font face as the page's style declares it; addresses in its source are complete. */
export type FontRule = { family: string; source: string; descriptors: FontFaceDescriptors }

// a worker has them too, which its types do not know
const { fonts } = self as unknown as { fonts: FontFaceSet }

/** A worker has no fonts except those it is given. */
export function addFonts(rules: readonly FontRule[]): void {
  for (const { family, source, descriptors } of rules) fonts.add(new FontFace(family, source, descriptors))
}

/**
 * Waits until a font, written as CSS writes it, is ready for a text; if it is missing, the text is drawn in another.
 */
export const loadFont = (type: string, text: string): Promise<unknown> =>
  fonts.load(type, text).catch(() => undefined)
