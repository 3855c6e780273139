/**
 * The parts of an SVG style that affect how much is drawn: the ids it refers to, and its filter functions. Read
 * character by character, without regular expressions that could backtrack, since styles come from strangers.
 */
export type StyleSays = { refers: string[]; filters: string[] }

/** The style functions that filter the drawing, each costing one pass over it. */
const FILTERS = [
  'blur',
  'drop-shadow',
  'brightness',
  'contrast',
  'grayscale',
  'hue-rotate',
  'invert',
  'opacity',
  'saturate',
  'sepia',
]
/** What loads, runs or moves, wherever it appears in a style. */
const REFUSED: [part: string, why: string][] = [
  ['\\', 'holds a style with escapes'],
  ['@import', 'loads something from outside'],
  ['javascript:', 'holds a script'],
  ['image-set(', 'loads something from outside'],
  ['keyframes', 'moves'],
  ['backdrop-filter', 'filters what lies behind it'],
]
/** Properties that move the drawing, with whatever follows in their names. */
const MOVING = ['animation', 'transition']

const isSpace = (letter: string | undefined): boolean => letter !== undefined && letter <= ' '

/**
 * Reads declarations, or a whole style. Out: what they say, or why they are refused, as words that continue "an SVG
 * that …".
 */
export function readStyle(text: string): StyleSays | string {
  const low = text.toLowerCase()
  for (const [part, why] of REFUSED) if (low.includes(part)) return why
  if (MOVING.some((name) => isDeclared(low, name))) return 'moves'
  const says: StyleSays = { refers: [], filters: [] }
  for (let at = low.indexOf('('); at >= 0; at = low.indexOf('(', at + 1)) {
    let from = at
    while (from > 0 && isNameLetter(low.charCodeAt(from - 1))) from--
    const name = low.slice(from, at)
    if (name === 'url' || name === 'src') {
      const id = idAt(text, at + 1)
      if (id === null) return 'loads something from outside'
      says.refers.push(id)
    } else if (FILTERS.includes(name)) says.filters.push(name)
  }
  return says
}

/** Whether a property whose name begins like this is given a value. */
function isDeclared(style: string, name: string): boolean {
  for (let at = style.indexOf(name); at >= 0; at = style.indexOf(name, at + 1)) {
    let end = at + name.length
    while (isNameLetter(style.charCodeAt(end))) end++
    while (isSpace(style[end])) end++
    if (style[end] === ':') return true
  }
  return false
}

/** Letters, digits, "-" and "_" make names. */
function isNameLetter(code: number): boolean {
  return (code >= 97 && code <= 122) || (code >= 48 && code <= 57) || code === 45 || code === 95
}

/** The id written as "#id", in quotation marks or not, from here to the bracket; null if it is something else. */
function idAt(text: string, from: number): string | null {
  let at = from
  while (isSpace(text[at])) at++
  const quote = text[at] === '"' || text[at] === "'" ? text[at++] : ''
  while (quote && isSpace(text[at])) at++
  if (text[at] !== '#') return null
  const start = ++at
  while (at < text.length && text[at] !== quote && text[at] !== ')' && !isSpace(text[at])) at++
  return fragment(text.slice(start, at))
}

/** A rule of a style sheet: which elements it may apply to, and what it says. `all`: it may apply to any. */
export type StyleRule = { tag?: string; id?: string; class?: string; all?: true; says: StyleSays }

/**
 * The rules of a style sheet that say anything relevant, or why it is refused. Only the last part of a selector is
 * read.
 */
export function readSheet(text: string): StyleRule[] | string {
  const refused = readStyle(text)
  if (typeof refused === 'string') return refused
  const rules: StyleRule[] = []
  /** the selectors of the open rules, outermost first */
  const open: string[] = []
  let from = 0
  const take = (declarations: string): void => {
    const says = readStyle(declarations) as StyleSays
    if (!says.refers.length && !says.filters.length) return
    for (const one of (open.at(-1) ?? '').split(',')) rules.push({ ...aboutOf(one.trim()), says })
  }
  for (let at = 0; at < text.length; at++) {
    const letter = text[at]!
    // in comments, quotation marks and brackets nothing opens or ends a rule
    if (letter === '/' && text[at + 1] === '*') at = past(text, '*/', at + 2)
    else if (letter === '"' || letter === "'") at = past(text, letter, at + 1)
    else if (letter === '(') at = past(text, ')', at + 1)
    else if (letter === '{') {
      // the outer rule's declarations may come before the selector of a nested rule
      const head = text.slice(from, at)
      const end = head.lastIndexOf(';') + 1
      take(head.slice(0, end))
      open.push(head.slice(end))
      from = at + 1
    } else if (letter === '}') {
      take(text.slice(from, at))
      open.pop()
      from = at + 1
    }
  }
  take(text.slice(from))
  return rules
}

/** The position of the last character of this ending, or of the text. */
function past(text: string, end: string, from: number): number {
  const at = text.indexOf(end, from)
  return at < 0 ? text.length : at + end.length - 1
}

/** An id as an address writes it, where characters may be written as numbers. */
export function fragment(id: string): string {
  if (!id.includes('%')) return id
  try {
    return decodeURIComponent(id)
  } catch {
    return id
  }
}

/** Which elements a selector may apply to: by its last class, id or name, or any if it is more complex than that. */
function aboutOf(selector: string): Omit<StyleRule, 'says'> {
  let from = selector.length
  while (from > 0 && isNameLetter(selector.toLowerCase().charCodeAt(from - 1))) from--
  const name = selector.slice(from)
  const before = selector[from - 1]
  if (!name || /[\]):*]/.test(selector.slice(-1)) || before === ':') return { all: true }
  if (before === '.') return { class: name }
  if (before === '#') return { id: name }
  return before === undefined || isSpace(before) || '>+~'.includes(before)
    ? { tag: name.toLowerCase() }
    : { all: true }
}
