import type { PlateId } from '../../ids'
import type { Line } from '../entry'
import type { PlateDeveloped } from '../kinds/plate-developed/kind'
import type { PlatePhotographed } from '../kinds/plate-photographed/kind'
import type { PlateFacts } from '../views/plates'
import type { NewId } from './newId'

type Measured = Omit<PlateDeveloped, 'of'>

/** A plate is measured, with the photograph it was measured on. */
export function recordPlate(
  newId: NewId,
  of: PlateDeveloped['of'],
  measured: Measured,
  photograph: PlatePhotographed | null,
): { readonly id: PlateId; readonly lines: readonly Line[] } {
  const id = newId<PlateId>()
  return {
    id,
    lines: [
      { kind: 'plate developed', subject: id, body: { of, ...measured } },
      ...photographed(id, photograph),
    ],
  }
}

/** A plate is measured again: the first measurement is struck, and both stay to be seen. */
export function measureAgain(
  { id, developed, photograph: before }: PlateFacts,
  measured: Measured,
  photograph: PlatePhotographed | null,
): readonly Line[] {
  return [
    { kind: 'struck', subject: id, body: { target: developed.id, reason: 'measured again' } },
    { kind: 'plate developed', subject: id, body: { of: developed.body.of, ...measured } },
    ...photographed(id, photograph === before?.body ? null : photograph),
  ]
}

function photographed(id: PlateId, photograph: PlatePhotographed | null): readonly Line[] {
  return photograph ? [{ kind: 'plate photographed', subject: id, body: photograph }] : []
}
