import { afterEach, beforeEach, expect, test } from '@jest/globals'
import { cleanup, screen, waitFor, within } from '@testing-library/react'
import { useState } from 'react'
import { openDemo, server, showAt } from '../testing/opened'

const { CompoundField } = await import('./CompoundField')

beforeEach(async () => {
  await openDemo()
})
afterEach(cleanup)

function Asked() {
  const [value, setValue] = useState('')
  return (
    <form
      aria-label="outer"
      onSubmit={(event) => {
        event.preventDefault()
        setValue('handed in')
      }}
    >
      <CompoundField label="what is it" value={value} isAddable onChange={setValue} />
      <p>typed: {value}</p>
    </form>
  )
}
const field = () => screen.getByRole<HTMLInputElement>('combobox', { name: 'what is it' })

test('a name one letter wrong is asked about and never taken unasked', async () => {
  const user = showAt(Asked, '/n/any')
  await user.type(field(), 'glutarik acid')
  await user.click(await screen.findByRole('button', { name: 'glutaric acid' }))
  expect(field().value).toBe('glutaric acid')
  expect(screen.queryByText(/Do you mean/)).toBeNull()
})

test('another name says which compound it was taken for', async () => {
  const user = showAt(Asked, '/n/any')
  await user.type(field(), 'Dibenzoyl')
  screen.getByText('taken as benzil')
  expect(screen.queryByRole('button', { name: /on the shelf/ })).toBeNull()
})

test('a new compound is put on the shelf where its name was typed, by Enter too, and the form around it stays', async () => {
  server.putOnShelf.mockResolvedValue({ saved: 1, unchanged: 0, refused: [] } as never)
  const user = showAt(Asked, '/n/any')
  await user.type(field(), 'ethyl unobtainate')
  await user.click(screen.getByRole('button', { name: 'Put “ethyl unobtainate” on the shelf' }))
  const form = within(screen.getByRole('group', { name: /ethyl unobtainate/ }))
  const says = async (sentence: RegExp) => {
    await waitFor(() => {
      expect(form.getByRole('alert').textContent).toMatch(sentence)
    })
  }
  await user.type(form.getByLabelText('formula, or structure (SMILES)'), 'quite heavy{Enter}')
  await says(/is not a formula such as/)
  await user.clear(form.getByLabelText('formula, or structure (SMILES)'))
  await user.type(form.getByLabelText('formula, or structure (SMILES)'), 'C9H10O3{Enter}')
  await says(/Melts from/)
  await user.type(form.getByLabelText('melts from, °C'), '118')
  await user.type(form.getByLabelText('to, °C'), '116{Enter}')
  await says(/Enter the lower temperature first/)
  await user.clear(form.getByLabelText('to, °C'))
  await user.type(form.getByLabelText('to, °C'), '119.5{Enter}')
  await says(/Give the source/)
  expect(server.putOnShelf).not.toHaveBeenCalled()
  await user.type(form.getByLabelText('source of these values'), 'the bottle{Enter}')
  await waitFor(() => {
    expect(server.putOnShelf).toHaveBeenCalled()
  })
  const [sort, rows] = server.putOnShelf.mock.calls[0] ?? []
  expect(sort).toBe('compound')
  expect(rows).toMatchObject([
    {
      id: 'ethyl-unobtainate',
      name: 'ethyl unobtainate',
      formula: 'C9H10O3',
      meltLowC: 118,
      meltHighC: 119.5,
    },
  ])
  expect((rows as { molarMassGPerMol: number }[])[0]?.molarMassGPerMol).toBeCloseTo(166.17, 1)
  // The outer form was never handed in.
  expect(field().value).toBe('ethyl unobtainate')
})
