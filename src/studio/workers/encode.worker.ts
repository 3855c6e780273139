/** Pictures that are drawn, made into files; null if one cannot be. */
export type EncodeInput = { number: number; picture: ImageBitmap }
export type EncodeOutput = { number: number; file: Blob | null }

const canvas = new OffscreenCanvas(1, 1)
const pen = canvas.getContext('bitmaprenderer')!

self.onmessage = async ({ data: { number, picture } }: MessageEvent<EncodeInput>): Promise<void> => {
  pen.transferFromImageBitmap(picture)
  const file = await canvas.convertToBlob().catch(() => null)
  self.postMessage({ number, file } satisfies EncodeOutput)
}
