/** What needs Joi: kept apart from the public face, so that a browser never loads it with the first screen. */
export { refusalOf, sentence } from './notebook/entrySchema'
export { blockCommand } from './notebook/run-command/schema'
export * as pieces from './notebook/commonSchema'
export { OWN_SORTS, shelfRefusal, type OwnSort } from './reference/shelfSchema'
