import type { Compound, EntryId, Line, NamedSample, Reading, SampleId } from '@ivory-crystal/core'
import { newSubject, write } from './notebook'

/** How two samples are ground together. */
export interface Grinding {
  readonly massFractionFirst: number
  readonly by: 'mass' | 'eye'
  readonly massesG: readonly [Reading, Reading] | null
}
export const EQUAL_BY_EYE: Grinding = { massFractionFirst: 0.5, by: 'eye', massesG: null }

/** Lines that name an authentic sample of a compound, and its id. */
export function authenticLines(compound: Compound): {
  readonly id: SampleId
  readonly lines: readonly Line[]
} {
  const id = newSubject<SampleId>()
  return {
    id,
    lines: [
      {
        kind: 'sample named',
        subject: id,
        body: { prep: null, role: 'authentic', label: `Authentic ${compound.name}`, compound, of: [] },
      },
    ],
  }
}

/** Lines that name a mixture of two samples and say how it was ground. */
export function mixtureLines(
  first: { readonly id: SampleId; readonly label: string },
  second: { readonly id: SampleId; readonly label: string },
  grinding: Grinding,
): { readonly id: SampleId; readonly label: string; readonly lines: readonly Line[] } {
  const id = newSubject<SampleId>()
  const label = `${first.label} + ${second.label}`
  return {
    id,
    label,
    lines: [
      {
        kind: 'sample named',
        subject: id,
        body: { prep: null, role: 'mixture', label, compound: null, of: [first.id, second.id] },
      },
      { kind: 'mixture ground', subject: id, body: grinding },
    ],
  }
}

/** A tube of each, packed alike, of one set. */
export function tubeLines(
  samples: readonly { readonly id: SampleId; readonly label: string }[],
  fillMm: number,
  set: string | null,
): readonly Line[] {
  return samples.map(({ id, label }) => ({
    kind: 'tube packed',
    subject: id,
    body: { sample: id, label, fillMm, grain: 'fine', set },
  }))
}

/** What goes into one mixed run. */
export interface MixedRun {
  readonly sample: Pick<NamedSample, 'id' | 'label'>
  readonly references: readonly { readonly compound: Compound; readonly authentic: NamedSample | null }[]
  readonly grinding: Grinding
  /** Whether the authentic samples get tubes of their own. */
  readonly authenticBeside: boolean
  readonly fillMm: number
  readonly set: string
}

/** Names and grinds the mixtures and packs their tubes, in one batch; answers with the tubes for the run. */
export function packMixedRun(run: MixedRun): readonly EntryId[] {
  const lines: Line[] = []
  const tubes: { id: SampleId; label: string }[] = [run.sample]
  for (const { compound, authentic } of run.references) {
    const named = authentic ? null : authenticLines(compound)
    if (named) lines.push(...named.lines)
    const reference = authentic ?? { id: named?.id as SampleId, label: `Authentic ${compound.name}` }
    const mixture = mixtureLines(run.sample, { ...reference, label: compound.name }, run.grinding)
    lines.push(...mixture.lines)
    if (run.authenticBeside) tubes.push({ id: reference.id, label: reference.label })
    tubes.push(mixture)
  }
  const packed = tubeLines(tubes, run.fillMm, run.set)
  const ids = write(...lines, ...packed)
  return ids.slice(lines.length)
}

/** The first letter no waiting tube has as its set. */
export function nextSet(taken: readonly (string | null)[]): string {
  const free = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((letter) => !taken.includes(letter))
  return free ?? String(taken.length + 1)
}
