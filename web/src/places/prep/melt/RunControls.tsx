import Button from 'react-bootstrap/Button'
import type { MeltFacts } from '@ivory-crystal/core'
import { fixed } from '../../../format/format'
import type { Run } from './useRun'

/** How many times faster simulated time passes while nothing is to be seen. */
const HURRY = 20

/** The next command for the block, one at a time, and the way out. */
export function RunControls({ melt, run }: { melt: MeltFacts; run: Run }) {
  const { plan, conventions } = melt.planned.body
  const given = new Set(melt.run?.commands.map((line) => line.body.command.kind))
  const phase = run.heard?.reading?.phase ?? 'idle'
  const tubesFirst = conventions.tubeIn === 'cold'
  const needsTubes =
    !given.has('tubes in') &&
    (tubesFirst || (given.has('preheat') && phase === 'holding') || plan.segments[0]?.kind === 'ramp')
  const needsPreheat = !given.has('preheat') && !needsTubes && !given.has('ramp')
  const needsRamp =
    given.has('tubes in') && !given.has('ramp') && (phase === 'holding' || plan.segments[0]?.kind === 'ramp')
  const pace = run.heard?.pace ?? 1
  const inWindow = (run.heard?.reading?.probe.value ?? 0) >= plan.watchFromC - 1
  return (
    <div className="my-3">
      <div className="row-of align-items-center">
        {needsPreheat && (
          <Button
            disabled={run.busy}
            onClick={() => {
              run.command({ kind: 'preheat', toC: plan.startC })
            }}
          >
            {plan.segments[0]?.kind === 'cool' ? 'Let it cool to' : 'Preheat to'} {fixed(plan.startC, 1)} °C
          </Button>
        )}
        {needsTubes && (
          <Button
            disabled={run.busy}
            onClick={() => {
              run.command({ kind: 'tubes in' })
            }}
          >
            Tubes are in
          </Button>
        )}
        {needsRamp && (
          <Button
            disabled={run.busy}
            onClick={() => {
              run.command({ kind: 'ramp', toC: plan.stopC, rateCPerMin: plan.rateCPerMin })
            }}
          >
            Ramp at {fixed(plan.rateCPerMin, 1)} °C/min to {fixed(plan.stopC, 1)}
          </Button>
        )}
        {(phase === 'preheating' || (phase === 'ramping' && !inWindow)) && (
          <Button
            variant="outline-primary"
            disabled={run.busy}
            onClick={() => {
              run.command({ kind: 'pace', pace: pace > 1 ? 1 : HURRY })
            }}
          >
            {pace > 1 ? 'Back to real time' : `Hurry simulated time × ${HURRY}`}
          </Button>
        )}
        <Button variant="outline-primary" disabled={run.busy} onClick={run.end}>
          End and cool
        </Button>
      </div>
      <p className="quiet mt-2 mb-0">{hint(needsPreheat, needsTubes, needsRamp, phase, pace)}</p>
      {run.trouble && (
        <p className="look" role="alert">
          {run.trouble}
        </p>
      )}
    </div>
  )
}

function hint(
  needsPreheat: boolean,
  needsTubes: boolean,
  needsRamp: boolean,
  phase: string,
  pace: number,
): string {
  if (pace > 1) return 'Simulated time is hurried; it goes back to real time by itself before the window.'
  if (needsPreheat) return 'Fast to the start temperature; the tubes stay out until then.'
  if (needsTubes)
    return 'Put the tubes in their slots, seen to rest on the bottom, then say so. A crude may melt as it goes in: mark it if it does.'
  if (needsRamp) return 'From here on slowly.'
  if (phase === 'preheating') return 'Heating up. The block is hot: it looks the same as cold.'
  return 'Block is hot. It looks the same as cold.'
}
