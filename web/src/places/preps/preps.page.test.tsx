import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { act, cleanup, screen } from '@testing-library/react'
import { golden } from '../../../../core/golden/contract'
import { NOTEBOOK, openDemo, refused, SHELF, showAt, useNotebook, written } from '../../testing/opened'

const { Preps } = await import('./Preps')
const { Refusals } = await import('../../app/Refusals')
const { openNotebook } = await import('../../ledger/notebook')

beforeEach(async () => {
  localStorage.clear()
  await openDemo()
})
afterEach(cleanup)

const at = () => showAt(Preps, `/n/${NOTEBOOK}/preps`, '/n/:notebook/preps')
const box = (name: string) => screen.getByRole('textbox', { name })
const begin = () => screen.getByRole('button', { name: 'Begin this prep' })

describe('a prep to begin', () => {
  test('of nothing, or of something the shelf does not know, is answered, and nothing typed is lost', async () => {
    const user = at()
    await user.click(begin())
    expect(screen.getByRole('alert').textContent).toBe('What is to be purified?')
    await user.type(screen.getByLabelText('compound to purify'), 'benzyl')
    await user.type(box('title, if you like'), 'my title')
    await user.click(begin())
    expect(screen.getByRole('alert').textContent).toContain('No compound on the shelf is called “benzyl”')
    expect(box('title, if you like')).toHaveProperty('value', 'my title')
    expect(written('prep opened')).toHaveLength(0)
  })
  test('of a compound the lab has closed says so where it is named', async () => {
    cleanup()
    await openDemo({
      ...SHELF,
      houseRules: SHELF.houseRules.map((set) => ({ ...set, closed: ['benzil'] })),
    })
    const user = at()
    await user.type(screen.getByLabelText('compound to purify'), 'benzil')
    screen.getByText(
      'benzil: not allowed by the house rules of this lab. Ask the person in charge before you begin.',
    )
  })
  test('is found by a synonym, shown for what it is, and opened with its crude', async () => {
    const user = at()
    await user.type(screen.getByLabelText('compound to purify'), 'dibenzoyl')
    screen.getByText(/C14H10O2|melts 94\.0 to 96\.0 °C/)
    await user.type(box('title, if you like'), 'my title')
    await user.click(begin())
    expect(written('prep opened').map(({ body }) => body)).toMatchObject([
      { title: 'my title', compound: { id: 'benzil' } },
    ])
    const roles = written('sample named').map(({ body }) => (body as { role: string }).role)
    expect(roles).toEqual(['crude', 'product'])
  })
})

test('a line the server refused is shown with its reason until it has been read', async () => {
  const [entry] = golden.entries
  if (!entry) throw new Error('The golden ledger has lines.')
  refused.push({ ledger: entry.ledger, id: entry.id, entry, sentence: 'It was not to be.' })
  await act(() => openNotebook(null))
  const user = showAt(Refusals, `/n/${NOTEBOOK}`)
  expect(screen.getByRole('alert').textContent).toContain('It was not to be.')
  await user.click(screen.getByRole('button', { name: 'I have read it' }))
  expect(screen.queryByRole('alert')).toBeNull()
  expect(useNotebook.getState().quarantine).toEqual([])
})
