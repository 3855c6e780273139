import { bad, good, type Result } from '../result.ts'

/** How a sheet of tiles is cut, in px of the image: by the size of a tile, or by how many there are. */
export type SheetCut = { margin: number; spacing: number } & (
  { by: 'size'; width: number; height: number } | { by: 'count'; columns: number; rows: number }
)
export type Tile = { row: number; column: number; x: number; y: number; width: number; height: number }
export type Sheet = { rows: number; columns: number; tiles: Tile[]; left: { x: number; y: number } }

export const SHEET_BOUNDS = { tile: [4, 2048], edge: [0, 512], count: [1, 100] } as const
/** More tiles than this are not cut at once; a deck cannot hold more pairs. */
const MOST_TILES = 1000

/**
 * The tiles of a sheet, row by row. `margin` goes around all of them, `spacing` between any two. By count, the tiles
 * are as large as whole px allow. `left` is what remains at the right and lower edges beyond the margin. Problems: not
 * even one tile fits; more than 1,000 would.
 */
export function cutSheet(width: number, height: number, cut: SheetCut): Result<Sheet> {
  const { margin, spacing } = cut
  const room = (side: number): number => side - 2 * margin
  let tile: { width: number; height: number }
  let columns: number
  let rows: number
  if (cut.by === 'size') {
    tile = { width: cut.width, height: cut.height }
    columns = Math.floor((room(width) + spacing) / (tile.width + spacing))
    rows = Math.floor((room(height) + spacing) / (tile.height + spacing))
    if (columns < 1 || rows < 1)
      return bad(
        'tile',
        `a tile of ${tile.width} × ${tile.height} px does not fit on ${width} × ${height} px with a margin of ${margin}`,
      )
  } else {
    ;({ columns, rows } = cut)
    tile = {
      width: Math.floor((room(width) - (columns - 1) * spacing) / columns),
      height: Math.floor((room(height) - (rows - 1) * spacing) / rows),
    }
    if (tile.width < SHEET_BOUNDS.tile[0] || tile.height < SHEET_BOUNDS.tile[0])
      return bad(
        'count',
        `${columns} × ${rows} tiles on ${width} × ${height} px would be smaller than ${SHEET_BOUNDS.tile[0]} px`,
      )
  }
  if (columns * rows > MOST_TILES)
    return bad('count', `${columns * rows} tiles; at most ${MOST_TILES} are cut at once`)
  const tiles = Array.from({ length: rows * columns }, (_, i) => {
    const [row, column] = [Math.floor(i / columns), i % columns]
    return {
      row,
      column,
      x: margin + column * (tile.width + spacing),
      y: margin + row * (tile.height + spacing),
      ...tile,
    }
  })
  return good({
    rows,
    columns,
    tiles,
    left: {
      x: room(width) - columns * tile.width - (columns - 1) * spacing,
      y: room(height) - rows * tile.height - (rows - 1) * spacing,
    },
  })
}

/**
 * Whether a tile is empty: all its px are clear, or nearly all have one colour.
 * In: RGBA bytes of the tile.
 */
export function isEmptyTile(pixels: Uint8ClampedArray | Uint8Array): boolean {
  const TRACE = 6
  for (let at = 4; at < pixels.length; at += 4) {
    if (pixels[at + 3]! < TRACE && pixels[3]! < TRACE) continue
    for (let c = 0; c < 4; c++) if (Math.abs(pixels[at + c]! - pixels[c]!) > TRACE) return false
  }
  return true
}
