import { firstScreenKB } from '../scripts/build-parts.mjs'
import { PROJECT } from '../server/src/paths'
import { measureFold } from './fold'
import { measureIdentity, measureMap } from './identity'
import { measureMelting } from './melting'
import { measurePosting } from './posting'
import { measureShelf } from './shelf'
import { measureStart } from './start'
import { print, type Row } from './table'
import { measureWatch } from './watch'

const rows: Row[] = []
rows.push(...(await measurePosting()))
rows.push(...(await measureStart()))
rows.push(...measureFold())
rows.push(...measureShelf())
rows.push(...measureMelting())
rows.push(...measureIdentity())
rows.push(...(await measureMap()))
rows.push(...(await measureWatch()))
rows.push({
  what: 'first screen, gzipped JavaScript',
  ours: `${firstScreenKB(PROJECT).toFixed(0)} kB`,
  bare: '',
  ratio: '',
  aim: 'at most 200 kB',
})
print(rows)
