import { expect, station, temperature, test, cell, tickNext, tubesIn } from './bench'
import { expectInk, expectInside, expectWhole, FORMATS, sheetsOf } from './paper'

const EMPTY = '31.2216'
const LOADED = '33.6916'
const CRUDE_G = 2.47
test('a first prep, with every false step a first-timer makes, comes to a page that is right', async ({
  page,
  own,
}) => {
  // An empty notebook invites.
  await page.goto(own.url)
  await page.getByRole('link', { name: 'Begin a prep' }).click()
  await page.getByLabel('compound to purify').fill('adipic acid')
  await page.getByLabel('title, if you like').fill('Adipic acid, crude')
  await page.getByLabel('bench code on every entry').fill('bench 4')
  await page.getByRole('button', { name: 'Begin this prep' }).click()

  // The crude by difference, on a vessel that gets a name.
  const crude = page.getByRole('form', { name: 'Weigh the crude' })
  await crude.getByLabel('by difference').check()
  await crude.getByLabel('balance reads to, g').selectOption('0.0001')
  await crude.getByLabel('vessel, if it has a name').fill('Watch glass 2')
  await crude.getByLabel('empty vessel, g').fill(EMPTY)
  await crude.getByLabel('loaded vessel, g').fill(LOADED)
  await crude.getByRole('button', { name: 'Record 2.4700 g' }).click()

  // A plan without an impurity’s name.
  await page.getByLabel('adipic acid in it, %').fill('92')
  await page.getByLabel('solvent', { exact: true }).selectOption('water')
  await page.getByRole('button', { name: 'Use this plan' }).click()
  await page.getByRole('link', { name: 'Go on to dissolve' }).click()
  await tickNext(page)
  await tickNext(page)
  // The first portion has its field, later ones grow to what is left.
  // What wets the crude is logged and ticked by one press.
  await page.getByRole('button', { name: /^Added [\d.]+ mL$/ }).click()
  const dissolve = page.getByRole('form', { name: 'Log solvent to dissolve' })
  // While the solid still dissolves there is no rest to add.
  await expect(page.getByRole('form', { name: 'Log solvent to dilute' })).toBeHidden()
  for (let i = 0; i < 5; i++) await dissolve.getByRole('button', { name: '+ 0.2 mL' }).click()
  await tickNext(page)
  await page.getByRole('button', { name: /^add the rest: / }).click()
  await expect(page.getByText(/^3\.7 mL hot, of 3\.7 planned/)).toBeVisible()
  // The rest is in: its step is done with it.
  await expect(page.getByRole('button', { name: /^add the rest: / })).toBeHidden()
  await page.getByRole('link', { name: 'Go on to crystallize' }).click()
  await expect(page).toHaveURL(/crystallize$/)
  // The clock of a wait begins with it. One that is ticked and not waited for is remarked on, and nothing more.
  for (let i = 0; i < 2; i++) await tickNext(page)
  await expect(page.getByText(/^Ticked 1[45]:\d\d before its 15 min were up\.$/)).toBeVisible()
  // A running clock is seen from every place, and in the title.
  await page.getByRole('button', { name: /^Start \d+ min/ }).click()
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Shelf' }).click()
  await expect(page.getByRole('region', { name: 'Running clocks' })).toContainText(/\d:\d\d/)
  await expect(page).toHaveTitle(/^\d+:\d\d · /)
  await page.goBack()
  for (;;) {
    const open = page.getByRole('button', { name: /^Tick: / })
    const onward = page.getByRole('link', { name: /^Go on to (collect|weigh)/ })
    await expect(open.or(onward).first()).toBeVisible()
    if ((await open.count()) > 0) await open.first().click()
    else if ((await onward.textContent())?.includes('weigh')) break
    else await onward.click()
  }
  await page.getByRole('link', { name: 'Go on to weigh' }).click()
  const weigh = page.getByRole('form', { name: 'Weigh the product' })
  await weigh.getByLabel('by difference').check()
  await weigh.getByLabel('vessel, if it has a name').fill('Watch glass 2')
  await expect(weigh.getByLabel('empty vessel, g')).toHaveValue(EMPTY)
  await weigh.getByLabel('loaded vessel, g').fill('331.1216')
  await weigh.getByRole('button', { name: 'Record 299.9000 g' }).click()
  await expect(weigh.getByText(/from 2\.4.* of crude\. Is there a digit too many/)).toBeVisible()
  await weigh.getByLabel('loaded vessel, g').fill('33.1216')
  await weigh.getByRole('button', { name: 'Record 1.9000 g' }).click()
  await expect(page.getByText('1.9000 g 33.1216 loaded − 31.2216 empty')).toBeVisible()
  // Read again: it was 33.2116. What was written stays, struck.
  await page.getByRole('button', { name: 'correct this reading' }).first().click()
  await weigh.getByLabel('loaded vessel, g').fill('33.2116')
  await weigh.getByRole('button', { name: 'Record 1.9900 g' }).click()
  await expect(page.getByText('1.9900 g 33.2116 loaded − 31.2216 empty')).toBeVisible()

  // Account: what is predicted comes to what went in, and nothing asks for what has been weighed.
  await page.getByRole('link', { name: 'Where is the rest?' }).click()
  await expect(page.getByText('the mass balance stays open')).toBeVisible()
  const predicted = await page.locator('[data-predicted]').allTextContents()
  expect(predicted.reduce((sum, text) => sum + Number(text), 0)).toBeCloseTo(CRUDE_G - 0.025, 3)
  await page.getByRole('button', { name: 'Weigh the residue' }).click()
  const residue = page.getByRole('form', { name: 'Weigh the residue' })
  await residue.getByLabel('tared').check()
  await residue.getByLabel('net mass of the residue, g').fill('0.3912')
  await residue.getByRole('button', { name: 'Record 0.3912 g' }).click()
  await expect(page.getByText(/Evaporate and weigh it/)).toBeHidden()

  // Melt: what else is in the crude has no name, so it is watched from far below.
  await station(page, 'Melt')
  await expect(page.getByText(/An impure sample may show liquid from 1[23]\d\.\d °C/)).toBeVisible()
  await page.getByLabel('sample in slot 3').selectOption('')
  // Another school for this melt alone.
  await page.getByRole('button', { name: 'Plan this melt' }).click()
  await page.getByRole('button', { name: 'Start the simulated programmable block' }).click()
  // Until the run has begun there is nothing to pass time on.
  await expect
    .poll(() =>
      own.pass(1).then(
        ({ phase }) => phase,
        () => 'not begun',
      ),
    )
    .toBe('preheating')
  await expect(page.getByText('No tube is in yet.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Tubes are in' })).toBeHidden()
  await own.passUntil({ phase: 'holding' })
  await tubesIn(page, own)
  // Nothing can be hurried past: hurry is not offered where something could be seen.
  await expect(page.getByRole('group', { name: /^simulated time runs/ })).toBeHidden()
  const press = async (key: string, seen: Parameters<typeof own.passUntil>[0]) => {
    const reading = await own.passUntil(seen)
    await expect(temperature(page)).toContainText(reading.probe.text)
    await page.keyboard.press(key)
    return reading.probe.text
  }
  await press('a', { tube: 0, liquid: 0.2 })
  // A key pressed for the wrong tube: its own cell strikes it.
  await page.keyboard.press('s')
  await page.getByRole('button', { name: /^Strike out first liquid of tube 2/ }).click()
  await expect(page.getByRole('button', { name: /^Strike out first liquid of tube 2/ })).toBeHidden()
  await press('z', { tube: 0, look: 'clear' })
  const onset = await press('s', { tube: 1, liquid: 0.2 })
  await press('x', { tube: 1, look: 'clear' })
  await expect(cell(page, 'first liquid', 2)).toContainText(onset)
  await page.getByRole('button', { name: 'End the run' }).click()
  await page.getByRole('link', { name: 'Go on to judge' }).click()
  await page.getByLabel('signed by (bench code)').fill('bench 4')
  await page.getByRole('button', { name: 'Sign this verdict' }).click()
  await expect(page.getByRole('link', { name: 'Go on to the page' })).toBeVisible()

  // A line under the verdict is struck: it says so at the top, and taken back it stands again.
  await station(page, 'Melt')
  await page.getByRole('link', { name: /^programmable block, today \d/ }).click()
  await page.getByRole('button', { name: /^Strike out all liquid of tube 2/ }).click()
  await page.getByRole('link', { name: 'Back to Adipic acid, crude' }).click()
  await station(page, 'Judge')
  await expect(page.getByRole('alert').first()).toContainText('is out of date')
  await page.getByRole('button', { name: 'take it back' }).click()
  await expect(page.getByText(/is out of date/)).toBeHidden()

  // The page: one account of the same numbers, struck lines shown, whole on both sheets.
  await station(page, 'Page')
  await expect(page.getByTestId('crude-mass')).toHaveText('2.4700 g')
  await expect(page.getByTestId('product-mass')).toHaveText('1.9900 g')
  const percent = (100 * 1.99) / (CRUDE_G - 0.025)
  await expect(page.getByTestId('recovery')).toHaveText(`${percent.toFixed(1)} ± 0.2 %`)
  await expect(page.getByText(/weighed 33\.1216 g loaded.*struck .*: corrected/)).toBeVisible()
  const ladder = page.getByRole('img', { name: /^Crude: / })
  await expectInk(page, ladder)
  for (const format of FORMATS) {
    const sheets = await sheetsOf(await page.pdf({ format }))
    await expectWhole(
      sheets.find(({ texts }) => texts.some(({ text }) => text.startsWith('literature 151'))),
      ladder,
    )
    for (const sheet of sheets) expectInside(sheet)
  }
  expect(await page.getByRole('main').innerText()).not.toMatch(/\de[+-]\d|NaN|undefined|Infinity/)
})
