import { ref } from 'vue'

/** The server cannot be asked. */
export const SERVER_GONE = 'The server of Lucky Twin does not answer. Start it again with npm start.'

/**
 * Whether a part of the app that was asked for did not come: its server has stopped, or has another version now. What
 * is here goes on; what is missing comes with the page anew, as the browser asks for the style of a part only once.
 */
export const isPartLost = ref(false)
export const partLost = (): void => void (isPartLost.value = true)

/** What the app itself did wrong, in the words of the error; empty if nothing. */
export const fault = ref('')
/**
 * Keeps an error that nobody took, or that was given to `reportError`; what the browser refuses is told where it is
 * asked for.
 */
export function noteFault(error: unknown): void {
  if (error instanceof Error && !(error instanceof DOMException)) fault.value = error.message
}

/** Notes that a part of the app did not come, and gives that as an error. */
export function lostPart(): Error {
  partLost()
  return new Error(SERVER_GONE)
}

/** What went wrong in a worker; one that says nothing of it could not be loaded. */
export const workerError = ({ message }: ErrorEvent): Error =>
  message ? new Error(message.replace(/^(Uncaught )?(\w*Error: )?/, '')) : lostPart()

/** Asks the server for a file of the app. Throws if it does not answer. */
export async function fileOfApp(path: string): Promise<Response> {
  try {
    return await fetch(path)
  } catch {
    throw lostPart()
  }
}
