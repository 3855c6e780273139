import { expect, test, type Page } from '@playwright/test'
import fc from 'fast-check'
import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build } from 'vite'
import type { openStore } from './store-entry.ts'

test.use({ contextOptions: { reducedMotion: 'reduce' } })

type Store = ReturnType<typeof openStore>

// the page is not one of the app's own, and loads its script from here
test.use({ bypassCSP: true })

/** The store as one script. */
async function bundled(): Promise<string> {
  const outDir = mkdtempSync(join(tmpdir(), 'store-'))
  await build({
    configFile: false,
    logLevel: 'error',
    publicDir: false,
    define: { 'process.env.NODE_ENV': '"production"', __VUE_OPTIONS_API__: 'false' },
    build: {
      outDir,
      minify: false,
      lib: { entry: 'tests/store-entry.ts', formats: ['es'], fileName: 'store' },
      rolldownOptions: { output: { codeSplitting: false } },
    },
  })
  return readFileSync(join(outDir, 'store.js'), 'utf8')
}

/** Opens the store anew, as a reload does: with nothing in it but what the browser has stored. */
const reload = (page: Page, script: string): Promise<void> =>
  page.evaluate(async (text) => {
    const url = URL.createObjectURL(new Blob([text], { type: 'text/javascript' }))
    const module = (await import(url)) as { openStore: typeof openStore }
    Object.assign(window, { store: module.openStore() })
  }, script)

const call = <Name extends keyof Store>(
  page: Page,
  name: Name,
  ...given: Parameters<Store[Name]>
): Promise<Awaited<ReturnType<Store[Name]>>> =>
  page.evaluate(
    ([act, list]) => {
      const { store } = window as unknown as { store: Record<string, (...all: unknown[]) => unknown> }
      return store[act as string]!(...(list as unknown[]))
    },
    [name, given] as const,
  ) as Promise<Awaited<ReturnType<Store[Name]>>>

const step = fc.record({
  do: fc.constantFrom(
    'make',
    'edit',
    'edit',
    'undo',
    'undo',
    'redo',
    'reload',
    'remove',
    'take back',
    'back up',
    'add',
    'replace',
  ),
  which: fc.nat(20),
})

// 100 sequences see a fault that one in 22 shows, 99 times of 100
test('no sequence of edits, reloads, removals and restores loses a game', async ({ page, baseURL }) => {
  test.slow()
  const script = await bundled()
  await page.goto(`${baseURL}/pictures/index.json`)
  await reload(page, script)
  // the demo games are added once ever, with the first game
  await call(page, 'make', 'First')
  let count = 0
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 3, maxLength: 8 }), async (steps) => {
      await call(page, 'clear')
      /** what must be there: by key its title, its place, and its titles before and after the current one */
      const model = new Map<string, { title: string; binned: boolean; past: string[]; future: string[] }>()
      let backup: { bytes: number[]; rows: Record<string, { title: string; binned: boolean }> } | null = null
      const pick = (binned: boolean, n: number): string | undefined => {
        const keys = [...model].filter(([, row]) => row.binned === binned).map(([key]) => key)
        return keys.length ? keys[n % keys.length] : undefined
      }
      for (const { do: act, which } of steps) {
        const shelved = pick(false, which)
        const title = `Title ${++count}`
        if (act === 'make')
          model.set(await call(page, 'make', title), { title, binned: false, past: [], future: [] })
        else if (act === 'reload') await reload(page, script)
        else if (act === 'edit' && shelved) {
          const row = model.get(shelved)!
          await call(page, 'edit', shelved, title)
          Object.assign(row, { title, past: [...row.past, row.title], future: [] })
        } else if (act === 'undo' && shelved) {
          const row = model.get(shelved)!
          const before = row.past.pop()
          if (before !== undefined) {
            row.future.push(row.title)
            row.title = before
          }
          expect(await call(page, 'step', shelved, 'undo')).toBe(row.title)
        } else if (act === 'redo' && shelved) {
          const row = model.get(shelved)!
          const after = row.future.pop()
          if (after !== undefined) {
            row.past.push(row.title)
            row.title = after
          }
          expect(await call(page, 'step', shelved, 'redo')).toBe(row.title)
        } else if (act === 'remove' && shelved) {
          await call(page, 'bin', shelved, true)
          model.get(shelved)!.binned = true
        } else if (act === 'take back') {
          const binned = pick(true, which)
          if (!binned) continue
          await call(page, 'bin', binned, false)
          model.get(binned)!.binned = false
        } else if (act === 'back up')
          backup = { bytes: await call(page, 'backUp'), rows: await call(page, 'rows') }
        else if ((act === 'add' || act === 'replace') && backup) {
          await call(page, 'restore', backup.bytes, act)
          const rows = await call(page, 'rows')
          // what was there is still there, as it was, or, if it was replaced, under a new key in the bin
          const fresh = Object.keys(rows).filter((key) => !model.has(key))
          const unclaimed = new Set(fresh)
          /** A fresh row that is as it should be; no other claims it again. */
          const claim = (title: string, binned: boolean): string | undefined => {
            const found = [...unclaimed].find(
              (one) => rows[one]!.title === title && rows[one]!.binned === binned,
            )
            if (found) unclaimed.delete(found)
            return found
          }
          for (const [key, row] of Object.entries(backup.rows)) {
            const there = model.get(key)
            if (!there || act === 'add') {
              if (there) expect(claim(row.title, row.binned), `${row.title} was added`).toBeTruthy()
              else expect(rows[key]).toEqual(row)
            } else {
              expect(claim(there.title, true), `${there.title} went into the bin`).toBeTruthy()
              model.set(key, { ...row, past: [], future: [] })
            }
          }
          for (const key of fresh) model.set(key, { ...rows[key]!, past: [], future: [] })
        }
        const rows = await call(page, 'rows')
        const wanted = Object.fromEntries(
          [...model].map(([key, { title: t, binned }]) => [key, { title: t, binned }]),
        )
        expect(rows).toEqual(wanted)
      }
    }),
    {
      numRuns: 100,
      // a backup that holds one title twice, on the shelf and in the bin
      examples: [
        [
          [
            { do: 'make', which: 0 },
            { do: 'back up', which: 0 },
            { do: 'replace', which: 0 },
            { do: 'back up', which: 0 },
            { do: 'add', which: 0 },
          ],
        ],
      ],
    },
  )
})
