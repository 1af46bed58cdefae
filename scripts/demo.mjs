/** Installs, builds, and starts with a fresh copy of the demo notebook. */
import { rm } from 'node:fs/promises'
import { join } from 'node:path'
import { buildIfNeeded } from './build-parts.mjs'
import { install, main, ROOT, say } from './run.mjs'
import { serve } from './serve.mjs'

main(async () => {
  await install()
  await buildIfNeeded()
  say('Starting with a fresh demo notebook …')
  const folder = process.env.IVORY_CRYSTAL_DATA ?? join(ROOT, 'demo-data')
  // A second server stops at the lock before anything of the first is touched, so only a folder that is free is emptied.
  await serve(['--demo'], { folder, before: () => rm(folder, { recursive: true, force: true }) })
})
