import Button from 'react-bootstrap/Button'
import type { PeriodFacts } from '@ivory-crystal/core/planning'
import { uncapital, minutesInWords } from '@ivory-crystal/core/words'
import { clock, day, dayAndClock } from '../../../format/format'
import { strike } from '../../../ledger/notebook'
import { PdfMenu } from '../../../paper/PdfMenu'
import { LastHash } from '../../../parts/LastHash'

const MINUTE_MS = 60_000
const LEFT_MOST = 4

/** A period that is over: as planned beside as it was, and what is left. */
export function AsItWas({ period, nowMs }: { period: PeriodFacts; nowMs: number }) {
  const { opened, closed } = period
  if (!closed) return null
  const { beginsAtMs, endsAtMs } = opened.body
  const title = `Lab period of ${day(beginsAtMs)}`
  return (
    <section className="mt-4" aria-label="The period before">
      <h2>The period before</h2>
      <Summary period={period} nowMs={nowMs} />
      {nowMs < endsAtMs && (
        <p className="mt-2 mb-0">
          <Button
            size="sm"
            variant="outline-primary"
            onClick={() => {
              strike(closed, 'not ended yet')
            }}
          >
            Open it again
          </Button>
        </p>
      )}
      {closed.body.done.length > 0 && (
        <details className="mt-2">
          <summary>As planned, as it was</summary>
          <DoneTable period={period} />
        </details>
      )}
      <div className="mt-2">
        <PdfMenu
          title={title}
          author={closed.author}
          id={opened.subject}
          sheet={() => (
            <>
              <h1>{title}</h1>
              <Summary period={period} nowMs={null} />
              <DoneTable period={period} />
              <LastHash />
            </>
          )}
        />
      </div>
    </section>
  )
}

function Summary({
  period: { opened, closed },
  nowMs,
}: {
  period: PeriodFacts
  /** null on paper, which knows no today. */
  nowMs: number | null
}) {
  if (!closed) return null
  const { beginsAtMs, endsAtMs } = opened.body
  const { left } = closed.body
  const lateMin = Math.round((closed.body.outAtMs - endsAtMs) / MINUTE_MS)
  return (
    <p className="mt-2 mb-0">
      {nowMs === null ? `${day(beginsAtMs)}, ${clock(beginsAtMs)}` : dayAndClock(beginsAtMs, nowMs)} to{' '}
      {clock(endsAtMs)}; finished at {clock(closed.body.outAtMs)},{' '}
      {lateMin > 0
        ? `${minutesInWords(lateMin)} late`
        : lateMin < 0
          ? `${minutesInWords(-lateMin)} spare`
          : 'on time'}
      .
      {left.length > 0 &&
        ` Left for another day: ${left.slice(0, LEFT_MOST).map(uncapital).join('; ')}${left.length > LEFT_MOST ? `; and ${left.length - LEFT_MOST} more` : ''}.`}
    </p>
  )
}

function DoneTable({ period: { opened, closed } }: { period: PeriodFacts }) {
  if (!closed) return null
  const { planned, beginsAtMs } = opened.body
  const rows = closed.body.done.map((one) => ({
    ...one,
    plan: planned.find(({ task }) => task === one.task) ?? null,
  }))
  return (
    <table className="lines stacks mt-2">
      <thead>
        <tr>
          <th scope="col">what</th>
          <th scope="col">planned</th>
          <th scope="col">as it was</th>
          <th scope="col">took</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ task, words, fromAtMs, toAtMs, plan }) => (
          <tr key={task}>
            <td className="whole">{words}</td>
            <td data-name="planned">
              {plan
                ? `${clock(beginsAtMs + plan.startMin * MINUTE_MS)}, ${plan.durationMin} min`
                : 'not planned'}
            </td>
            <td data-name="as it was">
              {clock(fromAtMs)} to {clock(toAtMs)}
            </td>
            <td data-name="took">{tookText(toAtMs - fromAtMs)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function tookText(ms: number): string {
  return ms < MINUTE_MS ? 'under a minute' : `${Math.round(ms / MINUTE_MS)} min`
}
