import type { EpochMs, NotebookId } from '../ids'
import type { View } from '../notebook/fold'
import { meltsOf } from '../notebook/views/melt'
import { rulesInForce } from './rules'
import type { Table } from './tables'

/** The version of the specification a crate keeps to (Research Object Crate 1.2). */
const SPECIFICATION = 'https://w3id.org/ro/crate/1.2'
const CONTEXT = `${SPECIFICATION}/context`
export const METADATA_PATH = 'ro-crate-metadata.json'
/** The notebook itself: every line as it was written. What comes in again is this file. */
export const NOTEBOOK_PATH = 'notebook.json'
/** What each line of it may hold, as JSON Schema. */
export const SCHEMA_PATH = 'notebook.schema.json'
/** Photographs, by their SHA-256. */
export const PICTURE_PATH = /^photographs\/([0-9a-f]{64})\.jpg$/
/** By this a crate of ours is known, whatever its name. */
const KIND = 'notebook of a melting bench'

/** A file of the crate. */
export interface CrateFile {
  readonly path: string
  readonly name: string
  readonly description: string
  readonly encodingFormat: string
  readonly bytes: number
  /** Hexadecimal. */
  readonly sha256: string
  /** Of a table: what its columns hold. */
  readonly table?: Table
}
/** What a crate says of itself. */
interface CrateInput {
  readonly notebook: { readonly id: NotebookId; readonly title: string }
  readonly view: View
  readonly files: readonly CrateFile[]
  readonly nowMs: EpochMs
  readonly coreVersion: string
}
type Entity = Readonly<Record<string, unknown>> & { readonly '@id': string }

/**
 * The metadata document of a crate: what each file is, its columns with their units, the instruments and which of
 * them are simulated, the rules in force, and the version that wrote it.
 *
 * @returns as text, JSON-LD
 */
export function crateMetadata({ notebook, view, files, nowMs, coreVersion }: CrateInput): string {
  const instruments = instrumentsOf(view)
  const calibrations = calibrationsOf(view)
  const rules = rulesInForce(view)
  const graph: Entity[] = [
    {
      '@id': METADATA_PATH,
      '@type': 'CreativeWork',
      conformsTo: { '@id': SPECIFICATION },
      about: { '@id': './' },
    },
    {
      '@id': './',
      '@type': 'Dataset',
      name: notebook.title,
      description: `${KIND}: recrystallizations, melting ranges and what was judged from them, as written at the bench.`,
      identifier: notebook.id,
      additionalType: KIND,
      datePublished: new Date(nowMs).toISOString(),
      license: { '@id': '#licence' },
      hasPart: files.map(({ path }) => ({ '@id': path })),
      mentions: instruments.map(({ '@id': id }) => ({ '@id': id })),
      ...(rules ? { conditionsOfAccess: rules } : {}),
    },
    {
      '@id': '#licence',
      '@type': 'CreativeWork',
      name: 'As the laboratory decides',
      description: 'No licence is given with this file: ask the laboratory it comes from.',
    },
    ...files.map(({ path, name, description, encodingFormat, bytes, sha256, table }): Entity => ({
      '@id': path,
      '@type': 'File',
      name,
      description,
      encodingFormat,
      contentSize: String(bytes),
      sha256,
      ...(table ? { variableMeasured: table.columns.map((_, i) => ({ '@id': columnId(table, i) })) } : {}),
    })),
    ...files.flatMap(({ table }) =>
      table
        ? table.columns.map(({ name, unit, meaning }, i): Entity => ({
            '@id': columnId(table, i),
            '@type': 'PropertyValue',
            name,
            ...(unit === null ? {} : { unitText: unit }),
            ...(meaning === null ? {} : { description: meaning }),
          }))
        : [],
    ),
    ...instruments,
    ...calibrations,
    {
      '@id': '#software',
      '@type': 'SoftwareApplication',
      name: 'Ivory Crystal',
      softwareVersion: coreVersion,
    },
    {
      '@id': '#written',
      '@type': 'CreateAction',
      name: 'Written from the notebook',
      instrument: { '@id': '#software' },
      result: { '@id': './' },
      endTime: new Date(nowMs).toISOString(),
    },
  ]
  return `${JSON.stringify({ '@context': CONTEXT, '@graph': graph }, null, 2)}\n`
}

const columnId = ({ name }: Table, i: number) => `#${name}-${i + 1}`

/** Every instrument a melt was planned on, once: its name, whether it is simulated, its calibration. */
function instrumentsOf(view: View): readonly Entity[] {
  const found = new Map<string, Entity>()
  for (const { planned, run } of meltsOf(view)) {
    const { instrument, instrumentName, calibration } = planned.body
    const isSimulated = (run?.started.body.simulation ?? null) !== null
    found.set(instrument, {
      '@id': `#instrument-${instrument}`,
      '@type': 'IndividualProduct',
      name: instrumentName,
      description: isSimulated
        ? 'Simulated: its readings belong to no real sample.'
        : 'As named at the bench.',
      ...(calibration
        ? { additionalProperty: { '@id': `#calibration-${instrument}` } }
        : { disambiguatingDescription: 'No calibration was available: readings are raw.' }),
    })
  }
  return [...found.values()]
}

/** The calibration each instrument was last used with: what it read, and what was true. */
function calibrationsOf(view: View): readonly Entity[] {
  const found = new Map<string, Entity>()
  for (const { planned } of meltsOf(view)) {
    const { instrument, calibration } = planned.body
    if (!calibration) continue
    found.set(instrument, {
      '@id': `#calibration-${instrument}`,
      '@type': 'PropertyValue',
      name: 'calibration',
      value: calibration.points.map(([readC, trueC]) => `read ${readC}, true ${trueC}`).join('; '),
      unitText: '°C',
      description: `${calibration.points.length} standards, ${calibration.method}; raw readings stand beside corrected ones.`,
    })
  }
  return [...found.values()]
}

/** The SHA-256 a crate's description gives for one of its files; null where it gives none. */
export function hashInMetadata(metadata: string, path: string): string | null {
  try {
    const graph = (JSON.parse(metadata) as { '@graph'?: Partial<Entity>[] })['@graph'] ?? []
    const recordedHash = graph.find((entity) => entity?.['@id'] === path)?.['sha256']
    return typeof recordedHash === 'string' ? recordedHash : null
  } catch {
    return null
  }
}

/** Why what was handed in is no crate of a notebook, in one sentence; null where it is. */
export function crateTrouble(name: string, metadata: string | null, hasNotebook: boolean): string | null {
  if (metadata === null)
    return `“${name}” has no ${METADATA_PATH}: it is no research crate. Choose a notebook that was exported as a crate or as JSON.`
  let graph: unknown
  try {
    graph = (JSON.parse(metadata) as { '@graph'?: unknown })['@graph']
  } catch {
    return `The ${METADATA_PATH} in “${name}” cannot be read: the file is damaged.`
  }
  const root = Array.isArray(graph)
    ? (graph as Partial<Entity>[]).find((entity) => entity?.['@id'] === './')
    : undefined
  if (root?.['additionalType'] !== KIND)
    return `“${name}” is a research crate, but it holds no notebook of Ivory Crystal.`
  return hasNotebook
    ? null
    : `“${name}” says it holds a notebook, and ${NOTEBOOK_PATH} is missing: the file is incomplete.`
}
