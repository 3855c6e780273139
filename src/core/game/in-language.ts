import type { Face } from '../deck/pair.ts'
import type { Language } from '../texts/languages.ts'
import { DEFAULT_TEXTS } from '../texts/own.ts'
import type { Game } from './game.ts'

/** The languages that a game is shipped in, its own first. */
export const languagesOf = ({ texts = DEFAULT_TEXTS }: Pick<Game, 'texts'>): [Language, ...Language[]] =>
  texts.languages as [Language, ...Language[]]

/** A face with another text and other words, where they are given. A picture has no text of its own to replace. */
const translate = (face: Face, own?: { text?: string; alt?: string }): Face => ({
  ...face,
  ...(own?.alt !== undefined && { alt: own.alt }),
  ...(own?.text !== undefined && face.kind === 'text' && { text: own.text }),
})

type Rules = Pick<Game['house'], 'look'> | Game['levels'][number]

/** Rules whose picture behind the cards is described otherwise. */
const describedBehind = <R extends Rules>(rules: R, behind?: string): R =>
  behind !== undefined && rules.look?.behind
    ? { ...rules, look: { ...rules.look, behind: { ...rules.look.behind, alt: behind } } }
    : rules

/** A game with its names and faces in one of its languages. What it does not say in that language stays as it is. */
export function gameIn(game: Game, language: Language): Game {
  const own = game.texts?.own[language]
  if (!own) return game
  const { names } = game.house.players
  return {
    ...game,
    title: own.title ?? game.title,
    deck: {
      ...game.deck,
      pairs: game.deck.pairs.map((pair) => {
        const ownWords = own.pairs?.[pair.id]
        if (!ownWords) return pair
        return {
          ...pair,
          name: ownWords.name ?? pair.name,
          a: translate(pair.a, ownWords.a),
          ...(pair.b && { b: translate(pair.b, ownWords.b) }),
        }
      }),
    },
    house: describedBehind(
      {
        ...game.house,
        players: { ...game.house.players, names: names.map((name, at) => own.players?.[at] || name) },
      },
      own.behind,
    ),
    levels: game.levels.map((level) => {
      const said = own.levels?.[level.id]
      return said ? describedBehind({ ...level, name: said.name ?? level.name }, said.behind) : level
    }),
  }
}
