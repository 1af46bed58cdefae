import { afterEach, beforeEach, expect, test } from '@jest/globals'
import { cleanup, screen, within } from '@testing-library/react'
import { NOTEBOOK, openDemo, prepNamed, showAt } from '../../testing/opened'

const { Labels } = await import('./Labels')

beforeEach(async () => {
  localStorage.clear()
  await openDemo()
})
afterEach(cleanup)

test('each label says what, how much, when, whose and how it is left, and carries the way back', async () => {
  const { id } = prepNamed('Benzil, from benzoin')
  const user = showAt(Labels, `/n/${NOTEBOOK}/preps/${id}/labels`, '/n/:notebook/preps/:prep/labels')
  const sheet = () => within(screen.getByRole('region', { name: 'Labels' }))
  const before = sheet().getAllByRole('article').length
  expect(sheet().getByText('Benzil, crystals').parentElement?.textContent).toMatch(
    /\d\.\d{3,4} g · \d+ Nov 2026 · /,
  )
  expect(
    sheet()
      .getAllByRole('img', { name: /^Code of/ })[0]
      ?.getAttribute('aria-label'),
  ).toBe(`Code of ${location.origin}/n/${NOTEBOOK}/preps/${id}`)
  await user.selectOptions(screen.getByLabelText('crystals, copies'), '3')
  expect(sheet().getAllByRole('article')).toHaveLength(before + 2)
  expect(sheet().getAllByText('Benzil, crystals')).toHaveLength(3)
  await user.selectOptions(screen.getByLabelText('crystals, copies'), '0')
  expect(sheet().queryByText('Benzil, crystals')).toBeNull()
})

test('of a prep that is not there it says so', () => {
  showAt(Labels, `/n/${NOTEBOOK}/preps/none/labels`, '/n/:notebook/preps/:prep/labels')
  screen.getByText(/no such prep/)
})
