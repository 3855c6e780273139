import { directionOf, languageName } from '../core/texts/languages.ts'
import { button, element } from './element.ts'
import { howTo } from './how-to.ts'
import { panel } from './panel-box.ts'
import type { PanelActs } from './panel-acts.ts'
import { languageOf } from './words.ts'
import type { Table } from './table.ts'

/** Before the first turn: the game's title, how to play, and the way in. */
export function openingPanel(table: Table, acts: PanelActs): HTMLElement {
  const { say } = table.speech
  const begin = button('lt-button lt-main', say('begin'), acts.begin, 'play')
  const levels = button('lt-button', say('levels'), () => acts.open('levels'), 'levels')
  const title = element('span', '', table.game.title)
  title.lang = languageOf(table, table.game.title)
  return panel(
    title,
    howTo(table).map((line) => element('p', '', line)),
    table.game.levels.length > 1 ? [begin, levels] : [begin],
    moreButtons(table, acts),
  )
}

/** How a level is played: before its first turn, where it has something new, or in between. */
export function howPanel(table: Table, { begin, close }: PanelActs): HTMLElement {
  const { level, speech, inputs } = table
  const title = element('span', '', level.name)
  title.lang = languageOf(table, level.name)
  const isBefore = !inputs.some((input) => input.do === 'press')
  return panel(
    title,
    howTo(table).map((line) => element('p', '', line)),
    [
      isBefore && table.below === 'none'
        ? button('lt-button lt-main', speech.say('begin'), begin, 'play')
        : button('lt-button', speech.say('close'), close),
    ],
  )
}

/** The buttons that a page adds to a panel: language, credits, leave. */
export function moreButtons(table: Table, acts: PanelActs): HTMLElement[] {
  const { say } = table.speech
  const { page, open } = acts
  if (!page) return []
  const more: HTMLElement[] = []
  if (page.languages.length > 1)
    more.push(button('lt-more', say('language'), () => open('languages'), 'language'))
  if (page.credits.length) more.push(button('lt-more', say('credits'), () => open('credits'), 'credits'))
  return [...more, ...leaveButton(table, acts)]
}

/** The way out, where the page has one. */
export const leaveButton = ({ speech: { say } }: Table, { page }: PanelActs): HTMLElement[] =>
  page?.leave ? [button('lt-more', say('leave'), page.leave, 'leave')] : []

/** The languages to choose from, each in its own words. */
export function languagesPanel({ speech }: Table, { page, close }: PanelActs): HTMLElement {
  const list = element('ul', 'lt-levels')
  for (const language of page!.languages) {
    const choose = button('lt-level-choice', '', () => page!.speak(language))
    choose.append(element('span', 'lt-level-title', languageName(language)))
    choose.lang = language
    choose.dir = directionOf(language)
    if (language === speech.language) choose.setAttribute('aria-current', 'true')
    list.append(element('li', '', choose))
  }
  return panel(speech.say('language'), [list], [button('lt-button', speech.say('close'), close)])
}

export function creditsPanel({ speech: { say } }: Table, { page, close }: PanelActs): HTMLElement {
  const lines = element(
    'div',
    'lt-credits',
    ...page!.credits.flatMap(({ heading, lines }) => [
      ...(heading ? [element('h3', '', say(heading))] : []),
      ...lines.map((line) => element('p', '', line)),
    ]),
  )
  // what runs out of sight is scrolled by the keyboard too
  lines.tabIndex = 0
  lines.setAttribute('role', 'group')
  lines.setAttribute('aria-label', say('credits'))
  return panel(say('credits'), [lines], [button('lt-button', say('close'), close)])
}
