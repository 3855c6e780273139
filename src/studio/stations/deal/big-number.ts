const RAISED = '⁰¹²³⁴⁵⁶⁷⁸⁹'
/** Whole numbers below this are written out. */
const WRITTEN_OUT = 1e6

/** A number given by its natural logarithm, to three figures: "24,310", "9.12 × 10²⁰". */
export function bigNumber(log: number): string {
  const whole = Math.round(Math.exp(log))
  if (whole < WRITTEN_OUT) return whole.toLocaleString('en')
  const tens = log / Math.LN10
  let power = Math.floor(tens)
  let figures = (10 ** (tens - power)).toFixed(2)
  // 9.996 is not 10.00 × 10ⁿ
  if (figures === '10.00') {
    figures = '1.00'
    power++
  }
  return `${figures} × 10${Array.from(String(power), (digit) => RAISED[Number(digit)]).join('')}`
}
