import { z } from 'zod'
import { quoted } from '../result.ts'
import { PATTERNS } from '../settings/back.ts'
import { CELL_NAME } from '../board/cells.ts'
import {
  boundedInt,
  boundedNumber,
  type Bound,
  cardNameSchema,
  idSchema,
  seedSchema,
} from './schema-parts.ts'
import type { Game } from './game.ts'
import { checkSchema } from './check-schema.ts'
import { mindSchema } from './mind-schema.ts'
import { creditsSchema, textsSchema } from './texts-schema.ts'
import { laterKeys } from '../settings/later-keys.ts'
import { READY_MINDS } from '../settings/mind.ts'
import { BOUNDS, LENGTHS } from '../settings/bounds.ts'
import {
  BUTTONS,
  CELEBRATIONS,
  CLOCK_MODES,
  CLOCK_STARTS,
  DEFAULTS,
  DEAL_INS,
  DURING_LOOK,
  FAMILIES,
  FIGURES,
  FIGURE_SIZES,
  FLIPS,
  LIVES_LOST_ON,
  MARKS,
  MISS_MOTIONS,
  ON_MATCH,
  ON_MISS,
  ON_OPEN,
  PICKS,
  REPEATS,
  ROUNDS,
  SECTIONS,
  STANDS,
  STARS_BY,
  THEN,
  WAYS,
  type Settings,
} from '../settings/settings.ts'

/** The one schema of the game document: what the studio edits, files store and docs/schema shows. */

/** A list whose entries are not checked if it is too long. */
const list = <T extends z.ZodType>(item: T, [low, high]: Bound) =>
  z.array(z.unknown()).max(high).pipe(z.array(item).min(low).max(high))
/** Some of these, in any order, each once. */
const choiceOf = <T extends readonly [string, ...string[]]>(all: T, once: string) =>
  z
    .array(z.enum(all))
    .max(all.length)
    .refine((chosen) => new Set(chosen).size === chosen.length, once)
const text = (longest: number) => z.string().min(1).max(longest)
const colour = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'a colour as #rrggbb')

const faceBase = {
  alt: z.string().max(LENGTHS.alt).optional(),
  ink: colour.optional(),
  paper: colour.optional(),
}
const faceSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('picture'), name: text(LENGTHS.name), ...faceBase }),
  z.strictObject({ kind: z.literal('image'), src: z.string().min(1), ...faceBase }),
  z.strictObject({ kind: z.literal('text'), text: text(LENGTHS.text), ...faceBase }),
])

const behindSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('picture'),
    name: text(LENGTHS.name),
    alt: z.string().max(LENGTHS.alt).optional(),
  }),
  z.strictObject({
    kind: z.literal('image'),
    src: z.string().min(1),
    alt: z.string().max(LENGTHS.alt).optional(),
  }),
])

const emblemSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('picture'), name: text(LENGTHS.name) }),
  z.strictObject({ kind: z.literal('image'), src: z.string().min(1) }),
])
const backSchema = z.strictObject({
  pattern: z.enum(PATTERNS),
  ink: colour,
  paper: colour,
  emblem: emblemSchema.optional(),
  image: z.string().min(1).optional(),
  tint: z.strictObject({ colour, strength: boundedInt(BOUNDS.tint) }).optional(),
})

export const pairSchema = z.strictObject({
  id: idSchema,
  name: text(LENGTHS.name),
  tags: list(text(LENGTHS.tag), BOUNDS.tags).optional(),
  a: faceSchema,
  b: faceSchema.optional(),
})

const position = boundedInt([1, BOUNDS.pairs[1]])
const useSchema = z.union([
  z.literal('all'),
  z.strictObject({ tags: list(text(LENGTHS.tag), BOUNDS.pairs) }),
  z.strictObject({ pairs: list(idSchema, BOUNDS.pairs) }),
  z.strictObject({ from: position, to: position }),
])

const starsSchema = z
  .strictObject({
    by: z.enum(STARS_BY),
    at: z.tuple([boundedInt(BOUNDS.star), boundedInt(BOUNDS.star), boundedInt(BOUNDS.star)]),
  })
  .refine(
    ({ by, at: [one, two, three] }) =>
      by === 'score' ? one <= two && two <= three : one >= two && two >= three,
    'thresholds rise for a score, and fall for turns and time',
  )

const heardSchema = z.union([
  z.enum(['family', 'none', ...FAMILIES]),
  z.strictObject({ name: text(LENGTHS.name), src: z.string().min(1) }),
])

const settingsShape = {
  board: z.strictObject({
    rows: boundedInt(BOUNDS.side),
    columns: boundedInt(BOUNDS.side),
    gaps: list(z.string().regex(CELL_NAME, 'a cell such as C3'), [0, BOUNDS.cards[1]]),
  }),
  layout: z.strictObject({
    size: z.strictObject({ width: boundedInt(BOUNDS.card), height: boundedInt(BOUNDS.card) }).nullable(),
    ratio: boundedNumber(BOUNDS.ratio),
    gapAcross: boundedInt(BOUNDS.gap).nullable(),
    gapDown: boundedInt(BOUNDS.gap).nullable(),
    margin: boundedInt(BOUNDS.margin).nullable(),
    stands: z.enum(STANDS),
  }),
  fill: z.strictObject({
    use: useSchema,
    pick: z.enum(PICKS),
    repeat: z.enum(REPEATS),
    // how many there are is looked at before each of them
    counts: z
      .custom<object>((counts) => typeof counts === 'object' && counts !== null, 'an object is expected')
      .refine((counts) => Object.keys(counts).length <= BOUNDS.pairs[1], {
        error: `at most ${BOUNDS.pairs[1]} pairs`,
        abort: true,
      })
      .pipe(z.record(idSchema, boundedInt(BOUNDS.count))),
  }),
  deal: z.strictObject({
    way: z.enum(WAYS),
    steps: boundedInt(BOUNDS.steps),
    arranged: list(cardNameSchema.nullable(), [0, BOUNDS.cards[1]]),
    seed: z.union([z.literal('every-play'), z.literal('daily'), z.strictObject({ fixed: seedSchema })]),
  }),
  turn: z.strictObject({
    firstLook: boundedInt(BOUNDS.look),
    matchLook: boundedInt(BOUNDS.look),
    missLook: boundedInt(BOUNDS.look),
    duringLook: z.enum(DURING_LOOK),
    onMatch: z.enum(ON_MATCH),
    onMiss: z.enum(ON_MISS),
    onOpen: z.enum(ON_OPEN),
  }),
  clock: z.strictObject({
    mode: z.enum(CLOCK_MODES),
    limit: boundedInt(BOUNDS.limit),
    startsAt: z.enum(CLOCK_STARTS),
    lookStopsClock: z.boolean(),
    matchBonus: boundedInt(BOUNDS.clockChange),
    missPenalty: boundedInt(BOUNDS.clockChange),
  }),
  limits: z.strictObject({
    lives: boundedInt(BOUNDS.lives).nullable(),
    livesLostOn: z.enum(LIVES_LOST_ON),
    turns: boundedInt(BOUNDS.turns).nullable(),
  }),
  score: z.strictObject({
    match: boundedInt(BOUNDS.points),
    streakStep: boundedNumber(BOUNDS.streakStep),
    streakMax: boundedNumber(BOUNDS.streakMax),
    miss: boundedInt(BOUNDS.points),
    slip: boundedInt(BOUNDS.points),
    lucky: boundedInt(BOUNDS.points),
    perSecondLeft: boundedInt(BOUNDS.points),
    perLifeLeft: boundedInt(BOUNDS.points),
    floorAtZero: z.boolean(),
    stars: starsSchema.nullable(),
  }),
  players: z.strictObject({
    names: z.array(text(LENGTHS.player)).min(BOUNDS.players[0]).max(BOUNDS.players[1]),
    minds: z.array(idSchema.nullable()).max(BOUNDS.players[1]),
    matchGoesAgain: z.boolean(),
    offersRival: z.boolean(),
  }),
  finish: z.strictObject({
    wait: boundedInt(BOUNDS.wait),
    then: z.enum(THEN),
    rounds: z.enum(ROUNDS),
    flips: z.boolean(),
    slips: z.boolean(),
  }),
  head: z.strictObject({
    figures: choiceOf(FIGURES, 'each figure once').nullable(),
    level: z.boolean(),
    title: z.boolean(),
    buttons: choiceOf(BUTTONS, 'each button once'),
    size: z.enum(FIGURE_SIZES),
  }),
  look: z.strictObject({
    table: colour,
    flip: z.enum(FLIPS),
    dealIn: z.enum(DEAL_INS),
    behind: behindSchema.nullable(),
    missMotion: z.enum(MISS_MOTIONS),
    missStrength: boundedInt(BOUNDS.strength),
    celebration: z.enum(CELEBRATIONS),
    flipTime: boundedInt(BOUNDS.motion),
    missTime: boundedInt(BOUNDS.motion),
    missMoves: boundedInt(BOUNDS.moves),
    marks: z.enum(MARKS),
    back: backSchema.nullable(),
  }),
  sound: z.strictObject({
    on: z.boolean(),
    family: z.enum(FAMILIES),
    volume: boundedInt(BOUNDS.volume),
    deal: heardSchema,
    flip: heardSchema,
    match: heardSchema,
    miss: heardSchema,
    streak: heardSchema,
    lastSeconds: heardSchema,
    win: heardSchema,
    loss: heardSchema,
  }),
  volumes: z.strictObject({
    deal: boundedInt(BOUNDS.volume),
    flip: boundedInt(BOUNDS.volume),
    match: boundedInt(BOUNDS.volume),
    miss: boundedInt(BOUNDS.volume),
    streak: boundedInt(BOUNDS.volume),
    lastSeconds: boundedInt(BOUNDS.volume),
    win: boundedInt(BOUNDS.volume),
    loss: boundedInt(BOUNDS.volume),
  }),
}
/** The house rules, in which keys that came later may be missing. */
const houseShape = Object.fromEntries(
  SECTIONS.map((section) => {
    const shape: z.ZodObject = settingsShape[section]
    const later = laterKeys(section).map((key) => {
      const schema = shape.shape[key] as z.ZodType
      return [key, schema.default((DEFAULTS[section] as Record<string, unknown>)[key])]
    })
    return [section, later.length ? shape.extend(Object.fromEntries(later)) : shape]
  }),
  // the same sections with the same keys
) as unknown as typeof settingsShape
export const settingsSchema: z.ZodType<Settings> = z.strictObject(houseShape)

const levelSchema = z.strictObject({
  id: idSchema,
  name: text(LENGTHS.name),
  board: settingsShape.board.partial().optional(),
  layout: settingsShape.layout.partial().optional(),
  fill: settingsShape.fill.partial().optional(),
  deal: settingsShape.deal.partial().optional(),
  turn: settingsShape.turn.partial().optional(),
  clock: settingsShape.clock.partial().optional(),
  limits: settingsShape.limits.partial().optional(),
  score: settingsShape.score.partial().optional(),
  players: settingsShape.players.partial().optional(),
  finish: settingsShape.finish.partial().optional(),
  head: settingsShape.head.partial().optional(),
  look: settingsShape.look.partial().optional(),
  sound: settingsShape.sound.partial().optional(),
  volumes: settingsShape.volumes.partial().optional(),
})

/** Ids may appear only once in a list; the message names the second place. */
function onceEach(list: { id: string }[], path: (string | number)[], context: z.core.$RefinementCtx): void {
  const first = new Map<string, number>()
  list.forEach(({ id }, index) => {
    const before = first.get(id)
    if (before === undefined) first.set(id, index)
    else
      context.addIssue({
        code: 'custom',
        path: [...path, index, 'id'],
        message: `${quoted(id)} is already the id of number ${before + 1}`,
      })
  })
}

export const gameShape = {
  id: idSchema,
  title: text(LENGTHS.title),
  deck: z
    .strictObject({
      back: backSchema,
      pairs: list(pairSchema, BOUNDS.pairs),
    })
    .superRefine((deck, context) => onceEach(deck.pairs, ['pairs'], context)),
  house: settingsSchema,
  levels: list(levelSchema, BOUNDS.levels).superRefine((levels, context) => onceEach(levels, [], context)),
  checks: list(checkSchema, BOUNDS.checks)
    .superRefine((checks, context) => onceEach(checks, [], context))
    .optional(),
  minds: list(mindSchema, BOUNDS.minds)
    .superRefine((minds, context) => {
      onceEach(minds, [], context)
      minds.forEach(({ id }, index) => {
        if (READY_MINDS.some((ready) => ready.id === id))
          context.addIssue({
            code: 'custom',
            path: [index, 'id'],
            message: `${quoted(id)} is a mind that is always there`,
          })
      })
    })
    .optional(),
  texts: textsSchema.optional(),
  credits: creditsSchema.optional(),
}
export const gameSchema: z.ZodType<Game> = z.strictObject(gameShape)
