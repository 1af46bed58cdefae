import type { Page } from '@playwright/test'
import { expect, station, temperature, test, type Bench, heatUp, tubesIn } from './bench'

const KEYS = {
  'first liquid': ['a', 's', 'd'],
  'all liquid': ['z', 'x', 'c'],
} as const
/** Enough of a tube is liquid to be seen as a drop. */
const SEEN = 0.22

/** Plans the melt on the page, runs it on the simulated programmable block, and marks every tube by keys. */
async function meltByKeys(
  page: Page,
  bench: Bench,
  { tubes, first, stepS }: { tubes: number; first: number; stepS: number },
): Promise<void> {
  await page.getByRole('button', { name: /^Plan this/ }).click()
  await heatUp(page, bench)
  await tubesIn(page, bench)
  // Nothing is to be seen until the tube that melts first begins to.
  await bench.passUntil({ tube: first, liquid: 0.02 })
  const left: { readonly tube: number; readonly moment: keyof typeof KEYS }[] = Array.from(
    { length: tubes },
    (_, tube) => ({ tube, moment: 'first liquid' }),
  )
  while (left.length > 0) {
    const reading = await bench.pass(stepS)
    for (const one of [...left]) {
      const { look, liquidFraction } = reading.tubes[one.tube] ?? { look: '', liquidFraction: 0 }
      const come = one.moment === 'first liquid' ? liquidFraction >= SEEN : look === 'clear'
      if (!come) continue
      await expect(temperature(page)).toContainText(reading.probe.text)
      await page.keyboard.press(KEYS[one.moment][one.tube] ?? '')
      left.splice(left.indexOf(one), 1)
      if (one.moment === 'first liquid') left.push({ tube: one.tube, moment: 'all liquid' })
    }
    if (reading.phase === 'cooling') throw new Error('It cooled before all was melted.')
  }
  await page.getByRole('button', { name: 'End the run' }).click()
  await expect(page.getByRole('heading', { name: 'The result' })).toBeVisible()
  // A run on an unknown leads back to its case.
  await expect(page.getByRole('link', { name: /^Back to unknown K-/ })).toBeVisible()
}

async function openCase(page: Page, bench: Bench, code: string): Promise<void> {
  await page.goto(`${bench.url}/unknowns`)
  await page.getByRole('link', { name: code, exact: true }).click()
  await expect(page.getByRole('heading', { name: `Unknown ${code}` })).toBeVisible()
}

async function scoutAndMelt(page: Page, bench: Bench, code: string): Promise<void> {
  await openCase(page, bench, code)
  await station(page, 'Melt')
  await page.getByRole('button', { name: 'Scouting run: pack a tube' }).click()
  await meltByKeys(page, bench, { tubes: 1, first: 0, stepS: 2 })
  await openCase(page, bench, code)
  await station(page, 'Melt')
  await expect(page.getByText(/It melts near/)).toBeVisible()
  await page.getByRole('button', { name: 'Careful run: pack tube' }).click()
  await meltByKeys(page, bench, { tubes: 1, first: 0, stepS: 5 })
  await openCase(page, bench, code)
}
const chance = (page: Page, name: string) => page.getByTestId(`chance of ${name}`)

test('K-14 is solved: scouting run, careful run, candidates, mixtures, signed verdict, opened answer', async ({
  page,
  demo,
}) => {
  await scoutAndMelt(page, demo, 'K-14')
  await station(page, 'Candidates')
  await expect(chance(page, 'methyl 4-nitrobenzoate')).toHaveAttribute('aria-label', /\d %$/)
  await expect(chance(page, 'Not on the list')).toBeVisible()

  // Mixtures in the order proposed, until one comes out unchanged.
  for (let asked = 1; ; asked++) {
    await station(page, 'Mixtures')
    const proposed = page.getByRole('form', { name: 'Mixed melt' })
    await expect(proposed).toBeVisible()
    await proposed.getByRole('button', { name: 'Pack 3 tubes and plan the run' }).click()
    await meltByKeys(page, demo, { tubes: 3, first: 2, stepS: 10 })
    await openCase(page, demo, 'K-14')
    await station(page, 'Mixtures')
    if (await page.getByText('The same compound.').isVisible()) break
    await expect(page.getByText(/A different compound|Repeat it/).first()).toBeVisible()
    expect(asked).toBeLessThan(3)
  }
  await expect(page.getByTestId('mixed with methyl 4-nitrobenzoate')).toHaveText('The same compound.')

  await station(page, 'Sign')
  // Nothing is chosen beforehand, however sure the ranking is.
  await expect(page.getByRole('radio', { checked: true })).toHaveCount(0)
  await page.getByLabel(/^Methyl 4-nitrobenzoate/).check()
  await page.getByRole('button', { name: 'Sign this verdict' }).click()
  await expect(page.getByTestId('verdict')).toHaveText('Methyl 4-nitrobenzoate')
  await page.getByRole('button', { name: 'Open the sealed answer' }).click()
  await expect(page.getByTestId('answer')).toHaveText('Methyl 4-nitrobenzoate.')
  await expect(page.getByText('Your verdict agrees.')).toBeVisible()
  await expect(page.getByText(/its hash matches the record/)).toBeVisible()

  const signed = (await demo.entries()).filter(({ entry }) => entry.kind === 'unknown signed').at(-1)
  expect((signed?.entry.body['restsOn'] as string[]).length).toBeGreaterThan(5)
})

test('an unknown whose compound is not listed ends in “not on the list”', async ({ page, demo }) => {
  await page.goto(`${demo.url}/unknowns`)
  await page.getByLabel('code on the vial').fill('K-21')
  await page.getByLabel('what it looks like').fill('Yellow needles.')
  await page.getByRole('button', { name: 'Open this case' }).click()
  await expect(page.getByRole('heading', { name: 'Unknown K-21' })).toBeVisible()
  await station(page, 'Candidates')
  for (const name of ['1-naphthol', 'triphenylmethane']) {
    await page.getByRole('combobox', { name: 'add a candidate' }).fill(name)
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByText(name, { exact: true })).toBeVisible()
  }
  await page.getByRole('combobox', { name: 'add a candidate' }).fill('1-naphthol')
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByRole('alert')).toHaveText('1-naphthol is already on the list.')
  await page.getByRole('button', { name: 'Seal an answer (whoever hands it out)' }).click()
  await page.getByLabel('what it is').fill('benzil')
  await page.getByRole('button', { name: 'Seal it' }).click()
  await expect(page.getByText(/An answer is sealed on the server/)).toBeVisible()

  await scoutAndMelt(page, demo, 'K-21')
  // Both mixtures share a run, beside the unknown alone: lower, both of them, as a compound nobody listed would make them.
  await station(page, 'Mixtures')
  for (const name of ['1-naphthol', 'triphenylmethane']) {
    const box = page.getByLabel(new RegExp(`^with ${name}`))
    if (!(await box.isChecked())) await box.check()
  }
  await page.getByLabel(/^authentic sample beside it/).uncheck()
  await page.getByRole('button', { name: 'Pack 3 tubes and plan the run' }).click()
  await meltByKeys(page, demo, { tubes: 3, first: 2, stepS: 10 })
  await openCase(page, demo, 'K-21')
  await station(page, 'Mixtures')
  await expect(page.getByText('A different compound.')).toHaveCount(2)
  await station(page, 'Candidates')
  await expect(chance(page, 'Not on the list')).toHaveAttribute('aria-label', /(over 99|[5-9]\d) %$/)
  await station(page, 'Sign')
  await page.getByLabel(/^Not on the list/).check()
  await page.getByRole('button', { name: 'Sign this verdict' }).click()
  await expect(page.getByTestId('verdict')).toHaveText('Not on the list')
  await page.getByRole('button', { name: 'Open the sealed answer' }).click()
  await expect(page.getByTestId('answer')).toHaveText('Benzil.')
  await expect(page.getByText('Your verdict agrees.')).toBeVisible()
})
