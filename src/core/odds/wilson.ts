/** The 97.5 % quantile of the standard normal distribution. */
export const Z = 1.959963984540054

/**
 * The 95 % interval of a share of which `won` of `games` (1 or more) were seen. Source: E. B. Wilson, "Probable
 * Inference, the Law of Succession, and Statistical Inference", Journal of the American Statistical Association 22
 * (1927).
 */
export function wilson(won: number, games: number): [low: number, high: number] {
  const share = won / games
  const z2 = Z * Z
  const middle = (share + z2 / (2 * games)) / (1 + z2 / games)
  const half = (Z / (1 + z2 / games)) * Math.sqrt((share * (1 - share)) / games + z2 / (4 * games * games))
  return [won === 0 ? 0 : middle - half, won === games ? 1 : middle + half]
}
