import css from '../../parts/steps.module.css'
import classNames from 'classnames'
import { checksFor } from '@ivory-crystal/core/heating'
import type { Instrument } from '@ivory-crystal/core/instruments'
import type { MeltFacts } from '@ivory-crystal/core/notebook'
import { SetUpPicture } from '../../drawings/SetUpPicture'
import { write } from '../../ledger/notebook'

/** What is looked at before the start: what the app can tell is told, the rest is ticked. */
export function Checks({
  melt,
  instrument,
  blockC,
}: {
  melt: MeltFacts
  instrument: Instrument
  blockC: number | null
}) {
  const checks = checksFor(instrument, melt.planned.body.window, blockC)
  // One picture at a time: that of the next thing to be set up.
  const next = checks.find(({ id, state }) => state === 'ask' && !melt.checks.has(id))?.id
  return (
    <section aria-label="Before you start">
      <h2>Before you start</h2>
      <ul className={classNames(css.steps, 'step-list mt-1')}>
        {checks.map(({ id, sentence, state }) => {
          const isMade = melt.checks.has(id)
          return (
            <li key={id}>
              {state === 'ask' ? (
                <button
                  type="button"
                  className={isMade ? classNames(css.tick, css.done) : css.tick}
                  aria-label={`${isMade ? 'Checked' : 'Check'}: ${sentence}`}
                  disabled={isMade}
                  onClick={() => {
                    write({ kind: 'check made', subject: melt.id, body: { check: id } })
                  }}
                />
              ) : (
                <span className={state === 'fine' ? 'told' : 'told trouble'}>
                  {state === 'fine' ? 'fine' : 'stop'}
                </span>
              )}
              <div>
                <span className={isMade ? css.doneText : state === 'trouble' ? 'trouble' : undefined}>
                  {sentence}
                </span>
                {id === next && <SetUpPicture of={id} />}
              </div>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
