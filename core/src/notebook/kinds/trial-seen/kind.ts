import type { Trial } from '../../../solubility/trial'
import { defineKind } from '../defineKind'

/** A test-tube trial of one solvent; the latest of a solvent stands. */
export interface TrialSeen extends Trial {
  readonly solvent: string
  readonly solventName: string
}
export const trialSeen = defineKind<TrialSeen>()({
  kind: 'trial seen',
  version: 1,
  about: 'prep',
  sentence: ({ sampleMg, solventML, solventName, cold, hot, cooled }) =>
    `Trial of ${sampleMg} mg in ${solventML} mL of ${solventName}: cold ${cold ?? 'not looked at'}, hot ${hot ?? 'not looked at'}, cooled ${cooled ?? 'not looked at'}.`,
})
