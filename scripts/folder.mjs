/**
 * What is done to a data folder from the command line, `data/` or with `--demo` the demo's: `--verify` walks its chains
 * of hashes, `--backup [file.zip]` writes one zip of it while its server runs, `--restore file.zip` brings one back into
 * the running server or into an empty folder.
 */
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
  await node(join(ROOT, 'server/dist/main.js'), ...words)
})
