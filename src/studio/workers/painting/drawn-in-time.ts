/** An image that takes longer than this, in ms, is not waited for. */
const LONGEST = 3000

/**
 * Calls back if an image fails, or has not loaded within 3 s. If the page itself was blocked, it checks once more when
 * the page is idle. Out: a function that stops waiting.
 */
export function drawnInTime(image: HTMLImageElement, failed: () => void): () => void {
  const isThere = (): boolean => image.complete && image.naturalWidth > 0
  let timer = window.setTimeout(() => {
    timer = window.setTimeout(() => {
      if (!isThere()) end(true)
    }, 100)
  }, LONGEST)
  const end = (badly: boolean): void => {
    clearTimeout(timer)
    image.removeEventListener('load', loaded)
    image.removeEventListener('error', broke)
    if (badly) failed()
  }
  const loaded = (): void => end(false)
  const broke = (): void => end(true)
  image.addEventListener('load', loaded)
  image.addEventListener('error', broke)
  return () => end(false)
}
