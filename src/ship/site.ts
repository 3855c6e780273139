import { strToU8 } from 'fflate'
import { IN_SITE } from '../core/files/game-zip.ts'
import type { BesideGame } from '../core/files/shipped-page.ts'
import type { Game } from '../core/game/game.ts'
import { languagesOf } from '../core/game/in-language.ts'
import { directionOf } from '../core/texts/languages.ts'
import { licensesText, worksIn } from './credits.ts'
import type { Icon } from './drawing/draw-icon.ts'
import { shipHtml, THEME, type BuiltPlayer } from './html.ts'
import { hashOf } from './zip.ts'

/** The icons of a site, by the names of their files. */
export const ICONS = {
  'icon-192.png': { side: 192, maskable: false },
  'icon-512.png': { side: 512, maskable: false },
  'icon-512-maskable.png': { side: 512, maskable: true },
} as const satisfies Record<string, Icon>
export type IconFile = keyof typeof ICONS

const MANIFEST = 'manifest.webmanifest'
const WORKER = 'sw.js'
/** How long a name may be under an icon, in characters. */
const SHORT = 12

function manifest(game: Game): string {
  const [lang] = languagesOf(game)
  const icons = Object.entries(ICONS).map(([src, { side, maskable }]) => ({
    src,
    sizes: `${side}x${side}`,
    type: 'image/png',
    purpose: maskable ? 'maskable' : 'any',
  }))
  const short = game.title.length > SHORT ? game.title.slice(0, SHORT).replace(/\s+\S*$/, '') : game.title
  const whole = {
    name: game.title,
    short_name: short,
    lang,
    dir: directionOf(lang),
    start_url: './',
    scope: './',
    display: 'standalone',
    background_color: THEME,
    theme_color: THEME,
    icons,
  }
  return `${JSON.stringify(whole, null, 2)}\n`
}

/** The most characters by which one version of the worker is longer than another. */
const LONGER = 4096

/**
 * The service worker: it keeps every file when it is installed, and from then on gives them without a network. A new
 * version has another hash, and takes the place of the one before. It has another length too, and looks for a newer one
 * past all caches when the page is opened: a server may call a newer file unchanged, by its date or its length.
 */
const worker = (
  version: string,
  files: readonly string[],
): string => `const MINE = \`lucky-twin \${registration.scope} \`
const CACHE = MINE + '${version}'
const FILES = ${JSON.stringify(['./', ...files])}

addEventListener('install', (event) => {
  const fresh = FILES.map((file) => new Request(file, { cache: 'reload' }))
  event.waitUntil(caches.open(CACHE).then((cache) => cache.addAll(fresh)).then(() => skipWaiting()))
})
addEventListener('activate', (event) => {
  const old = (name) => name.startsWith(MINE) && name !== CACHE
  event.waitUntil(
    caches
      .keys()
      .then((names) => Promise.all(names.filter(old).map((name) => caches.delete(name))))
      .then(() => clients.claim()),
  )
})
const look = async () => {
  const answer = await fetch(new Request('${WORKER}', { cache: 'reload' }))
  const text = answer.ok ? await answer.text() : ''
  if (text.startsWith('const MINE') && !text.includes('${version}')) await registration.update()
}
addEventListener('fetch', (event) => {
  const { request } = event
  if (request.mode === 'navigate') event.waitUntil(look().catch(() => undefined))
  const path = request.url.replace(/[?#].*/, '')
  if (request.method !== 'GET' || !path.startsWith(registration.scope)) return
  const file = path.slice(registration.scope.length).replace(/^index\\.html$/, '') || './'
  event.respondWith(
    caches
      .open(CACHE)
      .then((cache) => cache.match(file))
      .then((kept) => kept ?? fetch(request)),
  )
})
//${'-'.repeat(parseInt(version.slice(0, 3), 16) % LONGER)}
`

/**
 * A game as a folder for any static server: it installs on a phone and plays without a network. In: as for a page, and
 * its icons as PNG by their names. Out: its files, by name.
 */
export function shipSite(
  game: Game,
  beside: Pick<BesideGame, 'art' | 'words'>,
  player: BuiltPlayer,
  icons: Record<IconFile, Uint8Array>,
): Record<string, Uint8Array> {
  const page = shipHtml(game, beside, player, { manifest: MANIFEST, icon: 'icon-192.png', worker: WORKER })
  const files: Record<string, Uint8Array> = {
    [IN_SITE]: strToU8(page),
    [MANIFEST]: strToU8(manifest(game)),
    'LICENSES.txt': strToU8(licensesText(game, worksIn.page(game, player.credits))),
    ...icons,
  }
  const remaining = Object.keys(files).filter((name) => name !== IN_SITE)
  return { ...files, [WORKER]: strToU8(worker(hashOf(files).slice(0, 16), remaining)) }
}
