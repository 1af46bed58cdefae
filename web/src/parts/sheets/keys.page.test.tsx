import { afterEach, expect, jest, test } from '@jest/globals'
import { act, cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'

jest.unstable_mockModule('./KeysList', () => {
  throw new Error('The server cannot be reached.')
})
const { KeysHelp } = await import('./KeysHelp')
afterEach(cleanup)

test('the keys asked for while the server is gone take nothing off the screen', async () => {
  const user = userEvent.setup()
  render(
    <>
      <p>a melt is watched</p>
      <KeysHelp />
    </>,
  )
  await user.keyboard('?')
  await act(() => new Promise((resolve) => setTimeout(resolve, 100)))
  screen.getByText('a melt is watched')
  expect(screen.queryByRole('dialog')).toBeNull()
})
