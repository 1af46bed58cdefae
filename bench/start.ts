import { spawn } from 'node:child_process'
import { cp, mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort } from '../scripts/free-port.mjs'
import { PROJECT } from '../server/src/paths'
import { ms, ratio, type Row } from './table'

const ROUNDS = 15

/** From starting Node to the first answer, against Node starting and bare PGlite answering one query on the same folder. */
export async function measureStart(): Promise<Row[]> {
  const folder = await mkdtemp(join(tmpdir(), 'ivory-bench-'))
  const data = join(folder, 'data')
  const port = await freePort()
  const script = join(PROJECT, 'bench', 'dist', 'bare-start.mjs')
  await writeFile(
    script,
    `import { PGlite } from '@electric-sql/pglite'\nconst db = await PGlite.create(process.argv[2])\nawait db.query('select 1')\nprocess.stdout.write('ready')\n`,
  )
  const first = await untilAnswer(port, data)
  const ours: number[] = []
  const bare: number[] = []
  for (let round = 0; round < ROUNDS; round++) {
    ours.push(await untilAnswer(port, data))
    const copy = join(folder, 'copy')
    await cp(join(data, 'database'), copy, { recursive: true })
    bare.push(await untilReady(script, copy))
    await rm(copy, { recursive: true, force: true })
  }
  await rm(folder, { recursive: true, force: true })
  return [
    {
      what: 'very first start to first answer (once)',
      ours: ms([first]),
      bare: '',
      ratio: '',
      aim: 'reported',
    },
    {
      what: `start to first answer (${ROUNDS} rounds)`,
      ours: ms(ours),
      bare: ms(bare),
      ratio: ratio(ours, bare),
      aim: 'at most × 1.4',
    },
  ]
}

async function untilAnswer(port: number, data: string): Promise<number> {
  const from = performance.now()
  const child = spawn(process.execPath, [join(PROJECT, 'server/dist/main.js')], {
    env: { ...process.env, PORT: String(port), IVORY_CRYSTAL_DATA: data },
    stdio: 'ignore',
  })
  for (;;) {
    const response = await fetch(`http://127.0.0.1:${port}/api/notebooks`).catch(() => null)
    if (response?.ok) break
    await new Promise((resolve) => setTimeout(resolve, 5))
  }
  const took = performance.now() - from
  const gone = new Promise((resolve) => child.on('exit', resolve))
  child.kill('SIGTERM')
  await gone
  return took
}

function untilReady(script: string, folder: string): Promise<number> {
  const from = performance.now()
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [script, folder], { stdio: ['ignore', 'pipe', 'inherit'] })
    let took = 0
    child.stdout.on('data', () => {
      took = performance.now() - from
    })
    child.on('exit', () => {
      resolve(took)
    })
  })
}
