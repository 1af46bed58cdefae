import css from './PlateForm.module.css'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { LANE_KINDS, type LaneKind } from '@ivory-crystal/core/chromatography'
import { SPOT_SHAPES, type SpotShape } from '@ivory-crystal/core/notebook'
import { letter } from '../../drawings/PlateDrawing'
import type { LaneDraft } from './plateDraft'

export function LaneFields({
  lane,
  at,
  onChange,
  onSpot,
  onOut,
}: {
  lane: LaneDraft
  at: number
  onChange: (change: Partial<LaneDraft>) => void
  onSpot: (spot: number, mm: string) => void
  onOut: (() => void) | null
}) {
  return (
    <div className={css.laneFields}>
      <b>{letter(at)}</b>
      <Form.Control
        size="sm"
        aria-label={`lane ${letter(at)}: what was spotted`}
        value={lane.label}
        onChange={(event) => {
          onChange({ label: event.target.value })
        }}
      />
      <Form.Select
        size="sm"
        aria-label={`lane ${letter(at)}: sort`}
        value={lane.kind}
        onChange={(event) => {
          onChange({ kind: event.target.value as LaneKind })
        }}
      >
        {LANE_KINDS.map((kind) => (
          <option key={kind}>{kind}</option>
        ))}
      </Form.Select>
      <Form.Control
        size="sm"
        type="number"
        min={0}
        max={500}
        step={0.5}
        aria-label={`lane ${letter(at)}: mm from the left edge`}
        value={lane.acrossMm}
        onChange={(event) => {
          onChange({ acrossMm: Math.min(500, Math.max(0, Number(event.target.value))) })
        }}
      />
      <div className={css.laneSpots}>
        {lane.spots.map(({ mm, shape }, j) => (
          <span key={j} className={css.laneSpot}>
            <Form.Control
              size="sm"
              inputMode="decimal"
              aria-label={`lane ${letter(at)}, spot ${j + 1}, mm`}
              value={mm}
              onChange={(event) => {
                onSpot(j, event.target.value)
              }}
            />
            <Form.Select
              size="sm"
              aria-label={`lane ${letter(at)}, spot ${j + 1}, shape`}
              value={shape}
              onChange={(event) => {
                onChange({
                  spots: lane.spots.map((spot, k) =>
                    k === j ? { ...spot, shape: event.target.value as SpotShape } : spot,
                  ),
                })
              }}
            >
              {SPOT_SHAPES.map((one) => (
                <option key={one}>{one}</option>
              ))}
            </Form.Select>
            <Button
              size="sm"
              variant="link"
              aria-label={`take spot ${j + 1} of lane ${letter(at)} out`}
              onClick={() => {
                onChange({ spots: lane.spots.filter((_, k) => k !== j) })
              }}
            >
              out
            </Button>
          </span>
        ))}
        <Button
          size="sm"
          variant="link"
          aria-label={`add a spot to lane ${letter(at)}`}
          onClick={() => {
            onChange({ spots: [...lane.spots, { mm: '', shape: 'round' }] })
          }}
        >
          add a spot
        </Button>
      </div>
      {onOut && (
        <Button size="sm" variant="link" aria-label={`take lane ${letter(at)} out`} onClick={onOut}>
          leave this lane out
        </Button>
      )}
    </div>
  )
}
