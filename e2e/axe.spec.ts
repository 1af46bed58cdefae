import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, rampDemo, station, temperature, test, openPrepNamed } from './bench'

// The screens are looked at in parts, so that two workers share them.
test.describe.configure({ mode: 'parallel' })

/** Every rule but contrast, which is worked out from the tokens of both themes in `contrast.test.ts`. */
async function expectAccessible(page: Page, where: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).disableRules(['color-contrast']).analyze()
  const serious = violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${where}: ${id} ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`)
  expect(serious).toEqual([])
}

const place = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name }).click()

test.describe('axe finds no serious fault', () => {
  test.beforeEach(async ({ page, demo }) => {
    await page.goto(demo.url)
  })

  test('on Today, the preps, a prep under way and the shelf', async ({ page }) => {
    await page.getByRole('heading', { name: 'Next at the bench' }).waitFor()
    await expectAccessible(page, 'Today')
    await place(page, 'Preps')
    await page.getByRole('heading', { name: 'Begin a prep' }).waitFor()
    await expectAccessible(page, 'Preps')
    await openPrepNamed(page, 'Adipic acid, small batch')
    // What looks otherwise while a prep is under way than in a finished one.
    for (const name of ['Crystallize', 'Collect', 'Weigh', 'Judge']) {
      await station(page, name)
      await page.waitForTimeout(300)
      await expectAccessible(page, `adipic ${name}`)
    }
    await place(page, 'Shelf')
    await page.getByRole('heading', { name: 'Shelf' }).first().waitFor()
    await expectAccessible(page, 'Shelf')
    for (const part of ['solvents', 'solubilities', 'procedures']) {
      await page.getByRole('button', { name: part, exact: true }).click()
      await page.waitForTimeout(300)
      await expectAccessible(page, `Shelf, ${part}`)
    }
    await page.getByRole('button', { name: 'Copy it as a house procedure' }).click()
    await expectAccessible(page, 'House procedure')
    await page.keyboard.press('?')
    await page.getByRole('dialog').waitFor()
    await page.waitForTimeout(400)
    await expectAccessible(page, 'Keys')
  })

  test('in practice: the place, an exercise of each sort and an answer', async ({ page, demo }) => {
    await page.goto(`${demo.url}/practice`)
    await page.getByRole('heading', { name: 'And then' }).waitFor()
    await expectAccessible(page, 'Practice')
    for (const slug of [
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
    ]) {
      await page.goto(`${demo.url}/practice/${slug}?seed=2`)
      await page.getByText(/^Level 1, /).waitFor()
      await page.waitForTimeout(600)
      await expectAccessible(page, slug)
    }
    await page.getByRole('button', { name: /^Take A/ }).click()
    await page.getByRole('heading', { name: 'How the ranking has them' }).waitFor()
    await expectAccessible(page, 'An answer')
    await page.goto(`${demo.url}/practice/for-instructors`)
    await page.getByRole('heading', { name: 'Make a practical' }).waitFor()
    await expectAccessible(page, 'Practice for instructors')
  })

  test('in a finished prep, its plan in parts and its account', async ({ page }) => {
    await openPrepNamed(page, 'Benzil, from benzoin')
    for (const name of ['Dissolve', 'Melt', 'Judge', 'Page', 'Plan']) {
      await station(page, name)
      await page.waitForTimeout(300)
      await expectAccessible(page, `benzil ${name}`)
    }
    await page.getByRole('button', { name: 'Change the plan' }).click()
    for (const part of ['How much', 'Which solvent', 'Solubility', 'Procedure', 'Again?', 'Test tubes']) {
      await page.getByRole('button', { name: part, exact: true }).click()
      await page.waitForTimeout(300)
      await expectAccessible(page, `Plan, ${part}`)
    }
    await station(page, 'Weigh')
    await page.getByRole('button', { name: 'Account', exact: true }).click()
    await expectAccessible(page, 'Account')
    await page.getByRole('link', { name: 'How this is worked out: account' }).click()
    await page.getByRole('heading', { name: 'Where it went' }).waitFor()
    await expectAccessible(page, 'Explained')
  })

  test('at the instruments, the rack, the rules, and while a melt is watched', async ({ page, demo }) => {
    await place(page, 'Instruments')
    await page.getByText('its flame learned').waitFor()
    await expectAccessible(page, 'Instruments')
    await page.getByRole('link', { name: 'Dial block' }).click()
    for (const part of ['dial', 'thermometer', 'connection', 'now']) {
      await page.getByRole('button', { name: part, exact: true }).click()
      await page.waitForTimeout(700)
      await expectAccessible(page, `Dial block, ${part}`)
    }
    for (const [link, said] of [
      ['rack and runs', /No order is shorter/],
      ['house rules', /A run keeps the set/],
    ] as const) {
      await page.getByRole('link', { name: link }).click()
      await page.getByText(said).waitFor()
      await expectAccessible(page, link)
    }
    await page.getByRole('button', { name: 'Edit Close start' }).click()
    await expectAccessible(page, 'House rules, edited')
    await rampDemo(page, demo)
    const reading = await demo.pass(100)
    await expect(temperature(page)).toContainText(reading.probe.text)
    await page.keyboard.press('q')
    await page.waitForTimeout(500)
    await expectAccessible(page, 'Watch')
    await page.getByRole('button', { name: 'End and cool' }).click()
    await expectAccessible(page, 'End the run')
  })

  test('on the unknowns, a case from station to station, a plate and the class', async ({ page }) => {
    await place(page, 'Unknowns')
    await page.getByRole('heading', { name: 'Open a case' }).waitFor()
    await expectAccessible(page, 'Unknowns')
    await page.getByRole('link', { name: 'K-9', exact: true }).click()
    for (const name of ['Candidates', 'Mixtures', 'Sign']) {
      await station(page, name)
      await page.waitForTimeout(500)
      await expectAccessible(page, `K-9 ${name}`)
    }
    await station(page, 'Plate')
    await page.getByRole('link', { name: /^In hexane/ }).click()
    await page.getByRole('heading', { name: 'What it says' }).waitFor()
    await expectAccessible(page, 'A plate')
    await page.getByRole('button', { name: 'Measure it again' }).click()
    await expectAccessible(page, 'A plate being measured')
    await place(page, 'Unknowns')
    for (const part of ['Two standards', 'The class']) {
      await page.getByRole('button', { name: part, exact: true }).click()
      await page.waitForTimeout(500)
      await expectAccessible(page, part)
    }
    await page.getByRole('button', { name: 'Cases', exact: true }).click()
    await page.getByRole('link', { name: /^For instructors/ }).click()
    await page.getByRole('heading', { name: 'For instructors' }).waitFor()
    await expectAccessible(page, 'For instructors')
  })
})
