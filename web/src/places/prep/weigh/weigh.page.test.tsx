import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { act, cleanup, screen, waitFor, within } from '@testing-library/react'
import type { SampleId } from '@ivory-crystal/core/ids'
import type { BalanceStatus } from '@ivory-crystal/core/wire'
import { openDemo, prepNamed, server, show, stream, written } from '../../../testing/opened'

const { Weigh } = await import('./Weigh')
const { write } = await import('../../../ledger/notebook')

beforeEach(() => {
  localStorage.clear()
  return openDemo()
})
afterEach(cleanup)
const bodies = (kind: string) => written(kind).map(({ body }) => body)
let listens = 0
const standing = (text: string, change: Partial<BalanceStatus['reading']> = {}): BalanceStatus => ({
  name: 'teaching balance',
  readabilityG: 0.001,
  load: 'empty vessel',
  reading: { display: { text, value: Number(text) }, stable: true, overloaded: false, ...change },
  order: ++listens,
})
const sampleOf = (title: string, role: string) =>
  prepNamed(title).samples.find((sample) => sample.role === role)?.id as SampleId

describe('on the balance', () => {
  test('crude and product stand with their digits and where the number is from', () => {
    show(Weigh, prepNamed('Benzil'), 'weigh')
    screen.getByText('1.3914 g')
    screen.getByText(/32\.6130 loaded − 31\.2216 empty, read to 0\.0001 g/)
    screen.getByText('77.13 ± 0.04 %')
    screen.getByRole('heading', { name: 'Dry, by house rules' })
  })
  test.each([
    ['', 'is still empty'],
    ['0,512', 'Write the decimal with a point'],
    ['half a gram', 'is not a plain number'],
    ['-0.2', 'A mass below zero means that the balance was not tared'],
    ['0.51234', 'has 5 decimals, but this balance reads to 0.001 g'],
    ['0', 'That gives a mass of zero'],
  ])('“%s” as a net mass is answered at its field, and kept', async (typed, sentence) => {
    const user = show(Weigh, prepNamed('Adipic'), 'weigh')
    const form = within(screen.getByRole('form', { name: 'Weigh the product' }))
    const net = form.getByRole('textbox', { name: 'net mass of the product, g' })
    await user.clear(net)
    if (typed !== '') await user.type(net, typed)
    await user.click(form.getByRole('button', { name: /^Record/ }))
    expect(form.getByRole('alert').textContent).toContain(sentence)
    expect(net).toHaveProperty('value', typed)
    expect(written('weighed')).toHaveLength(0)
  })
  test('more than went in, and far less than planned, are remarked on with what to do', async () => {
    const user = show(Weigh, prepNamed('Adipic'), 'weigh')
    const record = async (mass: string) => {
      await user.type(screen.getByRole('textbox', { name: 'net mass of the product, g' }), mass)
      await user.click(screen.getByRole('button', { name: `Record ${mass} g` }))
    }
    await record('0.700')
    expect(screen.getByRole('alert').textContent).toContain('330.2 % is more than went in. Dry it')
    await user.click(screen.getByRole('button', { name: 'Weigh the product again' }))
    await record('0.061')
    expect(screen.getByRole('alert').textContent).toContain(
      'is under half of the 88 % planned. Do not discard the mother liquor',
    )
  })
  test('a mass is recorded as typed, and its digits are held to the balance', async () => {
    const user = show(Weigh, prepNamed('Adipic'), 'weigh')
    const form = screen.getByRole('form', { name: 'Weigh the product' })
    const net = within(form).getByRole('textbox', { name: 'net mass of the product, g' })
    await user.type(net, '0.18234')
    await user.click(within(form).getByRole('button', { name: 'Record the mass' }))
    expect(screen.getByRole('alert').textContent).toContain('reads to 0.001 g')
    await user.clear(net)
    await user.type(net, '0.180')
    await user.click(within(form).getByRole('button', { name: 'Record 0.180 g' }))
    expect(bodies('weighed')).toEqual([
      { method: 'tared', net: { text: '0.180', value: 0.18 }, readabilityG: 0.001, from: 'typed' },
    ])
    screen.getByText(/Water does not evaporate within minutes in air: two weighings that agree, with 30 min/)
  })
})

describe('a weighing after another', () => {
  const section = () => within(screen.getByRole('region', { name: 'The dry product' }))
  const box = (name: string) => section().getByRole<HTMLInputElement>('textbox', { name })
  const open = async (name: string) => {
    const user = show(Weigh, prepNamed('Benzil'), 'weigh')
    await user.click(section().getByRole('button', { name }))
    return user
  }
  test('keeps its way, its balance and its vessel; a named vessel fills its mass the next time', async () => {
    const user = await open('Weigh the product again')
    // Benzil was weighed by difference on a balance that reads to 0.1 mg.
    expect(box('empty vessel, g').value).toBe('31.2216')
    expect(box('loaded vessel, g').value).toBe('')
    await user.type(section().getByRole('combobox', { name: 'vessel, if it has a name' }), 'watch glass 3')
    await user.type(box('loaded vessel, g'), '32.6120')
    await user.click(section().getByRole('button', { name: 'Record 1.3904 g' }))
    expect(bodies('weighed')).toMatchObject([{ vessel: 'watch glass 3', readabilityG: 0.0001 }])
    cleanup()
    const next = show(Weigh, prepNamed('Adipic'), 'weigh')
    await next.click(section().getByRole('radio', { name: 'by difference' }))
    await next.type(section().getByRole('combobox', { name: 'vessel, if it has a name' }), 'Watch glass 3')
    expect(box('empty vessel, g').value).toBe('31.2216')
    section().getByText(/watch glass 3 was 31\.2216 g empty on .*Weigh it again/)
  })
  test('corrected opens filled in; the old reading is struck only when the new one is written', async () => {
    const user = await open('correct this reading')
    expect(box('loaded vessel, g').value).toBe('32.6130')
    expect(written('struck')).toHaveLength(0)
    await user.clear(box('loaded vessel, g'))
    await user.type(box('loaded vessel, g'), '32.6310')
    await user.click(section().getByRole('button', { name: 'Record 1.4094 g' }))
    expect(bodies('struck')).toMatchObject([{ reason: 'corrected' }])
    section().getByText('1.4094 g')
  })
  test('ten times off it is asked about once, and kept when it is correct', async () => {
    const user = show(Weigh, prepNamed('Adipic'), 'weigh')
    await user.type(box('net mass of the product, g'), '30.346')
    await user.click(section().getByRole('button', { name: 'Record 30.346 g' }))
    expect(section().getByRole('alert').textContent).toContain(
      '30.346 g of product from 0.212 g of crude. Is there a digit too many, or is the point in the wrong place?',
    )
    expect(written('weighed')).toHaveLength(0)
    await user.click(section().getByRole('button', { name: 'It is correct: record 30.346 g' }))
    expect(written('weighed')).toHaveLength(1)
  })
})

describe('the simulated balance', () => {
  async function atBalance() {
    server.loadBalance.mockResolvedValue(standing('0.000'))
    server.tareBalance.mockResolvedValue(standing('0.000'))
    const user = show(Weigh, prepNamed('Adipic'), 'weigh')
    await user.click(screen.getByRole('button', { name: 'use the simulated balance' }))
    return user
  }
  const listener = (balance: BalanceStatus) => {
    act(() => {
      stream.events?.balance(balance)
    })
  }
  test('is cleared for this sample, loaded and tared on asking', async () => {
    const user = await atBalance()
    expect(server.loadBalance.mock.calls[0]?.slice(1, 3)).toEqual([sampleOf('Adipic', 'product'), 'nothing'])
    await user.click(screen.getByRole('button', { name: 'add the vessel with the product' }))
    expect(server.loadBalance.mock.calls[1]?.[2]).toBe('vessel with sample')
    expect(server.loadBalance.mock.calls[1]?.[3]).toBeCloseTo(0.1872, 4)
    await user.click(screen.getByRole('button', { name: 'tare' }))
    expect(server.tareBalance).toHaveBeenCalledTimes(1)
    screen.getByText('simulated balance')
  })
  test('sends on a key press, at rest and not before', async () => {
    const user = await atBalance()
    listener(standing('0.17', { stable: false }))
    screen.getByText('moving')
    await user.keyboard('b')
    screen.getByText(/still moving\. Wait until it is at rest/)
    listener(standing('0.179', { overloaded: true }))
    await user.keyboard('b')
    screen.getByText(/overloaded\. Take something off/)
    listener(standing('0.179'))
    await user.keyboard('b')
    screen.getByText('0.179 g is now the net mass.')
    await user.click(screen.getByRole('button', { name: 'Record 0.179 g' }))
    expect(bodies('weighed')).toMatchObject([{ from: 'simulated balance', net: { text: '0.179' } }])
    screen.getByText(/on the simulated balance, at/, {
      selector: 'section[aria-label="The dry product"] span',
    })
  })
  test('a digit typed over makes it a typed reading', async () => {
    const user = await atBalance()
    listener(standing('0.179'))
    await user.keyboard('b')
    const net = screen.getByRole('textbox', { name: 'net mass of the product, g' })
    await user.clear(net)
    await user.type(net, '0.178')
    await user.click(screen.getByRole('button', { name: 'Record 0.178 g' }))
    expect(bodies('weighed')).toMatchObject([{ from: 'typed' }])
  })
  test('fills empty, then loaded, by difference', async () => {
    const user = await atBalance()
    await user.click(screen.getByRole('radio', { name: 'by difference' }))
    listener(standing('25.101'))
    await user.click(screen.getByRole('button', { name: /^Send the reading/ }))
    listener(standing('25.290'))
    await user.click(screen.getByRole('button', { name: /^Send the reading/ }))
    await user.click(screen.getByRole('button', { name: 'Record 0.189 g' }))
    expect(bodies('weighed')).toMatchObject([{ method: 'difference', from: 'simulated balance' }])
  })
  test('that cannot be reached says so', async () => {
    server.loadBalance.mockRejectedValue(new Error('The server cannot be reached.'))
    const user = show(Weigh, prepNamed('Adipic'), 'weigh')
    await user.click(screen.getByRole('button', { name: 'use the simulated balance' }))
    await screen.findByText('The server cannot be reached.')
    await user.keyboard('b')
    screen.getByText('The balance has not answered yet.')
  })
})

describe('drying to constant mass', () => {
  test('shows the trend, and what is still asked for', () => {
    const prep = prepNamed('Benzil')
    const plan = prep.plan?.body
    if (!plan) throw new Error('no plan')
    const drying = { atLeastMin: 10, constantMassToleranceG: 0.0005 }
    act(() => {
      write({
        kind: 'plan fixed',
        subject: prep.id,
        body: { ...plan, conventions: { ...plan.conventions, drying } },
      })
      write({
        kind: 'weighed',
        subject: sampleOf('Benzil', 'product'),
        body: {
          method: 'tared',
          net: { text: '1.3801', value: 1.3801 },
          readabilityG: 0.0001,
          from: 'typed',
        },
      })
    })
    show(Weigh, prep, 'weigh')
    screen.getByRole('heading', { name: 'How dry it is' })
    screen.getByText(/It lost 0\.0113 g since the last weighing/)
    screen.getByRole('img', { name: 'Mass while drying: 1.3914, 1.3801 g' })
    expect(screen.getAllByRole('row').some((row) => row.textContent?.includes('−0.0113 g'))).toBe(true)
  })
})

describe('the account', () => {
  /** The figure under a name. */
  const figure = (name: RegExp) =>
    screen.getAllByRole('term').find(({ textContent }) => name.test(textContent))?.parentElement?.textContent
  const account = (title = 'Benzil') => show(Weigh, prepNamed(title), 'weigh', '?show=Account')
  test('keeps recovery of crude, recovery of product and yield apart in words', () => {
    account()
    expect(figure(/^Percent recovery, of the crude/)).toContain('77.13 ± 0.04 %')
    expect(figure(/^Percent recovery, of the benzil/)).toContain('85.70 ± 0.04 %')
    expect(figure(/^Percent yield, of the reaction/)).toContain('70.1 %')
    expect(figure(/^Accounted for by weighing/)).toContain('91.4 %')
    screen.getByText(/it is never only impurity/)
  })
  test('opens when the residue is struck', async () => {
    const user = account()
    const residue = screen.getByRole('region', { name: 'The liquor, evaporated' })
    await user.click(within(residue).getByRole('button', { name: 'strike out this reading' }))
    screen.getByText('open')
    screen.getByText(/never to hot dryness/)
    screen.getByText('not weighed; drawn as predicted')
  })
  test('takes a second crop as a sample of its own', async () => {
    const user = account()
    await user.click(screen.getByRole('button', { name: 'Weigh the second crop' }))
    expect(bodies('sample named')).toMatchObject([{ role: 'second crop', label: 'Second crop of benzil' }])
    await user.type(screen.getByRole('textbox', { name: 'net mass of the second crop, g' }), '0.050')
    await user.click(screen.getByRole('button', { name: 'Record 0.050 g' }))
    expect(figure(/^Percent recovery, of the crude/)).toContain('79.90')
    screen.getByRole('img', { name: /Second crop 0\.050 g/ })
  })
  test('over 100 %: the likely causes from this prep’s own entries', () => {
    act(() => {
      write({
        kind: 'weighed',
        subject: sampleOf('Benzil', 'product'),
        body: { method: 'tared', net: { text: '1.9', value: 1.9 }, readabilityG: 0.1, from: 'typed' },
      })
    })
    account()
    const [alert] = screen.getAllByRole('alert')
    expect(alert?.textContent).toContain('105.3 % is more than went in')
    expect(alert?.textContent).toContain('different balances')
  })
  test('takes the student’s own words, and the latest stand', async () => {
    const user = account()
    const words = screen.getByRole('textbox', { name: 'in your own words, for the page' })
    expect((words as HTMLTextAreaElement).value).toContain('A rim of crystals')
    await user.clear(words)
    await user.type(words, 'Mostly benzoin.')
    await user.click(screen.getByRole('button', { name: 'Write it down' }))
    expect(bodies('explained')).toEqual([{ text: 'Mostly benzoin.' }])
    expect((words as HTMLTextAreaElement).value).toBe('Mostly benzoin.')
  })
  test('names the reaction for a percent yield, and answers what cannot be', async () => {
    const user = account('Adipic')
    await user.click(screen.getByRole('button', { name: 'Calculate a percent yield' }))
    const form = screen.getByRole('form', { name: 'The reaction' })
    const name = within(form).getByRole('combobox', { name: 'limiting reagent' })
    const mass = within(form).getByRole('textbox', { name: 'its mass, g' })
    const submit = within(form).getByRole('button', { name: 'Calculate it' })
    await user.type(name, 'unobtainium')
    await user.click(submit)
    expect(screen.getByRole('alert').textContent).toContain('What is “unobtainium” made of?')
    await user.clear(name)
    await user.type(name, 'dibenzoyl')
    await user.type(mass, '0')
    await user.click(submit)
    expect(screen.getByRole('alert').textContent).toContain('above zero')
    await user.clear(mass)
    await user.type(mass, '0.300')
    await user.click(submit)
    expect(bodies('reaction named')).toMatchObject([
      { limiting: { name: 'benzil' }, limitingMass: { text: '0.300' }, productPerLimiting: 1 },
    ])
  })

  test.each([
    ['aniline', null, 'aniline', 93.13],
    ['phenylamine', null, 'aniline', 93.13],
    ['my amine', 'C6H5NH2', 'my amine', 93.13],
    ['my ester', 'CCOC(C)=O', 'my ester', 88.11],
    ['my salt', '142.5', 'my salt', 142.5],
  ])('takes a reagent that is on no shelf: %s, %s', async (typed, formula, name, molarMassGPerMol) => {
    const user = account('Adipic')
    await user.click(screen.getByRole('button', { name: 'Calculate a percent yield' }))
    const form = screen.getByRole('form', { name: 'The reaction' })
    await user.type(within(form).getByRole('combobox', { name: 'limiting reagent' }), typed)
    if (formula !== null)
      await user.type(
        await within(form).findByRole('textbox', { name: 'its formula, SMILES or g/mol' }),
        formula,
      )
    await within(form).findByText(new RegExp(`${name}, ${molarMassGPerMol.toFixed(2)} g/mol`))
    await user.type(within(form).getByRole('textbox', { name: 'its mass, g' }), '4.02{Enter}')
    await waitFor(() => {
      expect(bodies('reaction named')).toHaveLength(1)
    })
    const [made] = bodies('reaction named') as { limiting: { name: string; molarMassGPerMol: number } }[]
    expect(made?.limiting.name).toBe(name)
    expect(made?.limiting.molarMassGPerMol).toBeCloseTo(molarMassGPerMol, 1)
  })
})
