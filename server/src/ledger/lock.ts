import { SYSTEM_CLOCK } from '../clock'
import { Expected } from '../expected'
import { link, open, readFile, rm, stat } from 'node:fs/promises'
import { randomUUID } from 'node:crypto'

export interface Holder {
  readonly pid: number
  /** When the holding process began, in the kernel's ticks; tells a recycled process id from its first owner. */
  readonly processStart: string | null
  readonly startedAt: number
  readonly port: number
}

/** Another live server has the folder. */
export class FolderHeld extends Expected {
  constructor(
    folder: string,
    readonly holder: Holder,
  ) {
    super(
      `${folder} is in use by the server with process id ${holder.pid}, at http://127.0.0.1:${holder.port} since ${new Date(holder.startedAt).toISOString()}. Use that one, or stop it first.`,
    )
  }
}

/** How often a lock is looked at before it is given up, and how long between, ms. */
const ATTEMPTS = 200
const WAIT_MS = 25
/** Whoever takes a stale lock away is done long before this, or gone, ms. */
const TAKING_MOST_MS = 3000

/**
 * Takes the data folder for this process. A lock whose process is gone is taken over.
 *
 * A lock appears whole or not at all: a file written under another name, then linked to its own, which of many only
 * one can do. A stale one is taken away only by whoever holds `server.lock.taking`, having looked once more.
 *
 * @returns releases the lock
 * @throws FolderHeld when a live server has it
 */
export async function takeLock(
  folder: string,
  holder: Omit<Holder, 'pid' | 'processStart'>,
): Promise<() => Promise<void>> {
  const path = `${folder}/server.lock`
  const mine: Holder = { ...holder, pid: process.pid, processStart: await processStart(process.pid) }
  const text = JSON.stringify(mine)
  const own = `${path}.${process.pid}-${randomUUID().slice(0, 8)}`
  const file = await open(own, 'wx', 0o600)
  await file.writeFile(text)
  await file.close()
  try {
    for (let attempt = 0; attempt < ATTEMPTS; attempt++) {
      if (await linked(own, path)) return () => release(path, text)
      const seen = await readFile(path, 'utf8').catch(() => null)
      if (seen === null) continue
      const other = holderOf(seen)
      if (other && (await isAlive(other))) throw new FolderHeld(folder, other)
      await takeAway(path)
    }
    throw new Error(`The lock of ${folder} could not be taken: others take it at the same time.`)
  } finally {
    await rm(own, { force: true })
  }
}

async function linked(own: string, path: string): Promise<boolean> {
  try {
    await link(own, path)
    return true
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false
    throw error
  }
}

async function takeAway(path: string): Promise<void> {
  const taking = `${path}.taking`
  try {
    await (await open(taking, 'wx', 0o600)).close()
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error
    const { mtimeMs } = await stat(taking).catch(() => ({ mtimeMs: Infinity }))
    if (SYSTEM_CLOCK.now() - mtimeMs > TAKING_MOST_MS) await rm(taking, { force: true })
    await new Promise((resolve) => setTimeout(resolve, WAIT_MS))
    return
  }
  try {
    const other = holderOf(await readFile(path, 'utf8').catch(() => ''))
    if (!other || !(await isAlive(other))) await rm(path, { force: true })
  } finally {
    await rm(taking, { force: true })
  }
}

/** Only a lock that is still one's own is taken away. */
async function release(path: string, text: string): Promise<void> {
  if ((await readFile(path, 'utf8').catch(() => null)) === text) await rm(path, { force: true })
}

function holderOf(text: string): Holder | null {
  try {
    const read = JSON.parse(text) as Holder
    return Number.isInteger(read.pid) ? read : null
  } catch {
    return null
  }
}

/** The live server that has a folder, or null. */
export async function holderOfFolder(folder: string): Promise<Holder | null> {
  const holder = holderOf(await readFile(`${folder}/server.lock`, 'utf8').catch(() => ''))
  return holder && (await isAlive(holder)) ? holder : null
}

async function isAlive(holder: Holder): Promise<boolean> {
  try {
    process.kill(holder.pid, 0)
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ESRCH') return false
  }
  const start = await processStart(holder.pid)
  // Where the system tells when a process began, a lock always says it: one that does not was not written by us.
  return start === null || start === holder.processStart
}

/** Field 22 of /proc/PID/stat; null where there is no such file system. */
async function processStart(pid: number): Promise<string | null> {
  try {
    const stat = await readFile(`/proc/${pid}/stat`, 'utf8')
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null
  } catch {
    return null
  }
}
