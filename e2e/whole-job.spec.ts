import { cell, expect, station, temperature, test, tickNext, heatUp, tubesIn } from './bench'
import { expectInk, expectWhole, FORMATS, sheetsOf } from './paper'

/** What this test types, and what it works out from it by itself. */
const CRUDE = '2.415'
const EMPTY = '28.1034'
const LOADED = '29.9481'
const RESIDUE = '0.4021'
const ASSAY = 88
const PRODUCT = [
  ['20', '1.9'],
  ['50', '8.7'],
  ['78', '46'],
] as const
const IMPURITY = [
  ['20', '3.2'],
  ['78', '15'],
] as const

/** Solubility on the line of ln S against 1/T through two points. */
function onTheLine(points: readonly (readonly [string, string])[], atC: number): number {
  const [[t1, s1], [t2, s2]] = points as [[string, string], [string, string]]
  const x = (c: number) => 1 / (c + 273.15)
  const slope = (Math.log(Number(s2)) - Math.log(Number(s1))) / (x(Number(t2)) - x(Number(t1)))
  return Math.exp(Math.log(Number(s1)) + slope * (x(atC) - x(Number(t1))))
}

test('one crude solid, from first weighing to printed page', async ({ page, own }) => {
  await page.goto(own.url)
  await expect(page.getByRole('heading', { name: 'Nothing begun yet' })).toBeVisible()
  await page.getByRole('link', { name: 'Begin a prep' }).click()
  await page.getByLabel('compound to purify').fill('benzil')
  await page.getByLabel('title, if you like').fill('Benzil, second batch')
  await page.getByLabel('bench code on every entry').fill('bench 7')
  await page.getByRole('button', { name: 'Begin this prep' }).click()

  // Plan: the crude is weighed first, its mass typed once.
  await page.getByLabel('net mass of the crude, g').fill(CRUDE)
  await page.getByRole('button', { name: `Record ${CRUDE} g` }).click()
  await page.getByLabel('benzil in it, %').fill(String(ASSAY))
  await page.getByLabel('impurity, if known').fill('benzoin')
  await page.getByLabel('solvent', { exact: true }).selectOption('ethanol-95')
  await page.getByRole('button', { name: 'Solubility', exact: true }).click()
  for (const [legend, points] of [
    ['benzil in ethanol 95%', PRODUCT],
    ['benzoin in ethanol 95%', IMPURITY],
  ] as const) {
    const field = page.getByRole('group', { name: legend })
    for (const [i, [c, s]] of points.entries()) {
      await field.getByRole('button', { name: 'Add a point' }).click()
      await field.getByLabel(`${legend}, point ${i + 1}: temperature, °C`).fill(c)
      await field.getByLabel(`${legend}, point ${i + 1}: g per 100 mL`).fill(s)
    }
  }
  // 25 mg are put aside for range, plate and seed: the amounts and the recovery go without them.
  await expect(page.getByLabel('kept back, mg')).toHaveValue('25')
  const crudeG = Number(CRUDE) - 0.025
  const leastML = (100 * crudeG * (ASSAY / 100)) / 46
  const staysML = (100 * crudeG * (1 - ASSAY / 100)) / onTheLine(IMPURITY, 2)
  const useML = Math.ceil(1.02 * staysML * 2) / 2
  const liquorG = (onTheLine(PRODUCT.slice(0, 2), 2) * useML) / 100
  // The rinse: 1 mL for a gram of crystals.
  const rinseML = Math.floor(10 * (crudeG * (ASSAY / 100) - liquorG)) / 10
  const planned = page.getByRole('heading', {
    name: `Dissolve near ${leastML.toFixed(1)}, then ${useML.toFixed(1)} mL`,
  })
  await expect(planned).toBeVisible()
  await expect(page.getByText(`${(crudeG * 0.88 - liquorG).toFixed(2)} g`, { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'How much', exact: true }).click()
  await expect(page.getByText('Ethanol 95% is flammable')).toBeVisible()
  // The mark is dragged and everything follows; the field takes the proposed volume back.
  const mark = page.getByRole('slider', { name: 'volume to use' })
  await mark.focus()
  await page.keyboard.press('ArrowRight')
  await expect(
    page.getByRole('heading', { name: new RegExp(`then ${(useML + 0.5).toFixed(1)} mL`) }),
  ).toBeVisible()
  await page.getByLabel('volume to use, mL').fill('')
  await expect(planned).toBeVisible()
  await page.getByRole('button', { name: 'Use this plan' }).click()
  await page.getByRole('link', { name: 'Go on to dissolve' }).click()

  // Dissolve, Crystallize, Collect: steps stamped, portions with one press, a timer that survives a reload.
  await tickNext(page)
  await tickNext(page)
  await tickNext(page)
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: '+ 1.0 mL' }).first().click()
  await page.getByRole('button', { name: '+ 0.5 mL' }).first().click()
  await expect(page.getByText(`4.5 mL hot, of ${useML.toFixed(1)} planned`)).toBeVisible()
  await tickNext(page)
  const rest = (useML - 4.5).toFixed(1)
  await page.getByLabel('other volume, mL').fill(rest)
  // All that was left: its step is done with it.
  await page.getByRole('button', { name: `Add ${rest} mL` }).click()
  await page.getByRole('link', { name: 'Go on to crystallize' }).click()
  await tickNext(page)
  await expect(page.getByRole('timer')).toContainText('14:')
  await page.reload()
  await expect(page.getByRole('timer')).toContainText(/1[45]:\d\d/)
  await expect(page).toHaveURL(/crystallize$/)
  await page.getByLabel('What do you see?').fill('Needles from about 50 °C')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await tickNext(page)
  await tickNext(page)
  await page.getByRole('link', { name: 'Go on to collect' }).click()
  await tickNext(page)
  await tickNext(page)
  await page.getByRole('button', { name: `add the rest: ${rinseML.toFixed(1)} mL` }).click()
  await expect(page.getByRole('timer')).toContainText(/(9:5|10:0)\d/)
  await tickNext(page)
  await tickNext(page)
  await page.getByRole('link', { name: 'Go on to weigh' }).click()

  // Weigh by difference; the swapped vessels are answered first.
  const weigh = page.getByRole('form', { name: 'Weigh the product' })
  await weigh.getByLabel('by difference').check()
  await weigh.getByLabel('balance reads to, g').selectOption('0.0001')
  await weigh.getByLabel('empty vessel, g').fill(LOADED)
  await weigh.getByLabel('loaded vessel, g').fill(EMPTY)
  await weigh.getByRole('button', { name: 'Record the mass' }).click()
  await expect(
    weigh.getByText(`${EMPTY} g loaded is less than ${LOADED} g empty. Were the two swapped?`),
  ).toBeVisible()
  await weigh.getByLabel('empty vessel, g').fill(EMPTY)
  await weigh.getByLabel('loaded vessel, g').fill(LOADED)
  await weigh.getByRole('button', { name: 'Record 1.8447 g' }).click()

  // Account: the liquor is evaporated in a weighed beaker, and the balance of masses closes.
  await page.getByRole('link', { name: 'Where is the rest?' }).click()
  await expect(page.getByText('the mass balance stays open')).toBeVisible()
  await page.getByRole('button', { name: 'Weigh the residue' }).click()
  const residue = page.getByRole('form', { name: 'Weigh the residue' })
  // It is asked for by difference, as the product was weighed.
  await residue.getByLabel('tared').check()
  await residue.getByLabel('net mass of the residue, g').fill(RESIDUE)
  await residue.getByRole('button', { name: `Record ${RESIDUE} g` }).click()
  const closure = (100 * (Number(LOADED) - Number(EMPTY) + Number(RESIDUE))) / crudeG
  await expect(page.getByText(`${closure.toFixed(1)} %`, { exact: true })).toBeVisible()
  await expect(page.getByText('it is never only impurity')).toBeVisible()
  await page.getByLabel('in your own words, for the page').fill('A rim stayed on the paper.')
  await page.getByRole('form', { name: 'In your own words' }).getByRole('button').click()
  await page.getByRole('button', { name: 'Dry and weigh', exact: true }).click()
  await page.getByRole('link', { name: 'Go on to melt' }).click()

  // Melt: both samples, watched by reading, marking, and letting time pass.
  await page.getByRole('button', { name: 'Plan this melt' }).click()
  await heatUp(page, own)
  await tubesIn(page, own)
  const marked: Record<string, string> = {}
  const press = async (key: string, name: string, seen: Parameters<typeof own.passUntil>[0]) => {
    const reading = await own.passUntil(seen)
    await expect(temperature(page)).toContainText(reading.probe.text)
    await page.keyboard.press(key)
    marked[name] = reading.probe.text
  }
  await press('a', 'crude onset', { tube: 0, liquid: 0.2 })
  await press('z', 'crude clear', { tube: 0, look: 'clear' })
  await expect(page.getByText('In the watch band. Keep your eye on all tubes')).toBeVisible()
  await press('s', 'product onset', { tube: 1, liquid: 0.2 })
  await press('x', 'product clear', { tube: 1, look: 'clear' })
  await expect(cell(page, 'all liquid', 2)).toContainText(marked['product clear'] ?? '-')
  await page.getByRole('button', { name: 'End the run' }).click()
  await page.getByRole('link', { name: 'Go on to judge' }).click()

  // Judge: the verdict is signed.
  await expect(page.getByRole('heading', { name: 'Consistent with pure benzil' })).toBeVisible()
  const width = Number(marked['product clear']) - Number(marked['product onset'])
  await expect(page.getByText(`${width.toFixed(1)} °C wide`, { exact: true })).toBeVisible()
  await page.getByLabel('signed by (bench code)').fill('bench 7')
  await page.getByRole('button', { name: 'Sign this verdict' }).click()
  await page.getByRole('link', { name: 'Go on to the page' }).click()

  // Page: read off, and compared with what the readings come to.
  const netG = Number(LOADED) - Number(EMPTY)
  const percent = (100 * netG) / crudeG
  // Both balances, and a fifth of the 25 mg that were put aside and not weighed.
  const relative = Math.hypot(
    0.0001 / Math.sqrt(6) / netG,
    Math.hypot(0.001 / Math.sqrt(6), (0.2 * 0.025) / Math.sqrt(3)) / crudeG,
  )
  const expanded = 2 * percent * relative
  await expect(page.getByTestId('crude-mass')).toHaveText(`${CRUDE} g`)
  await expect(page.getByTestId('product-mass')).toHaveText('1.8447 g')
  await expect(page.getByText('“A rim stayed on the paper.”')).toBeVisible()
  await expect(page.getByTestId('recovery')).toHaveText(`${percent.toFixed(1)} ± ${expanded.toFixed(1)} %`)
  const ladder = page.getByRole('img', { name: /^Crude: / })
  await expect(ladder).toHaveAccessibleName(
    `Crude: ${marked['crude onset']} to ${marked['crude clear']} °C. Product: ${marked['product onset']} to ${marked['product clear']} °C. Literature 94 to 96 °C.`,
  )
  await expect(page.getByTestId('verdict')).toHaveText('Consistent with pure benzil')
  await expect(page.getByText('halogen-free organic waste, never the sink')).toBeVisible()
  await expect(page.getByText('all saved')).toBeVisible()
  const pdf = await page.pdf({ preferCSSPageSize: true })
  const sheets = await sheetsOf(pdf)
  expect(sheets).toHaveLength(1)
  await expectWhole(sheets[0], ladder)
  await expectInk(page, ladder)
  for (const format of FORMATS) {
    const [first] = await sheetsOf(await page.pdf({ format }))
    await expectWhole(first, ladder)
  }
  await station(page, 'Plan')
  await page.reload()
  await expect(page.getByRole('heading', { name: /^Dissolve near/ })).toBeVisible()
})
