import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import type { PlanFixed } from '@ivory-crystal/core/notebook'
import { openDemo, prepNamed, PROCEDURES, SHELF, show, written } from '../../../testing/opened'

const { Plan } = await import('./Plan')
const { Weigh } = await import('../weigh/Weigh')

beforeEach(() => openDemo())
afterEach(cleanup)

async function changing(search = '') {
  const user = show(Plan, prepNamed('Benzil'), 'plan', search)
  await user.click(screen.getByRole('button', { name: 'Change the plan' }))
  return user
}
const part = (name: string) => screen.getByRole('button', { name })
const heading = () => screen.getByRole('heading', { name: /^Dissolve/ }).textContent
const field = (name: string) => screen.getByRole<HTMLInputElement>('textbox', { name })

describe('a fixed plan', () => {
  test('stands with its numbers, its drawing and a sheet for the bench', () => {
    show(Plan, prepNamed('Benzil'))
    expect(heading()).toBe('Dissolve near 3.5, then 11.0 mL')
    screen.getByText('1.55 g')
    screen.getByText('86 %')
    screen.getByText('over 99 %')
    expect(screen.queryByRole('slider')).toBeNull()
    const sheet = document.querySelector('.planSheet')
    expect(sheet?.textContent).toContain('1.804 g, about 90 % benzil')
    expect(sheet?.querySelectorAll('.step-list li')).toHaveLength(13)
    expect(sheet?.textContent).toContain('halogen-free organic waste, never the sink')
  })
  test('of a small batch is told in hundredths, its purity as not known', () => {
    show(Plan, prepNamed('Adipic'))
    expect(heading()).toBe('Dissolve near 0.20, then 0.90 mL')
    screen.getByText('0.187 g')
    screen.getByText('not known')
    screen.getByText(/purity not known: no solubility of the impurity/)
  })
})

describe('how much', () => {
  test('follows the mark, by keys as by hand', async () => {
    await changing()
    const mark = screen.getByRole('slider', { name: 'volume to use' })
    fireEvent.keyDown(mark, { key: 'ArrowLeft' })
    expect(heading()).toBe('Dissolve near 3.5, then 10.5 mL')
    fireEvent.keyDown(mark, { key: 'PageDown' })
    expect(heading()).toBe('Dissolve near 3.5, then 8.0 mL')
    expect(field('volume to use, mL').value).toBe('8.0')
    screen.getByText(/of benzoin crystallizes too; it needs 10\.4 mL to stay dissolved/)
    for (let i = 0; i < 4; i++) fireEvent.keyDown(mark, { key: 'PageDown' })
    expect(heading()).toBe('Dissolve near 3.5, then 4.0 mL')
  })
  test('below the least, of an impurity nobody knows, or colder than hot, is answered where it is typed', async () => {
    const user = await changing()
    const fill = async (name: string, text: string) => {
      const field = screen.getByLabelText(name)
      await user.clear(field)
      if (text !== '') await user.type(field, text)
    }
    await fill('volume to use, mL', '2')
    expect(screen.getByRole('alert').textContent).toContain('2 mL is below the least hot volume of 3.5 mL')
    await fill('volume to use, mL', '')
    await fill('impurity, if known', 'something')
    screen.getByText(/not on the shelf; leave it empty/)
    await fill('cold, °C', '99')
    expect(screen.getAllByText(/99 °C cold is not below 78 °C hot/).length).toBeGreaterThan(0)
    await user.click(screen.getByRole('button', { name: 'Keep the old one' }))
    screen.getByRole('heading', { name: 'Dissolve near 3.5, then 11.0 mL' })
    expect(written('plan fixed')).toHaveLength(0)
  })
  test('takes the least for a purity, and one measured volume', async () => {
    const user = await changing()
    await user.click(screen.getByRole('button', { name: /^98 % at/ }))
    expect(heading()).toBe('Dissolve near 3.5, then 8.6 mL')
    await user.click(screen.getByRole('radio', { name: 'one measured volume' }))
    screen.getByText(/All 8\.6 mL at once/)
    await user.click(screen.getByRole('button', { name: 'Use this plan' }))
    const [line] = written('plan fixed')
    const body = line?.body as PlanFixed
    expect(body.amount).toBe('measured volume')
    expect(body.steps.map(({ id }) => id)).toContain('dissolve-measured')
    expect(body.result.hotML).toBeCloseTo(8.6, 9)
    expect(body.crudeText).toBe('1.804')
  })
  test('takes the fraction the crude’s own range proposes', async () => {
    const user = await changing()
    screen.getByText(/its melting range says 91 \(88 to 94\)/)
    await user.click(screen.getByRole('button', { name: 'take it' }))
    expect(field('benzil in it, %').value).toBe('91')
  })
  test('says what helps when it may oil', async () => {
    const user = await changing()
    await user.selectOptions(screen.getByRole('combobox', { name: 'solvent' }), '2-propanol')
    screen.getByText('Oiling: likely.')
    screen.getByText(/Use more solvent: it then crystallizes at a lower temperature/)
  })
  test('says how grit is left behind', async () => {
    const user = await changing('?show=Solubility')
    const hot = field('benzoin in ethanol 95%, point 2: g per 100 mL')
    await user.clear(hot)
    await user.type(hot, '3.3')
    await user.click(part('How much'))
    await user.clear(field('volume to use, mL'))
    await user.type(field('volume to use, mL'), '4')
    screen.getByText(/of benzoin does not dissolve even when hot/)
    screen.getByText('Will not dissolve')
  })
})

describe('which solvent', () => {
  test('ranks, opens a reason, and takes another', async () => {
    const user = await changing('?show=Which solvent')
    const names = screen.getAllByRole('button', { name: /^▸/ }).map((row) => row.textContent)
    expect(names[0]).toBe('▸ Ethanol 95%')
    expect(names).toHaveLength(4)
    screen.getByText(/Not known, so not ranked: .*acetone/)
    await user.click(screen.getByRole('button', { name: '▸ Toluene' }))
    screen.getByText(/mL per gram of crude: little to handle/, { selector: 'dd' })
    await user.click(screen.getAllByRole('button', { name: 'Use it' })[0] as HTMLElement)
    expect(screen.getByRole<HTMLSelectElement>('combobox', { name: 'solvent' }).value).toBe('cyclohexane')
    screen.getByText(/the whole flask would turn solid|Dissolve near/)
  })
  test('of a shelf that knows nothing says where to begin', async () => {
    cleanup()
    await openDemo({ ...SHELF, solubilities: [] })
    await changing('?show=Which solvent')
    screen.getByText(/Nothing is known of benzil in any solvent of the shelf/)
  })
})

describe('two solvents', () => {
  test('ask for the second’s points, and become a procedure of their own', async () => {
    const user = await changing()
    await user.click(screen.getByRole('button', { name: 'With a second solvent' }))
    await user.selectOptions(screen.getByRole('combobox', { name: /second solvent/ }), 'water')
    expect(screen.getByRole('alert').textContent).toContain('No solubility in water is known')
    await user.click(part('Solubility'))
    const legend = screen.getByRole('group', { name: 'benzil in water' })
    await user.click(within(legend).getByRole('button', { name: 'Add a point' }))
    await user.type(within(legend).getByRole('textbox', { name: /temperature/ }), '25')
    await user.type(within(legend).getByRole('textbox', { name: /g per 100 mL/ }), '0.003')
    expect(heading()).toMatch(/^Dissolve in 13\.2, cloud with \d/)
    await user.click(screen.getByRole('button', { name: 'Use this plan' }))
    const body = written('plan fixed')[0]?.body as PlanFixed
    expect(body.procedure.id).toBe('solvent-pair')
    expect(body.pair?.solvent.id).toBe('water')
    screen.getByRole('img', { name: /clouds near/ })
  })
})

describe('the procedure', () => {
  test('offers the one for this scale first, and says why not of the others', async () => {
    await changing('?show=Procedure')
    const radios = screen.getAllByRole<HTMLInputElement>('radio')
    expect(radios[0]?.id).toBe('procedure-small-funnel')
    expect(radios[0]?.checked).toBe(true)
    screen.getByText(/11\.0 mL does not fit a Craig tube of 2 mL/)
    screen.getByText(/From water only/)
  })
  test('takes inserts and house rules of this prep into the steps', async () => {
    const user = await changing('?show=Procedure')
    await user.click(screen.getByRole('checkbox', { name: /hot filtration/ }))
    screen.getByText(/filter it through fluted paper/)
    await user.selectOptions(screen.getByRole('combobox', { name: 'how dry' }), 'constant mass')
    await user.click(screen.getByRole('checkbox', { name: /boiling stone in sample/ }))
    screen.getByText(/until two weighings agree/)
    await user.clear(field('constant mass within, g'))
    expect(screen.getByRole('alert').textContent).toContain('still empty')
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Use this plan' }).disabled).toBe(true)
    await user.type(field('constant mass within, g'), '0.001')
    await user.click(screen.getByRole('button', { name: 'Use this plan' }))
    const body = written('plan fixed')[0]?.body as PlanFixed
    expect(body.inserts).toEqual(['hot filtration'])
    expect(body.conventions).toMatchObject({
      name: 'Slow through the range, changed for this prep',
      drying: { atLeastMin: 10, constantMassToleranceG: 0.001 },
      boilingStones: 'in both flasks',
    })
    expect(body.steps.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['filter-hot-as-planned', 'pick-out-stones', 'dry-and-weigh-again']),
    )
  })
  test('of the lab’s own stands among them', async () => {
    cleanup()
    const house = { ...PROCEDURES[1], id: 'ours', name: 'Saltmarsh funnel', copiedFrom: 'small-funnel' }
    await openDemo({ ...SHELF, procedures: [house as (typeof PROCEDURES)[number]] })
    const user = await changing('?show=Procedure')
    await user.click(screen.getByRole('radio', { name: 'Saltmarsh funnel (house procedure)' }))
    await user.click(screen.getByRole('button', { name: 'Use this plan' }))
    expect((written('plan fixed')[0]?.body as PlanFixed).procedure.name).toBe('Saltmarsh funnel')
  })
})

describe('again', () => {
  test('tells each time what is left and how pure, and what a second crop would be', async () => {
    const user = await changing('?show=Again?')
    const [, ...rows] = screen.getAllByRole('row')
    expect(rows).toHaveLength(4)
    expect(rows[0]?.textContent).toContain('95.6 %')
    expect(rows[3]?.textContent).toContain('83.5 %')
    screen.getByText(/less pure than the crude itself/)
    const evaporate = field('evaporate to, mL')
    await user.type(evaporate, '0.01')
    expect(screen.getByRole('alert').textContent).toContain('below the least hot volume')
    await user.clear(evaporate)
    await user.type(evaporate, '10')
    screen.getByText(/more, 100\.0 % pure at best|more, over 99\.9 % pure at best|more, \d/)
  })
})

describe('test tubes', () => {
  test('stand in order with what they say, and a new one is ticked', async () => {
    const user = await changing('?show=Test tubes')
    const rows = screen.getAllByRole('row').slice(1)
    expect(rows.map((row) => row.textContent?.slice(0, 7))).toEqual(['Ethanol', 'Water40'])
    screen.getByText(/a suitable solvent/)
    await user.selectOptions(screen.getByRole('combobox', { name: 'try' }), 'toluene')
    await user.clear(field('solvent, mL'))
    await user.type(field('solvent, mL'), '0')
    await user.click(screen.getByRole('button', { name: 'Add a tube' }))
    expect(screen.getByRole('alert').textContent).toContain('some sample and some solvent')
    await user.clear(field('solvent, mL'))
    await user.type(field('solvent, mL'), '0.4')
    await user.click(screen.getByRole('button', { name: 'Add a tube' }))
    const cold = screen.getByRole('group', { name: 'toluene, cold' })
    await user.click(within(cold).getByRole('button', { name: 'all dissolves' }))
    screen.getByText(/better solvent of a pair/)
    expect(written('trial seen').map(({ body }) => body)).toMatchObject([
      { solvent: 'toluene', solventML: 0.4, cold: null },
      { solvent: 'toluene', solventML: 0.4, cold: 'all dissolves' },
    ])
  })
  test('plan a first volume from what dissolved hot', async () => {
    const user = await changing('?show=Test tubes')
    await user.click(screen.getByRole('button', { name: /^Plan with it: 8\.0 g per 100 mL hot/ }))
    // 1.804 g at 90 %, 8 g in 100 mL: 20.3 mL at the most.
    expect(heading()).toMatch(/^Dissolve near 20\.3, then/)
    screen.getByText(/one point extended with the fusion enthalpy: an estimate/)
  })
})

describe('a product that is recrystallized again', () => {
  test('is planned from what its judging said: the fraction and the impurity are filled in', async () => {
    await changing('?assay=97.5&impurity=adipic+acid')
    expect(field('benzil in it, %').value).toBe('97.5')
    expect(screen.getByRole<HTMLInputElement>('combobox', { name: /impurity/ }).value).toBe('adipic acid')
  })
  test('what cannot be read in the address is left alone', async () => {
    await changing('?assay=lots&impurity=benzil')
    expect(field('benzil in it, %').value).toBe('90')
    expect(screen.getByRole<HTMLInputElement>('combobox', { name: /impurity/ }).value).toBe('benzoin')
  })
})

describe('what the person in charge decides', () => {
  const toxic = (id: string): typeof SHELF => ({
    ...SHELF,
    compounds: SHELF.compounds.map((one) => (one.id === id ? { ...one, hazards: ['H330'] } : one)),
  })
  const closing = (...closed: string[]): typeof SHELF => ({
    ...SHELF,
    houseRules: SHELF.houseRules.map((set, i) => (i === 1 ? { ...set, closed } : set)),
  })
  test('something fatal is planned, and not fixed before it is said who was asked', async () => {
    cleanup()
    await openDemo(toxic('benzoin'))
    const user = await changing()
    const asked = field(
      'Not without the person in charge: benzoin. Ask before you use this plan, and bring the safety data sheet. Initials of who was asked:',
    )
    await user.click(screen.getByRole('button', { name: 'Use this plan' }))
    expect(screen.getByRole('alert').textContent).toBe('Enter who was asked. The plan records it.')
    expect(written('plan fixed')).toHaveLength(0)
    await user.type(asked, 'M. K.')
    await user.click(screen.getByRole('button', { name: 'Use this plan' }))
    expect(written('plan fixed').map(({ body }) => (body as PlanFixed).inCharge)).toEqual(['M. K.'])
    screen.getByText(/M\. K\. asked as the person in charge/)
  })
  test('nothing of the kind, nobody is asked for', async () => {
    await changing()
    expect(screen.queryByText(/Not without the person in charge/)).toBeNull()
  })
  test('a solvent closed by any of the lab’s sets is neither ranked nor fixed', async () => {
    cleanup()
    await openDemo(closing('ethanol-95', 'toluene'))
    const user = await changing('?show=Which solvent')
    screen.getByText('Not allowed by the house rules of this lab: ethanol 95%, toluene.')
    const names = screen.getAllByRole('button', { name: /^▸/ }).map((row) => row.textContent)
    expect(names).not.toContain('▸ Ethanol 95%')
    expect(names).not.toContain('▸ Toluene')
    // The plan it had was made before the solvent was closed: it says so, and is not fixed anew.
    await user.click(part('How much'))
    await user.click(screen.getByRole('button', { name: 'Use this plan' }))
    expect(
      screen.getAllByText(/Ethanol 95%: not allowed by the house rules of this lab/).length,
    ).toBeGreaterThan(0)
    expect(written('plan fixed')).toHaveLength(0)
  })
})

test('crude put aside comes off what is dissolved, and is said with the numbers it changes', async () => {
  const user = await changing()
  const aside = field('kept back, mg')
  await user.clear(aside)
  await user.type(aside, '2000')
  expect(screen.getAllByRole('alert').length).toBeGreaterThan(0)
  await user.clear(aside)
  await user.type(aside, '24')
  screen.getByText(/1\.780 g go in/)
  await user.click(screen.getByRole('button', { name: 'Use this plan' }))
  const [line] = written('plan fixed')
  expect((line?.body as PlanFixed).keptBackG).toBeCloseTo(0.024, 12)
  expect(document.querySelector('.planSheet')?.textContent).toContain('1.804 g, 24 mg kept back')
  cleanup()
  show(Weigh, prepNamed('Benzil'), 'weigh')
  // 1.3914 g of the 1.780 g that were dissolved.
  screen.getByText('Percent recovery, of the crude that went in, 1.780 g')
  screen.getByText(/^78\.2 ± 0\.2/)
  screen.getByText(/24 mg kept back without weighing/)
})
