import type { Upcasts } from '../defineKind'
import type { SolventAdded } from './kind'

/** How bodies of earlier versions are read. */
export const upcasts: Upcasts = {
  1: (body) => {
    const old = body as Pick<SolventAdded, 'volume' | 'use'>
    return { ...old, drops: null, hot: old.use !== 'rinse' }
  },
}
