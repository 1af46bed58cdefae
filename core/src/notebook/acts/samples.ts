import type { SampleId } from '../../ids'
import type { Compound } from '../../substances/shelf'
import type { Reading } from '../../units'
import type { Line } from '../entry'
import type { NamedSample } from '../views/samples'
import type { NewId } from './newId'

/** How two samples are ground together. */
export interface Grinding {
  readonly massFractionFirst: number
  readonly by: 'mass' | 'eye'
  readonly massesG: readonly [Reading, Reading] | null
}
export const EQUAL_BY_EYE: Grinding = { massFractionFirst: 0.5, by: 'eye', massesG: null }

type Named = Pick<NamedSample, 'id' | 'label'>

/** An authentic sample of a compound is at hand. */
export function authenticAtHand(
  newId: NewId,
  compound: Compound,
): { readonly id: SampleId; readonly lines: readonly Line[] } {
  const id = newId<SampleId>()
  const body = {
    prep: null,
    role: 'authentic' as const,
    label: `Authentic ${compound.name}`,
    compound,
    of: [],
  }
  return { id, lines: [{ kind: 'sample named', subject: id, body }] }
}

/** Two samples are ground together. */
export function grind(
  newId: NewId,
  first: Named,
  second: Named,
  grinding: Grinding,
): { readonly id: SampleId; readonly label: string; readonly lines: readonly Line[] } {
  const id = newId<SampleId>()
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

/** A tube of each is packed, finely and alike, of one set. */
export function packTubes(samples: readonly Named[], fillMm: number, set: string | null): readonly Line[] {
  return samples.map(({ id, label }) => ({
    kind: 'tube packed',
    subject: id,
    body: { sample: id, label, fillMm, grain: 'fine', set },
  }))
}

/** What goes into one mixed run. */
export interface MixedRun {
  readonly sample: Named
  readonly references: readonly { readonly compound: Compound; readonly authentic: NamedSample | null }[]
  readonly grinding: Grinding
  /** Whether the authentic samples get tubes of their own. */
  readonly authenticBeside: boolean
  readonly fillMm: number
  readonly set: string
}

/**
 * The mixtures of a run are named and ground, and a tube of each part and mixture is packed.
 *
 * @returns the lines, the packed tubes last, and how many those are
 */
export function packMixedRun(
  newId: NewId,
  run: MixedRun,
): { readonly lines: readonly Line[]; readonly tubes: number } {
  const lines: Line[] = []
  const tubes: Named[] = [run.sample]
  for (const { compound, authentic } of run.references) {
    const named = authentic ? null : authenticAtHand(newId, compound)
    if (named) lines.push(...named.lines)
    const reference = authentic ?? { id: named?.id as SampleId, label: `Authentic ${compound.name}` }
    const mixture = grind(newId, run.sample, { ...reference, label: compound.name }, run.grinding)
    lines.push(...mixture.lines)
    if (run.authenticBeside) tubes.push({ id: reference.id, label: reference.label })
    tubes.push(mixture)
  }
  return { lines: [...lines, ...packTubes(tubes, run.fillMm, run.set)], tubes: tubes.length }
}

/** The first letter no waiting tube has as its set. */
export function nextSet(taken: readonly (string | null)[]): string {
  const free = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((letter) => !taken.includes(letter))
  return free ?? String(taken.length + 1)
}
