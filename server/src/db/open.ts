import { copyFile, mkdir, readdir, readFile, rename, rm } from 'node:fs/promises'
import { existsSync } from 'node:fs'
import { join, relative } from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { drizzle as drizzlePglite } from 'drizzle-orm/pglite'
import { migrate as migratePglite } from 'drizzle-orm/pglite/migrator'
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core'
import { MIGRATIONS, TEMPLATE } from '../paths'
import * as schema from './schema'

export type Database = PgDatabase<PgQueryResultHKT, typeof schema>

export interface OpenDatabase {
  readonly db: Database
  /** True when the database was made anew and holds nothing yet. */
  readonly fresh: boolean
  close(): Promise<void>
}

type Say = (sentence: string) => void

/**
 * Opens the PGlite folder, from the prepared template on a first start. One that is broken or of another
 * major version is moved aside: the journal rebuilds it.
 */
export async function openPglite(folder: string, say: Say): Promise<OpenDatabase> {
  if (existsSync(folder) && (await isOtherMajor(folder))) {
    say('The database is of another version and is built again from the journal.')
    await moveAside(folder, 'old')
  }
  try {
    return await openFolder(folder, say)
  } catch (error) {
    if (!existsSync(folder)) throw error
    say(`The database could not be opened (${(error as Error).message}); it is built again from the journal.`)
    await moveAside(folder, 'broken')
    return openFolder(folder, say)
  }
}

async function openFolder(folder: string, say: Say): Promise<OpenDatabase> {
  const fresh = !existsSync(folder)
  if (fresh) {
    say('Preparing the database for its first start …')
    if (existsSync(TEMPLATE)) await copyTree(TEMPLATE, folder)
  }
  const client = await PGlite.create(folder)
  const db = drizzlePglite(client, { schema })
  await migratePglite(db, { migrationsFolder: MIGRATIONS })
  return {
    db: db as unknown as Database,
    fresh,
    close: () => client.close(),
  }
}

/** A thousand small files are copied side by side: `cp` takes them one after another, and six times as long. */
async function copyTree(from: string, to: string): Promise<void> {
  const within = (entry: { parentPath: string; name: string }) =>
    relative(from, join(entry.parentPath, entry.name))
  const entries = await readdir(from, { recursive: true, withFileTypes: true })
  await mkdir(to, { recursive: true })
  for (const folder of entries.filter((entry) => entry.isDirectory()))
    await mkdir(join(to, within(folder)), { recursive: true })
  const files = entries.filter((entry) => entry.isFile()).map(within)
  await Promise.all(files.map((file) => copyFile(join(from, file), join(to, file))))
}

/** Makes the template folder a first start copies: a database with every migration in it, and what `fill` puts there. */
export async function prepareTemplate(fill: (db: Database) => Promise<void>): Promise<void> {
  await rm(TEMPLATE, { recursive: true, force: true })
  const making = `${TEMPLATE}.making`
  await rm(making, { recursive: true, force: true })
  const client = await PGlite.create(making)
  const db = drizzlePglite(client, { schema })
  await migratePglite(db, { migrationsFolder: MIGRATIONS })
  await fill(db)
  await client.close()
  await rename(making, TEMPLATE)
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

async function moveAside(folder: string, why: string): Promise<void> {
  let number = 1
  while (existsSync(`${folder}.${why}-${number}`)) number++
  await rename(folder, `${folder}.${why}-${number}`)
}

/** A PostgreSQL server in place of PGlite and journal. */
export async function openPostgres(url: string): Promise<OpenDatabase> {
  const [{ Pool }, { drizzle }, { migrate }] = await Promise.all([
    import('pg').then((module) => module.default),
    import('drizzle-orm/node-postgres'),
    import('drizzle-orm/node-postgres/migrator'),
  ])
  const pool = new Pool({ connectionString: url, max: 8 })
  const db = drizzle(pool, { schema })
  await migrate(db, { migrationsFolder: MIGRATIONS })
  return { db: db as unknown as Database, fresh: false, close: () => pool.end() }
}
