/** Writes a backup of `data/` (with `--demo` of the demo's) while its server runs: `npm run backup -- [file.zip]`. */
import { join, resolve } from 'node:path'
import { buildIfNeeded } from './build-parts.mjs'
import { install, main, node, ROOT } from './run.mjs'

main(async () => {
  await install()
  await buildIfNeeded()
  // A file is named from where the command was given.
  const words = process.argv
    .slice(2)
    .map((word) => (word.startsWith('--') ? word : resolve(process.env['INIT_CWD'] ?? '', word)))
  await node(join(ROOT, 'server/dist/main.js'), '--backup', ...words)
})
