import { heatedAsItBehaves } from '../views/meltBehaviour'
import type { Conventions } from '../../conventions/conventions'
import type { EntryId, EpochMs, MeltId, RunId } from '../../ids'
import type { PlannedHeating } from '../kinds/melt-planned/kind'
import type { Reading } from '../../units'
import { CORE_VERSION } from '../../version'
import type { Instrument } from '../../instruments/instrument'
import type { Entry, Line } from '../entry'
import type { View } from '../fold'
import { linesOf } from '../read'
import type { Moment } from '../kinds/mark-made/kind'
import type { MeltPlanned, PlannedTube } from '../kinds/melt-planned/kind'
import { calibrationOf, dialOf } from '../views/instruments'
import { markOf, type MeltFacts } from '../views/melt'
import type { PrepFacts } from '../views/prep'
import type { NewId } from './newId'

/** A melt as it is about to be planned. */
export interface MeltToPlan {
  /** The prep whose page it is planned from; null from rack or case. */
  readonly prep: PrepFacts | null
  readonly instrument: Instrument
  readonly tubes: readonly PlannedTube[]
  readonly purpose: MeltPlanned['purpose']
  readonly heating: PlannedHeating
  readonly conventions: Conventions
  readonly now: EpochMs
}

/** A melt is planned; it rests on the prep, the dial it is heated by, and the calibration it will be read with. */
export function planTheMelt(
  newId: NewId,
  view: View,
  { prep, instrument, tubes, purpose, heating, conventions, now }: MeltToPlan,
): { readonly id: MeltId; readonly line: Line<'melt planned'> } {
  const id = newId<MeltId>()
  const calibration = calibrationUsed(view, instrument, now)
  const dial = heating.heating.by === 'dial' ? dialOf(view, instrument.id)?.entry.id : undefined
  return {
    id,
    line: {
      kind: 'melt planned',
      subject: id,
      body: {
        prep: prep?.id ?? null,
        instrument: instrument.id,
        instrumentName: instrument.name,
        purpose,
        tubes,
        ...heating,
        calibration,
        // What the solid asked for beyond house rules is what this melt was heated by.
        conventions:
          purpose === 'careful' ? heatedAsItBehaves(view, tubes, conventions).conventions : conventions,
        coreVersion: CORE_VERSION,
        restsOn: [
          ...(prep ? [prep.opened.id] : []),
          ...(dial ? [dial] : []),
          ...(calibration ? [calibration.entry] : []),
        ],
      },
    },
  }
}

function calibrationUsed(view: View, instrument: Instrument, now: EpochMs): MeltPlanned['calibration'] {
  const facts = calibrationOf(view, instrument.id, now)
  if (!facts) return null
  const { method, points, errorC, heating } = facts.entry.body
  return { method, points, errorC, heating, entry: facts.entry.id, at: facts.entry.at }
}

/** A run begins that no server knows of: its times are the page's, its thermometer is read by eye. */
export function beginByHand(newId: NewId, { id, planned }: MeltFacts): Line<'run started'> {
  const { heating, instrument } = planned.body
  const blockC = heating.by === 'dial' ? heating.input.startC : heating.by === 'hand' ? heating.blockC : null
  return {
    kind: 'run started',
    subject: id,
    body: { run: newId<RunId>(), instrument, feed: 'by hand', simulation: null, blockC, recorded: false },
  }
}

/** Marks the instrument kept itself are copied in, as a run that has begun and ended. */
export function copyMarks(
  newId: NewId,
  { id, planned }: MeltFacts,
  readings: readonly { readonly slot: number; readonly onset: Reading; readonly clear: Reading }[],
): readonly Line[] {
  const run = newId<RunId>()
  const mark = (slot: number, moment: Moment, lastProbe: Reading): Line<'mark made'> => ({
    kind: 'mark made',
    subject: id,
    body: { run, slot, moment, pressedAtS: 0, lastSample: 0, lastProbe, from: 'instrument' },
  })
  const { instrument } = planned.body
  return [
    {
      kind: 'run started',
      subject: id,
      body: { run, instrument, feed: 'by hand', simulation: null, blockC: null, recorded: true },
    },
    ...readings.flatMap(({ slot, onset, clear }) => [
      mark(slot, 'first liquid', onset),
      mark(slot, 'all liquid', clear),
    ]),
    { kind: 'run ended', subject: id, body: { run, atS: 0 } },
  ]
}

/** What exchanging the two marks of a tube takes: lines to strike, and to write. */
export interface ExchangedMarks {
  readonly struck: readonly Entry<'mark made'>[]
  readonly marks: readonly Line<'mark made'>[]
  /** Readings typed for the old marks, for the new ones; by the ids of the new marks, in order. */
  readonly typed: (marks: readonly EntryId[]) => readonly Line<'temperature typed'>[]
}

/**
 * The two keys of a tube were swapped: both marks are struck and made anew, each as the other, at the time it was
 * pressed and with what was read for it.
 *
 * @returns null where the tube has not both
 */
export function exchangeMarks(view: View, melt: MeltFacts, slot: number): ExchangedMarks | null {
  const [first, all] = [markOf(melt, slot, 'first liquid'), markOf(melt, slot, 'all liquid')]
  if (!first || !all) return null
  const standing = [first.entry, all.entry]
  const other = {
    'first liquid': 'all liquid',
    'all liquid': 'first liquid',
    'early sign': 'early sign',
  } as const
  const readFor = linesOf(view, melt.id, 'temperature typed')
  return {
    struck: standing,
    marks: standing.map(({ body }) => ({
      kind: 'mark made',
      subject: melt.id,
      body: { ...body, moment: other[body.moment] },
    })),
    typed: (marks) =>
      standing.flatMap(({ id }, i) => {
        const read = readFor.find(({ body }) => body.mark === id)
        const mark = marks[i]
        return read && mark
          ? [{ kind: 'temperature typed' as const, subject: melt.id, body: { ...read.body, mark } }]
          : []
      }),
  }
}
