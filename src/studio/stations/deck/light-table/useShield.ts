import type { Ref } from 'vue'

/** How long after the last move a table counts as still, in ms. */
const STILL = 150

const tileAt = ({ clientX, clientY }: MouseEvent): Element | null =>
  document.elementFromPoint(clientX, clientY)?.closest('[role=option]') ?? null

/**
 * While a table scrolls, `shield` over it keeps hundreds of tiles from reacting to the pointer: that costs more than
 * all the rest. A press on a tile still reaches that tile, even if the shield was there at its start or appeared before
 * its end.
 */
export function useShield(shield: Ref<HTMLElement | undefined>) {
  let still = 0
  let target: Element | null = null

  function raise(): void {
    shield.value!.hidden = false
    clearTimeout(still)
    still = window.setTimeout(lower, STILL)
  }
  function lower(): void {
    if (shield.value) shield.value.hidden = true
  }
  /** At the start of a press. Out: whether it is on a tile. */
  function press(event: PointerEvent): boolean {
    lower()
    target = tileAt(event)
    return target !== null
  }
  /** At a click, which reaches the tile by itself unless the shield was in its way. */
  function click(event: MouseEvent): void {
    const tile = target
    target = null
    if (!tile || tile.contains(event.target as Node)) return
    lower()
    if (tileAt(event) === tile) tile.dispatchEvent(new MouseEvent('click', event))
  }
  return { raise, lower, press, click }
}
