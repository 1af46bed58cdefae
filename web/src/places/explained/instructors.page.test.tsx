import { afterEach, beforeEach, expect, test } from '@jest/globals'
import { cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { MemoryRouter } from 'react-router'
import { EMPTY_VIEW } from '@ivory-crystal/core/notebook'
import { openDemo, useNotebook } from '../../testing/opened'

const { Instructors } = await import('./Instructors')
const page = () =>
  render(
    <MemoryRouter>
      <Instructors />
    </MemoryRouter>,
  )

beforeEach(async () => {
  localStorage.clear()
  await openDemo()
})
afterEach(cleanup)

test('a list at hand is run through simulated benches, both ways, and its hard pair is named', async () => {
  const user = userEvent.setup()
  page()
  await user.click(screen.getByRole('button', { name: 'Try 200 simulated benches' }))
  const reliability = await screen.findByTestId('reliability')
  expect(reliability.textContent).toMatch(
    /This list of 4 takes \d\.\d mixtures on average; .+ and .+ are the hard pair/,
  )
  expect(screen.getByRole('img', { name: /^by what is most informative: right \d/ })).toBeTruthy()
  expect(screen.getByRole('img', { name: /^nearest melting first: right \d/ })).toBeTruthy()
  // What was found is of that list, and of no other that is chosen since.
  await user.selectOptions(screen.getByLabelText('the list of'), 'K-14 (4)')
  expect(screen.queryByTestId('reliability')).toBeNull()
})

test('stopped, nothing is told; without a list, where to begin one', async () => {
  const user = userEvent.setup()
  page()
  await user.click(screen.getByRole('button', { name: 'Try 200 simulated benches' }))
  await user.click(await screen.findByRole('button', { name: 'Stop' }))
  await screen.findByRole('button', { name: 'Try 200 simulated benches' })
  expect(screen.queryByTestId('reliability')).toBeNull()
  cleanup()
  useNotebook.setState({ view: EMPTY_VIEW })
  page()
  screen.getByRole('link', { name: 'two candidates on its list' })
})
