import { storeValue, remembered } from '../device/memory'
import css from './FillGauge.module.css'
import classNames from 'classnames'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { type Grain, wideningByFillC } from '@ivory-crystal/core/heating'
import { fixed } from '../format/format'

const KEY = 'ivory-crystal pixels per mm'
/** A bank or identity card is this wide everywhere (ISO/IEC 7810, ID-1), mm. */
const CARD_MM = 85.6
/** What a CSS pixel is taken for until this screen has been measured. */
const NOMINAL_PX_PER_MM = 96 / 25.4
const BORE_MM = 1.2
const SHOWN_MM = 14

function stored(): number | null {
  const value = Number(remembered(KEY))
  return value > 1 && value < 40 ? value : null
}

/** A tube true to size, to hold a packed one against, and what its filling does to the range. */
export function FillGauge({
  fillMm,
  grain,
  rateCPerMin,
  wished,
  slot = null,
}: {
  fillMm: number
  grain: Grain
  rateCPerMin: number
  wished: readonly [number, number]
  /** Of several tubes this is the one packed worst; null where it is the only one. */
  slot?: number | null
}) {
  const [pxPerMm, setPxPerMm] = useState(stored)
  const [measuring, setMeasuring] = useState(false)
  const scale = pxPerMm ?? NOMINAL_PX_PER_MM
  const shown = Math.min(SHOWN_MM, Math.max(0, fillMm))
  const widerC = fillMm > 0 ? wideningByFillC({ fillMm, grain }, wished[0], rateCPerMin) : 0
  const width = 8 + BORE_MM * scale + 74
  return (
    <figure className={classNames(css.fillGauge, 'm-0')} aria-label="Fill gauge, true to size">
      <svg
        width={width}
        height={SHOWN_MM * scale + 10}
        role="img"
        aria-label={`A tube filled to ${fillMm} mm${grain === 'coarse' ? ', coarse' : ''}; house rules ask for ${wished[0]} to ${wished[1]} mm`}
      >
        <g transform={`translate(4 4)`}>
          <rect
            x="-2"
            y={(SHOWN_MM - wished[1]) * scale}
            width={BORE_MM * scale + 14}
            height={(wished[1] - wished[0]) * scale}
            fill="var(--teal-wash)"
          />
          <path
            d={`M0 0V${(SHOWN_MM - 0.6) * scale}a${(BORE_MM * scale) / 2} ${0.6 * scale} 0 0 0 ${BORE_MM * scale} 0V0`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.2"
          />
          <rect
            x="1"
            y={(SHOWN_MM - shown) * scale}
            width={BORE_MM * scale - 2}
            height={Math.max(0, shown - 0.3) * scale}
            fill="var(--ink-2)"
            opacity="0.55"
          />
          {[0, 5, 10].map((mm) => (
            <g key={mm} transform={`translate(${BORE_MM * scale + 6} ${(SHOWN_MM - mm) * scale})`}>
              <path d="M0 0h6" stroke="var(--ink-2)" />
              <text x="10" y="4" fontSize="12" fill="var(--ink-2)">
                {mm} mm
              </text>
            </g>
          ))}
        </g>
      </svg>
      <figcaption className="quiet">
        {Math.abs(widerC) < 0.05
          ? `${slot === null ? 'Packed' : 'Every tube packed'} as house rules ask.`
          : `${slot === null ? 'This filling' : `The filling of slot ${slot}`} makes the range about ${fixed(Math.abs(widerC), 1)} °C ${widerC > 0 ? 'wider' : 'narrower'} than ${wished[0]} mm of fine powder at ${fixed(rateCPerMin, 1)} °C/min.`}{' '}
        {pxPerMm === null ? 'Not true to size yet. ' : 'True to size on this screen. '}
        <Button
          size="sm"
          variant="link"
          onClick={() => {
            setMeasuring(!measuring)
          }}
        >
          {pxPerMm === null ? 'Make it true to size' : 'Measure again'}
        </Button>
        {measuring && (
          <Measure
            start={scale}
            onDone={(value) => {
              storeValue(KEY, String(value))
              setPxPerMm(value)
              setMeasuring(false)
            }}
          />
        )}
      </figcaption>
    </figure>
  )
}

/** A bar is drawn as long as a card held against the screen; its length in pixels gives the scale. */
function Measure({ start, onDone }: { start: number; onDone: (pxPerMm: number) => void }) {
  const [px, setPx] = useState(Math.round(start * CARD_MM))
  return (
    <div className="mt-2">
      <label htmlFor="card-width">
        Hold a bank or identity card to the screen and move the slider until the bar is as long as the card.
      </label>
      <input
        id="card-width"
        type="range"
        className="form-range"
        min={200}
        max={900}
        value={px}
        onChange={(event) => {
          setPx(Number(event.target.value))
        }}
      />
      <div style={{ width: px, height: 14, background: 'var(--teal)', maxWidth: '100%' }} />
      <Button
        size="sm"
        className="mt-2"
        onClick={() => {
          onDone(px / CARD_MM)
        }}
      >
        They are as long
      </Button>
    </div>
  )
}
