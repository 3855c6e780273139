import { SaxesParser } from 'saxes'
import { IMAGE_BOUNDS, largerThan, SIZES } from '../settings/bounds.ts'
import { bad, cut, good, type Result } from '../result.ts'
import { fragment, readSheet, readStyle, type StyleRule } from './svg-style.ts'

/** An element of an SVG: what it draws itself, its children, and what it refers to. */
type Node = {
  tag: string
  children: Node[]
  /** ids: of masks, clips, patterns, markers, filters and gradients, by attribute or style */
  refers: Set<string>
  /** the ids in its `href` */
  hrefs: string[]
  /** letters of path data, and the most corners, on each of which a marker may stand */
  letters: number
  corners: number
  /** filters that the style names by function, and parts of this filter by name */
  filters: number
  parts: string[]
}
/**
 * Everything drawn by an element: elements, letters of path data, filtered ones; the depth of masks or clips, and of
 * filters.
 */
type DrawingCost = { elements: number; letters: number; filtered: number; masks: number; filters: number }

/** Elements that can run, load, link, move or embed something. */
const FORBIDDEN = new Set(
  'script foreignobject iframe embed object handler listener a link meta audio video canvas animate animatetransform animatemotion animatecolor set mpath discard feimage'.split(
    ' ',
  ),
)
/** The elements of SVG that only draw, beside the parts of filters. Others without a prefix are of another language. */
const KNOWN = new Set(
  'svg g defs symbol use image switch style title desc metadata path rect circle ellipse line polyline polygon text tspan textpath tref altglyph altglyphdef altglyphitem glyphref marker pattern mask clippath lineargradient radialgradient stop filter view cursor font font-face font-face-src font-face-name font-face-format glyph missing-glyph hkern vkern solidcolor hatch hatchpath mesh meshgradient meshrow meshpatch'.split(
    ' ',
  ),
)
/** The namespace of HTML, whose elements load and ask wherever they stand. */
const HTML = 'http://www.w3.org/1999/xhtml'
/** A document type without declarations of its own, as drawing programs write it. */
const DOCTYPE = /<!doctype[^[>]*>/i

/** An SVG without its document type: nothing that draws it needs that, and it names a file elsewhere. In: its text. */
export const withoutDoctype = (text: string): string => text.replace(DOCTYPE, '')

/** Elements that are drawn only when something refers to them. */
const ASIDE = new Set(
  'defs symbol pattern mask clippath marker lineargradient radialgradient filter style title desc metadata'.split(
    ' ',
  ),
)
/** The parts that a filter may have: one blur or shadow, and what mixes it with the picture. */
const BLURS = new Set(['fegaussianblur', 'fedropshadow'])
const MIXES = new Set(
  'fecolormatrix feflood feoffset feblend fecomposite femerge femergenode fecomponenttransfer fefuncr fefuncg fefuncb fefunca'.split(
    ' ',
  ),
)
/** Attributes with words for people, or for other programs, in which any character is allowed. */
const isFreeText = (key: string): boolean =>
  (key.includes(':') && !key.startsWith('xlink:')) || key.startsWith('data-') || key.startsWith('aria-')

const DATA = 'data:image/'
const local = (name: string): string => name.slice(name.lastIndexOf(':') + 1).toLowerCase()

/** Something that an SVG may not be; the words continue "an SVG that …". */
class Refused extends Error {}

/**
 * Whether an SVG is well formed, only draws, and draws no more than browsers can without harm (IMAGE_BOUNDS): no
 * script, event handler, link, media or motion, nothing loaded from outside, no filter but one blur, shadow or colour
 * matrix. In: its text, and what checks an image within it and says how many px it has. Out: nothing, or a problem that
 * names the line if there is one. One pass over the markup; references are followed once for each element.
 */
export function checkSvg(text: string, pixelsOf: (src: string) => Result<number> = noImages): Result<true> {
  if (text.length > SIZES.svg) return bad('', `is ${largerThan(SIZES.svg)}`)
  const parser = new SaxesParser()
  let wasRead = false
  try {
    const { root, ids } = readMarkup(parser, text, pixelsOf)
    wasRead = true
    const drawn = drawnAt(root, { ids, known: new Map(), open: new Set(), asked: true })
    if (drawn.filtered > IMAGE_BOUNDS.filtered)
      return bad('', `filters more than ${IMAGE_BOUNDS.filtered} elements`)
    return good(true)
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    return bad(wasRead ? '' : `line ${parser.line}`, error.message)
  }
}

const noImages = (): Result<number> => bad('', 'holds an image')

function readMarkup(
  parser: SaxesParser,
  text: string,
  pixelsOf: (src: string) => Result<number>,
): { root: Node; ids: Map<string, Node> } {
  const ids = new Map<string, Node>()
  const open: Node[] = []
  const rules: StyleRule[] = []
  /** elements by what a rule may select them by; styles may come after the elements they apply to */
  const all: { node: Node; id: string; classes: string[] }[] = []
  let root: Node | null = null
  let sheet = ''
  let letters = 0
  let pixels = 0
  const refuse = (why: string): never => {
    throw new Refused(why)
  }
  const says = (style: string, node: Node, where: string): void => {
    const read = readStyle(style)
    if (typeof read === 'string') return refuse(`${read} (${cut(where)})`)
    for (const id of read.refers) node.refers.add(id)
    node.filters += read.filters.length
  }

  parser.on('error', (error) =>
    refuse(`is not well-formed XML (${cut(error.message.replace(/^\d+:\d+: /, ''))})`),
  )
  parser.on('doctype', (declared) => {
    if (declared.toLowerCase().includes('entity')) refuse('declares entities')
    refuse('has a document type (<!DOCTYPE …>)')
  })
  parser.on('processinginstruction', ({ target }) => {
    if (target.toLowerCase() === 'xml-stylesheet') refuse('loads a style from outside')
  })
  parser.on('opentag', ({ name, attributes }) => {
    const tag = local(name)
    if (!root && tag !== 'svg') refuse(`is not an SVG: it begins with <${cut(name)}>`)
    const isOther = !name.includes(':') && !KNOWN.has(tag) && !tag.startsWith('fe')
    if (FORBIDDEN.has(tag) || isOther) refuse(`holds a <${cut(name)}>`)
    const node: Node = {
      tag,
      children: [],
      refers: new Set(),
      hrefs: [],
      letters: 0,
      corners: 0,
      filters: 0,
      parts: [],
    }
    for (const [key, value] of Object.entries(attributes)) {
      const what = local(key)
      if (/^xmlns(:|$)/.test(key) && value.trim().toLowerCase() === HTML) refuse('holds HTML')
      if (what.startsWith('on')) refuse(`holds an event handler (${cut(key)})`)
      if (what === 'href') {
        const target = value.trim()
        if (target.startsWith('#')) node.hrefs.push(fragment(target.slice(1)))
        else if (tag === 'image' && target.startsWith(DATA)) {
          const read = pixelsOf(target)
          if (!read.ok) return refuse(`holds an image that cannot be taken (${read.problem.message})`)
          pixels += read.value
          if (pixels > IMAGE_BOUNDS.pixels) refuse(`holds images of more than ${megapixels} megapixels`)
        } else refuse(`refers to something outside it (${cut(key)})`)
      } else if (what === 'd' || what === 'points') {
        node.letters += value.length
        node.corners += cornersIn(value)
      } else if (what !== 'id' && what !== 'class' && !isFreeText(key)) {
        if (what === 'style' || value.includes('(') || value.includes('\\')) says(value, node, key)
      }
    }
    letters += node.letters
    if (letters > IMAGE_BOUNDS.pathLetters) refuse(tooLong)
    if (tag === 'line') node.corners = 2
    const { id = '', class: classes = '' } = attributes
    if (id && !ids.has(id)) ids.set(id, node)
    all.push({ node, id, classes: classes.split(/\s+/, 64) })
    if (all.length > IMAGE_BOUNDS.elements * 4) refuse(tooMany)
    const parent = open.at(-1)
    if (parent) {
      parent.children.push(node)
      if (parent.tag === 'filter') parent.parts.push(tag)
    } else if (!root) root = node
    open.push(node)
    if (open.length > IMAGE_BOUNDS.depth) refuse(`holds elements more than ${IMAGE_BOUNDS.depth} deep`)
  })
  parser.on('closetag', ({ name }) => {
    open.pop()
    if (local(name) !== 'style') return
    const read = readSheet(sheet)
    sheet = ''
    if (typeof read === 'string') return refuse(`${read} (style)`)
    rules.push(...read)
  })
  const inStyle = (content: string): void => {
    if (open.at(-1)?.tag === 'style') sheet += content
  }
  parser.on('text', inStyle)
  parser.on('cdata', inStyle)
  parser.write(text).close()
  if (!root) return refuse('is not an SVG: no element in it')

  const by = (find: (rule: StyleRule) => string | undefined): Map<string, StyleRule[]> => {
    const rulesByName = new Map<string, StyleRule[]>()
    for (const rule of rules) {
      const key = find(rule)
      if (key !== undefined) rulesByName.set(key, [...(rulesByName.get(key) ?? []), rule])
    }
    return rulesByName
  }
  if (rules.length > IMAGE_BOUNDS.depth * 10) refuse('holds too many styles')
  const [byTag, byId, byClass] = [by(({ tag }) => tag), by(({ id }) => id), by((rule) => rule.class)]
  const forAll = rules.filter((rule) => rule.all)
  for (const { node, id, classes } of all) {
    const winners = [
      ...forAll,
      ...(byTag.get(node.tag) ?? []),
      ...(byId.get(id) ?? []),
      ...classes.flatMap((one) => byClass.get(one) ?? []),
    ]
    for (const rule of winners) {
      for (const one of rule.says.refers) node.refers.add(one)
      node.filters += rule.says.filters.length
    }
  }
  return { root, ids }
}

const tooMany = `draws more than ${IMAGE_BOUNDS.elements.toLocaleString('en')} elements, counting everything that is reused`
const tooLong = `has more than ${IMAGE_BOUNDS.pathLetters.toLocaleString('en')} letters of path data`
const megapixels = IMAGE_BOUNDS.pixels / 1e6

/** The most corners that path data can have: no two of them share a number. */
function cornersIn(data: string): number {
  let numbers = 0
  let before = false
  for (let at = 0; at < data.length; at++) {
    const code = data.charCodeAt(at)
    const isNumber = code >= 48 && code <= 57
    if (isNumber && !before) numbers++
    before = isNumber
  }
  return numbers + 1
}

type Following = {
  ids: Map<string, Node>
  known: Map<Node, DrawingCost>
  open: Set<Node>
  /** whether the element is drawn for itself, although it is a definition */
  asked: boolean
}
const NOTHING: DrawingCost = { elements: 0, letters: 0, filtered: 0, masks: 0, filters: 0 }

/** What an element draws. Throws Refused if that is too much, or refers to itself in a circle. */
function drawnAt(node: Node, following: Following): DrawingCost {
  const { ids, known, open, asked } = following
  if (!asked && ASIDE.has(node.tag)) return NOTHING
  const before = known.get(node)
  if (before) return before
  if (open.has(node)) throw new Refused('refers to itself in a circle')
  if (open.size > IMAGE_BOUNDS.depth * 3) throw new Refused('refers from element to element too often')
  open.add(node)
  const inside: Following = { ...following, asked: false }
  const all: DrawingCost = {
    elements: 1,
    letters: node.letters,
    filtered: node.filters ? 1 : 0,
    masks: 0,
    filters: node.filters ? 1 : 0,
  }
  if (node.filters > 1) throw new Refused(FILTER)
  const add = (drawn: DrawingCost, times = 1): void => {
    all.elements += drawn.elements * times
    all.letters += drawn.letters * times
    all.filtered += drawn.filtered * times
  }
  let [masksIn, filtersIn] = [0, 0]
  const noteDepth = (drawn: DrawingCost): void => {
    masksIn = Math.max(masksIn, drawn.masks)
    filtersIn = Math.max(filtersIn, drawn.filters)
  }
  for (const child of node.children) {
    const drawn = drawnAt(child, inside)
    add(drawn)
    noteDepth(drawn)
  }
  for (const href of node.hrefs) {
    const target = ids.get(href)
    if (!target || node.tag === 'textpath') continue
    const drawn = drawnAt(target, { ...following, asked: true })
    add(drawn)
    noteDepth(drawn)
  }
  let masked = false
  for (const id of node.refers) {
    const other = ids.get(id)
    if (!other) continue
    const copy = drawnAt(other, { ...following, asked: true })
    if (other.tag === 'filter') {
      checkFilter(other)
      all.filtered++
      all.filters = 1
      continue
    }
    add(copy, other.tag === 'marker' ? Math.max(1, node.corners) : 1)
    noteDepth(copy)
    if (other.tag === 'mask' || other.tag === 'clippath') masked = true
  }
  all.masks = masksIn + (masked ? 1 : 0)
  all.filters += filtersIn
  if (all.elements > IMAGE_BOUNDS.elements) throw new Refused(tooMany)
  if (all.letters > IMAGE_BOUNDS.pathLetters)
    throw new Refused(`${tooLong}, counting everything that is reused`)
  if (all.masks > IMAGE_BOUNDS.masks)
    throw new Refused(`has more than ${IMAGE_BOUNDS.masks} levels of masks or clips`)
  if (all.filters > 1) throw new Refused('filters what is filtered already')
  open.delete(node)
  known.set(node, all)
  return all
}

const FILTER = 'has a filter that is more than one blur, shadow or colour matrix'

function checkFilter({ parts }: Node): void {
  const blurs = parts.filter((part) => BLURS.has(part)).length
  const other = parts.find((part) => !BLURS.has(part) && !MIXES.has(part))
  if (other) throw new Refused(`has a filter of another kind (<${cut(other)}>)`)
  // a shadow is written as a blur with up to eight parts that colour, move and mix it
  if (blurs > 1 || parts.length > IMAGE_BOUNDS.filterParts || (blurs === 0 && parts.length > 2))
    throw new Refused(FILTER)
}
