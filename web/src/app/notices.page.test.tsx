import { beforeEach, describe, expect, jest, test } from '@jest/globals'
import { act, render, screen } from '@testing-library/react'
import { Suspense } from 'react'
import { MemoryRouter } from 'react-router'
import userEvent from '@testing-library/user-event'
import type { Entry } from '@ivory-crystal/core/notebook'
import { openDemo, useNotebook } from '../testing/opened'

const { Notices } = await import('./Notices')
const { Failed } = await import('./Failed')
const { NotFetched, persistently, place } = await import('../device/place')
const { storeValue, remembered, ofThisTab } = await import('../device/memory')

describe('what is not as it should be', () => {
  beforeEach(() => openDemo())
  const now = (change: object) => {
    act(() => {
      useNotebook.setState(change)
    })
  }

  test('nothing is said while all is well', () => {
    const { container } = render(<Notices />)
    expect(container.textContent).toBe('')
  })
  test('lines that are kept nowhere are said, and can be saved', async () => {
    render(<Notices />)
    const line = useNotebook.getState().view.subjects.values().next().value?.lines[0] as Entry
    now({ unkept: [line] })
    screen.getByRole('heading', { name: '1 entry is not saved on this device' })
    const saved = jest.fn<(file: Blob) => string>(() => 'blob:')
    URL.createObjectURL = saved
    URL.revokeObjectURL = () => undefined
    await userEvent.click(screen.getByRole('button', { name: 'Save a copy of it' }))
    expect(JSON.parse(await (saved.mock.calls[0]?.[0] as Blob).text())).toEqual([line])
  })
  test.each([
    [90_000, '2 minutes ahead of'],
    [-3 * 3600_000, '3 hours behind'],
    [400 * 24 * 3600_000, '400 days ahead of'],
  ])('a clock off by %d ms is said', (off, sentence) => {
    const { about } = useNotebook.getState()
    render(<Notices />)
    now({ about: { ...about, now: 1_000_000_000_000 }, heardAt: 1_000_000_000_000 + off })
    expect(screen.getByRole('status').textContent).toContain(sentence)
  })
  test('lines of the server’s file that were set aside are told with why, the first of many', () => {
    const { about } = useNotebook.getState()
    render(<Notices />)
    const setAside = Array.from({ length: 8 }, (_, i) => ({
      line: i + 3,
      reason: 'It cannot be read.',
      isLoss: true,
    }))
    now({ about: { ...about, setAside } })
    screen.getByRole('heading', { name: /found something in its files/ })
    screen.getByText(/8 things are left out because of it; everything else is valid/)
    expect(screen.getAllByRole('listitem').map((item) => item.textContent)[0]).toBe(
      'Line 3 of the journal: It cannot be read.',
    )
    screen.getByText('And 3 more.')
  })
})

describe('a place that cannot be fetched', () => {
  test('is asked for again, and then told in our words', async () => {
    const load = jest.fn<() => Promise<string>>().mockRejectedValueOnce(new TypeError('net::ERR'))
    load.mockResolvedValue('there')
    expect(await persistently(load, [1, 1])).toBe('there')
    const never = jest.fn<() => Promise<string>>().mockRejectedValue(new TypeError('net::ERR'))
    await expect(persistently(never, [1, 1])).rejects.toThrow(NotFetched)
    expect(never).toHaveBeenCalledTimes(3)
  })
  test('is shown once it can be had: trying again is enough', async () => {
    let isThere = false
    const Far = place(
      () =>
        isThere ? Promise.resolve({ Far: () => <p>far away</p> }) : Promise.reject(new TypeError('net')),
      'Far',
    )
    const consoleError = jest.spyOn(console, 'error').mockImplementation(() => undefined)
    render(
      <MemoryRouter>
        <Failed>
          <Suspense fallback="…">
            <Far />
          </Suspense>
        </Failed>
      </MemoryRouter>,
    )
    await screen.findByText(/was not opened on this device before/)
    isThere = true
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }))
    await screen.findByText('far away')
    consoleError.mockRestore()
  })
})

describe('what a browser remembers', () => {
  test('without any storage it remembers for as long as the page is open', () => {
    const blocked = jest.spyOn(Storage.prototype, 'getItem').mockImplementation(() => {
      throw new DOMException('blocked', 'SecurityError')
    })
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    expect(remembered('never said')).toBeNull()
    storeValue('a habit', 'this')
    expect(remembered('a habit')).toBe('this')
    ofThisTab.set('a draft', 'x')
    expect(ofThisTab.get('a draft')).toBeNull()
    blocked.mockRestore()
    full.mockRestore()
  })
})
