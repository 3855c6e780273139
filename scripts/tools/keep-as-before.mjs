/**
 * Puts games on an empty shelf as the first version of the storage kept them: without bounds, images and all. In: a page, the address of the app, and
 * games as game files have them.
 */
export async function keepAsBefore(page, address, games) {
  await page.route('**/old', (route) => route.fulfill({ contentType: 'text/html', body: '' }))
  await page.goto(`${address}/old`)
  await page.evaluate(
    (all) =>
      new Promise((resolve) => {
        // in the database's own tenfold counting
        const opened = indexedDB.open('lucky-twin', 10)
        opened.onupgradeneeded = () => {
          opened.result.createObjectStore('games', { keyPath: 'key' })
          opened.result.createObjectStore('notes', { keyPath: 'name' })
        }
        opened.onsuccess = () => {
          const change = opened.result.transaction(['games', 'notes'], 'readwrite')
          for (const { format: _format, version: _version, ...game } of all)
            change.objectStore('games').put({ key: game.id, game, rev: 4, touched: 5 })
          change.objectStore('notes').put({ name: 'demo games', value: true })
          change.oncomplete = () => {
            opened.result.close()
            resolve()
          }
        }
      }),
    games,
  )
}
