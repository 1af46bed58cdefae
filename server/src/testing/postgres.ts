import { execFile, spawn } from 'node:child_process'
import { chown, mkdtemp, readdir, rm } from 'node:fs/promises'
import { existsSync, readFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'

const run = promisify(execFile)

/** A PostgreSQL cluster made for a test and thrown away after it. */
export interface Cluster {
  readonly url: string
  restart(): Promise<void>
  remove(): Promise<void>
}

/** PostgreSQL's programs, where Debian puts them; null when they are not on this machine. */
export async function postgresPrograms(): Promise<string | null> {
  const versions = await readdir('/usr/lib/postgresql').catch(() => [])
  const newest = versions.sort((p, q) => Number(q) - Number(p))[0]
  const bin = `/usr/lib/postgresql/${newest ?? ''}/bin`
  return newest !== undefined && existsSync(join(bin, 'initdb')) ? bin : null
}

export async function throwawayCluster(bin: string): Promise<Cluster> {
  const folder = await mkdtemp(join(tmpdir(), 'ivory-postgres-'))
  const data = join(folder, 'data')
  // The database refuses to be run by root.
  const user = process.getuid?.() === 0 ? 'postgres' : null
  if (user) {
    const [uid = 0, gid = 0] =
      /^postgres:[^:]*:(\d+):(\d+)/m.exec(readFileSync('/etc/passwd', 'utf8'))?.slice(1).map(Number) ?? []
    await chown(folder, uid, gid)
  }
  const as = (program: string, ...args: string[]) =>
    user
      ? run('runuser', ['-u', user, '--', join(bin, program), ...args], { cwd: folder })
      : run(join(bin, program), args, { cwd: folder })
  await as('initdb', '-D', data, '-U', 'bench', '-A', 'trust', '-E', 'UTF8', '--no-sync')
  const port = await freePort()
  const start = () =>
    new Promise<void>((resolve, reject) => {
      const program = join(bin, 'pg_ctl')
      const args = [
        '-D',
        data,
        '-w',
        '-o',
        `-p ${port} -k ${folder} -h 127.0.0.1`,
        '-l',
        join(folder, 'log'),
        'start',
      ]
      const child = user
        ? spawn('runuser', ['-u', user, '--', program, ...args], { cwd: folder, stdio: 'ignore' })
        : spawn(program, args, { cwd: folder, stdio: 'ignore' })
      child.once('exit', (code) => {
        if (code === 0) resolve()
        else reject(new Error(`The throwaway database did not start (${String(code)}).`))
      })
    })
  const stop = () => as('pg_ctl', '-D', data, '-m', 'fast', '-w', 'stop')
  await start()
  return {
    url: `postgres://bench@127.0.0.1:${port}/postgres`,
    async restart() {
      await stop()
      await new Promise((resolve) => setTimeout(resolve, 300))
      await start()
    },
    async remove() {
      await stop().catch(() => undefined)
      await rm(folder, { recursive: true, force: true })
    },
  }
}

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const server = createServer()
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number }
      server.close(() => {
        resolve(port)
      })
    })
  })
}
