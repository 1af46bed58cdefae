import { readFileSync } from 'node:fs'
import type { Conventions } from '../src/conventions/conventions'
import type { EntryId, PrepId, RunId, SampleId, SubjectId } from '../src/ids'
import { visibleUnder } from '../src/melting/meltingRange'
import { planTheMelt } from '../src/notebook/acts/melts'
import { grind } from '../src/notebook/acts/samples'
import { nextId } from '../src/notebook/clock'
import type { Line, RawEntry } from '../src/notebook/entry'
import { fold, type View } from '../src/notebook/fold'
import { type Bodies, type Kind, KINDS } from '../src/notebook/kinds/list'
import type { PlannedTube } from '../src/notebook/kinds/melt-planned/kind'
import type { PlanFixed } from '../src/notebook/kinds/plan-fixed/kind'
import { judgementOf, type PrepJudgement } from '../src/notebook/views/judgement'
import { meltOf } from '../src/notebook/views/melt'
import { prepOf } from '../src/notebook/views/prep'
import { planMelt } from '../src/planning/meltPlan'
import type { Compound } from '../src/substances/shelf'
import type { Instrument } from '../src/instruments/instrument'
import { beginPrep } from '../src/notebook/acts/preps'
import { authenticAtHand, EQUAL_BY_EYE } from '../src/notebook/acts/samples'
import { createTube } from '../src/simulator/tube'
import { watched } from './madeTubes'
import type { SimulatedSample } from '../src/instruments/reading'

/** A notebook kept at a made bench: every line as the app writes it, folded, and read by the views that read any other. */
export interface MadeNotebook {
  readonly prep: PrepId
  readonly product: SampleId
  readonly crude: SampleId
  readonly view: () => View
  readonly judged: () => PrepJudgement
  /** Minutes of lab time so far. */
  readonly minutes: () => number
  readonly dry: (minutes: number) => void
  readonly checkThermometer: () => void
  readonly authentic: () => SampleId
  readonly grind: () => SampleId
  readonly melt: (tubes: readonly MadeTube[], how: MadeRun) => void
}
export interface MadeTube {
  readonly sample: SampleId
  readonly label: string
  /** What is truly in it. */
  readonly holds: SimulatedSample
  readonly fillMm: number
  readonly grain: 'fine' | 'coarse'
}
export interface MadeRun {
  /** null: the rate the plan gave. */
  readonly rateCPerMin: number | null
  /** The thermometer is read by eye and typed once a minute. */
  readonly isByEye: boolean
  /** The tubes went in so much above the planned start, °C. */
  readonly lateC: number
}
interface Terms {
  readonly compound: Compound
  readonly impurity: Compound | null
  readonly conventions: Conventions
  readonly instrument: Instrument
  /** What its thermometer reads too high, °C. */
  readonly offC: number
  readonly random: () => number
  /** About normal, of mean 0 and standard deviation 1. */
  readonly normal: () => number
}

const START = 1_790_000_000_000
const TRACE_MOST = 60
/** Typed for a mark so long after it, s. */
const TYPED_LATE_S = 8
/** A mark wanders so much by the eye of whoever presses, °C. */
const EYE_C = 0.25

const ledger = JSON.parse(readFileSync(new URL('ledger.v4.json', import.meta.url), 'utf8')) as {
  readonly entries: readonly RawEntry[]
}
const planned = ledger.entries.find(({ kind }) => kind === 'plan fixed')?.body as PlanFixed
const [home] = ledger.entries as [RawEntry]

export function madeNotebook(terms: Terms): MadeNotebook {
  const { compound, impurity, conventions, instrument, offC, random, normal } = terms
  let view = fold([])
  let last: EntryId | null = null
  let nowMs = START
  let drawn = 0
  const newId = <T extends SubjectId | RunId>() => {
    drawn += 1
    return `0a5a1c7e-0000-4000-8000-${String(drawn).padStart(12, '0')}` as T
  }
  const write = (...lines: readonly Line[]): readonly RawEntry[] => {
    const entries = lines.map(({ kind, subject, body }): RawEntry => {
      last = nextId(last, nowMs, new Uint8Array(8))
      return { ...home, id: last, kind, v: KINDS[kind].version, subject, body, at: nowMs }
    })
    view = fold(entries, view)
    return entries
  }
  const line = <K extends Kind>(kind: K, subject: SubjectId, body: Bodies[K]): Line =>
    ({ kind, subject, body }) as Line
  const begun = beginPrep(newId, { title: '', compound })
  write(...begun.lines)
  const prep = begun.id
  const sampleOf = (role: 'crude' | 'product') => {
    const found = prepOf(view, prep)?.samples.find((sample) => sample.role === role)
    if (!found) throw new Error(role)
    return found.id
  }
  write(line('plan fixed', prep, { ...planned, compound, impurity, conventions }))
  let authentic: SampleId | null = null

  function melt(tubes: readonly MadeTube[], { rateCPerMin, isByEye, lateC }: MadeRun): void {
    const slots: PlannedTube[] = tubes.map(({ sample, label, fillMm, grain }, i) => ({
      slot: i + 1,
      sample,
      label,
      fillMm,
      grain,
    }))
    const facts = prepOf(view, prep)
    const wish = { tubes: slots, instrument, conventions, purpose: 'careful' as const }
    const heating = planMelt(view, { ...wish, blockC: instrument.character.ambientC })
    if (!heating.ok) throw new Error(heating.problem.sentence)
    const { id, line: plan } = planTheMelt(newId, view, {
      ...wish,
      prep: facts,
      heating: heating.value,
      now: nowMs,
    })
    write(plan)
    const run = newId<RunId>()
    const { startC, stopC, rateCPerMin: wished } = heating.value.window
    const rate = rateCPerMin ?? wished
    write(
      line('run started', id, {
        run,
        instrument: instrument.id,
        feed: isByEye ? 'by hand' : 'connected',
        simulation: null,
        blockC: instrument.character.ambientC,
        recorded: !isByEye,
      }),
    )
    // Up to the start fast, then the ramp until every tube is told or the stop has passed by far.
    const upS = Math.ceil((60 * (startC - instrument.character.ambientC)) / 20)
    const fromC = startC + lateC
    const blockAt = (s: number) =>
      s < upS ? instrument.character.ambientC + (20 * s) / 60 : startC + (rate * (s - upS)) / 60
    const inS = Math.max(1, Math.ceil(upS + (60 * lateC) / rate))
    const decimals = isByEye ? 1 : instrument.character.decimals
    const readAt = (s: number) => {
      const c = blockAt(s) + offC
      return isByEye ? Math.round(2 * c) / 2 : Number(c.toFixed(decimals))
    }
    if (lateC > 0)
      for (const { slot } of slots) write(line('tube noted', id, { run, slot, note: 'put in', atS: inS }))
    const ends = tubes.map(({ holds, fillMm, grain }) =>
      watched(
        createTube(
          holds,
          { fillMm, grain },
          { sampleLagMin: instrument.character.sampleLagMin, seed: Math.floor(1e6 * random()) },
        ),
        {
          fromS: inS,
          fromC,
          rate,
          visible: visibleUnder(conventions).visibleLiquidFraction,
          mostC: Math.max(stopC, compound.meltHighC) + 25,
        },
      ),
    )
    const endS = Math.max(...ends.map(({ clearS }) => clearS)) + 30
    if (!isByEye)
      for (let first = 1; first <= endS; first += TRACE_MOST)
        write(
          line('trace', id, {
            run,
            firstSample: first,
            decimals,
            probeC: Array.from({ length: Math.min(TRACE_MOST, endS - first + 1) }, (_, i) =>
              readAt(first + i),
            ),
            light: null,
          }),
        )
    else
      for (let s = 60; s <= endS; s += 60) {
        const value = readAt(s)
        nowMs += 1000
        write(
          line('temperature typed', id, {
            run,
            temperature: { text: value.toFixed(1), value },
            atS: s,
            mark: null,
          }),
        )
      }
    const wets = conventions.onsetRule === 'first wetness'
    ends.forEach(({ onsetS, clearS, isLiquidAtOnce }, i) => {
      // Whoever watches says that it was liquid before it was looked at.
      if (isLiquidAtOnce)
        write(line('tube noted', id, { run, slot: i + 1, note: 'melted as it went in', atS: inS }))
      // An eye presses a little early or late.
      const pressed = (s: number) => Math.max(inS + 1, Math.round(s + (60 * EYE_C * normal()) / rate))
      const onset = pressed(onsetS)
      const clear = Math.max(onset, pressed(clearS))
      for (const [moment, atS] of [
        [wets ? 'early sign' : 'first liquid', onset],
        ...(wets ? ([['first liquid', Math.min(clear, onset + 5)]] as const) : []),
        ['all liquid', clear],
      ] as const) {
        const probe = readAt(atS)
        nowMs += 1000
        const [mark] = write(
          line('mark made', id, {
            run,
            slot: i + 1,
            moment,
            pressedAtS: atS,
            lastSample: isByEye ? 0 : atS,
            lastProbe: isByEye ? null : { text: probe.toFixed(decimals), value: probe },
            from: 'key',
          }),
        )
        if (mark && moment === 'early sign') write(line('sign named', id, { mark: mark.id, word: 'wets' }))
        if (mark && isByEye) {
          const typed = readAt(atS + TYPED_LATE_S)
          write(
            line('temperature typed', id, {
              run,
              temperature: { text: typed.toFixed(1), value: typed },
              atS: atS + TYPED_LATE_S,
              mark: mark.id,
            }),
          )
        }
      }
    })
    nowMs += 1000 * endS + 4 * 60_000
    write(line('run ended', id, { run, atS: endS }))
    if (!meltOf(view, id)?.run?.ended) throw new Error('the run did not end')
  }

  return {
    prep,
    product: sampleOf('product'),
    crude: sampleOf('crude'),
    view: () => view,
    judged() {
      const judged = judgementOf(view, prep)
      if (!judged.ok) throw new Error(judged.problem.sentence)
      return judged.value
    },
    minutes: () => (nowMs - START) / 60_000,
    dry(minutes) {
      write(line('timer started', prep, { timer: 'air', minutes }))
      nowMs += minutes * 60_000 + 30_000
    },
    checkThermometer() {
      const about = (compound.meltLowC + compound.meltHighC) / 2
      write(
        line('thermometer calibrated', instrument.id as unknown as SubjectId, {
          method: 'between the points',
          points: [-30, 0, 30].map((by) => [about + by + offC, about + by] as const),
          errorC: 0.3,
          heating: null,
          coreVersion: planned.coreVersion,
          restsOn: [],
        }),
      )
      nowMs += 40 * 60_000
    },
    authentic() {
      if (authentic) return authentic
      const made = authenticAtHand(newId, compound)
      write(...made.lines)
      authentic = made.id
      return made.id
    },
    grind() {
      const reference = this.authentic()
      const made = grind(
        newId,
        { id: sampleOf('product'), label: 'product' },
        { id: reference, label: 'authentic' },
        EQUAL_BY_EYE,
      )
      write(...made.lines)
      nowMs += 5 * 60_000
      return made.id
    },
    melt,
  }
}
