import type { EntryId, LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import { type Answer, idMs, type RawEntry } from '@ivory-crystal/core/notebook'
import { refusalOf } from '@ivory-crystal/core/checks'
import { canonicalText } from './chain'

export interface SortedLine {
  readonly accepted?: RawEntry
  readonly answer?: Answer
}

/** Where lines are to go, and what is there. */
interface Home {
  readonly ledger: LedgerId
  readonly notebook: NotebookId
  readonly known: Known
  /** Lines taken in the same write; those of this one are added. */
  readonly taken: Map<string, RawEntry>
  /** The server's clock, ms. */
  readonly now: number
  readonly fromElsewhere: boolean
}

/** A device's clock may be ahead by this much: later ids would push every later one ahead with them, ms. */
const AHEAD_MOST_MS = 24 * 3600 * 1000

export function sortOut(groups: readonly (readonly unknown[])[], home: Home): SortedLine[] {
  const { taken } = home
  return groups.flatMap((group) => {
    const lines = group.map((raw) => sortLine(raw, home))
    const bad = lines.find(({ answer }) => answer && answer.outcome !== 'duplicate')
    if (!bad) {
      for (const { accepted } of lines) if (accepted) taken.set(accepted.id, accepted)
      return lines
    }
    return lines.map(({ accepted, answer }): SortedLine => {
      if (!accepted) return answer ? { answer } : {}
      return {
        answer: {
          id: accepted.id,
          outcome: 'refused',
          sentence: 'Another entry that belongs with it was refused, so neither was saved.',
        },
      }
    })
  })
}

function sortLine(raw: unknown, home: Home): SortedLine {
  const refusal = refusalOf(raw)
  const id = idOf(raw)
  if (refusal) return { answer: { id, outcome: 'refused', sentence: refusal } }
  const entry = raw as RawEntry
  if (idMs(entry.id) > home.now + AHEAD_MOST_MS)
    return {
      answer: {
        id,
        outcome: 'refused',
        sentence:
          'This entry is dated more than a day ahead of the server. Correct the clock of this device.',
      },
    }
  if (entry.notebook !== home.notebook)
    return { answer: { id, outcome: 'refused', sentence: 'This entry belongs to another notebook.' } }
  if (!home.fromElsewhere && entry.ledger !== home.ledger)
    return {
      answer: {
        id,
        outcome: 'refused',
        sentence: 'This entry was written on another ledger; import its notebook instead.',
      },
    }
  const stored = home.known.get(id)
  const same = stored?.entry ?? home.taken.get(id)
  if (!same) return { accepted: entry }
  if (canonicalText(same) !== canonicalText(entry))
    return {
      answer: {
        id,
        outcome: 'conflict',
        sentence: 'Another entry with this id is already in the ledger, with different content.',
      },
    }
  return { answer: { id, outcome: 'duplicate', seq: stored?.seq ?? 0 } }
}

export function idOf(raw: unknown): EntryId {
  const id = (raw as { id?: unknown } | null)?.id
  return (typeof id === 'string' ? id.slice(0, 64) : '') as EntryId
}

export type Known = ReadonlyMap<string, { readonly seq: number; readonly entry: RawEntry }>

export const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/
