import type { SampleId } from '../../ids'
import { type MeltingRange, meltingRange, visibleUnder } from '../../melting/meltingRange'
import type { Compound } from '../../substances/shelf'
import { fusionOf } from '../../substances/fusionOf'
import { moleFractionFromMassFraction } from '../../melting/eutectic'
import type { View } from '../fold'
import { latestLine } from '../read'
import { type CompleteRow, isComplete, rowsOfSample, slowRange } from './mixtures'
import { judgedRange } from './ranges'
import { type NamedSample, samplesNamed } from './samples'

/** A sample of one standard, the other, or both, on the phase map of the pair. */
interface PairPoint {
  readonly sample: NamedSample
  /** Of the first standard. */
  readonly massFractionA: number
  readonly moleFractionA: number
  readonly by: 'mass' | 'eye' | 'pure'
  /** Where it would melt as the ideal relation has it, heated infinitely slowly. */
  readonly predicted: MeltingRange
  readonly row: CompleteRow | null
  /** As read, corrected where that was possible. */
  readonly range: MeltingRange | null
  /** With the share of heating and packing taken off: what the map predicts. */
  readonly slow: MeltingRange | null
}

/** Two authentic samples of nearly the same melting point, and what their mixtures in several proportions melted at. */
export interface PairFacts {
  readonly a: NamedSample & { readonly compound: Compound }
  readonly b: NamedSample & { readonly compound: Compound }
  readonly points: readonly PairPoint[]
}

/** @returns null unless both are authentic samples of two different compounds */
export function pairOf(view: View, aId: SampleId, bId: SampleId): PairFacts | null {
  const samples = samplesNamed(view)
  const pure = (id: SampleId) => {
    const sample = samples.find((one) => one.id === id)
    return sample?.role === 'authentic' && sample.compound ? { ...sample, compound: sample.compound } : null
  }
  const [a, b] = [pure(aId), pure(bId)]
  if (!a || !b || a.compound.id === b.compound.id) return null
  const mixtures = samples.filter(({ of }) => of.length === 2 && of.includes(aId) && of.includes(bId))
  return {
    a,
    b,
    points: [
      pointOf(view, a, a, b, 1, 'pure'),
      ...mixtures.map((mixture) => {
        const ground = latestLine(view, mixture.id, 'mixture ground')?.body
        const first = ground?.massFractionFirst ?? 0.5
        return pointOf(view, mixture, a, b, mixture.of[0] === aId ? first : 1 - first, ground?.by ?? 'eye')
      }),
      pointOf(view, b, a, b, 0, 'pure'),
    ].sort((p, q) => q.massFractionA - p.massFractionA),
  }
}

function pointOf(
  view: View,
  sample: NamedSample,
  a: { readonly compound: Compound },
  b: { readonly compound: Compound },
  massFractionA: number,
  by: PairPoint['by'],
): PairPoint {
  const row = [...rowsOfSample(view, sample.id)]
    .reverse()
    .find((one): one is CompleteRow => isComplete(one) && one.purpose === 'careful')
  const [fusionA, fusionB] = [fusionOf(a.compound), fusionOf(b.compound)]
  const moleFractionA = moleFractionFromMassFraction(
    massFractionA,
    fusionA.molarMassGPerMol,
    fusionB.molarMassGPerMol,
  )
  return {
    sample,
    massFractionA,
    moleFractionA,
    by,
    predicted: meltingRange(fusionA, fusionB, moleFractionA, row ? visibleUnder(row.conventions) : {}),
    row: row ?? null,
    range: row ? judgedRange(row) : null,
    slow: row ? slowRange(row) : null,
  }
}
