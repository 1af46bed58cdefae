import type { Moment } from '@ivory-crystal/core/notebook'

/** What calls the watcher: the window opens, a turn of the dial is due, the thermometer wants to be read, a clock is over. */
export type Call = 'window' | 'turn' | 'read' | 'over'

const PITCH: Readonly<Record<Moment | Call, readonly number[]>> = {
  'early sign': [520],
  'first liquid': [660],
  'all liquid': [880],
  window: [440, 660, 440],
  turn: [330, 330],
  read: [392],
  over: [523, 659, 784],
}
let context: AudioContext | null = null

/** A short sound, different for each row of the pad; three notes when the window opens. */
export function sound(which: Moment | Call): void {
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
