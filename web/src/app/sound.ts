import type { CallSound, CoolSignal, HeatSignal } from '@logged-thermal/core'
import type { Loudness } from './tablet'

/** What a tablet sounds: on the heat, as a walk falls due, as a batch can still be saved, as what waited is ready. */
export type Signal = HeatSignal | CoolSignal | CallSound

/** Tones of our own: hertz, seconds from the start, seconds long. Each signal is told by its shape, not by its pitch alone. */
const TONES: Record<Signal, [hertz: number, from: number, long: number][]> = {
  floor: [
    [587, 0, 0.22],
    [880, 0.2, 0.4],
  ],
  again: [
    [880, 0, 0.14],
    [880, 0.24, 0.14],
  ],
  there: [
    [740, 0, 0.3],
    [587, 0.3, 0.3],
    [740, 0.6, 0.5],
  ],
  proven: [
    [587, 0, 0.16],
    [740, 0.14, 0.16],
    [988, 0.28, 0.5],
  ],
  round: [
    [494, 0, 0.3],
    [494, 0.42, 0.3],
  ],
  ready: [
    [659, 0, 0.2],
    [784, 0.22, 0.5],
  ],
  rescue: [
    [740, 0, 0.16],
    [554, 0.2, 0.16],
    [740, 0.4, 0.16],
    [554, 0.6, 0.4],
  ],
  ceiling: [
    [392, 0, 0.2],
    [392, 0.3, 0.2],
    [392, 0.6, 0.34],
  ],
}

const GAIN: Record<Loudness, number> = { off: 0, soft: 0.12, firm: 0.5 }

let context: AudioContext | null = null

/** Sounds a signal; nothing where the tablet is muted or has no sound. A browser stays silent until it was touched once. */
export function sound(signal: Signal, loudness: Loudness): void {
  if (loudness === 'off' || typeof AudioContext === 'undefined') return
  context ??= new AudioContext()
  void context.resume()
  for (const [hertz, from, long] of TONES[signal])
    tone(context, hertz, context.currentTime + from, long, GAIN[loudness])
}

function tone(audio: AudioContext, hertz: number, at: number, long: number, loud: number): void {
  const oscillator = audio.createOscillator()
  const gain = audio.createGain()
  oscillator.type = 'triangle'
  oscillator.frequency.value = hertz
  gain.gain.setValueAtTime(0, at)
  gain.gain.linearRampToValueAtTime(loud, at + 0.015)
  gain.gain.exponentialRampToValueAtTime(0.0001, at + long)
  oscillator.connect(gain).connect(audio.destination)
  oscillator.start(at)
  oscillator.stop(at + long)
}
