import { spawn } from 'node:child_process'
import { existsSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { createInterface } from 'node:readline'

export const ROOT = join(import.meta.dirname, '..')

/** Runs a command with its output shown; rejects with a sentence when it fails. */
export function run(command, args = [], options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options })
    child.on('error', reject)
    child.on('exit', (code, signal) => {
      if (code === 0) resolve()
      else reject(new Error(`“${command} ${args.join(' ')}” ended with ${signal ?? code}.`))
    })
  })
}

/** The same beside others: each line of its output is begun with whose it is. */
export function runBeside(whose, command, args = [], options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'], ...options })
    const mark = `${whose.padEnd(8)}│ `
    for (const stream of [child.stdout, child.stderr])
      createInterface({ input: stream }).on('line', (line) => process.stdout.write(`${mark}${line}\n`))
    child.on('error', reject)
    child.on('close', (code, signal) => {
      if (code === 0) resolve()
      else reject(new Error(`${whose}: “${command} ${args.join(' ')}” ended with ${signal ?? code}.`))
    })
  })
}

export function say(sentence) {
  process.stdout.write(`\n── ${sentence}\n`)
}

/** A step that says what it does and how long it took. */
export async function step(sentence, what) {
  say(sentence)
  const from = Date.now()
  await what()
  process.stdout.write(`   done in ${((Date.now() - from) / 1000).toFixed(1)} s\n`)
}

/**
 * Installs the packages of the lock file when they are missing or older than it. `npm install` and not `npm ci`:
 * the latter insists on lock entries for optional binaries of every other platform, which not every registry has.
 */
export async function install() {
  const marker = join(ROOT, 'node_modules', '.package-lock.json')
  const lock = join(ROOT, 'package-lock.json')
  if (existsSync(marker) && statSync(marker).mtimeMs >= statSync(lock).mtimeMs - 1000) return
  await step('Installing packages (a minute or two the first time) …', () =>
    run('npm', ['install', '--no-save', '--no-fund', '--no-audit', '--loglevel=error']),
  )
}

export const node = (...args) => run(process.execPath, args)
export const bin = (name, ...args) => node(binFile(name), ...args)

export const binFile = (name) => join(ROOT, 'node_modules', ...binPath(name))

function binPath(name) {
  const { bin: declared } = JSON.parse(readFileSync(join(ROOT, 'node_modules', name, 'package.json'), 'utf8'))
  const path =
    typeof declared === 'string' ? declared : (declared[name.split('/').pop()] ?? Object.values(declared)[0])
  return [...name.split('/'), ...path.split('/')]
}

/** Any failure ends with its sentence and a code that is not 0. */
export function main(what) {
  what().catch((error) => {
    process.stderr.write(`\n${error.message}\n`)
    process.exit(1)
  })
}
