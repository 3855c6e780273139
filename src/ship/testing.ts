import type { PlayerCredits } from './credits.ts'
import type { BuiltPlayer } from './html.ts'

/** A player for tests, as short as can be, and who made it. */

const work = (name: string) => ({ name, by: 'Somebody', licence: 'MIT', text: `${name}: do as you like` })

export const credits: PlayerCredits = {
  pictures: work('Drawings'),
  type: [work('Letters'), work('Card letters')],
  program: [work('Lucky Twin'), work('Parts')],
}
export const player: BuiltPlayer = {
  script: 'start("</script>")',
  style: '@font-face{font-family:Letters}.a{}',
  faceFont: '@font-face{font-family:Cards}',
  credits,
  drawings: { pause: '<svg></svg>' },
}
