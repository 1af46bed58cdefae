import { attempt, problem, type Result } from '../../problems'
import type { MeltingRange } from '../../melting/meltingRange'
import type { EntryId, SampleId } from '../../ids'
import { heatingShare, withoutHeating } from '../../heating/heatingShare'
import { mixedVerdict, type MixedVerdict } from '../../identity/mixedVerdict'
import type { View } from '../fold'
import { groupedBy, latestLine, memoize, sameItems } from '../read'
import { meltIdsWith } from './melt'
import { heatedOf, judgedRange, type RangeRow, rangesOfMelt } from './ranges'
import { type NamedSample, sampleNamedAs, samplesNamed } from './samples'

/** A row both of whose ends are known. */
export type CompleteRow = RangeRow & {
  readonly onset: NonNullable<RangeRow['onset']>
  readonly clear: NonNullable<RangeRow['clear']>
}

export function isComplete(row: RangeRow): row is CompleteRow {
  return row.onset !== null && row.clear !== null && row.trouble === null
}

/** Every row of this sample, of whatever melt, in the order they were planned. */
export const rowsOfSample = memoize(
  (view: View, sample: SampleId): readonly RangeRow[] =>
    meltIdsWith(view, sample).flatMap((melt) =>
      rangesOfMelt(view, melt).filter((row) => row.sample === sample),
    ),
  sameItems,
)

/** The range with the share of heating and packing taken off. */
export function slowRange(row: CompleteRow): MeltingRange {
  return withoutHeating(judgedRange(row), heatingShare(heatedOf(row)))
}

/** A mixture of a sample with an authentic one: how it was ground, what it melted at, and what that says. */
export interface MixtureFacts {
  readonly sample: NamedSample
  /** The authentic sample in it. */
  readonly reference: NamedSample
  readonly massFractionOfSample: number
  readonly by: 'mass' | 'eye'
  /** null until it has been melted, both ends. */
  readonly row: CompleteRow | null
  /** Its parts beside it in the same run, where they were. */
  readonly aloneBeside: CompleteRow | null
  readonly referenceBeside: CompleteRow | null
  readonly verdict: Result<MixedVerdict>
  readonly restsOn: readonly EntryId[]
}

/** Mixtures by each of their parts, in the order they were named. */
const mixturesByPart = memoize((view: View) => {
  const pairs = samplesNamed(view).flatMap((mixture) => mixture.of.map((part) => ({ part, mixture })))
  return groupedBy(pairs, ({ part }) => part)
})
const mixturesWith = memoize(
  (view: View, part: SampleId): readonly NamedSample[] =>
    mixturesByPart(view)
      .get(part)
      ?.map(({ mixture }) => mixture) ?? [],
  sameItems,
)

/** Every mixture this sample is a part of with an authentic one, in the order they were named. */
export const mixturesOf = memoize((view: View, sample: SampleId): readonly MixtureFacts[] =>
  mixturesWith(view, sample).flatMap((mixture) => {
    const other = mixture.of.find((id) => id !== sample)
    const reference = other ? sampleNamedAs(view, other) : null
    return reference?.role === 'authentic' ? [mixtureOf(view, sample, mixture, reference)] : []
  }),
)

function mixtureOf(view: View, sample: SampleId, mixture: NamedSample, reference: NamedSample): MixtureFacts {
  const ground = latestLine(view, mixture.id, 'mixture ground')
  const first = ground?.body.massFractionFirst ?? 0.5
  const row = latestCareful(rowsOfSample(view, mixture.id))
  const beside = row ? rangesOfMelt(view, row.melt) : []
  const of = (id: SampleId) => latestCareful(beside.filter((one) => one.sample === id))
  const alone = of(sample) ?? latestCareful(rowsOfSample(view, sample))
  const referenceBeside = of(reference.id)
  return {
    sample: mixture,
    reference,
    massFractionOfSample: mixture.of[0] === sample ? first : 1 - first,
    by: ground?.body.by ?? 'eye',
    row,
    aloneBeside: of(sample),
    referenceBeside,
    verdict: verdictOf(row, alone, referenceBeside, reference, {
      sameRun: of(sample) !== null,
      partOfUnknown: mixture.of[0] === sample ? first : 1 - first,
    }),
    restsOn: [
      ...(ground ? [ground.id] : []),
      ...(row?.restsOn ?? []),
      ...(alone?.restsOn ?? []),
      ...(referenceBeside?.restsOn ?? []),
    ],
  }
}

function widthOf({ onsetC, clearC }: MeltingRange): number {
  return clearC - onsetC
}

function latestCareful(rows: readonly RangeRow[]): CompleteRow | null {
  return (
    [...rows].reverse().find((row): row is CompleteRow => isComplete(row) && row.purpose === 'careful') ??
    null
  )
}

function verdictOf(
  row: CompleteRow | null,
  alone: CompleteRow | null,
  reference: CompleteRow | null,
  { compound }: NamedSample,
  how: { readonly sameRun: boolean; readonly partOfUnknown: number },
): Result<MixedVerdict> {
  if (!row) return problem('too-few-samples', 'The mixture has no complete melting range yet.')
  if (!alone)
    return problem(
      'too-few-samples',
      'The unknown alone has no careful range yet to compare with the mixture.',
    )
  if (!reference && !compound) return problem('too-few-samples', 'The other part is not known.')
  return attempt(() =>
    mixedVerdict(
      {
        unknown: judgedRange(alone),
        reference: reference
          ? judgedRange(reference)
          : { onsetC: compound?.meltLowC ?? NaN, clearC: compound?.meltHighC ?? NaN },
        mixture: judgedRange(row),
        meltingTimeC: widthOf(judgedRange(alone)) - widthOf(slowRange(alone)),
        ...how,
      },
      row.conventions,
    ),
  )
}
