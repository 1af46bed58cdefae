import css from './SampleLabel.module.css'
import { useEffect } from 'react'
import { createPortal } from 'react-dom'
import type { PrepFacts } from '@ivory-crystal/core/notebook'
import type { Step } from '@ivory-crystal/core/procedures'
import { hazardLine } from '@ivory-crystal/core/substances'
import { Pictograms } from '../../../drawings/Pictograms'
import { day } from '../../../format/format'
import { clock } from '../../../clock/clock'

/** A label for what is set aside, alone on the paper. */
export function SampleLabel({ prep, step, onDone }: { prep: PrepFacts; step: Step; onDone: () => void }) {
  useEffect(() => {
    // Printing is the browser's: the page is told to show only the label while it lasts.
    document.body.classList.add('label-only')
    const done = () => {
      document.body.classList.remove('label-only')
      onDone()
    }
    window.addEventListener('afterprint', done, { once: true })
    window.print()
    return () => {
      window.removeEventListener('afterprint', done)
      document.body.classList.remove('label-only')
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- one label, one printing
  }, [])
  const { compound, title } = prep.opened.body
  const plan = prep.plan?.body
  const flask = step.station === 'weigh' ? 'crystals, drying' : 'crystals in their liquor'
  const solvents = step.station === 'weigh' ? [] : [plan?.solvent, plan?.pair?.solvent]
  const hazards = [...new Set([...compound.hazards, ...solvents.flatMap((one) => one?.hazards ?? [])])]
  return createPortal(
    <section className={css.sampleLabel} aria-label="Sample label">
      <b>{title}</b>
      <span>
        {compound.name}, {flask}
        {plan && step.station !== 'weigh'
          ? `, from ${plan.solvent.name}${plan.pair ? ` and ${plan.pair.solvent.name}` : ''}`
          : ''}
      </span>
      <span>
        {prep.opened.author}, {day(clock.now())}
      </span>
      <span>
        <Pictograms
          hazards={hazards}
          signalWord={step.station === 'weigh' ? compound.signalWord : undefined}
          size={26}
        />{' '}
        {hazardLine(hazards)}
      </span>
    </section>,
    document.body,
  )
}
