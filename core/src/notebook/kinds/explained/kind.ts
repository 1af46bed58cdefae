import { defineKind } from '../defineKind'

/** The student's own words on why the recovery is what it is; the latest stand. */
export interface Explained {
  readonly text: string
}
export const explained = defineKind<Explained>()({
  kind: 'explained',
  version: 1,
  about: 'prep',
  sentence: (body) => `Explained: ${body.text}`,
})
