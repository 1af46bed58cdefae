/** Attacks on trust: any bytes in any file, histories rewritten. */
import { createHash } from 'node:crypto'
import { cp, readFile, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { below, command, filesOf, line, one, picture, random, ROUNDS, start, temp } from './torture-bench.mjs'

const SENTINEL = 'somebody else’s file\n'

/** A folder with a notebook, things on the shelf and photographs in it, and a file that is not the app's. */
export async function base() {
  const folder = await temp()
  const server = await start(folder)
  const acknowledged = new Map()
  for (let i = 0; i < 20; i++) {
    const lines = [line(server), line(server)]
    await server.post(lines)
    for (const made of lines) acknowledged.set(made.id, JSON.stringify(made))
  }
  for (let i = 0; i < 2; i++) await server.keep(picture())
  const row = (id) => ({
    id,
    name: id,
    boilingPointC: 80,
    freezingPointC: null,
    densityGPerML20: 1,
    flashPointC: null,
    group: 'other',
    waterMiscible: 'no',
    hazards: [],
    source: 'bottle',
  })
  await fetch(`${server.at}/api/shelf/solvent`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ dryRun: false, rows: ['own-one', 'own-two'].map(row) }),
  })
  const { ledger, notebook } = server
  await server.kill('SIGTERM')
  await writeFile(join(folder, 'thesis.txt'), SENTINEL)
  return { folder, acknowledged, home: { ledger, notebook } }
}

async function copyOf(folder) {
  const copy = await temp()
  await rm(copy, { recursive: true })
  await cp(folder, copy, { recursive: true })
  return copy
}
const sentinelTouched = async (folder) =>
  (await readFile(join(folder, 'thesis.txt'), 'utf8').catch(() => null)) === SENTINEL ? 0 : 1

/** Bytes as a bad day leaves them: cut, flipped, overwritten, doubled, or something else altogether. */
function spoiled(bytes) {
  const at = below(Math.max(1, bytes.length))
  const odd = () =>
    Buffer.from(
      one(['{"line":', '\u0000', '{"sort":"compound","id":"x"}\n', '\n\n', '[[[[', 'ÿ', '{"pid":1}']),
    )
  switch (below(6)) {
    case 0:
      return bytes.subarray(0, at)
    case 1: {
      const changed = Buffer.from(bytes)
      for (let i = 0; i < 1 + below(20) && changed.length > 0; i++)
        changed[below(changed.length)] = below(256)
      return changed
    }
    case 2:
      return Buffer.concat([bytes.subarray(0, at), odd(), bytes.subarray(at)])
    case 3:
      return Buffer.concat([bytes, bytes.subarray(at)])
    case 4:
      return Buffer.from(Array.from({ length: below(3000) }, () => below(256)))
    default:
      return odd()
  }
}

/** Every file of the folder in its turn, spoiled: the start is not refused, and what was changed is not shown unsaid. */
export async function fuzzes(tell) {
  const { folder: whole, acknowledged } = await base()
  const sum = { silent: 0, refusedStarts: 0, outsideTouched: 0 }
  const named = [
    'journal.jsonl',
    'shelf.jsonl',
    'server.lock',
    'journal.jsonl.set-aside',
    'journal.jsonl.torn',
    'restoring.zip',
  ]
  for (let round = 0; round < ROUNDS.fuzzes; round++) {
    const folder = await copyOf(whole)
    const paths = [...named.map((name) => join(folder, name)), ...(await filesOf(folder))]
    const path = round % 2 === 0 ? join(folder, named[(round / 2) % named.length]) : one(paths)
    if (!path.endsWith('thesis.txt'))
      await writeFile(path, spoiled(await readFile(path).catch(() => Buffer.alloc(0))))
    if (random() < 0.4) await rm(join(folder, 'database'), { recursive: true, force: true })
    try {
      const server = await start(folder)
      const there = new Map((await server.entries()).map(({ entry }) => [entry.id, JSON.stringify(entry)]))
      const { setAside = [] } = await server.get('/about')
      const { compounds } = await server.get('/shelf')
      const isWrong = [...acknowledged].some(([id, text]) => there.has(id) && there.get(id) !== text)
      // Cut at the end of a line, a journal looks whole: only a hash kept elsewhere tells.
      const lost = [...acknowledged.keys()].filter((id) => !there.has(id))
      const isEndOnly = lost.every((id) => [...there.keys()].every((other) => other < id))
      if (isWrong || !(compounds?.length > 100) || (lost.length > 0 && !isEndOnly && setAside.length === 0)) {
        sum.silent += 1
        process.stderr.write(
          `Fuzz ${round}, ${path}: ${lost.length} lost, wrong ${isWrong}\n${server.said()}\n`,
        )
      }
      await server.kill('SIGTERM')
    } catch (error) {
      sum.refusedStarts += 1
      process.stderr.write(`Fuzz ${round}, ${path}: ${error.message}\n`)
    }
    sum.outsideTouched += await sentinelTouched(folder)
    await rm(folder, { recursive: true, force: true })
  }
  await rm(whole, { recursive: true, force: true })
  tell('every file fuzzed', ROUNDS.fuzzes, sum)
}

/** Ways a history is rewritten that leave traces in it; each takes the rows of a journal and one batch among them. */
const FORGERIES = {
  'a text': (rows, at) => reword(rows[at]),
  'a text, its hash taken out': (rows, at) => {
    reword(rows[at])
    delete rows[at].entries.at(-1).hash
  },
  'a text, its hash some other': (rows, at) => {
    reword(rows[at])
    rows[at].entries.at(-1).hash = createHash('sha256').update(String(random())).digest('hex')
  },
  'all hashes of the file taken out, a text': (rows, at) => {
    reword(rows[at])
    for (const row of rows) {
      delete row.hash
      delete row.before
      for (const entry of row.entries ?? []) delete entry.hash
    }
  },
  'a batch taken out': (rows, at) => rows.splice(at, 1),
  'a batch twice': (rows, at) => rows.splice(at, 0, structuredClone(rows[at])),
  'two in each other’s place': (rows, at) => rows.splice(at, 2, rows[at + 1], rows[at]),
  'what it follows taken out': (rows, at) => delete rows[at].before,
  'what it follows changed': (rows, at) => (rows[at].before = 'f'.repeat(64)),
  'the moment of recording': (rows, at) => (rows[at].recordedAt += 1000),
  'a number': (rows, at) => (rows[at].entries[0].seq += 1),
  'the title, its hash taken out': (rows) => {
    const row = rows.find(({ line: sort }) => sort === 'notebook')
    row.title = 'another title'
    delete row.hash
  },
  'another notebook’s name on a batch': (rows, at) =>
    (rows[at].notebook = rows[at].notebook.replace(/^./, (c) => (c === 'f' ? 'e' : 'f'))),
  'a second title': (rows, at) =>
    rows.splice(at, 0, { ...rows.find(({ line: sort }) => sort === 'notebook'), title: 'another' }),
  'the author of a line': (rows, at) => (rows[at].entries.at(-1).entry.author = 'somebody'),
}
function reword(row) {
  row.entries.at(-1).entry.body.text = 'FORGED TEXT'
}

/** Each way, with the database there and without: it is told at the start and by verify, and never shown unsaid. */
export async function forgeries(tell) {
  const { folder: whole } = await base()
  const sum = { silent: 0, verifySilent: 0, refusedStarts: 0, shown: 0 }
  const names = Object.keys(FORGERIES)
  for (let round = 0; round < ROUNDS.forgeries; round++) {
    const name = names[round % names.length]
    const folder = await copyOf(whole)
    const path = join(folder, 'journal.jsonl')
    const rows = (await readFile(path, 'utf8'))
      .trim()
      .split('\n')
      .map((text) => JSON.parse(text))
    const first = rows.findIndex(({ line: sort }) => sort === 'batch')
    FORGERIES[name](rows, first + 1 + below(rows.length - first - 3))
    await writeFile(path, rows.map((row) => `${JSON.stringify(row)}\n`).join(''))
    if ((await command(folder, '--verify')) !== 1) sum.verifySilent += 1
    const isAlone = Math.floor(round / names.length) % 2 === 1
    if (isAlone) await rm(join(folder, 'database'), { recursive: true })
    try {
      const server = await start(folder)
      const { setAside = [] } = await server.get('/about')
      const text = JSON.stringify(await server.entries())
      if (setAside.length === 0) {
        sum.silent += 1
        process.stderr.write(`Forgery ${name}${isAlone ? ', no database' : ''}: nothing said.\n`)
      }
      // Without one hash left in the file it is told that nothing vouches for it, and then it stands.
      if (text.includes('FORGED TEXT') && !(isAlone && name.startsWith('all hashes'))) sum.shown += 1
      await server.kill('SIGTERM')
    } catch (error) {
      sum.refusedStarts += 1
      process.stderr.write(`Forgery ${name}: ${error.message}\n`)
    }
    await rm(folder, { recursive: true, force: true })
  }
  await rm(whole, { recursive: true, force: true })
  tell('histories rewritten', ROUNDS.forgeries, sum)
}
