import type { KnownEntry } from './entry'
import type { KindDefinition } from './kinds/defineKind'
import { KINDS } from './kinds/list'

/** What a line says, in a sentence. */
export function sentenceOf(entry: KnownEntry): string {
  return (KINDS[entry.kind] as KindDefinition<KnownEntry['body']>).sentence(entry.body)
}
