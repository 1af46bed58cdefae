import { afterEach, expect, test } from '@jest/globals'
import { cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { MemoryRouter } from 'react-router'
import { TERMS } from '@ivory-crystal/core/terms'
import { Glossary } from '../places/explained/Glossary'
import { Term } from './Term'

afterEach(cleanup)

test('a press opens the meaning, another closes it, and so does Escape', async () => {
  const user = userEvent.setup()
  render(<Term of="onset" />)
  const term = screen.getByRole('button', { name: 'onset' })
  expect(term.getAttribute('aria-expanded')).toBe('false')
  await user.click(term)
  expect((await screen.findByRole('tooltip')).textContent).toBe(`onset: ${TERMS.onset.meaning}`)
  expect(term.getAttribute('aria-describedby')).toBe(screen.getByRole('tooltip').id)
  await user.click(term)
  // It still points there.
  expect(screen.queryByRole('tooltip')).toBeNull()
  await user.keyboard('{Enter}')
  screen.getByRole('tooltip')
  await user.keyboard('{Escape}')
  expect(screen.queryByRole('tooltip')).toBeNull()
})

test('pointing shows it while it points', async () => {
  const user = userEvent.setup()
  render(<Term of="recovery">Percent recovery</Term>)
  const term = screen.getByRole('button', { name: 'Percent recovery' })
  await user.hover(term)
  screen.getByRole('tooltip')
  await user.unhover(term)
  expect(screen.queryByRole('tooltip')).toBeNull()
})

test('the glossary has every term, in the order of the alphabet', () => {
  render(
    <MemoryRouter>
      <Glossary />
    </MemoryRouter>,
  )
  const shown = screen.getAllByRole('term').map((one) => one.textContent)
  expect(shown).toHaveLength(Object.keys(TERMS).length)
  expect(shown).toEqual([...shown].sort((p, q) => (p ?? '').localeCompare(q ?? '', 'en')))
})
