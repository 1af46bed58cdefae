import { existsSync } from 'node:fs'
import { stat } from 'node:fs/promises'
import { join } from 'node:path'
import type { NotebookId } from '@ivory-crystal/core/ids'
import { Expected } from './expected'
import { type Damage, readJournal } from './ledger/journal'
import { photographTrouble, picturesIn } from './photographs/store'
import { readShelfFile } from './shelf/rows'

/** What a walk through a data folder found. */
export interface Verified {
  readonly notebooks: readonly {
    readonly id: NotebookId
    readonly title: string
    readonly lines: number
    readonly lastHash: string | null
  }[]
  /** What is not as it was written in the journal. */
  readonly damages: readonly Damage[]
  /** The same of the shelf, of photographs, and of what was expected; sentences. */
  readonly troubles: readonly string[]
  /** What is worth knowing and no trouble. */
  readonly remarks: readonly string[]
  readonly isAsExpected: boolean
}

/** Digits of a hash that tell it from any other. */
const HASH_DIGITS_LEAST = 12

/**
 * Walks every notebook's chain of hashes in a data folder, its shelf, and its photographs. It only reads, so a server
 * may be running.
 *
 * @param expected the hash of a line, or the beginning of one, that was kept elsewhere: it must be found
 * @throws Expected when there is nothing to verify, or the hash is none
 */
export async function verifyFolder(folder: string, expected: string | null = null): Promise<Verified> {
  const wanted = expected?.toLowerCase().replaceAll(/\s/g, '') ?? null
  if (wanted !== null && !(/^[0-9a-f]{1,64}$/.test(wanted) && wanted.length >= HASH_DIGITS_LEAST))
    throw new Expected(
      `“${expected}” is not a hash. Give at least its first ${HASH_DIGITS_LEAST} digits (0 to 9, a to f), as a page or a mail shows them.`,
    )
  const journal = join(folder, 'journal.jsonl')
  if (!existsSync(folder)) throw new Expected(`There is no folder ${folder}.`)
  if (!existsSync(journal)) throw new Expected(`${folder} holds no journal: there is nothing to verify.`)
  if ((await stat(journal)).size === 0)
    throw new Expected(`The journal in ${folder} is empty: there is nothing to verify.`)
  const found = await readWhole(journal, wanted)
  const shelf = await readShelfFile(join(folder, 'shelf.jsonl'))
  const troubles = shelf.damages.map(({ line, reason }) => `Line ${line} of shelf.jsonl: ${reason}`)
  for (const trouble of await picturesIn(folder, photographTrouble)) troubles.push(trouble)
  for (const [sha256, where] of found.pictures)
    if (!existsSync(join(folder, 'photographs', `${sha256}.jpg`)))
      troubles.push(
        `The photograph of ${where} is not in the folder (${sha256.slice(0, 16)}…). It could still be on the device that took it.`,
      )
  if (wanted !== null && found.expectedAt === null)
    troubles.push(
      `No entry has the hash ${wanted}: entries written before it are missing, cut off or rewritten.`,
    )
  const sealed = new Set(shelf.rows.filter(({ sort }) => sort === 'sealed answer').map(({ id }) => id))
  const unsealed = [...found.seals].filter((id) => !sealed.has(id)).length
  return {
    notebooks: found.notebooks,
    damages: found.damages,
    troubles,
    remarks: [
      ...(found.expectedAt === null ? [] : [found.expectedAt]),
      ...(unsealed > 0
        ? [
            `${unsealed} sealed ${unsealed === 1 ? 'answer is' : 'answers are'} not in this folder, as after a restore without the instructor’s word.`,
          ]
        : []),
    ],
    isAsExpected: found.damages.length === 0 && troubles.length === 0,
  }
}

/** All that a journal says, on one walk. */
async function readWhole(journal: string, wanted: string | null) {
  const notebooks = new Map<NotebookId, { title: string; lines: number; lastHash: string | null }>()
  const damages: Damage[] = []
  const pictures = new Map<string, string>()
  const seals = new Set<string>()
  let expectedAt: string | null = null
  const at = (id: NotebookId) => {
    const known = notebooks.get(id) ?? { title: '', lines: 0, lastHash: null }
    notebooks.set(id, known)
    return known
  }
  for await (const one of readJournal(journal)) {
    if (one.step === 'damage') damages.push(one.damage)
    else if (one.step === 'notebook') at(one.id).title = one.title
    else if (one.step === 'lines') {
      const of = at(one.notebook)
      of.lines += one.lines.length
      of.lastHash = one.lines[one.lines.length - 1]?.hash ?? of.lastHash
      for (const { seq, hash, entry } of one.lines) {
        if (wanted !== null && hash.startsWith(wanted))
          expectedAt = `Entry ${seq} of ${of.title || one.notebook} has the hash ${wanted}: it and every entry before it are as they were when that hash was saved.`
        const body = entry.body as { sha256?: unknown; seal?: unknown } | null
        if (entry.kind === 'photographed' && typeof body?.sha256 === 'string')
          pictures.set(body.sha256, `entry ${seq} of ${of.title || one.notebook}`)
        if (entry.kind === 'answer sealed' && typeof body?.seal === 'string') seals.add(body.seal)
      }
    }
  }
  return {
    notebooks: [...notebooks].map(([id, rest]) => ({ id, ...rest })),
    damages,
    pictures,
    seals,
    expectedAt,
  }
}

/** The same, as sentences. */
export function sentencesOf({ notebooks, damages, troubles, remarks, isAsExpected }: Verified): string[] {
  return [
    ...notebooks.map(
      ({ id, title, lines, lastHash }) =>
        `${title} (${id}): ${lines} entries, last hash ${lastHash ?? 'none yet'}`,
    ),
    ...damages.map(({ line, reason }) => `Line ${line} of journal.jsonl: ${reason}`),
    ...troubles,
    ...remarks,
    isAsExpected
      ? 'Every entry follows from the one before it. Only a hash saved elsewhere shows whether the end was cut off or everything was rewritten: give it with --expect=HASH.'
      : `${count(damages.length + troubles.length)} not as written. Start the server: it restores what is still whole in the database.`,
  ]
}

function count(number: number): string {
  return number === 1 ? 'One thing is' : `${number} things are`
}
