/**
 * What needs Joi: kept apart from what a screen needs, so that a browser never loads it with the first. What checks the
 * lines of a kind is built when it is first asked for.
 */
export { readySchemasOf, refusalOf } from './notebook/refusal'
export { rebase } from './notebook/rebase'
export { sentence } from './schema/strict'
export { blockCommand } from './notebook/kinds/run-command/schema'
export * as pieces from './schema/pieces'
export { OWN_SORTS, shelfRefusal, type OwnSort } from './reference/shelfSchema'
export { unstorable } from './notebook/storable'
