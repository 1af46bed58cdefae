import { RESCUES } from '../../../procedures/rescues'
import type { Upcasts } from '../defineKind'
import type { RescueTried } from './kind'

/** Version 1 told the cards by their names alone. */
function withWords(body: unknown): RescueTried {
  const old = body as Omit<RescueTried, 'words'>
  const rescue = RESCUES.find(({ id }) => id === old.rescue)
  const remedy = rescue?.remedies.find(({ id }) => id === old.remedy)
  return { ...old, words: { rescue: rescue?.title ?? old.rescue, remedy: remedy?.text ?? old.remedy } }
}

/** How bodies of earlier versions are read. */
export const upcasts: Upcasts = { 1: withWords }
