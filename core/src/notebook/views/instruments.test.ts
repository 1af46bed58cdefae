import { describe, expect, test } from '@jest/globals'
import { golden } from '../../../golden/contract'
import { DEFAULT_HOUSE_RULES, SCHOOLS } from '../../conventions/schools'
import { checksFor } from '../../heating/checks'
import { modelledC, rateCPerMin } from '../../heating/dial'
import type { EntryId, InstrumentId, MeltId, RunId, SampleId, SubjectId } from '../../ids'
import { dialCurve } from '../../planning/curves'
import { dialTurnsOf, mendingSetting, modelledNow, nextTurn } from '../../planning/dialTurns'
import { planMelt, unknownAmong } from '../../planning/meltPlan'
import { liveRate } from '../../planning/watching'
import { DIAL_BLOCK } from '../../instruments/characters'
import { simulatedTube } from '../../simulator/contents'
import { SIMULATED_INSTRUMENTS, wholeInstrument } from '../../instruments/shipped'
import type { Instrument } from '../../instruments/instrument'
import { nextId } from '../clock'
import type { Entry, RawEntry } from '../entry'
import { fold } from '../fold'
import { type Bodies, type Kind, KINDS } from '../kinds/list'
import type { MeltPlanned } from '../kinds/melt-planned/kind'
import {
  BENCH,
  calibrationFrom,
  calibrationOf,
  dialOf,
  heatingsOf,
  houseRulesOf,
  isOutsideLogged,
  standardsOf,
  turnsOf,
} from './instruments'
import { judgementOf } from './judgement'
import { dialFrom, heatingsInRuns, learnDial } from './learnDial'
import { meltOf } from './melt'
import { type PrepFacts, prepsOf } from './prep'
import { correctedRange, meltRangesOf, rangesOf } from './ranges'
import { repeatsOf } from './repeats'
import { expectedOf, samplesNamed } from './samples'
import { refusalOf } from '../../schemas'
import '../../../golden/older'

const whole = fold(golden.entries)
const [, benzil] = prepsOf(whole) as [PrepFacts, PrepFacts]
const instrument = (id: string) => SIMULATED_INSTRUMENTS.find((one) => one.id === id) as Instrument
const DIAL = 'dial-block' as InstrumentId
const MELT = '0a5a1c7e-0000-4000-8000-0000000000e1' as MeltId
const RUN = '0a5a1c7e-0000-4000-8000-0000000000e2' as RunId
const DAY_MS = 86_400_000
const START = golden.nowMs + 60_000

let made = 0
function line<K extends Kind>(kind: K, subject: SubjectId, body: Bodies[K], at = START): RawEntry {
  made += 1
  const { ledger, notebook } = golden.entries[0] as RawEntry
  const id = nextId(null, at + made, new Uint8Array([0, 0, 0, 0, 0, 0, made >> 8, made & 255]))
  const entry = {
    id,
    v: KINDS[kind].version,
    ledger,
    notebook,
    subject,
    kind,
    body,
    at,
    author: 'a',
    device: 'd',
  }
  expect(refusalOf(entry)).toBeNull()
  return entry
}
const reading = (text: string) => ({ text, value: Number(text) })
const strike = (target: RawEntry | Entry) =>
  line('struck', target.subject, { target: target.id, reason: 'typed wrongly' })

describe('who has a shared instrument', () => {
  test('the demo’s dial block is with bench 3, its earlier turn over', () => {
    expect(turnsOf(whole, DIAL, 3).map(({ who, state }) => [who, state])).toEqual([['bench 3', 'has it']])
  })
  test('slots go in order, and nobody overtakes one who waits for more of them', () => {
    const asked = (who: string, slots: number) => line('turn taken', DIAL, { who, slots })
    const [two, three, one] = [asked('bench 1', 2), asked('bench 2', 3), asked('bench 4', 1)]
    const states = (entries: RawEntry[]) =>
      turnsOf(fold(entries), DIAL, 3).map(({ who, state }) => `${who} ${state}`)
    expect(states([two, three, one])).toEqual(['bench 1 has it', 'bench 2 waits', 'bench 4 waits'])
    const over = line('turn ended', DIAL, { turn: two.id, glassCleared: true, switchedOff: false })
    expect(states([two, three, one, over])).toEqual(['bench 2 has it', 'bench 4 waits'])
    expect(states([two, three, one, strike(three)])).toEqual(['bench 1 has it', 'bench 4 has it'])
  })
})

describe('the learned dial', () => {
  test('the demo’s is near the simulated block’s own character, and knows its span', () => {
    const dial = dialOf(whole, DIAL)?.entry.body
    expect(dial?.span).toMatchObject({ leastDial: 3, mostDial: 8 })
    // The probe reads low and lower the hotter (1.4 %), which the fit takes as the block's.
    expect(Math.abs((dial?.model.gain ?? 0) / 19 - 1)).toBeLessThan(0.06)
    expect(Math.abs((dial?.model.timeConstantMin ?? 0) / 8.5 - 1)).toBeLessThan(0.06)
    expect(dial?.residualC).toBeLessThan(0.6)
    expect(isOutsideLogged(dial as never, 9, 100)).toBe(true)
    expect(isOutsideLogged(dial as never, 5, 300)).toBe(true)
    expect(isOutsideLogged(dial as never, 5, 100)).toBe(false)
  })
  test('goes stale when a heating is struck, and says so when more are logged', () => {
    const [first] = heatingsOf(whole, DIAL) as [Entry<'heating logged'>]
    expect(dialOf(fold([strike(first)], whole), DIAL)?.stale).toContain('was struck out. Fit the dial again')
    const more = line('heating logged', DIAL, { ...first.body, dial: 9 })
    expect(dialOf(fold([more], whole), DIAL)?.stale).toContain('logged since')
    expect(dialOf(whole, DIAL)?.stale).toBeNull()
  })
  test('learned again from the same heatings it is the same; from one setting it is refused', () => {
    const again = learnDial(whole, DIAL)
    expect(again.ok && again.value.model).toEqual(dialOf(whole, DIAL)?.entry.body.model)
    const one = dialFrom(heatingsOf(whole, DIAL).slice(0, 1))
    expect(one.ok ? '' : one.problem.sentence).toContain('two different settings')
    const none = learnDial(fold([]), DIAL)
    expect(none.ok ? '' : none.problem.sentence).toContain('No heating has been logged yet')
  })
})

describe('the calibrated thermometer', () => {
  const now = golden.nowMs
  test('corrects by the demo’s points: 92.0 read for 93.0 true', () => {
    const calibration = calibrationOf(whole, DIAL, now)?.entry.body
    expect(calibration?.points).toEqual([
      [0.4, 0],
      [92, 93],
      [150.8, 152.5],
    ])
    const corrected = correctedRange(calibration as never, reading('92.0'), reading('200.0'))
    expect(corrected.onsetC).toBeCloseTo(93, 9)
    expect(corrected.onsetCorrectionC).toBeCloseTo(1, 9)
    expect(corrected).toMatchObject({ extrapolated: true, clearCorrectionC: expect.closeTo(1.7, 9) })
  })
  test('by a straight line it tells its own error', () => {
    const line3 = calibrationFrom(standardsOf(whole, DIAL), 'straight line')
    const between = calibrationFrom(standardsOf(whole, DIAL), 'between the points')
    expect(line3.ok && line3.value.errorC).toBeGreaterThan(0)
    expect(between.ok && between.value.errorC).toBeGreaterThan(0)
    expect(line3.ok && line3.value.heating).toEqual({ rateCPerMin: 1, fillMm: 2, grain: 'fine' })
    const two = calibrationFrom(standardsOf(whole, DIAL).slice(0, 2), 'straight line')
    expect(two.ok ? '' : two.problem.sentence).toContain('three calibration points')
    const none = calibrationFrom([], 'straight line')
    expect(none.ok ? '' : none.problem.sentence).toContain('No standard has been read')
  })
  test('goes stale with age and when a standard is struck', () => {
    expect(calibrationOf(whole, DIAL, now)?.stale).toBeNull()
    expect(calibrationOf(whole, DIAL, now + 100 * DAY_MS)?.stale).toContain('100 days old')
    const [ice] = standardsOf(whole, DIAL) as [Entry<'standard read'>]
    expect(calibrationOf(fold([strike(ice)], whole), DIAL, now)?.stale).toContain('was struck')
    expect(calibrationOf(whole, 'hot-stage' as InstrumentId, now)).toBeNull()
  })
})

test('house rules are the set taken last, else the shelf’s first', () => {
  const [first, close] = SCHOOLS as [(typeof SCHOOLS)[number], (typeof SCHOOLS)[number]]
  expect(houseRulesOf(fold([]), SCHOOLS)).toBe(first)
  expect(houseRulesOf(fold([]), [])).toEqual(DEFAULT_HOUSE_RULES)
  const taken = line('rules taken', BENCH, { conventions: close })
  expect(houseRulesOf(fold([taken], whole), SCHOOLS).name).toBe('Close start')
})

// ── planning on each sort of instrument ─────────────────────────────────────────────────────────
const productOf = (role: string) => benzil.samples.find((sample) => sample.role === role)?.id as SampleId
const tube = (sample: SampleId, slot = 1) => ({
  slot,
  sample,
  label: 'tube',
  fillMm: 2,
  grain: 'fine' as const,
})
const wish = (id: string, samples: SampleId[], change: object = {}) => ({
  tubes: samples.map((sample, i) => tube(sample, i + 1)),
  instrument: instrument(id),
  blockC: 22,
  conventions: DEFAULT_HOUSE_RULES,
  purpose: 'careful' as const,
  ...change,
})
const planned = (...args: Parameters<typeof wish>) => {
  const meltPlan = planMelt(whole, wish(...args))
  if (!meltPlan.ok) throw new Error(meltPlan.problem.sentence)
  return meltPlan.value
}

describe('a melt planned', () => {
  test('by the dial that was learned', () => {
    const { heating, window } = planned('dial-block', [productOf('product')])
    expect(heating.by).toBe('dial')
    if (heating.by !== 'dial') return
    expect(window).toMatchObject({ startC: 79, watchFromC: 89, stopC: 104, rateCPerMin: 1 })
    expect(window.totalMin).toBe(heating.plan.totalMin)
    expect(dialCurve(heating).at(-1)?.[1]).toBeCloseTo(104, 0)
  })
  test('by hand where nothing was learned, and it says so', () => {
    const { heating, window } = planned('oil-bath-tube', [productOf('product')], { blockC: 120 })
    expect(heating).toMatchObject({ by: 'hand' })
    expect(heating.by === 'hand' && heating.warnings.join()).toContain(
      'this flame does has not been measured',
    )
    expect(heating.by === 'hand' && heating.warnings.join()).toContain('120 °C, above the start')
    expect(window.watchFromMin).toBeNull()
  })
  test('a crude of a known impurity pulls the dial’s window down too', () => {
    const { window } = planned('dial-block', [productOf('crude'), productOf('product')])
    const first = expectedOf(whole, productOf('crude'))?.firstLiquidFromC as number
    expect(window.startC).toBeCloseTo(first - 5, 9)
    expect(window.watchFromC).toBeGreaterThanOrEqual(window.startC)
  })
  test('with a dial the eye is asked for when the plan comes to the window, not when its slow part begins', () => {
    const plan = planMelt(whole, wish('dial-block', [productOf('product')]))
    if (!plan.ok || plan.value.heating.by !== 'dial') throw new Error('The demo has learned this dial.')
    const { window, heating } = plan.value
    const { input, plan: dial } = heating
    expect(window.watchFromMin).toBeGreaterThan(dial.watchFromMin + 1)
    expect(modelledC(input.model, input.startC, dial.steps, window.watchFromMin ?? NaN)).toBeCloseTo(
      window.watchFromC,
      3,
    )
  })
  test('an unknown wants a scouting run first; from its result the careful one is planned', () => {
    const unknown = '0a5a1c7e-0000-4000-8000-0000000000e5' as SampleId
    const named = line('sample named', unknown, {
      prep: null,
      role: 'unknown',
      label: 'K-14',
      compound: null,
      of: [],
    })
    const view = fold([named], whole)
    const careful = planMelt(view, wish('programmable-block', [unknown]))
    expect(careful.ok ? '' : careful.problem.sentence).toContain('Do a scouting run first')
    expect(unknownAmong(view, [unknown, productOf('product')])).toEqual([unknown])
    const scouting = planMelt(view, wish('programmable-block', [unknown], { purpose: 'scouting' }))
    if (!scouting.ok) throw new Error(scouting.problem.sentence)
    expect(scouting.value.window).toMatchObject({ rateCPerMin: 10, startC: 40, stopC: 290 })
    const scouted = fold(
      melted(scouting.value, 'programmable-block', [unknown], 'scouting', [
        ['first liquid', 1, 100, '93.0'],
        ['all liquid', 1, 130, '97.0'],
      ]),
      view,
    )
    expect(expectedOf(scouted, unknown)).toMatchObject({ lowC: 93, highC: 97, source: 'a scouting run' })
    const then = planMelt(scouted, wish('programmable-block', [unknown]))
    expect(then.ok && then.value.window).toMatchObject({ startC: 78, stopC: 105 })
  })
  test('no tube, no plan', () => {
    const none = planMelt(whole, wish('programmable-block', []))
    expect(none.ok ? '' : none.problem.sentence).toContain('at least one slot')
  })
})

function melted(
  plan: Pick<MeltPlanned, 'literature' | 'window' | 'heating'>,
  id: string,
  samples: SampleId[],
  purpose: MeltPlanned['purpose'],
  marks: [Bodies['mark made']['moment'], number, number, string | null][],
  change: Partial<MeltPlanned> = {},
  subject = MELT,
  run = RUN,
): RawEntry[] {
  return [
    line('melt planned', subject, {
      prep: null,
      instrument: id as InstrumentId,
      instrumentName: id,
      purpose,
      tubes: samples.map((sample, i) => tube(sample, i + 1)),
      calibration: null,
      conventions: DEFAULT_HOUSE_RULES,
      coreVersion: '1',
      restsOn: [],
      ...plan,
      ...change,
    }),
    line('run started', subject, {
      run,
      instrument: id as InstrumentId,
      feed: 'by hand',
      simulation: null,
      blockC: 22,
      recorded: marks.every(([, , , text]) => text !== null),
    }),
    ...marks.map(([moment, slot, pressedAtS, text]) =>
      line('mark made', subject, {
        run,
        slot,
        moment,
        pressedAtS,
        lastSample: Math.floor(pressedAtS),
        lastProbe: text === null ? null : reading(text),
        from: 'key',
      }),
    ),
  ]
}

describe('a thermometer read by eye', () => {
  const byHand = planned('oil-bath-tube', [productOf('product')])
  const lines = melted(byHand, 'oil-bath-tube', [productOf('product')], 'careful', [
    ['first liquid', 1, 600, null],
    ['all liquid', 1, 660, null],
  ])
  const [first, all] = lines.filter(({ kind }) => kind === 'mark made') as [RawEntry, RawEntry]
  const typed = (text: string, atS: number, mark: EntryId | null = null) =>
    line('temperature typed', MELT, { run: RUN, temperature: reading(text), atS, mark })
  const passing = [480, 540, 600].map((atS, i) => typed((92 + 1.5 * i).toFixed(1), atS))
  const row = (extra: RawEntry[]) => {
    const view = fold([...lines, ...extra], whole)
    return { view, row: meltRangesOf(view, meltOf(view, MELT) as never)[0] }
  }
  test('gives a mark no temperature until it is typed', () => {
    const { row: waiting } = row([])
    expect(waiting).toMatchObject({ onset: null, clear: null })
    expect(waiting?.trouble).toContain('has not been typed yet')
  })
  test('a reading typed 12 s late at 1.5 °C/min is taken back by 0.3 °C', () => {
    const { view, row: readRow } = row([...passing, typed('95.5', 612, first.id), typed('96.8', 668, all.id)])
    expect(readRow?.onset).toEqual({ text: '95.2', value: 95.2 })
    const mark = meltOf(view, MELT)?.marks.find(({ entry }) => entry.id === first.id)
    expect(mark?.typed).toEqual({ reading: reading('95.5'), lateS: 12, doubt: null })
    // 8 s late at about 1.35 °C/min between the last two minutes' readings.
    expect(Math.abs((readRow?.clear?.value ?? 0) - 96.6)).toBeLessThanOrEqual(0.1)
    expect(readRow?.trouble).toBeNull()
    expect(readRow?.rateMeasured).toBe(true)
    expect(Math.abs((readRow?.rateCPerMin ?? 0) - 1.5)).toBeLessThan(0.3)
    const shown = liveRate(view, meltOf(view, MELT) as never, [])
    expect(shown?.rateCPerMin).toBeGreaterThan(1)
    // Read by eye, a minute or so apart: a good part of a degree a minute.
    expect(shown?.withinCPerMin).toBeGreaterThan(0.05)
  })
  test('with one reading before it the rate is from that to the one typed, not the plan’s', () => {
    // 10 °C in two minutes: half a minute late is 2.5 °C, at the planned 1 °C/min it would be half a degree.
    const { row: readRow } = row([typed('85.0', 510), typed('95.0', 630, first.id)])
    expect(readRow?.onset?.value).toBeCloseTo(92.5, 9)
    // Nothing before it, or nothing that can be of the same heating: the plan has to do.
    for (const before of [[], [typed('180.0', 510)], [typed('9.0', 510)], [typed('90.0', 598)]]) {
      const onset = row([...before, typed('95.0', 620, first.id)]).row?.onset?.value
      expect(onset).toBeCloseTo(94.7, 6)
    }
  })
  test('the reading typed counts for the rate wherever in its second it was typed', () => {
    const onset = (atS: number) =>
      row([typed('85.0', 500), typed('86.0', 560), typed('96.0', atS, first.id)]).row?.onset?.value ?? NaN
    // 16 °C/min or so between the last two: the same to a tenth, half a second earlier or later.
    expect(Math.abs(onset(620.4) - onset(620.6))).toBeLessThanOrEqual(0.2)
  })
  test('a reading struck leaves the mark waiting again', () => {
    const late = typed('95.5', 612, first.id)
    expect(row([...passing, late, strike(late)]).row?.onset).toBeNull()
  })
  test('one typed with fewer digits stays at its digits', () => {
    expect(row([...passing, typed('95', 612, first.id)]).row?.onset).toEqual({ text: '95', value: 95 })
  })
})

describe('ranges told', () => {
  const plan = planned('dial-block', [productOf('product'), productOf('crude')])
  const calibrated = calibrationOf(whole, DIAL, golden.nowMs)?.entry as Entry<'thermometer calibrated'>
  const calibration = { ...calibrated.body, entry: calibrated.id, at: calibrated.at }
  const { coreVersion: _, restsOn: __, ...bare } = calibration
  const samples = [productOf('product'), productOf('crude')]
  const marks: Parameters<typeof melted>[4] = [
    ['first liquid', 1, 600, '93.6'],
    ['all liquid', 1, 660, '94.8'],
    ['first liquid', 2, 300, '80.1'],
  ]
  const lines = melted(plan, 'dial-block', samples, 'careful', marks, { calibration: bare })
  test('corrected by the calibration of their run, the raw kept beside', () => {
    const view = fold(lines, whole)
    const row = rangesOf(view, benzil.id).find(({ melt, slot }) => melt === MELT && slot === 1)
    expect(row?.onset?.text).toBe('93.6')
    // 93.6 lies 1.6 of 58.8 past 92.0: correction 1 + 0.7·1.6/58.8 = 1.019, so 94.619; the digits read are tenths.
    expect(row?.corrected?.onsetC).toBe(94.6)
    expect(row?.corrected?.onsetCorrectionC).toBeCloseTo(1 + (0.7 * 1.6) / 58.8, 9)
    expect(row?.restsOn).toContain(calibrated.id)
    const judged = judgementOf(view, benzil.id)
    expect(judged.ok && judged.value.evidence?.reading.onsetC).toBeCloseTo(row?.corrected?.onsetC ?? 0, 9)
    expect(judged.ok && judged.value.evidence?.thermometer.state).toBe('checked in place at this rate')
  })
  test('a tube given up has a reason, and no number is asked of it', () => {
    const up = line('range given up', MELT, { run: RUN, slot: 2, reason: 'the clear point was missed' })
    const ended = line('run ended', MELT, { run: RUN, atS: 700 })
    const view = fold([...lines, up, ended], whole)
    const row = meltRangesOf(view, meltOf(view, MELT) as never)[1]
    expect(row?.trouble).toBe('No range: the clear point was missed.')
  })
  test('a range off the light stands where nobody marked, and gives way to marks', () => {
    const found = line('melt detected', MELT, {
      run: RUN,
      slot: 2,
      onsetC: 81.2,
      clearC: 92.4,
      shares: { onsetAt: 0.05, clearAt: 0.95 },
      decimals: 1,
      light: [],
      rateCPerMin: 1.2,
    })
    const unmarked = fold([...lines.slice(0, 4), found], whole)
    expect(meltRangesOf(unmarked, meltOf(unmarked, MELT) as never)[1]).toMatchObject({
      by: 'light',
      onset: { text: '81.2' },
      clear: { text: '92.4' },
      rateCPerMin: 1.2,
      trouble: null,
    })
    const marked = fold([...lines, found], whole)
    expect(meltRangesOf(marked, meltOf(marked, MELT) as never)[1]).toMatchObject({ by: 'eye', clear: null })
  })
  test('marks the instrument kept itself are copied as they are', () => {
    const copied = (moment: 'first liquid' | 'all liquid', text: string) =>
      line('mark made', MELT, {
        run: RUN,
        slot: 2,
        moment,
        pressedAtS: 0,
        lastSample: 0,
        lastProbe: reading(text),
        from: 'instrument',
      })
    const view = fold(
      [...lines.slice(0, 4), copied('first liquid', '81.0'), copied('all liquid', '92.0')],
      whole,
    )
    expect(meltRangesOf(view, meltOf(view, MELT) as never)[1]).toMatchObject({
      by: 'the instrument',
      onset: { text: '81.0' },
      clear: { text: '92.0' },
    })
  })
  test('notes of a tube and checks before the start are told', () => {
    const noted = line('tube noted', MELT, { run: RUN, slot: 1, note: 'slush', atS: 630 })
    const check = line('check made', MELT, { check: 'sealed-ends' })
    const view = fold([...lines, noted, check], whole)
    const melt = meltOf(view, MELT)
    expect(meltRangesOf(view, melt as never)[0]?.notes).toEqual(['slush'])
    expect(melt?.checks).toEqual(new Set(['sealed-ends']))
  })
})

describe('repeats', () => {
  const product = productOf('product')
  const plan = planned('programmable-block', [product])
  const run = (n: number, rate: number, onset: string, clear: string) =>
    melted(
      { ...plan, window: { ...plan.window, rateCPerMin: rate } },
      'programmable-block',
      [product],
      'careful',
      [
        ['first liquid', 1, 600, onset],
        ['all liquid', 1, 660, clear],
      ],
      {},
      `0a5a1c7e-0000-4000-8000-0000000001e${n}` as MeltId,
      `0a5a1c7e-0000-4000-8000-0000000002e${n}` as RunId,
    )
  const rowsOf = (...runs: RawEntry[][]) => {
    const named = golden.entries.filter(({ kind }) => kind === 'sample named' || kind === 'prep opened')
    return rangesOf(fold([...named, ...runs.flat()]), benzil.id)
  }
  test('mean and spread of one sample, by hand', () => {
    const [repeats] = repeatsOf(rowsOf(run(1, 1, '94.0', '95.0'), run(2, 1, '94.6', '95.4')))
    expect(repeats).toMatchObject({ count: 2, repeats: true, zeroRate: null })
    expect(repeats?.mean.onsetC).toBeCloseTo(94.3, 9)
    expect(repeats?.mean.clearC).toBeCloseTo(95.2, 9)
    expect(repeats?.spreadC.onset).toBeCloseTo(0.6, 9)
  })
  test('runs at different rates are looked back to zero by a straight line', () => {
    const [repeats] = repeatsOf(rowsOf(run(1, 1, '94.2', '95.2'), run(2, 2, '94.4', '95.9')))
    expect(repeats?.zeroRate?.onsetC).toBeCloseTo(94, 9)
    expect(repeats?.zeroRate?.clearC).toBeCloseTo(94.5, 9)
    expect(repeatsOf(rowsOf(run(1, 1, '94.0', '95.0'), run(2, 1, '96.0', '97.0')))[0]?.repeats).toBe(false)
    expect(repeatsOf(rowsOf(run(1, 1, '94.0', '95.0')))).toEqual([])
  })
})

describe('the dial while it runs', () => {
  const product = productOf('product')
  const plan = planned('dial-block', [product])
  const turn = (setting: number, atS: number) =>
    line('run command', MELT, { run: RUN, atS, command: { kind: 'dial', setting } })
  const begun = melted(plan, 'dial-block', [product], 'careful', [])
  const at = (extra: RawEntry[]) => {
    const view = fold([...begun, ...extra], whole)
    return meltOf(view, MELT) as NonNullable<ReturnType<typeof meltOf>>
  }
  test('the first turn is due at once, the next when the block is there', () => {
    const melt = at([])
    const [one, two] = dialTurnsOf(melt)
    expect(nextTurn(melt, 22, 0, null)).toMatchObject({ dial: one?.dial, dueInMin: 0 })
    const turned = at([turn(one?.dial ?? 0, 0)])
    const toGo = nextTurn(turned, (two?.atC ?? 0) - 5, 60, 10)
    expect(toGo).toMatchObject({ dial: two?.dial })
    expect(toGo?.dueInMin).toBeCloseTo(0.5, 9)
    expect(nextTurn(turned, (two?.atC ?? 0) + 1, 60, 10)?.dueInMin).toBe(0)
  })
  test('no turn is left when all were made', () => {
    const all = dialTurnsOf(at([])).map(({ dial, atMin }) => turn(dial, Math.round(atMin * 60)))
    expect(nextTurn(at(all), 100, 2000, 1)).toBeNull()
  })
  test('the setting that mends too fast a rate is one of the dial’s, and not too fast itself', () => {
    const model = plan.heating.by === 'dial' ? plan.heating.input.model : null
    const setting = mendingSetting(at([]), 95) ?? NaN
    expect(Math.abs(setting / 0.25 - Math.round(setting / 0.25))).toBeLessThan(1e-9)
    expect(rateCPerMin(model as never, setting, 95)).toBeLessThanOrEqual(1)
    expect(rateCPerMin(model as never, setting + 0.25, 95)).toBeGreaterThan(1)
  })
  test('where the block should be follows the turns really made', () => {
    const model = plan.heating.by === 'dial' ? plan.heating.input.model : null
    const plateau = 22 + (model?.gain ?? 0) * 6 ** (model?.exponent ?? 0)
    const wanted = plateau + (22 - plateau) * Math.exp(-5 / (model?.timeConstantMin ?? 1))
    expect(modelledNow(at([turn(6, 0)]), 300)).toBeCloseTo(wanted, 6)
    expect(modelledNow(at([]), 300)).toBeCloseTo(22, 9)
  })
})

describe('heatings that runs hold anyway', () => {
  const product = productOf('product')
  const plan = planned('dial-block', [product])
  const turn = (setting: number, atS: number) =>
    line('run command', MELT, { run: RUN, atS, command: { kind: 'dial', setting } })
  const trace = (firstSample: number) =>
    line('trace', MELT, {
      run: RUN,
      firstSample,
      decimals: 1,
      probeC: Array.from({ length: 60 }, (_, i) => 22 + (firstSample + i) / 20),
      light: null,
    })
  const ran = [
    ...melted(plan, 'dial-block', [product], 'careful', []),
    ...Array.from({ length: 15 }, (_, i) => trace(60 * i + 1)),
    turn(6, 0),
    turn(3, 200),
    turn(0, 800),
  ]
  test('a stretch of five minutes with the dial left alone, less what the heater still held', () => {
    const ended = line('run ended', MELT, { run: RUN, atS: 900 })
    const found = heatingsInRuns(fold([...ran, ended], whole), DIAL)
    expect(found).toHaveLength(1)
    expect(found[0]).toMatchObject({ dial: 3, from: 'run', ambientC: 22 })
    // From 290 s to 800 s, every ten.
    expect(found[0]?.samples).toHaveLength(52)
    expect(found[0]?.samples[0]).toEqual([1.5, 22 + 290 / 20])
    const logged = line('heating logged', DIAL, found[0] as Bodies['heating logged'])
    expect(heatingsInRuns(fold([...ran, ended, logged], whole), DIAL)).toEqual([])
  })
  test('none while the run is on, none of a thermometer read by eye', () => {
    expect(heatingsInRuns(fold(ran, whole), DIAL)).toEqual([])
    expect(heatingsInRuns(whole, 'oil-bath-tube' as InstrumentId)).toEqual([])
  })
})

describe('before the start', () => {
  const window = { startC: 79, stopC: 104 }
  const checkState = (id: string, blockC: number | null, over = window) =>
    Object.fromEntries(checksFor(instrument(id), over, blockC).map((check) => [check.id, check]))
  test('what the app can tell is told: scale, reach, a block still hot', () => {
    const fine = checkState('dial-block', 30)
    expect(fine['scale-covers-the-range']?.state).toBe('fine')
    expect(fine['block-is-cool']?.state).toBe('fine')
    const hot = checkState('dial-block', 150)
    // 8.5·ln(128/57) = 6.9 min.
    expect(hot['block-is-cool']).toMatchObject({ state: 'trouble' })
    expect(hot['block-is-cool']?.sentence).toContain('about 7 min from the start of 79 °C')
    const beyond = checkState('oil-bath-tube', 22, { startC: 230, stopC: 245 })
    expect(beyond['scale-covers-the-range']?.sentence).toContain('ends at 250 °C; 255 °C is wanted')
    expect(beyond['instrument-reaches']?.state).toBe('trouble')
    expect(checkState('dial-block', null)['block-is-cool']?.state).toBe('ask')
  })
  test('the rest is asked: the switch, the glass thermometer, the oil first', () => {
    expect(checkState('dial-block', 22)['high-range-switch']).toBeUndefined()
    expect(checkState('dial-block', 22, { startC: 210, stopC: 240 })['high-range-switch']?.state).toBe('ask')
    const oil = checksFor(instrument('oil-bath-tube'), window, 22).map(({ id }) => id)
    expect(oil.indexOf('oil-label-read')).toBeLessThan(oil.indexOf('flame-at-the-arm'))
    expect(oil).toContain('thermometer-seated')
    expect(checkState('hot-stage', 22)['sealed-ends']?.sentence).toContain('cover slip')
  })
})

describe('samples, real and simulated', () => {
  test('authentic ones and mixtures are named with what they are', () => {
    const authentic = samplesNamed(whole).find(({ role }) => role === 'authentic')
    expect(authentic?.compound?.name).toBe('benzil')
    expect(expectedOf(whole, authentic?.id as SampleId)).toMatchObject({ firstLiquidFromC: null })
    const mixture = '0a5a1c7e-0000-4000-8000-0000000000e7' as SampleId
    const glutaric = '0a5a1c7e-0000-4000-8000-0000000000e8' as SampleId
    const [adipic] = prepsOf(whole) as [PrepFacts]
    const other = { ...adipic.opened.body.compound }
    const view = fold(
      [
        line('sample named', glutaric, {
          prep: null,
          role: 'authentic',
          label: 'other',
          compound: other,
          of: [],
        }),
        line('sample named', mixture, {
          prep: null,
          role: 'mixture',
          label: 'both',
          compound: null,
          of: [authentic?.id as SampleId, glutaric],
        }),
      ],
      whole,
    )
    const mixed = expectedOf(view, mixture)
    expect(mixed?.firstLiquidFromC).toBeLessThan(mixed?.lowC ?? 0)
    expect(mixed).toMatchObject({ lowC: 94, source: 'of its parts' })
    const held = simulatedTube(view, mixture, 1, () => null)
    expect(held?.b?.meltingPointC).toBeGreaterThan(140)
    // Equal masses of 210.23 and 146.14 g/mol.
    expect(held?.moleFractionA).toBeCloseTo(1 / 210.23 / (1 / 210.23 + 1 / 146.14), 3)
  })
  test('two of one compound thin their impurity; one nobody named holds nothing', () => {
    const mixture = '0a5a1c7e-0000-4000-8000-0000000000e9' as SampleId
    const authentic = samplesNamed(whole).find(({ role }) => role === 'authentic')?.id as SampleId
    const view = fold(
      [
        line('sample named', mixture, {
          prep: null,
          role: 'mixture',
          label: 'mixed',
          compound: null,
          of: [productOf('crude'), authentic],
        }),
      ],
      whole,
    )
    const crude = simulatedTube(view, productOf('crude'), 1, () => null)
    expect(1 - (simulatedTube(view, mixture, 1, () => null)?.moleFractionA ?? 0)).toBeCloseTo(
      (1 - (crude?.moleFractionA ?? 0)) / 2,
      9,
    )
    expect(simulatedTube(view, 'nobody' as SampleId, 1, () => null)).toBeNull()
    expect(expectedOf(view, 'nobody' as SampleId)).toBeNull()
  })
  test('an instrument the first version put on the shelf is made whole', () => {
    const { control: _, dial: __, heaterMass: ___, ...old } = instrument('programmable-block').character
    const whole1 = wholeInstrument({
      id: 'x',
      name: 'X',
      sort: 'programmable block',
      simulated: true,
      character: old,
    })
    expect(whole1.character).toMatchObject({ control: 'program', dial: null, heaterMass: 0.15 })
    expect(whole1.thermometer.highC).toBe(350)
    expect(DIAL_BLOCK.dial?.max).toBe(10)
  })
})
