/** An image that is not there after so long, in ms, is not waited for. */
const LONGEST = 3000

/**
 * Calls back if an image fails, or has not been loaded within 3 s. A page that was held up itself looks once more when it is at rest. Out: stops waiting.
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
