/** Server from source, restarted on change, and the web app on port 5173 with the demo notebook. */
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { install, main, ROOT } from './run.mjs'

main(async () => {
  await install()
  const start = (name, args) =>
    spawn(process.execPath, [join(ROOT, 'node_modules', name), ...args], { cwd: ROOT, stdio: 'inherit' })
  const parts = [
    start('tsx/dist/cli.mjs', ['watch', 'server/src/main.ts', '--demo']),
    start('vite/bin/vite.js', ['--config', 'web/vite.config.ts']),
  ]
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.on(signal, () => {
      for (const part of parts) part.kill(signal)
    })
  await Promise.race(parts.map((part) => new Promise((resolve) => part.on('exit', resolve))))
  for (const part of parts) part.kill()
})
