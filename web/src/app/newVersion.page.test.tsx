import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { act, cleanup, screen, waitFor } from '@testing-library/react'
import { meltsOf } from '@ivory-crystal/core/notebook'
import { NOTEBOOK, openDemo, showAt, useNotebook } from '../testing/opened'

const { NewVersion } = await import('./NewVersion')
const { useUpdate } = await import('../device/update')

const take = jest.fn()
beforeEach(async () => {
  take.mockReset()
  await openDemo()
  useUpdate.setState({ isReady: true, take })
})
afterEach(cleanup)

test('a newer version is offered, and taken when asked', async () => {
  const user = showAt(NewVersion, `/n/${NOTEBOOK}/preps`, '*')
  expect(take).not.toHaveBeenCalled()
  await user.click(screen.getByRole('button', { name: 'Use it now' }))
  expect(take).toHaveBeenCalledTimes(1)
})
test('not while a melt is watched; at one that is over it is', () => {
  const [melt] = meltsOf(useNotebook.getState().view).filter(({ run }) => run !== null && run.ended !== null)
  if (!melt) throw new Error('The demo holds no melt that is over.')
  showAt(NewVersion, `/n/${NOTEBOOK}/melts/${melt.id}`, '*')
  expect(screen.getByText(/A newer version/)).toBeTruthy()
  cleanup()
  const { view } = useNotebook.getState()
  const ended = new Set(meltsOf(view).flatMap(({ run }) => run?.ended?.id ?? []))
  // The same melt before its run was ended.
  const under = {
    ...view,
    subjects: new Map(
      [...view.subjects].map(([id, subject]) => [
        id,
        {
          ...subject,
          live: { ...subject.live, 'run ended': [] },
          lines: subject.lines.filter((line) => !ended.has(line.id)),
        },
      ]),
    ),
  }
  useNotebook.setState({ view: under })
  const { prep } = melt.planned.body
  for (const place of [`melts/${melt.id}`, `preps/${prep ?? ''}/melt`]) {
    showAt(NewVersion, `/n/${NOTEBOOK}/${place}`, '*')
    expect(screen.queryByText(/A newer version/)).toBeNull()
    cleanup()
  }
  showAt(NewVersion, `/n/${NOTEBOOK}/preps/${prep ?? ''}/weigh`, '*')
  expect(screen.getByText(/A newer version/)).toBeTruthy()
})
describe('where another tab took it', () => {
  const reload = jest.fn()
  function Typed() {
    return (
      <>
        <NewVersion reload={reload} />
        <label>
          What do you see?
          <input />
        </label>
      </>
    )
  }
  beforeEach(() => {
    reload.mockReset()
    useUpdate.setState({ isReady: false, isTaken: false })
  })
  afterEach(() => {
    useUpdate.setState({ isTaken: false })
  })
  test('this page follows at once when no field in it is half typed', () => {
    showAt(Typed, `/n/${NOTEBOOK}/preps`, '*')
    act(() => {
      useUpdate.setState({ isTaken: true })
    })
    expect(reload).toHaveBeenCalled()
  })
  test('it keeps what is half typed, and follows when that is gone', async () => {
    const user = showAt(Typed, `/n/${NOTEBOOK}/preps`, '*')
    await user.type(screen.getByLabelText('What do you see?'), 'half a sentence')
    act(() => {
      useUpdate.setState({ isTaken: true })
    })
    expect(reload).not.toHaveBeenCalled()
    expect(screen.getByText(/when no field in it is half typed/)).toBeTruthy()
    await user.click(screen.getByRole('button', { name: 'Use it now' }))
    expect(reload).not.toHaveBeenCalled()
    expect(screen.getByText(/half typed and would be lost/)).toBeTruthy()
    await user.clear(screen.getByLabelText('What do you see?'))
    await waitFor(() => expect(reload).toHaveBeenCalled())
  })
  test('nor is the tab that asks for it loaded over its own half sentence', async () => {
    useUpdate.setState({ isReady: true })
    const user = showAt(Typed, `/n/${NOTEBOOK}/preps`, '*')
    await user.type(screen.getByLabelText('What do you see?'), 'half')
    await user.click(screen.getByRole('button', { name: 'Use it now' }))
    expect(take).not.toHaveBeenCalled()
    await user.click(screen.getByRole('button', { name: 'Use it anyway' }))
    expect(take).toHaveBeenCalledTimes(1)
  })
})
test('nothing is said while there is none', () => {
  useUpdate.setState({ isReady: false })
  showAt(NewVersion, `/n/${NOTEBOOK}/preps`, '*')
  expect(screen.queryByText(/A newer version/)).toBeNull()
})
