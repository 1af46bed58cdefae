import { createWriteStream } from 'node:fs'
import { open, readFile, rename } from 'node:fs/promises'
import { resolve } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import type { Restored } from '@ivory-crystal/core'
import { holderOfFolder } from '../ledger/lock'
import { readBackup } from './read'
import { restoreInto } from './restore'
import { toldOf, verifyFolder } from '../verify'

type Say = (sentence: string) => void

/** A backup could not be made or brought back; the sentence says why. */
export class BackupFailed extends Error {}

/**
 * Writes a backup of the server that has the folder, while it runs.
 *
 * @throws BackupFailed
 */
export async function backupTo(folder: string, file: string | null, nowMs: number, say: Say): Promise<void> {
  const server = await holderOfFolder(folder)
  if (!server)
    throw new BackupFailed(
      `No server runs on ${folder}. Start it first; or copy the folder as it is, while nothing runs on it.`,
    )
  const response = await fetch(`http://127.0.0.1:${server.port}/api/backup`)
  if (!response.ok || !response.body) throw new BackupFailed(await sentenceOf(response))
  const path = resolve(
    file ?? `ivory-crystal-backup-${new Date(nowMs).toISOString().slice(0, 16).replaceAll(':', '-')}.zip`,
  )
  // Under its own name only once it is whole, flushed and checked.
  const making = `${path}.new`
  await pipeline(Readable.fromWeb(response.body as never), createWriteStream(making, { mode: 0o600 }))
  const { facts } = readBackup(await readFile(making))
  const handle = await open(making, 'r')
  await handle.sync()
  await handle.close()
  await rename(making, path)
  for (const { title, seq, hash } of facts.notebooks)
    say(`${title}: at least ${seq} lines, hash ${hash.slice(0, 16)}`)
  say(`${facts.files.length} files, each held against its sum: ${path}`)
}

/**
 * Brings a backup back: into the server that has the folder, or into a folder that holds nothing yet.
 *
 * @throws BackupFailed
 */
export async function restoreFrom(folder: string, file: string, say: Say): Promise<void> {
  const zip = await readFile(file).catch(() => {
    throw new BackupFailed(`${file} cannot be read.`)
  })
  const server = await holderOfFolder(folder)
  if (!server) {
    const facts = await restoreInto(folder, zip)
    const verified = await verifyFolder(folder)
    toldOf(verified).forEach(say)
    for (const { id, title, seq, hash } of facts.notebooks) {
      const there = verified.notebooks.find((one) => one.id === id)
      if (!there || there.lines < seq || (there.lines === seq && there.lastHash !== hash))
        throw new BackupFailed(`“${title}” came back otherwise than it was kept.`)
    }
    say(`${folder} is as it was on ${new Date(facts.madeAt).toISOString()}. Start the server on it.`)
    return
  }
  const response = await fetch(`http://127.0.0.1:${server.port}/api/restore`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/zip' },
    body: zip,
  })
  if (!response.ok) throw new BackupFailed(await sentenceOf(response))
  const told = (await response.json()) as Restored
  for (const { title, lines, here, fresh, refused } of told.notebooks)
    say(
      `${title}: ${lines} lines, ${here} were here, ${fresh - refused} came back${refused > 0 ? `, ${refused} refused` : ''}`,
    )
  say(
    `Photographs: ${told.photographs.all}, ${told.photographs.fresh} came back. Shelf: ${told.shelf.fresh} of ${told.shelf.all} came back.`,
  )
}

async function sentenceOf(response: Response): Promise<string> {
  const answer = (await response.json().catch(() => null)) as { detail?: string } | null
  return answer?.detail ?? `The server answered ${response.status}.`
}
