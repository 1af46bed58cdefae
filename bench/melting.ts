import { fitBlockModel, planDial, plateauC, type DialPlanInput } from '@ivory-crystal/core/heating'
import { planTubeRuns, type TubeRunInput } from '@ivory-crystal/core/scheduling'
import { ms, ratio, rounds, type Row } from './table'

const MODEL = { ambientC: 22, gain: 19, exponent: 1.22, timeConstantMin: 8.5 }

/** The planners of the melting bench and the fit of a dial, against a bare pass over the same numbers. */
export function measureMelting(): Row[] {
  const traces = [2, 4, 6, 8].map((dial) => ({
    dial,
    samples: Array.from({ length: 3600 }, (_, s) => {
      const end = plateauC(MODEL, dial)
      const noise = 0.15 * Math.sin(s * 12.9898 * dial)
      return [s / 60, end + (22 - end) * Math.exp(-s / 60 / MODEL.timeConstantMin) + noise] as const
    }),
  }))
  const dialInput: DialPlanInput = {
    model: MODEL,
    dialStep: 0.25,
    dialMax: 10,
    startC: 22,
    expectedLowC: 94,
    expectedHighC: 96,
    leadC: 15,
    tailC: 8,
    minRate: 1,
    maxRate: 2,
    maxApproachRate: 20,
  }
  const fit = rounds(() => fitBlockModel(traces, 22))
  const once = rounds(() =>
    traces.reduce(
      (sum, { samples }) => sum + samples.reduce((s, [m, c]) => s + c * Math.exp(-m / 8.5), 0),
      0,
    ),
  )
  return [
    runs(10, 'aim 200 ms'),
    runs(12, 'aim 2 s'),
    { what: 'planDial', ours: ms(rounds(() => planDial(dialInput))), bare: '', ratio: '', aim: 'aim 20 ms' },
    {
      what: 'a dial fitted to 4 × 3,600 readings (bare: one pass with exp)',
      ours: ms(fit),
      bare: ms(once),
      ratio: ratio(fit, once),
      aim: 'aim 300 ms, in a worker',
    },
  ]
}

function runs(count: number, aim: string): Row {
  const input: TubeRunInput = {
    apparatus: {
      slots: 3,
      ambientC: 22,
      blockC: 22,
      fastCPerMin: 10,
      slowCPerMin: 1.5,
      coolTimeConstantMin: 12,
      loadMin: 2,
    },
    tubes: Array.from({ length: count }, (_, i) => {
      const low = 50 + ((i * 37) % 150)
      return { id: `tube ${i}`, expectedLowC: low, expectedHighC: low + 2, leadC: 15, tailC: 5 }
    }),
    keepTogether: [],
  }
  const proven = planTubeRuns(input).proven
  return {
    what: `${count} tubes put into runs, ${proven ? 'proven' : 'not proven'}`,
    ours: ms(rounds(() => planTubeRuns(input))),
    bare: '',
    ratio: '',
    aim,
  }
}
