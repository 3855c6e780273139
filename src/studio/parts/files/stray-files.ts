import { useEventListener } from '@vueuse/core'

/** Whether something dragged over the page is a file. */
export const carriesFiles = (event: DragEvent): boolean =>
  event.dataTransfer?.types.includes('Files') ?? false

/**
 * A file dropped where nothing takes it would be opened in place of the app: it is refused, as the pointer shows. Call
 * it once, in the app's own setup.
 */
export function refuseStrayFiles(): void {
  const refuse = (event: DragEvent): void => {
    if (event.defaultPrevented || !carriesFiles(event)) return
    event.preventDefault()
    event.dataTransfer!.dropEffect = 'none'
  }
  useEventListener(window, 'dragover', refuse)
  useEventListener(window, 'drop', refuse)
}
