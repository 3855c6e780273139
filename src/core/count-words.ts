/**
 * A count with what is counted, as messages write it: "1 pair", "1,200 pairs". In: the count; what one is called, and
 * several, by default with an s.
 */
export const countWords = (count: number, one: string, several = `${one}s`): string =>
  `${count.toLocaleString('en')} ${count === 1 ? one : several}`
