import { join } from 'node:path'
import { SYSTEM_CLOCK } from './clock'
import { BackupFailed, backupTo, restoreFrom } from './backup/command'
import { prepareTemplate } from './db/open'
import { HttpProblem } from './http/problem'
import { FolderHeld } from './ledger/lock'
import { PROJECT } from './paths'
import { seedShelf } from './shelf/seed'
import { toldOf, verifyFolder } from './verify'
import { carryOver, NotEqual } from './carry'
import { DatabaseHeld } from './db/postgres'
import { NoRoom } from './disk'
import { FolderUnusable, PortTaken, startServer } from './server'

const DEFAULT_PORT = 4321
const say = (sentence: string) => {
  process.stdout.write(`${sentence}\n`)
}

/** The word after an option; null where there is none, undefined where there is no such option. */
function valueOf(option: string): string | null | undefined {
  const at = process.argv.indexOf(option)
  if (at < 0) return undefined
  const next = process.argv.slice(at + 1).find((word) => !word.startsWith('--'))
  return next ?? null
}

async function main(): Promise<void> {
  // What is written here is its user's alone.
  process.umask(0o077)
  if (process.argv.includes('--prepare-template')) return prepareTemplate((db) => seedShelf(db, SYSTEM_CLOCK))
  const demo = process.argv.includes('--demo')
  const folder = process.env['IVORY_CRYSTAL_DATA'] ?? join(PROJECT, demo ? 'demo-data' : 'data')
  if (process.argv.includes('--verify')) {
    const verified = await verifyFolder(folder)
    toldOf(verified).forEach(say)
    process.exitCode = verified.damages.length > 0 ? 1 : 0
    return
  }
  const [backup, from] = ['--backup', '--restore'].map(valueOf)
  if (backup !== undefined) return backupTo(folder, backup, SYSTEM_CLOCK.now(), say)
  if (from !== undefined) {
    if (from === null) throw new BackupFailed('Name the file to restore from: npm run restore -- backup.zip')
    return restoreFrom(folder, from, say)
  }
  const port = Number(process.env['PORT'] ?? DEFAULT_PORT)
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new Error(`PORT is “${process.env['PORT']}”; it is a whole number up to 65535.`)
  const carryTo = process.argv.find((one) => one.startsWith('--carry-to='))?.slice('--carry-to='.length)
  if (carryTo) return carryOver(folder, carryTo, say)
  const server = await startServer({
    folder,
    port,
    demo,
    byHand: process.env['IVORY_CRYSTAL_TEST'] === 'advance by hand',
    databaseUrl: process.env['DATABASE_URL'],
    say,
  })
  const stop = () => {
    // Pressed again it is the same ending: what was acknowledged is flushed, and the lock given back, once.
    void server.close().then(
      () => process.exit(0),
      () => process.exit(1),
    )
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
  say(
    `Ivory Crystal is at http://127.0.0.1:${server.port}${demo ? ', with the demo notebook' : ''}. Stop it with Ctrl+C.`,
  )
}

main().catch((error: unknown) => {
  const expected = [
    FolderHeld,
    PortTaken,
    FolderUnusable,
    NoRoom,
    DatabaseHeld,
    NotEqual,
    BackupFailed,
    HttpProblem,
  ].some((known) => error instanceof known)
  process.stderr.write(`${expected ? (error as Error).message : String((error as Error).stack ?? error)}\n`)
  process.exit(1)
})
