import { useLines } from '../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { EntryId } from '@ivory-crystal/core/ids'
import { type Mark, type MeltFacts, readingsOf } from '@ivory-crystal/core/notebook'
import { misreadingsOf } from '@ivory-crystal/core/planning'
import { readReading } from '@ivory-crystal/core/weighing'
import { span } from '../../format/format'
import { askedFor, ThermometerForm } from '../../parts/instrument/ThermometerForm'
import { sound } from '../../drawings/sounds'
import { useNow } from '../../clock/now'
import { strike, useNotebook } from '../../ledger/notebook'
import { runSeconds } from './useRun'

/** The thermometer wants to be read about this often, s. */
const READ_EVERY_S = 60

/** A press whose reading has not been typed after this long gets none: too much has happened since, s. */
const MARK_WAITS_S = 120

/** A thermometer read by eye: each reading typed, those for a mark taken back to its press. */
export function EyeReading({ melt, muted }: { melt: MeltFacts; muted: boolean }) {
  useNow()
  const view = useNotebook((state) => state.view)
  /** Odd readings that stand as they were typed: whoever read them says so, and is not asked again. */
  const [takenBack, setTold] = useState<readonly EntryId[]>([])
  const nowS = runSeconds(melt)
  const waiting = melt.marks.find(
    ({ temperature, entry }) => temperature === null && nowS - entry.body.pressedAtS <= MARK_WAITS_S,
  )
  const doubt = misreadingsOf(view, melt).findLast(({ typed }) => !takenBack.includes(typed.id))
  const read = melt.run ? readingsOf(view, melt.id, melt.run.id) : null
  const lastS = read?.lastSample ?? 0
  const isDue = read?.probeC.size === 0 || nowS - lastS >= READ_EVERY_S
  useEffect(() => {
    // Rings once each time the thermometer falls due; sound is outside React.
    if (isDue && !muted) sound('read')
  }, [isDue, muted])
  const form = useLines({
    start: { text: '' },
    make({ text }) {
      const read = readReading(text, 'The reading')
      if (!read.ok) return refuse(read.problem.sentence, 'text')
      if (!melt.run) return refuse('The run has ended. The instrument does not heat.', 'text')
      return ok([
        {
          kind: 'temperature typed',
          subject: melt.id,
          body: {
            run: melt.run.id,
            temperature: read.value,
            atS: Math.round(runSeconds(melt) * 10) / 10,
            mark: waiting?.entry.id ?? null,
          },
        },
      ])
    },
  })
  return (
    <ThermometerForm
      form={form}
      asks={
        waiting
          ? askedFor(`Tube ${waiting.entry.body.slot}, ${waiting.entry.body.moment}`, ago(waiting, nowS))
          : isDue
            ? 'Read the thermometer.'
            : `Next reading in ${span((READ_EVERY_S - (nowS - lastS)) * 1000)}.`
      }
      isAsked={waiting !== undefined || isDue}
      mark={waiting?.entry.id ?? null}
    >
      {doubt && (
        <p className="look mb-0" role="alert">
          {doubt.typed.body.temperature.text} °C is saved: {doubt.sentence}{' '}
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              strike(doubt.typed, 'misread')
            }}
          >
            strike it out
          </Button>
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              setTold([...takenBack, doubt.typed.id])
            }}
          >
            it is correct
          </Button>
        </p>
      )}
    </ThermometerForm>
  )
}

const ago = ({ entry: { body } }: Mark, nowS: number) => span((nowS - body.pressedAtS) * 1000)
