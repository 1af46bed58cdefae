import { expect, jest, test } from '@jest/globals'
import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { type ComponentType, useState } from 'react'
import { LateSheet } from './LateSheet'

type Sheet = ComponentType<{ onHide: () => void }>
const fetchSheet = jest.fn<() => Promise<Sheet>>()

function Opener() {
  const [open, setOpen] = useState(false)
  return (
    <>
      <button
        onClick={() => {
          setOpen(true)
        }}
      >
        open
      </button>
      <LateSheet fetch={fetchSheet} open={open} setOpen={setOpen} without="Shout for help." />
    </>
  )
}

test('a sheet that cannot be fetched says what is to be known all the same, and is asked for again', async () => {
  const user = userEvent.setup()
  fetchSheet.mockRejectedValue(new Error('no network'))
  render(<Opener />)
  await user.click(screen.getByRole('button', { name: 'open' }))
  expect((await screen.findByRole('alert')).textContent).toContain('Shout for help.')
  await user.click(screen.getByRole('button', { name: 'Close' }))
  expect(screen.queryByRole('alert')).toBeNull()
  fetchSheet.mockResolvedValue(() => <p>The cards</p>)
  await user.click(screen.getByRole('button', { name: 'open' }))
  await screen.findByText('The cards')
  expect(screen.queryByRole('alert')).toBeNull()
})
