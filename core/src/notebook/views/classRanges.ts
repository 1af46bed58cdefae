import type { MeltingRange } from '../../melting/meltingRange'
import { determinations, type Determinations } from '../../repeats/determinations'
import type { View } from '../fold'
import { linesOf } from '../read'
import { type CompleteRow, isComplete } from './mixtures'
import { meltsOf } from './melt'
import { judgedRange, meltRangesOf } from './ranges'
import { type NamedSample, sampleNamedAs } from './samples'
import type { SampleRole } from '../kinds/sample-named/kind'

/** What several notebooks call the same thing: an unknown by its code, anything else by compound and role. */
export interface SharedSample {
  readonly key: string
  readonly label: string
  readonly role: SampleRole
}

/** One bench's range of the shared sample. */
interface ClassRow {
  readonly notebook: string
  /** Bench code of whoever marked it. */
  readonly bench: string
  readonly row: CompleteRow
  readonly range: MeltingRange
}
export interface ClassLadder {
  readonly sample: SharedSample
  readonly rows: readonly ClassRow[]
  readonly onset: Determinations
  readonly clear: Determinations
  /** Places of rows one of whose ends does not belong with the rest. */
  readonly outliers: readonly number[]
}

/** Under what key a sample is the same in every notebook; null for a mixture, which each bench grinds itself. */
export function sharedSampleOf({ role, label, compound, of }: NamedSample): SharedSample | null {
  if (of.length > 0) return null
  if (role === 'unknown') {
    const code = label.trim()
    return { key: `unknown ${code.toLowerCase()}`, label: `Unknown ${code}`, role }
  }
  if (!compound) return null
  return { key: `${role} ${compound.id}`, label: `${compound.name}, ${role}`, role }
}

/**
 * Ranges of one sample from several notebooks on one ladder, bench by bench, with their mean and the row that does
 * not belong. Careful runs only; nothing is dropped.
 *
 * @param notebooks folded, with what each is called
 * @returns a ladder for each sample that has a range, those of most ranges first
 */
export function classLadders(
  notebooks: readonly { readonly title: string; readonly view: View }[],
): readonly ClassLadder[] {
  const byKey = new Map<string, { sample: SharedSample; rows: ClassRow[] }>()
  for (const { title, view } of notebooks)
    for (const melt of meltsOf(view))
      for (const row of meltRangesOf(view, melt)) {
        const named = sampleNamedAs(view, row.sample)
        const shared = named && isComplete(row) && row.purpose === 'careful' ? sharedSampleOf(named) : null
        if (!shared || !isComplete(row)) continue
        const group = byKey.get(shared.key) ?? { sample: shared, rows: [] }
        byKey.set(shared.key, group)
        group.rows.push({ notebook: title, bench: benchOf(view, row), row, range: judgedRange(row) })
      }
  return [...byKey.values()]
    .map(({ sample, rows }) => ladderOf(sample, rows))
    .sort((p, q) => q.rows.length - p.rows.length || p.sample.label.localeCompare(q.sample.label))
}

/** Whoever marked the tube, else whoever planned the melt. */
function benchOf(view: View, { melt, slot }: CompleteRow): string {
  const mark = linesOf(view, melt, 'mark made').find(({ body }) => body.slot === slot)
  return mark?.author ?? linesOf(view, melt, 'melt planned')[0]?.author ?? ''
}

function ladderOf(sample: SharedSample, rows: readonly ClassRow[]): ClassLadder {
  const resolution = Math.max(...rows.map(({ row }) => row.conventions.repeatWithinC))
  const onset = determinations(
    rows.map(({ range }) => range.onsetC),
    resolution,
  )
  const clear = determinations(
    rows.map(({ range }) => range.clearC),
    resolution,
  )
  return {
    sample,
    rows,
    onset,
    clear,
    outliers: [...new Set([...onset.outliers, ...clear.outliers])].sort((p, q) => p - q),
  }
}
