/** Walks the chains of hashes of a data folder: of `data/`, or with `--demo` of the demo's. */
import { join } from 'node:path'
import { buildIfNeeded } from './build-parts.mjs'
import { install, main, node, ROOT } from './run.mjs'

main(async () => {
  await install()
  await buildIfNeeded()
  await node(join(ROOT, 'server/dist/main.js'), '--verify', ...process.argv.slice(2))
})
