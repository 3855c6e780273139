import { describe, expect, test } from '@jest/globals'
import { HOSTILE } from '../testing/hostile.ts'
import { checkSvg } from './image.ts'

const complaint = (markup: string): string => {
  const checked = checkSvg(markup)
  return checked.ok ? 'fine' : checked.problem.message
}
const svg = (inner: string): string => `<svg xmlns="http://www.w3.org/2000/svg">${inner}</svg>`

test.each(Object.entries(HOSTILE))('refused before it is drawn: %s', (_, [markup, refused]) => {
  expect(complaint(markup)).toMatch(refused)
})

describe('right at a bound an SVG is taken', () => {
  test.each([
    ['5,000 elements', '<path d="M0 0"/>'.repeat(4999)],
    ['200,000 letters', `<path d="${'M0 0'.repeat(50_000)}"/>`],
    [
      'two levels of masks',
      '<mask id="a"><rect/></mask><mask id="b"><g mask="url(#a)"><rect/></g></mask><rect mask="url(#b)"/>',
    ],
    ['50 blurs', '<rect filter="blur(2px)"/>'.repeat(50)],
    ['a shadow', '<filter id="f"><feDropShadow dx="1"/></filter><rect filter="url(#f)"/>'],
    ['a colour matrix', '<filter id="f"><feColorMatrix/></filter><rect filter="url(#f)"/>'],
    [
      'a shadow made of its parts',
      '<filter id="f"><feFlood/><feColorMatrix/><feOffset/><feGaussianBlur/><feComposite/><feColorMatrix/><feBlend/><feBlend/></filter><rect filter="url(#f)"/>',
    ],
    [
      'gradients that follow each other',
      '<linearGradient id="a"/><linearGradient id="b" href="#a"/><rect fill="url(#b)"/>',
    ],
    [
      'classes',
      '<style>/* .a{ */ .animation-like{fill:url(#g)} @media print{.b{clip-path:url(#c)}}</style><rect class="b"/>',
    ],
    ['a name that is not there', '<rect fill="url(#gone)"/><use href="#gone"/>'],
  ])('%s', (_, inner) => expect(complaint(svg(inner))).toBe('fine'))
})

test('what is refused names its line while that is known', () => {
  expect(checkSvg(svg('\n\n<script/>'))).toMatchObject({ problem: { at: 'line 3' } })
  expect(checkSvg(svg('\n<g id="a"><use href="#a"/></g>'))).toMatchObject({ problem: { at: '' } })
})
