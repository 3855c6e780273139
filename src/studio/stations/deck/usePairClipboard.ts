import { useEventListener } from '@vueuse/core'
import { countWords } from '../../../core/count-words.ts'
import { holdsPairs, readPairs, writePairs } from '../../../core/files/pairs-file.ts'
import type { Pair } from '../../../core/deck/pair.ts'
import { problemLine } from '../../../core/result.ts'
import { useToasts } from '../../parts/toast/useToasts.ts'

/** Holds the last copy, for browsers that do not give access to the clipboard. */
let clipboard = ''

type Deck = {
  chosen: () => Pair[]
  remove: (label: string) => void
  add: (pairs: Pair[], label: string) => void
  /** pasted files and plain words go to the dialogs of their kind */
  files: (files: File[]) => void
  words: (text: string) => void
}

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('input, textarea, select, [contenteditable], dialog') !== null

/** Cut, copy and paste of whole pairs, within a game and between games, by the usual keys and by buttons. */
export function usePairClipboard(deck: Deck) {
  const { say } = useToasts()

  function onCopy(event: ClipboardEvent): void {
    if (typing(event.target) || !deck.chosen().length || getSelection()?.toString()) return
    event.preventDefault()
    clipboard = writePairs(deck.chosen())
    event.clipboardData?.setData('text/plain', clipboard)
    const count = deck.chosen().length
    if (event.type === 'cut') deck.remove('cut pairs')
    else say(`${countWords(count, 'pair')} copied`)
  }
  function onPaste(event: ClipboardEvent): void {
    if (typing(event.target)) return
    const files = [...(event.clipboardData?.files ?? [])]
    const text = event.clipboardData?.getData('text/plain') ?? ''
    if (!files.length && !text.trim()) return
    event.preventDefault()
    if (files.length) deck.files(files)
    else paste(text)
  }
  function paste(text: string): void {
    if (!holdsPairs(text)) return deck.words(text)
    const read = readPairs(text)
    if (read.ok) deck.add(read.value, 'paste pairs')
    else say(`What was pasted holds no whole pairs: ${problemLine(read.problem)}`, { tone: 'wrong' })
  }

  /** For the buttons: the clipboard if the browser allows it, else the last copy made here. */
  async function copy(): Promise<void> {
    clipboard = writePairs(deck.chosen())
    await navigator.clipboard?.writeText(clipboard).catch(() => undefined)
    say(`${countWords(deck.chosen().length, 'pair')} copied`)
  }
  async function cut(): Promise<void> {
    clipboard = writePairs(deck.chosen())
    await navigator.clipboard?.writeText(clipboard).catch(() => undefined)
    deck.remove('cut pairs')
  }
  async function pasteHere(): Promise<void> {
    const text = (await navigator.clipboard?.readText().catch(() => '')) || clipboard
    if (text.trim()) paste(text)
    else say('There is nothing to paste: copy pairs in this or another game first')
  }

  useEventListener(document, ['copy', 'cut'], onCopy)
  useEventListener(document, 'paste', onPaste)
  return { copy, cut, paste: pasteHere }
}
