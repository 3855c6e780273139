import { SOUND_LENGTH } from '../core/settings/bounds.ts'
import { type Family, type Moment, type Settings } from '../core/settings/settings.ts'
import type { Event } from '../core/play/events.ts'

/** Sounds made on the fly with Web Audio, in four families, and own ones from the game. */

/** What can be heard; a lucky match is a match with a sound of its own. */
export type SoundName = Moment | 'lucky'
/** The sound settings of a level. */
type Sounds = Pick<Settings, 'sound' | 'volumes'>
const momentOf = (name: SoundName): Moment => (name === 'lucky' ? 'match' : name)

/** How a family sounds: its lowest note in Hz, its scale in semitones, and how a note rises and fades, in s. */
type Voice = {
  base: number
  scale: readonly number[]
  shape: OscillatorType
  attack: number
  /** how many times longer than written its notes ring */
  ring: number
  loud: number
  /** a second tone, as a multiple of the first, and its loudness relative to it */
  over?: readonly [number, number]
  /** how much higher a note starts than it ends */
  bend?: number
  /** the low-pass filter's frequency, in Hz */
  soft?: number
}
const MAJOR = [0, 2, 4, 5, 7, 9, 11]
const VOICES: Record<Family, Voice> = {
  brass: { base: 262, scale: MAJOR, shape: 'triangle', attack: 0.01, ring: 1, loud: 1 },
  wood: {
    base: 196,
    scale: [0, 3, 5, 7, 10],
    shape: 'sine',
    attack: 0.002,
    ring: 0.45,
    loud: 1.7,
    over: [2.4, 0.35],
    bend: 1.5,
  },
  glass: {
    base: 523,
    scale: [0, 2, 4, 6, 7, 9, 11],
    shape: 'sine',
    attack: 0.003,
    ring: 2.6,
    loud: 0.8,
    over: [2.76, 0.3],
  },
  reed: {
    base: 165,
    scale: [0, 2, 3, 5, 7, 9, 10],
    shape: 'sawtooth',
    attack: 0.04,
    ring: 1.3,
    loud: 0.75,
    soft: 1400,
  },
}

/** A note: its step of the scale, when and how long it sounds in s, and how loud. */
type Note = readonly [step: number, at: number, long: number, loud: number]
const TUNES: Record<SoundName, readonly Note[]> = {
  deal: [
    [-2, 0, 0.05, 0.05],
    [-1, 0.06, 0.05, 0.05],
    [0, 0.12, 0.05, 0.05],
  ],
  flip: [[7, 0, 0.05, 0.06]],
  match: [
    [7, 0, 0.14, 0.12],
    [11, 0.09, 0.2, 0.12],
  ],
  lucky: [
    [7, 0, 0.14, 0.12],
    [11, 0.08, 0.14, 0.12],
    [15, 0.16, 0.28, 0.1],
  ],
  streak: [
    [7, 0, 0.1, 0.1],
    [9, 0.07, 0.1, 0.11],
    [11, 0.14, 0.1, 0.12],
    [14, 0.21, 0.26, 0.12],
  ],
  miss: [[-1, 0, 0.16, 0.08]],
  lastSeconds: [[4, 0, 0.06, 0.07]],
  win: [
    [7, 0, 0.14, 0.12],
    [9, 0.11, 0.14, 0.12],
    [11, 0.22, 0.14, 0.12],
    [14, 0.33, 0.5, 0.12],
  ],
  loss: [
    [1, 0, 0.2, 0.12],
    [-2, 0.2, 0.45, 0.12],
  ],
}

/** The pitch of a step of a family's scale, in Hz. */
function pitchOf({ base, scale }: Voice, step: number): number {
  const octave = Math.floor(step / scale.length)
  return base * 2 ** (octave + scale[step - octave * scale.length]! / 12)
}

let context: AudioContext | null = null
/** Own sounds that are decoded, by their data URL. */
const ready = new Map<string, AudioBuffer>()
const pending = new Set<string>()

/** Decodes the own sounds of a level, one after the other and only while the page is idle. */
export function prepareSounds({ sound }: Sounds): void {
  if (!sound.on || typeof OfflineAudioContext === 'undefined') return
  const own = Object.values(sound).flatMap((heard) => (typeof heard === 'object' ? [heard.src] : []))
  const fresh = own.filter((src) => !pending.has(src))
  for (const src of fresh) pending.add(src)
  const later = (act: () => void): unknown =>
    typeof requestIdleCallback === 'undefined' ? setTimeout(act, 200) : requestIdleCallback(act)
  const next = (): void => {
    const src = fresh.shift()
    if (!src) return
    later(() => {
      void decode(src)
        .then((buffer) => ready.set(src, buffer))
        // what this browser cannot decode stays silent
        .catch(() => undefined)
        .finally(next)
    })
  }
  next()
}

/** An own sound from its data URL; rejects if the browser cannot decode it. */
function decode(src: string): Promise<AudioBuffer> {
  const letters = atob(src.slice(src.indexOf(',') + 1))
  const bytes = Uint8Array.from(letters, (letter) => letter.charCodeAt(0))
  return new OfflineAudioContext(1, 1, 44_100).decodeAudioData(bytes.buffer)
}

/** Plays a level's sound for a moment, an own one once it is decoded. Rejects if the browser cannot decode it. */
export async function hearSound(name: SoundName, { sound, volumes }: Sounds): Promise<void> {
  const heard = sound[momentOf(name)]
  if (typeof heard === 'object' && !ready.has(heard.src)) ready.set(heard.src, await decode(heard.src))
  playSound(name, { sound: { ...sound, on: true }, volumes })
}

/**
 * Plays a level's sound for a moment; does nothing if the browser has no audio or does not allow it yet. Out: whether
 * anything is heard.
 */
export function playSound(name: SoundName, { sound, volumes }: Sounds): boolean {
  const own = sound[momentOf(name)]
  const volume = (sound.volume / 100) * (volumes[momentOf(name)] / 100)
  if (own === 'none' || !sound.on || volume === 0) return false
  // before the first press a browser refuses to make a sound
  if (typeof AudioContext === 'undefined' || navigator.userActivation?.hasBeenActive === false) return false
  context ??= new AudioContext()
  if (context.state === 'suspended') void context.resume().catch(() => undefined)
  const out = context.createGain()
  out.gain.value = volume
  out.connect(context.destination)
  if (typeof own === 'object') return playOwn(context, own.src, out)
  const voice = VOICES[own === 'family' ? sound.family : own]
  for (const note of TUNES[name]) playNote(context, voice, note, out)
  return true
}

function playOwn(context: AudioContext, src: string, out: AudioNode): boolean {
  const buffer = ready.get(src)
  if (!buffer) return false
  const source = context.createBufferSource()
  source.buffer = buffer
  source.connect(out)
  source.start(0, 0, SOUND_LENGTH / 1000)
  return true
}

function playNote(context: AudioContext, voice: Voice, [step, at, long, loud]: Note, out: AudioNode): void {
  const start = context.currentTime + at
  const end = start + long * voice.ring
  const pitch = pitchOf(voice, step)
  let target = out
  if (voice.soft !== undefined) {
    const filter = context.createBiquadFilter()
    filter.type = 'lowpass'
    filter.frequency.value = voice.soft
    filter.connect(out)
    target = filter
  }
  for (const [times, share] of [[1, 1], ...(voice.over ? [voice.over] : [])] as const) {
    const tone = context.createOscillator()
    const volume = context.createGain()
    tone.type = voice.shape
    tone.frequency.setValueAtTime(pitch * times * (voice.bend ?? 1), start)
    tone.frequency.exponentialRampToValueAtTime(pitch * times, start + (end - start) / 3)
    volume.gain.setValueAtTime(0, start)
    volume.gain.linearRampToValueAtTime(loud * voice.loud * share, start + voice.attack)
    volume.gain.exponentialRampToValueAtTime(0.0005, Math.max(end, start + voice.attack + 0.02))
    tone.connect(volume).connect(target)
    tone.start(start)
    tone.stop(end + 0.05)
  }
}

/** The sound of an event, if it has one; a match that continues a streak has that of a streak, if the level has one. */
export function soundOf(event: Event, sound: Pick<Settings['sound'], 'streak'>): SoundName | null {
  switch (event.kind) {
    case 'flip':
    case 'miss':
      return event.kind
    case 'won':
      return 'win'
    case 'lost':
      return 'loss'
    case 'match':
      if (event.streak > 1 && sound.streak !== 'none') return 'streak'
      return event.how === 'lucky' ? 'lucky' : 'match'
    default:
      return null
  }
}
