const SMALL =
  'one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  )
const TENS = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ')

/** The English word for a number from 1 to 200. */
export function numberWord(n: number): string {
  if (n >= 100) {
    const rest = n % 100
    return `${SMALL[Math.floor(n / 100) - 1]!} hundred${rest ? ` ${numberWord(rest)}` : ''}`
  }
  if (n < 20) return SMALL[n - 1]!
  const unit = n % 10
  return TENS[Math.floor(n / 10) - 2]! + (unit ? `-${SMALL[unit - 1]!}` : '')
}
