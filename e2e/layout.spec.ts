import type { Page } from '@playwright/test'
import { type Bench, expect, rampDemo, station, test } from './bench'
import { layoutFaults } from './layout'

/** A laptop, a tablet held upright, a telephone. */
const SIZES = [
  { width: 1280, height: 800 },
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
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

async function expectAllSound(page: Page, bench: Bench, places: readonly string[]): Promise<void> {
  for (const place of places) {
    await page.goto(`${bench.url}${place}`)
    await page.getByRole('heading', { level: 1 }).first().waitFor()
    await expect(page.locator('[aria-busy="true"]')).toHaveCount(0)
    await expectSound(page, place === '' ? 'today' : place)
  }
}

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
    test.slow()
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

  for (const instrument of ['dial-block', 'oil-bath-tube', 'detecting-block', 'hot-stage'])
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
