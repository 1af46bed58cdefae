import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import { type Damage, type JournalStep, readJournal } from './journal'
import type { Survey } from './tables'

interface Counted {
  title: string
  createdAt: number
  count: number
  seq: number
  hash: string
  /** The beginning of the hash of each line, by number. */
  hashes: string[]
}
export interface SurveyedJournal extends Survey {
  readonly notebooks: ReadonlyMap<NotebookId, Counted>
}
export interface Surveyed {
  readonly survey: SurveyedJournal
  readonly damages: readonly Damage[]
}

/** So much of a hash tells one line from another. */
export const HASH_START = 16

/** Counts what a journal says, step by step. */
export function surveyor() {
  let ledger: LedgerId | null = null
  const notebooks = new Map<NotebookId, Counted>()
  const damages: Damage[] = []
  const at = (id: NotebookId): Counted => {
    const known = notebooks.get(id)
    if (known) return known
    const made = { title: LOST_TITLE, createdAt: 0, count: 0, seq: 0, hash: '', hashes: [] }
    notebooks.set(id, made)
    return made
  }
  return {
    take(one: JournalStep): void {
      if (one.step === 'ledger') ledger = one.id
      else if (one.step === 'damage') damages.push(one.damage)
      else if (one.step === 'notebook')
        Object.assign(at(one.id), { title: one.title, createdAt: one.createdAt })
      else {
        const counted = at(one.notebook)
        for (const { seq, hash } of one.lines) {
          counted.count += 1
          counted.hashes[seq] = hash.slice(0, HASH_START)
          if (seq >= counted.seq) Object.assign(counted, { seq, hash })
        }
      }
    },
    surveyed: (): Surveyed => ({ survey: { ledger, notebooks }, damages }),
  }
}

export async function surveyJournal(path: string): Promise<Surveyed> {
  const { take, surveyed } = surveyor()
  for await (const one of readJournal(path)) take(one)
  return surveyed()
}

/** A notebook whose own line is lost is still a notebook. */
export const LOST_TITLE = 'Notebook whose title was lost'
