/**
 * SVGs that ask too much of a browser, one for each bound, each with the words by which it is refused. Small, as such
 * files are.
 */

const svg = (inner: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${inner}</svg>`
const times = (count: number, of: (i: number) => string): string =>
  Array.from({ length: count }, (_, i) => of(i)).join('')
const masks = (count: number, to = (id: string) => `mask="url(#${id})"`): string =>
  times(count, (i) => `<mask id="m${i}"><rect ${to(`m${i + 1}`)} width="9" height="9"/></mask>`) +
  `<rect ${to('m0')} width="9" height="9"/>`
const uses = (levels: number): string =>
  `<defs><path id="u0" d="M0 0h9"/>${times(levels, (i) => `<g id="u${i + 1}">${`<use href="#u${i}"/>`.repeat(10)}</g>`)}</defs><use href="#u${levels}"/>`
const filter = (parts: string): string =>
  `<filter id="f">${parts}</filter><rect filter="url(#f)" width="9" height="9"/>`

export const HOSTILE: Record<string, [markup: string, refused: RegExp]> = {
  'ten of ten of ten': [svg(uses(8)), /draws more than 5,000 elements/],
  'one element too many': [svg('<path d="M0 0"/>'.repeat(5000)), /draws more than 5,000 elements/],
  'patterns of patterns': [
    svg(
      times(
        9,
        (i) =>
          `<pattern id="p${i}" width="1" height="1">${`<rect fill="url(#p${i + 1})" width="1" height="1"/>`.repeat(5)}</pattern>`,
      ) + '<rect fill="url(#p0)" width="9" height="9"/>',
    ),
    /draws more than 5,000 elements/,
  ],
  'a marker on every corner': [
    svg(
      `<marker id="k">${'<path d="M0 0"/>'.repeat(50)}</marker><path marker-mid="url(#k)" d="M0 0${'L1 1'.repeat(200)}"/>`,
    ),
    /draws more than 5,000 elements/,
  ],
  'clips of many pieces': [
    svg(
      `<clipPath id="c">${'<path d="M0 0"/>'.repeat(80)}</clipPath>${'<rect clip-path="url(#c)"/>'.repeat(80)}`,
    ),
    /draws more than 5,000 elements/,
  ],
  'in a circle': [svg('<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g>'), /in a circle/],
  'a path of a million points': [
    svg(`<path d="M0 0${'L1 1'.repeat(60_000)}"/>`),
    /200,000 letters of path data/,
  ],
  'a long path used often': [
    svg(`<defs><path id="l" d="M0 0${'L1 1'.repeat(20_000)}"/></defs>${'<use href="#l"/>'.repeat(9)}`),
    /200,000 letters of path data/,
  ],
  'masks in masks': [svg(masks(12)), /more than 2 levels of masks or clips/],
  'masks by a style': [
    svg(
      `<style>.x{content:"/*"} .m{opacity:1; &amp;:hover{fill:red} mask:url(#m0)} .y{content:"*/"}</style>${masks(12)}<g class="m"/>`,
    ),
    /more than 2 levels of masks or clips/,
  ],
  'masks by other letters': [
    svg(masks(12, (id) => `mask="url(#%6d${id.slice(1)})"`)),
    /more than 2 levels of masks or clips/,
  ],
  'blurs in a row': [svg(filter('<feGaussianBlur stdDeviation="9"/>'.repeat(9))), /more than one blur/],
  morphologies: [svg(filter('<feMorphology radius="90"/>')), /a filter of another kind/],
  noise: [svg(filter('<feTurbulence numOctaves="99"/>')), /a filter of another kind/],
  'filters within filters': [
    svg('<g filter="blur(9px)"><rect filter="blur(9px)"/></g>'),
    /filters what is filtered/,
  ],
  'many filters': [svg('<rect filter="blur(9px)"/>'.repeat(51)), /filters more than 50 elements/],
  'two filters at once': [svg('<rect style="filter:blur(9px) blur(9px)"/>'), /more than one blur/],
  deep: [svg('<g>'.repeat(200) + '</g>'.repeat(200)), /more than 100 deep/],
  'a chain of uses': [
    svg(times(900, (i) => `<g id="g${i}"><use href="#g${i + 1}"/></g>`)),
    /too often|5,000 elements/,
  ],
  'larger than 512 KiB': [svg(' '.repeat(512 * 1024)), /larger than 512 KiB/],
  'an address that does not end': [
    svg(`<style>a{fill:url(${' '.repeat(100_000)}</style>`),
    /loads something from outside/,
  ],
  'an address in an attribute': [
    svg(`<rect style="fill:url(${' '.repeat(100_000)}"/>`),
    /loads something from outside/,
  ],
  'an address with escapes': [svg('<rect style="fill:u\\72l(http://x)"/>'), /a style with escapes/],
  'a set of images': [
    svg(`<rect style="mask-image:image-set('x.png' 1x)"/>`),
    /loads something from outside/,
  ],
  'a style that moves': [svg('<style>rect{animation:a 1s}</style>'), /moves/],
  'an element that moves': [svg('<rect><animate attributeName="x" to="9"/></rect>'), /holds a <animate>/],
  'a link': [svg('<a href="#x"><rect/></a>'), /holds a <a>/],
  'a film': [svg('<video src="#x"/>'), /holds a <video>/],
  'a page': [svg('<foreignObject><p/></foreignObject>'), /holds a <foreignObject>/],
  'a script behind a link': [svg('<use href="javascript:alert(1)"/>'), /refers to something outside/],
  'a script as a colour': [svg('<rect fill="url(javascript:alert(1))"/>'), /holds a script/],
  'a script in a style': [svg('<style>rect{fill:url(javascript:alert(1))}</style>'), /holds a script/],
  'a script': [svg('<script/>'), /holds a <script>/],
  'a style sheet': [`<?xml-stylesheet href="x.css"?>${svg('')}`, /loads a style from outside/],
}
