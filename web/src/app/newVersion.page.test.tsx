import { afterEach, beforeEach, expect, jest, test } from '@jest/globals'
import { cleanup, screen } from '@testing-library/react'
import { meltsOf } from '@ivory-crystal/core'
import { NOTEBOOK, openDemo, showAt, useNotebook } from '../testing/opened'

const { NewVersion } = await import('./NewVersion')
const { useUpdate } = await import('./update')

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
test('nothing is said while there is none', () => {
  useUpdate.setState({ isReady: false })
  showAt(NewVersion, `/n/${NOTEBOOK}/preps`, '*')
  expect(screen.queryByText(/A newer version/)).toBeNull()
})
