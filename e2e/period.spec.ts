import { readFile } from 'node:fs/promises'
import { type Bench, expect, test, tickNext } from './bench'
import { expectInside, FORMATS, sheetsOf } from './paper'
import { expectAllNumbers, ONE, pdfOf } from './pdf'
import type { Page } from '@playwright/test'

const BENZIL = '0a5a1c7e-0000-4000-8000-000000000171'

const outBy = async (page: Page) => {
  const heading = page.getByRole('heading', { name: /^Finished by \d\d:\d\d$/ })
  await expect(heading).toBeVisible()
  await expect(page.getByRole('region', { name: 'The timetable' })).toHaveAttribute('aria-busy', 'false')
  const [hours = 0, minutes = 0] = (await heading.innerText()).slice(-5).split(':').map(Number)
  return 60 * hours + minutes
}
/** Minutes from one time of day to a later one, over midnight too. */
const between = (from: number, to: number) => (((to - from) % 1440) + 1440) % 1440
const kinds = async (page: Page, { url }: Bench) => {
  const { entries } = (await (
    await page.request.get(`${url.replace('/n/', '/api/notebooks/')}/entries`)
  ).json()) as {
    entries: { entry: { kind: string; body: { task?: string; is?: string } } }[]
  }
  return entries.map(({ entry }) => entry)
}

test('a period is lived through: a slip, a plan made anew, a safe stop, and the score as it was', async ({
  page,
  demo,
}) => {
  await page.clock.install()
  await page.goto(demo.url)
  const planned = await outBy(page)
  await expect(page.getByRole('region', { name: 'Now' }).getByRole('timer')).toBeVisible()
  await expect(page.getByText(/(min|h) spare/)).toBeVisible()

  // The hands are free: the first is begun, where it is done it is ticked, and it stands filled on the score.
  await page.getByRole('button', { name: 'Start the first' }).click()
  await page.waitForURL(/\/(preps|unknowns)\//)
  await expect
    .poll(
      async () =>
        (await kinds(page, demo)).filter(({ kind, body }) => kind === 'task noted' && body.is === 'begun')
          .length,
    )
    .toBeGreaterThan(2)
  await page.goto(`${demo.url}/preps/${BENZIL}/collect`)
  await tickNext(page)
  await page.goto(demo.url)
  await outBy(page)
  await page.getByText('The timetable as a table').click()
  const table = page.getByRole('table', { name: 'Every task of the period, in order' })
  await expect(table.getByRole('row', { name: /Set up suction for the benzil.*as it was/ })).toBeVisible()

  // A slip: nearly half an hour in which nothing was done.
  await page.clock.fastForward('25:00')
  await expect(page.getByText(/You will finish \d+ min later than planned|^.*Changed: /).first()).toBeVisible(
    {
      timeout: 30_000,
    },
  )
  const late = await outBy(page)
  expect(between(planned, late)).toBeGreaterThan(4)

  // The room closes sooner than was said: it is told what to leave, and at which stop.
  await page.getByRole('button', { name: 'Change the period' }).click()
  const form = page.getByRole('form', { name: 'The lab period' })
  const to = await form.getByLabel('to', { exact: true }).inputValue()
  const [hours = 0, minutes = 0] = to.split(':').map(Number)
  const sooner = (60 * hours + minutes - 60 + 1440) % 1440
  await form
    .getByLabel('to', { exact: true })
    .fill(`${String(Math.floor(sooner / 60)).padStart(2, '0')}:${String(sooner % 60).padStart(2, '0')}`)
  await form.getByRole('button', { name: 'Change the period' }).click()
  const tooLate = page.getByRole('region', { name: 'If you run late' })
  await expect(tooLate).toContainText('Not everything is finished by')
  await expect(tooLate).toContainText(/for another day|at its safe place/)

  // The unknown is left: what waits for it goes with it, and the rest is out no later.
  const beforeLeaving = await outBy(page)
  const bar = page.getByRole('button', { name: /^Pack a tube of K-14:/ }).first()
  await bar.focus()
  await page.keyboard.press('Enter')
  await page
    .getByRole('region', { name: 'Pack a tube of K-14' })
    .getByRole('button', { name: 'Another day' })
    .click()
  await expect(page.getByRole('region', { name: 'Not in this period' })).toContainText('Pack a tube of K-14')
  expect(between(await outBy(page), beforeLeaving)).toBeGreaterThanOrEqual(0)

  // What all the rest waits for is left too: then it is over much sooner.
  const beforeDrying = await outBy(page)
  await page
    .getByRole('button', { name: /^Spread, dry and weigh the benzil:/ })
    .first()
    .focus()
  await page.keyboard.press('Enter')
  await page
    .getByRole('region', { name: 'Spread, dry and weigh the benzil' })
    .getByRole('button', { name: 'Another day' })
    .click()
  await expect.poll(async () => between(await outBy(page), beforeDrying)).toBeGreaterThan(5)

  // The plan goes out on one sheet of paper, and the alarms as a calendar.
  for (const format of FORMATS) {
    const sheets = await sheetsOf(await page.pdf({ format }))
    expect(sheets).toHaveLength(1)
    if (sheets[0]) expectInside(sheets[0])
  }
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Alarms as calendar' }).click()
  const file = await readFile(await (await download).path(), 'utf8')
  expect(file).toContain('BEGIN:VCALENDAR')
  expect(file).toContain('SUMMARY:The lab closes')
  expect(file).not.toContain('K-14')

  // Out at the safe stop: what was done and what is left stand beside the plan.
  await page.getByRole('button', { name: 'Close the period' }).click()
  await page.getByRole('button', { name: 'Yes' }).click()
  const before = page.getByRole('region', { name: 'The period before' })
  await expect(before).toContainText(/finished at \d\d:\d\d/)
  await expect(before).toContainText('collect the benzil')
  await before.getByText('As planned, as it was').click()
  await expect(before.getByRole('row', { name: /Dissolve the benzil/ })).toBeVisible()
  await expectAllNumbers(await pdfOf(page, ONE), before.getByRole('table'))
  await expect
    .poll(async () => (await kinds(page, demo)).filter(({ kind }) => kind === 'period closed').length)
    .toBe(2)
})

test('crystals that lay in the ice too long are collected first, and a block that is taken is waited for', async ({
  page,
  demo,
}) => {
  await page.clock.install()
  await page.goto(`${demo.url}/preps/${BENZIL}/crystallize`)
  // A clock put forward while the notebook is still asked for would end the asking.
  await page
    .getByRole('button', { name: /^Tick: / })
    .first()
    .waitFor()
  await page.clock.fastForward('12:00')
  // Out of the cooling, into the ice: each tick is stored before the next.
  const ticked = async () => (await kinds(page, demo)).filter(({ kind }) => kind === 'step ticked').length
  for (let i = 0; i < 2; i++) {
    const before = await ticked()
    await tickNext(page)
    await expect.poll(ticked).toBe(before + 1)
  }
  await page.goto(demo.url)
  await outBy(page)
  // Ten minutes of ice and thirty of waiting are over, and ten more.
  await page.clock.fastForward('55:00')
  const score = page.getByRole('region', { name: 'The timetable' })
  await expect(
    score.getByText(
      /“Collect the benzil” is planned \d+ min too late after “the benzil stands in the cold bath”\. The crystals can stay in the ice/,
    ),
  ).toBeVisible()
  await outBy(page)
  const free = page.getByRole('region', { name: 'Now' })
  // Both flasks have waited too long: what is wet comes before any tube is packed.
  await expect(free.getByRole('heading', { name: 'Begin with' })).toBeVisible()
  await expect(free.getByRole('definition').first()).toHaveText(/^Set up suction|^Collect the/)

  // Somebody has taken the detecting block for two hours: nothing of ours is loaded on it before.
  const lane = page.getByRole('button', { name: /into the detecting block and start it: \d\d:\d\d/ }).first()
  const loadedAt = async () => {
    const [, hours = '0', minutes = '0'] =
      /: (\d\d):(\d\d)/.exec((await lane.getAttribute('aria-label')) ?? '') ?? []
    return 60 * Number(hours) + Number(minutes)
  }
  await expect(lane).toBeVisible()
  const before = await loadedAt()
  await page.getByRole('button', { name: 'Change the period' }).click()
  const form = page.getByRole('form', { name: 'The lab period' })
  await form.getByText('What matters most, my own pace, and what others have').click()
  await form.getByRole('button', { name: 'Somebody else has something' }).click()
  await form.getByLabel('what', { exact: true }).last().selectOption('detecting-block')
  await form.getByLabel('who', { exact: true }).last().fill('bench 5')
  const text = (min: number) =>
    `${String(Math.floor((min / 60) % 24)).padStart(2, '0')}:${String(min % 60).padStart(2, '0')}`
  await form
    .getByLabel('from', { exact: true })
    .last()
    .fill(text(before - 5))
  await form
    .getByLabel('until', { exact: true })
    .last()
    .fill(text(before + 30))
  await form.getByRole('button', { name: 'Change the period' }).click()
  await expect(page.getByRole('region', { name: 'Shared' })).toContainText(/Detecting block: bench 5/)
  await outBy(page)
  const after = await loadedAt()
  // Before it, or once it is given back.
  expect(after < before - 5 || after >= before + 30).toBe(true)
})

test('a bar is dragged later, the rest follows, and what it costs is said', async ({ page, demo }) => {
  await page.goto(demo.url)
  await outBy(page)
  const bar = page.getByRole('button', { name: /^Collect the benzil:/ }).first()
  const box = await bar.boundingBox()
  if (!box) throw new Error('no bar')
  await page.mouse.move(box.x + box.width / 2, box.y + 8)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + 8, { steps: 5 })
  await page.mouse.up()
  await expect(
    page.getByText(/“Collect the benzil” not before \d\d:\d\d: (you finish|it costs)/),
  ).toBeVisible()
  const noted = (await kinds(page, demo)).filter(({ kind }) => kind === 'task set aside')
  await expect.poll(() => noted.length).toBeGreaterThan(0)
})

test('an instructor runs the day of a class, and is told what would help', async ({ page, demo }) => {
  await page.goto(`${demo.url}/for-instructors/class`)
  await page.getByLabel('benches').fill('0')
  await page.getByRole('button', { name: 'Run the day' }).click()
  await expect(page.getByRole('alert')).toHaveText('The benches: a whole number from 1 to 500.')
  await page.getByLabel('benches').fill('16')
  await page.getByRole('button', { name: 'Run the day' }).click()
  await expect(page.getByRole('heading', { name: /^All finished after \d h \d\d$/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /one more melting instrument/ })).toBeVisible()
  await expect(page.getByText(/What helps most|Neither another/)).toBeVisible()
})
