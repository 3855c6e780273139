import { prepareDeal } from '../../src/core/deal/deal.ts'
import { DEFAULTS, type Settings } from '../../src/core/game/settings.ts'
import { playPerfectMemory } from '../../src/core/odds/players.ts'
import { newRound } from '../../src/core/play/round.ts'
const pairs: any[] = Array.from({ length: 18 }, (_, i) => ({
  id: `p${i}`,
  name: `P${i}`,
  a: { kind: 'text', text: String(i) },
}))
const rules: Settings = { ...DEFAULTS, board: { rows: 6, columns: 6, gaps: [] } }
const level = (prepareDeal(pairs, rules) as any).value
let s = 0
const f = () => {
  playPerfectMemory(newRound(rules, level.deal('bench-' + s++), false))
}
for (let k = 0; k < 6; k++) {
  const a = process.hrtime.bigint()
  for (let i = 0; i < 100000; i++) f()
  console.log('all', Number(process.hrtime.bigint() - a) / 100000, 'ns')
}
