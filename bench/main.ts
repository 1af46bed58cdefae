import { measureCrate } from './crate'
import { measureFirst } from './first'
import { measureFold } from './fold'
import { measureIdentity, measureMap } from './identity'
import { measureLearners } from './learners'
import { measureMelting } from './melting'
import { measurePaper } from './paper'
import { measurePosting } from './posting'
import { measurePractice } from './practice'
import { measurePress } from './press'
import { measureReliability } from './reliability'
import { measureScreens } from './screens'
import { measureSession } from './session'
import { measureShelf } from './shelf'
import { measureStart } from './start'
import { print, type Row } from './table'
import { measureTouches } from './touches'
import { measureLens, measureWatch } from './watch'
import { measureWriters } from './writers'

const MEASURES: Readonly<Record<string, () => Row[] | Promise<Row[]>>> = {
  posting: measurePosting,
  writers: measureWriters,
  start: measureStart,
  fold: measureFold,
  screens: measureScreens,
  shelf: measureShelf,
  melting: measureMelting,
  identity: measureIdentity,
  reliability: measureReliability,
  map: measureMap,
  press: measurePress,
  watch: measureWatch,
  lens: measureLens,
  session: measureSession,
  practice: measurePractice,
  learners: measureLearners,
  crate: measureCrate,
  paper: measurePaper,
  touches: measureTouches,
  first: measureFirst,
}

const wanted = process.argv.slice(2)
const unknown = wanted.filter((name) => !(name in MEASURES))
if (unknown.length > 0)
  throw new Error(
    `There is no measure called ${unknown.join(', ')}; there are ${Object.keys(MEASURES).join(', ')}.`,
  )
const rows: Row[] = []
for (const [name, measure] of Object.entries(MEASURES))
  if (wanted.length === 0 || wanted.includes(name)) rows.push(...(await measure()))
print(rows)
