import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, openPrepNamed, rampDemo, station, temperature, test } from './bench'

/**
 * What needs a layout to be told, on six screens that differ most; every place is looked at without one in
 * `accessible.page.test.tsx`, and contrast is worked out from the tokens of both themes in `contrast.test.ts`.
 */
async function expectAccessible(page: Page, where: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).disableRules(['color-contrast']).analyze()
  const serious = violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${where}: ${id} ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`)
  expect(serious).toEqual([])
}

test('axe finds no serious fault on six screens as they are laid out', async ({ page, demo }) => {
  await page.goto(demo.url)
  await page.getByRole('heading', { name: /^Finished by/ }).waitFor()
  await expectAccessible(page, 'Today')
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Unknowns' }).click()
  await page.getByRole('link', { name: 'K-9', exact: true }).click()
  await station(page, 'Candidates')
  await expectAccessible(page, 'K-9, Candidates')
  await page.getByRole('link', { name: 'Preps' }).click()
  await openPrepNamed(page, 'Benzil, from benzoin')
  await station(page, 'Judge')
  await expectAccessible(page, 'Judge')
  await station(page, 'Plan')
  await page.getByRole('button', { name: 'Change the plan' }).click()
  await expectAccessible(page, 'Plan, being changed')
  await rampDemo(page, demo)
  const reading = await demo.pass(100)
  await expect(temperature(page)).toContainText(reading.probe.text)
  await page.keyboard.press('q')
  await expectAccessible(page, 'Watch')
  await page.getByRole('button', { name: 'End and cool' }).click()
  await expectAccessible(page, 'End the run')
})
