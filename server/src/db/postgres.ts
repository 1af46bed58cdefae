import type { PoolClient } from 'pg'
import { Expected } from '../expected'
import { MIGRATIONS } from '../paths'
import type { Database } from './open'
import * as schema from './schema'

/** A server's own mark on a database: two servers never write to one at a time. */
const LOCK_KEY = 0x1c0c
/** Who holds it, for whoever asks in vain. */
const HOLDER = 'Ivory Crystal'
/** Between attempts to have the lock back after the database was away, ms. */
const RETAKE_MS = 1000
const CONNECT_MOST_MS = 10_000

/** Another server has the database. */
export class DatabaseHeld extends Expected {
  constructor(holder: string) {
    super(`The database is in use by another server (${holder}). Use that one, or stop it first.`)
  }
}
/** The database does not answer for now. */
export class DatabaseAway extends Error {
  constructor() {
    super('The database does not answer. No saved entry is lost. What is not yet saved will be sent again.')
  }
}

/** The database that was named cannot be opened. */
class DatabaseUnusable extends Expected {
  constructor(error: unknown) {
    const first = error instanceof AggregateError ? (error.errors[0] as Error) : (error as Error)
    super(
      `The database named in DATABASE_URL cannot be opened: ${first.message}. Check its address and rights.`,
    )
  }
}

export interface OpenPostgres {
  readonly db: Database
  /** @throws DatabaseAway while this server does not hold the database */
  requireHeld(): Promise<void>
  close(): Promise<void>
}

/**
 * A PostgreSQL server in place of PGlite and journal. One server at a time has it, by an advisory lock that ends with
 * its connection; migrations run under the lock. When the database restarts, connection and lock are taken anew.
 *
 * @param port where this server answers, told to whoever comes second
 * @throws DatabaseHeld when another server has it
 */
export async function openPostgres(
  url: string,
  given: { readonly port: number; readonly say: (sentence: string) => void },
): Promise<OpenPostgres> {
  const [{ Pool }, { drizzle }, { migrate }] = await Promise.all([
    import('pg').then((module) => module.default),
    import('drizzle-orm/node-postgres'),
    import('drizzle-orm/node-postgres/migrator'),
  ])
  const pool = new Pool({
    connectionString: url,
    max: 8,
    connectionTimeoutMillis: CONNECT_MOST_MS,
    application_name: `${HOLDER} at port ${given.port}, process ${process.pid}`,
  })
  // A connection at rest that breaks is only one fewer; without a listener it would end the server.
  pool.on('error', () => undefined)
  // One at work that breaks fails what it was asked; it may tell so more than once.
  pool.on('connect', (client) => {
    client.on('error', () => undefined)
  })
  let holding: PoolClient | null = null
  let isClosing = false

  async function take(): Promise<void> {
    const client = await pool.connect()
    try {
      await lockWith(client)
    } catch (error) {
      // A client that is never given back keeps the pool from ending.
      client.release(true)
      throw error
    }
    client.on('error', () => {
      if (holding !== client) return
      holding = null
      client.release(true)
      if (isClosing) return
      given.say('The database does not answer; new entries are not yet saved.')
      void retake()
    })
    holding = client
  }

  async function lockWith(client: PoolClient): Promise<void> {
    const { rows } = await client.query<{ taken: boolean }>('select pg_try_advisory_lock($1) as taken', [
      LOCK_KEY,
    ])
    if (rows[0]?.taken) return
    const holder = await client.query<{ application_name: string }>(
      `select a.application_name from pg_locks l join pg_stat_activity a using (pid)
        where l.locktype = 'advisory' and l.objid = $1 and l.granted`,
      [LOCK_KEY],
    )
    throw new DatabaseHeld(holder.rows[0]?.application_name ?? 'which has just gone')
  }
  let retaking: Promise<void> | null = null
  function retake(): Promise<void> {
    retaking ??= (async () => {
      while (!holding && !isClosing) {
        await take().then(
          () => {
            given.say('The database is back.')
          },
          (error: unknown) => {
            if (error instanceof DatabaseHeld) given.say(error.message)
          },
        )
        if (!holding) await new Promise((resolve) => setTimeout(resolve, RETAKE_MS))
      }
      retaking = null
    })()
    return retaking
  }

  try {
    await take()
    const db = drizzle(pool, { schema })
    await migrate(db, { migrationsFolder: MIGRATIONS })
    // On a pool, a transaction whose very first word fails keeps its connection for ever: eight of them and the server
    // waits for good. So the connection is taken, and given back, here.
    db.transaction = async (work, config) => {
      const client = await pool.connect()
      let isBroken = true
      try {
        const result = await drizzle(client, { schema }).transaction(work, config)
        isBroken = false
        return result
      } catch (error) {
        isBroken = isAway(error)
        throw error
      } finally {
        client.release(isBroken)
      }
    }
    return {
      db: db as unknown as Database,
      requireHeld: () => (holding ? Promise.resolve() : Promise.reject(new DatabaseAway())),
      async close() {
        isClosing = true
        await retaking
        holding?.release(true)
        holding = null
        await pool.end()
      },
    }
  } catch (error) {
    isClosing = true
    await pool.end()
    throw error instanceof Expected ? error : new DatabaseUnusable(error)
  }
}

/** SQLSTATE classes and system codes of a database that is away, and will be back. */
const AWAY = /^(08|57P|ECONN|ENOTCONN|EPIPE|ETIMEDOUT|ERR_STREAM_(DESTROYED|WRITE_AFTER_END)$)/
const AWAY_WORDS =
  /connection terminated|terminating connection|timeout exceeded when trying to connect|not queryable/i

interface DriverError {
  readonly code?: unknown
  readonly message?: unknown
  readonly cause?: unknown
  readonly errors?: unknown
}

/**
 * Whether an error says that the database is away. What it is made of counts and not its class: the system’s own errors
 * may come from another realm than this module.
 */
export function isAway(error: unknown): boolean {
  for (let one = error; typeof one === 'object' && one !== null; one = (one as DriverError).cause) {
    if (one instanceof DatabaseAway) return true
    const { code, message, errors } = one as DriverError
    if (typeof code === 'string' && AWAY.test(code)) return true
    if (typeof message === 'string' && AWAY_WORDS.test(message)) return true
    if (Array.isArray(errors) && errors.some(isAway)) return true
  }
  return false
}
