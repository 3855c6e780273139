import { computed, reactive, ref, shallowRef } from 'vue'
import { cutSheet, isEmptyTile, type SheetCut, type Tile } from '../../../../core/deck/sheet.ts'
import { LENGTHS } from '../../../../core/settings/bounds.ts'
import { problemLine } from '../../../../core/result.ts'
import { decodeImage, LONGEST_SIDE, wordsOf } from '../../../parts/cards/image-files.ts'

export type SheetTile = Tile & { key: string; name: string; taken: boolean; empty: boolean }

/** A sheet and its cut: the image, the grid over it, and the author's choices for single tiles. */
export function useSheet() {
  const image = shallowRef<{ canvas: HTMLCanvasElement; url: string; name: string } | null>(null)
  const problem = ref('')
  const by = ref<'size' | 'count'>('size')
  const size = reactive({ width: 64, height: 64 })
  const count = reactive({ columns: 4, rows: 4 })
  const edge = reactive({ margin: 0, spacing: 0 })
  /** the author's choices for tiles: a name, or whether it is taken */
  const names = ref<Record<string, string>>({})
  const tileChoices = ref<Record<string, boolean>>({})

  function clear(): void {
    image.value = null
    problem.value = ''
    forget()
  }
  function forget(): void {
    names.value = {}
    tileChoices.value = {}
  }

  const cut = computed<SheetCut>(() =>
    by.value === 'size' ? { by: 'size', ...size, ...edge } : { by: 'count', ...count, ...edge },
  )
  const sheet = computed(
    () => image.value && cutSheet(image.value.canvas.width, image.value.canvas.height, cut.value),
  )
  const keyOf = ({ row, column }: Tile): string => `${row} ${column}`
  const empty = computed(() => {
    if (!sheet.value?.ok) return new Set<string>()
    const pen = image.value!.canvas.getContext('2d', { willReadFrequently: true })!
    return new Set(
      sheet.value.value.tiles
        .filter(({ x, y, width, height }) => isEmptyTile(pen.getImageData(x, y, width, height).data))
        .map(keyOf),
    )
  })
  const tiles = computed(() => {
    if (!sheet.value?.ok) return []
    const stem = image.value!.name
    let number = 0
    return sheet.value.value.tiles.map((tile) => {
      const key = keyOf(tile)
      const taken = tileChoices.value[key] ?? !empty.value.has(key)
      if (taken) number++
      return {
        ...tile,
        key,
        taken,
        empty: empty.value.has(key),
        name:
          names.value[key] ??
          (taken ? `${stem} ${number}` : `${stem}, row ${tile.row + 1}, column ${tile.column + 1}`),
      }
    })
  })
  const selection = computed(() => tiles.value.filter(({ taken }) => taken))
  const margin = computed(() => {
    if (!sheet.value?.ok) return ''
    const { x, y } = sheet.value.value.left
    const parts = [x > 0 ? `${x} px at the right` : '', y > 0 ? `${y} px below` : ''].filter(Boolean)
    return parts.length ? `${parts.join(' and ')} belong to no tile` : ''
  })

  /** Opens a file as the sheet, or says in `problem` why it cannot be. */
  async function take(file: File): Promise<void> {
    const decoded = await decodeImage(file)
    if (!decoded.ok) {
      problem.value = `${file.name}: ${problemLine(decoded.problem)}`
      return
    }
    const { bitmap } = decoded.value
    const canvas = document.createElement('canvas')
    canvas.width = bitmap.width
    canvas.height = bitmap.height
    canvas.getContext('2d', { willReadFrequently: true })!.drawImage(bitmap, 0, 0)
    bitmap.close()
    problem.value = ''
    forget()
    image.value = { canvas, url: canvas.toDataURL(), name: wordsOf(file.name) }
  }

  /** Takes these tiles, or leaves them out. */
  function takeThese(keys: readonly string[], taken: boolean): void {
    tileChoices.value = { ...tileChoices.value, ...Object.fromEntries(keys.map((key) => [key, taken])) }
  }
  /** Takes the tiles that were left out, and leaves out the others. */
  function takeOthers(): void {
    tileChoices.value = Object.fromEntries(tiles.value.map(({ key, taken }) => [key, !taken]))
  }
  /** An empty name restores the one made from the sheet's. */
  function rename(key: string, to: string): void {
    const name = to.trim().slice(0, LENGTHS.name)
    const { [key]: _old, ...others } = names.value
    names.value = name ? { ...others, [key]: name } : others
  }

  /** The tile as an image of its own, its longest side no longer than useful, in px. */
  function tileSource({ x, y, width, height }: Tile, longest = LONGEST_SIDE): string {
    const scale = Math.min(1, longest / Math.max(width, height))
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(width * scale))
    canvas.height = Math.max(1, Math.round(height * scale))
    const pen = canvas.getContext('2d')!
    pen.imageSmoothingQuality = 'high'
    pen.drawImage(image.value!.canvas, x, y, width, height, 0, 0, canvas.width, canvas.height)
    return canvas.toDataURL('image/png')
  }

  return {
    image,
    problem,
    by,
    size,
    count,
    edge,
    sheet,
    tiles,
    chosen: selection,
    empty,
    left: margin,
    clear,
    take,
    takeThese,
    takeOthers,
    rename,
    tileSource,
  }
}
