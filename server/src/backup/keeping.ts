import { stat } from 'node:fs/promises'
import { join } from 'node:path'
import type { Keeping } from '@ivory-crystal/core/wire'
import type { BackupParts } from './parts'
import { JOURNAL, SHELF } from './format'

const infoOf = (path: string) => stat(path).catch(() => null)

/** What is stored where, how much of it, and when it was last flushed to the disk. */
export async function keepingOf({ folder, isElsewhere, store, photographs }: BackupParts): Promise<Keeping> {
  const journal = await infoOf(join(folder, JOURNAL))
  const shelf = await infoOf(join(folder, SHELF))
  const pictures = await photographs.all()
  const sizes = await Promise.all(
    pictures.map((sha256) => infoOf(join(folder, 'photographs', `${sha256}.jpg`))),
  )
  const notebooks = []
  for (const { id, title } of await store.notebooks())
    notebooks.push({ id, title, ...(await store.head(id)) })
  return {
    folder,
    isElsewhere,
    journalBytes: journal?.size ?? 0,
    // The journal is flushed with every line it takes, before the line is acknowledged.
    flushedAt: journal && !isElsewhere ? journal.mtimeMs : null,
    shelfBytes: shelf?.size ?? 0,
    photographs: { count: pictures.length, bytes: sizes.reduce((sum, info) => sum + (info?.size ?? 0), 0) },
    notebooks,
  }
}
