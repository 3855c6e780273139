/** The pairs of colours that a back is offered in. */
export const BACK_COLOURS = {
  apricot: { ink: '#d9673c', paper: '#fdeee2' },
  lagoon: { ink: '#1f7f80', paper: '#e3f1ee' },
  night: { ink: '#403f6d', paper: '#e9e6f4' },
  walnut: { ink: '#7a5a2f', paper: '#f5ead6' },
  wine: { ink: '#8c2f4b', paper: '#fae6ea' },
}
