import { useState } from 'react'
import { massOf, type PrepFacts, sampleOf } from '@ivory-crystal/core/notebook'
import { netMassText } from '../../../format/format'
import { ObservationLine } from '../../../parts/ObservationLine'
import { WeighingForm } from '../../../parts/WeighingForm'
import type { StationProps } from '../station'
import { FixedPlan } from './FixedPlan'
import { PlanForm } from './PlanForm'

/** What solvent, how much, and what to expect, before a drop is poured. */
export function Plan({ prep }: StationProps) {
  const [changing, setChanging] = useState(false)
  const crude = sampleOf(prep, 'crude')
  if (!massOf(crude).ok && crude) return <WeighFirst prep={prep} />
  if (prep.plan && !changing)
    return (
      <FixedPlan
        prep={prep}
        plan={prep.plan}
        onChange={() => {
          setChanging(true)
        }}
      />
    )
  return (
    <PlanForm
      prep={prep}
      crudeText={crude?.weighing ? netMassText(crude.weighing.body) : ''}
      onFixed={() => {
        setChanging(false)
      }}
      onCancel={
        prep.plan
          ? () => {
              setChanging(false)
            }
          : null
      }
    />
  )
}

function WeighFirst({ prep }: { prep: PrepFacts }) {
  const crude = sampleOf(prep, 'crude')
  const trouble = massOf(crude)
  return (
    <div className="columns two">
      <div>
        <h2>First, the mass of the crude</h2>
        <p className="quiet mt-2">
          Weigh all of it, tared in a boat or by difference: all amounts in the plan follow from it. Then keep
          back 20 to 30 mg in a labelled vial, for its melting range, a plate (TLC) and a seed crystal. The
          plan subtracts them.
        </p>
        {crude?.weighing && !trouble.ok && <p className="look">{trouble.problem.sentence}</p>}
        {crude && <WeighingForm sample={crude.id} role="crude" what="the crude" />}
        <ObservationLine prep={prep} station="plan" />
      </div>
      <aside>
        <h3>While you are there</h3>
        <p className="quiet mt-1">
          Note colour and texture. Pack a tube of the crude now, so that you can compare before and after.
        </p>
        <p className="quiet">Always wear eye protection. Never smell anything on purpose.</p>
      </aside>
    </div>
  )
}
