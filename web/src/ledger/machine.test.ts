import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { INITIAL, type MachineEvent, next } from './machine'

const EVENTS: readonly MachineEvent[] = [
  'start',
  'started',
  'started on local copy',
  'start failed',
  'stream lost',
  'verified',
  'other ledger found',
  'enqueued',
  'flush asked',
  'retry due',
  'flushed',
  'flush failed',
]
const after = (events: readonly MachineEvent[]) => events.reduce(next, INITIAL)
const anyHistory = fc.array(fc.constantFrom(...EVENTS), { maxLength: 30 })

describe('how a device stands to its server', () => {
  test('nothing counts as verified that was not verified since the stream was lost', () => {
    fc.assert(
      fc.property(anyHistory, (events) => {
        const machine = after([...events, 'stream lost'])
        expect(machine.connection).not.toBe('verified')
      }),
    )
  })
  test('another ledger stays named until the own one answers, or another start', () => {
    fc.assert(
      fc.property(anyHistory, (events) => {
        const without = events.filter((event) => !/start|verified/.test(event))
        expect(after(['started', 'other ledger found', ...without]).connection).toBe('other ledger')
      }),
    )
    expect(after(['started', 'other ledger found', 'verified']).connection).toBe('verified')
  })
  test('what is heard while a notebook is started does not open it', () => {
    for (const event of ['verified', 'other ledger found', 'stream lost'] as const)
      expect(after(['started', 'start', event]).connection).toBe('starting')
  })
  test('what a start comes to', () => {
    expect(after(['start']).connection).toBe('starting')
    expect(after(['start', 'started']).connection).toBe('verified')
    expect(after(['start', 'started on local copy']).connection).toBe('on local copy')
    expect(after(['start', 'start failed']).connection).toBe('failed')
    expect(after(['start', 'started on local copy', 'stream lost']).connection).toBe('on local copy')
  })
})

describe('how what is written gets to the server', () => {
  test('a new entry waits for the scheduled retry; a person does not', () => {
    const waiting = after(['enqueued', 'flush failed'])
    expect(waiting.delivery).toBe('retry scheduled')
    expect(next(waiting, 'enqueued').delivery).toBe('retry scheduled')
    expect(next(waiting, 'flush asked').delivery).toBe('flushing')
    expect(next(waiting, 'retry due').delivery).toBe('flushing')
  })
  test('a retry that comes late begins nothing', () => {
    expect(after(['retry due']).delivery).toBe('idle')
  })
  test('failures are counted one after the other, and forgotten with the first success', () => {
    expect(after(['enqueued', 'flush failed', 'retry due', 'flush failed']).failures).toBe(2)
    expect(after(['enqueued', 'flush failed', 'retry due', 'flushed']).failures).toBe(0)
  })
  test('how it is connected never stops a flush, and a flush never changes how it is connected', () => {
    fc.assert(
      fc.property(anyHistory, (events) => {
        const delivers = (event: MachineEvent) => /enqueued|flush|retry/.test(event)
        const whole = after(events)
        expect(whole.delivery).toBe(after(events.filter(delivers)).delivery)
        expect(whole.connection).toBe(after(events.filter((event) => !delivers(event))).connection)
      }),
    )
  })
})
