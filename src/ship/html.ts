import { sha256 } from '@noble/hashes/sha2.js'
import { utf8ToBytes } from '@noble/hashes/utils.js'
import { fromUint8Array } from 'js-base64'
import { gameElement, type BesideGame } from '../core/files/shipped-page.ts'
import { languagesOf } from '../core/game/in-language.ts'
import { directionOf } from '../core/texts/languages.ts'
import { escapeHtml } from './escape-html.ts'
import { creditsOf, hasWordsOnCards, noticesText, worksIn, type PlayerCredits } from './credits.ts'
import type { Game } from '../core/game/game.ts'

/**
 * The built player: dist/player/player.js, or player-rivals.js for a game where minds play, its credits, player.css,
 * the typeface of words on cards as a style, and drawings.json.
 */
export type BuiltPlayer = {
  script: string
  style: string
  faceFont: string
  credits: PlayerCredits
  drawings: BesideGame['drawings']
}

/** The colour around a page: that of the deepest part of a table. */
export const THEME = '#25264a'

/** The files beside a page that is a site of its own: its manifest, its icon, and its service worker. */
export type SiteFiles = { manifest: string; icon: string; worker: string }

const hashOf = (text: string): string => `'sha256-${fromUint8Array(sha256(utf8ToBytes(text)))}'`

/**
 * A game as one HTML file that plays anywhere and requests nothing. Its policy allows the script and the style inside
 * it, by their hashes, and images and fonts inside it; everything else is forbidden. In: a game; its library pictures
 * as data URLs by name; the messages of its languages; the built player; the files beside it, which alone a site may
 * ask for.
 */
export function shipHtml(
  game: Game,
  { art, words }: Pick<BesideGame, 'art' | 'words'>,
  player: BuiltPlayer,
  site: SiteFiles | null = null,
): string {
  const [language] = languagesOf(game)
  // a closing tag inside a string of the script would end it; `<\/` means the same there
  const script = player.script.trim().replace(/<\/(script)/gi, '<\\/$1')
  const style = player.style.trim() + (hasWordsOnCards(game) ? player.faceFont.trim() : '')
  const install = site ? `navigator.serviceWorker?.register('${site.worker}')` : ''
  const policy = [
    "default-src 'none'",
    `script-src ${[script, ...(site ? [install] : [])].map(hashOf).join(' ')}`,
    `style-src ${hashOf(style)}`,
    `img-src data:${site ? " 'self'" : ''}`,
    'font-src data:',
    ...(site ? ["manifest-src 'self'", "worker-src 'self'"] : []),
    "base-uri 'none'",
    "form-action 'none'",
  ].join('; ')
  return `<!doctype html>
<html lang="${language}" dir="${directionOf(language)}">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="${policy}">
<meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover">
<meta name="generator" content="Lucky Twin">
<meta name="theme-color" content="${THEME}">
<title>${escapeHtml(game.title)}</title>
${site ? siteLinks(site) : ''}<style>${style}</style>
</head>
<body>
<main id="lucky-twin"></main>
<noscript><p>This game needs JavaScript, which is switched off in this browser.</p></noscript>
${gameElement(game, { art, words, credits: creditsOf(game, player.credits), drawings: player.drawings })}
<script>${script}</script>
<!--
${noticesText(worksIn.page(game, player.credits)).replace(/-{2,}/g, '-')}-->
${site ? `<script>${install}</script>\n` : ''}</body>
</html>
`
}

const siteLinks = ({ manifest, icon }: SiteFiles): string =>
  `<link rel="manifest" href="${manifest}">
<link rel="icon" href="${icon}">
<link rel="apple-touch-icon" href="${icon}">
`
