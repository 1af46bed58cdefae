import type {
  Bodies,
  Compound,
  EntryId,
  InstrumentId,
  Kind,
  PeriodId,
  PrepId,
  Reading,
  SampleId,
  SubjectId,
} from '../core/src/index'

interface Pen {
  readonly write: <K extends Kind>(kind: K, subject: SubjectId, at: number, body: Bodies[K]) => EntryId
  readonly subject: <T extends SubjectId>(n: number) => T
  readonly reading: (text: string) => Reading
  readonly minutesAgo: (minutes: number) => number
  readonly tick: (prep: PrepId, step: string, at: number) => void
  readonly portion: (prep: PrepId, text: string, effect: Bodies['portion seen']['effect'], at: number) => void
  readonly pour: (prep: PrepId, text: string, use: 'dilute', at: number) => EntryId
  /** The plan of the second half, fixed at its time. */
  readonly fix: (prep: PrepId, at: number, crude: EntryId) => void
  readonly benzil: Compound
  readonly firstPrep: PrepId
  readonly adipicPrep: PrepId
}

/** The second half of the crude benzil, cooling; the period it is done in, and the one before. */
export function writePeriod(pen: Pen): void {
  const { write, subject, reading, minutesAgo, tick, portion, pour, benzil, firstPrep, adipicPrep } = pen
  const prep = subject<PrepId>(71)
  const crude = subject<SampleId>(72)
  const product = subject<SampleId>(73)
  const morning = subject<PeriodId>(80)
  const period = subject<PeriodId>(81)
  const ofIts = { compound: null, of: [] } as const

  // ── the period before, closed ─────────────────────────────────────────────────────────────────
  write('period opened', morning, minutesAgo(254.5), {
    beginsAtMs: minutesAgo(262),
    endsAtMs: minutesAgo(75),
    hands: 1,
    isOwnPace: true,
    busy: [],
    first: null,
    planned: [
      { task: `${firstPrep}/dissolve`, words: 'Dissolve the benzil', startMin: 30, durationMin: 13 },
      { task: `${firstPrep}/collect`, words: 'Collect the benzil', startMin: 70, durationMin: 6 },
      {
        task: `${firstPrep}/judge`,
        words: 'Read the findings of the benzil, sign, and see to its page',
        startMin: 150,
        durationMin: 6,
      },
    ],
  })
  write('task noted', morning, minutesAgo(229), {
    task: `${firstPrep}/dissolve`,
    words: 'Dissolve the benzil',
    is: 'begun',
  })
  write('task noted', morning, minutesAgo(187), {
    task: `${firstPrep}/collect`,
    words: 'Collect the benzil',
    is: 'begun',
  })
  write('task noted', morning, minutesAgo(80), {
    task: 'bench/clear up',
    words: 'Clear up: wastes to their bottles, heat and water off, bench wiped',
    is: 'done',
  })
  write('period closed', morning, minutesAgo(79), {
    outAtMs: minutesAgo(79),
    done: [
      {
        task: `${firstPrep}/dissolve`,
        words: 'Dissolve the benzil',
        fromAtMs: minutesAgo(229),
        toAtMs: minutesAgo(215),
      },
      {
        task: `${firstPrep}/collect`,
        words: 'Collect the benzil',
        fromAtMs: minutesAgo(187),
        toAtMs: minutesAgo(181),
      },
      {
        task: `${firstPrep}/judge`,
        words: 'Read the findings of the benzil, sign, and see to its page',
        fromAtMs: minutesAgo(101),
        toAtMs: minutesAgo(95),
      },
    ],
    left: [],
  })

  // ── the second half of the crude, cooling ─────────────────────────────────────────────────────
  write('prep opened', prep, minutesAgo(259), { title: 'Second half of the benzil', compound: benzil })
  write('sample named', crude, minutesAgo(259), {
    prep,
    role: 'crude',
    label: 'Crude benzil, second half',
    ...ofIts,
  })
  write('sample named', product, minutesAgo(259), {
    prep,
    role: 'product',
    label: 'Benzil, second half',
    ...ofIts,
  })
  const weighed = write('weighed', crude, minutesAgo(44), {
    method: 'tared',
    net: reading('1.642'),
    readabilityG: 0.001,
    from: 'simulated balance',
  })
  pen.fix(prep, minutesAgo(41), weighed)
  write('period opened', period, minutesAgo(50), {
    beginsAtMs: minutesAgo(52),
    endsAtMs: minutesAgo(-198),
    hands: 1,
    isOwnPace: true,
    busy: [
      {
        what: 'programmable-block' as InstrumentId,
        who: 'bench 3',
        fromAtMs: minutesAgo(52),
        toAtMs: minutesAgo(-8),
      },
      { what: 'flame', who: 'bench 8', fromAtMs: minutesAgo(4), toAtMs: minutesAgo(-38) },
    ],
    first: prep,
    planned: [
      { task: `${adipicPrep}/dissolve`, words: 'Dissolve the adipic acid', startMin: 18, durationMin: 9 },
      {
        task: `${prep}/get ready`,
        words: 'Put ethanol 95% on to heat for the benzil',
        startMin: 20,
        durationMin: 2,
      },
      { task: `${prep}/dissolve`, words: 'Dissolve the benzil', startMin: 29, durationMin: 13 },
      {
        task: `${adipicPrep}/balance`,
        words: 'Balance the centrifuge tube of the adipic acid',
        startMin: 45,
        durationMin: 3,
      },
      { task: `${prep}/collect`, words: 'Collect the benzil', startMin: 74, durationMin: 6 },
      {
        task: 'bench/clear up',
        words: 'Clear up: wastes to their bottles, heat and water off, bench wiped',
        startMin: 196,
        durationMin: 10,
      },
    ],
  })
  tick(prep, 'heat-solvent', minutesAgo(24))
  tick(prep, 'wet-the-crude', minutesAgo(22))
  write('task noted', period, minutesAgo(10.5), {
    task: `${prep}/dissolve`,
    words: 'Dissolve the benzil',
    is: 'begun',
  })
  portion(prep, '1.2', 'less solid', minutesAgo(10.2))
  portion(prep, '1.0', 'less solid', minutesAgo(8.9))
  portion(prep, '1.1', 'all dissolved', minutesAgo(7.5))
  tick(prep, 'dissolve-in-portions', minutesAgo(6.2))
  pour(prep, '6.7', 'dilute', minutesAgo(6))
  tick(prep, 'dilute-hot', minutesAgo(5.8))
  tick(prep, 'off-the-heat', minutesAgo(5.4))
  write('timer started', prep, minutesAgo(5 + 1 / 3), { timer: 'cool', minutes: 15 })
  write('task set aside', period, minutesAgo(4), {
    task: `${adipicPrep}/spot`,
    words: 'Spot a plate of adipic acid',
    until: 'not put off',
    untilAtMs: null,
  })
}
