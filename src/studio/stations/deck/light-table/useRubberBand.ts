import { onBeforeUnmount, ref, type Ref } from 'vue'

export type Band = { left: number; top: number; width: number; height: number }

/**
 * Selecting by drawing a box over empty ground. `ground` is the scrolling element, `items` finds what can be selected,
 * each with its id; `choose` gets the ids that the box touches, and whether they are added to the selection.
 */
export function useRubberBand(
  ground: Ref<HTMLElement | undefined>,
  items: () => { id: string; element: HTMLElement }[],
  choose: (ids: string[], add: boolean) => void,
) {
  const band = ref<Band | null>(null)
  let start: { x: number; y: number; add: boolean } | null = null

  const at = (event: PointerEvent): { x: number; y: number } => {
    const { left, top } = ground.value!.getBoundingClientRect()
    return {
      x: event.clientX - left + ground.value!.scrollLeft,
      y: event.clientY - top + ground.value!.scrollTop,
    }
  }
  function down(event: PointerEvent): void {
    const on = event.target as HTMLElement
    if (event.button !== 0 || event.pointerType === 'touch' || on.closest('[role=option], button, input, a'))
      return
    start = { ...at(event), add: event.shiftKey || event.ctrlKey || event.metaKey }
    window.addEventListener('pointermove', move)
    window.addEventListener('pointerup', end)
    window.addEventListener('pointercancel', end)
  }
  function move(event: PointerEvent): void {
    if (!start) return
    const { x, y } = at(event)
    band.value = {
      left: Math.min(x, start.x),
      top: Math.min(y, start.y),
      width: Math.abs(x - start.x),
      height: Math.abs(y - start.y),
    }
    event.preventDefault()
  }
  function end(): void {
    const box = band.value
    if (start && box && (box.width > 4 || box.height > 4)) {
      const ground0 = ground.value!.getBoundingClientRect()
      const touched = items().filter(({ element }) => {
        const tile = element.getBoundingClientRect()
        const x = tile.left - ground0.left + ground.value!.scrollLeft
        const top = tile.top - ground0.top + ground.value!.scrollTop
        return (
          x < box.left + box.width &&
          x + tile.width > box.left &&
          top < box.top + box.height &&
          top + tile.height > box.top
        )
      })
      choose(
        touched.map(({ id }) => id),
        start.add,
      )
    } else if (start && !start.add) choose([], false)
    stop()
  }
  function stop(): void {
    start = null
    band.value = null
    window.removeEventListener('pointermove', move)
    window.removeEventListener('pointerup', end)
    window.removeEventListener('pointercancel', end)
  }
  onBeforeUnmount(stop)
  return { band, down }
}
