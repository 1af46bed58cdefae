import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react'
import { type Bodies, latestLine } from '@ivory-crystal/core/notebook'
import { openDemo, prepNamed, show, useNotebook, written } from '../../testing/opened'

const { Judge } = await import('./Judge')
const { strike } = await import('../../ledger/notebook')

beforeEach(async () => {
  localStorage.clear()
  await openDemo()
})
afterEach(cleanup)
const press = (name: string | RegExp) => screen.getByRole('button', { name })
const judge = () => show(Judge, prepNamed('Benzil'), 'judge')

describe('judging the demo’s benzil', () => {
  test('verdict, findings, where it sits, and what to do next with the way there', () => {
    judge()
    screen.getByText('Consistent with pure benzil')
    screen.getByText(/Two equal ranges side by side do not prove identity/)
    screen.getByRole('img', { name: /^Phase map of benzil and benzoin.*crude, about 9 % at 9 mol %/ })
    screen.getByText(/Fusion enthalpy of benzoin estimated/)
    expect(screen.getByRole('link', { name: 'Run a plate' }).getAttribute('href')).toContain(
      '/plates/new?of=',
    )
  })
  test('whose the degrees are is drawn row by row, walked by keys, and lit by the step that would take it away', async () => {
    const user = judge()
    const drawn = within(screen.getByTestId('budget'))
    const rows = drawn.getAllByRole('listitem')
    expect(rows.map(({ firstChild }) => firstChild?.textContent)).toEqual([
      'heating',
      'melting time',
      'thermometer',
      'reading',
      'the sample',
    ])
    drawn.getByText(/At 1\.0 °C\/min both ends read 0\.1 to 0\.5 °C too high/i)
    drawn.getByRole('img', { name: 'thermometer, clear: −1.5 to 1.5 °C' })
    drawn.getByRole('img', { name: /^the width, 1\.0 °C: 0\.0 of it at least from the sample itself/ })
    drawn.getByText(/60 min in air are enough for a solvent that boils at 78 °C/)
    rows[0]?.focus()
    await user.keyboard('{ArrowDown}')
    expect(document.activeElement).toBe(rows[1])
    await user.keyboard('{ArrowUp}{ArrowUp}')
    expect(document.activeElement).toBe(rows[0])
    await user.hover(screen.getByText(/A mixed melt with an authentic sample would say/))
    const lit = rows.map(({ className }) =>
      className.includes('lit') ? 1 : className.includes('dim') ? 0 : null,
    )
    expect(lit).toEqual([1, 0, 1, 0, 0])
  })
  test('a struck verdict is signed again with what it rests on', async () => {
    const user = judge()
    await user.click(press('Strike out this verdict'))
    await user.clear(screen.getByLabelText(/signed by/))
    expect(press('Sign this verdict')).toHaveProperty('disabled', true)
    await user.type(screen.getByLabelText(/signed by/), 'bench 7')
    await user.click(press('Sign this verdict'))
    const [signed] = written('verdict signed').map(({ body }) => body as Bodies['verdict signed'])
    expect(signed).toMatchObject({ signedBy: 'bench 7', judgement: { verdict: 'consistent with pure' } })
    expect(signed?.restsOn.length).toBeGreaterThan(4)
    expect(Object.keys(signed ?? {})).not.toContain('rows')
  })
  test('a reading struck under a signed verdict is said', () => {
    const { id } = prepNamed('Benzil')
    const verdict = latestLine(useNotebook.getState().view, id, 'verdict signed')
    const crude = verdict?.body.restsOn.at(-1)
    const melt = [...useNotebook.getState().view.subjects.values()]
      .flatMap(({ lines }) => lines)
      .find((line) => line.id === crude)
    if (melt) strike(melt, 'wrong key')
    judge()
    expect(
      screen.getAllByRole('alert').some(({ textContent }) => textContent.includes('has been struck out')),
    ).toBe(true)
  })
  test('the mixed melt names an authentic sample only if none is at hand', async () => {
    const user = judge()
    await user.click(press('Make a mixed melt'))
    await user.click(press('Pack 3 tubes and plan the run'))
    expect(written('sample named').map(({ body }) => (body as Bodies['sample named']).role)).toEqual([
      'mixture',
    ])
    expect(written('tube packed').map(({ body }) => (body as Bodies['tube packed']).label)).toEqual([
      'Benzil',
      'Authentic benzil',
      'Benzil + benzil',
    ])
  })
})

describe('the map under the hand', () => {
  const here = () => screen.getByTestId('map-here').textContent
  const slide = (name: string, value: string) => {
    fireEvent.change(screen.getByLabelText(name), { target: { value } })
  }
  test('composition and temperature are moved by keys too; tube, words and ladder follow', () => {
    judge()
    slide('composition', '10')
    slide('temperature', '85')
    expect(here()).toContain('48 % of it liquid at 85.0 °C')
    screen.getByText('Crystals of benzil in a melt of both')
    screen.getByRole('img', { name: /^A tube of this mixture, drawn: drops in the bulk/ })
    screen.getByRole('img', { name: /^This mixture: 78\.4 to 91\.0 °C/ })
    slide('temperature', '70')
    screen.getByText('Crystals of benzil and of benzoin, side by side')
    slide('composition', '60')
    slide('temperature', '95')
    screen.getByText('Crystals of benzoin in a melt of both')
    slide('composition', '100')
    screen.getByText('Pure benzoin: it melts at one temperature.')
    slide('composition', '2')
    screen.getByText(/too little liquid to see/)
  })
  test('another impurity is tried; the product itself is none', () => {
    judge()
    const field = screen.getByLabelText('try another impurity')
    fireEvent.change(field, { target: { value: 'triphenylmethane' } })
    screen.getByRole('img', { name: /^Phase map of benzil and triphenylmethane/ })
    fireEvent.change(field, { target: { value: 'benzil' } })
    screen.getByText('That is the product itself.')
    screen.getByRole('img', { name: /^Phase map of benzil and benzoin/ })
  })
})

test('a prep without a range says what is missing', () => {
  show(Judge, prepNamed('Adipic'), 'judge')
  screen.getByText('Nothing to judge yet')
})

test('a signed verdict that no longer rests on what stands says so first, and is judged again with one press', async () => {
  const user = judge()
  expect(screen.queryByRole('alert', { name: /out of date/ })).toBeNull()
  const rests = prepNamed('Benzil').verdict?.body.restsOn ?? []
  const mark = [...useNotebook.getState().view.subjects.values()]
    .flatMap(({ lines }) => lines)
    .find(({ id, kind }) => kind === 'mark made' && rests.includes(id))
  if (!mark) throw new Error('The demo’s verdict rests on a mark.')
  act(() => {
    strike(mark, 'pressed too late')
  })
  screen.getByText(/The signed verdict is out of date/)
  await user.click(press('Judge again'))
  expect(prepNamed('Benzil').verdict).toBeNull()
  expect(screen.queryByText(/is out of date/)).toBeNull()
})
