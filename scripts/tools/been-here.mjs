/** Lets a page be that of somebody who has used the bench before: the first walk does not begin by itself. */
export const beenHere = (pageOrContext) =>
  pageOrContext.addInitScript(() => localStorage.setItem('lucky-twin.walked', 'true'))
