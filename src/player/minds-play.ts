/**
 * Whether minds can play at this table. They cannot in the script of a shipped file without a rival: that build leaves
 * out everything that asks for them.
 */
export const MINDS_PLAY = import.meta.env?.VITE_MINDS_PLAY !== false
