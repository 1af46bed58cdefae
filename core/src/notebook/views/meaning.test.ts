import { describe, expect, test } from '@jest/globals'
import { golden } from '../../../golden/contract'
import { DEFAULT_HOUSE_RULES } from '../../conventions/schools'
import { rankCandidates } from '../../identity/rankCandidates'
import type { MeltId, RunId, SampleId } from '../../ids'
import type { Compound } from '../../substances/shelf'
import { holdsUnknown, sealedContents, simulatedTube } from '../../simulator/contents'
import { nextId } from '../clock'
import type { Entry, RawEntry } from '../entry'
import { fold, type View } from '../fold'
import type { About, Bodies, Kind } from '../kinds/list'
import { latestLine } from '../read'
import { classLadders, sharedSampleOf } from './classRanges'
import { comparedAs } from './comparedAs'
import { judgementOf, judgementOfUnknown } from './judgement'
import { mixturesOf, rowsOfSample } from './mixtures'
import { pairOf } from './pairs'
import { phaseMapOf } from './phaseMap'
import { platesOf } from './plates'
import { type PrepFacts, prepsOf } from './prep'
import {
  caseForRanking,
  compoundsWithin,
  disagreementOf,
  doubtsBeforeSigning,
  plateProposal,
  windowFor,
} from './ranking'
import { repeatsOf } from './repeats'
import { expectedOf, samplesNamed } from './samples'
import { caseStationsOf, nextInCase, openedAfterSigning, type UnknownFacts, unknownsOf } from './unknowns'
import { KINDS } from '../kinds/list'
import { refusalOf } from '../../schemas'
import '../../../golden/older'

const base = fold(golden.entries)
const [solved, waiting] = unknownsOf(base) as [UnknownFacts, UnknownFacts]
const compoundOf = (id: string): Compound => {
  const found = [...solved.candidates, ...waiting.candidates].find(({ compound }) => compound.id === id)
  if (!found) throw new Error(id)
  return found.compound
}

/** A notebook that is written on: each line checked by its schema, as the server would. */
class Notebook {
  private latest = base.latestId
  private made = 0
  constructor(public view: View = base) {}
  write<K extends Kind>(kind: K, subject: string, body: Bodies[K]): Entry<K> {
    this.made += 1
    const id = nextId(this.latest, golden.nowMs + this.made * 1000, new Uint8Array(8))
    this.latest = id
    const [first] = golden.entries as [RawEntry]
    const raw = { ...first, id, v: KINDS[kind].version, subject: subject as About[K], kind, body }
    expect(refusalOf(raw)).toBeNull()
    this.view = fold([raw], this.view)
    return raw
  }
  id<T extends string>(n: number): T {
    return `0a5a1c7e-0000-4000-8000-0000000009${String(n).padStart(2, '0')}` as T
  }
  /** A run whose marks were copied in, of these samples. */
  melt(n: number, tubes: readonly (readonly [SampleId, string, string])[], rateCPerMin = 1): MeltId {
    const [planned] = [...base.subjects.keys()].flatMap((id) => latestLine(base, id, 'melt planned') ?? [])
    if (!planned) throw new Error('no melt')
    const melt = this.id<MeltId>(n)
    const run = this.id<RunId>(n + 1)
    this.write('melt planned', melt, {
      ...planned.body,
      prep: null,
      window: { ...planned.body.window, rateCPerMin },
      tubes: tubes.map(([sample], i) => ({
        slot: i + 1,
        sample,
        label: `tube ${i}`,
        fillMm: 2,
        grain: 'fine',
      })),
    })
    this.write('run started', melt, {
      run,
      instrument: planned.body.instrument,
      feed: 'by hand',
      simulation: null,
      blockC: null,
      recorded: true,
    })
    tubes.forEach(([, onset, clear], i) => {
      for (const [moment, text] of [
        ['first liquid', onset],
        ['all liquid', clear],
      ] as const)
        this.write('mark made', melt, {
          run,
          slot: i + 1,
          moment,
          pressedAtS: 0,
          lastSample: 0,
          lastProbe: { text, value: Number(text) },
          from: 'instrument',
        })
    })
    this.write('run ended', melt, { run, atS: 0 })
    return melt
  }
  unknown(id = waiting.id): UnknownFacts {
    return unknownsOf(this.view).find((one) => one.id === id) as UnknownFacts
  }
  mixture(n: number, parts: readonly [SampleId, SampleId], massFractionFirst = 0.5): SampleId {
    const id = this.id<SampleId>(n)
    this.write('sample named', id, {
      prep: null,
      role: 'mixture',
      label: `mix ${n}`,
      compound: null,
      of: parts,
    })
    this.write('mixture ground', id, { massFractionFirst, by: 'mass', massesG: null })
    return id
  }
}
const authenticOf = (id: string) =>
  samplesNamed(base).find(({ role, compound }) => role === 'authentic' && compound?.id === id)?.id as SampleId

describe('a case', () => {
  test('the solved one of the demo: one struck out, its mixture unchanged, opened only after signing', () => {
    expect(solved.candidates.filter(({ ruledOut }) => ruledOut).map(({ compound }) => compound.id)).toEqual([
      '1-naphthol',
    ])
    expect(solved.mixtures.map(({ verdict }) => verdict.ok && verdict.value.verdict)).toEqual(['same'])
    expect(openedAfterSigning(base, solved)).toBe(true)
    expect(caseStationsOf(base, solved).map(({ state }) => state)).toEqual(Array(5).fill('done'))
    expect(nextInCase(base, solved)).toBeNull()
  })
  test('a struck line under a signed verdict asks for a look', () => {
    const book = new Notebook()
    const target = solved.careful?.restsOn[0]
    if (!target) throw new Error('nothing')
    book.write('struck', solved.careful?.melt ?? '', { target, reason: 'typo' })
    expect(nextInCase(book.view, book.unknown(solved.id))).toMatchObject({ station: 'melt' })
    expect(caseStationsOf(book.view, book.unknown(solved.id)).at(-1)?.state).toBe('needs a look')
  })
  test('without a list there is a sentence and no ranking', () => {
    const book = new Notebook()
    book.write('struck', waiting.id, { target: waiting.listed?.id as never, reason: 'another list' })
    book.melt(10, [[waiting.sample.id, '93.6', '94.8']])
    expect(caseForRanking(book.unknown())).toMatchObject({ ok: false, problem: { code: 'no-candidates' } })
    expect(nextInCase(book.view, book.unknown())?.text).toBe('List the compounds it could be.')
  })
  test('goes from scouting to careful to mixtures, each told as the next', () => {
    const book = new Notebook()
    const next = () => nextInCase(book.view, book.unknown())?.text
    expect(next()).toContain('Do a scouting run')
    expect(caseForRanking(book.unknown())).toMatchObject({ ok: false })
    expect(expectedOf(book.view, waiting.sample.id)).toBeNull()
    book.melt(10, [[waiting.sample.id, '93.6', '94.8']])
    expect(next()).toContain('authentic sample to grind it with')
    expect(caseStationsOf(book.view, book.unknown()).map(({ state }) => state)).toEqual([
      'done',
      'done',
      'now',
      'not yet',
      'not yet',
    ])
  })
  test('its evidence: heating taken off, struck candidates left out, references those at hand', () => {
    const book = new Notebook()
    book.melt(10, [[waiting.sample.id, '93.6', '94.8']])
    book.write('candidate ruled out', waiting.id, {
      candidate: 'triphenylmethane',
      name: 'triphenylmethane',
      reason: 'smells of nothing',
    })
    const found = caseForRanking(book.unknown())
    if (!found.ok) throw new Error(found.problem.sentence)
    const { input, estimated, isRough } = found.value
    // Lag 0.2 and melting 0.5 °C at 1 °C/min.
    expect(input.unknown.onsetC).toBeCloseTo(93.4, 9)
    expect(input.unknown.clearC).toBeCloseTo(94.1, 9)
    const { careful } = book.unknown()
    expect(careful && comparedAs(careful)).toBe(
      'Used for the comparison: 93.4 to 94.1 °C. This is 93.6 to 94.8 °C as read, minus the delay from heating at 1.0 °C/min: 0.2 °C at both ends, 0.5 °C of the width.',
    )
    expect(input.candidates.map(({ id }) => id)).toEqual([
      '1-naphthol',
      'methyl-4-nitrobenzoate',
      'glutaric-acid',
    ])
    expect(input.references.map(({ id }) => id)).toEqual(['1-naphthol', 'methyl-4-nitrobenzoate'])
    expect(estimated).toEqual(['methyl 4-nitrobenzoate'])
    expect(isRough).toBe(false)
    // A thermometer nobody checked.
    expect(input.options?.sigmaC).toBe(1.2)
  })
  test('with every candidate struck out only “not on the list” is left, and can be signed', () => {
    const book = new Notebook()
    book.melt(10, [[waiting.sample.id, '93.6', '94.8']])
    for (const { compound } of waiting.candidates)
      book.write('candidate ruled out', waiting.id, {
        candidate: compound.id,
        name: compound.name,
        reason: 'no',
      })
    const found = caseForRanking(book.unknown())
    if (!found.ok) throw new Error(found.problem.sentence)
    expect(rankCandidates(found.value.input)).toEqual([{ id: null, probability: 1 }])
  })
  test('mixtures side by side: verdict by both ends, the reference’s own clear point, the share as ground', () => {
    const book = new Notebook()
    const [naphthol, ester] = ['1-naphthol', 'methyl-4-nitrobenzoate'].map(authenticOf) as [
      SampleId,
      SampleId,
    ]
    const mixed = book.mixture(1, [waiting.sample.id, naphthol], 0.4)
    const reversed = book.mixture(2, [ester, waiting.sample.id], 0.7)
    book.melt(10, [[waiting.sample.id, '93.6', '94.8']])
    book.melt(20, [
      [waiting.sample.id, '93.5', '94.9'],
      [naphthol, '95.2', '96.3'],
      [mixed, '58.0', '76.2'],
    ])
    book.melt(30, [
      [waiting.sample.id, '93.6', '94.8'],
      [ester, '94.6', '95.9'],
      [reversed, '93.9', '95.5'],
    ])
    const [first, second] = mixturesOf(book.view, waiting.sample.id)
    expect(first).toMatchObject({ massFractionOfSample: 0.4, verdict: { value: { verdict: 'different' } } })
    expect(second).toMatchObject({ verdict: { value: { verdict: 'same' } } })
    expect(second?.massFractionOfSample).toBeCloseTo(0.3, 9)
    expect(first?.aloneBeside?.onset.text).toBe('93.5')
    const found = caseForRanking(book.unknown())
    if (!found.ok) throw new Error(found.problem.sentence)
    expect(found.value.input.mixtures.map(({ referenceClearC }) => referenceClearC?.toFixed(1))).toEqual([
      '95.6',
      '95.2',
    ])
    const ranked = rankCandidates(found.value.input)
    const best = [...ranked].sort((p, q) => q.probability - p.probability)[0]
    expect(best?.id).toBe('methyl-4-nitrobenzoate')
    expect(disagreementOf(second as NonNullable<typeof second>, ranked)).toBeNull()
    const against = ranked.map((one) => ({ ...one, probability: one.id === '1-naphthol' ? 0.6 : 0.1 }))
    expect(disagreementOf(first as NonNullable<typeof first>, against)).toContain('Repeat that mixture')
    expect(disagreementOf(second as NonNullable<typeof second>, against)).toContain('could be mislabelled')
    expect(nextInCase(book.view, book.unknown())?.station).toBe('sign')
    const doubts = (answer: string, of = ranked) => doubtsBeforeSigning(book.view, book.unknown(), answer, of)
    expect(doubts('methyl-4-nitrobenzoate')).toEqual([])
    expect(doubts('cannot tell')).toEqual([])
    expect(doubts('1-naphthol')[0]).toContain('In its mixed melt the range changed')
    expect(doubts('glutaric-acid')[0]).toContain('only a mixed melt does')
    expect(doubts('not on the list')).toEqual([expect.stringContaining('its probability is only')])
    const developed = platesOf(base)[0]?.developed.body as Bodies['plate developed']
    const [sample, ...others] = developed.lanes
    if (!sample) throw new Error('no lane')
    const apart = { ...sample, spots: [{ centreMm: { text: '20', value: 20 }, shape: 'round' as const }] }
    book.write('plate developed', book.id(51), {
      ...developed,
      of: waiting.id,
      lanes: [apart, ...others],
    })
    expect(doubts('methyl-4-nitrobenzoate')).toEqual([expect.stringContaining('The plate disagrees')])
  })
  test('one candidate left and a mixture lower at one end only: a plate is proposed, until one was run', () => {
    const book = new Notebook()
    const ester = authenticOf('methyl-4-nitrobenzoate')
    const mixed = book.mixture(1, [waiting.sample.id, ester])
    const mixedAt = (onset: string, clear: string) => {
      book.melt(10, [
        [waiting.sample.id, '93.6', '94.8'],
        [ester, '94.6', '95.9'],
        [mixed, onset, clear],
      ])
      return plateProposal(book.view, book.unknown(), [{ id: 'methyl-4-nitrobenzoate', probability: 0.9 }])
    }
    expect(mixedAt('91.0', '94.6')).toContain('2.6 °C lower at the other')
    expect(
      plateProposal(book.view, book.unknown(), [{ id: 'methyl-4-nitrobenzoate', probability: 0.6 }]),
    ).toBeNull()
    const developed = platesOf(base)[0]?.developed.body as Bodies['plate developed']
    book.write('plate developed', book.id(51), { ...developed, of: waiting.id })
    expect(mixedAt('91.0', '94.6')).toBeNull()
  })
  test('an unknown alone is judged by its width, and said to be nothing', () => {
    const book = new Notebook()
    expect(judgementOfUnknown(book.view, book.unknown())).toBeNull()
    book.melt(10, [[waiting.sample.id, '93.6', '94.8']])
    const sharp = judgementOfUnknown(book.view, book.unknown())
    expect(sharp?.ok && sharp.value.findings.map(({ code }) => code)).toEqual(['sharp', 'no-literature'])
    expect(sharp?.ok && sharp.value.verdict).toBe('cannot tell')
    expect(sharp?.ok && sharp.value.measured?.distanceC).toBeNull()
  })
  test('a mixture with something that is no candidate counts, and is said', () => {
    const book = new Notebook()
    const benzil = authenticOf('benzil')
    const mixed = book.mixture(1, [waiting.sample.id, benzil])
    book.melt(10, [
      [waiting.sample.id, '93.6', '94.8'],
      [mixed, '61.0', '70.0'],
    ])
    const found = caseForRanking(book.unknown())
    expect(found).toMatchObject({ ok: true, value: { otherReferences: ['benzil'] } })
  })
  test('an unknown and an authentic sample are expected to meet far below both', () => {
    const book = new Notebook()
    const mixed = book.mixture(1, [waiting.sample.id, authenticOf('1-naphthol')])
    book.melt(10, [[waiting.sample.id, '93.6', '94.8']])
    const expected = expectedOf(book.view, mixed)
    expect(expected?.firstLiquidFromC).toBeLessThan(70)
    expect(expected?.firstLiquidFromC).toBeGreaterThan(50)
    expect(expected?.highC).toBe(96.5)
  })
  test('the shelf within a window, nearest first; looked for further above than below', () => {
    const shelf = ['benzil', '1-naphthol', 'triphenylmethane', 'glutaric-acid'].map(compoundOf)
    const window = windowFor({ clearC: 94.8 })
    expect(window).toEqual({ lowC: 92, highC: 103 })
    expect(compoundsWithin(shelf, window).map(({ id }) => id)).toEqual([
      'glutaric-acid',
      '1-naphthol',
      'benzil',
      'triphenylmethane',
    ])
    expect(compoundsWithin(shelf, { lowC: 97, highC: 110 }).map(({ id }) => id)).toEqual(['glutaric-acid'])
  })
})

describe('sealed contents', () => {
  test('nothing is simulated of an unknown unless the server knows it; then mixtures of it too', () => {
    const book = new Notebook()
    const sample = waiting.sample.id
    const mixed = book.mixture(1, [sample, authenticOf('1-naphthol')], 0.25)
    expect(simulatedTube(book.view, sample, 1, () => null)).toBeNull()
    expect(simulatedTube(book.view, mixed, 1, () => null)).toBeNull()
    expect([sample, mixed, authenticOf('1-naphthol')].map((id) => holdsUnknown(book.view, id))).toEqual([
      true,
      true,
      false,
    ])
    const sealed = sealedContents(compoundOf('methyl-4-nitrobenzoate'), 0.98)
    const held = simulatedTube(book.view, mixed, 1, () => sealed)
    // 0.25 of 181.15 g/mol with 0.75 of 144.17 g/mol
    expect(held?.moleFractionA).toBeCloseTo(0.25 / 181.15 / (0.25 / 181.15 + 0.75 / 144.17), 4)
    const own = book.mixture(2, [sample, authenticOf('methyl-4-nitrobenzoate')])
    expect(simulatedTube(book.view, own, 1, () => sealed)?.moleFractionA).toBeCloseTo(0.99, 9)
  })
  test('two compounds that melt alike are not taken for one', () => {
    const [p, q] = [compoundOf('methyl-4-nitrobenzoate'), compoundOf('benzil')]
    expect(p.meltHighC).toBe(q.meltHighC)
    const book = new Notebook()
    const mixed = book.mixture(1, [waiting.sample.id, authenticOf('benzil')])
    expect(simulatedTube(book.view, mixed, 1, () => sealedContents(p, 1))?.b).not.toBeNull()
  })
})

describe('judging a prep with all that speaks', () => {
  const benzil = prepsOf(base).find(({ opened }) => opened.body.compound.id === 'benzil') as PrepFacts
  const product = benzil.samples.find(({ role }) => role === 'product')?.id as SampleId
  const judged = (view: View) => {
    const found = judgementOf(view, benzil.id)
    if (!found.ok) throw new Error(found.problem.sentence)
    return found.value
  }
  test('an authentic sample in the same run stands in for the literature', () => {
    const book = new Notebook()
    book.melt(10, [
      [product, '92.1', '93.3'],
      [authenticOf('benzil'), '92.3', '93.5'],
    ])
    const { evidence, judgement } = judged(book.view)
    expect(evidence?.authentic).toEqual({ onsetC: 92.3, clearC: 93.5 })
    expect(judgement.verdict).toBe('consistent with pure')
    const alone = new Notebook()
    alone.melt(10, [[product, '92.1', '93.3']])
    expect(judged(alone.view).judgement.verdict).toBe('cannot tell')
  })
  test('dried on and melted again, the tube from before is no repeat of it, and the minutes of air count', () => {
    const book = new Notebook()
    book.melt(10, [[product, '84.6', '91.2']])
    const before = judged(book.view)
    expect(before.judgement.actions[0]?.code).toBe('repeat as it was')
    book.write('timer started', benzil.id, { timer: 'dry', minutes: 90 })
    book.melt(20, [[product, '95.0', '96.2']])
    const { evidence, judgement } = judged(book.view)
    expect(evidence?.repeats).toEqual([])
    expect(evidence?.setAside).toBe(2)
    expect(judgement.verdict).toBe('consistent with pure')
    expect(judgement.findings.map(({ code }) => code)).toContain('set-aside')
  })
  test('a product that gave no range is judged by the reason', () => {
    const adipic = prepsOf(base).find(({ opened }) => opened.body.compound.id === 'adipic-acid') as PrepFacts
    const sample = adipic.samples.find(({ role }) => role === 'product')?.id as SampleId
    const book = new Notebook()
    expect(judgementOf(book.view, adipic.id).ok).toBe(false)
    const melt = book.melt(10, [[product, '95.0', '96.2']])
    const [planned] = [latestLine(book.view, melt, 'melt planned')]
    if (!planned) throw new Error('no melt')
    book.write('melt planned', melt, {
      ...planned.body,
      window: { ...planned.body.window, stopC: 160 },
      tubes: [{ slot: 2, sample, label: 'Adipic acid', fillMm: 2, grain: 'fine' }],
    })
    book.write('range given up', melt, {
      run: latestLine(book.view, melt, 'run started')?.body.run as RunId,
      slot: 2,
      reason: 'not melted at the stop temperature',
    })
    const found = judgementOf(book.view, adipic.id)
    if (!found.ok) throw new Error(found.problem.sentence)
    expect(found.value.evidence).toBeNull()
    expect(found.value.judgement.verdict).toBe('cannot tell')
    expect(found.value.judgement.findings[0]?.sentence).toContain(
      'still solid at 160.0 °C, 6.0 °C above literature',
    )
    expect(found.value.restsOn).toContain(latestLine(book.view, melt, 'melt planned')?.id)
  })
  test('a mixed melt and a plate join the verdict and what it rests on', () => {
    const book = new Notebook()
    const mixed = book.mixture(1, [product, authenticOf('benzil')])
    book.melt(10, [
      [product, '95.0', '96.2'],
      [authenticOf('benzil'), '95.3', '96.4'],
      [mixed, '80.1', '89.0'],
    ])
    expect(judged(book.view).judgement.verdict).toBe('not this compound')
    const plate = book.id<SampleId>(50)
    const developed = platesOf(base)[0]?.developed.body as Bodies['plate developed']
    const line = book.write('plate developed', plate, { ...developed, of: benzil.id })
    expect(judged(book.view).evidence?.plate).toMatchObject({ spots: 1, sameHeight: true })
    expect(judged(book.view).restsOn).toContain(line.id)
  })
  test('repeats that scatter are found, and the odd one is pointed out', () => {
    const book = new Notebook()
    book.melt(10, [[product, '95.0', '96.2']])
    book.melt(20, [[product, '95.1', '96.3']])
    book.melt(30, [[product, '92.1', '93.0']])
    const repeats = repeatsOf(rowsOfSample(book.view, product))[0]
    expect(repeats?.outliers).toEqual(['92.1 to 93.0 °C'])
    expect(judged(book.view).judgement.findings.map(({ code }) => code)).toContain('repeats-scatter')
  })
  test('crude and product on the phase map, and the assumed impurity where none is named', () => {
    const map = phaseMapOf(base, benzil, null)
    expect(map.isAssumed).toBe(false)
    expect(map.placed.map(({ role }) => role)).toEqual(['crude', 'product'])
    const [crude, pure] = map.placed
    expect(crude?.moleFractionA).toBeLessThan(pure?.moleFractionA ?? 0)
    expect(crude?.between[0]).toBeLessThan(crude?.moleFractionA ?? 0)
    const bare = phaseMapOf(base, { ...benzil, plan: null }, null)
    expect(bare.isAssumed).toBe(true)
    expect(bare.impurity.fusion.meltingPointC).toBe(bare.product.fusion.meltingPointC + 20)
    // The composition read from the product's own line does not depend on the impurity.
    expect(bare.placed[0]?.moleFractionA).toBeCloseTo(crude?.moleFractionA ?? 0, 9)
  })
  test('a range below the eutectic is of no such pair', () => {
    const book = new Notebook()
    book.melt(10, [[product, '60.0', '62.0']])
    expect(phaseMapOf(book.view, benzil, null).unplaced.map(({ onset }) => onset.text)).toEqual(['60.0'])
  })
})

describe('two standards', () => {
  test('in several proportions, the pure ones at the ends, each with what it melted at', () => {
    const book = new Notebook()
    const [a, b] = ['1-naphthol', 'methyl-4-nitrobenzoate'].map(authenticOf) as [SampleId, SampleId]
    book.mixture(1, [a, b], 0.25)
    const half = book.mixture(2, [b, a], 0.5)
    book.melt(10, [[half, '63.5', '66.0']])
    const pair = pairOf(book.view, a, b)
    expect(pair?.points.map(({ massFractionA }) => massFractionA)).toEqual([1, 0.5, 0.25, 0])
    expect(pair?.points.map(({ range }) => range?.onsetC ?? null)).toEqual([null, 63.5, null, null])
    expect(pair?.points[0]?.predicted).toEqual({ onsetC: 96.5, clearC: 96.5 })
    expect(pair?.points[1]?.predicted.onsetC).toBeLessThan(70)
    expect(pairOf(book.view, a, a)).toBeNull()
    expect(pairOf(book.view, a, waiting.sample.id)).toBeNull()
  })
})

describe('the class', () => {
  test('one sample of several notebooks on one ladder, by bench code, the odd one pointed out', () => {
    const bench = (author: string, onset: string, clear: string) => {
      const book = new Notebook(fold(golden.entries.map((entry) => ({ ...entry, author }))))
      book.melt(10, [[waiting.sample.id, onset, clear]])
      return {
        title: author,
        view: fold(
          [...book.view.subjects.values()].flatMap(({ lines }) => lines.map((line) => ({ ...line, author }))),
        ),
      }
    }
    const ladders = classLadders([
      bench('bench 1', '93.6', '94.8'),
      bench('bench 2', '93.7', '95.0'),
      bench('bench 3', '93.5', '94.9'),
      bench('bench 4', '90.0', '91.1'),
    ])
    const k14 = ladders.find(({ sample }) => sample.key === 'unknown k-14')
    expect(k14?.rows.map(({ bench: of }) => of)).toEqual(['bench 1', 'bench 2', 'bench 3', 'bench 4'])
    expect(k14?.outliers).toEqual([3])
    expect(k14?.clear.mean).toBeCloseTo((94.8 + 95 + 94.9 + 91.1) / 4, 9)
    expect(k14?.sample.label).toBe('Unknown K-14')
  })
  test('a mixture is each bench’s own', () => {
    const mixture = samplesNamed(base).find(({ role }) => role === 'mixture')
    expect(mixture && sharedSampleOf(mixture)).toBeNull()
  })
})

test('house rules of the demo’s runs are the ones verdicts were reached by', () => {
  expect(solved.signed?.body.conventions).toEqual(DEFAULT_HOUSE_RULES)
})
