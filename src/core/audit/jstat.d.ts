declare module 'jstat' {
  const jStat: {
    /** the regularised lower incomplete gamma function P(a, x) */
    lowRegGamma(a: number, x: number): number
  }
  export default jStat
}
