/** What every attack needs: chance from a seed, a server of its own, lines and pictures to write. */
import { spawn } from 'node:child_process'
import { createHash, randomUUID } from 'node:crypto'
import { mkdtemp, open, readdir, readFile, stat } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { readOptions } from './options.mjs'

export const root = join(import.meta.dirname, '..')
const { values: asked } = readOptions(process.argv.slice(2), {
  long: 'flag',
  seed: 'value',
  kills: 'value',
  damages: 'value',
  requests: 'value',
  fuzzes: 'value',
  forgeries: 'value',
  restores: 'value',
  lies: 'value',
  only: 'value',
})
export const isLong = asked.long === true
/** Rounds of each sort of attack. */
const usual = isLong
  ? { kills: 500, damages: 300, requests: 20_000, fuzzes: 2000, forgeries: 30, restores: 50, lies: 20 }
  : { kills: 3, damages: 10, requests: 400, fuzzes: 4, forgeries: 3, restores: 2, lies: 4 }
export const ROUNDS = Object.fromEntries(
  Object.entries(usual).map(([name, count]) => [name, Number(asked[name] ?? count)]),
)
export const seed = Number(asked.seed ?? 1)
/** One sort of attack alone. */
export const only = asked.only ?? null

/** Same seed, same attacks (mulberry32). */
let state = seed
export function random() {
  state = (state + 0x6d2b79f5) | 0
  let t = Math.imul(state ^ (state >>> 15), 1 | state)
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
  return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
}
export const below = (most) => Math.floor(random() * most)
export const one = (list) => list[below(list.length)]

export async function start(folder) {
  const child = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
    env: { ...process.env, PORT: '0', IVORY_CRYSTAL_DATA: folder, LOG_LEVEL: 'silent' },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  const ended = new Promise((resolve) => child.once('exit', resolve))
  const at = await new Promise((resolve, reject) => {
    const hear = (bytes) => {
      said += bytes
      const found = /http:\/\/127\.0\.0\.1:\d+/.exec(said)
      if (found) resolve(found[0])
    }
    child.stdout.on('data', hear)
    child.stderr.on('data', hear)
    child.once('exit', () => reject(new Error(`It did not start:\n${said}`)))
  })
  const get = async (path) => (await fetch(`${at}/api${path}`)).json()
  const { ledger } = await get('/about')
  const { notebooks } = await get('/notebooks')
  const notebook = notebooks[0].id
  return {
    at,
    ledger,
    notebook,
    get,
    said: () => said,
    entries: async () => (await get(`/notebooks/${notebook}/entries?after=0`)).entries,
    post: async (lines) => {
      const response = await fetch(`${at}/api/notebooks/${notebook}/entries`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ groups: lines.map((line) => [line]) }),
      })
      if (!response.ok) throw new Error(`answered ${response.status}`)
      return (await response.json()).answers
    },
    /** Whether a picture was kept, as answered. */
    keep: async (picture) => {
      const sent = { method: 'POST', headers: { 'Content-Type': 'image/jpeg' }, body: picture }
      return (await fetch(`${at}/api/photographs/${shaOf(picture)}`, sent)).ok
    },
    statusOf: async (path) => (await fetch(`${at}/api${path}`)).status,
    /** Whether a picture is there, byte for byte. */
    shows: async (sha256) => {
      const response = await fetch(`${at}/api/photographs/${sha256}`)
      return response.ok && shaOf(Buffer.from(await response.arrayBuffer())) === sha256
    },
    /** The most memory it has had, MB; 0 where the system does not tell. */
    mostMB: async () => {
      const status = await readFile(`/proc/${child.pid}/status`, 'utf8').catch(() => '')
      return Math.round(Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024)
    },
    async kill(signal = 'SIGKILL') {
      child.kill(signal)
      await ended
    },
  }
}

let written = 0
export function line({ ledger, notebook }) {
  written += 1
  const ms = Date.now().toString(16).padStart(12, '0')
  const tail = randomUUID().slice(19)
  const counter = (written % 4096).toString(16).padStart(3, '0')
  return {
    id: `${ms.slice(0, 8)}-${ms.slice(8)}-7${counter}-${tail}`,
    v: 1,
    ledger,
    notebook,
    subject: '0a5a1c7e-0000-4000-8000-000000000101',
    kind: 'observed',
    body: { station: 'crystallize', text: `needles ${written} 結晶` },
    at: Date.now(),
    author: 'bench 7',
    device: 'torture',
  }
}

export const shaOf = (bytes) => createHash('sha256').update(bytes).digest('hex')

/** A picture like no other: the golden one with other weights of its finest details. */
export const golden = await readdir(join(root, 'core/golden/photographs')).then(([name]) =>
  readFile(join(root, 'core/golden/photographs', name)),
)
export function picture() {
  const bytes = Buffer.from(golden)
  // The last entries of the first quantization table: any value but 0 is one.
  const table = bytes.indexOf(Buffer.from([0xff, 0xdb])) + 5
  for (let i = 50; i < 64; i++) bytes[table + i] = 1 + below(255)
  return bytes
}

export async function temp() {
  return mkdtemp(join(tmpdir(), 'ivory-torture-'))
}

export async function filesOf(folder) {
  const entries = await readdir(folder, { recursive: true, withFileTypes: true })
  return entries.filter((entry) => entry.isFile()).map((entry) => join(entry.parentPath, entry.name))
}
export async function flip(path) {
  const { size } = await stat(path)
  if (size === 0) return
  const file = await open(path, 'r+')
  const at = below(size)
  const byte = Buffer.alloc(1)
  await file.read(byte, 0, 1, at)
  byte[0] ^= 1 << below(8)
  await file.write(byte, 0, 1, at)
  await file.close()
}

/** A command of the server on a folder; answers with its exit code. */
export function command(folder, ...words) {
  const child = spawn(process.execPath, [join(root, 'server/dist/main.js'), ...words], {
    env: { ...process.env, IVORY_CRYSTAL_DATA: folder },
    stdio: 'ignore',
  })
  return new Promise((resolve) => child.once('exit', resolve))
}
