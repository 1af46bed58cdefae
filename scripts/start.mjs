/** Starts on the lab's own data folder. */
import { buildIfNeeded } from './build-parts.mjs'
import { install, main } from './run.mjs'
import { serve } from './serve.mjs'

main(async () => {
  await install()
  await buildIfNeeded()
  await serve(process.argv.slice(2))
})
