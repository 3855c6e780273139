import type { Event } from '../core/play/events.ts'

/** Sounds made on the spot with Web Audio; there are no sound files. */

type Note = { pitch: number; at: number; long: number; loud: number; shape: OscillatorType }

const note = (pitch: number, at = 0, long = 0.14, loud = 0.12, shape: OscillatorType = 'triangle'): Note => ({
  pitch,
  at,
  long,
  loud,
  shape,
})

const SOUNDS = {
  deal: [note(220, 0, 0.05, 0.05), note(247, 0.06, 0.05, 0.05), note(277, 0.12, 0.05, 0.05)],
  flip: [note(520, 0, 0.05, 0.06, 'sine')],
  found: [note(523), note(784, 0.09, 0.2)],
  lucky: [note(523), note(784, 0.08), note(1175, 0.16, 0.28, 0.1)],
  miss: [note(233, 0, 0.16, 0.08, 'sine')],
  won: [note(523), note(659, 0.11), note(784, 0.22), note(1047, 0.33, 0.5)],
  lost: [note(294, 0, 0.2), note(220, 0.2, 0.45)],
} satisfies Record<string, Note[]>
export type SoundName = keyof typeof SOUNDS

let context: AudioContext | null = null

/** Plays a sound; says nothing where the browser has no audio or does not allow it yet. */
export function playSound(name: SoundName): void {
  // before the first press a browser refuses to make a sound
  if (typeof AudioContext === 'undefined' || navigator.userActivation?.hasBeenActive === false) return
  context ??= new AudioContext()
  if (context.state === 'suspended') void context.resume().catch(() => undefined)
  for (const { pitch, at, long, loud, shape } of SOUNDS[name]) {
    const start = context.currentTime + at
    const tone = context.createOscillator()
    const volume = context.createGain()
    tone.type = shape
    tone.frequency.value = pitch
    volume.gain.setValueAtTime(0, start)
    volume.gain.linearRampToValueAtTime(loud, start + 0.01)
    volume.gain.exponentialRampToValueAtTime(0.0005, start + long)
    tone.connect(volume).connect(context.destination)
    tone.start(start)
    tone.stop(start + long + 0.02)
  }
}

/** The sound of an event, if it has one. */
export function soundOf(event: Event): SoundName | null {
  switch (event.kind) {
    case 'flip':
    case 'won':
    case 'lost':
    case 'miss':
      return event.kind
    case 'match':
      return event.how === 'lucky' ? 'lucky' : 'found'
    default:
      return null
  }
}
