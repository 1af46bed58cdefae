import { readySchemas } from './notebook/refusal'

/** Everything that checks lines, built: for whoever checks lines of any kind and has the time. */
await readySchemas()

export { rebase } from './notebook/rebase'
export { refusalOf } from './notebook/refusal'
