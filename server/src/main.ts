import { join } from 'node:path'
import { readOptions, requireOneOf } from '../../scripts/options.mjs'
import { SYSTEM_CLOCK } from './clock'
import { backupTo, restoreFrom } from './backup/command'
import { carryOver } from './carry'
import { prepareTemplate } from './db/open'
import { Expected } from './expected'
import { reasonOf } from './folder'
import { HttpProblem } from './http/problem'
import { PROJECT } from './paths'
import { startServer } from './server'
import { seedShelf } from './shelf/seed'
import { sentencesOf, verifyFolder } from './verify'

const DEFAULT_PORT = 4321
const say = (sentence: string) => {
  process.stdout.write(`${sentence}\n`)
}

const OPTIONS = {
  demo: 'flag',
  fresh: 'flag',
  verify: 'flag',
  expect: 'value',
  backup: 'flag',
  restore: 'flag',
  'carry-to': 'value',
  'prepare-template': 'flag',
} as const

/** What is done instead of serving. */
const COMMANDS = ['verify', 'backup', 'restore', 'carry-to', 'prepare-template'] as const

async function main(): Promise<void> {
  // What is written here is its user's alone.
  process.umask(0o077)
  const { values, files } = readOptions(process.argv.slice(2), OPTIONS, 1)
  requireOneOf(values, COMMANDS)
  const [file = null] = files
  if (file !== null && !values.backup && !values.restore)
    throw new Expected(
      `“${file}” is not understood here: only --backup and --restore take the name of a file.`,
    )
  if (values.expect !== undefined && !values.verify)
    throw new Expected('“--expect=…” belongs to --verify: it says which hash must be found.')
  if (values['prepare-template']) return prepareTemplate((db) => seedShelf(db, SYSTEM_CLOCK))
  const demo = values.demo === true
  const folder = folderNamed() ?? join(PROJECT, demo ? 'demo-data' : 'data')
  const word = process.env['IVORY_CRYSTAL_WORD'] || null
  if (values.verify) {
    const verified = await verifyFolder(folder, values.expect ?? null)
    sentencesOf(verified).forEach(say)
    process.exitCode = verified.isAsExpected ? 0 : 1
    return
  }
  if (values.backup) return backupTo(folder, file, { nowMs: SYSTEM_CLOCK.now(), word, say })
  if (values.restore) {
    if (file === null) throw new Expected('Name the file to restore from: npm run restore -- backup.zip')
    return restoreFrom(folder, file, { word, say })
  }
  if (values['carry-to']) return carryOver(folder, values['carry-to'], say)
  const server = await startServer({
    folder,
    port: portNamed(),
    demo,
    isFresh: values.fresh === true,
    byHand: process.env['IVORY_CRYSTAL_TEST'] === 'advance by hand',
    databaseUrl: process.env['DATABASE_URL'] || undefined,
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

/** @throws Expected when the variable is set and names nothing */
function folderNamed(): string | undefined {
  const named = process.env['IVORY_CRYSTAL_DATA']
  if (named !== undefined && named.trim() === '')
    throw new Expected('IVORY_CRYSTAL_DATA is empty. Name a folder with it, or leave it unset.')
  return named
}

/** @throws Expected when the variable is set and is no port: each port has an outbox of its own in the browser */
function portNamed(): number {
  const named = process.env['PORT']
  if (named === undefined) return DEFAULT_PORT
  const port = /^\d{1,5}$/.test(named) ? Number(named) : NaN
  if (!(port <= 65_535))
    throw new Expected(
      `PORT is “${named}”. Give a whole number up to 65535, or leave it unset for ${DEFAULT_PORT}.`,
    )
  return port
}

/** One sentence for whoever stands at the command line; where it broke is told only when it is asked for. */
function sentenceOf(error: unknown): string {
  if (error instanceof Expected || error instanceof HttpProblem) return error.message
  const { message, stack, code, path, name } = error as NodeJS.ErrnoException
  if (name === 'WrongOption') return message
  const isAsked = process.env['LOG_LEVEL'] === 'debug'
  const reason =
    code === undefined ? message : `${path === undefined ? '' : `${path}: `}${reasonOf(error as Error)}`
  return isAsked ? String(stack) : `It failed: ${reason}. (LOG_LEVEL=debug shows where.)`
}

main().catch((error: unknown) => {
  process.stderr.write(`${sentenceOf(error)}\n`)
  process.exit(1)
})
