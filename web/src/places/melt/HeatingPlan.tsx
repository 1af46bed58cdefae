import { lazy, Suspense } from 'react'
import type { Heating, RampPlan } from '@ivory-crystal/core/heating'
import type { MeltPlanned } from '@ivory-crystal/core/notebook'
import { dialCurve } from '@ivory-crystal/core/planning'
import { fixed, wholeParts } from '../../format/format'
import { Term } from '../../parts/Term'

const TemperatureChart = lazy(async () => ({
  default: (await import('../../drawings/TemperatureChart')).TemperatureChart,
}))

/** The list to follow, how ever it is heated, with when to watch and when it ends. */
export function HeatingPlan({
  planned: { heating, window },
  blockC,
  control,
}: {
  planned: Pick<MeltPlanned, 'heating' | 'window'>
  blockC: number | null
  /** What the instrument is set by: a programme, a dial, a flame. */
  control: string
}) {
  const warnings = heating.by === 'hand' ? heating.warnings : heating.plan.warnings
  return (
    <>
      <table className="lines stacks">
        <tbody>
          {heating.by === 'ramp' && <RampRows plan={heating.plan} />}
          {heating.by === 'dial' && <DialRows heating={heating} control={control} />}
          {heating.by === 'hand' && (
            <tr>
              <td className="whole text-nowrap">Slow part</td>
              <td className="num">
                {fixed(window.startC, 1)} to {fixed(window.stopC, 1)} °C
              </td>
              <td className="num">about {fixed(window.rateCPerMin, 1)} °C/min</td>
              <td />
            </tr>
          )}
          <tr>
            <td className="whole text-nowrap">
              <Term of="watchBand">Watch band</Term>
            </td>
            <td className="num">from {fixed(window.watchFromC, 1)} °C</td>
            <td className="num">
              {window.watchFromMin === null
                ? 'how long is not known'
                : `after ${fixed(window.watchFromMin, 0)} min`}
            </td>
            <td className="num">
              {window.totalMin !== null && <b>{fixed(window.totalMin, 0)} min in total</b>}
            </td>
          </tr>
        </tbody>
      </table>
      <p className="quiet mt-2 mb-1">
        {blockC === null
          ? 'Its temperature is not known here; room temperature is assumed. Read it before you put a tube in.'
          : `It is at ${fixed(blockC, 1)} °C now.`}
      </p>
      {warnings.map((warning) => (
        <p key={warning} className="look">
          {warning}
        </p>
      ))}
      {heating.by === 'dial' && (
        <Suspense fallback={<div style={{ height: 250 }} />}>
          <TemperatureChart
            planned={dialCurve(heating)}
            read={[]}
            watchFromC={window.watchFromC}
            stopC={window.stopC}
          />
        </Suspense>
      )}
    </>
  )
}

const SEGMENT_WORDS = { cool: 'Cool', preheat: 'Preheat', ramp: 'Ramp' } as const

function RampRows({ plan }: { plan: RampPlan }) {
  const minutes = wholeParts(plan.segments.map((segment) => segment.minutes))
  return plan.segments.map((segment, i) => (
    <tr key={segment.kind}>
      <td className="whole text-nowrap">{SEGMENT_WORDS[segment.kind]}</td>
      <td className="num">
        {fixed(segment.fromC, 1)} to {fixed(segment.toC, 1)} °C
      </td>
      <td className="num">{segment.kind === 'cool' ? '' : `${fixed(segment.rateCPerMin, 1)} °C/min`}</td>
      <td className="num">{minutes[i]} min</td>
    </tr>
  ))
}

function DialRows({ heating: { plan }, control }: { heating: Heating & { by: 'dial' }; control: string }) {
  return plan.steps.map((step, i) => (
    <tr key={step.atMin}>
      <td className="whole text-nowrap">
        {i === 0 ? 'Set the' : 'Turn the'} {control} to <b>{step.dial}</b>
      </td>
      <td className="num">at {fixed(step.atC, 0)} °C</td>
      <td className="num">{step.atMin === 0 ? 'at once' : `after ${fixed(step.atMin, 1)} min`}</td>
      <td />
    </tr>
  ))
}
