import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, openPrepNamed, station, test, idle } from './bench'

// House rules are the whole lab's, and so a server of its own.
test.use({ apart: true })

const place = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name }).click()

/** What the sheet under R says, opened where the page stands and closed again. */
async function underR(page: Page): Promise<string> {
  await page.keyboard.press('r')
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByRole('heading', { level: 3 }).first()).toHaveText(
    'Someone is hurt or something burns',
  )
  const sentence = await sheet.innerText()
  await page.keyboard.press('Escape')
  await expect(sheet).toBeHidden()
  return sentence
}

test('what the lab sets reaches every screen: whom to call, what is closed, who is asked, what was put aside', async ({
  page,
  demo,
}) => {
  await page.goto(demo.url)
  await page.getByRole('heading', { name: 'Next at the bench' }).waitFor()
  expect(await underR(page)).toContain('The numbers to call are not set here')

  // The person in charge closes a solvent and says whom to call, in a set the notebook does not go by.
  await page.goto(`${demo.url}/instruments/rules`)
  await page.getByRole('button', { name: 'Edit Close start' }).click()
  await page.getByLabel('not allowed in this lab').fill('2-propanol')
  await page.getByLabel('whom to call').fill('First aid: the desk at the door')
  await page.getByRole('button', { name: 'Save this set' }).click()
  await expect(page.getByRole('form', { name: 'Edit Close start' })).toBeHidden()
  for (const name of ['Today', 'Unknowns', 'Shelf']) {
    await place(page, name)
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
    expect(await underR(page)).toContain('First aid: the desk at the door')
  }

  await place(page, 'Preps')
  await openPrepNamed(page, 'Benzil, from benzoin')
  await station(page, 'Melt')
  const atMelt = await underR(page)
  expect(atMelt).toContain('First aid: the desk at the door')
  expect(atMelt).toContain('The work went wrong')
  await page.keyboard.press('r')
  await page.getByRole('dialog').waitFor()
  await idle(page)
  const { violations } = await new AxeBuilder({ page }).disableRules(['color-contrast']).analyze()
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([])
  await page.keyboard.press('Escape')

  await station(page, 'Plan')
  await page.getByRole('button', { name: 'Change the plan' }).click()
  await page.getByRole('button', { name: 'Which solvent', exact: true }).click()
  await expect(page.getByText('Not allowed by the house rules of this lab: 2-propanol.')).toBeVisible()
  await expect(page.getByRole('button', { name: '▸ 2-propanol' })).toBeHidden()

  // An impurity that is not handled without being asked for: no plan before it is said who was asked.
  await page.getByLabel('impurity, if known').fill('1,3-dinitrobenzene')
  await page.getByRole('button', { name: 'How much', exact: true }).click()
  await page.getByLabel('kept back, mg').fill('24')
  await page.getByRole('button', { name: 'Use this plan' }).click()
  await expect(page.getByRole('alert')).toContainText('Enter who was asked')
  await page.getByLabel(/^Not without the person in charge: 1,3-dinitrobenzene/).fill('M. K.')
  await page.getByRole('button', { name: 'Use this plan' }).click()
  await expect(page.getByText(/M\. K\. asked as the person in charge/)).toBeVisible()

  // 24 mg of the 1.804 g were put aside: 1.3914 g of 1.780 g is 78.2 %, on each screen that says it,
  // and no closer, since nobody weighed them.
  await station(page, 'Weigh')
  await expect(page.getByText('Percent recovery, of the crude that went in, 1.780 g')).toBeVisible()
  await expect(page.getByText(/^78\.2 ± 0\.2/).first()).toBeVisible()
  await station(page, 'Page')
  await expect(page.getByText('24 mg of it kept back: 1.780 g went in')).toBeVisible()
  await expect(page.getByTestId('recovery')).toHaveText(/^78\.2 ± 0\.2/)
})
