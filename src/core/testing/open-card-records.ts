import { down, two, type RoundRow } from './round-records.ts'

/** More of the records: the one open card pressed again, where that turns it back. */
export const OPEN_CARD_RECORDS: RoundRow[] = [
  [
    'the open card turned back: its flip counts, and no turn',
    { turn: { onOpen: 'turn-back' } },
    '0 0, 10 0',
    { turns: 0, flips: 1, refused: {}, phase: 'ready', up: 'd d d d' },
  ],
  [
    'a card that was turned back alone counts as seen',
    { turn: { onOpen: 'turn-back' } },
    '0 0, 10 0, 20 1, 30 0',
    { turns: 1, flips: 3, found: 1, lucky: 0 },
  ],
  [
    'so its twin, still unseen, is found by luck',
    { turn: { onOpen: 'turn-back' } },
    '0 0, 10 0, 20 0, 30 1',
    { turns: 1, flips: 3, found: 0, lucky: 1 },
  ],
  [
    'and to pass it by is a slip',
    { turn: { onOpen: 'turn-back' } },
    '0 0, 10 0, 20 1, 30 2',
    { misses: 1, slips: 1, fresh: 0 },
  ],
  [
    'only once seen: to miss with it again is a slip as ever',
    { turn: { onOpen: 'turn-back' } },
    '0 0, 10 0, 20 0, 30 2, 1030 1, 1040 3',
    { misses: 2, slips: 1, fresh: 1 },
  ],
  [
    'the clock starts with its flip, and goes on',
    { turn: { onOpen: 'turn-back' }, ...down(1000) },
    '0 0, 10 0, 1500 wait',
    { outcome: 'lost', lostBy: 'clock' },
  ],
  [
    'the next player waits for a turn',
    { turn: { onOpen: 'turn-back' }, ...two() },
    '0 0, 10 0',
    { phase: 'ready', player: 0 },
  ],
  [
    'two open cards are judged, and not turned back so',
    { turn: { onOpen: 'turn-back' } },
    '0 0, 10 2, 20 2',
    { turns: 1, refused: { locked: 1 } },
  ],
]
