/** Attacks on backups: restores killed, zips that lie. */
import { spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { mkdir, readdir, rm, writeFile } from 'node:fs/promises'
import { existsSync } from 'node:fs'
import { request } from 'node:http'
import { join } from 'node:path'
import { strToU8, zipSync } from 'fflate'
import { below, command, line, root, ROUNDS, shaOf, start, temp } from './torture-bench.mjs'

import { base } from './torture-trust.mjs'

/** More memory than this is too much, MB. */
const MEMORY_MOST_MB = 700

/** Restores killed at any moment, into an empty folder and into a server at work: as before, or all of it. */
export async function restores(tell) {
  const { folder: whole, acknowledged, home } = await base()
  const server = await start(whole)
  for (let i = 0; i < 40; i++) {
    const lines = Array.from({ length: 50 }, () => line(home))
    await server.post(lines)
    for (const made of lines) acknowledged.set(made.id, JSON.stringify(made))
  }
  const zip = Buffer.from(await (await fetch(`${server.at}/api/backup`)).arrayBuffer())
  await server.kill('SIGTERM')
  const place = await temp()
  const file = join(place, 'backup.zip')
  await writeFile(file, zip)
  const sum = { wholes: 0, asBefores: 0, parts: 0, refusedStarts: 0 }
  for (let round = 0; round < ROUNDS.restores; round++) {
    const folder = join(place, `into-${round}`)
    if (round % 2 === 0) {
      await mkdir(folder)
      const child = spawn(process.execPath, [join(root, 'server/dist/main.js'), '--restore', file], {
        env: { ...process.env, IVORY_CRYSTAL_DATA: folder },
        stdio: 'ignore',
      })
      const ended = new Promise((resolve) => child.once('exit', resolve))
      await new Promise((resolve) => setTimeout(resolve, 300 + below(900)))
      child.kill('SIGKILL')
      await ended
      const isEmpty = (await readdir(folder).catch(() => [])).length === 0
      if (isEmpty) sum.asBefores += 1
      else if (existsSync(join(folder, 'journal.jsonl')) && (await command(folder, '--verify')) === 0)
        sum.wholes += 1
      else sum.parts += 1
      // Asked for again, it comes.
      if (isEmpty && (await command(folder, '--restore', file)) !== 0) sum.parts += 1
    } else {
      const one = await start(folder)
      const before = (await one.get('/notebooks')).notebooks.length
      const asking = fetch(`${one.at}/api/restore`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/zip' },
        body: zip,
      }).catch(() => undefined)
      await new Promise((resolve) => setTimeout(resolve, below(1500)))
      await one.kill('SIGKILL')
      await asking
      try {
        const again = await start(folder)
        const { notebooks } = await again.get('/notebooks')
        const { entries = [] } = await again
          .get(`/notebooks/${home.notebook}/entries?after=0`)
          .catch(() => ({}))
        const there = new Map(entries.map(({ entry }) => [entry.id, JSON.stringify(entry)]))
        const isWhole = [...acknowledged].every(([id, text]) => there.get(id) === text)
        if (notebooks.length === before) sum.asBefores += 1
        else if (isWhole) sum.wholes += 1
        else sum.parts += 1
        await again.kill('SIGTERM')
      } catch (error) {
        sum.refusedStarts += 1
        process.stderr.write(`Restore ${round}: ${error.message}\n`)
      }
    }
    await rm(folder, { recursive: true, force: true })
  }
  await rm(place, { recursive: true, force: true })
  await rm(whole, { recursive: true, force: true })
  tell('restores killed', ROUNDS.restores, sum)
}

const LIES = [
  () => zipSync({ 'journal.jsonl': new Uint8Array(200_000_000).fill(32), 'backup.json': strToU8('{}') }),
  () => zipSync({ 'backup.json': new Uint8Array(60_000_000).fill(91) }),
  () => {
    // One that says it is small: the size in the central directory is a lie.
    const zip = Buffer.from(
      zipSync({ 'journal.jsonl': new Uint8Array(150_000_000).fill(10), 'backup.json': strToU8('{}') }),
    )
    for (let at = 0; at < zip.length - 4; at++)
      if (zip.readUInt32LE(at) === 0x02014b50) zip.writeUInt32LE(1000, at + 24)
    return zip
  },
  () => {
    // Its sums are right, and its journal is one line without an end.
    const journal = Buffer.alloc(70_000_000, randomBytes(50_000).toString('base64'))
    const facts = {
      format: 'ivory-crystal backup',
      version: 2,
      coreVersion: '1',
      madeAt: 1,
      ledger: '0a5a1c7e-0000-4000-8000-00000000000a',
      files: [{ name: 'journal.jsonl', bytes: journal.length, sha256: shaOf(journal) }],
      notebooks: [],
    }
    return zipSync({ 'journal.jsonl': journal, 'backup.json': strToU8(JSON.stringify(facts)) }, { level: 1 })
  },
]

/** Asks on a connection of its own: making the next zip takes longer than one is kept. */
function statusOf(url, zip = null) {
  return new Promise((resolve, reject) => {
    const asked = request(
      url,
      {
        agent: false,
        method: zip ? 'POST' : 'GET',
        headers: zip ? { 'Content-Type': 'application/zip' } : {},
      },
      (response) => {
        response.resume()
        response.once('end', () => resolve(response.statusCode))
      },
    )
    asked.once('error', reject)
    asked.end(zip ?? undefined)
  })
}

/** Zips that claim what they do not hold, and hold what they do not claim: refused, with little memory, others served. */
export async function lies(tell) {
  const folder = await temp()
  const server = await start(folder)
  const sum = { taken: 0, faults: 0, slow: 0, tooMuchMemory: 0, left: 0, mostMB: 0 }
  for (let round = 0; round < ROUNDS.lies; round++) {
    const zip = LIES[round % LIES.length]()
    const asking = statusOf(`${server.at}/api/restore${round % 2 === 0 ? '/look' : ''}`, zip)
    const from = Date.now()
    await statusOf(`${server.at}/api/about`)
    if (Date.now() - from > 5000) sum.slow += 1
    const status = await asking
    if (status < 400) sum.taken += 1
    if (status >= 500) sum.faults += 1
    sum.mostMB = Math.max(sum.mostMB, await server.mostMB())
  }
  if (sum.mostMB > MEMORY_MOST_MB) sum.tooMuchMemory += 1
  sum.left = (await readdir(folder)).filter((name) => name.startsWith('restoring')).length
  await server.kill('SIGTERM')
  await rm(folder, { recursive: true, force: true })
  tell('zips that lie', ROUNDS.lies, sum)
}
