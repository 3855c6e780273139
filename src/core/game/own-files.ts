import type { Back } from '../settings/back.ts'
import type { Face } from '../deck/pair.ts'
import type { Game } from './game.ts'
import type { Own } from '../settings/levels.ts'
import { MOMENTS, type Settings } from '../settings/settings.ts'

/** A place in a game that holds an own image or sound; `put` stores another source there. */
export type OwnFile = { src: string; at: string; put: (src: string) => void }

/**
 * Every own image of a game: on faces, as a back and on it, behind the cards. In: a game, or parsed JSON that may be
 * anything.
 */
export function imagesOf(game: unknown): OwnFile[] {
  const { deck, house, levels } = (game ?? {}) as { [K in 'deck' | 'house' | 'levels']?: Partial<Game[K]> }
  const files: OwnFile[] = []
  const look = (holder: unknown, key: string, at: string): void => {
    const box = holder as Record<string, unknown> | null | undefined
    const src = box?.[key]
    if (typeof src === 'string') files.push({ src, at: `${at}.${key}`, put: (next) => (box![key] = next) })
  }
  if (Array.isArray(deck?.pairs))
    deck.pairs.forEach((pair, i) => {
      for (const side of ['a', 'b'] as const)
        if (pair?.[side]?.kind === 'image') look(pair[side], 'src', `deck.pairs[${i}].${side}`)
    })
  const lookAtBack = (back: Back | null | undefined, at: string): void => {
    look(back, 'image', at)
    if (back?.emblem?.kind === 'image') look(back.emblem, 'src', `${at}.emblem`)
  }
  lookAtBack(deck?.back, 'deck.back')
  const lookAtRung = (rung: Own | undefined, at: string): void => {
    if (rung?.look?.behind?.kind === 'image') look(rung.look.behind, 'src', `${at}.look.behind`)
    lookAtBack(rung?.look?.back, `${at}.look.back`)
  }
  lookAtRung(house, 'house')
  if (Array.isArray(levels)) levels.forEach((level, i) => lookAtRung(level, `levels[${i}]`))
  return files
}

/** Every own sound of a game. In: a game, or parsed JSON that may be anything. */
export function soundsOf(game: unknown): OwnFile[] {
  const { house, levels } = (game ?? {}) as { [K in 'house' | 'levels']?: Partial<Game[K]> }
  const files: OwnFile[] = []
  const listen = (rung: Own | undefined, at: string): void => {
    for (const moment of MOMENTS) {
      const ownSound: unknown = rung?.sound?.[moment]
      if (typeof ownSound !== 'object' || ownSound === null || !('src' in ownSound)) continue
      const { src } = ownSound
      if (typeof src === 'string')
        files.push({ src, at: `${at}.sound.${moment}.src`, put: (next) => (ownSound.src = next) })
    }
  }
  listen(house, 'house')
  if (Array.isArray(levels)) levels.forEach((level, i) => listen(level, `levels[${i}]`))
  return files
}

/** Every own image and sound of a game. In: a game, or parsed JSON that may be anything. */
export const ownFilesOf = (game: unknown): OwnFile[] => [...imagesOf(game), ...soundsOf(game)]

/**
 * A game in which every own image and sound has another source; parts without any stay the very same values, so a game
 * without own files comes back itself. In: a game, and a function that gives the new source.
 */
export function withOwnFiles(game: Game, change: (src: string) => string): Game {
  const face = <F extends Face | undefined>(one: F): F =>
    one?.kind === 'image' ? { ...one, src: change(one.src) } : one
  const changeBack = <B extends Back | null | undefined>(back: B): B => {
    const { image, emblem } = back ?? {}
    if (image === undefined && emblem?.kind !== 'image') return back
    return {
      ...back,
      ...(image !== undefined ? { image: change(image) } : {}),
      ...(emblem?.kind === 'image' ? { emblem: { ...emblem, src: change(emblem.src) } } : {}),
    }
  }
  const look = <O extends Own>(rung: O): O => {
    const { behind, back } = rung.look ?? {}
    const ownBack = changeBack(back)
    if (behind?.kind !== 'image' && ownBack === back) return rung
    const ownBehind = behind?.kind === 'image' ? { behind: { ...behind, src: change(behind.src) } } : {}
    return { ...rung, look: { ...rung.look, ...ownBehind, ...(back ? { back: ownBack } : {}) } }
  }
  const listen = <O extends Own>(rung: O): O => {
    const own = MOMENTS.filter((moment) => typeof rung.sound?.[moment] === 'object')
    if (!own.length) return rung
    const sound: Partial<Settings['sound']> = { ...rung.sound }
    for (const moment of own) {
      const heard = sound[moment]
      if (typeof heard === 'object') sound[moment] = { ...heard, src: change(heard.src) }
    }
    return { ...rung, sound }
  }
  const rung = <O extends Own>(one: O): O => listen(look(one))
  const pairs = mapped(game.deck.pairs, (pair) =>
    pair.a.kind === 'image' || pair.b?.kind === 'image'
      ? { ...pair, a: face(pair.a), ...(pair.b ? { b: face(pair.b) } : {}) }
      : pair,
  )
  const back = changeBack(game.deck.back)
  const house = rung(game.house)
  const levels = mapped(game.levels, rung)
  const same = pairs === game.deck.pairs && back === game.deck.back
  if (same && house === game.house && levels === game.levels) return game
  return { ...game, deck: same ? game.deck : { ...game.deck, back, pairs }, house, levels }
}

/** A list with every entry mapped; the same list if none changes. */
function mapped<T>(list: T[], change: (one: T) => T): T[] {
  const next = list.map(change)
  return next.some((one, i) => one !== list[i]) ? next : list
}
