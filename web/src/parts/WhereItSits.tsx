import css from './WhereItSits.module.css'
import { useHouseRules } from './useHouseRules'
import { useMemo, useState } from 'react'
import Form from 'react-bootstrap/Form'
import { type Fusion, phasePoint, type PhasePoint, visibleUnder } from '@ivory-crystal/core/melting'
import { fixed } from '../format/format'
import type { MapPoint } from '../drawings/PhaseMapParts'
import { PhaseMap, type Probe } from '../drawings/PhaseMap'
import type { LadderRow } from '../drawings/LadderRung'
import { RangeLadder } from '../drawings/RangeLadder'
import { TubeDrawing } from '../drawings/TubeDrawing'

export interface MapSide {
  readonly name: string
  readonly fusion: Fusion & { readonly estimated?: boolean }
}

const COLD_STEP_C = 0.1

/**
 * The phase map under the hand: composition and temperature are dragged, and a drawn tube and the range ladder
 * follow. So a student sees why a mixture melts below both its parts.
 */
export function WhereItSits({
  a,
  b,
  points,
  rows,
  path = false,
  literature,
}: {
  a: MapSide
  b: MapSide
  points: readonly MapPoint[]
  /** Our own ranges, below the one that follows the hand. */
  rows: readonly LadderRow[]
  path?: boolean
  literature: { readonly lowC: number; readonly highC: number }
}) {
  const { onsetRule } = useHouseRules()
  const [probe, setProbe] = useState<Probe>(() => startOf(points, a.fusion, b.fusion))
  const here = useMemo(
    () =>
      phasePoint(a.fusion, b.fusion, probe.moleFractionA, probe.temperatureC, visibleUnder({ onsetRule })),
    [a.fusion, b.fusion, probe, onsetRule],
  )
  const percent = 100 * (1 - probe.moleFractionA)
  const top = Math.ceil(Math.max(a.fusion.meltingPointC, b.fusion.meltingPointC) + 5)
  const bottom = Math.floor(Math.min(here.range.onsetC, a.fusion.meltingPointC, b.fusion.meltingPointC) - 25)
  const following: LadderRow = {
    key: 'here',
    label: 'This mixture',
    note: `${fixed(percent, 0)} mol % ${b.name}`,
    onset: predicted(here.range.onsetC),
    clear: predicted(here.range.clearC),
    signs: [],
    tone: 'other',
  }
  return (
    <div className={css.where}>
      <div>
        <PhaseMap a={a} b={b} points={points} path={path} probe={probe} onProbe={setProbe} />
        <div className={css.whereSliders}>
          <label htmlFor="map-composition">composition</label>
          <Form.Range
            id="map-composition"
            min={0}
            max={100}
            step={0.5}
            value={percent}
            aria-valuetext={`${fixed(percent, 1)} mol % ${b.name}`}
            onChange={(event) => {
              setProbe({ ...probe, moleFractionA: 1 - Number(event.target.value) / 100 })
            }}
          />
          <span>{fixed(percent, 1)} mol %</span>
          <label htmlFor="map-temperature">temperature</label>
          <Form.Range
            id="map-temperature"
            min={bottom}
            max={top}
            step={COLD_STEP_C}
            value={probe.temperatureC}
            aria-valuetext={`${fixed(probe.temperatureC, 1)} °C`}
            onChange={(event) => {
              setProbe({ ...probe, temperatureC: Number(event.target.value) })
            }}
          />
          <span>{fixed(probe.temperatureC, 1)} °C</span>
        </div>
      </div>
      <div className={css.whereHere}>
        <TubeDrawing
          tube={{ look: here.look, liquidFraction: here.liquidFraction }}
          name="A tube of this mixture, drawn"
        />
        <div>
          <b>{phasesOf(here.phases, a.name, b.name)}</b>
          <p className="mb-1" data-testid="map-here">
            {fixed(100 * here.liquidFraction, 0)} % of it liquid at {fixed(probe.temperatureC, 1)} °C;{' '}
            {fixed(100 * (1 - here.massFractionA), 1)} % {b.name} by mass.
          </p>
          <p className="mb-0">{whyHere(here, a, b, probe)}</p>
        </div>
      </div>
      <RangeLadder
        rows={[following, ...rows]}
        literature={literature}
        note="the chosen mixture, as an ideal solution of the two would melt, heated very slowly"
      />
      <p className="quiet mb-0">
        {estimateSentence(a, b)}Calculated for an ideal liquid and pure solids. Simple pairs follow it within
        about 3 °C. Solid solutions and molecular compounds do not. Sand or salt does not dissolve in the melt
        and hardly lowers the range.
      </p>
    </div>
  )
}

/** To the tenth a drawing is worth. */
function predicted(value: number) {
  return { text: fixed(value, 1), value }
}

function startOf(points: readonly MapPoint[], a: Fusion, b: Fusion): Probe {
  const last = points.at(0)
  return last
    ? { moleFractionA: last.moleFractionA, temperatureC: (last.range.onsetC + last.range.clearC) / 2 }
    : { moleFractionA: 0.5, temperatureC: Math.min(a.meltingPointC, b.meltingPointC) - 5 }
}

function phasesOf(phases: PhasePoint['phases'], a: string, b: string): string {
  switch (phases) {
    case 'all solid':
      return `Crystals of ${a} and of ${b}, side by side`
    case 'all liquid':
      return 'All liquid'
    case 'liquid and solid a':
      return `Crystals of ${a} in a melt of both`
    case 'liquid and solid b':
      return `Crystals of ${b} in a melt of both`
  }
}

function whyHere(
  { range, beginsUnseen }: PhasePoint,
  a: MapSide,
  b: MapSide,
  { moleFractionA }: Probe,
): string {
  if (moleFractionA >= 1 || moleFractionA <= 0)
    return `Pure ${moleFractionA >= 1 ? a.name : b.name}: it melts at one temperature.`
  const low = Math.min(a.fusion.meltingPointC, b.fusion.meltingPointC)
  const below = `${fixed(low - range.onsetC, 1)} °C below the lower-melting of the two`
  return beginsUnseen
    ? `There is too little liquid to see at the eutectic temperature; the first drop shows ${below}.`
    : `It begins ${below}, because each dissolves in the melt of the other, and a melt of both stays liquid at lower temperatures.`
}

function estimateSentence(a: MapSide, b: MapSide): string {
  const guessed = [a, b].filter(({ fusion }) => fusion.estimated).map(({ name }) => name)
  return guessed.length > 0 ? `Fusion enthalpy of ${guessed.join(' and ')} estimated (Walden’s rule). ` : ''
}
