import { attempt, type Result } from '../../problems'
import type { PlateId, PrepId, UnknownId } from '../../ids'
import type { Entry } from '../entry'
import { plateTrouble } from '../../chromatography/plateTrouble'
import { type Lane, type PlateOpinion, readPlate } from '../../chromatography/readPlate'
import type { View } from '../fold'
import { latestLine, memoize, subjectsWith } from '../read'
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
export const platesOf = memoize((view: View, of: PrepId | UnknownId | undefined): readonly PlateFacts[] =>
  subjectsWith(view, 'plate developed')
    .flatMap((id) => latestLine(view, id, 'plate developed') ?? [])
    .filter(({ body }) => of === undefined || body.of === of)
    .sort((p, q) => (p.id < q.id ? -1 : 1))
    .flatMap(({ subject }) => plateOf(view, subject) ?? []),
)

export const plateOf = memoize((view: View, id: PlateId): PlateFacts | null => {
  const developed = latestLine(view, id, 'plate developed')
  if (!developed) return null
  return {
    id,
    developed,
    photograph: latestLine(view, id, 'plate photographed'),
    opinion: attempt(() =>
      readPlate(lanesOf(developed.body), developed.body.frontMm.value, plateTroubleOf(developed.body)),
    ),
  }
})

/** What of the measures of a recorded plate spoils its reading. */
function plateTroubleOf({
  lineMm,
  frontMm,
  size,
}: Pick<PlateDeveloped, 'lineMm' | 'frontMm' | 'size'>): readonly string[] {
  return plateTrouble({ lineMm, frontMm: frontMm.value, heightMm: size.heightMm })
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
