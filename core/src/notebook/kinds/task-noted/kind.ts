import { defineKind } from '../defineKind'

/** Said by hand of a task of the period: it has been begun, or it is done where nothing else in the notebook tells. */
export interface TaskNoted {
  readonly task: string
  readonly words: string
  readonly is: 'begun' | 'done'
}
export const taskNoted = defineKind<TaskNoted>()({
  kind: 'task noted',
  version: 1,
  about: 'period',
  sentence: ({ words, is }) => `${is === 'begun' ? 'Began' : 'Done'}: ${words}.`,
})
