import type { Moment } from '@ivory-crystal/core'

const PITCH: Readonly<Record<Moment | 'window', readonly number[]>> = {
  'early sign': [520],
  'first liquid': [660],
  'all liquid': [880],
  window: [440, 660, 440],
}
let context: AudioContext | null = null

/** A short sound, different for each row of the pad; three notes when the window opens. */
export function sound(which: Moment | 'window'): void {
  if (typeof AudioContext === 'undefined') return
  context ??= new AudioContext()
  const audio = context
  PITCH[which].forEach((hertz, i) => {
    const start = audio.currentTime + i * 0.16
    const tone = audio.createOscillator()
    const gain = audio.createGain()
    tone.frequency.value = hertz
    gain.gain.setValueAtTime(0.12, start)
    gain.gain.exponentialRampToValueAtTime(0.001, start + 0.14)
    tone.connect(gain).connect(audio.destination)
    tone.start(start)
    tone.stop(start + 0.15)
  })
}
