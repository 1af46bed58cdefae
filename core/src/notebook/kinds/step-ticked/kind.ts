import { defineKind } from '../defineKind'

/** A step of the procedure is done; the time of the entry is its stamp. */
export interface StepTicked {
  readonly step: string
}
export const stepTicked = defineKind<StepTicked>()({
  kind: 'step ticked',
  version: 1,
  about: 'prep',
  sentence: (body) => `Did: ${body.step.replaceAll('-', ' ')}.`,
})
