import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { cleanup, render, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import axe from 'axe-core'
import { platesOf, unknownsOf } from '@ivory-crystal/core/notebook'
import { referenceCompound } from '../../../core/golden/reference'
import { NOTEBOOK, openDemo, prepNamed, REFERENCE_COMPOUNDS, SHELF, useNotebook } from '../testing/opened'

const { App } = await import('../app/routes')

beforeEach(async () => {
  localStorage.clear()
  document.documentElement.lang = 'en'
  const known = new Set(SHELF.compounds.map(({ id }) => id))
  const others = REFERENCE_COMPOUNDS.filter(({ id }) => !known.has(id)).map(({ id }) => referenceCompound(id))
  await openDemo({ ...SHELF, compounds: [...SHELF.compounds, ...others] })
})
afterEach(() => {
  cleanup()
})

type User = ReturnType<typeof userEvent.setup>

/** Opens a place of the app at its address, whole: with its rail, its head and its chunk. */
function open(address: string): User {
  window.history.pushState(null, '', `/n/${NOTEBOOK}${address}`)
  render(<App />)
  return userEvent.setup()
}

/**
 * Every rule that can be told without a layout; contrast is worked out from the tokens of both themes in
 * `contrast.test.ts`, and what needs a layout is looked at in the browser.
 */
async function expectAccessible(where: string): Promise<void> {
  const { violations } = await axe.run(document.documentElement, {
    rules: { 'color-contrast': { enabled: false } },
    resultTypes: ['violations'],
  })
  const serious = violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${where}: ${id} ${nodes.map(({ html }) => html.slice(0, 120)).join(' | ')}`)
  expect(serious).toEqual([])
}

/** Goes through the parts of a place, one after the other. */
async function throughParts(user: User, where: string, parts: readonly string[]): Promise<void> {
  for (const part of parts) {
    const tab = await screen.findByRole('button', { name: part })
    await user.click(tab)
    await waitFor(() => {
      expect(document.querySelector('[aria-busy="true"]')).toBeNull()
    })
    await expectAccessible(`${where}, ${part}`)
  }
}

const heading = async (name: RegExp) => (await screen.findAllByRole('heading', { name }))[0]
const atStation = (name: string) =>
  waitFor(() => {
    const here = screen.getByRole('navigation', { name: 'Stations' }).querySelector('[aria-current="step"]')
    expect(here?.textContent).toContain(name)
    expect(document.querySelector('[aria-busy="true"]')).toBeNull()
  })

describe('axe finds no serious fault', () => {
  test.each([
    ['Today', '', /^Next at the bench$/],
    ['the preps', '/preps', /^Begin a prep$/],
    ['the unknowns', '/unknowns', /^Open a case$/],
    ['the instruments', '/instruments', /^Instruments$/],
    ['practice', '/practice', /^And then$/],
    ['practice for instructors', '/practice/for-instructors', /^Make a practical$/],
    ['what is for instructors', '/for-instructors', /^For instructors$/],
    ['the day of a class', '/for-instructors/class', /class/i],
    ['what is explained', '/explained#account', /^Mass balance$/],
    ['this notebook', '/this-notebook', /^This notebook$/],
  ] as const)('on %s', async (what, address, title) => {
    open(address)
    await heading(title)
    await expectAccessible(what)
  })

  test.each([
    ['Benzil, from benzoin', ['Plan', 'Dissolve', 'Melt', 'Judge', 'Page']],
    ['Adipic acid, small batch', ['Crystallize', 'Collect', 'Weigh', 'Judge']],
  ] as const)('in “%s”, station by station', async (title, stations) => {
    for (const name of stations) {
      open(`/preps/${prepNamed(title).id}/${name.toLowerCase()}`)
      await atStation(name)
      await expectAccessible(`${title}, ${name}`)
      cleanup()
    }
  })

  test('in the parts of a plan', async () => {
    const user = open(`/preps/${prepNamed('Benzil, from benzoin').id}/plan`)
    await user.click(await screen.findByRole('button', { name: 'Change the plan' }))
    await throughParts(user, 'Plan', [
      'How much',
      'Which solvent',
      'Solubility',
      'Procedure',
      'Again?',
      'Test tubes',
    ])
  })

  test('in an account', async () => {
    const user = open(`/preps/${prepNamed('Benzil, from benzoin').id}/weigh`)
    await throughParts(user, 'Weigh', ['Account'])
  })

  test('on the shelf, in a procedure of the house, and in the list of keys', async () => {
    const user = open('/shelf')
    await heading(/^Shelf$/)
    await throughParts(user, 'Shelf', ['compounds', 'solvents', 'solubilities', 'procedures'])
    await user.click(screen.getByRole('button', { name: 'Copy as house procedure' }))
    await expectAccessible('House procedure')
    await user.keyboard('?')
    await screen.findByRole('dialog')
    await expectAccessible('Keys')
  })

  test('at an instrument, the rack and the house rules', async () => {
    const user = open('/instruments/dial-block')
    await heading(/^Dial block$/)
    await throughParts(user, 'Dial block', ['dial', 'thermometer', 'connection', 'now'])
    for (const [link, announcement] of [
      ['rack and runs', /No order is shorter/],
      ['house rules', /A run keeps the rules/],
    ] as const) {
      await user.click(screen.getByRole('link', { name: link }))
      await screen.findByText(announcement)
      await expectAccessible(link)
    }
    await user.click(screen.getByRole('button', { name: 'Edit Close start' }))
    await expectAccessible('House rules, edited')
  })

  test('in a case from station to station, on a plate, and in the parts of the unknowns', async () => {
    const { view } = useNotebook.getState()
    const known = unknownsOf(view).find(({ opened }) => opened.body.code === 'K-9')
    for (const name of ['Candidates', 'Mixtures', 'Sign']) {
      open(`/unknowns/${known?.id ?? ''}/${name.toLowerCase()}`)
      await atStation(name)
      await expectAccessible(`K-9, ${name}`)
      cleanup()
    }
    const [plate] = unknownsOf(view).flatMap(({ id }) => platesOf(view, id))
    const user = open(`/plates/${plate?.id ?? ''}`)
    await heading(/^What the plate shows/)
    await expectAccessible('A plate')
    await user.click(screen.getByRole('button', { name: 'Measure it again' }))
    await expectAccessible('A plate being measured')
    cleanup()
    await throughParts(open('/unknowns'), 'Unknowns', ['Two standards', 'The class'])
  })

  test.each([
    'three-at-once',
    'the-dial',
    'the-flame',
    'just-dissolved',
    'the-balance',
    'what-does-it-say',
    'which-mixture',
    'out-on-time',
    'what-is-wrong-here',
    'choose-the-solvent',
  ])('in an exercise: %s', async (slug) => {
    const user = open(`/practice/${slug}?seed=2`)
    await screen.findByText(/^Level 1, /)
    await waitFor(() => {
      expect(document.querySelector('[aria-busy="true"]')).toBeNull()
    })
    await expectAccessible(slug)
    if (slug !== 'choose-the-solvent') return
    await user.click(screen.getByRole('button', { name: /^Take A/ }))
    await heading(/^The ranking$/)
    await expectAccessible('An answer')
  })
})
