/** The colours (#rrggbb) of a face that has none of its own. The player's style has the same. */
export const FACE_PAPER = '#fffdf8'
export const FACE_INK = '#23243f'
