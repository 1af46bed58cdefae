import css from './PlateForm.module.css'
import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import {
  LANE_KINDS,
  type LaneKind,
  LOCAL_RULES,
  PLATE_STEPS,
  type PlateDeveloped,
  SPOT_SHAPES,
  type SpotShape,
  VISUALIZED,
} from '@ivory-crystal/core'
import { Field } from '../../parts/Field'
import { letter, type Photograph, PlateDrawing } from '../../drawings/PlateDrawing'
import { LaneTable } from './LaneTable'
import { PhotographField } from './PhotographField'
import { type LaneDraft, type PlateDraft, readDraft, spread } from './plateDraft'

const LANES_MOST = 6

/** Measures a plate: by dragging on a drawing to scale, or by typing; a photograph may lie under it. */
export function PlateForm({
  draft: first,
  keptAs,
  photograph: firstPhotograph,
  onRecord,
  onCancel,
}: {
  draft: PlateDraft
  /** Under this name what is being measured outlives a reload; null: it does not. */
  keptAs: string | null
  photograph: Photograph | null
  onRecord: (body: Omit<PlateDeveloped, 'of'>, photograph: Photograph | null) => void
  onCancel?: () => void
}) {
  const [draft, setDraft] = useState<PlateDraft>(() => kept(keptAs) ?? first)
  const [photograph, setPhotograph] = useState(firstPhotograph)
  const [showSteps, setShowSteps] = useState(first.frontMm === '')
  useEffect(() => {
    // Kept beside React, for a reload in the middle of measuring.
    if (keptAs) sessionStorage.setItem(keptAs, JSON.stringify(draft))
  }, [keptAs, draft])
  const read = readDraft(draft)
  const change = (change: Partial<PlateDraft>) => {
    setDraft({ ...draft, ...change })
  }
  const changeLane = (at: number, change: Partial<LaneDraft>) => {
    setDraft({
      ...draft,
      lanes: draft.lanes.map((lane, i) => (i === at ? { ...lane, ...change } : lane)),
    })
  }
  const setSpot = (lane: number, spot: number, mm: string) => {
    const { spots } = draft.lanes[lane] ?? { spots: [] }
    changeLane(lane, { spots: spots.map((one, j) => (j === spot ? { ...one, mm } : one)) })
  }
  const resized = (lanes: readonly LaneDraft[]) => {
    change({ lanes: spread(lanes, read.size.widthMm) })
  }
  return (
    <form
      className="plate-page mt-3"
      aria-label="Measure the plate"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        if (!read.body) return
        if (keptAs) sessionStorage.removeItem(keptAs)
        onRecord(read.body, photograph)
      }}
    >
      <div>
        <PlateDrawing
          size={read.size}
          lineMm={read.lineMm}
          frontMm={read.front?.value ?? read.size.heightMm - read.lineMm - 10}
          photograph={photograph}
          lanes={draft.lanes.map((lane, i) => ({
            ...lane,
            spots: lane.spots.map(({ mm, shape }, j) => ({
              mm: Number(mm) || 0,
              shape,
              rf: read.lanes[i]?.spots[j]?.rf ?? null,
            })),
          }))}
          hands={{
            onFront: (mm) => {
              change({ frontMm: mm.toFixed(1) })
            },
            onLine: (mm) => {
              change({ lineMm: mm.toFixed(1) })
            },
            onLane: (lane, mm) => {
              changeLane(lane, { acrossMm: mm })
            },
            onSpot: (lane, spot, mm) => {
              setSpot(lane, spot, mm.toFixed(1))
            },
            onNewSpot: (lane, mm) => {
              const { spots } = draft.lanes[lane] ?? { spots: [] }
              changeLane(lane, { spots: [...spots, { mm: mm.toFixed(1), shape: 'round' }] })
            },
          }}
        />
        <p className="form-text">
          Click in a lane to set a spot; drag spots, front, line, and lanes by their letters. To the half
          millimetre.
        </p>
        <PhotographField photograph={photograph} onPhotograph={setPhotograph} />
      </div>
      <div>
        <h2>
          Run it{' '}
          <Button
            size="sm"
            variant="link"
            aria-expanded={showSteps}
            onClick={() => {
              setShowSteps(!showSteps)
            }}
          >
            {showSteps ? 'hide the steps' : 'show the steps'}
          </Button>
        </h2>
        {showSteps && (
          <ol className={css.plateSteps}>
            {PLATE_STEPS.map(({ text, caution }) => (
              <li key={text}>
                {text}
                {caution && <span className="caution d-block">{caution}</span>}
              </li>
            ))}
          </ol>
        )}
        {showSteps && <p className="caution mb-3">{LOCAL_RULES}</p>}
        <div className="row-of align-items-end mt-2">
          <Field
            label="eluent"
            width={230}
            value={draft.eluent}
            onChange={(eluent) => {
              change({ eluent })
            }}
          />
          <Field
            label="layer"
            width={250}
            value={draft.stationary}
            onChange={(stationary) => {
              change({ stationary })
            }}
          />
        </div>
        <fieldset className="row-of mt-2">
          <legend className="form-label w-100 mb-0">spots made visible by</legend>
          {VISUALIZED.map((one) => (
            <Form.Check
              key={one}
              id={`seen ${one}`}
              label={one}
              checked={draft.visualized.includes(one)}
              onChange={(event) => {
                change({
                  visualized: event.target.checked
                    ? [...draft.visualized, one]
                    : draft.visualized.filter((kept) => kept !== one),
                })
              }}
            />
          ))}
        </fieldset>
        <div className="row-of align-items-end mt-2">
          {(
            [
              ['frontMm', 'front above the line, mm'],
              ['lineMm', 'line above the edge, mm'],
              ['widthMm', 'plate width, mm'],
              ['heightMm', 'height, mm'],
            ] as const
          ).map(([field, label]) => (
            <Field
              key={field}
              label={label}
              width={field === 'heightMm' ? 80 : 130}
              value={draft[field]}
              onChange={(value) => {
                change({ [field]: value })
              }}
            />
          ))}
        </div>
        <h3 className="mt-3">Lanes</h3>
        {draft.lanes.map((lane, i) => (
          <LaneFields
            key={i}
            lane={lane}
            at={i}
            onChange={(change) => {
              changeLane(i, change)
            }}
            onSpot={(spot, mm) => {
              setSpot(i, spot, mm)
            }}
            onOut={
              draft.lanes.length > 1
                ? () => {
                    resized(draft.lanes.filter((_, j) => j !== i))
                  }
                : null
            }
          />
        ))}
        {draft.lanes.length < LANES_MOST && (
          <Button
            size="sm"
            variant="link"
            onClick={() => {
              resized([
                ...draft.lanes,
                {
                  sample: null,
                  label: `lane ${draft.lanes.length + 1}`,
                  kind: 'authentic',
                  acrossMm: 0,
                  spots: [],
                },
              ])
            }}
          >
            Another lane
          </Button>
        )}
        {read.lanes.length > 0 && <LaneTable lanes={read.lanes} frontText={draft.frontMm} />}
        {read.opinion && <p className="mt-2 mb-1">{read.opinion.sentence}</p>}
        {read.sentence && (
          <p className="look" role="status">
            {read.sentence}
          </p>
        )}
        <p className="row-of mt-2">
          <Button type="submit" disabled={!read.body}>
            Record this plate
          </Button>
          {onCancel && (
            <Button variant="link" onClick={onCancel}>
              Leave it as it is
            </Button>
          )}
        </p>
      </div>
    </form>
  )
}

function kept(keptAs: string | null): PlateDraft | null {
  const text = keptAs ? sessionStorage.getItem(keptAs) : null
  return text ? (JSON.parse(text) as PlateDraft) : null
}

function LaneFields({
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
          lane out
        </Button>
      )}
    </div>
  )
}
