import { afterEach, beforeEach, expect, jest, test } from '@jest/globals'
import { act, cleanup, screen, within } from '@testing-library/react'
import { timersInUse } from '@ivory-crystal/core/notebook'
import { NOTEBOOK, openDemo, prepNamed, showAt, useNotebook } from '../testing/opened'

const rung = jest.fn<(which: string) => void>()
jest.unstable_mockModule('../drawings/sounds', () => ({ sound: rung }))
const { Clocks } = await import('./Clocks')
const { clock } = await import('../clock/clock')
const { write } = await import('../ledger/notebook')

const real = clock.now
beforeEach(async () => {
  rung.mockReset()
  document.title = 'Shelf · Ivory Crystal'
  await openDemo()
})
afterEach(() => {
  clock.now = real
  cleanup()
})

/** Half a minute and more passes, the page’s own ticks with it. */
async function pass(ms: number) {
  const now = clock.now()
  clock.now = () => now + ms
  await act(() => new Promise((resolve) => setTimeout(resolve, 1600)))
}

test('a clock that runs is seen on every screen and in the title, and rings once when it is over', async () => {
  const prep = prepNamed('Benzil')
  const before = timersInUse(useNotebook.getState().view, clock.now()).length
  showAt(Clocks, `/n/${NOTEBOOK}/shelf`, '/n/:notebook/*')
  act(() => {
    write({ kind: 'timer started', subject: prep.id, body: { timer: 'boil', minutes: 20 } })
  })
  const clocks = within(screen.getByRole('region', { name: 'Running clocks' }))
  expect(clocks.getAllByRole('link')).toHaveLength(before + 1)
  const link = clocks.getByRole('link', { name: /^(20:00|19:59) / })
  expect(link.getAttribute('href')).toBe(`/n/${NOTEBOOK}/preps/${prep.id}`)
  expect(document.title).toMatch(/^(\d+:\d\d|time up) · Shelf · Ivory Crystal$/)
  await pass(20 * 60_000)
  clocks.getByRole('link', { name: /^time up gentle boiling/ })
  expect(rung.mock.calls.filter(([which]) => which === 'over').length).toBeGreaterThan(0)
  const times = rung.mock.calls.length
  await pass(5_000)
  expect(rung.mock.calls).toHaveLength(times)
  await pass(40 * 60_000)
  expect(screen.queryByRole('link', { name: /gentle boiling/ })).toBeNull()
  expect(document.title).toBe('Shelf · Ivory Crystal')
})
