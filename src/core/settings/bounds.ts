/** Bounds of every number in a game file, both ends included; times in ms. */
export const BOUNDS = {
  side: [1, 20],
  /** of a pair */
  tags: [0, 20],
  pairs: [0, 1000],
  levels: [1, 100],
  /** lines */
  credits: [0, 20],
  cards: [2, 400],
  steps: [1, 19],
  /** px */
  card: [20, 400],
  /** a card's width divided by its height */
  ratio: [1 / 3, 3],
  /** px */
  gap: [0, 60],
  /** px */
  margin: [0, 200],
  /** pairs of one kind on a board */
  count: [0, 200],
  look: [0, 60_000],
  limit: [1_000, 7_200_000],
  clockChange: [0, 600_000],
  lives: [1, 99],
  turns: [1, 9_999],
  points: [0, 100_000],
  streakStep: [0, 10],
  streakMax: [1, 100],
  star: [0, 100_000_000],
  wait: [0, 60_000],
  /** percent */
  volume: [0, 100],
  /** percent */
  strength: [10, 300],
  /** of a card that turns, or of a miss that moves, in ms */
  motion: [0, 1200],
  /** of a missed card */
  moves: [1, 10],
  /** percent */
  tint: [0, 100],
  players: [1, 4],
  chance: [0, 1],
  /** the most cards that a mind remembers */
  hold: [0, 400],
  glance: [0, 60_000],
  /** before a card is pressed */
  thought: [1, 60_000],
  spread: [0, 3],
  checks: [0, 1000],
  minds: [0, 20],
  inputs: [0, 100_000],
} as const satisfies Record<string, readonly [number, number]>

/** The longest texts, in characters. */
export const LENGTHS = {
  id: 64,
  title: 120,
  name: 120,
  text: 200,
  alt: 300,
  tag: 40,
  seed: 64,
  player: 24,
  /** a message that a game says its own way */
  says: 300,
  /** a line of the credits */
  credit: 200,
} as const

/** The largest images and files, in bytes; for an SVG also in characters. */
export const SIZES = {
  image: 8 * 2 ** 20,
  svg: 512 * 2 ** 10,
  sound: 2 ** 20,
  file: 64 * 2 ** 20,
} as const
/** How much of an own sound is played, in ms. */
export const SOUND_LENGTH = 5000

/** A number of bytes in words: "64 MiB", "512 KiB". */
export const sizeWords = (bytes: number): string =>
  bytes < 2 ** 20 ? `${bytes / 2 ** 10} KiB` : `${bytes / 2 ** 20} MiB`
/** What a message says of something with more bytes than allowed. */
export const largerThan = (bytes: number): string => `larger than ${sizeWords(bytes)}`

/**
 * What an image may ask of a browser. px of a raster image in all and along a side; of an SVG the elements and letters
 * of path data that are drawn when all that is used again is counted, levels of masks or clips, elements within each
 * other, filtered elements, and parts of a filter.
 */
export const IMAGE_BOUNDS = {
  pixels: 64_000_000,
  side: 16_384,
  elements: 5000,
  pathLetters: 200_000,
  masks: 2,
  depth: 100,
  filtered: 50,
  filterParts: 10,
} as const
