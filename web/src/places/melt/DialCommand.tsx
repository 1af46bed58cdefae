import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import {
  dialStandsAt,
  type Instrument,
  type MeltFacts,
  nextTurn,
  readReading,
  tubesMayGoIn,
} from '@ivory-crystal/core'
import { aboutMinutes, fixed } from '../../format/format'
import { InlineField, Refusal } from '../../parts/InlineField'
import { TubesIn } from './TubesIn'
import type { MeltMoment } from './useMoment'
import type { Run } from './useRun'

/** A turn of the dial this near is the thing to do, min. */
const SOON_MIN = 1

/** The turns of the dial, announced before they are due and recorded when made; by hand where nothing was planned. */
export function DialCommand({
  melt,
  run,
  now,
  control,
  dial,
}: {
  melt: MeltFacts
  run: Run
  now: MeltMoment
  control: string
  dial: Instrument['character']['dial'] | undefined
}) {
  const { window } = melt.planned.body
  const turn = nextTurn(melt, now.nowC ?? window.startC, now.atS, now.rateCPerMin)
  const isIn = melt.run?.commands.some(({ body }) => body.command.kind === 'tubes in') === true
  const due = turn?.dueInMin ?? null
  const stands = dialStandsAt(melt)
  return (
    <>
      {!isIn && tubesMayGoIn(melt, now) && <TubesIn run={run} />}
      {turn && (
        <Button
          variant={due !== null && due <= SOON_MIN ? 'primary' : 'outline-primary'}
          disabled={run.busy}
          onClick={() => {
            run.command({ kind: 'dial', setting: turn.dial })
          }}
        >
          Turned the {control} to {turn.dial}
        </Button>
      )}
      {turn && (due === null || due > SOON_MIN) && (
        <span className="quiet">
          Next: {turn.dial} at {fixed(turn.atC, 0)} °C{due === null ? '' : `, in ${aboutMinutes(due)}`}.
        </span>
      )}
      {!turn && <OtherSetting run={run} control={control} />}
      {dial && (
        <span className="quiet">
          {stands === null
            ? `The ${control} goes from 0 to ${dial.max} in steps of ${dial.step}.`
            : `The ${control} stands at ${stands} of ${dial.max}.`}
        </span>
      )}
    </>
  )
}

/** A setting of the watcher's own choosing. */
function OtherSetting({ run, control }: { run: Run; control: string }) {
  const [text, setText] = useState('')
  const [said, setSaid] = useState<string | null>(null)
  return (
    <span className="row-of align-items-center">
      <InlineField
        label={`setting of the ${control}`}
        hint="setting"
        value={text}
        invalid={said !== null}
        onChange={(value) => {
          setText(value)
          setSaid(null)
        }}
      />
      <Button
        size="sm"
        variant="outline-primary"
        disabled={run.busy}
        onClick={() => {
          const read = readReading(text, 'The setting')
          if (!read.ok) return setSaid(read.problem.sentence)
          run.command({ kind: 'dial', setting: read.value.value })
          setText('')
        }}
      >
        Set the {control}
      </Button>
      <Refusal sentence={said} />
    </span>
  )
}
