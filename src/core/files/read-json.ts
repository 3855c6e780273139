import type { z } from 'zod'
import { bad, cut, good, quotedValue, type Problem, type Result } from '../result.ts'
import { largerThan, SIZES } from '../settings/bounds.ts'

/** How JSON writes halves of characters: most of them in twos, which are whole ones. */
const HALVES = /\\u[dD][89a-fA-F]/
const whole = (_key: string, value: unknown): unknown =>
  typeof value === 'string' ? value.replace(/\p{Surrogate}/gu, '\ufffd') : value

/** Reads JSON. A problem names the line and column where the text stops being JSON. */
export function parseJson(text: string): Result<unknown> {
  if (text.length > SIZES.file) return bad('', largerThan(SIZES.file))
  const plain = text.charCodeAt(0) === 0xfeff ? text.slice(1) : text
  if (plain.trim() === '') return bad('', 'the file is empty')
  try {
    // half of a character, which JSON can write and nothing can draw, is drawn as an unknown one
    const reviver = HALVES.test(plain) ? whole : undefined
    return good(JSON.parse(plain, reviver) as unknown)
  } catch (error) {
    return bad(placeOf(plain, (error as SyntaxError).message), 'this is not JSON, or it is cut off here')
  }
}

/**
 * "line 3, column 7": the position in an engine's message, or the end of a text that stops too soon; else an empty
 * text.
 */
function placeOf(text: string, message: string): string {
  const match = /position (\d+)/.exec(message)
  if (!match && !/end/i.test(message)) return ''
  const before = text.slice(0, match ? Number(match[1]) : text.length)
  const line = before.split('\n').length
  return `line ${line}, column ${before.length - before.lastIndexOf('\n')}`
}

/** "deck.pairs[3].a.text" */
function pathText(path: readonly PropertyKey[]): string {
  return path
    .map((part, i) => (typeof part === 'number' ? `[${part}]` : `${i ? '.' : ''}${cut(String(part))}`))
    .join('')
}

type Issue = z.core.$ZodIssue

/** A schema's first complaint about a value, as a problem that names its place. */
function firstProblem(error: z.ZodError): Problem {
  let issue = tightest(error.issues as Issue[])
  const path = [...issue.path]
  // in a union, the branch that got furthest is the most telling, then the one with the fewest complaints
  while (issue.code === 'invalid_union' && issue.errors.length) {
    const depth = (issues: Issue[]): number => Math.max(...issues.map((one) => one.path.length))
    const branches = issue.errors as Issue[][]
    if (branches.every((issues) => depth(issues) === 0 && EXPECTS.has(issues[0]!.code)))
      return { at: pathText(path), message: expected(branches.map((issues) => issues[0]!)) }
    const [branch] = [...branches].sort((a, b) => depth(b) - depth(a) || a.length - b.length)
    issue = branch!.find((one) => one.code === 'unrecognized_keys') ?? tightest(branch!)
    path.push(...issue.path)
  }
  if (issue.code === 'unrecognized_keys')
    return { at: pathText([...path, issue.keys[0]!]), message: 'unknown key' }
  return { at: pathText(path), message: sentence(issue) }
}

/** The first complaint; of several about the size of one number, the one that names its own bound. */
function tightest(issues: readonly Issue[]): Issue {
  const [first] = issues as [Issue]
  if (first.code !== 'too_big' && first.code !== 'too_small') return first
  const same = issues.filter(
    ({ code, path }) => code === first.code && pathText(path) === pathText(first.path),
  )
  return same.at(-1)!
}

/** Complaints that say only what should be there. */
const EXPECTS: ReadonlySet<string> = new Set(['invalid_type', 'invalid_value', 'invalid_key'])
/** What a schema calls the kinds of values, in words. */
const KINDS: Record<string, string> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object',
  record: 'an object',
  null: 'null',
}

/** What may be there, of one complaint or of all branches of a union: "one of "daily", an object". */
function expected(issues: readonly Issue[]): string {
  const forms = issues.flatMap((issue) =>
    issue.code === 'invalid_value'
      ? issue.values.map((value) => JSON.stringify(value))
      : [KINDS[issue.code === 'invalid_type' ? issue.expected : ''] ?? 'something else'],
  )
  const [one, ...others] = new Set(forms)
  return others.length ? `one of ${[one, ...others].join(', ')}` : `${one!} is expected`
}

function sentence(issue: Issue): string {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined && !('received' in issue) && /undefined/.test(issue.message)
        ? 'is missing'
        : expected([issue])
    case 'too_big':
      return `at most ${amount(issue.maximum, issue.origin)}`
    case 'too_small':
      return `at least ${amount(issue.minimum, issue.origin)}`
    case 'invalid_value':
      return `one of ${issue.values.map((value) => JSON.stringify(value)).join(', ')}`
    case 'invalid_union':
      return 'is not one that is known here'
    default:
      return issue.message
  }
}

/** "1 character", "20 entries", or just the number. */
function amount(count: number | bigint, origin: string): string {
  const one = Number(count) === 1
  const unit = { string: one ? 'character' : 'characters', array: one ? 'entry' : 'entries' }[origin]
  return unit ? `${count} ${unit}` : String(count)
}

/** The schema's own message for unknown keys would repeat them all. */
const brief: z.core.$ZodErrorMap = ({ code }) => (code === 'unrecognized_keys' ? 'unknown key' : undefined)

/** A value read with a schema, or the first problem. */
export function readWith<T>(schema: z.ZodType<T>, value: unknown): Result<T> {
  const read = schema.safeParse(value, { error: brief })
  return read.success ? good(read.data) : { ok: false, problem: firstProblem(read.error) }
}

/**
 * Checks the head that every file has. Out: the value without `format` and `version`, and the version.
 * An older version is left to the caller to migrate; a newer one is refused.
 */
export function readHead(
  value: unknown,
  format: string,
  version: number,
): Result<{ rest: Record<string, unknown>; version: number }> {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return bad('', `not a ${format} file: an object is expected`)
  const { format: fileFormat, version: fileVersion, ...rest } = value as Record<string, unknown>
  if (fileFormat !== format)
    return bad(
      'format',
      `"${format}" is expected, not ${fileFormat === undefined ? 'nothing' : quotedValue(fileFormat)}`,
    )
  if (!Number.isInteger(fileVersion) || (fileVersion as number) < 1)
    return bad('version', 'a whole number from 1 is expected')
  if ((fileVersion as number) > version)
    return bad(
      'version',
      `${quotedValue(fileVersion)} is newer than this Lucky Twin reads (${version}); update it to open this file`,
    )
  return good({ rest, version: fileVersion as number })
}
