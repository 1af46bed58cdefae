import { afterEach, beforeEach, expect, test } from '@jest/globals'
import { act, cleanup, screen } from '@testing-library/react'
import { NOTEBOOK, openDemo, prepNamed, show, showAt, written } from '../testing/opened'

const { JustStruck } = await import('./JustStruck')
const { Page } = await import('../places/prep/Page')
const { clock } = await import('../clock/clock')
const { strike } = await import('../ledger/notebook')

const real = clock.now
beforeEach(() => openDemo())
afterEach(() => {
  clock.now = real
  cleanup()
})
const productWeighing = () => {
  const found = prepNamed('Benzil').samples.find(({ role }) => role === 'product')?.weighing
  if (!found) throw new Error('The demo’s product is weighed.')
  return found
}

test('what was struck is taken back where it was struck, for a while; the record keeps both', async () => {
  const user = showAt(JustStruck, `/n/${NOTEBOOK}/shelf`, '/n/:notebook/*')
  const weighing = productWeighing()
  act(() => {
    strike(weighing, 'weighed again')
  })
  expect(prepNamed('Benzil').samples.find(({ role }) => role === 'product')?.weighing).toBeNull()
  screen.getByText(/Struck out: weighed again\./)
  await user.click(screen.getByRole('button', { name: 'take it back' }))
  expect(productWeighing().id).toBe(weighing.id)
  expect(screen.queryByText(/^Struck out:/)).toBeNull()
  expect(written('struck')).toHaveLength(2)
})
test('later it is offered no more there; on the page every strike can be taken back', async () => {
  showAt(JustStruck, `/n/${NOTEBOOK}/shelf`, '/n/:notebook/*')
  const weighing = productWeighing()
  act(() => {
    strike(weighing, 'weighed again')
  })
  const then = clock.now()
  clock.now = () => then + 60_000
  await act(() => new Promise((resolve) => setTimeout(resolve, 1600)))
  expect(screen.queryByText(/^Struck out:/)).toBeNull()
  cleanup()
  const user = show(Page, prepNamed('Benzil'), 'page')
  const line = screen.getByText('Benzil: weighed 32.6130 g loaded, 31.2216 g empty.')
  expect(line.className).toBe('struck')
  const backs = screen.getAllByRole('button', { name: 'take it back' })
  await user.click(backs.at(-1) as HTMLElement)
  expect(line.className).toBe('')
  expect(productWeighing().id).toBe(weighing.id)
  screen.getByText(/struck out \d\d:\d\d, taken back \d\d:\d\d/)
})
