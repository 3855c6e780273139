import type { Section, SettingPath } from '../../../core/settings/settings.ts'
import { SETTING_WORDS } from '../../parts/settings/setting-words.ts'

/** What people call a setting besides its own name, by its place in the file. */
const EVERYDAY: Partial<Record<SettingPath, string>> = {
  'board.rows': 'grid size height',
  'board.columns': 'grid size width',
  'board.gaps': 'holes empty places shape',
  'layout.size': 'card width height pixels scale',
  'layout.ratio': 'card width height square portrait landscape',
  'layout.gapAcross': 'spacing gutter distance gap between cards',
  'layout.gapDown': 'spacing gutter distance gap between cards',
  'layout.margin': 'padding border edge',
  'layout.stands': 'position place align',
  'fill.counts': 'copies duplicates number',
  'fill.use': 'subset category tags difficulty',
  'fill.pick': 'random draw choose',
  'fill.repeat': 'copies duplicates replacement four of a kind',
  'deal.way': 'shuffle random order',
  'deal.steps': 'distance apart near',
  'deal.arranged': 'manual fixed layout',
  'deal.seed': 'random daily same',
  'turn.firstLook': 'preview peek hint reveal memorize memorise show cards start help duration flips',
  'turn.matchLook': 'delay pause speed slow fast wait time found duration',
  'turn.missLook': 'delay pause speed slow fast wait time wrong mistake flip back duration flips',
  'turn.duringLook': 'skip tap click touch lock block impatient',
  'turn.onOpen': 'undo take back flip back close same card twice peek',
  'turn.onMatch': 'remove disappear vanish hide found',
  'turn.onMiss': 'flip back close cover wrong mistake flips',
  'clock.mode': 'timer stopwatch countdown time',
  'clock.limit': 'timer countdown time limit minutes seconds deadline duration',
  'clock.startsAt': 'timer begin start',
  'clock.lookStopsClock': 'timer pause freeze hold stop',
  'clock.matchBonus': 'timer extra time reward bonus',
  'clock.missPenalty': 'timer punish penalty lose time',
  'limits.lives': 'hearts health chances tries attempts mistakes errors lose',
  'limits.livesLostOn': 'hearts mistakes errors',
  'limits.turns': 'moves tries attempts maximum lose flips',
  'score.match': 'score reward win',
  'score.streakStep': 'combo multiplier chain bonus streak',
  'score.streakMax': 'combo multiplier chain bonus maximum',
  'score.miss': 'penalty punish wrong mistake minus',
  'score.slip': 'penalty punish forgot mistake minus',
  'score.lucky': 'luck chance bonus random',
  'score.perSecondLeft': 'time bonus fast speed timer',
  'score.perLifeLeft': 'hearts bonus',
  'score.floorAtZero': 'negative minus',
  'score.stars': 'rating medals grade rank result',
  'players.names': 'multiplayer two players friends opponent versus text',
  'players.minds': 'computer opponent bot rival machine versus simulated',
  'players.offersRival': 'computer opponent bot rival machine versus choose',
  'players.matchGoesAgain': 'turn order multiplayer again',
  'finish.wait': 'delay pause end duration',
  'look.marks': 'number letter label coordinates type keyboard board call out',
  'finish.rounds': 'once single one try only survey lesson stop',
  'finish.then': 'restart replay again game over next level repeat menu',
  'head.figures': 'display counter hide show score timer moves menu text flips',
  'head.level': 'display heading hide show name text',
  'head.title': 'display heading hide show name text',
  'look.table': 'background color colour theme',
  'look.flip': 'animation effect motion turn flips duration',
  'look.dealIn': 'animation effect motion start',
  'look.behind': 'background puzzle hidden reveal image',
  'look.missMotion': 'animation effect wrong mistake',
  'head.buttons': 'icons menu restart mute help instructions exit quit toolbar',
  'head.size': 'big font text numbers legible',
  'finish.flips': 'statistics summary moves',
  'finish.slips': 'statistics summary mistakes forgotten',
  'look.back': 'pattern colours emblem reverse cover',
  'look.flipTime': 'duration speed animation turn over slow fast',
  'look.missTime': 'duration speed animation',
  'look.missMoves': 'repeat animation count',
  'look.missStrength': 'animation effect',
  'look.celebration': 'animation effect confetti fireworks won end celebration',
  'sound.on': 'music audio mute noise effects silent',
  'sound.family': 'music audio instrument effects',
  'sound.volume': 'music audio loud quiet mute',
  'sound.deal': 'music audio file effects start',
  'sound.flip': 'music audio file effects click',
  'sound.match': 'music audio file effects found right',
  'sound.miss': 'music audio file effects wrong mistake',
  'sound.streak': 'music audio file effects combo row',
  'sound.lastSeconds': 'music audio file effects timer countdown tick',
  'sound.win': 'music audio file effects won end fanfare',
  'sound.loss': 'music audio file effects lost end game over',
  'volumes.deal': 'music audio loud quiet mute',
  'volumes.flip': 'music audio loud quiet mute',
  'volumes.match': 'music audio loud quiet mute',
  'volumes.miss': 'music audio loud quiet mute',
  'volumes.streak': 'music audio loud quiet mute',
  'volumes.lastSeconds': 'music audio loud quiet mute',
  'volumes.win': 'music audio loud quiet mute',
  'volumes.loss': 'music audio loud quiet mute',
}

/** A setting found by a search. `deal`: it is set in the station Deal. */
export type FoundSetting = { key: string; label: string; deal: boolean }

const IN_DEAL: readonly Section[] = ['board', 'layout', 'fill', 'deal']
/** set with the look, in the story */
const IN_STORY: readonly string[] = ['layout.ratio']
const plain = (text: string): string => text.toLowerCase()
const all = Object.entries(SETTING_WORDS)
  .map(([key, { label, choices = [] }]) => ({
    key,
    label,
    deal: IN_DEAL.includes(key.split('.')[0] as Section) && !IN_STORY.includes(key),
    name: plain(label),
    words: plain([label, EVERYDAY[key as SettingPath] ?? '', ...choices.map(([, words]) => words)].join(' ')),
  }))
  // those of the story first
  .sort((a, b) => Number(a.deal) - Number(b.deal))

/**
 * The settings for which every typed word begins one of their words; those with a hit in their own name come first. All
 * of them without a word.
 */
export function settingsLike(query: string): FoundSetting[] {
  const searchWords = plain(query).split(/\s+/).filter(Boolean)
  const begins = (text: string, word: string): boolean => ` ${text}`.includes(` ${word}`)
  const matches = all.filter(({ words }) => searchWords.every((word) => begins(words, word)))
  const named = (name: string): number => (searchWords.every((word) => begins(name, word)) ? 0 : 1)
  return matches
    .sort((a, b) => named(a.name) - named(b.name))
    .map(({ key, label, deal }) => ({ key, label, deal }))
}
