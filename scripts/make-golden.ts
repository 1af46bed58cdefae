/**
 * Writes the golden ledger of the current version: one finished prep and one in the middle, as a bench would
 * have written them, and the view it comes to. Run again only when the ledger gains kinds of entry; the files it
 * writes are committed and tested against, and those of earlier versions stay.
 */
import { createHash } from 'node:crypto'
import { mkdirSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import {
  REFERENCE_COMPOUNDS,
  REFERENCE_SOLVENTS,
  REFERENCE_SOLUBILITIES,
} from '@ivory-crystal/core/reference'
import { structureOf } from '@ivory-crystal/core/structures'
import {
  advance,
  CORE_VERSION,
  createBlock,
  createTube,
  DEFAULT_HOUSE_RULES,
  eutectic,
  fold,
  fusionOf,
  judgementOf,
  KINDS,
  nextId,
  planBatch,
  planCrystallization,
  planRamp,
  prepOf,
  PROCEDURES,
  PROGRAMMABLE_BLOCK,
  renderSteps,
  renderWaste,
  simulatedContents,
  summaryOf,
  type BlockCommand,
  type BlockReading,
  type Bodies,
  type Compound,
  type CrystallizationInput,
  type EntryId,
  type InstrumentId,
  type Kind,
  type LedgerId,
  type MeltId,
  type NotebookId,
  type PrepId,
  type Procedure,
  type RawEntry,
  type Reading,
  type RunId,
  type SampleId,
  type SimulatedSample,
  type SolubilityPoint,
  type SolubilityRow,
  type Solvent,
  type SubjectId,
} from '../core/src/index'
import { writeInstruments } from './golden-instruments'
import { writePeriod } from './golden-period'
import { writePractice } from './golden-practice'
import { writeUnknowns } from './golden-unknowns'

const PICTURES = join(import.meta.dirname, '../core/golden/photographs')
const NOW = Date.UTC(2026, 10, 24, 14, 0)
const LEDGER = '0a5a1c7e-0000-4000-8000-000000000001' as LedgerId
const NOTEBOOK = '0a5a1c7e-0000-4000-8000-000000000002' as NotebookId
const BENCH_7 = 'measured at bench 7 (sample data)'
const INSTRUMENT = 'programmable-block' as InstrumentId

const entries: RawEntry[] = []
/** Lines written at the same millisecond, so that they keep the order they are written in. */
const writtenAt = new Map<number, number>()

/**
 * An id made of when the line was written and what it says: a line more, or another one, changes its own id and
 * those of lines that rest on it, and no others.
 */
function idOf(kind: Kind, about: SubjectId, at: number, body: unknown): EntryId {
  const nth = writtenAt.get(at) ?? 0
  writtenAt.set(at, nth + 1)
  const says = createHash('sha256')
    .update(JSON.stringify([kind, about, body]))
    .digest()
  const head = nextId(null, at, says.subarray(0, 8))
  return `${head.slice(0, 15)}${nth.toString(16).padStart(3, '0')}${head.slice(18)}` as EntryId
}

function write<K extends Kind>(
  kind: K,
  subject: SubjectId,
  at: number,
  body: Bodies[K],
  by = 'bench 7',
): EntryId {
  const id = idOf(kind, subject, at, body)
  const device = by === 'recorder' ? 'server' : 'laptop-7'
  entries.push({
    id,
    v: KINDS[kind].version,
    ledger: LEDGER,
    notebook: NOTEBOOK,
    subject,
    kind,
    body,
    at,
    author: by,
    device,
  })
  return id
}

const subject = <T extends SubjectId>(n: number) =>
  `0a5a1c7e-0000-4000-8000-0000000001${String(n).padStart(2, '0')}` as T
const reading = (text: string): Reading => ({ text, value: Number(text) })
/** What came before the first crystals lay spread to dry came earlier by as long as they lay. */
const SPREAD = { fromMin: 165, forMin: 45 } as const
const minutesAgo = (minutes: number) =>
  NOW - Math.round((minutes < SPREAD.fromMin ? minutes : minutes + SPREAD.forMin) * 60_000)

function compound(id: string): Compound {
  const row = REFERENCE_COMPOUNDS.find((one) => one.id === id)
  if (!row) throw new Error(id)
  return {
    ...row,
    molarMassGPerMol: structureOf(row.smiles).molarMassGPerMol,
    source: 'general reference value',
  }
}
function solvent(id: string): Solvent {
  const row = REFERENCE_SOLVENTS.find((one) => one.id === id)
  if (!row) throw new Error(id)
  return { ...row, source: 'general reference value' }
}

const BENZIL_POINTS: SolubilityPoint[] = [
  [20, 1.9],
  [50, 8.7],
  [78, 46],
]
const BENZOIN_POINTS: SolubilityPoint[] = [
  [20, 3.2],
  [78, 15],
]
/** Further solvents bench 7 tried, sample data likewise. */
const OTHER_SOLVENTS: readonly (readonly [compound: string, solvent: string, points: SolubilityPoint[]])[] = [
  [
    'benzil',
    '2-propanol',
    [
      [20, 1.4],
      [50, 6.4],
      [82, 39],
    ],
  ],
  [
    'benzoin',
    '2-propanol',
    [
      [20, 1.1],
      [82, 8.2],
    ],
  ],
  [
    'benzil',
    'toluene',
    [
      [20, 31],
      [80, 190],
    ],
  ],
  [
    'benzil',
    'cyclohexane',
    [
      [20, 1.2],
      [78, 33],
    ],
  ],
]
const rows = (id: string, points: SolubilityPoint[], solventId = 'ethanol-95'): SolubilityRow[] =>
  points.map(([temperatureC, gPer100ML]) => ({
    compound: id,
    solvent: solventId,
    temperatureC,
    gPer100ML,
    confidence: null,
    source: BENCH_7,
  }))

function fixPlan(
  prep: PrepId,
  at: number,
  procedureId: string,
  input: Omit<CrystallizationInput, 'excess'>,
  volumeML: number,
  crudeText: string,
  rest: Pick<Bodies['plan fixed'], 'compound' | 'impurity' | 'solvent' | 'solubilitySource' | 'restsOn'>,
): void {
  const procedure = PROCEDURES.find(({ id }) => id === procedureId) as Procedure
  const least = planCrystallization({ ...input, excess: 0 }).minimumHotML
  const full = { ...input, excess: volumeML / least - 1 }
  const batch = {
    ...rest,
    crudeText,
    // Put aside before it was weighed.
    keptBackG: 0,
    inCharge: null,
    solubilityConfidence: null,
    pair: null,
    amount: 'least hot solvent' as const,
    inserts: [],
    input: full,
    result: planBatch(procedure.collect, full),
    conventions: DEFAULT_HOUSE_RULES,
  }
  write('plan fixed', prep, at, {
    ...batch,
    procedure: { id: procedure.id, name: procedure.name, collect: procedure.collect },
    steps: renderSteps(procedure, batch),
    waste: renderWaste(procedure, batch),
    coreVersion: CORE_VERSION,
  })
}

function tick(prep: PrepId, step: string, at: number): void {
  write('step ticked', prep, at, { step })
}
function pour(prep: PrepId, text: string, use: 'dissolve' | 'dilute' | 'rinse', at: number): EntryId {
  return write('solvent added', prep, at, { volume: reading(text), drops: null, use, hot: use !== 'rinse' })
}
function portion(prep: PrepId, text: string, effect: Bodies['portion seen']['effect'], at: number): void {
  const poured = pour(prep, text, 'dissolve', at)
  write('portion seen', prep, at + 70_000, { portion: poured, effect })
}

/** A sample of a prep is what the prep makes. */
const OF_ITS_PREP = { compound: null, of: [] } as const

// ── benzil, finished ────────────────────────────────────────────────────────────────────────────
const benzilPrep = subject<PrepId>(1)
const benzilCrude = subject<SampleId>(2)
const benzilProduct = subject<SampleId>(3)
const benzil = compound('benzil')
write('prep opened', benzilPrep, minutesAgo(255), { title: 'Benzil, from benzoin', compound: benzil })
write('sample named', benzilCrude, minutesAgo(255), {
  prep: benzilPrep,
  role: 'crude',
  label: 'Crude benzil',
  ...OF_ITS_PREP,
})
write('sample named', benzilProduct, minutesAgo(255), {
  prep: benzilPrep,
  role: 'product',
  label: 'Benzil',
  ...OF_ITS_PREP,
})
write('observed', benzilPrep, minutesAgo(252), {
  station: 'plan',
  text: 'Crude: yellow powder with paler lumps, hardly any smell.',
})
const benzilCrudeMass = write('weighed', benzilCrude, minutesAgo(248), {
  method: 'tared',
  net: reading('1.804'),
  readabilityG: 0.001,
  from: 'typed',
})
const trial = (solventId: string, seen: Pick<Bodies['trial seen'], 'cold' | 'hot' | 'cooled'>, at: number) =>
  write('trial seen', benzilPrep, at, {
    solvent: solventId,
    solventName: solvent(solventId).name,
    sampleMg: 40,
    solventML: 0.5,
    ...seen,
  })
trial('water', { cold: 'does not dissolve', hot: 'does not dissolve', cooled: null }, minutesAgo(246))
trial(
  'ethanol-95',
  { cold: 'does not dissolve', hot: 'all dissolves', cooled: 'many crystals' },
  minutesAgo(244),
)
write('reaction named', benzilPrep, minutesAgo(243), {
  limiting: { name: 'benzoin', molarMassGPerMol: compound('benzoin').molarMassGPerMol },
  limitingMass: reading('2.004'),
  productPerLimiting: 1,
})
fixPlan(
  benzilPrep,
  minutesAgo(242),
  'small-funnel',
  {
    crudeG: 1.804,
    assay: 0.9,
    product: BENZIL_POINTS,
    impurity: BENZOIN_POINTS,
    hotC: 78,
    coldC: 2,
    washML: 1,
  },
  11,
  '1.804',
  {
    compound: benzil,
    impurity: compound('benzoin'),
    solvent: solvent('ethanol-95'),
    solubilitySource: BENCH_7,
    restsOn: [benzilCrudeMass],
  },
)
tick(benzilPrep, 'heat-solvent', minutesAgo(236))
tick(benzilPrep, 'wet-the-crude', minutesAgo(228))
portion(benzilPrep, '1.2', 'less solid', minutesAgo(228))
portion(benzilPrep, '1.0', 'less solid', minutesAgo(226))
portion(benzilPrep, '0.8', 'less solid', minutesAgo(224))
portion(benzilPrep, '0.7', 'all dissolved', minutesAgo(221))
tick(benzilPrep, 'dissolve-in-portions', minutesAgo(219))
const slip = pour(benzilPrep, '73', 'dilute', minutesAgo(218))
write('struck', benzilPrep, minutesAgo(217.6), { target: slip, reason: 'typed 73 for 7.3' })
pour(benzilPrep, '7.3', 'dilute', minutesAgo(217.6))
pour(benzilPrep, '0.5', 'dilute', minutesAgo(217.4))
write('solvent removed', benzilPrep, minutesAgo(217.1), { volume: reading('0.5') })
tick(benzilPrep, 'dilute-hot', minutesAgo(217))
tick(benzilPrep, 'off-the-heat', minutesAgo(215))
write('timer started', benzilPrep, minutesAgo(215), { timer: 'cool', minutes: 15 })
write('observed', benzilPrep, minutesAgo(206), {
  station: 'crystallize',
  text: 'Long yellow needles from about 50 °C.',
})
write('temperature read', benzilPrep, minutesAgo(205), { temperature: reading('49') })
write('temperature read', benzilPrep, minutesAgo(199.5), { temperature: reading('24') })
tick(benzilPrep, 'cool-undisturbed', minutesAgo(199))
write('timer started', benzilPrep, minutesAgo(198), { timer: 'ice', minutes: 10 })
const [picture = ''] = readdirSync(PICTURES)
write('photographed', benzilPrep, minutesAgo(187), {
  sha256: picture.replace('.jpg', ''),
  bytes: statSync(join(PICTURES, picture)).size,
  widthPx: 800,
  heightPx: 600,
  shows: 'crystals',
  text: 'needles out of the ice (drawn, sample data)',
})
write('temperature read', benzilPrep, minutesAgo(188), { temperature: reading('2') })
tick(benzilPrep, 'into-ice', minutesAgo(187))
tick(benzilPrep, 'set-up-suction', minutesAgo(186))
tick(benzilPrep, 'wipe-and-pour', minutesAgo(184))
write('rescue tried', benzilPrep, minutesAgo(183), {
  station: 'collect',
  rescue: 'stays-in-the-flask',
  remedy: 'own-liquor',
  helped: 'helped',
})
pour(benzilPrep, '1.0', 'rinse', minutesAgo(182))
tick(benzilPrep, 'rinse-cold', minutesAgo(182))
write('timer started', benzilPrep, minutesAgo(181), { timer: 'air', minutes: 10 })
tick(benzilPrep, 'draw-air', minutesAgo(168))
tick(benzilPrep, 'keep-the-liquor', minutesAgo(166))
write('timer started', benzilPrep, NOW - 210.5 * 60_000, { timer: 'dry', minutes: 50 })
tick(benzilPrep, 'spread-to-dry', minutesAgo(160.3))
write('weighed', benzilProduct, minutesAgo(160), {
  method: 'difference',
  empty: reading('31.2216'),
  loaded: reading('32.6130'),
  readabilityG: 0.0001,
  from: 'typed',
})
meltOfBenzil()
function meltOfBenzil(): void {
  const prep = prepOf(fold(entries), benzilPrep)
  const plan = prep?.plan?.body
  if (!prep || !plan) throw new Error('no plan')
  const seed = 20261124
  const contents = (role: 'crude' | 'product') => simulatedContents(plan, benzil, role, seed)
  melt({
    id: subject<MeltId>(4),
    run: subject<MeltId>(5) as string as RunId,
    at: minutesAgo(150),
    prep: benzilPrep,
    tubes: [
      { sample: benzilCrude, label: 'Crude benzil', contents: contents('crude') },
      { sample: benzilProduct, label: 'Benzil', contents: contents('product') },
    ],
    firstLiquidFromC: eutectic(fusionOf(benzil), fusionOf(compound('benzoin'))).temperatureC,
    seed,
    restsOn: [prep.opened.id],
  })
}
const judged = judgementOf(fold(entries), benzilPrep)
if (!judged.ok) throw new Error(judged.problem.sentence)
const { sample, evidence, judgement, conventions, restsOn } = judged.value
write('verdict signed', benzilPrep, minutesAgo(95), {
  sample,
  evidence,
  judgement,
  conventions,
  restsOn,
  signedBy: 'bench 7',
  coreVersion: CORE_VERSION,
})
const benzilResidue = subject<SampleId>(6)
write('sample named', benzilResidue, minutesAgo(92), {
  prep: benzilPrep,
  role: 'residue',
  label: 'Residue of the benzil liquor',
  ...OF_ITS_PREP,
})
write('weighed', benzilResidue, minutesAgo(88), {
  method: 'difference',
  empty: reading('48.2135'),
  loaded: reading('48.4702'),
  readabilityG: 0.0001,
  from: 'typed',
})
write('liquor discarded', benzilPrep, minutesAgo(86), {
  waste: 'halogen-free organic waste, never the sink',
  yieldKnown: true,
})
write('explained', benzilPrep, minutesAgo(84), {
  text: 'Most of the loss is benzoin that was meant to stay in the liquor. A rim of crystals stayed on the paper.',
})

interface GoldenTube {
  readonly sample: SampleId
  readonly label: string
  readonly contents: SimulatedSample
  /** Kept out of the ledger: an unknown with a sealed answer, or a mixture with one. */
  readonly isSealed?: boolean
}
interface GoldenMelt {
  readonly id: MeltId
  readonly run: RunId
  readonly at: number
  readonly prep: PrepId | null
  readonly tubes: readonly GoldenTube[]
  readonly firstLiquidFromC?: number
  readonly seed: number
  readonly restsOn: readonly EntryId[]
}

/** A careful run about benzil's melting point on the simulated programmable block, watched to the end. */
function melt({ id, run, at, prep, tubes: packed, firstLiquidFromC, seed, restsOn }: GoldenMelt): void {
  const apparatus = { ...PROGRAMMABLE_BLOCK, blockC: PROGRAMMABLE_BLOCK.ambientC }
  const input = {
    apparatus: {
      ambientC: apparatus.ambientC,
      blockC: apparatus.blockC,
      heatCPerMin: apparatus.heatCPerMin,
      coolTimeConstantMin: apparatus.coolTimeConstantMin,
      rates: apparatus.rates,
      maxC: apparatus.maxC,
    },
    conventions: DEFAULT_HOUSE_RULES,
    expectedLowC: benzil.meltLowC,
    expectedHighC: benzil.meltHighC,
    ...(firstLiquidFromC === undefined ? {} : { firstLiquidFromC }),
  }
  const ramp = planRamp(input)
  const packing = { fillMm: 2, grain: 'fine' } as const
  write('melt planned', id, at, {
    prep,
    instrument: INSTRUMENT,
    tubes: packed.map(({ sample, label }, i) => ({ slot: i + 1, sample, label, ...packing })),
    literature: { lowC: benzil.meltLowC, highC: benzil.meltHighC, source: benzil.source },
    instrumentName: 'Programmable block',
    purpose: 'careful',
    window: {
      startC: ramp.startC,
      watchFromC: ramp.watchFromC,
      stopC: ramp.stopC,
      rateCPerMin: ramp.rateCPerMin,
      watchFromMin: ramp.watchFromMin,
      totalMin: ramp.totalMin,
    },
    heating: { by: 'ramp', input, plan: ramp },
    calibration: null,
    conventions: DEFAULT_HOUSE_RULES,
    coreVersion: CORE_VERSION,
    restsOn,
  })
  const tubes = packed.map(({ contents }, i) => ({ slot: i + 1, sample: contents, packing }))
  const start = at + 60_000
  write(
    'run started',
    id,
    start,
    {
      run,
      instrument: INSTRUMENT,
      feed: 'simulated',
      simulation: {
        seed,
        character: PROGRAMMABLE_BLOCK,
        tubes: tubes.map((tube, i) => ({ ...tube, sample: packed[i]?.isSealed ? null : tube.sample })),
      },
      blockC: 22,
      recorded: true,
    },
    'recorder',
  )
  let state = createBlock(PROGRAMMABLE_BLOCK, seed, {
    tubes: tubes.map(({ sample, slot }) =>
      createTube(sample, packing, { sampleLagMin: PROGRAMMABLE_BLOCK.sampleLagMin, seed: seed + slot }),
    ),
  })
  const pending: BlockReading[] = []
  const marked = new Set<string>()
  const flush = () => {
    while (pending.length > 0) {
      const chunk = pending.splice(0, 60)
      const probeC = chunk.map((one) => one.probe.value)
      const last = chunk[chunk.length - 1]?.sample ?? 0
      write(
        'trace',
        id,
        start + last * 1000,
        { run, firstSample: chunk[0]?.sample ?? 0, decimals: 1, probeC, light: null },
        'recorder',
      )
    }
  }
  const command = (what: BlockCommand) => {
    flush()
    write(
      'run command',
      id,
      start + state.sample * 1000,
      { run, atS: state.sample, command: what },
      'recorder',
    )
    state = advance(state, [what], 0).state
  }
  const mark = (one: BlockReading, slot: number, moment: Bodies['mark made']['moment']) => {
    const key = `${slot} ${moment}`
    if (marked.has(key)) return
    marked.add(key)
    flush()
    const entry = write('mark made', id, start + one.sample * 1000 + 400, {
      run,
      slot,
      moment,
      pressedAtS: one.sample + 0.4,
      lastSample: one.sample,
      lastProbe: one.probe,
      from: 'key',
    })
    if (moment === 'early sign')
      write('sign named', id, start + one.sample * 1000 + 900, { mark: entry, word: 'shrinks' })
  }
  const watch = (seconds: number) => {
    for (let i = 0; i < seconds; i++) {
      const step = advance(state, [], 1)
      state = step.state
      const one = step.readings[0] as BlockReading
      pending.push(one)
      if (pending.length >= 60) flush()
      one.tubes.forEach((tube, index) => {
        const slot = index + 1
        if (tube.look !== 'not in' && tube.look !== 'powder') mark(one, slot, 'early sign')
        if (tube.liquidFraction >= 0.22) mark(one, slot, 'first liquid')
        if (tube.look === 'clear') mark(one, slot, 'all liquid')
      })
    }
  }
  command({ kind: 'preheat', toC: ramp.startC })
  watch(270)
  command({ kind: 'tubes in' })
  for (const { slot } of tubes)
    write('tube noted', id, start + state.sample * 1000, { run, slot, note: 'put in', atS: state.sample })
  watch(60)
  command({ kind: 'ramp', toC: ramp.stopC, rateCPerMin: ramp.rateCPerMin })
  watch(Math.round(((98.5 - ramp.startC) / ramp.rateCPerMin) * 60))
  command({ kind: 'stop' })
  flush()
  write('run ended', id, start + state.sample * 1000, { run, atS: state.sample }, 'recorder')
}

const authenticBenzil = subject<SampleId>(21)
writeInstruments({
  write,
  authentic: authenticBenzil,
  subject,
  reading,
  minutesAgo,
  prep: benzilPrep,
  crude: benzilCrude,
  benzil,
  compound,
})

const sealed = writeUnknowns({
  write,
  subject,
  reading,
  minutesAgo,
  compound,
  melt,
  view: () => fold(entries),
})

// ── adipic acid in a centrifuge tube, spinning ──────────────────────────────────────────────────
const adipicPrep = subject<PrepId>(11)
const adipicCrude = subject<SampleId>(12)
const adipicProduct = subject<SampleId>(13)
const adipic = compound('adipic-acid')
write('prep opened', adipicPrep, minutesAgo(48), { title: 'Adipic acid, small batch', compound: adipic })
write('sample named', adipicCrude, minutesAgo(48), {
  prep: adipicPrep,
  role: 'crude',
  label: 'Crude adipic acid',
  ...OF_ITS_PREP,
})
write('sample named', adipicProduct, minutesAgo(48), {
  prep: adipicPrep,
  role: 'product',
  label: 'Adipic acid',
  ...OF_ITS_PREP,
})
const adipicMass = write('weighed', adipicCrude, minutesAgo(45), {
  method: 'tared',
  net: reading('0.212'),
  readabilityG: 0.001,
  from: 'simulated balance',
})
fixPlan(
  adipicPrep,
  minutesAgo(42),
  'centrifuge-tube',
  {
    crudeG: 0.212,
    assay: 0.92,
    product: REFERENCE_SOLUBILITIES.filter(
      (row) => row.compound === 'adipic-acid' && row.solvent === 'water',
    ).map((row): SolubilityPoint => [row.temperatureC, row.gPer100ML]),
    hotC: 90,
    coldC: 2,
    washML: 0.3,
  },
  0.9,
  '0.212',
  {
    compound: adipic,
    impurity: null,
    solvent: solvent('water'),
    solubilitySource: 'general reference values, confidence high; check your handbook',
    restsOn: [adipicMass],
  },
)
write('pipette counted', adipicPrep, minutesAgo(40), { drops: 24, volume: reading('1.00') })
const drip = (count: number, effect: Bodies['portion seen']['effect'], at: number) => {
  const poured = write('solvent added', adipicPrep, at, {
    volume: reading((count / 24).toFixed(2)),
    drops: { count, perML: 24 },
    use: 'dissolve',
    hot: true,
  })
  write('portion seen', adipicPrep, at + 60_000, { portion: poured, effect })
}
tick(adipicPrep, 'heat-solvent', minutesAgo(38))
tick(adipicPrep, 'wet-the-crude', minutesAgo(34))
drip(3, 'less solid', minutesAgo(33))
drip(2, 'less solid', minutesAgo(31.5))
drip(2, 'all dissolved', minutesAgo(30))
tick(adipicPrep, 'dissolve-by-drops', minutesAgo(28.5))
write('solvent added', adipicPrep, minutesAgo(28), {
  volume: reading('0.62'),
  drops: { count: 15, perML: 24 },
  use: 'dilute',
  hot: true,
})
tick(adipicPrep, 'top-up-hot', minutesAgo(27.5))
write('timer started', adipicPrep, minutesAgo(27), { timer: 'cool', minutes: 10 })
write('rescue tried', adipicPrep, minutesAgo(16), {
  station: 'crystallize',
  rescue: 'nothing-comes',
  remedy: 'scratch',
  helped: 'helped',
})
write('temperature read', adipicPrep, minutesAgo(12), { temperature: reading('23') })
tick(adipicPrep, 'cool-undisturbed', minutesAgo(11.5))
write('observed', adipicPrep, minutesAgo(11.2), {
  station: 'crystallize',
  text: 'Small colourless plates on the wall and below.',
})
write('timer started', adipicPrep, minutesAgo(11), { timer: 'ice', minutes: 5 })
tick(adipicPrep, 'into-ice', minutesAgo(5))
write('balanced', adipicPrep, minutesAgo(2), {
  step: 'balance-partner',
  tube: reading('7.412'),
  partner: reading('7.380'),
})
tick(adipicPrep, 'balance-partner', minutesAgo(1.9))
write('timer started', adipicPrep, minutesAgo(1.5), { timer: 'spin', minutes: 3 })

writePractice({
  write,
  minutesAgo,
  compounds: REFERENCE_COMPOUNDS.map(({ id }) => compound(id)),
})

writePeriod({
  write,
  subject,
  reading,
  minutesAgo,
  tick,
  portion,
  pour,
  fix: (prep, at, crude) => {
    fixPlan(
      prep,
      at,
      'small-funnel',
      {
        crudeG: 1.642,
        assay: 0.9,
        product: BENZIL_POINTS,
        impurity: BENZOIN_POINTS,
        hotC: 78,
        coldC: 2,
        washML: 1,
      },
      10,
      '1.642',
      {
        compound: benzil,
        impurity: compound('benzoin'),
        solvent: solvent('ethanol-95'),
        solubilitySource: BENCH_7,
        restsOn: [crude],
      },
    )
  },
  benzil,
  firstPrep: benzilPrep,
  adipicPrep,
})

const folder = join(import.meta.dirname, '..', 'core', 'golden')
mkdirSync(folder, { recursive: true })
const file = {
  nowMs: NOW,
  title: 'Saltmarsh teaching laboratory, bench 7',
  solubilities: [
    ...rows('benzil', BENZIL_POINTS),
    ...rows('benzoin', BENZOIN_POINTS),
    ...OTHER_SOLVENTS.flatMap(([id, solventId, points]) => rows(id, points, solventId)),
  ],
  sealed,
  entries,
}
entries.sort((p, q) => (p.id < q.id ? -1 : 1))
const masses = REFERENCE_COMPOUNDS.map(({ id, smiles }) => [id, structureOf(smiles).molarMassGPerMol])
writeFileSync(join(folder, 'molarMasses.json'), `${JSON.stringify(Object.fromEntries(masses), null, 2)}\n`)
const lines = entries.map((entry) => `  ${JSON.stringify(entry)}`).join(',\n')
writeFileSync(
  join(folder, 'ledger.v4.json'),
  `${JSON.stringify({ ...file, entries: 0 }).replace('"entries":0', `"entries":[\n${lines}\n]`)}\n`,
)
writeFileSync(join(folder, 'view.v4.json'), `${JSON.stringify(summaryOf(fold(entries), NOW), null, 1)}\n`)
process.stdout.write(`${entries.length} lines\n`)
