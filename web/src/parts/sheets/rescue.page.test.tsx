import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { cleanup, screen, within } from '@testing-library/react'
import { EMERGENCIES } from '@ivory-crystal/core/procedures'
import { NOTEBOOK, openDemo, prepNamed, SHELF, showAt, written } from '../../testing/opened'

const { Rescue } = await import('./Rescue')

beforeEach(() => openDemo())
afterEach(cleanup)

const hidden = jest.fn()
const Sheet = () => <Rescue onHide={hidden} />
const at = (path: string, pattern = '/n/:notebook/*') => showAt(Sheet, `/n/${NOTEBOOK}/${path}`, pattern)

describe('the card for when someone is hurt or something burns', () => {
  test.each(['preps', 'shelf', 'plates', 'melts/1', 'unknowns/1/judge'])(
    'stands first on %s, every emergency with its first action',
    (path) => {
      at(path)
      const headings = screen.getAllByRole('heading', { level: 3 }).map(({ textContent }) => textContent)
      expect(headings[0]).toBe('Someone is hurt or something burns')
      for (const { title, first } of EMERGENCIES) {
        const card = screen.getByRole('heading', { name: title }).closest('section') as HTMLElement
        within(card).getByText(first)
      }
    },
  )
  test('says whom to call as the lab set it, whichever set the notebook goes by; else where to read it', async () => {
    at('preps')
    screen.getByText(/The numbers to call are not set here: read the card on the wall/)
    cleanup()
    const last = SHELF.houseRules.length - 1
    await openDemo({
      ...SHELF,
      houseRules: SHELF.houseRules.map((set, i) =>
        i === last ? { ...set, emergencyCalls: 'first aid: the desk at the door' } : set,
      ),
    })
    at('preps')
    screen.getByText('first aid: the desk at the door')
    expect(screen.queryByText(/Whom to call is not set here/)).toBeNull()
  })
})

describe('what goes wrong with the work', () => {
  test('is of the station; at a melt without a prep nothing is logged', async () => {
    const user = at('melts/1')
    await user.click(screen.getByRole('button', { name: /capillary/i }))
    expect(screen.queryByRole('button', { name: 'tried, it helped' })).toBeNull()
  })
  test('a try is logged on the prep, and struck again', async () => {
    const user = at(`preps/${prepNamed('Benzil').id}/dissolve`)
    const [first] = screen.getAllByRole('button', { name: /^▸/ })
    await user.click(first as HTMLElement)
    await user.click(screen.getAllByRole('button', { name: 'tried, no help' })[0] as HTMLElement)
    expect(written('rescue tried').map(({ body }) => body)).toMatchObject([
      { station: 'dissolve', helped: 'did not help' },
    ])
    await user.click(screen.getByRole('button', { name: 'strike out' }))
    expect(written('struck')).toHaveLength(1)
    expect(screen.queryByText(/did not help/)).toBeNull()
  })
  test('on a screen without work under way there are no other cards', () => {
    at('shelf')
    expect(screen.queryByText('The work went wrong')).toBeNull()
  })
})
