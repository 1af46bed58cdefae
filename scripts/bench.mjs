/** Measures against bare counterparts and prints a table; a reader judges it. Names on the command line choose. */
import { bin, install, main, node } from './run.mjs'
import { buildIfNeeded } from './build-parts.mjs'

main(async () => {
  await install()
  await buildIfNeeded()
  await bin('vite', 'build', '--config', 'bench/vite.config.ts', '--logLevel', 'warn')
  await node('bench/dist/main.js', ...process.argv.slice(2))
})
