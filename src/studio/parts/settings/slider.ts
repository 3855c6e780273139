/** Values that are set by dragging an element along its track, and by keys; for elements with the role of a slider. */

/**
 * Follows a drag from its pointerdown on. `value` is the current value, `span` the range of the whole track: the
 * element's parent, less `side` px at each end, across or from its foot up. `set` gets each new value, unrounded;
 * `done` is called at the end.
 */
export function dragValue(
  event: PointerEvent,
  value: number,
  span: number,
  set: (value: number) => void,
  finish: () => void = () => undefined,
  { up = false, side = 0 } = {},
): void {
  const handle = event.currentTarget as HTMLElement
  const { width, height } = handle.parentElement!.getBoundingClientRect()
  const long = (up ? height : width) - 2 * side
  const along = (at: PointerEvent): number => (up ? -at.clientY : at.clientX)
  const from = along(event)
  handle.focus()
  handle.setPointerCapture(event.pointerId)
  const move = (now: PointerEvent): void => set(value + ((along(now) - from) / long) * span)
  handle.addEventListener('pointermove', move)
  handle.addEventListener(
    'lostpointercapture',
    () => {
      handle.removeEventListener('pointermove', move)
      finish()
    },
    { once: true },
  )
}

/** The value that a key leads to, within its bounds; null for keys that do nothing here, which others may handle. */
export function keyValue(
  event: KeyboardEvent,
  value: number,
  [low, high]: readonly [number, number],
  { step, big }: { step: number; big: number },
): number | null {
  const steps: Record<string, number> = {
    ArrowLeft: -step,
    ArrowDown: -step,
    ArrowRight: step,
    ArrowUp: step,
    PageDown: -big,
    PageUp: big,
    Home: -Infinity,
    End: Infinity,
  }
  const by = steps[event.key]
  if (by === undefined) return null
  event.preventDefault()
  return Math.max(low, Math.min(high, value + by))
}
