import { build } from './build-parts.mjs'
import { install, main } from './run.mjs'

main(async () => {
  await install()
  await build()
})
