import { gameIn, languagesOf } from '../core/game/in-language.ts'
import type { Game } from '../core/game/game.ts'
import { LATER_DEFAULTS, type Section } from '../core/settings/settings.ts'
import type { Mind } from '../core/settings/mind.ts'
import type { CreditPart } from '../core/texts/credit-part.ts'
import { bestLanguage, directionOf, type Language } from '../core/texts/languages.ts'
import type { Message, MessageKey, Messages } from '../core/texts/messages.ts'
import { newSpeech } from '../core/texts/speech.ts'
import { keepUnder } from './best.ts'
import type { Drawings } from './element.ts'
import './fonts.css'
import { newHost } from './host.ts'
import { MINDS_PLAY } from './minds-play.ts'
import { mountPlayer, type Player } from './mount.ts'
import { openGameOf } from './open-game.ts'
import { rivalsAmong } from './rivals.ts'

// the start of a shipped file: reads the game embedded beside this script and mounts the table
const data = JSON.parse(document.getElementById('lucky-twin-game')!.textContent!) as {
  game: Game
  art: Record<string, string>
  drawings: Drawings
  words: { keys: MessageKey[]; lists: Partial<Record<Language, Message[]>> }
  credits: CreditPart[]
  minds?: Mind[]
}
// the page leaves out settings that came later and have their default
for (const [section, defaults] of Object.entries(LATER_DEFAULTS))
  Object.assign(data.game.house, { [section]: { ...defaults, ...data.game.house[section as Section] } })
const place = document.getElementById('lucky-twin')!
const query = new URLSearchParams(location.search)
const level = query.get('level') ?? undefined
const onlyOne = query.get('rounds') === '1'
const seed = query.get('seed')?.slice(0, 64) || undefined
// several frames of one game can each keep their own
const keptAs = query.get('keep')?.slice(0, 64)
const under = (name: string) => keepUnder(`lucky-twin:${data.game.id}${keptAs ? `/${keptAs}` : ''}${name}`)
const keepLanguage = under(':language')
const languages = languagesOf(data.game)
const tags = [query.get('lang') ?? '', keepLanguage.read() ?? '', ...navigator.languages]
const messagesIn = (language: Language): Messages =>
  Object.fromEntries(data.words.keys.map((key, i) => [key, data.words.lists[language]![i]])) as Messages
let player: Player | undefined
// in a frame, the page around it hears of the game
const host = parent === window ? null : newHost(query.get('host'))
function leave(): void {
  if (player!.table.panel === 'none') player!.pause()
  host?.left(player!.table)
}

/** Puts the table up in one language; a game that is being played goes on in it. */
function speak(language: Language): void {
  const game = gameIn(data.game, language)
  const open = player && openGameOf(player.table)
  player?.destroy()
  if (open) host?.goOn()
  document.title = game.title
  document.documentElement.lang = language
  document.documentElement.dir = directionOf(language)
  player = mountPlayer(place, {
    game,
    art: (name) => data.art[name] ?? '',
    drawings: data.drawings,
    speech: newSpeech(language, messagesIn(language)),
    level,
    seed,
    onlyOne,
    open,
    keep: under(''),
    keepNames: under(':names'),
    keepGame: under(':open'),
    page: {
      opening: level === undefined && seed === undefined,
      languages,
      speak(chosen) {
        keepLanguage.write(chosen)
        speak(chosen)
      },
      credits: data.credits,
      leave: host && query.get('leave') === '1' ? leave : undefined,
    },
    onChange: host?.changed,
    ...(MINDS_PLAY && { rivals: rivalsAmong(() => data.minds ?? []) }),
  })
}
speak(bestLanguage(languages, tags))
host?.listen(() => player!, leave)
