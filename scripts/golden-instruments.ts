import {
  advance,
  BENCH,
  calibrationFrom,
  createBlock,
  createTube,
  DEFAULT_HOUSE_RULES,
  DETECTING_BLOCK,
  detectMelt,
  DIAL_BLOCK,
  dialFrom,
  fusionOf,
  OIL_BATH_TUBE,
  simulatedHeating,
  type BlockReading,
  type Bodies,
  type Compound,
  type Entry,
  type EntryId,
  type InstrumentId,
  type Kind,
  type MeltId,
  type PrepId,
  type Reading,
  type RunId,
  type SampleId,
  type SubjectId,
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
  readonly prep: PrepId
  readonly crude: SampleId
  readonly authentic: SampleId
  readonly benzil: Compound
  readonly compound: (id: string) => Compound
}

const DIAL = 'dial-block' as InstrumentId
const OIL = 'oil-bath-tube' as InstrumentId
const DETECTING = 'detecting-block' as InstrumentId

/** The bench's instruments as a few lab days leave them: a dial learned, a thermometer calibrated, two melts of the authentic sample. */
export function writeInstruments(pen: Pen): void {
  const { write, minutesAgo, benzil, authentic } = pen
  write('rules taken', BENCH, minutesAgo(83), { conventions: DEFAULT_HOUSE_RULES })
  learnTheDial(pen)
  calibrate(pen)
  const done = write('turn taken', DIAL, minutesAgo(74), { who: 'bench 5', slots: 2 }, 'bench 5')
  write('turn ended', DIAL, minutesAgo(60), { turn: done, glassCleared: true, switchedOff: false }, 'bench 5')
  write('turn taken', DIAL, minutesAgo(58), { who: 'bench 3', slots: 1 }, 'bench 3')
  write('sample named', authentic, minutesAgo(73), {
    prep: null,
    role: 'authentic',
    label: 'Authentic benzil',
    compound: benzil,
    of: [],
  })
  oilBath(pen, authentic)
  light(pen, authentic)
  rack(pen, authentic)
}

/** Three heatings of the simulated dial block from cold, as its probe read them. */
function learnTheDial({ write, minutesAgo }: Pen): void {
  const logged = [3, 5, 8].map((dial, i) => {
    const heated = simulatedHeating(DIAL_BLOCK, dial, 70 + i)
    if (!heated.ok) throw new Error(heated.problem.sentence)
    const samples = heated.value
    const body = { dial, ambientC: 22, samples, from: 'simulated run' as const }
    return {
      id: write('heating logged', DIAL, minutesAgo(82 - i), body),
      body,
    } as unknown as Entry<'heating logged'>
  })
  const learned = dialFrom(logged)
  if (!learned.ok) throw new Error(learned.problem.sentence)
  write('dial learned', DIAL, minutesAgo(79), learned.value)
}

/** Ice water and two standards, as the simulated probe shows them: low, and lower the hotter. */
function calibrate({ write, minutesAgo, reading, compound }: Pen): void {
  const literature = (id: string) => {
    const { meltLowC, meltHighC, source } = compound(id)
    return { lowC: meltLowC, highC: meltHighC, source }
  }
  const heating = { rateCPerMin: 1, fillMm: 2, grain: 'fine' as const }
  const bodies: Bodies['standard read'][] = [
    {
      standard: 'Ice water',
      literature: { lowC: 0, highC: 0, source: 'ice and water at the pressure of the room' },
      read: [reading('0.4')],
      heating: null,
    },
    {
      standard: 'Triphenylmethane',
      literature: literature('triphenylmethane'),
      read: [reading('91.4'), reading('92.6')],
      heating,
    },
    {
      standard: 'Adipic acid',
      literature: literature('adipic-acid'),
      read: [reading('150.1'), reading('151.5')],
      heating,
    },
  ]
  const standards = bodies.map(
    (body, i) =>
      ({
        id: write('standard read', DIAL, minutesAgo(78 - i), body),
        body,
      }) as unknown as Entry<'standard read'>,
  )
  const calibration = calibrationFrom(standards, 'between the points')
  if (!calibration.ok) throw new Error(calibration.problem.sentence)
  write('thermometer calibrated', DIAL, minutesAgo(75), calibration.value)
}

/** A run in the oil bath, its glass thermometer read by eye once a minute, each mark typed some seconds late. */
function oilBath(
  { write, subject, reading, minutesAgo, prep, crude, benzil }: Pen,
  authentic: SampleId,
): void {
  const id = subject<MeltId>(22)
  const run = subject<MeltId>(23) as string as RunId
  const at = minutesAgo(72)
  write('melt planned', id, at, {
    prep,
    instrument: OIL,
    instrumentName: 'Oil-bath tube',
    purpose: 'careful',
    tubes: [
      { slot: 1, sample: authentic, label: 'Authentic benzil', fillMm: 10, grain: 'fine' },
      { slot: 2, sample: crude, label: 'Crude benzil', fillMm: 10, grain: 'fine' },
    ],
    literature: { lowC: benzil.meltLowC, highC: benzil.meltHighC, source: benzil.source },
    window: {
      startC: benzil.meltLowC - 15,
      watchFromC: benzil.meltLowC - 5,
      stopC: benzil.meltHighC + 8,
      rateCPerMin: 1,
      watchFromMin: null,
      totalMin: null,
    },
    heating: { by: 'hand', blockC: 22, warnings: ['What this flame does has not been learned yet.'] },
    calibration: null,
    conventions: DEFAULT_HOUSE_RULES,
    coreVersion: '0.1.0',
    restsOn: [],
  })
  for (const check of ['oil-label-read', 'bulb-at-the-junction', 'flame-at-the-arm'])
    write('check made', id, at + 20_000, { check })
  const seed = 41
  const packing = { fillMm: 10, grain: 'fine' } as const
  const sample = { a: fusionOf(benzil), b: null, moleFractionA: 1 }
  const start = at + 60_000
  write(
    'run started',
    id,
    start,
    {
      run,
      instrument: OIL,
      feed: 'simulated',
      simulation: {
        seed,
        character: OIL_BATH_TUBE,
        tubes: [1, 2].map((slot) => ({ slot, sample, packing })),
      },
      blockC: 22,
      recorded: false,
    },
    'recorder',
  )
  const lag = { sampleLagMin: OIL_BATH_TUBE.sampleLagMin, seed }
  let state = createBlock(OIL_BATH_TUBE, seed, { tubes: [1, 2].map(() => createTube(sample, packing, lag)) })
  const flame = (setting: number) => {
    const command = { kind: 'dial', setting } as const
    write('run command', id, start + state.sample * 1000, { run, atS: state.sample, command }, 'recorder')
    state = advance(state, [command], 0).state
  }
  const type = (one: BlockReading, mark: EntryId | null, lateS: number) =>
    write('temperature typed', id, start + (one.sample + lateS) * 1000, {
      run,
      temperature: reading((Math.round(one.probe.value * 2) / 2).toFixed(1)),
      atS: one.sample + lateS,
      mark,
    })
  const put = { kind: 'tubes in' } as const
  write('run command', id, start, { run, atS: 0, command: put }, 'recorder')
  state = advance(state, [put], 0).state
  flame(4)
  let late: { readonly mark: EntryId; readonly dueS: number } | null = null
  const marked = new Set<string>()
  let gentle = false
  for (let s = 0; s < 2400; s++) {
    const played = advance(state, [], 1)
    state = played.state
    const one = played.readings[0] as BlockReading
    if (!gentle && one.probe.value >= 76) {
      gentle = true
      flame(3)
      write('tube noted', id, start + one.sample * 1000, { run, slot: 2, note: 'turned', atS: one.sample })
    }
    if (late && one.sample >= late.dueS) {
      type(one, late.mark, 0)
      late = null
    } else if (one.sample % 60 === 0) type(one, null, 0)
    const seen = one.tubes[0]
    for (const [moment, is] of [
      ['first liquid', (seen?.liquidFraction ?? 0) >= 0.22],
      ['all liquid', seen?.look === 'clear'],
    ] as const)
      if (is && !marked.has(moment)) {
        marked.add(moment)
        const mark = write('mark made', id, start + one.sample * 1000 + 300, {
          run,
          slot: 1,
          moment,
          pressedAtS: one.sample + 0.3,
          lastSample: one.sample,
          lastProbe: null,
          from: 'key',
        })
        late = { mark, dueS: one.sample + 7 }
      }
    if (marked.size === 2 && !late) break
  }
  write('range given up', id, start + state.sample * 1000, {
    run,
    slot: 2,
    reason: 'the tube broke or came out',
  })
  flame(0)
  write('run ended', id, start + state.sample * 1000 + 500, { run, atS: state.sample }, 'recorder')
}

/** A light trace of the authentic sample from the detecting block, brought in as a file. */
function light({ write, subject, minutesAgo, prep, benzil }: Pen, authentic: SampleId): void {
  const id = subject<MeltId>(24)
  const packing = { fillMm: 4, grain: 'fine' } as const
  const tube = createTube({ a: fusionOf(benzil), b: null, moleFractionA: 1 }, packing, {
    sampleLagMin: DETECTING_BLOCK.sampleLagMin,
    seed: 9,
  })
  const held = advance(
    createBlock(DETECTING_BLOCK, 9, { blockC: 88, tubes: [tube] }),
    [{ kind: 'preheat', toC: 88 }, { kind: 'tubes in' }],
    300,
  ).state
  const { readings } = advance(held, [{ kind: 'ramp', toC: 100, rateCPerMin: 1 }], 700)
  const trace = readings
    .filter((_, i) => i % 5 === 0)
    .map(({ probe, light: lit }) => [probe.value, lit?.[0] ?? 0] as const)
  const { onsetC, clearC } = detectMelt(
    trace.map(([temperatureC, transmission]) => ({ temperatureC, transmission })),
  )
  write('melt planned', id, minutesAgo(49), {
    prep,
    instrument: DETECTING,
    instrumentName: 'Detecting block',
    purpose: 'careful',
    tubes: [{ slot: 1, sample: authentic, label: 'Authentic benzil', ...packing }],
    literature: { lowC: benzil.meltLowC, highC: benzil.meltHighC, source: benzil.source },
    window: { startC: 88, watchFromC: 89, stopC: 100, rateCPerMin: 1, watchFromMin: null, totalMin: null },
    heating: { by: 'hand', blockC: 22, warnings: [] },
    calibration: null,
    conventions: DEFAULT_HOUSE_RULES,
    coreVersion: '0.1.0',
    restsOn: [],
  })
  write('melt detected', id, minutesAgo(48.5), {
    run: null,
    slot: 1,
    onsetC: Math.round(onsetC * 10) / 10,
    clearC: Math.round(clearC * 10) / 10,
    shares: { onsetAt: 0.05, clearAt: 0.95 },
    decimals: 1,
    light: trace,
    rateCPerMin: 1,
  })
}

/** Three tubes that wait in the rack: crude and authentic side by side, and one of the dry adipic acid reference. */
function rack({ write, subject, minutesAgo, crude, compound }: Pen, authentic: SampleId): void {
  const reference = subject<SampleId>(25)
  write('sample named', reference, minutesAgo(47.5), {
    prep: null,
    role: 'authentic',
    label: 'Authentic adipic acid',
    compound: compound('adipic-acid'),
    of: [],
  })
  const packed = (sample: SampleId, label: string, set: string | null, at: number) =>
    write('tube packed', sample, at, { sample, label, fillMm: 2, grain: 'fine', set })
  packed(crude, 'Crude benzil', 'A', minutesAgo(47.4))
  packed(authentic, 'Authentic benzil', 'A', minutesAgo(47.2))
  packed(reference, 'Authentic adipic acid', null, minutesAgo(47))
}
