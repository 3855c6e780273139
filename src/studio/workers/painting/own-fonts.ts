/** A face of type as the page's style tells it; addresses in its source are whole. */
export type FontRule = { family: string; source: string; descriptors: FontFaceDescriptors }

const { fonts } = self as unknown as { fonts: FontFaceSet }

/** A worker has no type but what it is given. */
export function addFonts(rules: readonly FontRule[]): void {
  for (const { family, source, descriptors } of rules) fonts.add(new FontFace(family, source, descriptors))
}

/** Waits until a text can be set in a type, written as CSS writes it; without it in what there is. */
export const loadFont = (type: string, text: string): Promise<unknown> =>
  fonts.load(type, text).catch(() => undefined)
