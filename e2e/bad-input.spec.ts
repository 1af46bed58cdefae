import { expect, station, test } from './bench'

test('a prep of something the shelf does not know is answered, and nothing typed is lost', async ({
  page,
  own,
}) => {
  await page.goto(own.url)
  await page.getByRole('link', { name: 'Begin a prep' }).click()
  await page.getByRole('button', { name: 'Begin this prep' }).click()
  await expect(page.getByRole('alert')).toHaveText('What is to be purified?')
  await page.getByLabel('what is to be purified').fill('benzyl')
  await page.getByLabel('title, if you like').fill('my title')
  await page.getByRole('button', { name: 'Begin this prep' }).click()
  await expect(page.getByRole('alert')).toContainText('“benzyl” is not on the shelf')
  await expect(page.getByLabel('title, if you like')).toHaveValue('my title')
  await page.getByLabel('what is to be purified').fill('dibenzoyl')
  await expect(page.getByText('C14H10O2, melts 94.0 to 96.0 °C')).toBeVisible()
  await page.getByRole('button', { name: 'Begin this prep' }).click()
  await expect(page.getByRole('heading', { name: 'my title' })).toBeVisible()
})

test('weighings that cannot be are answered at their field', async ({ page, demo }) => {
  await page.goto(demo.url)
  await page.getByRole('link', { name: 'Adipic acid, small batch' }).click()
  await station(page, 'Weigh')
  const form = page.getByRole('form', { name: 'Weigh the product' })
  const net = form.getByLabel('net mass of the product, g')
  const record = () => form.getByRole('button', { name: /^Record/ }).click()
  for (const [typed, sentence] of [
    ['', 'is still empty'],
    ['0,512', 'Write the decimal with a point'],
    ['half a gram', 'is not a plain number'],
    ['-0.2', 'A mass below zero means the tare was off'],
    ['0.51234', 'has 5 decimals, but this balance reads to 0.001 g'],
    ['0', 'That comes to nothing at all'],
  ] as const) {
    await net.fill(typed)
    await record()
    await expect(form.getByRole('alert')).toContainText(sentence)
    await expect(net).toHaveValue(typed)
  }
  await net.fill('0.700')
  await form.getByRole('button', { name: 'Record 0.700 g' }).click()
  await expect(page.getByRole('alert')).toContainText(
    '330.2 % is more than went in. Dry it, look it over and weigh again.Likely, in this order:Damp crystals',
  )
  await page.getByRole('button', { name: 'Weigh the product again' }).click()
  await net.fill('0.061')
  await form.getByRole('button', { name: 'Record 0.061 g' }).click()
  await expect(page.getByRole('alert')).toContainText(
    'is under half of the 89 % planned. Do not throw the liquor away',
  )
})

test('a plan, a portion and a tube that cannot be say why', async ({ page, demo }) => {
  await page.goto(demo.url)
  await page.getByRole('link', { name: 'Benzil, from benzoin' }).click()
  await station(page, 'Plan')
  await page.getByRole('button', { name: 'Change the plan' }).click()
  await page.getByLabel('volume to use, mL').fill('2')
  await expect(page.getByRole('alert')).toContainText('2 mL is below the least hot volume of 3.5 mL')
  await page.getByLabel('volume to use, mL').fill('')
  await page.getByLabel('impurity, if known').fill('something')
  await expect(page.getByText('not on the shelf; leave it empty')).toBeVisible()
  await page.getByLabel('cold, °C').fill('99')
  await expect(page.getByText('99 °C cold is not below 78 °C hot').first()).toBeVisible()
  await page.getByRole('button', { name: 'Keep the old one' }).click()
  await expect(page.getByRole('heading', { name: 'Dissolve near 3.5, then 11.0 mL' })).toBeVisible()

  await station(page, 'Dissolve')
  await page.getByRole('button', { name: 'strike', exact: true }).nth(2).click()
  await page.getByLabel('other volume, mL').fill('0')
  await page.getByRole('button', { name: 'Add 0 mL' }).click()
  await expect(page.getByRole('alert')).toContainText('A portion is more than nothing')
  await page.getByLabel('other volume, mL').fill('20')
  await page.getByRole('button', { name: 'Add 20 mL' }).click()
  await expect(page.getByText('Past the plan by 20.0 mL')).toBeVisible()
  await page.getByRole('button', { name: 'strike the last 20 mL' }).click()
  await expect(page.getByText('11.0 mL hot, of 11.0 planned')).toBeVisible()

  await station(page, 'Melt')
  await page.getByLabel('fill height in slot 1, mm').fill('200')
  await expect(page.getByRole('alert')).toContainText('A fill height of 200 mm in slot 1 cannot be')
  await page.getByLabel('sample in slot 1').selectOption('empty')
  await page.getByLabel('sample in slot 2').selectOption('empty')
  await expect(page.getByRole('alert')).toContainText('Put a sample into at least one slot')
  await expect(page.getByRole('button', { name: 'Plan this melt' })).toBeDisabled()
})

test('a melt whose tube has one mark only is named, and not judged', async ({ page, demo }) => {
  await page.goto(demo.url)
  await page.getByRole('link', { name: 'Benzil, from benzoin' }).click()
  await station(page, 'Melt')
  await page.getByLabel('sample in slot 1').selectOption('empty')
  await page.getByRole('button', { name: 'Plan this melt' }).click()
  await page.getByRole('button', { name: 'Start the simulated programmable block' }).click()
  await page.getByRole('button', { name: /^Preheat to 79.0/ }).click()
  await expect(page.getByRole('button', { name: /^Preheat to/ })).toBeHidden()
  await demo.passUntil({ phase: 'holding' })
  await page.getByRole('button', { name: 'Tubes are in' }).click()
  await page.keyboard.press('s')
  await page.getByRole('button', { name: 'End and cool' }).click()
  await expect(page.getByText('Tube 2, Benzil: onset only')).toBeVisible()
  await expect(page.getByRole('button', { name: 'End it with these reasons' })).toBeDisabled()
  await page.getByLabel('why tube 2 has no range').selectOption('the clear point was missed')
  await page.getByRole('button', { name: 'End it with these reasons' }).click()
  await expect(page.getByText('No range: the clear point was missed.')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Melt again' })).toBeVisible()
  await expect(page.getByText(/Let it cool for about|It is at 7\d\.\d °C now/).first()).toBeVisible()
})
