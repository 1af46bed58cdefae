import { createElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { fold, nextId, type RawEntry } from '@ivory-crystal/core/notebook'
import { advance } from '@ivory-crystal/core/simulator'
import {
  bestOrder,
  EXERCISES,
  forTubes,
  LENS_EXERCISES,
  meltExercise,
  nextUp,
  orderExercise,
  PRACTICE,
  progressOf,
  seeingOf,
  startMelt,
  yourEye,
} from '@ivory-crystal/core/practice'
import { referenceCompound } from '../core/golden/reference'
import { REFERENCE_COMPOUNDS } from '../core/src/reference/reference'
import { beyondFirstScreenKB } from '../scripts/build-parts.mjs'
import { PROJECT } from '../server/src/paths'
import { EyeDrawing } from '../web/src/drawings/EyeDrawing'
import { GOLDEN } from './screens'
import { ms, type Row } from './table'

const NOW = Date.UTC(2026, 10, 24, 14, 0)
const LINES = 10_000
const ROUNDS = 9
/** The screen asks for as much as this at 16 times real time: a fifth of a second of the learner’s, s of the block. */
const STEP_S = 4
const PLACES = ['Practice', 'Exercise'].map((name) => `src/places/practice/${name}.tsx`)
const PLAYERS = ['LensPlayer', 'OrderPlayer', 'VerdictPlayer'].map(
  (name) => `src/places/practice/players/${name}.tsx`,
)

function timed(work: () => unknown): number {
  const began = performance.now()
  work()
  return performance.now() - began
}

export function measurePractice(): Row[] {
  const beyond = beyondFirstScreenKB(PROJECT, PLACES)
  const withPlayers = beyondFirstScreenKB(PROJECT, [...PLACES, ...PLAYERS])
  const first = GOLDEN.entries[0] as RawEntry
  let last: string | null = null
  const lines = Array.from({ length: LINES }, (_, i): RawEntry => {
    const id: string = nextId(last, NOW - (LINES - i) * 600_000, new Uint8Array(8))
    last = id
    const exercise = EXERCISES[i % EXERCISES.length] ?? ''
    return {
      ...first,
      id,
      kind: 'practice done',
      v: 1,
      subject: PRACTICE,
      body: {
        exercise,
        seed: i,
        level: 1,
        isGood: i % 3 !== 0,
        share: (i % 10) / 10,
        tookS: 120,
        sentence: 'Both ends are as close as an eye can see.',
        tubes: LENS_EXERCISES.some((one) => one === exercise)
          ? [{ firstErrorC: (i % 21) / 10 - 1, allErrorC: (i % 11) / 10 - 0.5 }]
          : [],
        code: null,
        practical: null,
      },
    } as RawEntry
  })
  const seen = Array.from({ length: ROUNDS }, () =>
    timed(() => {
      const view = fold(lines)
      nextUp(progressOf(view), NOW, seeingOf(view, 0.35))
      return renderToStaticMarkup(
        createElement(EyeDrawing, { eye: yourEye(view), withinC: 0.35, label: 'Your eye' }),
      )
    }),
  )
  const compounds = forTubes(REFERENCE_COMPOUNDS.map(({ id }) => referenceCompound(id)))
  let state = startMelt(meltExercise('three at once', compounds, 11, 1))
  const steps = Array.from({ length: 200 }, () =>
    timed(() => {
      state = advance(state, [], STEP_S).state
    }),
  )
  const order = timed(() => bestOrder(orderExercise(1, 3)))
  const row = (what: string, ours: string, aim: string): Row => ({ what, ours, bare: '', ratio: '', aim })
  return [
    row('practice beyond the first screen, gzipped', `${beyond.toFixed(0)} kB`, 'at most 120 kB'),
    row('… with three of its players', `${withPlayers.toFixed(0)} kB`, 'at most 120 kB'),
    row(`worker step, three tubes, ${STEP_S} s of the block (16 ×, 0.2 s)`, ms(steps), 'under 4 ms'),
    row(`${LINES} practice lines folded, told and drawn`, ms(seen), 'under 100 ms'),
    row('the best order of two preps and two melts', ms([order]), 'beside the screen'),
  ]
}
