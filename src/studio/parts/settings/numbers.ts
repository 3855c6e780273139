/** How a number of the settings is written for people, and read back. */
export const UNITS = [
  'count',
  'points',
  'seconds',
  'clock',
  'times',
  'more',
  'px',
  'ratio',
  'percent',
  'mm',
] as const
export type Unit = (typeof UNITS)[number]

/**
 * "1.0 s", "1:30", "3 ×", "50 %", "12 px", "0.84", "80 %", "1,200". Seconds and clock are ms in the file; `more` is a
 * share.
 */
export function writeNumber(value: number, unit: Unit): string {
  switch (unit) {
    case 'seconds':
      return `${(value / 1000).toFixed(value % 100 ? 2 : 1)} s`
    case 'clock': {
      const seconds = value / 1000
      const rest = seconds % 60
      return `${Math.floor(seconds / 60)}:${(rest < 10 ? '0' : '') + String(+rest.toFixed(3))}`
    }
    case 'times':
      return `${value} ×`
    case 'more':
      return `${(+(value * 100).toFixed(2)).toLocaleString('en')} %`
    case 'percent':
      return `${value} %`
    case 'px':
      return `${value} px`
    case 'ratio':
      return String(+value.toFixed(3))
    // tenths; the sentence around it says mm
    case 'mm':
      return String(+value.toFixed(1))
    default:
      return value.toLocaleString('en')
  }
}

/**
 * The number that was typed, in the file's own unit, or null if it is not a number. Bare numbers and units are both
 * accepted.
 */
export function readNumber(text: string, unit: Unit): number | null {
  const plain = text
    .trim()
    .replace(/[\s\u202f]|,(?=\d{3}\b)/g, '')
    .replace(',', '.')
    .replace(/(s|sec|×|px|x|%|mm)$/i, '')
  const clock = /^(\d+):(\d{1,2}(?:\.\d+)?)$/.exec(plain)
  if (clock && (unit === 'clock' || unit === 'seconds'))
    return Math.round((Number(clock[1]) * 60 + Number(clock[2])) * 1000)
  if (!/^-?\d*\.?\d+$/.test(plain)) return null
  const number = Number(plain)
  if (unit === 'seconds' || unit === 'clock') return Math.round(number * 1000)
  if (unit === 'more') return number / 100
  if (unit === 'mm') return +number.toFixed(1)
  return number
}

/** One step of the arrow keys or the wheel, in the file's unit. */
export const STEP: Record<Unit, number> = {
  count: 1,
  points: 10,
  seconds: 100,
  clock: 5000,
  times: 0.5,
  more: 0.1,
  px: 1,
  percent: 10,
  ratio: 0.05,
  mm: 0.5,
}

/** A time in seconds, in words: "0.6 s". In: ms. */
export const seconds = (ms: number, digits = 1): string => `${(ms / 1000).toFixed(digits)} s`

/** A share (0 to 1) in percent: "12 %", or with digits after the point. */
export const percent = (share: number, digits = 0): string => `${(share * 100).toFixed(digits)} %`
