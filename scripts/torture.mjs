/**
 * Attacks the built server as bad days do: killed in mid-write, its files damaged, fed nonsense, written to by many at
 * once. A quick round by default, the long one with `--long`; `--seed=7` repeats a round, `--kills=60` sets how many of
 * one sort. Prints what came of it, and
 * fails when anything acknowledged was lost, twice there, or changed without a word.
 */
import { cp, readFile, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import {
  below,
  filesOf,
  flip,
  isLong,
  line,
  one,
  only,
  picture,
  random,
  ROUNDS,
  seed,
  shaOf,
  start,
  temp,
} from './torture-bench.mjs'
import { ask, nonsense } from './torture-nonsense.mjs'
import { lies, restores } from './torture-restore.mjs'
import { forgeries, fuzzes } from './torture-trust.mjs'

/** Counts of what was kept, beside those of what went wrong. */
const KEPT = ['acknowledged', 'pictures', 'wholes', 'asBefores', 'mostMB']
const table = []
let failures = 0
function tell(what, rounds, found) {
  table.push({ what, rounds, ...found })
  failures += Object.entries(found)
    .filter(([name]) => !KEPT.includes(name))
    .reduce((sum, [, count]) => sum + count, 0)
}
/** What is there against what was acknowledged. */
function compare(acknowledged, entries) {
  const there = new Map()
  let twice = 0
  for (const { entry } of entries) {
    if (there.has(entry.id)) twice += 1
    there.set(entry.id, JSON.stringify(entry))
  }
  let lost = 0
  let changed = 0
  for (const [id, text] of acknowledged) {
    if (!there.has(id)) lost += 1
    else if (there.get(id) !== text) changed += 1
  }
  return { lost, twice, changed }
}

/** A notebook is begun anew after so many kills: each start reads and compares all that is in it. */
const KILLS_A_NOTEBOOK = 40

async function kills() {
  const sum = {
    acknowledged: 0,
    pictures: 0,
    lost: 0,
    twice: 0,
    changed: 0,
    lostPictures: 0,
    refusedStarts: 0,
  }
  for (let done = 0; done < ROUNDS.kills; done += KILLS_A_NOTEBOOK) {
    const found = await killsOfOne(Math.min(KILLS_A_NOTEBOOK, ROUNDS.kills - done))
    for (const [name, count] of Object.entries(found)) sum[name] += count
  }
  tell('killed in mid-write', ROUNDS.kills, sum)
}

async function killsOfOne(rounds) {
  const folder = await temp()
  const acknowledged = new Map()
  const pictures = new Set()
  const sum = { lost: 0, twice: 0, changed: 0, lostPictures: 0, refusedStarts: 0 }
  for (let round = 0; round < rounds; round++) {
    let server
    try {
      server = await start(folder)
    } catch (error) {
      process.stderr.write(`${error.message}\n`)
      return { ...sum, acknowledged: acknowledged.size, pictures: pictures.size, refusedStarts: 1 }
    }
    for (const [name, count] of Object.entries(compare(acknowledged, await server.entries())))
      sum[name] += count
    let isUp = true
    const writers = Array.from({ length: 6 }, async () => {
      while (isUp) {
        const lines = Array.from({ length: 1 + below(5) }, () => line(server))
        const answers = await server.post(lines).catch(() => [])
        answers.forEach(({ outcome }, i) => {
          if (outcome === 'stored') acknowledged.set(lines[i].id, JSON.stringify(lines[i]))
        })
      }
    })
    const photographer = (async () => {
      while (isUp) {
        const taken = picture()
        if (await server.keep(taken).catch(() => false)) pictures.add(shaOf(taken))
      }
    })()
    await new Promise((resolve) => setTimeout(resolve, below(700)))
    isUp = false
    await server.kill(random() < 0.2 ? 'SIGTERM' : 'SIGKILL')
    await Promise.all([...writers, photographer])
  }
  const last = await start(folder)
  for (const sha256 of pictures) if (!(await last.shows(sha256))) sum.lostPictures += 1
  for (const [name, count] of Object.entries(compare(acknowledged, await last.entries()))) sum[name] += count
  await last.kill('SIGTERM')
  await rm(folder, { recursive: true, force: true })
  return { ...sum, acknowledged: acknowledged.size, pictures: pictures.size }
}

const DAMAGES = {
  'a bit of the journal': (folder) => flip(join(folder, 'journal.jsonl')),
  'a bit of the journal, and no database': async (folder) => {
    await flip(join(folder, 'journal.jsonl'))
    await rm(join(folder, 'database'), { recursive: true })
  },
  'the journal cut short': async (folder) => {
    const path = join(folder, 'journal.jsonl')
    const bytes = await readFile(path)
    await writeFile(path, bytes.subarray(0, below(bytes.length)))
  },
  'no journal': (folder) => rm(join(folder, 'journal.jsonl')),
  'no database': (folder) => rm(join(folder, 'database'), { recursive: true }),
  'bits of a database file': async (folder) => {
    const path = one(await filesOf(join(folder, 'database')))
    for (let i = 0; i < 20; i++) await flip(path)
  },
  'a database file emptied': async (folder) => writeFile(one(await filesOf(join(folder, 'database'))), ''),
  'a database file gone': async (folder) => rm(one(await filesOf(join(folder, 'database')))),
  'bits of a photograph': async (folder) => flip(one(await filesOf(join(folder, 'photographs')))),
  'bits of the shelf’s file': (folder) => flip(join(folder, 'shelf.jsonl')),
}

async function damages() {
  const base = await temp()
  const server = await start(base)
  const acknowledged = new Map()
  for (let i = 0; i < 40; i++) {
    const lines = [line(server), line(server)]
    await server.post(lines)
    for (const made of lines) acknowledged.set(made.id, JSON.stringify(made))
  }
  const pictures = [picture(), picture(), picture()]
  for (const taken of pictures) await server.keep(taken)
  await server.kill('SIGTERM')
  const sum = { silent: 0, refusedStarts: 0, twice: 0, wrongPictures: 0 }
  const names = Object.keys(DAMAGES)
  for (let round = 0; round < ROUNDS.damages; round++) {
    const name = names[round % names.length]
    const folder = await temp()
    await rm(folder, { recursive: true })
    await cp(base, folder, { recursive: true })
    await DAMAGES[name](folder)
    try {
      const hurt = await start(folder)
      const { lost, twice, changed } = compare(acknowledged, await hurt.entries())
      const { setAside = [] } = await hurt.get('/about')
      sum.twice += twice
      // A damaged picture is gone with a sentence; it is never shown, and every other stands.
      const gone = []
      for (const taken of pictures) if (!(await hurt.shows(shaOf(taken)))) gone.push(shaOf(taken))
      const may = name === 'bits of a photograph' ? 1 : 0
      if (gone.length > may) sum.wrongPictures += 1
      for (const sha256 of gone)
        if ((await hurt.statusOf(`/photographs/${sha256}`)) !== 404) sum.wrongPictures += 1
      if (changed > 0 || (lost > 0 && setAside.length === 0)) {
        sum.silent += 1
        process.stderr.write(
          `Round ${round}, ${name}: ${lost} lost, ${changed} changed, nothing said.\n${hurt.said()}\n`,
        )
      }
      await hurt.kill('SIGTERM')
    } catch (error) {
      sum.refusedStarts += 1
      process.stderr.write(`Round ${round}, ${name}: ${error.message}\n`)
    }
    await rm(folder, { recursive: true, force: true })
  }
  await rm(base, { recursive: true, force: true })
  tell('files damaged', ROUNDS.damages, { acknowledged: acknowledged.size, ...sum })
}

async function fuzz() {
  const folder = await temp()
  const server = await start(folder)
  const mine = [line(server)]
  await server.post(mine)
  let fives = 0
  let silent = 0
  for (let i = 0; i < ROUNDS.requests; i += 8) {
    const asked = Array.from({ length: Math.min(8, ROUNDS.requests - i) }, () => nonsense(server))
    const statuses = await Promise.all(asked.map((request) => ask(server, request)))
    statuses.forEach((status, k) => {
      if (status === null) silent += 1
      else if (status >= 500 && status !== '503') {
        fives += 1
        process.stderr.write(`${status} for ${JSON.stringify(asked[k]).slice(0, 400)}\n`)
      }
    })
    // The server’s own limit of requests a minute is not what is tried here.
    if (i % 16_000 === 15_992) await new Promise((resolve) => setTimeout(resolve, 60_000))
  }
  await server.kill('SIGTERM')
  let refusedStarts = 0
  try {
    const again = await start(folder)
    if ((await again.entries()).every(({ entry }) => entry.id !== mine[0].id)) fives += 1
    await again.kill('SIGTERM')
  } catch (error) {
    refusedStarts = 1
    process.stderr.write(`${error.message}\n`)
  }
  await rm(folder, { recursive: true, force: true })
  tell('nonsense asked', ROUNDS.requests, { serverFaults: fives, unanswered: silent, refusedStarts })
}

async function races() {
  const folder = await temp()
  const server = await start(folder)
  const acknowledged = new Map()
  const writers = isLong ? 200 : 50
  await Promise.all(
    Array.from({ length: writers }, async () => {
      for (let i = 0; i < 5; i++) {
        const lines = [line(server)]
        const [{ outcome }] = await server.post(lines)
        if (outcome === 'stored') acknowledged.set(lines[0].id, JSON.stringify(lines[0]))
      }
    }),
  )
  const entries = await server.entries()
  const gaps = entries.filter(({ seq }, i) => seq !== i + 1).length
  tell('many writing at once', writers, {
    acknowledged: acknowledged.size,
    gaps,
    ...compare(acknowledged, entries),
  })
  await server.kill('SIGTERM')
  await rm(folder, { recursive: true, force: true })
}

const SORTS = { kills, damages, fuzz, races, fuzzes, forgeries, restores, lies }
if (only !== null && !SORTS[only]) throw new Error(`“${only}” is none of ${Object.keys(SORTS).join(', ')}.`)
for (const [name, attack] of Object.entries(SORTS)) if (only === null || only === name) await attack(tell)
process.stdout.write(`Seed ${seed}${isLong ? ', the long round' : ', a quick round'}\n`)
for (const { what, rounds, ...found } of table)
  process.stdout.write(
    `${what.padEnd(24)} ${String(rounds).padStart(6)} rounds   ${Object.entries(found)
      .map(([name, count]) => `${name} ${count}`)
      .join(', ')}\n`,
  )
process.exitCode = failures > 0 ? 1 : 0
