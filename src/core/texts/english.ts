import { newSpeech } from './speech.ts'
import { en } from './words/en.ts'

/** English as it is, for everything that is not played in the game's own language. */
export const english = newSpeech('en', en)
