import { constants, createReadStream, createWriteStream, existsSync } from 'node:fs'
import { access, link, rm } from 'node:fs/promises'
import { dirname, resolve } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import type { Restored } from '@ivory-crystal/core/wire'
import { Expected } from '../expected'
import { holderOfFolder } from '../ledger/lock'
import { flushFolder } from '../lineFile'
import { restoreInto } from './restore'
import { WORD_HEADER } from './routes'
import { stageBackup } from './stage'
import { sentencesOf, verifyFolder } from '../verify'

type Say = (sentence: string) => void

/** A backup could not be made or brought back; the sentence says why. */
class BackupFailed extends Expected {}

/**
 * Writes a backup of the server that has the folder, while it runs.
 *
 * @throws BackupFailed
 */
export async function backupTo(
  folder: string,
  file: string | null,
  { nowMs, word, say }: { readonly nowMs: number; readonly word: string | null; readonly say: Say },
): Promise<void> {
  const server = await holderOfFolder(folder)
  if (!server)
    throw new BackupFailed(
      `No server runs on ${folder}. Start it first; or copy the folder as it is, while nothing runs on it.`,
    )
  const path = resolve(
    file ?? `ivory-crystal-backup-${new Date(nowMs).toISOString().slice(0, 16).replaceAll(':', '-')}.zip`,
  )
  if (existsSync(path))
    throw new BackupFailed(`${path} is there already. Name another file, or move that one away.`)
  if (!existsSync(dirname(path)))
    throw new BackupFailed(`There is no folder ${dirname(path)} to put the backup into.`)
  const response = await fetch(`http://127.0.0.1:${server.port}/api/backup`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ word }),
  })
  if (!response.ok || !response.body) throw new BackupFailed(await sentenceOf(response))
  // Under its own name only once it is whole, flushed and checked.
  const making = `${path}.${process.pid}.new`
  const checking = `${making}.unpacked`
  const { facts } = await (async () => {
    try {
      await pipeline(
        Readable.fromWeb(response.body as never),
        createWriteStream(making, { mode: 0o600, flags: 'wx', flush: true }),
      )
      const staged = await stageBackup(making, checking, word)
      // Of two that are made at once under one name, the first has it.
      await link(making, path)
      return staged
    } finally {
      await rm(making, { force: true })
      await rm(checking, { recursive: true, force: true })
    }
  })()
  await flushFolder(dirname(path))
  for (const { title, seq, hash } of facts.notebooks)
    say(`${title}: at least ${seq} lines, hash ${hash.slice(0, 16)}`)
  say(`${facts.files.length} files, each held against its sum: ${path}`)
  if ((facts.sealedAnswers ?? 0) > 0 && word === null)
    say(
      `${facts.sealedAnswers} sealed answers are not in it. With the instructor’s word in IVORY_CRYSTAL_WORD they are included, encrypted.`,
    )
}

/**
 * Brings a backup back: into the server that has the folder, or into a folder that holds nothing yet.
 *
 * @throws BackupFailed
 */
export async function restoreFrom(
  folder: string,
  file: string,
  { word, say }: { readonly word: string | null; readonly say: Say },
): Promise<void> {
  await access(file, constants.R_OK).catch(() => {
    throw new BackupFailed(`${file} cannot be read.`)
  })
  const server = await holderOfFolder(folder)
  if (!server) {
    const { facts, remarks } = await restoreInto(folder, file, word)
    const verified = await verifyFolder(folder)
    sentencesOf(verified).forEach(say)
    remarks.forEach(say)
    for (const { id, title, seq, hash } of facts.notebooks) {
      const there = verified.notebooks.find((one) => one.id === id)
      if (!there || there.lines < seq || (there.lines === seq && there.lastHash !== hash))
        throw new BackupFailed(`“${title}” was restored differently from how it was saved.`)
    }
    say(`${folder} is as it was on ${new Date(facts.madeAt).toISOString()}. Start the server on it.`)
    return
  }
  const response = await fetch(`http://127.0.0.1:${server.port}/api/restore`, {
    method: 'POST',
    headers: {
      'Content-Type': 'application/zip',
      ...(word === null ? {} : { [WORD_HEADER]: encodeURIComponent(word) }),
    },
    body: Readable.toWeb(createReadStream(file)) as ReadableStream,
    duplex: 'half',
  } as RequestInit)
  if (!response.ok) throw new BackupFailed(await sentenceOf(response))
  const restored = (await response.json()) as Restored
  for (const { title, lines, here, fresh, refused } of restored.notebooks)
    say(
      `${title}: ${lines} lines, ${here} were here, ${fresh} came back${refused > 0 ? `, ${refused} refused` : ''}`,
    )
  restored.remarks.forEach(say)
  say(
    `Photographs: ${restored.photographs.all}, ${restored.photographs.fresh} came back. Shelf: ${restored.shelf.fresh} of ${restored.shelf.all} came back.`,
  )
}

async function sentenceOf(response: Response): Promise<string> {
  const answer = (await response.json().catch(() => null)) as { detail?: string } | null
  return answer?.detail ?? `The server answered ${response.status}.`
}
