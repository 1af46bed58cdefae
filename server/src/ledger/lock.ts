import { open, readFile, rm } from 'node:fs/promises'

export interface Holder {
  readonly pid: number
  /** When the holding process began, in the kernel's ticks; tells a recycled process id from its first owner. */
  readonly processStart: string | null
  readonly startedAt: number
  readonly port: number
}

/** Another live server has the folder. */
export class FolderHeld extends Error {
  constructor(
    folder: string,
    readonly holder: Holder,
  ) {
    super(
      `${folder} is in use by the server with process id ${holder.pid}, at http://127.0.0.1:${holder.port} since ${new Date(holder.startedAt).toISOString()}. Use that one, or stop it first.`,
    )
  }
}

/**
 * Takes the data folder for this process. A lock whose process is gone is taken over.
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
  for (let attempt = 0; attempt < 3; attempt++) {
    try {
      const file = await open(path, 'wx')
      await file.writeFile(JSON.stringify(mine))
      await file.close()
      return () => rm(path, { force: true })
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error
    }
    const other = await readHolder(path)
    if (other && (await isAlive(other))) throw new FolderHeld(folder, other)
    await rm(path, { force: true })
  }
  throw new Error(`The lock of ${folder} could not be taken.`)
}

async function readHolder(path: string): Promise<Holder | null> {
  try {
    return JSON.parse(await readFile(path, 'utf8')) as Holder
  } catch {
    return null
  }
}

async function isAlive(holder: Holder): Promise<boolean> {
  try {
    process.kill(holder.pid, 0)
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ESRCH') return false
  }
  const start = await processStart(holder.pid)
  return start === null || holder.processStart === null || start === holder.processStart
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
