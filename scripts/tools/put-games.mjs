/**
 * Puts games on an empty shelf straight into the browser's storage, whatever is in them, with no demo games beside
 * them. In: a page; the address of the app; what `storedGame` gives for each game.
 */
export async function putGames(page, address, games) {
  await page.route('**/empty', (route) => route.fulfill({ contentType: 'text/html', body: '' }))
  await page.goto(`${address}/empty`)
  await page.evaluate(
    (all) =>
      new Promise((resolve) => {
        // version 1, in the database's own tenfold counting
        const opened = indexedDB.open('lucky-twin', 10)
        opened.onupgradeneeded = () => {
          const store = (name, keyPath) => opened.result.createObjectStore(name, { keyPath })
          store('games', 'key').createIndex('[key+rev]', ['key', 'rev'])
          store('parts', ['key', 'at'])
          store('steps', ['key', 'id'])
          store('notes', 'name')
          store('art', 'hash')
        }
        opened.onsuccess = () => {
          const change = opened.result.transaction(['games', 'parts', 'notes'], 'readwrite')
          for (const { row, parts } of all) {
            change.objectStore('games').put(row)
            for (const part of parts) change.objectStore('parts').put(part)
          }
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
