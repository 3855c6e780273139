import { readFileSync } from 'node:fs'
import { whereText } from '../core/findings/finding.ts'
import { findingsOf } from '../core/findings/findings.ts'
import { findingLine } from '../core/findings/words.ts'
import type { Game } from '../core/game/game.ts'
import { languagesOf } from '../core/game/in-language.ts'
import { missingIn } from '../core/game/message-table.ts'
import { problemLine, quoted, type Result } from '../core/result.ts'
import { hasRivals } from '../core/settings/seats.ts'
import { isLanguage, languageName, LANGUAGES, type Language } from '../core/texts/languages.ts'
import { messagesIn } from '../core/texts/ready.ts'
import { licensesText, worksIn, type PlayerCredits } from '../ship/credits.ts'
import { ENGINE_FILES, packEngine, type EngineFiles } from '../ship/engine-package.ts'
import { shipHtml, type BuiltPlayer } from '../ship/html.ts'
import { atlasOf, KIT_DEFAULTS, kitBacks, kitCards, kitCardSize, type KitOptions } from '../ship/kit/cards.ts'
import { kilobytes } from '../ship/kilobytes.ts'
import { kitFiles } from '../ship/kit/files.ts'
import { gatherArt, svgsOf } from '../ship/pictures.ts'
import { projectFiles, type ProjectParts } from '../ship/project/files.ts'
import { shipSite } from '../ship/site.ts'
import { zipOf } from '../ship/zip.ts'
import { SHIPPED_AS, type ShippedAs } from './arguments.ts'
import { gameAt, pictureAt, writeAt } from './files.ts'
import { Unusable, type Shell } from './shell.ts'

export type ShipOptions = {
  to: string
  as: ShippedAs
  lang?: string[]
  licences?: string
} & Partial<KitOptions>

/**
 * What is shipped, as a file; a problem names the part of the game that prevents it. `tell` gets what the author should
 * know of it.
 */
type Maker = (
  game: Game,
  art: Record<string, string>,
  built: BuiltParts,
  options: ShipOptions,
  tell: Shell['tell'],
) => Promise<Result<string | Uint8Array>>

/** Reads what was built. In: the folder it is in. */
function builtIn(folder: string) {
  const text = (path: string): string => readFileSync(`${folder}/${path}`, 'utf8')
  const name = (game: Game): string => `player/${hasRivals(game) ? 'player-rivals' : 'player'}`
  const credits = (game: Game): PlayerCredits =>
    JSON.parse(text(`${name(game)}-credits.json`)) as PlayerCredits
  return {
    text,
    credits,
    player: (game: Game): BuiltPlayer => ({
      script: text(`${name(game)}.js`),
      style: text('player/player.css'),
      faceFont: text('player/face-font.css'),
      credits: credits(game),
      drawings: JSON.parse(text('player/drawings.json')) as BuiltPlayer['drawings'],
    }),
  }
}
type BuiltParts = ReturnType<typeof builtIn>

/** What a page has beside its game: pictures, and the words of its languages. */
const withWords = async (game: Game, art: Record<string, string>) => ({
  art,
  words: await messagesIn(languagesOf(game)),
})
const zipped = (files: Record<string, Uint8Array>): Result<Uint8Array> => ({
  ok: true,
  value: zipOf(files),
})

const MAKERS: Record<ShippedAs, Maker> = {
  async page(game, art, built) {
    return { ok: true, value: shipHtml(game, await withWords(game, art), built.player(game)) }
  },
  async site(game, art, built) {
    const { drawIcons } = await import('./draw.ts')
    const icons = await drawIcons(game)
    return zipped(shipSite(game, await withWords(game, art), built.player(game), icons))
  },
  async engine(_game, _art, built) {
    const files = ENGINE_FILES.map((name) => [name, built.text(`engine/${name}`)])
    return { ok: true, value: await packEngine(Object.fromEntries(files) as EngineFiles) }
  },
  async project(game, art, built) {
    const parts = JSON.parse(built.text('project.json')) as ProjectParts
    return zipped(projectFiles(game, svgsOf(art), parts, built.credits(game)))
  },
  async kit(game, art, built, options, tell) {
    const { width, ...counts } = { ...KIT_DEFAULTS, ...options }
    const cards = kitCards(game)
    const atlas = atlasOf(cards.length + kitBacks(game).length, kitCardSize(game, width))
    if (!atlas.ok) return atlas
    const layout = { cards, atlas: atlas.value }
    const docs = { readme: built.text('../docs/kit.md'), shuffle: built.text('../docs/shuffle.md') }
    const words = await messagesIn(languagesOf(game))
    const parts = { docs, credits: built.credits(game), words, svgs: svgsOf(art) }
    const files = kitFiles(game, layout, { width, ...counts }, parts)
    if (!files.ok) return files
    const { drawKit } = await import('./draw.ts')
    const { images, undrawn } = await drawKit(game, layout, width)
    for (const card of undrawn) tell(`${card}: its image cannot be drawn; its words stand there`)
    return zipped({ ...files.value, ...images })
  },
}

/** A game in the languages that are asked for, its own first; in those it names itself if none are. */
function speaking(game: Game, tags: readonly string[] | undefined): Game {
  if (!tags) return game
  const languages = [...new Set(tags)]
  const wrong = languages.find((tag) => !isLanguage(tag))
  if (wrong !== undefined)
    throw new Unusable(`--lang: ${quoted(wrong)} is none of the languages, which are ${LANGUAGES.join(', ')}`)
  return { ...game, texts: { own: game.texts?.own ?? {}, languages: languages as Language[] } }
}

/** Writes what a game is shipped as. */
export async function ship(path: string, options: ShipOptions, shell: Shell): Promise<number> {
  const { to, as, lang, licences } = options
  const { ends, what } = SHIPPED_AS[as]
  if (!ends.test(to)) throw new Unusable(`${to}: ${what}`)
  if (as === 'engine' && lang) throw new Unusable('--lang: the engine is the same in every language')
  if (as === 'engine' && licences) throw new Unusable('--licences: the engine has its licence inside')
  const game = speaking(gameAt(path, shell), lang)
  // the engine has no game inside
  const stops = as === 'engine' ? [] : findingsOf(game).filter(({ severity }) => severity === 'stops')
  for (const stop of stops) shell.tell(`${whereText(stop.where)}: ${findingLine(stop, game.levels)}`)
  const art = as === 'engine' ? ({ ok: true, value: {} } as const) : await gatherArt(game, pictureAt)
  if (!art.ok) shell.tell(problemLine(art.problem))
  if (!art.ok || stops.length) return 1
  const output = await MAKERS[as](game, art.value, builtIn(shell.built), options, shell.tell)
  if (!output.ok) {
    shell.tell(problemLine(output.problem))
    return 1
  }
  writeAt(to, output.value, shell)
  shell.tell(`${to}: ${kilobytes(Buffer.byteLength(output.value))}`)
  if (as === 'engine') return 0
  const own = languagesOf(game)[0]
  for (const language of languagesOf(game).slice(1)) {
    const missing = missingIn(game, language).map(({ what }) => what)
    if (missing.length)
      shell.tell(`${languageName(language)}: as in ${languageName(own)}: ${listOf(missing)}`)
  }
  if (licences) {
    const works = worksIn[as === 'site' ? 'page' : as](game, builtIn(shell.built).credits(game))
    writeAt(licences, licensesText(game, works), shell)
  }
  return 0
}

/** How many things are named before the rest is counted. */
const NAMED = 12
const listOf = (all: readonly string[]): string => {
  const named = all.slice(0, NAMED).join(', ')
  return all.length > NAMED ? `${named} and ${all.length - NAMED} more` : named
}
