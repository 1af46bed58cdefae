import Button from 'react-bootstrap/Button'
import type { PeriodFacts, PeriodTask } from '@ivory-crystal/core'
import { clock } from '../../../format/format'
import { write } from '../../../ledger/notebook'

const DONE_MOST = 300

/** The period is over: what was done in it is written down, and what is left. */
export function closePeriod({ id, opened }: PeriodFacts, tasks: readonly PeriodTask[], nowMs: number): void {
  const sinceMs = opened.body.beginsAtMs
  write({
    kind: 'period closed',
    subject: id,
    body: {
      outAtMs: nowMs,
      done: tasks
        .flatMap(({ id: task, words, state, isAlone }) =>
          state.is === 'done' && state.toMs > sinceMs && !isAlone
            ? [
                {
                  task,
                  words,
                  fromAtMs: Math.round(Math.min(state.fromMs, state.toMs)),
                  toAtMs: Math.round(state.toMs),
                },
              ]
            : [],
        )
        .slice(0, DONE_MOST),
      left: tasks
        .filter(({ state, isAlone, isOptional }) => state.is !== 'done' && !isAlone && !isOptional)
        .map(({ words }) => words)
        .slice(0, DONE_MOST),
    },
  })
}

export function ClosePeriod({
  period,
  tasks,
  nowMs,
}: {
  period: PeriodFacts
  tasks: readonly PeriodTask[]
  nowMs: number
}) {
  return (
    <p className="mt-3">
      <Button
        onClick={() => {
          closePeriod(period, tasks, nowMs)
        }}
      >
        Close the period: out at {clock(nowMs)}
      </Button>
    </p>
  )
}
