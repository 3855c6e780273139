declare module 'jstat' {
  const jStat: {
    /** the regularised lower incomplete gamma function P(a, x) */
    lowRegGamma(a: number, x: number): number
    /** the normal distribution: the share below x, and the x below which a share lies */
    normal: {
      cdf(x: number, mean: number, deviation: number): number
      inv(share: number, mean: number, deviation: number): number
    }
  }
  export default jStat
}
