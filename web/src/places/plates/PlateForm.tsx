import { ofThisTab } from '../../device/memory'
import classNames from 'classnames'
import page from './PlatePage.module.css'
import { PLATE_STEPS } from '@ivory-crystal/core/chromatography'
import type { PlateId } from '@ivory-crystal/core/ids'
import { type PlateDeveloped, VISUALIZED } from '@ivory-crystal/core/notebook'
import { LOCAL_RULES } from '@ivory-crystal/core/procedures'
import { newSubject } from '../../ledger/notebook'
import { checkLines, useTyped } from '../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import { FieldError } from '../../parts/InlineField'
import css from './PlateForm.module.css'
import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { Field } from '../../parts/Field'
import { type Photograph, PlateDrawing } from '../../drawings/PlateDrawing'
import { LaneTable } from './LaneTable'
import { PhotographField } from './PhotographField'
import { type LaneDraft, type PlateDraft, readDraft, spread } from './plateDraft'
import { LaneFields } from './LaneFields'

const LANES_MOST = 6

interface Typed {
  draft: PlateDraft
  photograph: Photograph | null
}
interface Measured {
  readonly body: Omit<PlateDeveloped, 'of'>
  readonly photograph: Photograph | null
}

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
  const form = useTyped<Typed, Measured>({
    start: { draft: storedDraft(keptAs) ?? first, photograph: firstPhotograph },
    make({ draft, photograph }) {
      const { body, sentence } = readDraft(draft)
      return body ? ok({ body, photograph }) : refuse(sentence ?? '', 'draft')
    },
    check: ({ body }) =>
      checkLines([{ kind: 'plate developed', subject: newSubject<PlateId>(), body: { ...body, of: null } }]),
    keep({ body, photograph }) {
      if (keptAs) ofThisTab.forget(keptAs)
      onRecord(body, photograph)
    },
  })
  const { draft, photograph } = form.typed
  const setDraft = (changed: PlateDraft) => {
    form.set({ draft: changed })
  }
  const [showSteps, setShowSteps] = useState(first.frontMm === '')
  useEffect(() => {
    // Kept beside React, for a reload in the middle of measuring.
    if (keptAs) ofThisTab.set(keptAs, JSON.stringify(draft))
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
      className={classNames(page.platePage, 'mt-3')}
      aria-label="Measure the plate"
      noValidate
      onSubmit={form.onSubmit}
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
          Click in a lane to add a spot. Drag spots, front and line, and lanes by their letters. Measure to
          half a millimetre.
        </p>
        <PhotographField photograph={photograph} onPhotograph={form.of('photograph').onChange} />
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
                    : draft.visualized.filter((seenBy) => seenBy !== one),
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
        {read.trouble.map((one) => (
          <p key={one} className="look mt-2 mb-1" role="alert">
            {one}
          </p>
        ))}
        {read.opinion && read.trouble.length === 0 && <p className="mt-2 mb-1">{read.opinion.sentence}</p>}
        {read.sentence && (
          <p className="look" role="status">
            {read.sentence}
          </p>
        )}
        <FieldError sentence={read.sentence ? null : form.message} />
        <p className="row-of mt-2">
          <Button type="submit" disabled={!read.body}>
            Record this plate
          </Button>
          {onCancel && (
            <Button variant="link" onClick={onCancel}>
              Keep it unchanged
            </Button>
          )}
        </p>
      </div>
    </form>
  )
}

function storedDraft(keptAs: string | null): PlateDraft | null {
  const text = keptAs ? ofThisTab.get(keptAs) : null
  return text ? (JSON.parse(text) as PlateDraft) : null
}
