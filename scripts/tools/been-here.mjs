/** Makes a page that of a returning user: the first walk does not start by itself. */
export const beenHere = (pageOrContext) =>
  pageOrContext.addInitScript(() => localStorage.setItem('lucky-twin.walked', 'true'))
