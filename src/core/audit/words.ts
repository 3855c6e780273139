import type { Report, Verdict } from './report.ts'
import type { Claim } from './theory.ts'

/** The verdict in words, for the screen and the command line. */

export const VERDICT_NAMES: Record<Verdict, string> = {
  fair: 'Fair',
  doubtful: 'Doubtful',
  unfair: 'Not fair',
  'too-few': 'Too few boards',
}

/** A chance, short: "p = 0.41", "p < 0.0001". */
export const chanceWords = (p: number): string =>
  p < 1e-4 ? 'p < 0.0001' : `p = ${p.toFixed(p < 0.01 ? 4 : 2)}`

const percent = (share: number): string => `${(share * 100).toPrecision(2)} %`

/** A large number rounded down to its first two digits: "49,000,000,000". */
function roughly(count: number): string {
  const unit = 10 ** Math.max(0, Math.floor(Math.log10(count)) - 1)
  return (Math.floor(count / unit) * unit).toLocaleString('en')
}

/** One sentence on what was found, and one on how certain it is. */
export function verdictWords(report: Report, claim: Claim): string {
  const { verdict, p, sharpness, deals, untwinned, repeats, least } = report
  const boards = deals.toLocaleString('en')
  switch (verdict) {
    case 'too-few':
      return `${boards} ${deals === 1 ? 'board is' : 'boards are'} too few to say; ${least > deals ? `at least ${least.toLocaleString('en')}` : 'more'} are needed.`
    case 'fair': {
      if (report.single) return 'All cards are of one pair, so no place can be favoured.'
      const sure =
        sharpness === null
          ? ''
          : ` Places off by ${percent(sharpness)} on average would have shown in 99 of 100 such audits.`
      const what =
        claim === 'by-steps'
          ? 'Within its rule no pair is favoured at any place'
          : 'No place is favoured, and twins are as far apart as chance puts them'
      return `${what} (${chanceWords(p)}).${sure}`
    }
    case 'doubtful':
      return `Fair deals look as odd as this only once in about ${roughly(1 / p)} audits. Deal more to be sure.`
    case 'unfair':
      if (untwinned)
        return `${untwinned.toLocaleString('en')} of ${boards} boards cannot be cleared: a card has no twin.`
      if (repeats.distinct === 1) return `All ${boards} boards are the same.`
      return `Fair deals would look as odd as this less than once in ${p < 1e-12 ? 'a million million' : roughly(1 / p)} audits.`
  }
}
