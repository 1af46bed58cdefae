import { describe, expect, test } from '@jest/globals'
import { golden } from '../../../golden/contract'
import { referenceCompound, referenceSolvent } from '../../../golden/reference'
import type { PrepId, SampleId } from '../../ids'
import type { Compound, Solvent } from '../../substances/shelf'
import { planCrystallization } from '../../solubility/planCrystallization'
import { withVolumeML } from '../../solubility/volume'
import { nextId } from '../clock'
import type { Entry, RawEntry } from '../entry'
import { fold } from '../fold'
import { type About, type Bodies, type Kind, KINDS } from '../kinds/list'
import type { SampleRole } from '../kinds/sample-named/kind'
import { accountOf } from './account'
import { discardQuestion, odditiesOf, ownWordsOf } from './causes'
import { crudeAssayOf } from './crudeAssay'
import { dissolvingOf, pipetteOf } from './dissolving'
import { drynessOf } from './dryness'
import { hydrateOf } from './hydrate'
import { judgementOf } from './judgement'
import { lossesOf } from './losses'
import { type PrepFacts, prepOf, prepsOf, solventSoFarML } from './prep'
import { splitInText } from './residueSplit'
import { trialsOf } from './trials'
import '../../../golden/older'

const whole = fold(golden.entries)
const [adipic, benzil] = prepsOf(whole) as [PrepFacts, PrepFacts]
const planLine = golden.entries.find(({ kind }) => kind === 'plan fixed') as Entry<'plan fixed'>
const opened = golden.entries.find(({ kind }) => kind === 'prep opened') as Entry<'prep opened'>

const PREP = '0a5a1c7e-0000-4000-8000-0000000000d1' as PrepId
const START = 1_800_000_000_000
let made = 0
function line<K extends Kind>(kind: K, subject: string, body: Bodies[K], minutes = 0): Entry<K> {
  made += 1
  const at = START + minutes * 60_000 + made
  const { ledger, notebook } = golden.entries[0] as RawEntry
  const id = nextId(null, at, new Uint8Array([0, 0, 0, 0, 0, 0, made >> 8, made & 255]))
  const v = KINDS[kind].version
  return { id, v, ledger, notebook, subject: subject as About[K], kind, body, at, author: 'a', device: 'd' }
}
const reading = (text: string) => ({ text, value: Number(text) })
const idOf = (role: SampleRole) =>
  `0a5a1c7e-0000-4000-8000-0000000000${role === 'crude' ? 'd2' : role === 'product' ? 'd3' : role === 'residue' ? 'd4' : role === 'grit' ? 'd5' : 'd6'}` as SampleId
const weighed = (role: SampleRole, text: string, minutes = 0, readabilityG = 0.001) =>
  line('weighed', idOf(role), { method: 'tared', net: reading(text), readabilityG, from: 'typed' }, minutes)
const named = (role: SampleRole) =>
  line('sample named', idOf(role), { prep: PREP, role, label: role, compound: null, of: [] })
const plan = (change: Partial<Bodies['plan fixed']> = {}) =>
  line('plan fixed', PREP, { ...planLine.body, ...change })
const portion = (text: string, use: Bodies['solvent added']['use'] = 'dissolve') =>
  line('solvent added', PREP, { volume: reading(text), drops: null, use, hot: use !== 'rinse' })
const BEGUN = [
  line('prep opened', PREP, opened.body),
  ...(['crude', 'product', 'residue', 'grit', 'second crop'] as const).map(named),
]
const viewOf = (...lines: RawEntry[]) => fold([...BEGUN, ...lines])
const prepIn = (view: ReturnType<typeof fold>) => prepOf(view, PREP) as PrepFacts
function accountIn(view: ReturnType<typeof fold>) {
  const account = accountOf(view, PREP)
  if (!account.ok) throw new Error(account.problem.sentence)
  return account.value
}

describe('the account', () => {
  test('of the demo closes by what was weighed', () => {
    const account = accountOf(whole, benzil.id)
    const value = account.ok ? account.value : null
    const residueG = 48.4702 - 48.2135
    expect(value?.closurePercent).toBeCloseTo((100 * (32.613 - 31.2216 + residueG)) / 1.804, 9)
    expect(value?.rows.map(({ part }) => part)).toEqual(['crystals', 'liquor', 'unaccounted'])
    const total = (value?.rows ?? []).reduce((g, row) => g + (row.found?.value ?? 0), 0)
    expect(total).toBeCloseTo(1.804, 9)
    expect((value?.residue?.productG ?? 0) + (value?.residue?.impurityG ?? 0)).toBeCloseTo(residueG, 9)
    expect(value?.yield?.percent).toBeCloseTo((100 * 1.3914 * 212.248) / (2.004 * 210.232), 1)
    expect(value?.ofProduct?.value).toBeCloseTo((100 * 1.3914) / (0.9 * 1.804), 6)
  })
  test('without a weighed product says so', () => {
    expect(accountOf(whole, adipic.id)).toMatchObject({ ok: false, problem: { code: 'nothing-weighed' } })
  })
  test('is worked out for the solvent that was used, what boiled away taken off', () => {
    const removed = line('solvent removed', PREP, { volume: reading('4') })
    const view = viewOf(
      weighed('crude', '1.804'),
      plan(),
      portion('12'),
      portion('8', 'dilute'),
      removed,
      weighed('product', '1.3'),
    )
    expect(solventSoFarML(prepIn(view))).toMatchObject({ hotML: 16, removedML: 4 })
    const crystals = accountIn(view).rows.find(({ part }) => part === 'crystals')
    expect(crystals?.predictedG).toBeCloseTo(
      planCrystallization(withVolumeML(planLine.body.input, 16)).crystalMassG,
      9,
    )
    expect(crystals?.beyondWeighing).toBe(true)
  })
  test('stays open until the liquor is weighed, and counts later crops and grit', () => {
    const open = accountIn(
      viewOf(weighed('crude', '1.804'), plan(), portion('11'), weighed('product', '1.400')),
    )
    expect(open.closurePercent).toBeNull()
    const closed = accountIn(
      viewOf(
        weighed('crude', '1.804'),
        plan(),
        portion('11'),
        weighed('product', '1.400'),
        weighed('second crop', '0.050'),
        weighed('residue', '0.200'),
        weighed('grit', '0.010'),
      ),
    )
    expect(closed.closurePercent).toBeCloseTo((100 * 1.66) / 1.804, 9)
    expect(closed.ofCrude.value).toBeCloseTo((100 * 1.45) / 1.804, 9)
    expect(closed.rows.find(({ part }) => part === 'unaccounted')?.found?.value).toBeCloseTo(0.144, 9)
  })
  test.each([
    [11, 0],
    [11, 2],
    [16, 5],
    [40, 30],
  ])('with %p mL hot and %p mL of rinse, what is predicted comes to the crude', (hot, rinse) => {
    const account = accountIn(
      viewOf(
        weighed('crude', '1.804'),
        plan(),
        portion(String(hot)),
        ...(rinse > 0 ? [portion(String(rinse), 'rinse')] : []),
        weighed('product', '1.400'),
        weighed('residue', '0.200'),
      ),
    )
    const predicted = account.rows.reduce((g, { predictedG }) => g + (predictedG ?? 0), 0)
    expect(predicted).toBeCloseTo(1.804, 9)
  })
  test('the residue holds no more impurity than the crude, and is not more than is missing', () => {
    const residueOf = (product: string, residue: string) =>
      accountIn(
        viewOf(
          weighed('crude', '1.804'),
          plan(),
          portion('11'),
          weighed('product', product),
          weighed('residue', residue),
        ),
      ).residue
    // The plan takes the crude for 90 % pure: 0.1804 g of impurity, whatever the residue weighs.
    const heavy = residueOf('1.3', '0.45')
    expect(heavy?.impurityG).toBeCloseTo(0.1804, 9)
    expect(heavy?.productG).toBeCloseTo(0.45 - 0.1804, 9)
    expect(heavy?.remark).toContain('No more impurity than the 0.180 g that a crude of 90 % benzil holds')
    const wet = residueOf('1.5', '0.45')
    expect(wet?.remark).toContain('0.146 g more than is missing from the crystals. It still holds solvent')
    const plain = residueOf('1.55', '0.2')
    expect(plain?.remark).toBeNull()
  })
  test('a difference the weighing can explain is not called one', () => {
    const predicted = planLine.body.result.crystalMassG.toFixed(3)
    const account = accountIn(viewOf(weighed('crude', '1.804'), plan(), weighed('product', predicted)))
    expect(account.rows[0]?.beyondWeighing).toBe(false)
  })
  test('why less than 100 %, from the numbers', () => {
    const message = lossesOf(whole, benzil).join(' ')
    expect(message).toContain('0.413 g of the crude is not in the crystals')
    expect(message).toContain(
      '0.257 g was found in the evaporated liquor: about 0.08 g benzil and 0.18 g impurity',
    )
    expect(message).toContain('91.4 % of the crude is accounted for')
    expect(ownWordsOf(whole, benzil.id)).toContain('A rim of crystals')
  })
})

describe('what is odd, and why', () => {
  const causes = (view: ReturnType<typeof fold>, code: string) =>
    odditiesOf(view, PREP)
      .find((one) => one.code === code)
      ?.causes.map(({ sentence }) => sentence)
  test('over 100 %: damp first, then the vessel, when no drying is on record', () => {
    const byDifference = line('weighed', idOf('product'), {
      method: 'difference',
      empty: reading('30.0'),
      loaded: reading('32.0'),
      readabilityG: 0.1,
      from: 'typed',
    })
    const sentences = causes(viewOf(weighed('crude', '1.804'), plan(), byDifference), 'over-100')
    expect(sentences?.[0]).toContain('could be damp')
    expect(sentences?.join(' ')).toContain('The wrong vessel could have been subtracted: 32.0 g loaded')
    expect(sentences?.join(' ')).toContain('different balances')
  })
  test('under half: too much solvent, too much rinse, too warm, what was noted', () => {
    const shownCauses = causes(
      viewOf(
        weighed('crude', '1.804'),
        plan(),
        portion('30'),
        portion('9', 'rinse'),
        line('temperature read', PREP, { temperature: reading('21') }),
        line('rescue tried', PREP, {
          station: 'dissolve',
          rescue: 'boiled-over',
          remedy: 'switch-off',
          words: { rescue: 'Boiled over', remedy: 'Switch it off.' },
          helped: 'helped',
        }),
        weighed('product', '0.3'),
      ),
      'under-half',
    )?.join(' ')
    for (const part of [
      '30.0 mL was used where 11.0',
      'rinsed with 9.0 mL',
      'last read at 21 °C',
      'ice bath is not ticked',
      'boiled over',
    ])
      expect(shownCauses).toContain(part)
  })
  test('a closure over 102 %', () => {
    const view = viewOf(
      weighed('crude', '1.804'),
      plan(),
      weighed('product', '1.5'),
      weighed('residue', '0.5'),
    )
    expect(causes(view, 'closure-over-102')?.[0]).toContain('residue could still hold solvent')
  })
  test('between the plan’s bound and 100 % it is asked about, with the causes that fit', () => {
    const sentenceOf = (product: string) =>
      odditiesOf(viewOf(weighed('crude', '1.804'), plan(), weighed('product', product)), PREP).map(
        ({ code }) => code,
      )
    expect(sentenceOf('1.56')).toEqual([])
    expect(sentenceOf('1.730')).toEqual(['over-the-bound'])
    expect(sentenceOf('1.900')).toEqual(['over-100'])
    const view = viewOf(weighed('crude', '1.804'), plan(), weighed('product', '1.730'))
    expect(causes(view, 'over-the-bound')?.[0]).toContain('could be damp')
    expect(lossesOf(view, prepIn(view)).join(' ')).toMatch(/\d g more is counted than went in/)
    expect(lossesOf(view, prepIn(view)).join(' ')).not.toContain('accounts for all of it')
  })
  test('a yield over 100 % is asked about, its limiting reagent first', () => {
    const reaction = line('reaction named', PREP, {
      limiting: { name: 'benzoin', molarMassGPerMol: 212.25 },
      limitingMass: reading('1.200'),
      productPerLimiting: 1,
    })
    const view = viewOf(weighed('crude', '1.804'), plan(), reaction, weighed('product', '1.500'))
    expect(causes(view, 'yield-over-100')?.[0]).toContain(
      'The limiting reagent: 1.200 g of benzoin could give 1.189 g',
    )
  })
  test('a slipped digit comes before damp, cold and rinse', () => {
    const of = (product: string, code: string) =>
      causes(viewOf(weighed('crude', '1.804'), plan(), weighed('product', product)), code)?.[0]
    expect(of('15.600', 'over-100')).toContain(
      'A digit or the decimal point could be wrong: 15.600 g of product, 1.804 g of crude',
    )
    expect(of('0.156', 'under-half')).toContain('Was a digit wrong')
    const residue = viewOf(
      weighed('crude', '1.804'),
      plan(),
      weighed('product', '1.5'),
      weighed('residue', '29.2'),
    )
    expect(causes(residue, 'closure-over-102')?.[0]).toContain('decimal point could be in the wrong place')
  })
  test('the liquor is asked about before it goes', () => {
    const before = viewOf(weighed('crude', '1.804'), plan())
    expect(discardQuestion(before, prepIn(before)).question).toContain('have not been weighed')
    const low = viewOf(weighed('crude', '1.804'), plan(), weighed('product', '0.3'))
    expect(discardQuestion(low, prepIn(low)).question).toContain('under half')
    const open = viewOf(weighed('crude', '1.804'), plan(), weighed('product', '1.4'))
    expect(discardQuestion(open, prepIn(open)).question).toContain('mass balance stays open')
    const closed = viewOf(
      weighed('crude', '1.804'),
      plan(),
      weighed('product', '1.4'),
      weighed('residue', '0.3'),
    )
    expect(discardQuestion(closed, prepIn(closed))).toMatchObject({ question: null, isLiquorKept: false })
  })
})

describe('dissolving', () => {
  const seen = (poured: Entry<'solvent added'>, effect: Bodies['portion seen']['effect']) =>
    line('portion seen', PREP, { portion: poured.id, effect })
  test('what two portions do not change is grit', () => {
    const [p1, p2, p3] = [portion('2'), portion('1'), portion('1')]
    const view = viewOf(plan(), p1, p2, p3, seen(p1, 'less solid'), seen(p2, 'no change'))
    expect(dissolvingOf(view, prepIn(view)).state).toBe('dissolving')
    const gritty = fold([seen(p3, 'no change')], view)
    expect(dissolvingOf(gritty, prepIn(gritty))).toMatchObject({
      state: 'grit',
      remark: expect.stringContaining('Stop adding'),
    })
  })
  test.each([
    // 1.804 g of solid take 1.4 mL beside it; two thirds of the 25 mL flask are 16.7 mL.
    ['15.2', null],
    ['15.3', 'The 25 mL Erlenmeyer flask is more than two thirds full and could boil over'],
    ['23.5', 'more than two thirds full'],
    [
      '23.6',
      '23.6 mL and the solid are more than a 25 mL Erlenmeyer flask holds. If a volume is wrong, strike it out.',
    ],
    ['250.2', '250.2 mL and the solid are more than a 25 mL Erlenmeyer flask holds'],
  ])('%s mL in a flask of 25 mL', (text, remark) => {
    const view = viewOf(plan(), portion(text))
    const shown = dissolvingOf(view, prepIn(view)).remark
    if (remark === null) expect(shown).not.toMatch(/flask/)
    else expect(shown).toContain(remark)
    // Taken off the heat and under way, the flask is no longer anyone’s question.
    const off = fold([line('step ticked', PREP, { step: 'off-the-heat' })], view)
    expect(dissolvingOf(off, prepIn(off)).remark ?? '').not.toMatch(/flask/)
  })
  test('far past the plan is said, and once dissolved it is done', () => {
    const p1 = portion('14.5')
    const view = viewOf(plan(), p1)
    expect(dissolvingOf(view, prepIn(view)).remark).toContain('Past the plan by 3.5 mL')
    const done = fold([seen(p1, 'all dissolved')], view)
    expect(dissolvingOf(done, prepIn(done)).state).toBe('dissolved')
  })
  test('a pipette is counted once', () => {
    expect(pipetteOf(whole, adipic)).toBe(24)
    expect(pipetteOf(whole, benzil)).toBeNull()
  })
})

describe('drying', () => {
  const drying = { atLeastMin: 10, constantMassToleranceG: 0.002 }
  const constant = plan({ conventions: { ...planLine.body.conventions, drying } })
  const at = (...lines: RawEntry[]) => {
    const view = viewOf(constant, ...lines)
    return drynessOf(view, prepIn(view))
  }
  test('to constant mass takes two weighings that agree, with drying between', () => {
    expect(at(weighed('product', '1.450')).sentence).toContain('two weighings that agree')
    expect(at(weighed('product', '1.450'), weighed('product', '1.420', 32))).toMatchObject({
      isDry: false,
      lastLossG: expect.closeTo(0.03, 9),
      sentence: expect.stringContaining('It lost 0.030 g since the last weighing'),
    })
    const dry = at(
      weighed('product', '1.450'),
      weighed('product', '1.420', 32),
      weighed('product', '1.419', 64),
    )
    expect(dry).toMatchObject({ isDry: true })
    expect(dry.trend.map(({ massG }) => massG)).toEqual([1.45, 1.42, 1.419])
    expect(at(weighed('product', '1.420'), weighed('product', '1.430', 32)).sentence).toContain('It gained')
    expect(at(weighed('product', '1.420'), weighed('product', '1.420', 12)).sentence).toContain(
      'Only 12 min passed between',
    )
  })
  test('in air goes by the timer', () => {
    const view = viewOf(
      plan(),
      line('timer started', PREP, { timer: 'air', minutes: 10 }),
      line('timer started', PREP, { timer: 'dry', minutes: 50 }, 11),
      weighed('product', '1.4', 62),
    )
    expect(drynessOf(view, prepIn(view)).isDry).toBe(true)
    const short = viewOf(
      plan(),
      line('timer started', PREP, { timer: 'air', minutes: 10 }),
      weighed('product', '1.4', 5),
    )
    expect(drynessOf(short, prepIn(short)).isDry).toBe(false)
  })
})

test('with no plan there is nothing to be wet with, and the house’s minutes are all that is asked', () => {
  const view = viewOf(weighed('crude', '1.804'), weighed('product', '1.400'))
  expect(drynessOf(view, prepIn(view)).sentence).toBe(
    'House rules ask for 10 min in air before it is weighed; no timer shows that.',
  )
})

test('what is weighed after a run does not dry the tube that was melted', () => {
  // The demo’s benzil as if it had only been drawn with air.
  const lines = golden.entries.filter(
    ({ kind, subject, body }) =>
      !(
        kind === 'timer started' &&
        subject === benzil.id &&
        (body as Bodies['timer started']).timer === 'dry'
      ) && kind !== 'verdict signed',
  )
  const driedIn = (entries: readonly RawEntry[]) => {
    const judged = judgementOf(fold(entries), benzil.id)
    if (!judged.ok) throw new Error(judged.problem.sentence)
    return judged.value.evidence?.dried
  }
  expect(driedIn(lines)).toMatchObject({ how: 'minutes of air', minutes: 10 })
  const product = benzil.samples.find(({ role }) => role === 'product')?.id as SampleId
  const later = [5, 50].map((minutes): RawEntry => ({
    ...line('weighed', product, {
      method: 'tared',
      net: reading('1.3914'),
      readabilityG: 0.0001,
      from: 'typed',
    }),
    at: golden.nowMs + minutes * 60_000,
    id: nextId(null, golden.nowMs + minutes * 60_000, new Uint8Array(8)),
  }))
  expect(driedIn([...lines, ...later])).toEqual(driedIn(lines))
  const after = fold([...lines, ...later])
  expect(drynessOf(after, prepOf(after, benzil.id) as PrepFacts).isConstant).toBe(true)
})

describe('a product that comes as a hydrate', () => {
  const citric = referenceCompound('citric-acid-anhydrous')
  const of = (compound: Compound, ...from: Solvent[]) => {
    const [solvent = referenceSolvent('water')] = from
    const view = fold([
      line('prep opened', PREP, { ...opened.body, compound }),
      ...(['crude', 'product'] as const).map(named),
      weighed('crude', '2.000'),
      plan({ compound, impurity: null, solvent, pair: null }),
      weighed('product', '1.600'),
    ])
    return { view, hydrate: hydrateOf(prepIn(view)) }
  }
  test('is told with and without its water', () => {
    const { hydrate, view } = of(citric)
    // One molecule of water, 18.015, beside 192.12 g/mol: 8.57 % of what is weighed.
    expect(hydrate?.waterPercent).toBeCloseTo(8.57, 2)
    expect(hydrate?.withoutWaterPercent).toBeCloseTo(80 * (1 - 0.0857), 1)
    expect(hydrate?.sentence).toContain('8.6 % of it water')
    expect(causes(view, 'over-the-bound') ?? causes(view, 'over-100')).toBeUndefined()
  })
  test('is not, where the plan takes the water out, or where it comes from no water', () => {
    expect(of(referenceCompound('caffeine')).hydrate).toBeNull()
    expect(of(citric, referenceSolvent('ethanol-absolute')).hydrate).toBeNull()
    expect(of(referenceCompound('benzil')).hydrate).toBeNull()
  })
  function causes(view: ReturnType<typeof fold>, code: string) {
    return odditiesOf(view, PREP).find((one) => one.code === code)?.causes
  }
})

test('the crude’s own range proposes its fraction', () => {
  const proposed = crudeAssayOf(whole, benzil, planLine.body.impurity)
  expect(proposed.ok && proposed.value.assay).toBeGreaterThan(0.85)
  expect(proposed.ok && proposed.value.assay).toBeLessThan(0.95)
  expect(proposed.ok && proposed.value.sentence).toContain('Walden')
  expect(crudeAssayOf(whole, benzil, null)).toMatchObject({ ok: false })
  expect(crudeAssayOf(whole, adipic, planLine.body.impurity)).toMatchObject({ ok: false })
})

test('trials are put in order, the latest of a solvent standing', () => {
  const seen = (solvent: string, cooled: Bodies['trial seen']['cooled']) =>
    line('trial seen', PREP, {
      solvent,
      solventName: solvent,
      sampleMg: 40,
      solventML: 0.5,
      cold: 'does not dissolve',
      hot: 'all dissolves',
      cooled,
    })
  const view = viewOf(seen('water', 'nothing'), seen('toluene', 'an oil'), seen('water', 'many crystals'))
  expect(trialsOf(view, PREP).map(({ entry, verdict }) => [entry.body.solvent, verdict.fit])).toEqual([
    ['water', 'good'],
    ['toluene', 'unsuitable'],
  ])
})

test.each([
  [0.1956, 0.1956, '0.20', '0.19'],
  [0.0771, 0.1796, '0.18', '0.08'],
  [0.0123, 0.0304, '0.030', '0.013'],
  [0.2, 0, '0.00', '0.20'],
])(
  '%d g of product and %d g of impurity are said so that they come to the residue',
  (productG, impurityG, impurity, product) => {
    expect(splitInText({ productG, impurityG })).toEqual({ impurity, product })
  },
)
