import { ratioOf } from '../../core/board/geometry.ts'
import { CORNER } from '../../core/deck/back-look.ts'
import type { Back } from '../../core/settings/back.ts'
import type { Face } from '../../core/deck/pair.ts'
import { backOf } from '../../core/game/backs.ts'
import type { Game } from '../../core/game/game.ts'
import { resolveLevel } from '../../core/settings/levels.ts'
import { bad, good, type Result } from '../../core/result.ts'

/**
 * What an author chooses for a kit: the width of a card in px, how many deals of each level, and how many test games.
 */
export type KitOptions = { width: number; deals: number; games: number }
export const KIT_BOUNDS = { width: [32, 400], deals: [1, 10_000], games: [1, 100] } as const
export const KIT_DEFAULTS: KitOptions = { width: 100, deals: 100, games: 5 }

/** How many px of a picture make one of the card, for each size in which the cards are drawn. */
export const KIT_SCALES = [1, 2, 3] as const
export type KitScale = (typeof KIT_SCALES)[number]

/** A card's front: how deals name it ("cog/a"), the name of its files, and what is on it. */
export type KitCard = { card: string; file: string; pair: string; name: string; face: Face }

/** The name of the files of the deck's back, and of its frame in the atlas. */
const BACK = 'back'

/** A back of a game, the name of its files and of its frame in the atlas, and the levels, by id, that have it. */
export type KitBack = { file: string; back: Back; levels: string[] }

/** Gives names that differ in more than capital letters from each other and from those that are taken. */
function namer(taken: readonly string[]): (stem: string) => string {
  const names = new Set(taken.map((name) => name.toLowerCase()))
  return (stem) => {
    let name = stem
    for (let n = 2; names.has(name.toLowerCase()); n++) name = `${stem}-${n}`
    names.add(name.toLowerCase())
    return name
  }
}

/** All backs of a game: that of the deck first, then those that levels have of their own, each once. */
export function kitBacks(game: Game): KitBack[] {
  const freeName = namer([BACK])
  const backs: KitBack[] = [{ file: BACK, back: game.deck.back, levels: [] }]
  for (const level of game.levels) {
    const back = backOf(game, resolveLevel(game, level))
    const same = backs.find((one) => JSON.stringify(one.back) === JSON.stringify(back))
    if (same) same.levels.push(level.id)
    else backs.push({ file: freeName(`${BACK}-${level.id}`), back, levels: [level.id] })
  }
  return backs
}

/** All fronts of a deck, in its order. */
export function kitCards(game: Game): KitCard[] {
  const freeName = namer(kitBacks(game).map(({ file }) => file))
  return game.deck.pairs.flatMap(({ id, name, a, b }) =>
    [['a', a] as const, ...(b ? [['b', b] as const] : [])].map(([side, face]) => ({
      card: `${id}/${side}`,
      file: freeName(`${id}-${side}`),
      pair: id,
      name,
      face,
    })),
  )
}

/**
 * A card's size in px at 1 ×, and the radius of its corners. In: its width; the layout of the house rules gives its
 * shape.
 */
export function kitCardSize(
  { house }: Pick<Game, 'house'>,
  width: number,
): { width: number; height: number; corner: number } {
  const height = Math.round(width / ratioOf(house.layout))
  return { width, height, corner: Math.min(CORNER.most, width * CORNER.share) }
}

/** px between frames of the atlas, so that none shows at the edge of another. */
const GAP = 2
/** px along a side of the atlas: what every device can show; and what most can. */
const ATLAS = { scales: [2, 1], wanted: 4096, most: 8192 } as const

export type AtlasFrame = { x: number; y: number; width: number; height: number }
export type Atlas = { scale: KitScale; width: number; height: number; frames: AtlasFrame[] }

/**
 * Where so many cards of one size lie on one image, row by row, as square as can be. Its scale is 2 if the image then
 * keeps within 4,096 px a side, or else 1. Wrong: the image would be larger than 8,192 px a side.
 */
export function atlasOf(count: number, card: { width: number; height: number }): Result<Atlas> {
  const fits = ATLAS.scales.map((scale) => laidOut(count, card, scale))
  const side = ({ width, height }: Atlas): number => Math.max(width, height)
  const best = fits.find((atlas) => side(atlas) <= ATLAS.wanted) ?? fits.at(-1)!
  if (side(best) > ATLAS.most)
    return bad(
      'atlas',
      `one image of all ${count} cards would be ${side(best)} px long, and ${ATLAS.most} is the most: choose smaller cards`,
    )
  return good(best)
}

function laidOut(count: number, card: { width: number; height: number }, scale: KitScale): Atlas {
  const [width, height] = [card.width * scale, card.height * scale]
  const [across, down] = [width + GAP, height + GAP]
  const columns = Math.min(count, Math.max(1, Math.round(Math.sqrt((count * down) / across))))
  const rows = Math.ceil(count / columns)
  return {
    scale,
    width: columns * across - GAP,
    height: rows * down - GAP,
    frames: Array.from({ length: count }, (_, i) => ({
      x: (i % columns) * across,
      y: Math.floor(i / columns) * down,
      width,
      height,
    })),
  }
}

/** The file of a card in one of the sizes. */
export const imageFile = (file: string, scale: KitScale): string => `faces/${scale}x/${file}.png`
