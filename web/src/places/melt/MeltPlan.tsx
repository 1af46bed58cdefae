import { storeValue, remembered } from '../../device/memory'
import type { Conventions } from '@ivory-crystal/core/conventions'
import { scaleTrouble, wideningByFillC } from '@ivory-crystal/core/heating'
import type { MeltId } from '@ivory-crystal/core/ids'
import type { Instrument } from '@ivory-crystal/core/instruments'
import {
  calibrationOf,
  dialOf,
  expectedOf,
  houseRulesOf,
  type Line,
  type MeltPlanned,
  type PlannedTube,
  planTheMelt,
  type PrepFacts,
  type RackTube,
  samplesNamed,
  type View,
  heatedAsItBehaves,
} from '@ivory-crystal/core/notebook'
import { planMelt, unknownAmong } from '@ivory-crystal/core/planning'
import { checkLines, useTyped } from '../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import { FieldError } from '../../parts/InlineField'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { fixed } from '../../format/format'
import { FillGauge } from '../../drawings/FillGauge'
import { clock } from '../../clock/clock'
import { useInstruments } from '../../ledger/instruments'
import { newSubject, useNotebook, write } from '../../ledger/notebook'
import { HeatingPlan } from './HeatingPlan'
import { TakeCare } from '../../parts/TakeCare'
import { PackingTrouble } from './PackingTrouble'
import { Schools } from './Schools'
import { readSlots, type SlotDraft, startingSlots } from './tubes'
import { TubeRows } from './TubeRows'

const KEY = 'ivory-crystal instrument'

interface Typed {
  purpose: MeltPlanned['purpose']
  drafts: readonly SlotDraft[]
}

/** Which sample in which slot of which instrument, how it is packed, and the heating that follows from it. */
export function MeltPlan({
  prep,
  again,
  rack = [],
  on,
  begunAs = 'careful',
  onPlanned,
}: {
  prep: PrepFacts | null
  again: boolean
  /** Tubes of the rack this melt is for. */
  rack?: readonly RackTube[]
  /** The instrument to begin with. */
  on?: string | undefined
  begunAs?: MeltPlanned['purpose']
  onPlanned?: (melt: MeltId) => void
}) {
  const shelf = useNotebook((state) => state.shelf)
  const view = useNotebook((state) => state.view)
  const { states } = useInstruments()
  const instruments = shelf?.instruments ?? []
  const [chosen, setChosen] = useState<string | null>(on ?? null)
  // What is chosen here stands; else the one used last, if it takes every tube that waits for this melt.
  const takesAll = ({ character }: Instrument) => character.slots >= rack.length
  const last = instruments.find(({ id }) => id === remembered(KEY))
  const instrument =
    instruments.find(({ id }) => id === chosen) ??
    (last && takesAll(last) ? last : undefined) ??
    instruments.find(takesAll) ??
    last ??
    instruments[0]
  /** A set taken for this melt alone. */
  const [taken, setTaken] = useState<Conventions | null>(null)
  const samples = samplesNamed(view)
  const rulesOfNotebook = houseRulesOf(view, shelf?.houseRules ?? [])
  const conventions = taken ?? rulesOfNotebook
  const state = states?.find((one) => one.instrument.id === instrument?.id)
  const blockC = state?.blockC ?? null
  const form = useTyped<Typed, { readonly id: MeltId; readonly line: Line }>({
    start: { purpose: begunAs, drafts: startingSlots(3, rack, samples, prep?.id ?? null) },
    make(typed) {
      if (!instrument) return refuse('No instrument is on the shelf of this ledger.')
      const tubes = readSlots(typed.drafts.slice(0, instrument.character.slots), samples)
      if (!tubes.ok) return refuse(tubes.sentence, 'drafts')
      const wish = { tubes: tubes.tubes, instrument, conventions, purpose: typed.purpose }
      const heating = planMelt(view, { ...wish, blockC: blockC ?? instrument.character.ambientC })
      if (!heating.ok) return refuse(heating.problem.sentence)
      return ok(planTheMelt(newSubject, view, { ...wish, prep, heating: heating.value, now: clock.now() }))
    },
    check: ({ line }) => checkLines([line]),
    keep({ id, line }) {
      write(line)
      onPlanned?.(id)
    },
  })
  const { purpose, drafts } = form.typed
  const setPurpose = form.of('purpose').onChange
  if (!instrument) return <p>No instrument is on the shelf of this ledger.</p>
  const slots = drafts.slice(0, instrument.character.slots)
  const left = drafts.slice(instrument.character.slots).filter(({ sample }) => sample !== '')
  const read = readSlots(slots, samples)
  const wishFor = (on: Instrument, tubes: readonly PlannedTube[]) => ({
    tubes,
    instrument: on,
    blockC: blockC ?? on.character.ambientC,
    purpose,
  })
  const planned = read.ok ? planMelt(view, { ...wishFor(instrument, read.tubes), conventions }) : null
  const sentence = !read.ok ? read.sentence : planned && !planned.ok ? planned.problem.sentence : null
  const first = read.ok ? read.tubes[0] : undefined
  const worst = read.ok ? worstPacked(read.tubes, conventions) : undefined
  return (
    <form className="columns two" aria-label="Plan the melt" noValidate onSubmit={form.onSubmit}>
      <div>
        <h2>{again ? 'Melt again' : 'Pack the tubes'}</h2>
        <p className="quiet mt-1">
          Dry, finely crushed, {conventions.fillMm[0]} to {conventions.fillMm[1]} mm, tapped down tight. Label
          each tube before you pack the next.
        </p>
        {read.ok &&
          purpose === 'careful' &&
          heatedAsItBehaves(view, read.tubes, conventions).notes.map((note) => (
            <p key={note} className="look" role="note">
              {note}
            </p>
          ))}
        <TubeRows
          slots={slots}
          samples={samples}
          prep={prep?.id ?? null}
          onChange={(changed) => {
            form.set({ drafts: [...changed, ...drafts.slice(changed.length)] })
          }}
        />
        {left.length > 0 && (
          <p className="look">
            This instrument has{' '}
            {instrument.character.slots === 1 ? 'one slot' : `${instrument.character.slots} slots`}: the
            samples in the other slots wait.
          </p>
        )}
        {worst && read.ok && (
          <FillGauge
            fillMm={worst.fillMm}
            grain={worst.grain}
            slot={read.tubes.length > 1 ? worst.slot : null}
            rateCPerMin={conventions.meltRate.target}
            wished={conventions.fillMm}
          />
        )}
        <PackingTrouble />
        <p className="caution">
          Capillaries are sharp. Put used ones into glass waste, and never clean one out. A hot block looks
          like a cold one.
        </p>
        {prep && <TakeCare compound={prep.opened.body.compound} />}
      </div>
      <div>
        <h2>The heating</h2>
        <div className="row-of align-items-center mt-1">
          <Form.Select
            style={{ width: 230 }}
            aria-label="instrument"
            value={instrument.id}
            onChange={(event) => {
              setChosen(event.target.value)
              storeValue(KEY, event.target.value)
            }}
          >
            {instruments.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Form.Select>
          {instrument.simulated && <span className="simulated">simulated</span>}
          {state?.run && <span className="trouble">in use</span>}
        </div>
        <Form.Check
          className="my-2"
          id="scouting"
          type="checkbox"
          label="Scouting run (range unknown)"
          checked={purpose === 'scouting'}
          onChange={(event) => {
            setPurpose(event.target.checked ? 'scouting' : 'careful')
          }}
        />
        {planned?.ok && (
          <HeatingPlan planned={planned.value} blockC={blockC} control={instrument.character.control} />
        )}
        {planned?.ok &&
          scaleTrouble(instrument, planned.value.window).map(({ id, sentence: message }) => (
            <p key={id} className="look" role="alert">
              {message}
            </p>
          ))}
        <Calibrated view={view} instrument={instrument} />
        {sentence && (
          <p className="look" role="alert">
            {sentence}
            {read.ok && purpose === 'careful' && unknownAmong(view, idsOf(read.tubes)).length > 0 && (
              <Button
                size="sm"
                variant="link"
                onClick={() => {
                  setPurpose('scouting')
                }}
              >
                Make it scouting
              </Button>
            )}
          </p>
        )}
        <FieldError sentence={sentence ? null : form.message} />
        <Button type="submit" disabled={!planned?.ok} className="mt-2">
          Plan this {purpose === 'scouting' ? 'scouting run' : 'melt'}
        </Button>
        {planned?.ok && purpose === 'careful' && first && read.ok && (
          <Schools
            schools={shelf?.houseRules ?? []}
            inForce={conventions}
            instrument={instrument}
            blockC={blockC ?? instrument.character.ambientC}
            literature={planned.value.literature}
            firstLiquidFromC={firstLiquid(view, read.tubes)}
            packing={first}
            minutesBy={(school) => {
              const one = planMelt(view, { ...wishFor(instrument, read.tubes), conventions: school })
              return one.ok ? one.value.window.totalMin : null
            }}
            ofNotebook={rulesOfNotebook}
            onTake={setTaken}
          />
        )}
      </div>
    </form>
  )
}

/** The tube whose filling makes its range widest: what is wrong with any slot is shown. */
function worstPacked(tubes: readonly PlannedTube[], { fillMm, meltRate }: Conventions) {
  const widerC = (tube: PlannedTube) => Math.abs(wideningByFillC(tube, fillMm[0], meltRate.target))
  return [...tubes].sort((p, q) => widerC(q) - widerC(p))[0]
}

const idsOf = (tubes: readonly PlannedTube[]) => tubes.map(({ sample }) => sample)

function firstLiquid(view: View, tubes: readonly PlannedTube[]): number | null {
  const known = tubes.flatMap(({ sample }) => expectedOf(view, sample)?.firstLiquidFromC ?? [])
  return known.length > 0 ? Math.min(...known) : null
}

/** Whether readings of this run will be corrected, and by what. */
function Calibrated({ view, instrument }: { view: View; instrument: Instrument }) {
  const facts = calibrationOf(view, instrument.id, clock.now())
  const stale = dialOf(view, instrument.id)?.stale
  return (
    <>
      <p className="quiet mt-2 mb-1">
        {facts
          ? `Readings are corrected by ${facts.entry.body.points.length} standards of ${facts.ageDays === 0 ? 'today' : facts.ageDays === 1 ? 'yesterday' : `${facts.ageDays} days ago`}${facts.entry.body.errorC === null ? '' : `, to about ${fixed(facts.entry.body.errorC, 1)} °C`}; the raw ones stand beside them.`
          : 'This thermometer has not been calibrated here: ranges stay raw and are labelled so.'}
      </p>
      {[facts?.stale, stale].map(
        (one) =>
          one && (
            <p key={one} className="look">
              {one}
            </p>
          ),
      )}
    </>
  )
}
