import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { InstrumentId } from '@ivory-crystal/core/ids'
import {
  accountOf,
  BENCH,
  calibrationOf,
  caseForRanking,
  caseStationsOf,
  classLadders,
  dissolvingOf,
  expectedOf,
  fold,
  judgementOf,
  latestLine,
  logOf,
  lossesOf,
  meltIdsWith,
  meltsOf,
  nextId,
  nextInCase,
  nextStep,
  odditiesOf,
  phaseMapOf,
  platesOf,
  prepsOf,
  rackOf,
  rangesOf,
  samplesNamed,
  stationsOf,
  timersOf,
  trialsOf,
  unknownsOf,
  type KnownEntry,
  type RawEntry,
  type View,
} from '@ivory-crystal/core/notebook'
import { copiesOf } from '../core/golden/copies'
import { PROJECT } from '../server/src/paths'
import { median, ms, type Row } from './table'

const ROUNDS = 15
const NOW = Date.UTC(2026, 10, 24, 14, 0)

interface Golden {
  readonly entries: readonly RawEntry[]
}
export const GOLDEN = JSON.parse(readFileSync(join(PROJECT, 'core/golden/ledger.v4.json'), 'utf8')) as Golden

/** What each screen asks of the notebook, by the name it is reported under. */
const SCREENS: Readonly<Record<string, (view: View) => unknown>> = {
  'Today: preps and what is next': (view) =>
    prepsOf(view).map(({ id }) => [nextStep(view, id, NOW), stationsOf(view, id), timersOf(view, id, NOW)]),
  'Today: unknowns': (view) => unknownsOf(view).map((unknown) => nextInCase(view, unknown)),
  'Today: melts': (view) => meltsOf(view),
  'a prep: ranges': (view) => rangesOf(view, newest(view).id),
  'a prep: judgement': (view) => judgementOf(view, newest(view).id),
  'a prep: account': (view) => [accountOf(view, newest(view).id), odditiesOf(view, newest(view).id)],
  'a prep: dissolving, trials': (view) => [
    dissolvingOf(view, newest(view)),
    trialsOf(view, newest(view).id),
    lossesOf(view, newest(view)),
  ],
  'a prep: log': (view) => logOf(view, newest(view).id),
  'a prep: phase map': (view) => phaseMapOf(view, newest(view), null),
  'a prep: plates': (view) => platesOf(view, newest(view).id),
  'a case: stations, evidence': (view) => {
    const [unknown] = unknownsOf(view)
    return unknown && [caseStationsOf(view, unknown), caseForRanking(unknown)]
  },
  'a melt to plan: samples, expected': (view) =>
    samplesNamed(view).map(({ id }) => [expectedOf(view, id), meltIdsWith(view, id)]),
  'instruments: rack, calibration': (view) => [
    rackOf(view),
    calibrationOf(view, 'dial-block' as InstrumentId, NOW),
    latestLine(view, BENCH, 'rules taken'),
  ],
  'the class on one ladder': (view) => classLadders([{ title: 'bench 7', view }]),
}
const newest = (view: View) => prepsOf(view)[0] as NonNullable<ReturnType<typeof prepsOf>[0]>

/** What opens and stays open, and what may be written while it does. */
export function measureScreens(): Row[] {
  const rows: Row[] = []
  for (const times of [1, 12, 50]) {
    const entries = copiesOf(GOLDEN.entries, times)
    const folded = Array.from({ length: 5 }, () => timed(() => fold(entries)))
    const view = fold(entries)
    const first = Object.values(SCREENS).map((of) => timed(() => of(view)))
    const opening = median(folded) + first.reduce((sum, one) => sum + one, 0)
    const after = linesAfter(view)
    const worst = new Map<string, number[]>()
    let at = view
    for (let round = 0; round < ROUNDS; round++) {
      for (const line of after) {
        at = fold([line(round, at)], at)
        for (const [name, of] of Object.entries(SCREENS)) {
          const took = timed(() => of(at))
          const known = worst.get(`${line.name}, ${name}`) ?? []
          worst.set(`${line.name}, ${name}`, [...known, took])
        }
      }
    }
    const slowest = [...worst].sort((p, q) => median(q[1]) - median(p[1])).slice(0, 3)
    const tick = Array.from({ length: ROUNDS }, () =>
      timed(() => {
        for (const [name, of] of Object.entries(SCREENS)) if (name.startsWith('Today')) of(at)
      }),
    )
    const named = `golden × ${times}`
    rows.push(
      row(`${named}: folded anew (${entries.length} lines)`, folded, 'reported'),
      row(`${named}: folded and every screen worked out once`, [opening], 'at × 50 under 1 s'),
      row(`${named}: Today’s tick`, tick, 'at × 12 under 2 ms'),
      ...slowest.map(([name, took]) => row(`${named}: ${name}`, took, 'at × 12 at most 4 ms')),
    )
  }
  return rows
}

function row(what: string, took: readonly number[], aim: string): Row {
  return { what, ours: ms(took), bare: '', ratio: '', aim }
}

type Write = (round: number, view: View) => RawEntry

/** A line more of each sort that a bench writes, about the newest prep and its melt. */
function linesAfter(view: View): readonly Write[] {
  const lines = [...view.subjects.values()].flatMap((record) => record.lines)
  return (['observed', 'weighed', 'trace', 'mark made', 'melt planned', 'sample named'] as const).map(
    (kind) => {
      const like = lines.findLast((line) => line.kind === kind) as KnownEntry
      const write: Write = (_, at) => ({
        ...like,
        id: nextId(at.latestId, NOW, new Uint8Array(8)),
        subject: (kind === 'sample named'
          ? `${like.subject.slice(0, 30)}${at.count.toString(16).padStart(6, '0')}`
          : like.subject) as RawEntry['subject'],
      })
      return Object.defineProperty(write, 'name', { value: `after “${kind}”` })
    },
  )
}

function timed(run: () => unknown): number {
  const from = performance.now()
  run()
  return performance.now() - from
}
