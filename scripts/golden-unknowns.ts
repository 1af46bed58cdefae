import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import {
  caseForRanking,
  CORE_VERSION,
  DEFAULT_HOUSE_RULES,
  rankCandidates,
  sealedContents,
  unknownOf,
  type Bodies,
  type Compound,
  type EntryId,
  type Kind,
  type MeltId,
  type PlateId,
  type Reading,
  type RunId,
  type SampleId,
  type SimulatedSample,
  type SubjectId,
  type UnknownId,
  type View,
} from '../core/src/index'

interface Pen {
  readonly write: <K extends Kind>(
    kind: K,
    subject: SubjectId,
    at: number,
    body: Bodies[K],
    by?: string,
  ) => EntryId
  readonly subject: <T extends SubjectId>(n: number) => T
  readonly reading: (text: string) => Reading
  readonly minutesAgo: (minutes: number) => number
  readonly compound: (id: string) => Compound
  readonly melt: (spec: {
    readonly id: MeltId
    readonly run: RunId
    readonly at: number
    readonly prep: null
    readonly tubes: readonly {
      readonly sample: SampleId
      readonly label: string
      readonly contents: SimulatedSample
      readonly isSealed?: boolean
    }[]
    readonly seed: number
    readonly restsOn: readonly EntryId[]
  }) => void
  readonly view: () => View
}

interface SealedAnswer {
  readonly seal: string
  readonly unknown: UnknownId
  readonly compound: Compound
  readonly purity: number
  readonly salt: string
}

/** A salt that need not be secret: the demo's answers ship with it. */
function demoAnswer(seal: string, unknown: UnknownId, compound: Compound, purity: number): SealedAnswer {
  return { seal, unknown, compound, purity, salt: createHash('sha256').update(`demo ${seal}`).digest('hex') }
}
function commitment({ salt, compound }: SealedAnswer): string {
  return createHash('sha256').update(`${salt} ${compound.id}`).digest('hex')
}

/** Two unknowns of the bench: K-9, solved and opened, and K-14, which waits for its scouting run. */
export function writeUnknowns(pen: Pen): readonly SealedAnswer[] {
  return [solved(pen), waiting(pen)]
}

function solved({ write, subject, reading, minutesAgo, compound, melt, view }: Pen): SealedAnswer {
  const unknown = subject<UnknownId>(60)
  const sample = subject<SampleId>(61)
  const authentic = subject<SampleId>(21)
  const mixture = subject<SampleId>(62)
  const benzil = compound('benzil')
  const answer = demoAnswer('0a5a1c7e-0000-4000-9000-000000000001', unknown, benzil, 0.985)
  write('sample named', sample, minutesAgo(58), {
    prep: null,
    role: 'unknown',
    label: 'K-9',
    compound: null,
    of: [],
  })
  write('unknown opened', unknown, minutesAgo(58), {
    code: 'K-9',
    appearance: 'Clear yellow needles.',
    sample,
  })
  write('answer sealed', unknown, minutesAgo(57.9), { seal: answer.seal, commitment: commitment(answer) })
  write('candidates listed', unknown, minutesAgo(57.8), {
    candidates: ['benzil', '1-naphthol', 'methyl-4-nitrobenzoate', 'triphenylmethane'].map(compound),
    from: 'the instructor',
    window: null,
  })
  write('candidate ruled out', unknown, minutesAgo(57.5), {
    candidate: '1-naphthol',
    name: '1-naphthol',
    reason: 'White to pinkish grey; ours is clearly yellow.',
  })
  write('sample named', mixture, minutesAgo(57), {
    prep: null,
    role: 'mixture',
    label: 'K-9 + benzil',
    compound: null,
    of: [sample, authentic],
  })
  write('mixture ground', mixture, minutesAgo(56.8), {
    massFractionFirst: 0.012 / 0.025,
    by: 'mass',
    massesG: [reading('0.012'), reading('0.013')],
  })
  const contents = sealedContents(benzil, answer.purity)
  melt({
    id: subject<MeltId>(63),
    run: subject<MeltId>(64) as string as RunId,
    at: minutesAgo(56.5),
    prep: null,
    tubes: [
      { sample, label: 'K-9', contents, isSealed: true },
      { sample: authentic, label: 'Authentic benzil', contents: sealedContents(benzil, 1) },
      {
        sample: mixture,
        label: 'K-9 + benzil',
        contents: { ...contents, moleFractionA: (1 + answer.purity) / 2 },
        isSealed: true,
      },
    ],
    seed: 2026,
    restsOn: [],
  })
  plateOf({ write, subject, reading, minutesAgo }, unknown, [sample, authentic])
  const facts = unknownOf(view(), unknown)
  const ranked = facts ? caseForRanking(facts) : null
  if (!facts || !ranked?.ok) throw new Error('K-9 cannot be ranked')
  const { input, options, restsOn } = ranked.value
  write('unknown signed', unknown, minutesAgo(20), {
    signedBy: 'bench 7',
    answer: { is: 'compound', compound: benzil.id, name: benzil.name },
    ranked: rankCandidates(input),
    unknown: input.unknown,
    mixtures: facts.mixtures.flatMap(({ reference, row, verdict }) =>
      row && reference.compound
        ? [
            {
              reference: reference.compound.id,
              name: reference.compound.name,
              range: { onsetC: row.onset.value, clearC: row.clear.value },
              verdict: verdict.ok ? verdict.value.verdict : null,
            },
          ]
        : [],
    ),
    options,
    conventions: DEFAULT_HOUSE_RULES,
    coreVersion: CORE_VERSION,
    restsOn,
  })
  write('answer opened', unknown, minutesAgo(19.5), {
    seal: answer.seal,
    compound: benzil.id,
    name: benzil.name,
    salt: answer.salt,
  })
  return answer
}

function plateOf(
  { write, subject, reading, minutesAgo }: Pick<Pen, 'write' | 'subject' | 'reading' | 'minutesAgo'>,
  of: UnknownId,
  [sample, authentic]: readonly [SampleId, SampleId],
): void {
  const plate = subject<PlateId>(65)
  const spot = (text: string) => ({ centreMm: reading(text), shape: 'round' as const })
  write('plate developed', plate, minutesAgo(24), {
    of,
    stationary: 'silica gel with fluorescent indicator',
    eluent: 'hexane and ethyl acetate, 4 : 1',
    visualized: ['ultraviolet lamp', 'own colour'],
    size: { widthMm: 40, heightMm: 80 },
    lineMm: 10,
    frontMm: reading('56.0'),
    lanes: [
      { sample, label: 'K-9', kind: 'sample', acrossMm: 10, spots: [spot('33.5')] },
      { sample: null, label: 'both', kind: 'co-spot', acrossMm: 20, spots: [spot('33.5')] },
      { sample: authentic, label: 'Benzil', kind: 'authentic', acrossMm: 30, spots: [spot('33.0')] },
    ],
  })
  write('plate photographed', plate, minutesAgo(23.5), {
    jpeg: readFileSync(join(import.meta.dirname, 'golden-plate.jpg')).toString('base64'),
    left: 0.1,
    right: 0.9,
    top: 0.06,
    bottom: 0.94,
  })
}

function waiting({ write, subject, minutesAgo, compound }: Pen): SealedAnswer {
  const unknown = subject<UnknownId>(40)
  const sample = subject<SampleId>(41)
  const listed = ['1-naphthol', 'methyl-4-nitrobenzoate', 'triphenylmethane', 'glutaric-acid'].map(compound)
  const answer = demoAnswer(
    '0a5a1c7e-0000-4000-9000-000000000002',
    unknown,
    compound('methyl-4-nitrobenzoate'),
    0.98,
  )
  write('sample named', sample, minutesAgo(18), {
    prep: null,
    role: 'unknown',
    label: 'K-14',
    compound: null,
    of: [],
  })
  write('unknown opened', unknown, minutesAgo(18), {
    code: 'K-14',
    appearance: 'White powder, no smell.',
    sample,
  })
  write('answer sealed', unknown, minutesAgo(17.9), { seal: answer.seal, commitment: commitment(answer) })
  write('candidates listed', unknown, minutesAgo(17.5), {
    candidates: listed,
    from: 'the instructor',
    window: null,
  })
  listed.slice(0, 3).forEach((one, i) => {
    write('sample named', subject<SampleId>(42 + i), minutesAgo(17), {
      prep: null,
      role: 'authentic',
      label: `Authentic ${one.name}`,
      compound: one,
      of: [],
    })
  })
  return answer
}
