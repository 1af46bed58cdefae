import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Instrument } from '@ivory-crystal/core/instruments'
import type { MeltFacts } from '@ivory-crystal/core/notebook'
import { dialSettingAt, nextTurn, tubesMayGoIn } from '@ivory-crystal/core/planning'
import { aboutMinutes, fixed } from '../../format/format'
import { Turn } from '../../parts/instrument/Turn'
import { TubesIn } from './TubesIn'
import type { MeltMoment } from './useMoment'
import type { Run } from './useRun'

/** A turn of the dial this near is the thing to do, min. */
const SOON_MIN = 1
/** The larger step of its buttons. */
const COARSE = 1

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
  const stands = dialSettingAt(melt)
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
      {!turn && <OtherSetting run={run} control={control} stands={stands} dial={dial} />}
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

/** A setting of the watcher's own choosing: turned to first, and then told. */
function OtherSetting({
  run,
  control,
  stands,
  dial,
}: {
  run: Run
  control: string
  stands: number | null
  dial: Instrument['character']['dial'] | undefined
}) {
  const [setting, setSetting] = useState<number | null>(null)
  const [of, setOf] = useState(stands)
  // Once it stands somewhere else, what was chosen has been done or is out of date.
  if (of !== stands) {
    setOf(stands)
    setSetting(null)
  }
  const chosen = setting ?? stands
  return (
    <>
      <Turn
        what={control}
        value={chosen}
        scale={dial ? { ...dial, coarse: COARSE } : null}
        onTyping={setSetting}
        onChange={setSetting}
      />
      <Button
        size="sm"
        variant="outline-primary"
        disabled={run.busy || setting === null || setting === stands}
        onClick={() => {
          if (setting !== null) run.command({ kind: 'dial', setting })
        }}
      >
        {setting === null || setting === stands ? `Set the ${control}` : `Set the ${control} to ${setting}`}
      </Button>
    </>
  )
}
