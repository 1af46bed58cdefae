/**
 * Writes the golden ledger: one finished prep and one in the middle, as a bench would have written them.
 * Run again only when the ledger gains kinds of entry; the file it writes is committed and tested against.
 */
import { mkdirSync, writeFileSync } from 'node:fs'
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
  nextId,
  planCrystallization,
  planRamp,
  prepOf,
  PROGRAMMABLE_BLOCK,
  simulatedContents,
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
  type RawEntry,
  type Reading,
  type RunId,
  type SampleId,
  type SolubilityPoint,
  type SolubilityRow,
  type Solvent,
  type SubjectId,
} from '../core/src/index'

const NOW = Date.UTC(2026, 10, 24, 14, 0)
const LEDGER = '0a5a1c7e-0000-4000-8000-000000000001' as LedgerId
const NOTEBOOK = '0a5a1c7e-0000-4000-8000-000000000002' as NotebookId
const BENCH_7 = 'measured at bench 7 (sample data)'
const INSTRUMENT = 'programmable-block' as InstrumentId

const entries: RawEntry[] = []
let latest: string | null = null
let counter = 0

function write<K extends Kind>(
  kind: K,
  subject: SubjectId,
  at: number,
  body: Bodies[K],
  by = 'bench 7',
): EntryId {
  counter += 1
  const random = Uint8Array.from({ length: 8 }, (_, i) => (counter * 37 + i * 101) & 0xff)
  const id = nextId(latest, at, random)
  latest = id
  const device = by === 'recorder' ? 'server' : 'laptop-7'
  entries.push({ id, v: 1, ledger: LEDGER, notebook: NOTEBOOK, subject, kind, body, at, author: by, device })
  return id
}

const subject = <T extends SubjectId>(n: number) =>
  `0a5a1c7e-0000-4000-8000-0000000001${String(n).padStart(2, '0')}` as T
const reading = (text: string): Reading => ({ text, value: Number(text) })
const minutesAgo = (minutes: number) => NOW - Math.round(minutes * 60_000)

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
const rows = (id: string, points: SolubilityPoint[]): SolubilityRow[] =>
  points.map(([temperatureC, gPer100ML]) => ({
    compound: id,
    solvent: 'ethanol-95',
    temperatureC,
    gPer100ML,
    confidence: null,
    source: BENCH_7,
  }))

function fixPlan(
  prep: PrepId,
  at: number,
  input: Omit<CrystallizationInput, 'excess'>,
  volumeML: number,
  rest: Pick<Bodies['plan fixed'], 'compound' | 'impurity' | 'solvent' | 'solubilitySource' | 'restsOn'>,
): void {
  const least = planCrystallization({ ...input, excess: 0 }).minimumHotML
  const full = { ...input, excess: volumeML / least - 1 }
  write('plan fixed', prep, at, {
    procedure: 'small flask and suction funnel',
    ...rest,
    input: full,
    result: planCrystallization(full),
    conventions: DEFAULT_HOUSE_RULES,
    coreVersion: CORE_VERSION,
  })
}

function tick(prep: PrepId, step: string, at: number): void {
  write('step ticked', prep, at, { step })
}
function pour(prep: PrepId, text: string, use: 'dissolve' | 'dilute' | 'rinse', at: number): EntryId {
  return write('solvent added', prep, at, { volume: reading(text), use })
}

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
})
write('sample named', benzilProduct, minutesAgo(255), { prep: benzilPrep, role: 'product', label: 'Benzil' })
write('observed', benzilPrep, minutesAgo(252), {
  station: 'plan',
  text: 'Crude: yellow powder with paler lumps, hardly any smell.',
})
const benzilCrudeMass = write('weighed', benzilCrude, minutesAgo(248), {
  method: 'tared',
  net: reading('1.804'),
  readabilityG: 0.001,
})
fixPlan(
  benzilPrep,
  minutesAgo(242),
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
pour(benzilPrep, '1.2', 'dissolve', minutesAgo(228))
pour(benzilPrep, '1.0', 'dissolve', minutesAgo(226))
pour(benzilPrep, '0.8', 'dissolve', minutesAgo(224))
pour(benzilPrep, '0.7', 'dissolve', minutesAgo(221))
tick(benzilPrep, 'dissolve-in-portions', minutesAgo(219))
const slip = pour(benzilPrep, '73', 'dilute', minutesAgo(218))
write('struck', benzilPrep, minutesAgo(217.6), { target: slip, reason: 'typed 73 for 7.3' })
pour(benzilPrep, '7.3', 'dilute', minutesAgo(217.6))
tick(benzilPrep, 'dilute-hot', minutesAgo(217))
tick(benzilPrep, 'off-the-heat', minutesAgo(215))
write('timer started', benzilPrep, minutesAgo(215), { timer: 'cool', minutes: 15 })
write('observed', benzilPrep, minutesAgo(206), {
  station: 'crystallize',
  text: 'Long yellow needles from about 50 °C.',
})
tick(benzilPrep, 'cool-undisturbed', minutesAgo(199))
write('timer started', benzilPrep, minutesAgo(198), { timer: 'ice', minutes: 10 })
tick(benzilPrep, 'into-ice', minutesAgo(187))
tick(benzilPrep, 'set-up-suction', minutesAgo(186))
tick(benzilPrep, 'wipe-and-pour', minutesAgo(184))
pour(benzilPrep, '1.0', 'rinse', minutesAgo(182))
tick(benzilPrep, 'rinse-cold', minutesAgo(182))
write('timer started', benzilPrep, minutesAgo(181), { timer: 'air', minutes: 10 })
tick(benzilPrep, 'draw-air', minutesAgo(168))
tick(benzilPrep, 'keep-the-liquor', minutesAgo(166))
write('weighed', benzilProduct, minutesAgo(160), {
  method: 'difference',
  empty: reading('31.2216'),
  loaded: reading('32.6130'),
  readabilityG: 0.0001,
})
melt(subject<MeltId>(4), minutesAgo(150))
const judged = judgementOf(fold(entries), benzilPrep)
if (!judged.ok) throw new Error(judged.problem.sentence)
write('verdict signed', benzilPrep, minutesAgo(95), {
  ...judged.value,
  signedBy: 'bench 7',
  coreVersion: CORE_VERSION,
})

function melt(id: MeltId, at: number): void {
  const prep = prepOf(fold(entries), benzilPrep)
  const plan = prep?.plan?.body
  if (!prep || !plan) throw new Error('no plan')
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
    firstLiquidFromC: eutectic(fusionOf(benzil), fusionOf(compound('benzoin'))).temperatureC,
  }
  const ramp = planRamp(input)
  write('melt planned', id, at, {
    prep: benzilPrep,
    instrument: INSTRUMENT,
    tubes: [
      { slot: 1, sample: benzilCrude, label: 'Crude benzil', fillMm: 2, grain: 'fine' },
      { slot: 2, sample: benzilProduct, label: 'Benzil', fillMm: 2, grain: 'fine' },
    ],
    literature: { lowC: benzil.meltLowC, highC: benzil.meltHighC, source: benzil.source },
    input,
    plan: ramp,
    conventions: DEFAULT_HOUSE_RULES,
    coreVersion: CORE_VERSION,
    restsOn: [prep.opened.id],
  })
  const seed = 20261124
  const contents = (role: 'crude' | 'product') => simulatedContents(plan, benzil, role, seed)
  const packing = { fillMm: 2, grain: 'fine' } as const
  const tubes = [
    { slot: 1, sample: contents('crude'), packing },
    { slot: 2, sample: contents('product'), packing },
  ]
  const run = subject<MeltId>(5) as string as RunId
  const start = at + 60_000
  write(
    'run started',
    id,
    start,
    { run, instrument: INSTRUMENT, simulated: true, seed, character: PROGRAMMABLE_BLOCK, blockC: 22, tubes },
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
        { run, firstSample: chunk[0]?.sample ?? 0, decimals: 1, probeC },
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
  watch(60)
  command({ kind: 'ramp', toC: ramp.stopC, rateCPerMin: ramp.rateCPerMin })
  watch(Math.round(((98.5 - ramp.startC) / ramp.rateCPerMin) * 60))
  command({ kind: 'stop' })
  flush()
  write('run ended', id, start + state.sample * 1000, { run, atS: state.sample }, 'recorder')
}

// ── adipic acid, in the ice ─────────────────────────────────────────────────────────────────────
const adipicPrep = subject<PrepId>(11)
const adipicCrude = subject<SampleId>(12)
const adipicProduct = subject<SampleId>(13)
const adipic = compound('adipic-acid')
write('prep opened', adipicPrep, minutesAgo(48), { title: 'Adipic acid, small batch', compound: adipic })
write('sample named', adipicCrude, minutesAgo(48), {
  prep: adipicPrep,
  role: 'crude',
  label: 'Crude adipic acid',
})
write('sample named', adipicProduct, minutesAgo(48), {
  prep: adipicPrep,
  role: 'product',
  label: 'Adipic acid',
})
const adipicMass = write('weighed', adipicCrude, minutesAgo(45), {
  method: 'tared',
  net: reading('0.612'),
  readabilityG: 0.001,
})
fixPlan(
  adipicPrep,
  minutesAgo(42),
  {
    crudeG: 0.612,
    assay: 0.92,
    product: REFERENCE_SOLUBILITIES.filter(
      (row) => row.compound === 'adipic-acid' && row.solvent === 'water',
    ).map((row): SolubilityPoint => [row.temperatureC, row.gPer100ML]),
    hotC: 90,
    coldC: 2,
    washML: 0.5,
  },
  2.5,
  {
    compound: adipic,
    impurity: null,
    solvent: solvent('water'),
    solubilitySource: 'general reference values of the shelf',
    restsOn: [adipicMass],
  },
)
tick(adipicPrep, 'heat-solvent', minutesAgo(38))
tick(adipicPrep, 'wet-the-crude', minutesAgo(33))
pour(adipicPrep, '0.5', 'dissolve', minutesAgo(33))
pour(adipicPrep, '0.5', 'dissolve', minutesAgo(31))
tick(adipicPrep, 'dissolve-in-portions', minutesAgo(30))
pour(adipicPrep, '1.5', 'dilute', minutesAgo(29))
tick(adipicPrep, 'dilute-hot', minutesAgo(29))
tick(adipicPrep, 'off-the-heat', minutesAgo(27))
write('timer started', adipicPrep, minutesAgo(27), { timer: 'cool', minutes: 15 })
tick(adipicPrep, 'cool-undisturbed', minutesAgo(7))
write('observed', adipicPrep, minutesAgo(6.5), {
  station: 'crystallize',
  text: 'Small colourless plates on the wall and below.',
})
write('timer started', adipicPrep, minutesAgo(6), { timer: 'ice', minutes: 10 })

const folder = join(import.meta.dirname, '..', 'core', 'golden')
mkdirSync(folder, { recursive: true })
const file = {
  nowMs: NOW,
  title: 'Saltmarsh teaching laboratory, bench 7',
  solubilities: [...rows('benzil', BENZIL_POINTS), ...rows('benzoin', BENZOIN_POINTS)],
  entries,
}
const lines = entries.map((entry) => `  ${JSON.stringify(entry)}`).join(',\n')
writeFileSync(
  join(folder, 'ledger.json'),
  `${JSON.stringify({ ...file, entries: 0 }).replace('"entries":0', `"entries":[\n${lines}\n]`)}\n`,
)
process.stdout.write(`${entries.length} lines\n`)
