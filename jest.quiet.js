import { format } from 'node:util'
import { afterEach, beforeEach, expect } from '@jest/globals'

/** What a test lets be said on the console, nobody reads: it fails instead. */
const said = []
for (const level of ['error', 'warn']) console[level] = (...words) => said.push(format(...words))

beforeEach(() => {
  // Clocks tick while a test waits: what changes by itself need not be announced to React.
  globalThis.IS_REACT_ACT_ENVIRONMENT = false
})
afterEach(() => {
  expect(said.splice(0)).toEqual([])
})
