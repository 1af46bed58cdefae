import css from './PlatePage.module.css'
import classNames from 'classnames'
import type { PlateId, PrepId, UnknownId } from '@ivory-crystal/core/ids'
import {
  measureAgain,
  photographsOf,
  type PlateFacts,
  plateOf,
  prepOf,
  recordPlate,
  unknownOf,
  type View,
} from '@ivory-crystal/core/notebook'
import { type ReactNode, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { capital, clock, day } from '../../format/format'
import { PdfMenu } from '../../paper/PdfMenu'
import { LastHash } from '../../parts/LastHash'
import { Gallery, Photographs } from '../../parts/Photographs'
import { Title } from '../../parts/Title'
import { Why } from '../../parts/Why'
import { PlateDrawing } from '../../drawings/PlateDrawing'
import { newSubject, useNotebook, write } from '../../ledger/notebook'
import { LaneTable } from './LaneTable'
import { PlateForm } from './PlateForm'
import { draftOf, readDraft, startingDraft } from './plateDraft'

/** A thin-layer plate: being measured, or as it was recorded. */
export function PlatePage() {
  const { notebook, plate: id } = useParams()
  const [params] = useSearchParams()
  const view = useNotebook((state) => state.view)
  const [correcting, setCorrecting] = useState(false)
  const go = useNavigate()
  const home = `/n/${notebook ?? ''}`
  if (id === 'new') {
    const of = subjectIn(view, params.get('of'))
    return (
      <>
        <Title title="A thin-layer plate" aside={of ? `beside ${nameOf(view, of)}` : undefined} />
        <PlateForm
          draft={startingDraft(view, of)}
          keptAs={`ivory-crystal plate ${of ?? ''}`}
          photograph={null}
          onRecord={(body, photograph) => {
            const { id: plate, lines } = recordPlate(newSubject, of, body, photograph)
            write(...lines)
            void go(`${home}/plates/${plate}`, { replace: true })
          }}
        />
      </>
    )
  }
  const plate = plateOf(view, id as PlateId)
  if (!plate)
    return (
      <>
        <Title title="No such plate" />
        <p className="mt-3">
          There is no such plate in this notebook, or it was struck out.{' '}
          <Link to={`${home}/unknowns`}>To the unknowns</Link>
        </p>
      </>
    )
  return (
    <>
      <Title
        title={`Plate in ${plate.developed.body.eluent}`}
        aside={plate.developed.body.of ? `beside ${nameOf(view, plate.developed.body.of)}` : undefined}
      />
      {correcting ? (
        <PlateForm
          draft={draftOf(plate.developed.body)}
          keptAs={null}
          photograph={plate.photograph?.body ?? null}
          onCancel={() => {
            setCorrecting(false)
          }}
          onRecord={(body, photograph) => {
            write(...measureAgain(plate, body, photograph))
            setCorrecting(false)
          }}
        />
      ) : (
        <Recorded
          plate={plate}
          home={home}
          onCorrect={() => {
            setCorrecting(true)
          }}
        />
      )}
    </>
  )
}

function subjectIn(view: View, text: string | null): PrepId | UnknownId | null {
  if (!text) return null
  return prepOf(view, text as PrepId) || unknownOf(view, text as UnknownId)
    ? (text as PrepId | UnknownId)
    : null
}

function nameOf(view: View, of: PrepId | UnknownId): string {
  return (
    prepOf(view, of as PrepId)?.opened.body.title ?? unknownOf(view, of as UnknownId)?.opened.body.code ?? ''
  )
}

function Recorded({ plate, home, onCorrect }: { plate: PlateFacts; home: string; onCorrect: () => void }) {
  const { body, author } = plate.developed
  const { of } = body
  const view = useNotebook((state) => state.view)
  const back = of
    ? prepOf(view, of as PrepId)
      ? { to: `${home}/preps/${of}/judge`, name: 'To its judging' }
      : { to: `${home}/unknowns/${of}/sign`, name: 'To its case' }
    : null
  return (
    <RecordedPlate plate={plate}>
      <Photographs of={plate.id} usual="plate" />
      <div className="row-of align-items-center mt-3">
        {back && (
          <Link className="btn btn-primary" to={back.to}>
            {back.name}
          </Link>
        )}
        <PdfMenu
          title={`Plate in ${body.eluent}`}
          author={author}
          id={plate.id}
          sheet={() => (
            <>
              <h1>
                Plate in {body.eluent}
                {of ? `, beside ${nameOf(view, of)}` : ''}
              </h1>
              <RecordedPlate plate={plate} />
              <Gallery lines={photographsOf(view, plate.id)} />
              <LastHash />
            </>
          )}
        />
        <Button variant="link" onClick={onCorrect}>
          Measure it again
        </Button>
      </div>
    </RecordedPlate>
  )
}

/** The plate as it was recorded, and what it says. */
function RecordedPlate({ plate, children }: { plate: PlateFacts; children?: ReactNode }) {
  const { body, at, author } = plate.developed
  const read = readDraft(draftOf(body))
  return (
    <div className={classNames(css.platePage, 'mt-3')}>
      <PlateDrawing
        size={body.size}
        lineMm={body.lineMm}
        frontMm={body.frontMm.value}
        lanes={body.lanes.map((lane, i) => ({
          ...lane,
          spots: lane.spots.map(({ centreMm, shape }, j) => ({
            mm: centreMm.value,
            shape,
            rf: read.lanes[i]?.spots[j]?.rf ?? null,
          })),
        }))}
        photograph={plate.photograph?.body ?? null}
        hands={null}
      />
      <div>
        <h2>
          What the plate shows <Why of="retentionFactor" />
        </h2>
        <p className="mt-2" data-testid="plate-opinion">
          {plate.opinion.ok
            ? (plate.opinion.value?.sentence ?? 'No spot was seen in the lane of the sample.')
            : plate.opinion.problem.sentence}
        </p>
        <LaneTable lanes={read.lanes} frontText={body.frontMm.text} />
        <p className="quiet mt-3">
          {capital(body.stationary)}; {body.eluent}; seen by {body.visualized.join(' and ')}; recorded by{' '}
          {author}, {day(at)}, {clock(at)}.
        </p>
        {children}
      </div>
    </div>
  )
}
