import { type Result } from '../../problems'
import { type PlateId, type PrepId, type UnknownId } from '../../ids'
import { type Entry } from '../entry'
import { readPlate, type Lane, type PlateOpinion } from '../../chromatography/readPlate'
import { attempt } from '../../problems'
import { latestLine, type View } from '../fold'
import type { PlateDeveloped } from '../kinds/plate-developed/kind'

/** A plate as it stands in the notebook. */
export interface PlateFacts {
  readonly id: PlateId
  readonly developed: Entry<'plate developed'>
  readonly photograph: Entry<'plate photographed'> | null
  /** null within: no sample was spotted, or nothing was seen in its lane. */
  readonly opinion: Result<PlateOpinion | null>
}

/** Every plate, or those that are a second opinion on one prep or unknown, in the order they were run. */
export function platesOf(view: View, of?: PrepId | UnknownId): readonly PlateFacts[] {
  return [...view.subjects.keys()]
    .flatMap((id) => plateOf(view, id as PlateId) ?? [])
    .filter(({ developed }) => of === undefined || developed.body.of === of)
    .sort((p, q) => (p.developed.id < q.developed.id ? -1 : 1))
}

export function plateOf(view: View, id: PlateId): PlateFacts | null {
  const developed = latestLine(view, id, 'plate developed')
  if (!developed) return null
  return {
    id,
    developed,
    photograph: latestLine(view, id, 'plate photographed'),
    opinion: attempt(() => readPlate(lanesOf(developed.body), developed.body.frontMm.value)),
  }
}

/** The lanes of a plate as numbers. */
export function lanesOf({ lanes }: Pick<PlateDeveloped, 'lanes'>): readonly Lane[] {
  return lanes.map(({ label, kind, spots }) => ({
    label,
    kind,
    spotsMm: spots.map(({ centreMm }) => centreMm.value),
  }))
}

/** The latest plate that says anything of this prep or unknown. */
export function plateOpinionOf(
  view: View,
  of: PrepId | UnknownId,
): { readonly plate: PlateFacts; readonly opinion: PlateOpinion } | null {
  for (const plate of [...platesOf(view, of)].reverse())
    if (plate.opinion.ok && plate.opinion.value) return { plate, opinion: plate.opinion.value }
  return null
}
