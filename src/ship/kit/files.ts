import { strToU8 } from 'fflate'
import { cellName, openCells } from '../../core/board/cells.ts'
import { FRAME_NAMES, frameOf, FRAMES, layoutIn } from '../../core/board/frames.ts'
import { prepareDeal, type Dealer } from '../../core/deal/deal.ts'
import { faceWords } from '../../core/deck/face.ts'
import { dealtText, seedsFrom } from '../../core/files/dealt-file.ts'
import { gameFiles } from '../../core/files/game-zip.ts'
import { rowsCsv, rowsJson } from '../../core/files/rows.ts'
import type { TextsByLanguage } from '../../core/files/texts-file.ts'
import type { Game } from '../../core/game/game.ts'
import { languagesOf } from '../../core/game/in-language.ts'
import { saidIn, saidRows } from '../../core/game/message-table.ts'
import { bad, good, type Result } from '../../core/result.ts'
import { resolveLevel, type Level } from '../../core/settings/levels.ts'
import { MOMENTS, type Settings } from '../../core/settings/settings.ts'
import { licensesText, worksIn, type PlayerCredits } from '../credits.ts'
import { kitBacks, type Atlas, type KitBack, type KitCard, type KitOptions } from './cards.ts'
import { testGame } from './test-games.ts'

/** The pages that go into every kit: docs/kit.md and docs/shuffle.md. */
type KitDocs = { readme: string; shuffle: string }
/** `words`: the messages of the game's languages; `svgs`: the drawings of its library pictures, by name. */
export type KitParts = {
  docs: KitDocs
  credits: PlayerCredits
  words: TextsByLanguage
  svgs: Record<string, string>
}

/** The seeds of a kit's deals and test games. */
const SEEDS = { deals: 'kit', games: 'test' } as const

const jsonLines = (all: readonly unknown[]): string => all.map((one) => `${JSON.stringify(one)}\n`).join('')

/** `cards` and `atlas` as tables, for the images that lie beside them. */
function cardFiles(
  cards: readonly KitCard[],
  backs: readonly KitBack[],
  atlas: Atlas,
): Record<string, string> {
  const rows = cards.map(({ card, file, pair, name, face }) => ({
    card,
    file,
    pair,
    name,
    says: faceWords(face, name),
  }))
  const names = [...cards.map(({ card }) => card), ...backs.map(({ file }) => file)]
  const { scale, width, height, frames } = atlas
  const byName = Object.fromEntries(names.map((name, i) => [name, frames[i]]))
  return {
    ...tableFiles('cards', rows),
    'atlas.json': `${JSON.stringify({ image: 'atlas.png', scale, width, height, frames: byName }, null, 2)}\n`,
  }
}

/** What a game says and what it is called, in each of its languages, in rows. */
function textRows(game: Game, words: TextsByLanguage): Record<string, string>[] {
  const languages = languagesOf(game)
  return saidRows(game).map(({ id, what }) => ({
    id,
    what,
    ...Object.fromEntries(languages.map((one) => [one, saidIn(game, one, id, words[one]!)])),
  }))
}

/** The file with the picture behind the cards of a level, if there is one. `plain`: with names in the place of files. */
const behindOf = ({ look: { behind } }: Settings): string | null =>
  behind && (behind.kind === 'picture' ? `behind/${behind.name}.svg` : behind.src)

/** What is heard at each moment of a level, in rows, its volume in percent. */
function soundRows(level: string, { sound, volumes }: Settings): object[] {
  return MOMENTS.map((moment) => {
    const own = sound[moment]
    const isOwn = typeof own === 'object'
    return {
      level,
      moment,
      sound: !sound.on ? 'none' : isOwn ? own.name : own === 'family' ? sound.family : own,
      file: sound.on && isOwn ? own.src : '',
      volume: (sound.volume * volumes[moment]) / 100,
    }
  })
}

/** How the board of a level stands on each screen, in rows. */
function screenRows(level: string, settings: Settings): object[] {
  return FRAME_NAMES.map((screen) => {
    const { width, height, card, gap, grid } = layoutIn(frameOf(screen), settings)
    return {
      level,
      screen,
      screenWidth: FRAMES[screen].width,
      screenHeight: FRAMES[screen].height,
      tableWidth: width,
      tableHeight: height,
      cardWidth: card.width,
      cardHeight: card.height,
      gapAcross: gap.across,
      gapDown: gap.down,
      gridX: grid.x,
      gridY: grid.y,
    }
  })
}

/** A table as CSV and as JSON. */
const tableFiles = (name: string, rows: readonly object[]): Record<string, string> => ({
  [`${name}.csv`]: rowsCsv(rows),
  [`${name}.json`]: rowsJson(rows),
})

/** Where the cells of a level lie on each screen. */
function placesOf(settings: Settings): object[] {
  const { board } = settings
  return FRAME_NAMES.flatMap((screen) => {
    const { places } = layoutIn(frameOf(screen), settings)
    return openCells(board).map((index) => ({
      screen,
      cell: cellName(index, board.columns),
      index,
      ...places[index]!,
    }))
  })
}

function levelFiles(
  { deck }: Game,
  level: Level,
  settings: Settings,
  dealer: Dealer,
  { deals, games }: KitOptions,
): Record<string, string> {
  const dealsAs = (format: 'json' | 'csv'): string =>
    seedsFrom(SEEDS.deals, deals)
      .map((seed) => dealtText({ deck }, level, dealer, seed, format))
      .join('')
  return {
    ...tableFiles(`places/${level.id}`, placesOf(settings)),
    [`deals/${level.id}.jsonl`]: dealsAs('json'),
    [`deals/${level.id}.csv`]: dealsAs('csv'),
    [`test-games/${level.id}.jsonl`]: jsonLines(
      seedsFrom(SEEDS.games, games).map((seed) => testGame(level.id, settings, dealer, deck.pairs, seed)),
    ),
  }
}

/**
 * All files of a kit but its images, by name. In: the game; its cards and where they lie on the atlas; what the author
 * chose; `progress` gets the share done, 0 to 1. Wrong: a level that cannot be dealt.
 */
export function kitFiles(
  game: Game,
  { cards, atlas }: { cards: readonly KitCard[]; atlas: Atlas },
  options: KitOptions,
  { docs, credits, words, svgs }: KitParts,
  progress: (share: number) => void = () => undefined,
): Result<Record<string, Uint8Array>> {
  const own = gameFiles(game)
  // with the names of its files in the place of images and sounds
  const plain = JSON.parse(new TextDecoder().decode(own['game.json'])) as Game
  const backs = kitBacks(game)
  const levels = plain.levels.map((level) => {
    const settings = resolveLevel(plain, level)
    const back = backs.find((one) => one.levels.includes(level.id))!.file
    return { id: level.id, name: level.name, back, behind: behindOf(settings), settings }
  })
  const texts: Record<string, string> = {
    'README.md': docs.readme,
    'SHUFFLE.md': docs.shuffle,
    'LICENSES.txt': licensesText(game, worksIn.kit(game, credits)),
    ...cardFiles(cards, backs, atlas),
    ...tableFiles('texts', textRows(game, words)),
    ...tableFiles(
      'screens',
      levels.flatMap(({ id, settings }) => screenRows(id, settings)),
    ),
    ...tableFiles(
      'sounds',
      levels.flatMap(({ id, settings }) => soundRows(id, settings)),
    ),
    'levels.json': rowsJson(levels),
  }
  for (const { look } of [game.house, ...game.levels])
    if (look?.behind?.kind === 'picture') texts[`behind/${look.behind.name}.svg`] = svgs[look.behind.name]!
  for (const [i, level] of game.levels.entries()) {
    progress(i / game.levels.length)
    const settings = resolveLevel(game, level)
    const dealer = prepareDeal(game.deck.pairs, settings)
    if (!dealer.ok) return bad(level.name, dealer.problem.message)
    Object.assign(texts, levelFiles(game, level, settings, dealer.value, options))
  }
  const written = Object.entries(texts).map(([name, text]) => [name, strToU8(text)] as const)
  return good({ ...own, ...Object.fromEntries(written) })
}
