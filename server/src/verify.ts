import { join } from 'node:path'
import type { NotebookId } from '@ivory-crystal/core'
import { type Damage, readJournal } from './ledger/journal'

/** What a walk along the chains of a journal found. */
export interface Verified {
  readonly notebooks: readonly {
    readonly id: NotebookId
    readonly title: string
    readonly lines: number
    readonly lastHash: string | null
  }[]
  readonly damages: readonly Damage[]
}

/** Walks every notebook's chain of hashes in a data folder's journal. It only reads, so a server may be running. */
export async function verifyFolder(folder: string): Promise<Verified> {
  const notebooks = new Map<NotebookId, { title: string; lines: number; lastHash: string | null }>()
  const damages: Damage[] = []
  const at = (id: NotebookId) => {
    const known = notebooks.get(id) ?? { title: '', lines: 0, lastHash: null }
    notebooks.set(id, known)
    return known
  }
  for await (const one of readJournal(join(folder, 'journal.jsonl'))) {
    if (one.step === 'damage') damages.push(one.damage)
    else if (one.step === 'notebook') at(one.id).title = one.title
    else if (one.step === 'lines') {
      const of = at(one.notebook)
      of.lines += one.lines.length
      of.lastHash = one.lines[one.lines.length - 1]?.hash ?? of.lastHash
    }
  }
  return { notebooks: [...notebooks].map(([id, rest]) => ({ id, ...rest })), damages }
}

/** The same, as sentences. */
export function toldOf({ notebooks, damages }: Verified): string[] {
  return [
    ...notebooks.map(
      ({ id, title, lines, lastHash }) =>
        `${title} (${id}): ${lines} lines, last hash ${lastHash ?? 'none yet'}`,
    ),
    ...damages.map(({ line, reason }) => `Line ${line} is damaged. ${reason}`),
    damages.length === 0
      ? 'Every line is as it was written.'
      : `${damages.length} ${damages.length === 1 ? 'line is' : 'lines are'} not as written. Start the server: what the database still has whole is put back.`,
  ]
}
