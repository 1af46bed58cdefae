/** Installs, builds, and starts with a fresh copy of the demo notebook. */
import { buildIfNeeded } from './build-parts.mjs'
import { install, main, say } from './run.mjs'
import { serve } from './serve.mjs'

main(async () => {
  await install()
  await buildIfNeeded()
  say('Starting with a fresh demo notebook …')
  // The server empties the demo's own folder once it holds its lock, and no other folder.
  await serve(['--demo', '--fresh', ...process.argv.slice(2)])
})
