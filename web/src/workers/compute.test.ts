import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'

class DeadWorker extends EventTarget {
  static made = 0
  constructor() {
    super()
    DeadWorker.made++
    queueMicrotask(() => this.dispatchEvent(new Event('error')))
  }
  postMessage() {}
}

beforeEach(() => {
  jest.resetModules()
  DeadWorker.made = 0
})
afterEach(() => {
  Reflect.deleteProperty(globalThis, 'Worker')
})
const few = {
  candidates: [
    ['p', 95, 21, 140],
    ['q', 96, 24, 180],
    ['r', 94, 23, 240],
  ].map(([id, meltHighC, enthalpyKJPerMol, molarMassGPerMol]) => ({
    id: String(id),
    meltLowC: Number(meltHighC) - 1,
    meltHighC: Number(meltHighC),
    fusion: {
      meltingPointC: Number(meltHighC),
      enthalpyKJPerMol: Number(enthalpyKJPerMol),
      molarMassGPerMol: Number(molarMassGPerMol),
    },
  })),
  benches: 20,
  seed: 5,
}

describe('the heavy computations', () => {
  test('a worker whose script cannot be had gives way to the page, and is not tried again', async () => {
    Object.assign(globalThis, { Worker: DeadWorker })
    const { compute } = await import('./compute')
    expect(await (await compute()).isThere()).toBe(true)
    await compute()
    expect(DeadWorker.made).toBe(1)
  })
  test('benches are told of as they are done, and stop when told to', async () => {
    const { heavy } = await import('./heavy')
    const shares: number[] = []
    const whole = await heavy.reliability(few, (done) => shares.push(done) > 0)
    expect(shares).toEqual([5, 10, 15, 20])
    expect(whole?.ok && whole.value.benches).toBe(20)
    expect(await heavy.reliability(few, (done) => done < 10)).toBeNull()
    const one = await heavy.reliability({ ...few, candidates: few.candidates.slice(1, 2) }, () => true)
    expect(one?.ok ? '' : one?.problem.sentence).toContain('two compounds at least')
  })
})
