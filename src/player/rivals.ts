import { MindsAtTable } from '../core/odds/minds-at-table.ts'
import type { Game } from '../core/game/game.ts'
import type { Mind } from '../core/settings/mind.ts'
import { mayChooseRival, seatMinds, withRival } from '../core/settings/seats.ts'
import { resolveLevel } from '../core/settings/levels.ts'
import type { MessageKey } from '../core/texts/messages.ts'
import type { Speech } from '../core/texts/speech.ts'
import { button } from './element.ts'
import { panel } from './panel-box.ts'
import type { Rivals, Table } from './table.ts'

const mayChoose = ({ game, level }: Readonly<Table>): boolean => mayChooseRival(resolveLevel(game, level))

/** What the minds that are always there are called, by their ids. */
const READY_NAMES: Record<string, MessageKey> = {
  perfect: 'mindPerfect',
  keen: 'mindKeen',
  everyday: 'mindEveryday',
  fleeting: 'mindFleeting',
  none: 'mindNone',
}

/** A mind's name; those that are always there have one in each language. */
const nameOf = ({ say }: Speech, { id, name }: Mind): string => {
  const ready = READY_NAMES[id]
  return ready ? say(ready) : name
}

/**
 * Minds play the seats that a level gives them, and against somebody who plays alone, if the game offers that. The same
 * deal and the same presses lead to the same game. In: the minds that a game has to choose from.
 */
export const rivalsAmong = (mindsOf: (game: Game) => readonly Mind[]): Rivals => ({
  mayChoose,
  settle({ game, rival, speech }, settings) {
    const mind = mayChooseRival(settings) && mindsOf(game).find(({ id }) => id === rival)
    return mind ? withRival(settings, { ...mind, name: nameOf(speech, mind) }) : settings
  },
  seat({ game, settings, round, seed }) {
    const minds = seatMinds(settings, mindsOf(game))
    return round && minds.some((mind) => mind) ? new MindsAtTable(minds, round, seed, 1) : null
  },
  panel(table, deal) {
    const choose = (mind?: string): void => {
      table.rival = mind
      deal(table.level, table.seed)
    }
    const { game, speech } = table
    const { say } = speech
    const choices = mindsOf(game).map((mind) =>
      button(
        'lt-button lt-rival',
        say('against', { name: nameOf(speech, mind) }),
        () => choose(mind.id),
        'mind',
      ),
    )
    return panel(say('whoPlays'), choices, [
      button('lt-button lt-main', say('playAlone'), () => choose(), 'play'),
    ])
  },
})
