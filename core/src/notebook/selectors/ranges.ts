import type { Conventions, EntryId, Grain, MeltId, PrepId, Reading, SampleId } from '../../contract'
import { linesOf, type View } from '../fold'
import type { SampleRole } from '../sample-named/kind'
import { markOf, meltsOf, rateBetween, readingsOf, type Mark, type MeltFacts } from './melt'

/** One measured range: a tube of a sample in a run. Raw, as the probe read. */
export interface RangeRow {
  readonly melt: MeltId
  readonly slot: number
  readonly sample: SampleId
  readonly role: SampleRole | null
  readonly label: string
  readonly onset: Reading | null
  readonly clear: Reading | null
  readonly signs: readonly { readonly temperature: Reading; readonly word: string | null }[]
  /** Measured over the melting where both ends are on record, else as planned, °C/min. */
  readonly rateCPerMin: number
  readonly rateMeasured: boolean
  readonly fillMm: number
  readonly grain: Grain
  readonly conventions: Conventions
  readonly hasRun: boolean
  readonly runEnded: boolean
  /** A sentence when the range cannot be used as it stands. */
  readonly trouble: string | null
  readonly restsOn: readonly EntryId[]
}

/** Every range of a prep's samples, tube by tube, in the order they were planned. */
export function rangesOf(view: View, prep: PrepId): readonly RangeRow[] {
  return meltsOf(view, prep).flatMap((melt) =>
    melt.planned.body.tubes.map((tube) => rangeOf(view, melt, tube.slot)),
  )
}

function rangeOf(view: View, melt: MeltFacts, slot: number): RangeRow {
  const { tubes, conventions, plan } = melt.planned.body
  const tube = tubes.find((one) => one.slot === slot) ?? {
    slot,
    sample: '' as SampleId,
    label: '',
    fillMm: 0,
    grain: 'fine' as const,
  }
  const onsetMark = reportedOnset(melt, slot, conventions)
  const clearMark = markOf(melt, slot, 'all liquid')
  const readings = melt.run ? readingsOf(view, melt.id, melt.run.id) : null
  const measured =
    readings && onsetMark && clearMark
      ? rateBetween(readings, onsetMark.entry.body.pressedAtS, clearMark.entry.body.pressedAtS)
      : null
  const signs = melt.marks.filter(
    ({ entry }) => entry.body.slot === slot && entry.body.moment === 'early sign',
  )
  return {
    melt: melt.id,
    slot,
    sample: tube.sample,
    role: linesOf(view, tube.sample, 'sample named')[0]?.body.role ?? null,
    label: tube.label,
    onset: onsetMark?.temperature ?? null,
    clear: clearMark?.temperature ?? null,
    signs: signs.flatMap(({ temperature, word }) => (temperature ? [{ temperature, word }] : [])),
    rateCPerMin: measured ?? plan.rateCPerMin,
    rateMeasured: measured !== null,
    fillMm: tube.fillMm,
    grain: tube.grain,
    conventions,
    hasRun: melt.run !== null,
    runEnded: melt.run?.ended !== null && melt.run !== null,
    trouble: troubleOf(melt, onsetMark, clearMark),
    restsOn: [melt.planned.id, ...[onsetMark, clearMark].flatMap((mark) => (mark ? [mark.entry.id] : []))],
  }
}

function reportedOnset(melt: MeltFacts, slot: number, conventions: Conventions): Mark | null {
  const drop = markOf(melt, slot, 'first liquid')
  if (conventions.onsetRule === 'distinct drop') return drop
  const wet = melt.marks.find(({ entry, word }) => entry.body.slot === slot && word === 'wets')
  return wet ?? drop
}

function troubleOf(melt: MeltFacts, onset: Mark | null, clear: Mark | null): string | null {
  if (!melt.run) return 'Planned, not yet melted.'
  const over = melt.run.ended !== null
  if (!onset && !clear) return over ? 'The run ended without a mark: nothing is known of this tube.' : null
  if (!onset)
    return over ? 'Only the clear point was caught. One number is not a range: melt a new tube.' : null
  if (!clear) return over ? 'Only the onset was caught. One number is not a range: melt a new tube.' : null
  if (!onset.temperature || !clear.temperature)
    return 'Marked while the instrument could not be heard; waiting for its trace.'
  if (onset.temperature.value > clear.temperature.value)
    return `The onset of ${onset.temperature.text} °C lies above the clear point of ${clear.temperature.text} °C: were the two keys swapped? Strike the wrong mark.`
  return null
}

/** The range both of whose ends are known, of the latest tube of this role. */
export function latestRange(
  rows: readonly RangeRow[],
  role: SampleRole,
): (RangeRow & { onset: Reading; clear: Reading }) | null {
  for (const row of [...rows].reverse())
    if (row.role === role && row.onset && row.clear && row.trouble === null)
      return { ...row, onset: row.onset, clear: row.clear }
  return null
}
