import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { ROOT } from './run.mjs'

/** Runs the built server in this terminal until it is stopped. */
export async function serve(args) {
  const child = spawn(process.execPath, [join(ROOT, 'server/dist/main.js'), ...args], {
    cwd: ROOT,
    stdio: 'inherit',
  })
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
  await new Promise((resolve) => {
    child.on('exit', (code) => {
      process.exitCode = code ?? 0
      resolve()
    })
  })
}
