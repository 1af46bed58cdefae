import { measureFirst } from './first'
import { measureIdentity, measureMap } from './identity'
import { measureLearners } from './learners'
import { measurePosting } from './posting'
import { measurePractice } from './practice'
import { measurePress } from './press'
import { measureScreens } from './screens'
import { measureSession } from './session'
import { measureStart } from './start'
import { print, type Row } from './table'
import { measureTouches } from './touches'
import { measureLens, measureWatch } from './watch'

const MEASURES: Readonly<Record<string, () => Row[] | Promise<Row[]>>> = {
  posting: measurePosting,
  start: measureStart,
  screens: measureScreens,
  identity: measureIdentity,
  map: measureMap,
  press: measurePress,
  watch: measureWatch,
  lens: measureLens,
  session: measureSession,
  practice: measurePractice,
  learners: measureLearners,
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
