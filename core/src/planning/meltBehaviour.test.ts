import { describe, expect, test } from '@jest/globals'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import type { SampleId } from '../ids'
import type { Line, RawEntry } from '../notebook/entry'
import { fold } from '../notebook/fold'
import { heatedAsItBehaves } from '../notebook/views/meltBehaviour'
import { SIMULATED_INSTRUMENTS } from '../instruments/shipped'
import type { Instrument } from '../instruments/instrument'
import { golden } from '../../golden/contract'
import { referenceCompound } from '../../golden/reference'
import { planMelt } from './meltPlan'
import { planTheMelt } from '../notebook/acts/melts'

const block = SIMULATED_INSTRUMENTS.find(({ id }) => id === 'programmable-block') as Instrument
const oilBath = SIMULATED_INSTRUMENTS.find(({ sort }) => sort === 'oil-bath tube') as Instrument
const idOf = (n: number) => `0a5a1c7e-0000-4000-8000-0000000009${n.toString(16).padStart(2, '0')}` as SampleId

/** A notebook with a crude, a product and a mixture of one compound. */
function notebookOf(id: string) {
  const compound = referenceCompound(id)
  const [first] = golden.entries as readonly [RawEntry, ...RawEntry[]]
  const named = (n: number, role: string, of: readonly SampleId[]): RawEntry => ({
    ...first,
    id: `019b0000-0000-7000-8000-0000000009${n.toString(16).padStart(2, '0')}` as RawEntry['id'],
    kind: 'sample named',
    v: 3,
    subject: idOf(n),
    body: {
      prep: null,
      role,
      label: `${role} of it`,
      compound: of.length > 0 ? null : compound,
      of,
    } satisfies Line<'sample named'>['body'] | object,
  })
  return fold([named(1, 'crude', []), named(2, 'product', []), named(3, 'mixture', [idOf(1), idOf(2)])])
}
const tubesOf = (...samples: readonly number[]) =>
  samples.map((n, i) => ({
    slot: i + 1,
    sample: idOf(n),
    label: `tube ${n}`,
    fillMm: 2,
    grain: 'fine' as const,
  }))
const planned = (id: string, samples: readonly number[], instrument = block) =>
  planMelt(notebookOf(id), {
    tubes: tubesOf(...samples),
    instrument,
    blockC: 22,
    conventions: DEFAULT_HOUSE_RULES,
    purpose: 'careful',
  })

describe('a melt is planned by what the solid does when it is hot', () => {
  test('what sublimes: a sealed tube, put in 10 °C below where it melts', () => {
    const { notes } = heatedAsItBehaves(notebookOf('camphor'), tubesOf(2), DEFAULT_HOUSE_RULES)
    expect(notes.join()).toMatch(
      /sublimes: seal the open end of the tube.*Put it in only at the planned start/,
    )
    const plan = planned('camphor', [2])
    if (!plan.ok) throw new Error(plan.problem.sentence)
    expect(referenceCompound('camphor').meltLowC - plan.value.window.startC).toBeCloseTo(10, 6)
  })
  test('what decomposes: put in late, 3 to 5 °C/min, the rate reported; beside its crude it is no different', () => {
    for (const samples of [[2], [1, 2], [3]]) {
      const plan = planned('acetylsalicylic-acid', samples)
      if (!plan.ok) throw new Error(plan.problem.sentence)
      const { startC, rateCPerMin, totalMin, stopC } = plan.value.window
      const below = referenceCompound('acetylsalicylic-acid').meltLowC - startC
      expect([below >= 10, below <= 15, rateCPerMin >= 3, rateCPerMin <= 5]).toEqual([true, true, true, true])
      // Not half an hour at 1 °C/min.
      expect((stopC - startC) / rateCPerMin).toBeLessThan(10)
      expect(totalMin).not.toBeNull()
    }
    const { notes } = heatedAsItBehaves(notebookOf('acetylsalicylic-acid'), tubesOf(3), DEFAULT_HOUSE_RULES)
    expect(notes.join()).toMatch(/decomposes as it melts: .*3 to 5 °C\/min .*report the rate/)
  })
  test('the rules it was heated by are kept with the melt, so that nobody is blamed for them afterwards', () => {
    const view = notebookOf('acetylsalicylic-acid')
    const plan = planned('acetylsalicylic-acid', [2])
    if (!plan.ok) throw new Error(plan.problem.sentence)
    const { line } = planTheMelt(() => idOf(9) as never, view, {
      prep: null,
      instrument: block,
      tubes: tubesOf(2),
      purpose: 'careful',
      heating: plan.value,
      conventions: DEFAULT_HOUSE_RULES,
      now: golden.nowMs,
    })
    expect(line.body.conventions.meltRate).toEqual({ min: 3, target: 4, max: 5 })
    expect(line.body.window.rateCPerMin).toBeLessThanOrEqual(line.body.conventions.meltRate.max)
  })
  test('an ordinary solid is heated by house rules alone', () => {
    expect(heatedAsItBehaves(notebookOf('benzil'), tubesOf(1, 2, 3), DEFAULT_HOUSE_RULES)).toEqual({
      conventions: DEFAULT_HOUSE_RULES,
      notes: [],
      decomposes: false,
    })
  })
  test('what melts above an instrument’s reach is not planned on it', () => {
    const plan = planned('phthalic-acid', [2], oilBath)
    expect([plan.ok, plan.ok ? '' : plan.problem.sentence]).toEqual([
      false,
      expect.stringContaining('Use another instrument'),
    ])
  })
})
