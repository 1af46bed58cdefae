import type { Page } from '@playwright/test'
import { cell, expect, rampDemo, idle, station, temperature, test, openPrepNamed } from './bench'

/** A drawing follows the window a few frames later: what stands still at the end is what counts. */
async function fitsItsWidth(page: Page, where: string): Promise<void> {
  await idle(page)
  await expect
    .poll(
      () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
      { message: `${where} is wider than the screen by so many px` },
    )
    .toBe(0)
}

test('no screen scrolls sideways on a laptop, an upright tablet, or a phone at the mark pad', async ({
  page,
  demo,
}) => {
  await rampDemo(page, demo)
  await demo.pass(60)
  for (const width of [1280, 820, 390]) {
    await page.setViewportSize({ width, height: 900 })
    await fitsItsWidth(page, `watch at ${width}`)
  }
  for (const width of [1280, 820]) {
    await page.setViewportSize({ width, height: 900 })
    for (const name of ['Plan', 'Dissolve', 'Weigh', 'Judge', 'Page']) {
      await station(page, name)
      await fitsItsWidth(page, `${name} at ${width}`)
    }
  }
  await page.getByRole('link', { name: 'Unknowns' }).click()
  await page.getByRole('link', { name: 'K-9', exact: true }).click()
  for (const name of ['Candidates', 'Mixtures', 'Sign', 'Plate']) {
    await station(page, name)
    await fitsItsWidth(page, name)
  }
  await page.getByRole('link', { name: /^In hexane/ }).click()
  await page.getByRole('button', { name: 'Measure it again' }).click()
  await fitsItsWidth(page, 'a plate')
})

test('by keyboard alone: into a prep, a step ticked and struck, a melt marked', async ({ page, demo }) => {
  await page.goto(demo.url)
  await page.getByRole('heading', { name: 'Next at the bench' }).waitFor()
  // The plan of the period takes the place of the list: what has the focus must not go with it.
  await page.getByRole('heading', { name: /^Finished by/ }).waitFor()
  const tabTo = async (name: RegExp) => {
    for (let i = 0; i < 80; i++) {
      await page.keyboard.press('Tab')
      const focused = await page.evaluate(() => {
        const element = document.activeElement
        return element?.getAttribute('aria-label') ?? element?.textContent ?? ''
      })
      if (name.test(focused)) return
    }
    throw new Error(`Tab never reached ${name.source}`)
  }
  await tabTo(/^Adipic acid, small batch$/)
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: /^Tick: Spin for 3 min\.$/ }).waitFor()
  await tabTo(/^Tick: Spin for 3 min\.$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /^Done at .*Spin for 3 min\.$/ })).toBeVisible()
  await tabTo(/^strike out$/)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /^Tick: / }).first()).toBeVisible()

  await rampDemo(page, demo)
  const reading = await demo.pass(150)
  await expect(temperature(page)).toContainText(reading.probe.text)
  for (const key of ['q', 'w', 'a', 's']) await page.keyboard.press(key)
  await expect(cell(page, 'first liquid', 2)).toContainText(reading.probe.text)
  await page.keyboard.press('s')
  await expect(page.getByRole('alert')).toContainText('Strike that one out first')
  await page.keyboard.press('Backspace')
  await expect(cell(page, 'first liquid', 2)).not.toContainText(reading.probe.text)
  await expect(cell(page, 'first liquid', 1)).toContainText(reading.probe.text)
  await page.keyboard.press('c')
  await expect(page.getByRole('alert')).toContainText('There is no tube in slot 3')
  await page.getByRole('button', { name: 'shrinks' }).focus()
  await page.keyboard.press('Enter')
  await expect(cell(page, 'early sign', 2)).toContainText('shrinks')
})

test('a link to a station opens there, and one to nowhere says so', async ({ page, demo }) => {
  await page.goto(demo.url)
  await openPrepNamed(page, 'Benzil, from benzoin')
  await station(page, 'Judge')
  const address = page.url()
  await page.goto('about:blank')
  await page.goto(address)
  await expect(page.getByRole('heading', { name: 'Consistent with pure benzil' })).toBeVisible()
  await expect(page).toHaveTitle(/^((\d+:\d\d|over) · )?Benzil, from benzoin · Ivory Crystal$/)
  await page.goto(address.replace(/preps\/[^/]+/, 'preps/0a5a1c7e-0000-4000-8000-00000000dead'))
  await expect(page.getByText('There is no such prep in this notebook')).toBeVisible()
  await page.goto(`${demo.origin}/nowhere`)
  await expect(page.getByText('is not in the notebook')).toBeVisible()
  await page.goto(`${demo.origin}/n/0a5a1c7e-0000-4000-8000-00000000dead/preps`)
  await expect(page.getByText('This ledger holds no such notebook')).toBeVisible()
})
