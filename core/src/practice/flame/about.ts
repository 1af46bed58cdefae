import type { ExerciseAbout } from '../exercise'

export const FLAME = {
  name: 'the flame',
  title: 'The flame',
  slug: 'the-flame',
  why: 'With oil and a glass thermometer nothing records the temperature for you. Press, read, and type; the app corrects it back to the press.',
  minutes: [3, 6],
  rule: 'both readings within half a division, at no more than 2.5 °C/min',
  isForPhone: false,
  played: 'flame',
} as const satisfies ExerciseAbout
