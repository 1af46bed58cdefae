import { afterEach, beforeEach, expect, test } from '@jest/globals'
import { act, cleanup, screen, within } from '@testing-library/react'
import type { MeltId } from '@ivory-crystal/core/ids'
import { type Bodies, meltsOf } from '@ivory-crystal/core/notebook'
import { NOTEBOOK, openDemo, showAt, useNotebook } from '../../testing/opened'

const { Today } = await import('./Today')
const { newSubject, write } = await import('../../ledger/notebook')

beforeEach(() => openDemo())
afterEach(cleanup)

test('a melt of the rack that belongs to no prep stands on Today until it is over', async () => {
  showAt(Today, `/n/${NOTEBOOK}`, '/n/:notebook')
  await screen.findByRole('region', { name: 'Open preps' })
  expect(screen.queryByRole('heading', { name: 'Melts of the rack' })).toBeNull()
  const [melt] = meltsOf(useNotebook.getState().view)
  const id = newSubject<MeltId>()
  act(() => {
    write({
      kind: 'melt planned',
      subject: id,
      body: { ...(melt?.planned.body as Bodies['melt planned']), prep: null },
    })
  })
  const melts = within(screen.getByRole('region', { name: 'Melts of the rack' }))
  const link = melts.getByRole('link', { name: 'Crude benzil, Benzil' })
  expect(link.getAttribute('href')).toBe(`/n/${NOTEBOOK}/melts/${id}`)
  melts.getByText('planned, programmable block')
  act(() => {
    write({
      kind: 'melt detected',
      subject: id,
      body: {
        run: null,
        slot: 1,
        onsetC: 94,
        clearC: 95,
        shares: null,
        decimals: 1,
        light: [],
        rateCPerMin: 1,
      },
    })
  })
  expect(screen.queryByRole('heading', { name: 'Melts of the rack' })).toBeNull()
})

test('what is next in each open prep, and what is finished', async () => {
  showAt(Today, `/n/${NOTEBOOK}`, '/n/:notebook')
  const open = within(await screen.findByRole('region', { name: 'Open preps' }))
  open.getByText(/at Collect; \d of 8 stations done/)
  within(screen.getByRole('region', { name: 'Finished preps' })).getByText(/consistent with pure, signed/)
})

test('an unknown under way stands on Today with what is next, a signed one no more', async () => {
  showAt(Today, `/n/${NOTEBOOK}`, '/n/:notebook')
  const cases = within(await screen.findByRole('region', { name: 'Open cases' }))
  expect(cases.getByRole('link', { name: 'K-14' }).getAttribute('href')).toMatch(/\/unknowns\/.*\/melt$/)
  cases.getByText(/Do a scouting run/)
  expect(cases.queryByText('K-9')).toBeNull()
})
