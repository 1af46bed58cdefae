import type { Upcasts } from '../defineKind'

/** How bodies of earlier versions are read. */
export const upcasts: Upcasts = { 1: (body) => ({ ...(body as object), from: 'typed' }) }
