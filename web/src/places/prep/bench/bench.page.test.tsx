import type { ComponentProps } from 'react'
import { RescueKey } from '../../../parts/sheets/RescueKey'
import { useRescueSheet } from '../../../parts/sheets/rescueSheet'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { cleanup, screen, within } from '@testing-library/react'
import { openDemo, prepNamed, show, written } from '../../../testing/opened'

const { Bench } = await import('./Bench')
const { LiquorPanel } = await import('./LiquorPanel')

beforeEach(() => openDemo())
afterEach(() => {
  cleanup()
  useRescueSheet.getState().set(false)
})
const bodies = (kind: string) => written(kind).map(({ body }) => body)

describe('Dissolve', () => {
  test('shows what is in and what it was made of', () => {
    show(Bench, prepNamed('Benzil'), 'dissolve')
    screen.getByText(/11\.0 mL hot, of 11\.0 planned/)
    screen.getByText('All dissolved.')
    screen.getByText('1.2 + 1.0 + 0.8 + 0.7 + 7.3 + 0.5 − 0.5 boiled away')
  })
  test('takes a step back and ticks it again', async () => {
    const user = show(Bench, prepNamed('Benzil'), 'dissolve')
    const done = screen.getAllByRole('button', { name: /^Done at/ })
    expect(done).toHaveLength(4)
    await user.click(screen.getAllByRole('button', { name: 'strike out' })[2] as HTMLElement)
    expect(bodies('struck')).toHaveLength(1)
    await user.click(screen.getByRole('button', { name: /^Tick: Add hot solvent in small portions/ }))
    expect(bodies('step ticked')).toEqual([{ step: 'dissolve-in-portions' }])
    expect(screen.getAllByRole('button', { name: /^Done at/ })).toHaveLength(4)
  })
  test('logs a portion, asks what it did, and calls what two do not change grit', async () => {
    const user = show(Bench, prepNamed('Benzil'), 'dissolve')
    await user.click(screen.getAllByRole('button', { name: 'strike out' })[2] as HTMLElement)
    const form = screen.getByRole('form', { name: 'Log solvent to dissolve' })
    for (let i = 0; i < 2; i++) {
      await user.click(within(form).getByRole('button', { name: '+ 0.5 mL' }))
      await user.click(within(form).getByRole('button', { name: 'no change' }))
    }
    expect(bodies('solvent added')).toEqual(
      Array(2).fill({ volume: { text: '0.5', value: 0.5 }, drops: null, use: 'dissolve', hot: true }),
    )
    expect(alerts()).toContainEqual(expect.stringContaining('what is left is grit'))
    // The demo’s period has a flame next door, and the ethanol is on the heat again.
    expect(alerts()).toContainEqual(
      expect.stringMatching(
        /^A flame is lit at bench 8 until \d\d:\d\d\. Take ethanol 95% off the heat and cover it loosely now/,
      ),
    )
    await user.click(within(form).getByRole('checkbox', { name: 'cold' }))
    await user.click(within(form).getByRole('button', { name: '+ 1.0 mL' }))
    expect(bodies('solvent added').at(-1)).toMatchObject({ hot: false })
  })
  test('below the least volume nothing is called grit, whatever two portions did', async () => {
    const user = show(Bench, prepNamed('Benzil'), 'dissolve')
    await user.click(screen.getAllByRole('button', { name: 'strike out' })[2] as HTMLElement)
    const taken = screen.getByRole('button', { name: 'Some boiled away' })
    await user.click(taken)
    await user.type(screen.getByRole('textbox', { name: 'boiled away, mL' }), '9.5')
    await user.click(screen.getByRole('button', { name: 'Take off 9.5 mL' }))
    const form = screen.getByRole('form', { name: 'Log solvent to dissolve' })
    for (let i = 0; i < 2; i++) {
      await user.click(within(form).getByRole('button', { name: '+ 0.5 mL' }))
      await user.click(within(form).getByRole('button', { name: 'no change' }))
    }
    expect(alerts()).toContainEqual(
      expect.stringMatching(/Two portions changed nothing, but only 2\.5 of about 3\.\d mL are in/),
    )
  })
  test('what is left to the plan is one press, and so is what wets the crude before the heat', async () => {
    const user = show(Bench, prepNamed('Benzil'), 'dissolve')
    const form = () => screen.getByRole('form', { name: 'Log solvent to dissolve' })
    await user.click(screen.getAllByRole('button', { name: 'strike out' })[2] as HTMLElement)
    expect(within(form()).queryByRole('button', { name: /^before the heat/ })).toBeNull()
    // 11.0 mL are in already; a millilitre struck is a millilitre to add.
    await user.click(screen.getAllByRole('button', { name: 'strike out' })[2] as HTMLElement)
    const dilute = screen.getByRole('form', { name: 'Log solvent to dilute' })
    await user.click(within(dilute).getByRole('button', { name: /^strike out the last/ }))
    await user.click(within(dilute).getByRole('button', { name: /^add the rest: [\d.]+ mL$/ }))
    screen.getByText(/11\.0 mL hot, of 11\.0 planned/)
  })
  test('a wait that was ticked and not timed is remarked on', async () => {
    const user = show(Bench, prepNamed('Adipic'), 'collect')
    for (let i = 0; i < 6; i++) {
      const [next] = screen.queryAllByRole('button', { name: /^Tick: / })
      if (next) await user.click(next)
    }
    expect(
      screen.getAllByText(/^Ticked (without its 3 min being timed|\d+:\d\d before its 3 min were up)\.$/)
        .length,
    ).toBeGreaterThan(0)
  })
  test('answers a portion that cannot be, and keeps what is typed', async () => {
    const user = show(Bench, prepNamed('Benzil'), 'dissolve')
    await user.click(screen.getAllByRole('button', { name: 'strike out' })[2] as HTMLElement)
    const field = screen.getByRole('textbox', { name: 'other volume, mL' })
    for (const [typed, sentence] of [
      ['0', 'more than 0 mL'],
      ['1,5', 'decimal with a point'],
      ['99999', 'fits no flask'],
    ] as const) {
      await user.clear(field)
      await user.type(field, typed)
      await user.click(screen.getByRole('button', { name: `Add ${typed} mL` }))
      expect(alerts()).toContainEqual(expect.stringContaining(sentence))
      expect((field as HTMLInputElement).value).toBe(typed)
    }
    expect(written('solvent added')).toHaveLength(0)
  })
  test('counts a pipette before it logs drops, and works the volume out', async () => {
    const user = show(Bench, prepNamed('Benzil'), 'dissolve')
    await user.click(screen.getAllByRole('button', { name: 'strike out' })[2] as HTMLElement)
    await user.click(screen.getByRole('button', { name: 'in drops' }))
    const count = screen.getByRole('form', { name: 'Count the drops of this pipette' })
    await user.type(within(count).getByRole('textbox', { name: 'drops' }), '40')
    await user.click(within(count).getByRole('button', { name: 'Use this count' }))
    screen.getByText('40 drops per mL')
    await user.click(screen.getByRole('button', { name: '+ 5 drops' }))
    expect(bodies('solvent added')).toEqual([
      { volume: { text: '0.13', value: 0.13 }, drops: { count: 5, perML: 40 }, use: 'dissolve', hot: true },
    ])
    await user.click(screen.getByRole('button', { name: 'strike out the last 5 drops' }))
    expect(written('struck')).toHaveLength(2)
  })
  test('takes off what boiled away, and not more than there is', async () => {
    const user = show(Bench, prepNamed('Benzil'), 'dissolve')
    await user.click(screen.getByRole('button', { name: 'Some boiled away' }))
    const field = screen.getByRole('textbox', { name: 'boiled away, mL' })
    await user.type(field, '11')
    await user.click(screen.getByRole('button', { name: 'Take off 11 mL' }))
    expect(alerts()).toContainEqual(expect.stringContaining('is all there was'))
    await user.clear(field)
    await user.type(field, '2.5')
    await user.click(screen.getByRole('button', { name: 'Take off 2.5 mL' }))
    expect(bodies('solvent removed')).toEqual([{ volume: { text: '2.5', value: 2.5 } }])
    screen.getByText(/8\.5 mL hot, of 11\.0 planned/)
    await user.click(screen.getByRole('button', { name: 'strike out 2.5 mL boiled away' }))
    screen.getByText(/11\.0 mL hot, of 11\.0 planned/)
  })
})

const alerts = () => screen.getAllByRole('alert').map(({ textContent }) => textContent)

describe('Crystallize', () => {
  test('says how much should have come down at the last reading', () => {
    show(Bench, prepNamed('Benzil'), 'crystallize')
    screen.getByText(/^2 °C at .*up to 96 % of the benzil by now/)
    screen.getByText(/Crystals can start near 58 °C/, { selector: 'p' })
    expect(
      screen.getByRole('img', { name: /Predicted share of benzil crystallized/ }).querySelectorAll('circle'),
    ).toHaveLength(3)
  })
  test('takes a temperature, and asks about one that cannot be', async () => {
    const user = show(Bench, prepNamed('Adipic'), 'crystallize')
    const strikes = screen.getAllByRole('button', { name: 'strike out' })
    await user.click(strikes[1] as HTMLElement)
    const field = screen.getByRole('textbox', { name: 'temperature of the solution, °C' })
    await user.type(field, '451')
    await user.click(screen.getByRole('button', { name: 'Read 451 °C' }))
    expect(alerts()).toContainEqual(expect.stringContaining('Was it typed in °F?'))
    expect(bodies('temperature read')).toEqual([])
    await user.clear(field)
    await user.type(field, '4.5')
    await user.click(screen.getByRole('button', { name: 'Read 4.5 °C' }))
    expect(bodies('temperature read')).toEqual([{ temperature: { text: '4.5', value: 4.5 } }])
  })
})

/** The rail holds the cards; here it stands beside the bench. */
function BenchAndRail(props: ComponentProps<typeof Bench>) {
  return (
    <>
      <Bench {...props} />
      <RescueKey />
    </>
  )
}

describe('Collect', () => {
  test('shows the partner that balanced, and takes only one that does', async () => {
    const user = show(Bench, prepNamed('Adipic'), 'collect')
    screen.getByText(/tube 7\.412 g, partner 7\.380 g\. Balanced\./)
    for (let i = 0; i < 3; i++)
      await user.click(screen.getAllByRole('button', { name: /^Tick: / })[0] as HTMLElement)
    await user.type(screen.getByRole('textbox', { name: 'mass of the tube, g' }), '7.0')
    await user.type(screen.getByRole('textbox', { name: 'mass of the partner, g' }), '7.5')
    await user.click(screen.getByRole('button', { name: 'They balance' }))
    expect(screen.getByRole('alert').textContent).toContain('0.500 g heavier. Take water out')
    expect(written('balanced')).toHaveLength(0)
    await user.clear(screen.getByRole('textbox', { name: 'mass of the partner, g' }))
    await user.type(screen.getByRole('textbox', { name: 'mass of the partner, g' }), '7.0')
    await user.click(screen.getByRole('button', { name: 'They balance' }))
    expect(bodies('balanced')).toEqual([
      { step: 'balance-again', tube: { text: '7.0', value: 7 }, partner: { text: '7.0', value: 7 } },
    ])
  })
  test('says what the rinse costs, per mL and so far', () => {
    show(Bench, prepNamed('Benzil'), 'collect')
    screen.getByText(/Each mL of ice-cold ethanol 95% dissolves up to 6\.5 mg of benzil/)
    screen.getByText(/1\.00 mL so far: at most 6\.5 mg, 0\.4 % of the crystals/)
  })
  test('one key opens the rescue cards of this station; each try is logged and can be struck', async () => {
    const user = show(BenchAndRail, prepNamed('Benzil'), 'collect')
    await user.keyboard('r')
    const dialog = await screen.findByRole('dialog')
    within(dialog).getByText('Eyewash now, fifteen minutes')
    expect(within(dialog).queryByRole('button', { name: /tube broke/ })).toBeNull()
    await user.click(within(dialog).getByRole('button', { name: /Crystals stay in the flask/ }))
    within(dialog).getByText(/helped/, { selector: 'span' })
    await user.click(within(dialog).getAllByRole('button', { name: 'tried, no help' })[1] as HTMLElement)
    expect(bodies('rescue tried')).toMatchObject([
      {
        station: 'collect',
        rescue: 'stays-in-the-flask',
        remedy: 'not-fresh',
        words: { rescue: 'Crystals stay in the flask' },
        helped: 'did not help',
      },
    ])
    await user.click(within(dialog).getAllByRole('button', { name: 'strike out' })[1] as HTMLElement)
    expect(written('struck')).toHaveLength(1)
  })
  test('the letter is a letter while something is typed', async () => {
    const user = show(BenchAndRail, prepNamed('Benzil'), 'collect')
    await user.type(screen.getByRole('textbox', { name: 'What do you see?' }), 'rr')
    expect(screen.queryByRole('dialog')).toBeNull()
  })
})

describe('the liquor', () => {
  test('that went before the yield was known says so, and can be struck', async () => {
    const user = show(LiquorPanel, prepNamed('Adipic'), 'collect')
    await user.click(screen.getByRole('button', { name: 'Discard it' }))
    expect(screen.getByRole('alert').textContent).toContain('have not been weighed')
    expect(written('liquor discarded')).toHaveLength(0)
    await user.click(screen.getByRole('button', { name: 'Discard it' }))
    expect(bodies('liquor discarded')).toEqual([
      { waste: 'aqueous waste, unless your lab allows the sink for this solute', yieldKnown: false },
    ])
    screen.getByText(/The recovery was not known by then/)
    await user.click(screen.getByRole('button', { name: 'strike out' }))
    screen.getByText(/The liquor is kept/)
  })
})
