/** A size for people: "173 kB". In: bytes. */
export const kilobytes = (bytes: number): string => `${Math.ceil(bytes / 1024).toLocaleString('en')} kB`
