import { stepDone } from '../../../procedures/stepsDone'
import { defineKind } from '../defineKind'

/** A step of the procedure is done, or was left out; the time of the entry is its stamp. */
export interface StepTicked {
  readonly step: string
  /** Passed by without being done. */
  readonly isLeftOut?: true
}
export const stepTicked = defineKind<StepTicked>()({
  kind: 'step ticked',
  version: 1,
  about: 'prep',
  sentence: ({ step, isLeftOut }) =>
    isLeftOut ? `Left out the step “${step.replaceAll('-', ' ')}”.` : `${stepDone(step)}.`,
})
