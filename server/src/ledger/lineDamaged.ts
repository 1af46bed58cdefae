import type { NotebookId } from '@ivory-crystal/core/ids'
import type { Damage } from './journal'

export function tornEnd(bytes: number): Damage {
  return {
    line: null,
    reason: `The journal ended in ${bytes} bytes of a line that was never written to its end, as after a power cut. They are saved in journal.jsonl.torn.`,
    text: '',
    isLoss: false,
  }
}

/** Lines of a notebook are not as they were written, and there is nothing to put them right from. */
export class LineDamaged extends Error {
  constructor(notebook: NotebookId) {
    super(`Lines of notebook ${notebook} are not as they were written.`)
  }
}
