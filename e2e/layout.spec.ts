import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { SIMULATED_INSTRUMENTS } from '../core/src/instruments/shipped'
import { copiesOf } from '../core/golden/copies'
import type { RawEntry } from '@ivory-crystal/core/notebook'
import { type Bench, everyPlaceFetched, expect, heatUp, rampDemo, station, test, tubesIn } from './bench'
import { layoutFaults } from './layout'

const golden = JSON.parse(
  readFileSync(join(import.meta.dirname, '../core/golden/ledger.v4.json'), 'utf8'),
) as { readonly entries: readonly RawEntry[] }

/** A laptop, a tablet either way, a telephone, and the laptop at 200 %. */
const SIZES = [
  { width: 1280, height: 800 },
  { width: 1024, height: 768 },
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
  { width: 640, height: 400 },
] as const

const PREP = '0a5a1c7e-0000-4000-8000-0000000001'
const subject = (two: string) => `${PREP}${two}`
const STATIONS = ['plan', 'dissolve', 'crystallize', 'collect', 'weigh', 'melt', 'judge', 'page']
const CASE = ['melt', 'candidates', 'mixtures', 'plates', 'sign']

/** Reads the screen as it stands at every size; nothing may lie wrong on it once its drawings have followed the width. */
async function expectSound(page: Page, name: string): Promise<void> {
  for (const size of SIZES) {
    await page.setViewportSize(size)
    await page.evaluate(() => document.fonts.ready)
    await expect.poll(() => layoutFaults(page), `${name} at ${size.width} px`).toEqual([])
  }
  await page.setViewportSize(SIZES[0])
}

/** One load of the app, and from there by its own router: each place is another chunk and not another page. */
async function expectAllSound(page: Page, bench: Bench, places: readonly string[]): Promise<void> {
  for (const [i, place] of places.entries()) {
    if (i === 0) await page.goto(`${bench.url}${place}`)
    else await goWithin(page, new URL(`${bench.url}${place}`))
    await page.getByRole('heading', { level: 1 }).first().waitFor()
    await expect(page.locator('[aria-busy="true"]')).toHaveCount(0)
    await expectSound(page, place === '' ? 'today' : place)
  }
}

async function goWithin(page: Page, { pathname, search }: URL): Promise<void> {
  const title = await page.title()
  const here = page.getByRole('navigation', { name: 'Stations' }).locator('[aria-current]')
  const before = (await here.count()) > 0 ? await here.innerText() : ''
  await page.evaluate((to) => {
    history.pushState(null, '', to)
    dispatchEvent(new PopStateEvent('popstate'))
  }, pathname + search)
  // The place before stands until the chunk of this one is there; two addresses may name the same one.
  await page
    .waitForFunction(
      ([was, station]) =>
        document.title !== was ||
        (document.querySelector('[aria-label="Stations"] [aria-current]')?.textContent ?? '') !== station,
      [title, before] as const,
      { timeout: 3000 },
    )
    .catch(() => undefined)
}

/** Names as long as anybody gives them: of preps, samples, unknowns and benches. */
function longNamed(entries: readonly RawEntry[]): readonly RawEntry[] {
  const long = (text: string) =>
    `${text}, second batch of the section on Thursday, from the flask with the blue clamp at the end of the row`
  return entries.map((entry): RawEntry => {
    const body = entry.body as { readonly title?: string; readonly label?: string; readonly code?: string }
    switch (entry.kind) {
      case 'prep opened':
        return { ...entry, body: { ...body, title: long(body.title ?? '') } }
      case 'sample named':
        return { ...entry, body: { ...body, label: long(body.label ?? '') } }
      case 'unknown opened':
        return { ...entry, body: { ...body, code: `${body.code ?? ''}-second-vial-of-three` } }
      default:
        return entry
    }
  })
}

/** Writes lines into an empty notebook. */
async function pour(bench: Bench, lines: readonly RawEntry[]): Promise<void> {
  const { ledger } = (await (await fetch(`${bench.origin}/api/about`)).json()) as { ledger: string }
  const own = lines.map((entry) => ({ ...entry, ledger, notebook: bench.notebook }))
  for (let from = 0; from < own.length; from += 100) {
    const answer = await fetch(`${bench.origin}/api/notebooks/${bench.notebook}/entries`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ groups: own.slice(from, from + 100).map((line) => [line]) }),
    })
    if (!answer.ok) throw new Error(await answer.text())
  }
}

test.describe('a notebook ten times the demo’s, with long names', () => {
  test.use({ apart: true })
  test('is as sound, place by place', async ({ page, own }) => {
    await pour(own, longNamed(copiesOf(golden.entries, 10)))
    await expectAllSound(page, own, [
      '',
      '/preps',
      '/unknowns',
      '/instruments/rack',
      ...STATIONS.map((one) => `/preps/${subject('01')}/${one}`),
      ...CASE.map((one) => `/unknowns/${subject('60')}/${one}`),
      `/melts/${subject('22')}`,
      '/this-notebook',
    ])
    // A mixed melt beside both its parts, judged: three more rungs with the longest names.
    await page.goto(`${own.url}/preps/${subject('01')}/judge`)
    await page.getByRole('button', { name: 'Make a mixed melt' }).click()
    await page.getByRole('button', { name: /^Pack \d tubes/ }).click()
    await page.getByRole('button', { name: 'Plan this melt' }).click()
    await expectSound(page, 'a mixed melt, ready')
    await heatUp(page, own)
    await tubesIn(page, own)
    for (const [key, until] of [
      ['d', { tube: 2, liquid: 0.22 }],
      ['s', { tube: 1, liquid: 0.22 }],
      ['a', { tube: 0, liquid: 0.22 }],
    ] as const) {
      await own.passUntil(until)
      await page.keyboard.press(key)
    }
    for (const tube of [0, 1, 2]) await own.passUntil({ tube, look: 'clear' })
    for (const key of ['z', 'x', 'c']) await page.keyboard.press(key)
    await expectSound(page, 'a mixed melt, watched')
    await page.getByRole('button', { name: 'End the run' }).click()
    await page.goto(`${own.url}/preps/${subject('01')}/judge`)
    await page.getByRole('heading', { name: 'In the phase map' }).waitFor()
    await expectSound(page, 'judge, after a mixed melt')
    await page.goto(`${own.url}/preps/${subject('01')}/page`)
    await page.getByRole('table', { name: 'Melting ranges in numbers' }).waitFor()
    await expectSound(page, 'page, after a mixed melt')
  })
})

test.describe('nothing lies on anything else, runs off or is cut', () => {
  test('in the preps of the demo', async ({ page, demo }) => {
    await expectAllSound(page, demo, [
      '',
      '/preps',
      ...STATIONS.map((one) => `/preps/${subject('01')}/${one}`),
      ...STATIONS.map((one) => `/preps/${subject('11')}/${one}`),
      `/preps/${subject('01')}/labels`,
      `/preps/${subject('01')}/weigh?show=Account`,
      `/preps/${subject('11')}/weigh?show=Account`,
    ])
  })

  test('in practice, exercise by exercise', async ({ page, demo }) => {
    await expectAllSound(page, demo, [
      '/practice',
      '/practice/for-instructors',
      '/practice/three-at-once?seed=11',
      '/practice/the-dial?seed=2',
      '/practice/the-flame?seed=3',
      '/practice/just-dissolved?seed=2',
      '/practice/the-balance?seed=5&level=3',
      '/practice/what-does-it-say?seed=8&level=2',
      '/practice/which-mixture?seed=1&level=3',
      '/practice/out-on-time?seed=2&level=2',
      '/practice/what-is-wrong-here?seed=1&level=2',
      '/practice/choose-the-solvent?seed=1&level=3',
    ])
  })

  test('in the unknowns, at the instruments, on the shelf', async ({ page, demo }) => {
    await expectAllSound(page, demo, [
      '/unknowns',
      ...CASE.map((one) => `/unknowns/${subject('60')}/${one}`),
      `/unknowns/${subject('40')}/melt`,
      `/unknowns/${subject('40')}/candidates`,
      `/plates/${subject('65')}`,
      `/melts/${subject('22')}`,
      '/instruments',
      '/instruments/dial-block',
      '/instruments/oil-bath-tube',
      '/instruments/rack',
      '/instruments/rules',
      '/shelf',
      ...['solvents', 'solubilities', 'procedures'].map((sort) => `/shelf?show=${sort}`),
      ...['Two standards', 'The class'].map((part) => `/unknowns?show=${encodeURIComponent(part)}`),
      ...['dial', 'thermometer'].map((part) => `/instruments/dial-block?part=${part}`),
      '/this-notebook',
      '/explained',
      '/for-instructors',
      '/for-instructors/class',
    ])
  })

  test('in an empty notebook', async ({ page, own }) => {
    await expectAllSound(page, own, [
      '',
      '/preps',
      '/unknowns',
      '/instruments',
      '/instruments/rack',
      '/melts/new',
      '/shelf',
      '/nowhere',
    ])
  })

  test('while a plan is made', async ({ page, demo }) => {
    await page.goto(`${demo.url}/preps/${subject('01')}/plan`)
    await page.getByRole('button', { name: 'Change the plan' }).click()
    for (const part of ['Which solvent', 'Test tubes', 'How much', 'Solubility', 'Procedure', 'Again?']) {
      await page.getByRole('button', { name: part, exact: true }).click()
      await expect(page.locator('[aria-busy="true"]')).toHaveCount(0)
      await expectSound(page, `plan, ${part}`)
    }
  })

  test('while a melt is watched, and after', async ({ page, demo }) => {
    await rampDemo(page, demo)
    await expectSound(page, 'watch, before the window')
    await demo.passUntil({ tube: 0, liquid: 0.2 })
    await page.keyboard.press('a')
    await demo.passUntil({ tube: 0, look: 'clear' })
    await page.keyboard.press('z')
    await expectSound(page, 'watch, with marks')
    await demo.passUntil({ tube: 1, liquid: 0.2 })
    await page.keyboard.press('s')
    await demo.passUntil({ tube: 1, look: 'clear' })
    await page.keyboard.press('x')
    await page.getByRole('button', { name: 'End the run' }).click()
    await page.getByRole('link', { name: 'Go on to judge' }).waitFor()
    await expectSound(page, 'after the run')
    await station(page, 'Judge')
    await expectSound(page, 'judge with another run')
  })

  test('with no network in the middle of a melt, and nothing moves under the hand', async ({
    page,
    demo,
  }) => {
    await rampDemo(page, demo)
    await demo.passUntil({ tube: 0, liquid: 0.2 })
    await everyPlaceFetched(page)
    const pad = page.getByRole('group', { name: 'Mark pad' })
    const top = async () => (await pad.boundingBox())?.y
    const before = await top()
    await page.context().setOffline(true)
    await page.keyboard.press('a')
    await expect(page.getByText(/not yet sent/)).toBeVisible()
    expect(await top()).toBe(before)
    await expectSound(page, 'watch, without a network')
    for (const place of ['Today', 'Preps', 'Instruments']) {
      await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place }).click()
      await page.getByRole('heading', { level: 1 }).first().waitFor()
      await expectSound(page, `${place}, without a network`)
    }
    await page.context().setOffline(false)
    await expect(page.getByText('all saved')).toBeVisible()
  })

  for (const { id: instrument } of SIMULATED_INSTRUMENTS.filter(({ id }) => id !== 'programmable-block'))
    test(`at the ${instrument}`, async ({ page, demo }) => {
      await page.goto(`${demo.url}/preps/${subject('01')}/melt`)
      await page.getByLabel('instrument', { exact: true }).selectOption(instrument)
      await expectSound(page, 'its plan')
      await page.getByRole('button', { name: 'Plan this melt' }).click()
      await page.getByRole('heading', { name: 'Before you start' }).waitFor()
      // The list changes while it is ticked: what the instrument's temperature tells is told once it has answered.
      const open = page.getByRole('button', { name: /^Check: / })
      await expect(async () => {
        while ((await open.count()) > 0) await open.first().click({ timeout: 2000 })
      }).toPass()
      await page.getByRole('button', { name: /^Start the simulated/ }).click()
      await page.getByRole('heading', { level: 1 }).first().waitFor()
      await expectSound(page, 'its watch')
    })
})
