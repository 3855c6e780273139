import type { Game } from '../../../core/game/game.ts'
import { gameIn } from '../../../core/game/in-language.ts'
import type { Result } from '../../../core/result.ts'
import type { Language } from '../../../core/texts/languages.ts'
import { newSpeech } from '../../../core/texts/speech.ts'
import { withOwn } from '../../../core/texts/messages.ts'
import type { PaperPage } from '../../../ship/paper/paper.ts'
import type { PaperOptions } from '../../../ship/paper/sheets.ts'
import { loadLanguage } from '../../store/speech.ts'
import { artOf, builtPlayer } from './shipped-parts.ts'

/** A game as sheets to print, in one of its languages. */
export async function makePaper(
  game: Game,
  language: Language,
  options: PaperOptions,
): Promise<Result<PaperPage>> {
  const art = await artOf(game)
  if (!art.ok) return art
  const [{ shipPaper }, player, messages] = await Promise.all([
    import('../../../ship/paper/paper.ts'),
    builtPlayer(game),
    loadLanguage(language),
  ])
  const speech = newSpeech(language, withOwn(messages, game.texts?.own[language]?.says))
  return shipPaper(gameIn(game, language), art.value, speech, options, player)
}
