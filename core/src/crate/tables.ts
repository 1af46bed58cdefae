import type { EpochMs } from '../ids'
import type { View } from '../notebook/fold'
import { linesOf, subjectsWith } from '../notebook/read'
import { prepsOf } from '../notebook/views/prep'
import { meltsOf } from '../notebook/views/melt'
import { meltRangesOf } from '../notebook/views/ranges'
import { lanesOf, platesOf } from '../notebook/views/plates'
import { dissolvingOf } from '../notebook/views/dissolving'
import { readLanes } from '../chromatography/readPlate'
import { netMass } from '../weighing/netMass'
import { weighingOf } from '../notebook/kinds/weighed/kind'
import { attempt } from '../problems'
import { type TermId, TERMS } from '../terms'

/** A column: what it holds, and in which unit; null where it has none. */
interface Column {
  readonly name: string
  readonly unit: string | null
  /** What the term in its name means; null where the name is no term. */
  readonly meaning: string | null
}
/** A table that leaves the app: every cell as text, numbers with a point and the digits that were read. */
export interface Table {
  /** Its file’s name, without what follows the point. */
  readonly name: string
  readonly about: string
  readonly columns: readonly Column[]
  readonly rows: readonly (readonly string[])[]
}

const column = (name: string, unit: string | null = null): Column => ({ name, unit, meaning: null })

/** A column named by a term, with its unit and meaning: the list of terms is what exports, tooltips and glossary say. */
function termColumn(of: TermId, more = ''): Column {
  const { label, meaning } = TERMS[of]
  const [name = label, unit = null] = label.split(', ')
  return { name: `${name}${more}`, unit, meaning }
}
/** As it stands over a column: the unit in brackets. */
export function heading({ name, unit }: Column): string {
  return unit === null ? name : `${name} (${unit})`
}

/** A moment as text: ISO 8601 in UTC, to the second. */
const when = (ms: EpochMs) => `${new Date(ms).toISOString().slice(0, 19)}Z`
const yes = (is: boolean) => (is ? 'yes' : 'no')
/** A number that was worked out, to so many decimals; nothing where it is not known. */
const worked = (value: number | null | undefined, decimals: number) =>
  value === null || value === undefined || !Number.isFinite(value) ? '' : value.toFixed(decimals)

/** The tables people want of a notebook, of the lines that stand. */
export function tablesOf(view: View): readonly Table[] {
  return [weighings(view), portions(view), marks(view), ranges(view), heatings(view), plates(view)]
}

function weighings(view: View): Table {
  return {
    name: 'weighings',
    about: 'Every weighing that is not struck out, with the digits the balance gave, and the resulting mass.',
    columns: [
      column('prep'),
      column('sample'),
      column('role'),
      column('at', 'UTC'),
      column('method'),
      column('vessel'),
      column('empty', 'g'),
      column('loaded', 'g'),
      column('net as read', 'g'),
      column('mass', 'g'),
      column('standard uncertainty', 'g'),
      column('readability', 'g'),
      column('simulated'),
      column('by'),
    ],
    rows: prepsOf(view).flatMap((prep) =>
      prep.samples.flatMap(({ label, role, weighings: made }) =>
        made.map(({ at, author, body }) => {
          const net = attempt(() => netMass(weighingOf(body)))
          const decimals = Math.max(0, Math.round(-Math.log10(body.readabilityG)))
          const isDifference = body.method === 'difference'
          return [
            prep.opened.body.title,
            label,
            role,
            when(at),
            body.method,
            isDifference ? (body.vessel ?? '') : '',
            isDifference ? body.empty.text : '',
            isDifference ? body.loaded.text : '',
            isDifference ? '' : body.net.text,
            net.ok ? worked(net.value.value, decimals) : '',
            net.ok ? worked(net.value.standardUncertainty, decimals + 2) : '',
            String(body.readabilityG),
            yes(body.from === 'simulated balance'),
            author,
          ]
        }),
      ),
    ),
  }
}

function portions(view: View): Table {
  return {
    name: 'portions',
    about: 'Every portion of solvent that was added, and what was seen.',
    columns: [
      column('prep'),
      column('at', 'UTC'),
      column('use'),
      column('volume', 'mL'),
      column('drops'),
      column('drops per mL'),
      column('hot'),
      column('seen'),
      column('by'),
    ],
    rows: prepsOf(view).flatMap((prep) => {
      const seen = new Map(dissolvingOf(view, prep).portions.map(({ entry, effect }) => [entry.id, effect]))
      return prep.portions.map(({ id, at, author, body: { use, volume, drops, hot } }) => [
        prep.opened.body.title,
        when(at),
        use,
        volume.text,
        drops ? String(drops.count) : '',
        drops ? String(drops.perML) : '',
        yes(hot),
        seen.get(id) ?? '',
        author,
      ])
    }),
  }
}

function marks(view: View): Table {
  return {
    name: 'marks',
    about:
      'Every mark made at the lens, as the instrument gave it. A temperature read by eye is corrected back to the moment the key was pressed.',
    columns: [
      column('melt'),
      column('instrument'),
      column('tube'),
      column('sample'),
      column('moment'),
      column('sign'),
      column('pressed at', 's'),
      column('temperature', '°C'),
      column('as typed', '°C'),
      column('typed late by', 's'),
      column('by'),
    ],
    rows: meltsOf(view).flatMap(({ id, planned, marks: made }) =>
      made.map(({ entry, temperature, typed, word }) => [
        id,
        planned.body.instrumentName,
        String(entry.body.slot),
        planned.body.tubes.find(({ slot }) => slot === entry.body.slot)?.label ?? '',
        entry.body.moment,
        word ?? '',
        worked(entry.body.pressedAtS, 0),
        temperature?.text ?? '',
        typed?.reading.text ?? '',
        typed ? worked(typed.lateS, 0) : '',
        entry.author,
      ]),
    ),
  }
}

function ranges(view: View): Table {
  return {
    name: 'ranges',
    about: 'Every melting range: raw as read, and corrected where there was a calibration.',
    columns: [
      column('melt'),
      column('sample'),
      column('role'),
      column('tube'),
      column('instrument'),
      column('simulated'),
      termColumn('onset', ', raw'),
      termColumn('clearPoint', ', raw'),
      termColumn('onset', ', corrected'),
      termColumn('clearPoint', ', corrected'),
      column('beyond its standards'),
      termColumn('heatingRate'),
      column('rate measured'),
      column('filled', 'mm'),
      column('grain'),
      column('caught by'),
      column('counts as onset'),
      column('purpose'),
      column('why no range'),
    ],
    rows: meltsOf(view).flatMap((melt) =>
      meltRangesOf(view, melt)
        .filter(({ hasRun, onset, clear, givenUp }) => hasRun || onset || clear || givenUp)
        .map((row) => [
          row.melt,
          row.label,
          row.role ?? '',
          String(row.slot),
          row.instrumentName,
          yes(row.isSimulated),
          row.onset?.text ?? '',
          row.clear?.text ?? '',
          worked(row.corrected?.onsetC, 2),
          worked(row.corrected?.clearC, 2),
          row.corrected ? yes(row.corrected.extrapolated) : '',
          worked(row.rateCPerMin, 2),
          yes(row.rateMeasured),
          String(row.fillMm),
          row.grain,
          row.by,
          row.conventions.onsetRule,
          row.purpose,
          row.givenUp ?? '',
        ]),
    ),
  }
}

function heatings(view: View): Table {
  return {
    name: 'heatings',
    about: 'Every heating logged with the dial untouched, reading by reading.',
    columns: [
      column('instrument'),
      column('heating'),
      column('dial'),
      column('room', '°C'),
      column('time', 'min'),
      column('temperature', '°C'),
      column('from'),
    ],
    rows: subjectsWith(view, 'heating logged').flatMap((instrument) =>
      linesOf(view, instrument, 'heating logged').flatMap(({ body: { dial, ambientC, samples, from } }, i) =>
        samples.map(([minutes, temperatureC]) => [
          instrument,
          String(i + 1),
          String(dial),
          String(ambientC),
          String(minutes),
          String(temperatureC),
          from,
        ]),
      ),
    ),
  }
}

function plates(view: View): Table {
  return {
    name: 'plates',
    about: 'Every spot of every plate, with its retention factor.',
    columns: [
      column('plate'),
      termColumn('eluent'),
      column('at', 'UTC'),
      column('lane'),
      column('what'),
      column('spot'),
      column('front', 'mm'),
      column('spot centre', 'mm'),
      termColumn('retentionFactor'),
      column('standard uncertainty'),
    ],
    rows: platesOf(view, undefined).flatMap(({ id, developed }) => {
      const { body, at } = developed
      const read = attempt(() => readLanes(lanesOf(body), body.frontMm.value))
      return body.lanes.flatMap(({ label, kind, spots }, lane) =>
        spots.map(({ centreMm }, i) => {
          const spot = read.ok ? read.value[lane]?.spots[i] : undefined
          return [
            id,
            body.eluent,
            when(at),
            label,
            kind,
            String(i + 1),
            body.frontMm.text,
            centreMm.text,
            worked(spot?.rf, 3),
            worked(spot?.standardUncertainty, 3),
          ]
        }),
      )
    }),
  }
}
