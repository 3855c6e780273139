import { fromUint8Array } from 'js-base64'
import { readFileSync, writeFileSync } from 'node:fs'
import { readGame, writeGame } from '../../src/core/files/game-file.ts'

/**
 * Draws the movement of a clock that lies behind the last level of "The Clockmaker's Drawer", and writes drawing and
 * game into demo/.
 */

const WIDTH = 960
const HEIGHT = 1080
const BRASS = '#d8a23c'
const round = (n: number): string => n.toFixed(1)

/** A wheel with teeth, spokes and a hub. In px: its middle, its radius to the teeth's feet, and how many teeth. */
function wheel(x: number, y: number, radius: number, teeth: number, spokes: number, colour: string): string {
  const at = (angle: number, r: number): string =>
    `${round(x + r * Math.cos(angle))} ${round(y + r * Math.sin(angle))}`
  const step = (2 * Math.PI) / teeth
  const tall = radius * 0.09 + 6
  const rim = Array.from({ length: teeth }, (_, i) => {
    const a = i * step
    return `L${at(a, radius)}L${at(a + step * 0.2, radius + tall)}L${at(a + step * 0.5, radius + tall)}L${at(a + step * 0.7, radius)}`
  }).join('')
  const inner = radius * 0.78
  const windows = Array.from({ length: spokes }, (_, i) => {
    const [from, to] = [i, i + 1].map((n) => (n * 2 * Math.PI) / spokes)
    const [a, b] = [from! + 0.16, to! - 0.16]
    const hub = radius * 0.28
    return `M${at(a, hub)}L${at(a, inner)}A${round(inner)} ${round(inner)} 0 0 1 ${at(b, inner)}L${at(b, hub)}Z`
  }).join('')
  return `<path fill="${colour}" stroke="#0003" stroke-width="3" fill-rule="evenodd" d="M${rim.slice(1)}Z${windows}"/><circle cx="${x}" cy="${y}" r="${round(radius * 0.11)}" fill="#b33a57"/><circle cx="${x}" cy="${y}" r="${round(radius * 0.05)}" fill="#ffd9df"/>`
}

const ripples = Array.from(
  { length: 26 },
  (_, i) =>
    `<circle cx="-120" cy="${HEIGHT / 2}" r="${120 + i * 46}" fill="none" stroke="#fff" stroke-opacity=".1" stroke-width="14"/>`,
).join('')
/** The spring of the balance: a spiral of half circles that widen. */
const spring = Array.from({ length: 11 }, (_, i) => {
  const [from, to] = [5 + i * 9, 14 + i * 9]
  const r = (from + to) / 2
  return `A${r} ${r} 0 0 1 ${700 + (i % 2 ? -1 : 1) * to} 300`
}).join('')
const screws = [
  [70, 70],
  [890, 70],
  [70, 1010],
  [890, 1010],
  [480, 96],
  [880, 620],
]
  .map(
    ([x, y], i) =>
      `<circle cx="${x}" cy="${y}" r="26" fill="#5874a8" stroke="#22345c" stroke-width="4"/><path d="m-18 0h36" transform="translate(${x} ${y}) rotate(${i * 37})" stroke="#1b2a4b" stroke-width="7"/>`,
  )
  .join('')
const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" width="${WIDTH}" height="${HEIGHT}">
<rect width="${WIDTH}" height="${HEIGHT}" fill="#8d6a3b"/><rect width="${WIDTH}" height="${HEIGHT}" fill="#e9c88a" fill-opacity=".35"/>${ripples}
${wheel(300, 690, 250, 60, 5, BRASS)}${wheel(650, 860, 130, 30, 4, '#c9c3b6')}${wheel(560, 520, 105, 24, 4, '#efc766')}${wheel(230, 270, 150, 36, 5, '#d9d4c7')}
<circle cx="700" cy="300" r="190" fill="none" stroke="${BRASS}" stroke-width="34"/><path d="M510 300h380M700 110v380" stroke="${BRASS}" stroke-width="22"/>
<path d="M695 300${spring}" fill="none" stroke="#2f4d8f" stroke-width="5"/><circle cx="700" cy="300" r="22" fill="#b33a57"/><circle cx="700" cy="300" r="9" fill="#ffd9df"/>
${screws}</svg>`

const path = 'demo/clockmakers-drawer.game.json'
const read = readGame(readFileSync(path, 'utf8'))
if (!read.ok) throw new Error(`${path}: ${read.problem.at}: ${read.problem.message}`)
const game = read.value
const last = game.levels.at(-1)!
const src = `data:image/svg+xml;base64,${fromUint8Array(new TextEncoder().encode(svg))}`
last.look = { ...last.look, behind: { kind: 'image', src, alt: 'The open movement of a clock' } }
writeFileSync('demo/clock-movement.svg', svg + '\n')
writeFileSync(path, writeGame(game))
