/**
 * Whether minds can play at this table. They cannot in the script of a shipped file that has no rival: what asks for them is left out of that build, so that nobody loads it in vain.
 */
export const MINDS_PLAY = import.meta.env?.VITE_MINDS_PLAY !== false
