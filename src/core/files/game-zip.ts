import { strToU8, zipSync } from 'fflate'
import { fromUint8Array, toUint8Array } from 'js-base64'
import type { Game } from '../game/game.ts'
import { imagesOf, ownFilesOf, soundsOf } from '../game/own-files.ts'
import { SIZES, sizeWords } from '../settings/bounds.ts'
import { bad, cut, quoted, type Result } from '../result.ts'
import { gameFrom, readGame, writeGame } from './game-file.ts'
import { imageType } from './image.ts'
import { soundType } from './sound.ts'
import { parseJson } from './read-json.ts'
import { readShippedPage } from './shipped-page.ts'
import { unzip } from './unzip.ts'
import { readUtf8 } from './utf8.ts'

const GAME = 'game.json'
/** Where a game lies in the zips that it is shipped as: in a project, and in a site. */
export const IN_PROJECT = 'public/game.json'
export const IN_SITE = 'index.html'
const WHOLE = [GAME, IN_PROJECT, IN_SITE]
/** File endings that differ from the name of their type. */
const ENDINGS: Record<string, string> = { jpeg: 'jpg', mpeg: 'mp3' }

/**
 * A game from the bytes of a NAME.game.zip: game.json, and art/… and sound/… with each image's and sound's `src`
 * relative; or from a site, a project or a kit that it was shipped as. Nothing is unpacked beyond 64 MiB, and no entry
 * but game.json beyond 8 MiB.
 */
export function readGameZip(bytes: Uint8Array): Result<Game> {
  let total = 0
  let tooLarge = ''
  const unzipped = unzip(bytes, ({ name, size }) => {
    const isWhole = WHOLE.includes(name)
    if (!isWhole && !/^(art|sound)\//.test(name)) return false
    total += size
    if (total > SIZES.file || (!isWhole && size > SIZES.image)) tooLarge ||= name
    return tooLarge === ''
  })
  if (!unzipped.ok) return unzipped
  if (tooLarge)
    return bad(
      cut(tooLarge),
      `too large: ${sizeWords(SIZES.image)} an image, ${sizeWords(SIZES.file)} in all`,
    )
  const files: Record<string, Uint8Array> = {}
  for (const [name, file] of unzipped.value) {
    if (!file.ok) return bad(cut(name), file.problem.message)
    files[name] = file.value
  }
  const text = files[GAME]
  if (!text) return shippedIn(files)
  const decoded = readUtf8(text)
  const json = decoded.ok ? parseJson(decoded.value) : decoded
  if (!json.ok) return bad(`${GAME}${json.problem.at ? `, ${json.problem.at}` : ''}`, json.problem.message)
  const places = [
    ...imagesOf(json.value).map((place) => ({ ...place, kind: 'image', typeOf: imageType })),
    ...soundsOf(json.value).map((place) => ({ ...place, kind: 'audio', typeOf: soundType })),
  ]
  for (const { src, at, put, kind, typeOf } of places) {
    if (src.startsWith('data:')) continue
    const file = Object.hasOwn(files, src) ? files[src] : undefined
    if (!file) return bad(`${GAME}, ${at}`, `no ${quoted(src)} in this zip`)
    put(`data:${kind}/${typeOf(file) ?? 'unknown'};base64,${fromUint8Array(file)}`)
  }
  const game = gameFrom(json.value)
  return game.ok ? game : bad(`${GAME}, ${game.problem.at}`, game.problem.message)
}

/** The game in a project or a site. */
function shippedIn(files: Record<string, Uint8Array>): Result<Game> {
  const name = [IN_PROJECT, IN_SITE].find((one) => files[one])
  if (!name) return bad('', `no ${GAME} in this zip`)
  const text = readUtf8(files[name]!)
  if (!text.ok) return bad(name, text.problem.message)
  const game = name === IN_SITE ? readShippedPage(text.value) : readGame(text.value)
  if (game.ok) return game
  const { at, message } = game.problem
  return bad(at ? `${name}, ${at}` : name, message)
}

/** The files of a game, by name: game.json, its images under art/ and its own sounds under sound/, each once. */
export function gameFiles(game: Game): Record<string, Uint8Array> {
  const file: unknown = JSON.parse(writeGame(game))
  const entries: Record<string, Uint8Array> = {}
  const names = new Map<string, string>()
  for (const { src, put } of ownFilesOf(file)) {
    const match = /^data:(image|audio)\/([a-z]+)[^,]*,(.*)$/.exec(src)
    if (!match) continue
    const [, kind, type, content] = match
    let name = names.get(src)
    if (!name) {
      name = `${kind === 'image' ? 'art' : 'sound'}/${names.size + 1}.${ENDINGS[type!] ?? type}`
      names.set(src, name)
      entries[name] = toUint8Array(content!)
    }
    put(name)
  }
  return { [GAME]: strToU8(JSON.stringify(file, null, 2) + '\n'), ...entries }
}

/** The bytes of a game as a zip of its files. */
export const writeGameZip = (game: Game): Uint8Array => zipSync(gameFiles(game))
