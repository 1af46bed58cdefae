import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { expect, test } from './bench'

/** What a flask and a balance of these seeds hold is told by their answers: a learner of the test has tried them before. */
const FLASK_SEED = 2
const BALANCE_SEED = 5
const line = (page: Page) => page.getByRole('heading', { name: /^(Good|Not yet)$/ })

/** Lets the learner’s time pass by the given step, until something has come. */
async function until(page: Page, stepMs: number, has: () => Promise<boolean>): Promise<void> {
  for (let step = 0; step < 3000; step++) {
    if (await has()) return
    await page.clock.fastForward(stepMs)
  }
  throw new Error('It did not come.')
}

/**
 * Watches every tube by the words a screen reader has, and marks what is seen with the keys of the pad. Time stands
 * still between two looks: how fast this machine is does not make the eye late.
 */
async function watch(page: Page): Promise<void> {
  await page.clock.pauseAt(Number(await page.evaluate('Date.now()')) + 5000)
  await page.getByRole('button', { name: '16 ×' }).click()
  const keys = [
    ['a', 'z'],
    ['s', 'x'],
    ['d', 'c'],
  ] as const
  const marked = new Set<string>()
  const press = async (key: string) => {
    if (marked.has(key)) return
    marked.add(key)
    await page.keyboard.press(key)
  }
  await until(page, 300, async () => {
    if (await line(page).isVisible()) return true
    const seen = await page
      .getByRole('img', { name: /^Simulated tube/ })
      .evaluateAll((all) => all.map((one) => one.getAttribute('aria-label') ?? ''))
    for (const words of seen) {
      const [first, all] = keys[Number(/tube (\d)/.exec(words)?.[1] ?? 2) - 1] ?? keys[1]
      if (/drops|slush|few crystals|clear/.test(words)) await press(first)
      if (/clear liquid/.test(words)) await press(all)
    }
    return false
  })
  await page.clock.resume()
}

test('the first path: five exercises from an empty notebook to the first real prep', async ({
  page,
  own,
}) => {
  await page.clock.install()
  await page.goto(`${own.url}/practice`)
  await expect(page.getByText('No tube has been watched yet.')).toBeVisible()
  for (const [title, slug] of [
    ['See it melt', 'see-it-melt'],
    ['Shrinking is not melting', 'shrinking'],
    ['Two numbers', 'two-numbers'],
    ['Three at once', 'three-at-once'],
    ['It starts early', 'it-starts-early'],
  ] as const) {
    await expect(page.getByRole('region', { name: title })).toContainText('before the first real prep')
    await page.getByRole('link', { name: 'Begin' }).click()
    await page.waitForURL(`**/practice/${slug}`)
    await expect(page.getByRole('group', { name: 'Mark pad' })).toBeVisible()
    await watch(page)
    // Beside the last there are small jobs, which nobody does here.
    await expect(
      page.getByRole('heading', { name: slug === 'it-starts-early' ? 'Not yet' : 'Good' }),
    ).toBeVisible()
    await expect(page.getByRole('row', { name: /first liquid.*right/ }).first()).toBeVisible()
    await page.getByRole('link', { name: 'leave' }).click()
    await page.waitForURL('**/practice')
  }
  await expect(page.getByRole('heading', { name: 'Your eye, over 7 tubes' })).toBeVisible()
  await expect(page.getByText(/^Both ends lie within/)).toBeVisible()
  await expect(page.getByText('The first five are done')).toBeVisible()
  await page.getByRole('link', { name: 'open a prep' }).click()
  await expect(page.getByRole('heading', { name: 'Begin a prep' })).toBeVisible()

  // Nothing of it is anything but practice.
  const kinds = new Set((await own.entries()).map(({ entry }) => entry.kind))
  expect([...kinds]).toEqual(['practice done'])
})

test('a flask by portions and a balance by taring, each good', async ({ page, own }) => {
  await page.clock.install()
  // Portions until nothing but what does not change is left.
  await page.goto(`${own.url}/practice/just-dissolved?seed=${FLASK_SEED}`)
  const flask = page.getByRole('img', { name: /^Simulated flask/ })
  await expect(flask).toBeVisible()
  await page.keyboard.press('3')
  await page.keyboard.press('p')
  await page.keyboard.press('h')
  await expect(page.getByRole('button', { name: /^Take it off the plate/ })).toBeVisible()
  const look = async () =>
    /: (.*?)(, boiling)?$/.exec((await flask.getAttribute('aria-label')) ?? '')?.[1] ?? ''
  let [seen, unchanged] = ['', 0]
  for (let portions = 0; portions < 60 && unchanged < 2 && !seen.includes('clear'); portions++) {
    for (let i = 0; i < 10; i++) await page.clock.runFor(400)
    const now = await look()
    unchanged = now === seen && now.includes('specks') ? unchanged + 1 : 0
    seen = now
    if (unchanged === 2 || seen.includes('clear')) break
    await page.keyboard.press('1')
    await page.keyboard.press('s')
  }
  const isClear = seen.includes('clear')
  await page.getByRole('button', { name: isClear ? 'All is dissolved' : 'The rest is grit' }).click()
  await expect(page.getByRole('heading', { name: 'Good' })).toBeVisible()

  // The balance, by taring.
  await page.goto(`${own.url}/practice/the-balance?seed=${BALANCE_SEED}`)
  const display = page.getByTestId('practice-balance')
  await page.getByRole('button', { name: 'boat 2 empty' }).click()
  for (let i = 0; i < 40; i++) await page.clock.runFor(250)
  await page.keyboard.press('t')
  await page.getByRole('button', { name: 'boat 2 with crystals' }).click()
  for (let i = 0; i < 40; i++) await page.clock.runFor(250)
  await page.keyboard.press('b')
  await page.getByLabel('Crystals, in g').fill((await display.textContent()) ?? '')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByRole('heading', { name: 'Good' })).toBeVisible()
})

test.describe('with the server gone', () => {
  test.use({ apart: true })
  test('an exercise that was opened goes on, another begins, and what came of both is stored when it is back', async ({
    page,
    demo,
  }) => {
    await page.goto(`${demo.url}/practice/what-is-wrong-here?seed=1`)
    await expect(page.getByText('Mark what is wrong')).toBeVisible()
    // Fetched while nothing else happened.
    await page.goto(`${demo.url}/practice/see-it-melt?seed=12`)
    await expect(page.getByTestId('block-temperature')).toHaveText(/\d\d\.\d/)
    await demo.kill()
    await page.keyboard.press('s')
    await page.getByRole('button', { name: 'I have seen enough' }).click()
    await expect(page.getByRole('heading', { name: 'Not yet' })).toBeVisible()
    await page.getByRole('button', { name: 'Again, with another' }).click()
    await expect(page.getByTestId('block-temperature')).toHaveText(/\d\d\.\d/)
    await page.keyboard.press('s')
    await page.getByRole('button', { name: 'I have seen enough' }).click()
    await expect(page.getByRole('heading', { name: 'Not yet' })).toBeVisible()
    const before = 10
    await demo.start()
    await expect
      .poll(async () => (await demo.entries()).filter(({ entry }) => entry.kind === 'practice done').length)
      .toBe(before + 2)
  })
})

test('an instructor’s practical goes out as a file, is done once, and comes back as a sheet of the class', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/practice/for-instructors`)
  await page.getByLabel('impurity').selectOption('benzoin')
  await page.getByLabel('mol %').fill('8')
  await page.getByRole('button', { name: 'Make its code' }).click()
  const code = (await page.getByTestId('made-code').textContent()) ?? ''
  await page.getByLabel('impurity').selectOption('')
  await page.getByRole('button', { name: 'Make its code' }).click()
  await page.getByLabel('title').fill('Week 3')
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save the practical' }).click()
  const practical = await saved
  expect(practical.suggestedFilename()).toBe('week-3.json')

  // The code alone is an exercise.
  await page.goto(`${demo.url}/practice`)
  await page.getByLabel('A code you were given').fill(code.toLowerCase())
  await page.getByRole('button', { name: 'Open it' }).click()
  await expect(page.getByTestId('block-temperature')).toHaveText(/\d\d\.\d/)
  await page.keyboard.press('s')
  await page.getByRole('button', { name: 'I have seen enough' }).click()
  await expect(page.getByText('benzil with 8 mol % of benzoin')).toBeVisible()

  // The practical: one try a tube, no answer before it is handed in.
  await page.goto(`${demo.url}/practice`)
  await page.getByLabel('Practical file').setInputFiles(await practical.path())
  await page.getByRole('link', { name: 'Week 3' }).click()
  await page.getByRole('button', { name: 'Begin its one try' }).first().click()
  await expect(page.getByTestId('block-temperature')).toHaveText(/\d\d\.\d/)
  await page.keyboard.press('s')
  await page.keyboard.press('x')
  await page.getByRole('button', { name: 'I have seen enough' }).click()
  await expect(page.getByText('done, sealed')).toBeVisible()
  await expect(page.getByText(/°C later/)).toHaveCount(0)
  await page.reload()
  await expect(page.getByText('done, sealed')).toBeVisible()
  await page.getByRole('button', { name: 'Hand in anyway' }).click()
  await page.getByRole('button', { name: 'Yes' }).click()
  await page.getByLabel('bench or number').fill('bench 7')
  await page.getByRole('button', { name: 'Make the sheet' }).click()
  const handed = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save the results' }).click()
  const results = await handed

  // Back with the instructor.
  await page.goto(`${demo.url}/practice/for-instructors`)
  await page.getByLabel('Results handed in').setInputFiles([await results.path(), await practical.path()])
  await expect(page.getByRole('heading', { name: 'The class, 1 sheet' })).toBeVisible()
  await expect(page.getByRole('alert')).toContainText('is a practical, not results that were handed in')
  const csv = page.waitForEvent('download')
  await page.getByRole('button', { name: 'The sheet as CSV' }).click()
  const text = await readFile(await (await csv).path(), 'utf8')
  expect(text).toContain('first liquid was (°C)')
  expect(text.trim().split('\r\n')).toHaveLength(3)
  expect(text).toMatch(/Week 3,bench 7,\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d,1,\d+\.\d,\d+\.\d,-\d+\.\d/)
})
