/** A time in seconds, in words: "0.6 s". In: ms. */
export const seconds = (ms: number, digits = 1): string => `${(ms / 1000).toFixed(digits)} s`
