import { readFileSync } from 'node:fs'
import { DEFAULT_HOUSE_RULES, SCHOOLS } from '../../src/conventions/schools'
import type { EntryId, PeriodId } from '../../src/ids'
import { nextId } from '../../src/notebook/clock'
import type { Line, RawEntry } from '../../src/notebook/entry'
import { fold } from '../../src/notebook/fold'
import { type Bodies, type Kind, KINDS } from '../../src/notebook/kinds/list'
import { houseRulesOf } from '../../src/notebook/views/instruments'
import { prepOf } from '../../src/notebook/views/prep'
import { periodAt } from '../../src/planning/period/periodFacts'
import type { PeriodTask } from '../../src/planning/period/task'
import { tasksOf } from '../../src/planning/period/tasksOf'
import type { Compound } from '../../src/substances/shelf'
import { SIMULATED_INSTRUMENTS } from '../../src/instruments/shipped'
import type { Shelf } from '../../src/wire'
import type { Instrument } from '../../src/instruments/instrument'
import { randomSource } from '../../src/math/random'
import { beginPrep, fixPlan } from '../../src/notebook/acts/preps'
import { openCase } from '../../src/notebook/acts/unknowns'
import { BATCHES_G, draftFor, KNOWN_PAIRS, outcomeFor, PLANNING_SHELF, readPlan } from '../plans'
import { referenceCompound } from '../reference'

/** A lab period as it stands when it is set: what is to be done, and the terms. */
export interface MadePeriod {
  readonly what: string
  readonly tasks: readonly PeriodTask[]
  readonly terms: Bodies['period opened']
}

const BEGINS_MS = 1_790_000_000_000
const MINUTE_MS = 60_000
/** Longer than any plan: how late it gets is what is asked. */
const LASTS_MIN = 14 * 60
const ledger = JSON.parse(readFileSync(new URL('../ledger.v4.json', import.meta.url), 'utf8')) as {
  readonly entries: readonly RawEntry[]
}
const [home] = ledger.entries as [RawEntry]

/**
 * A period drawn by a seed, built as a notebook builds it: preps whose plans are fixed by the shipped procedures, perhaps
 * an unknown, perhaps a partner, perhaps an instrument that somebody else has for a while.
 */
export function madePeriod(seed: number): MadePeriod {
  for (let draw = 0; ; draw++) {
    const made = drawPeriod(seed, randomSource(1000 * seed + draw).uniform)
    if (made.tasks.every(({ durationMin }) => durationMin <= ONE_TASK_MOST_MIN)) return made
  }
}
/** What dries over night is not done in one period. */
const ONE_TASK_MOST_MIN = 90

function drawPeriod(seed: number, random: () => number): MadePeriod {
  const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T
  const isCrudeFirst = random() < 0.4
  const conventions =
    SCHOOLS.find(({ crudeRange }) => (crudeRange === 'before dissolving') === isCrudeFirst) ??
    DEFAULT_HOUSE_RULES
  const instrument = pick(SIMULATED_INSTRUMENTS.filter(({ character }) => character.control !== 'flame'))
  const preps = pick([1, 1, 2, 2, 2, 3])
  const hasUnknown = preps < 3 && random() < 0.5
  const hands = preps > 1 && random() < 0.3 ? 2 : 1
  const busy = busyDrawn(random(), instrument)
  const shelf: Shelf = { ...PLANNING_SHELF, instruments: [instrument], houseRules: SCHOOLS, compounds: [] }

  const lines: Line[] = []
  let ids = 0
  const newId = <T extends string>() => {
    ids += 1
    return `0a5a1c7e-${String(seed).padStart(4, '0')}-4000-8000-${String(ids).padStart(12, '0')}` as T
  }
  const sentences: string[] = []
  let entries: readonly RawEntry[] = []
  const write = (more: readonly Line[]) => {
    lines.push(...more)
    entries = asEntries(lines)
  }
  for (let i = 0; i < preps; i++) {
    const { compound, solvent, crudeG } = drawnBatch(pick)
    const { planned, batch } = readPlan(compound, draftFor(compound, solvent), crudeG)
    const begun = beginPrep(newId, { title: `${compound.name} ${i + 1}`, compound })
    write(begun.lines)
    const prep = prepOf(fold(entries), begun.id)
    if (!prep) throw new Error('the prep is not there')
    write([fixPlan(prep, { ...batch, conventions }, planned, 'reference')])
    sentences.push(`${crudeG} g of ${compound.name} from ${solvent} (${planned.procedure.collect})`)
  }
  if (hasUnknown) {
    write(openCase(newId, `U-${seed}`, 'white').lines)
    sentences.push('an unknown')
  }
  const terms = {
    beginsAtMs: BEGINS_MS,
    endsAtMs: BEGINS_MS + LASTS_MIN * MINUTE_MS,
    hands,
    isOwnPace: true,
    busy,
    first: null,
    planned: [],
  } as Bodies['period opened']
  write([{ kind: 'period opened', subject: newId<PeriodId>(), body: terms }])
  const view = fold(entries)
  const period = periodAt(view, BEGINS_MS)
  const rules = { ...houseRulesOf(view, SCHOOLS), ...conventions }
  return {
    what: [
      sentences.join('; '),
      instrument.name.toLowerCase(),
      `${hands === 1 ? 'one pair' : 'two pairs'} of hands`,
      ...busy.map(({ what, toAtMs }) => `${what} taken to ${(toAtMs - BEGINS_MS) / MINUTE_MS} min`),
    ].join(', '),
    tasks: tasksOf(view, shelf, rules, BEGINS_MS, period),
    terms,
  }
}

/** A compound, a solvent and a batch that can be planned. */
function drawnBatch(pick: <T>(all: readonly T[]) => T): {
  readonly compound: Compound
  readonly solvent: string
  readonly crudeG: number
} {
  for (;;) {
    const [name, solvent] = pick(KNOWN_PAIRS)
    const crudeG = pick(BATCHES_G.filter((g) => g < 50))
    const compound = referenceCompound(name)
    if (outcomeFor(compound, draftFor(compound, solvent), crudeG).ok) return { compound, solvent, crudeG }
  }
}

/** In one period of three somebody else has the instrument for an hour or the balance for twenty minutes. */
function busyDrawn(chance: number, { id }: Instrument): Bodies['period opened']['busy'] {
  const taken = (what: Bodies['period opened']['busy'][number]['what'], fromMin: number, toMin: number) => [
    {
      what,
      who: 'bench 3',
      fromAtMs: BEGINS_MS + fromMin * MINUTE_MS,
      toAtMs: BEGINS_MS + toMin * MINUTE_MS,
    },
  ]
  if (chance < 0.2) return taken(id, 30, 90)
  return chance < 0.33 ? taken('balance', 40, 60) : []
}

function asEntries(lines: readonly Line[]): readonly RawEntry[] {
  let last: EntryId | null = null
  return lines.map(({ kind, subject, body }, i): RawEntry => {
    last = nextId(last, BEGINS_MS - (lines.length - i) * 1000, new Uint8Array(8))
    return {
      ...home,
      id: last,
      kind,
      v: KINDS[kind satisfies Kind].version,
      subject,
      body,
      at: BEGINS_MS - (lines.length - i) * 1000,
    }
  })
}
