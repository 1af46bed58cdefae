import { beforeAll, describe, expect, jest, test } from '@jest/globals'
import {
  meltsOf,
  prepsOf,
  type Answer,
  type LedgerId,
  type MeltId,
  type NotebookId,
  type RawEntry,
  type RunId,
} from '@ivory-crystal/core'
import { golden } from '../../../core/golden/contract'
import { clock } from '../app/clock'

const LEDGER = golden.entries[0]?.ledger as LedgerId
const NOTEBOOK = golden.entries[0]?.notebook as NotebookId
const put = jest.fn<(group: readonly RawEntry[]) => Promise<void>>()

/** How long the server takes to give the notebook's lines. */
let reading: Promise<unknown> = Promise.resolve()
/** What another tab tells this one. */
let tell: (message: object) => void = () => undefined

jest.unstable_mockModule('./api', () => ({
  api: {
    about: () => Promise.resolve({ ledger: LEDGER, demo: true, byHand: false }),
    notebooks: () => Promise.resolve({ notebooks: [{ id: NOTEBOOK, title: 'bench 7' }] }),
    shelf: () =>
      Promise.resolve({ compounds: [], solvents: [], solubilities: [], instruments: [], houseRules: [] }),
    entries: () =>
      reading.then(() => ({
        entries: golden.entries.map((entry, i) => ({ seq: i + 1, recordedAt: 0, entry })),
      })),
    post: (): Promise<{ answers: Answer[] }> => new Promise(() => undefined),
  },
  Refused: class extends Error {},
  Unreachable: class extends Error {},
}))
jest.unstable_mockModule('./outbox', () => ({
  openOutbox: () =>
    Promise.resolve({
      put,
      waiting: () => Promise.resolve([]),
      quarantined: () => Promise.resolve([]),
      drain: () => new Promise(() => undefined),
    }),
}))
jest.unstable_mockModule('./tabs', () => ({
  openTabs: () => ({
    tell: () => undefined,
    listen: (hear: typeof tell) => {
      tell = hear
    },
  }),
}))

const storage = new Map<string, string>()
Object.assign(globalThis, {
  localStorage: {
    getItem: (key: string) => storage.get(key) ?? null,
    setItem: (key: string, value: string) => storage.set(key, value),
  },
})
Object.defineProperty(globalThis, 'navigator', {
  value: { locks: { request: () => new Promise(() => undefined) } },
  configurable: true,
})

const { hearBalance, hearReading, openNotebook, strike, useNotebook, write } = await import('./notebook')

beforeAll(async () => {
  await openNotebook(null)
})

describe('the screen does not wait', () => {
  test('a mark shows while nothing has been kept or sent', () => {
    put.mockReturnValue(new Promise(() => undefined))
    const [melt] = meltsOf(useNotebook.getState().view)
    const before = melt?.marks.length ?? 0
    const [id] = write({
      kind: 'mark made',
      subject: melt?.id as MeltId,
      body: {
        run: melt?.run?.id as RunId,
        slot: 1,
        moment: 'early sign',
        pressedAtS: 300,
        lastSample: 300,
        lastProbe: { text: '77.0', value: 77 },
        from: 'key',
      },
    })
    const marks = meltsOf(useNotebook.getState().view)[0]?.marks ?? []
    expect(marks).toHaveLength(before + 1)
    expect(marks.at(-1)?.entry.id).toBe(id)
    expect(useNotebook.getState().waiting).toBe(1)
    expect(put).toHaveBeenCalledTimes(1)
  })
  test('lines written together are kept together, in order, after everything seen', () => {
    const { latestId } = useNotebook.getState().view
    const prep = prepsOf(useNotebook.getState().view)[0]?.id as never
    const ids = write(
      { kind: 'observed', subject: prep, body: { station: 'plan', text: 'one' } },
      { kind: 'observed', subject: prep, body: { station: 'plan', text: 'two' } },
    )
    expect(put.mock.lastCall?.[0].map((entry) => entry.id)).toEqual(ids)
    expect([latestId, ...ids]).toEqual([latestId, ...ids].sort())
  })
  test('a clock that has gone back does not put a line before what was seen', () => {
    const real = clock.now
    clock.now = () => 1000
    const prep = prepsOf(useNotebook.getState().view)[0]
    const [id] = write({
      kind: 'observed',
      subject: prep?.id as never,
      body: { station: 'plan', text: 'late' },
    })
    clock.now = real
    const entry = put.mock.lastCall?.[0][0]
    expect(entry?.at).toBe(1000)
    expect((id ?? '') >= (useNotebook.getState().view.latestId ?? '')).toBe(true)
  })
  test('a strike takes the line out at once', () => {
    const [prep] = prepsOf(useNotebook.getState().view)
    const line = prep?.observations.at(-1)
    if (line) strike(line, 'written by mistake')
    expect(prepsOf(useNotebook.getState().view)[0]?.observations.map((one) => one.id)).not.toContain(line?.id)
  })
})

test('what another tab writes while this one is still reading the notebook is not lost', async () => {
  const [first] = golden.entries as [RawEntry]
  const id = first.id.replace(/..$/, 'fe') as RawEntry['id']
  const line = { ...first, id, kind: 'observed', v: 1, body: { station: 'plan', text: 'from the other tab' } }
  let answer: (value: unknown) => void = () => undefined
  reading = new Promise((resolve) => {
    answer = resolve
  })
  const opened = openNotebook(NOTEBOOK)
  await new Promise((resolve) => setTimeout(resolve))
  tell({ tell: 'lines', notebook: NOTEBOOK, entries: [line] })
  tell({ tell: 'lines', notebook: 'another', entries: [{ ...line, id: first.id.replace(/..$/, 'fd') }] })
  answer(null)
  await opened
  reading = Promise.resolve()
  const { view } = useNotebook.getState()
  expect(view.count).toBe(golden.entries.length + 1)
  expect(view.subjects.get(first.subject)?.lines.some((one) => one.id === id)).toBe(true)
})

test('readings that pass are kept for the live rate, and only of the run they belong to', () => {
  const reading = (id: string, sample: number) =>
    hearReading({
      instrument: 'block',
      id: id as RunId,
      melt: 'm' as MeltId,
      notebook: NOTEBOOK,
      pace: 1,
      reading: {
        sample,
        atS: sample,
        probe: { text: `${50 + sample}.0`, value: 50 + sample },
        phase: 'ramping',
        tubes: [],
      },
    })
  for (let sample = 1; sample <= 120; sample++) reading('first', sample)
  reading('first', 120)
  expect(useNotebook.getState().readings['block']?.recent).toHaveLength(90)
  expect(useNotebook.getState().readings['block']?.recent.at(-1)).toEqual([120, 170])
  reading('first', 80)
  expect(useNotebook.getState().readings['block']?.reading?.sample).toBe(120)
  reading('second', 1)
  expect(useNotebook.getState().readings['block']?.recent).toEqual([[1, 51]])
})

test('an answer that comes late does not hide a newer reading of the balance', () => {
  const heard = (text: string, order: number) => {
    hearBalance({
      name: 'teaching balance',
      readabilityG: 0.001,
      load: 'vessel with sample',
      reading: { display: { text, value: Number(text) }, stable: true, overloaded: false },
      order,
    })
    return useNotebook.getState().balance?.reading.display.text
  }
  expect(heard('0.000', 1)).toBe('0.000')
  expect(heard('0.196', 3)).toBe('0.196')
  expect(heard('0.000', 2)).toBe('0.196')
  expect(heard('0.195', 4)).toBe('0.195')
})
