import type { Answer } from '@ivory-crystal/core/notebook'
import type { SortedLine } from './sortOut'
import type { PlacedLine } from './tables'

/** What is answered for a line: where it stands now, or why it does not. */
export function answerOf(line: SortedLine, stored: ReadonlyMap<string, PlacedLine>): Answer {
  const placed = line.accepted && stored.get(line.accepted.id)
  return placed
    ? { id: placed.entry.id, outcome: 'stored', seq: placed.seq, recordedAt: placed.recordedAt }
    : (line.answer as Answer)
}
