import { chmod, copyFile, mkdir, readdir, readFile, rename, rm } from 'node:fs/promises'
import { existsSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite'
import { migrate as migratePglite } from 'drizzle-orm/pglite/migrator'
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core'
import { MIGRATIONS, TEMPLATE } from '../paths'
import { type FreeMB, NoRoom, requireRoom, ROOM_LEAST_MB } from '../disk'
import { freeName } from '../lineFile'
import * as schema from './schema'

export type Database = PgDatabase<PgQueryResultHKT, typeof schema>

type Say = (sentence: string) => void

/** What a new database needs, with room to spare, MB. */
const NEW_DATABASE_MB = ROOM_LEAST_MB + 80

/**
 * Opens the PGlite folder, from the prepared template on a first start, and does with it what a start does. One that
 * is broken (its tables as well as its catalogue: whatever fails then), differs from the journal, or is of another
 * major version is moved aside, and the journal builds it again. Nothing is moved while there is no room for a new one.
 */
export async function openPglite<T>(
  folder: string,
  given: { readonly say: Say; readonly free: FreeMB },
  begin: (db: Database) => Promise<T>,
): Promise<{ readonly close: () => Promise<void>; readonly begun: T }> {
  const { say } = given
  const again = async (why: string, as: string) => {
    await requireRoom(dirname(folder), given.free, NEW_DATABASE_MB)
    say(`${why} It will be rebuilt from the journal.`)
    const aside = freeName(folder, as)
    await rename(folder, aside)
    try {
      return await openFolder(folder, say, begin)
    } catch (error) {
      // What was made just now holds nothing of its own: the one that was there is put back, so that tries leave no trail.
      await rm(folder, { recursive: true, force: true })
      await rename(aside, folder)
      throw error
    }
  }
  if (existsSync(folder) && (await isOtherMajor(folder)))
    return again('The database is of another version.', 'old')
  if (!existsSync(folder)) await requireRoom(dirname(folder), given.free, NEW_DATABASE_MB)
  try {
    return await openFolder(folder, say, begin)
  } catch (error) {
    if (error instanceof NoRoom || !existsSync(folder)) throw error
    return again(`The database could not be used (${messageOf(error)}).`, 'broken')
  }
}

/** What a database says, without the statement it was asked. */
export function messageOf(error: unknown): string {
  const { message, cause } = error as Error
  return cause instanceof Error ? cause.message : message
}

/**
 * PostgreSQL as it comes keeps 128 MB of buffers for a hundred at once; here one process asks, for some megabytes. With
 * less it opens in half the time and leaves 200 MB to the machine.
 */
const SMALL = [
  ...PGlite.defaultStartParams,
  ...['shared_buffers=16MB', 'max_connections=4'].flatMap((setting) => ['-c', setting]),
]

/** A folder left by a process that was killed while opening it may never open: after this long it is given up, ms. */
const OPEN_MOST_MS = 60_000

async function openFolder<T>(
  folder: string,
  say: Say,
  begin: (db: Database) => Promise<T>,
): Promise<{ readonly close: () => Promise<void>; readonly begun: T }> {
  if (!existsSync(folder)) {
    say('Preparing the database for its first start …')
    if (existsSync(TEMPLATE)) await copyTemplate(folder, say)
  }
  const client = await inTime(PGlite.create(folder, { startParams: SMALL }))
  try {
    const db = drizzlePglite(client, { schema })
    await migratePglite(db, { migrationsFolder: MIGRATIONS })
    return { begun: await begin(db), close: () => client.close() }
  } catch (error) {
    await client.close().catch(() => undefined)
    throw error
  }
}

async function inTime<T>(opening: Promise<T>): Promise<T> {
  let timer: NodeJS.Timeout | undefined
  try {
    return await Promise.race([
      opening,
      new Promise<never>((_, reject) => {
        timer = setTimeout(() => {
          reject(new Error('it did not open in time'))
        }, OPEN_MOST_MS)
      }),
    ])
  } finally {
    clearTimeout(timer)
  }
}

/** A template that this user may not read is done without: a new database takes a few seconds longer then. */
async function copyTemplate(folder: string, say: Say): Promise<void> {
  try {
    await copyTree(TEMPLATE, folder)
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException
    if (code !== 'EACCES' && code !== 'EPERM' && code !== 'ENOENT') throw error
    say(
      'The prepared database cannot be read by this user. It will be made again, which takes a few seconds longer.',
    )
    await rm(folder, { recursive: true, force: true })
  }
}

/** A thousand small files are copied side by side: `cp` takes them one after another, and six times as long. */
async function copyTree(from: string, to: string): Promise<void> {
  const within = (entry: { parentPath: string; name: string }) =>
    relative(from, join(entry.parentPath, entry.name))
  const entries = await readdir(from, { recursive: true, withFileTypes: true })
  await mkdir(to, { recursive: true, mode: OWN_FOLDER })
  for (const folder of entries.filter((entry) => entry.isDirectory()))
    await mkdir(join(to, within(folder)), { recursive: true, mode: OWN_FOLDER })
  const files = entries.filter((entry) => entry.isFile()).map(within)
  await Promise.all(
    files.map(async (file) => {
      await copyFile(join(from, file), join(to, file))
      await chmod(join(to, file), OWN_FILE)
    }),
  )
}

const OWN_FOLDER = 0o700
const OWN_FILE = 0o600

/** Makes the template folder a first start copies: a database with every migration in it, and what `fill` puts there. */
export async function prepareTemplate(fill: (db: Database) => Promise<void>): Promise<void> {
  await rm(TEMPLATE, { recursive: true, force: true })
  const making = `${TEMPLATE}.making`
  await rm(making, { recursive: true, force: true })
  const client = await PGlite.create(making, { startParams: SMALL })
  const db = drizzlePglite(client, { schema })
  await migratePglite(db, { migrationsFolder: MIGRATIONS })
  await fill(db)
  await client.close()
  await openToAll(making)
  await rename(making, TEMPLATE)
}

/** The template holds reference values only: whoever may run the program may read it. */
async function openToAll(folder: string): Promise<void> {
  await chmod(folder, 0o755)
  for (const entry of await readdir(folder, { recursive: true, withFileTypes: true }))
    await chmod(join(entry.parentPath, entry.name), entry.isDirectory() ? 0o755 : 0o644)
}

async function isOtherMajor(folder: string): Promise<boolean> {
  const major = (of: string) =>
    readFile(join(of, 'PG_VERSION'), 'utf8').then(
      (text) => text.trim(),
      () => null,
    )
  const [ours, templates] = [await major(folder), await major(TEMPLATE)]
  return ours !== null && templates !== null && ours !== templates
}
