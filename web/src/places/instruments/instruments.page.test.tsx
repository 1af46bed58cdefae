import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import { SIMULATED_INSTRUMENTS, type Instrument } from '@ivory-crystal/core/instruments'
import type { Bodies } from '@ivory-crystal/core/notebook'
import { NOTEBOOK, openDemo, restingAt, server, SHELF, showAt, written } from '../../testing/opened'

const { Instruments } = await import('./Instruments')
// What the parts would load when they are opened.
await import('./Rack')
await import('./HouseRules')
await import('./InstrumentPage')
await import('../../drawings/DialCharts')
await import('../../drawings/CalibrationChart')

beforeEach(() => openDemo())
afterEach(cleanup)
const open = (path = '') =>
  showAt(Instruments, `/n/${NOTEBOOK}/instruments${path}`, '/n/:notebook/instruments/:instrument?')
const press = (name: string | RegExp) => screen.getByRole('button', { name })
const field = (name: string | RegExp) => screen.getByRole('textbox', { name })
const bodies = (kind: string) => written(kind).map(({ body }) => body)

describe('the bench of instruments', () => {
  test('each tells how warm it is, who has it and what it needs', async () => {
    server.instruments.mockResolvedValue({ instruments: restingAt({ 'hot-stage': 120 }) })
    open()
    await screen.findByText('120.0')
    expect(within(screen.getByRole('row', { name: /^Hot stage/ })).getByText('free, and hot')).toBeTruthy()
    const dial = screen.getByRole('row', { name: /^Dial block/ })
    expect(within(dial).getByText('bench 3')).toBeTruthy()
    expect(within(dial).getByText('nothing')).toBeTruthy()
    expect(
      within(screen.getByRole('row', { name: /^Oil-bath tube/ })).getByText('fit its flame'),
    ).toBeTruthy()
  })
  test('unreachable, it says so', async () => {
    server.instruments.mockRejectedValue(new Error('The server cannot be reached.'))
    open()
    await screen.findByText('The server cannot be reached.')
  })
  test('one of the lab’s own is added, with what it says and typical values for the rest', async () => {
    server.putOnShelf.mockResolvedValue({ added: 1, changed: 0, same: 0, refused: [] })
    const user = open()
    await user.click(await screen.findByRole('button', { name: 'Add your own instrument' }))
    await user.click(press('Add it'))
    screen.getByText(/Give it a name/)
    await user.type(field('name'), 'Dial block by the window')
    await user.selectOptions(screen.getByRole('combobox', { name: 'thermometer' }), 'glass, total immersion')
    await user.selectOptions(screen.getByRole('combobox', { name: 'filled with' }), 'spirit')
    await user.click(press('Add it'))
    const [sort, rows] = server.putOnShelf.mock.calls[0] ?? []
    expect(sort).toBe('instrument')
    expect(rows).toMatchObject([
      {
        id: 'dial-block-by-the-window',
        simulated: false,
        character: { control: 'dial', readBy: 'eye', maxC: 250, dial: { max: 10, step: 0.5 } },
        thermometer: { kind: 'glass', immersion: 'total', filling: 'spirit', highC: 300 },
      },
    ])
  })
  test('a link to none says so', async () => {
    open('/spoon')
    await screen.findByText(/There is no such instrument at this bench/)
  })
})

describe('learning the dial', () => {
  test('the demo’s fit, its span, and what a struck heating does', async () => {
    const user = open('/dial-block?part=dial')
    await screen.findByText(/Plans use this, learned/)
    screen.getByText(/Logged from setting 3 to 8/)
    await screen.findByText(/For 1 °C\/min at 95 °C: 3\.3/)
    await user.click(press('Strike out the heating at 8'))
    await screen.findByText(/A heating it is based on was struck out\. Fit the dial again/)
    await user.click(await screen.findByRole('button', { name: 'Plan with this' }))
    expect(bodies('dial learned')).toMatchObject([{ span: { leastDial: 3, mostDial: 5 } }])
  })
  test('heatings are typed or simulated, and one setting alone is too few', async () => {
    const user = open('/oil-bath-tube?part=flame')
    await screen.findByText(/No heating has been logged yet/)
    await user.click(press('Log simulated heating'))
    screen.getByText('A heating is logged at a setting above 0.')
    await user.type(field('setting'), '9')
    await user.click(press('Log simulated heating'))
    screen.getByText(/It can be set from 0 to 6 in steps of 0\.5; 9 lies outside/)
    await user.clear(field('setting'))
    await user.type(field('setting'), '2')
    await user.click(press('Log simulated heating'))
    await screen.findByText(/Heatings at two different settings are needed/)
    await user.type(field('setting'), '4')
    const text = field('readings: minutes and °C')
    await user.type(text, '0 22{enter}2 forty')
    await user.click(press('Log these readings'))
    screen.getByText(/Line 2 is not a time and a temperature: “2 forty”/)
    await user.clear(text)
    await user.type(text, '0 22{enter}2 41.5{enter}4 58{enter}6 72,1{enter}8 84')
    await user.click(press('Log these readings'))
    await screen.findByText(/Logged from setting 2 to 4/)
    expect(bodies('heating logged')).toMatchObject([
      { dial: 2, from: 'simulated run' },
      { dial: 4, from: 'typed' },
    ])
    expect((bodies('heating logged')[1] as Bodies['heating logged']).samples[3]).toEqual([6, 72.1])
  })
})

describe('calibrating the thermometer', () => {
  test('the demo’s points and both methods with their errors', async () => {
    open('/dial-block?part=thermometer')
    await screen.findByText(/between the points: each point, left out, is predicted within 0\.12 °C/)
    screen.getByText(/straight line: each point, left out, is predicted within 0\.22 °C/)
    expect(within(screen.getByRole('row', { name: /^Triphenylmethane/ })).getByText('1.00')).toBeTruthy()
  })
  test('ice water and a standard are read, and what cannot be is answered', async () => {
    const user = open('/programmable-block?part=thermometer')
    await screen.findByText('Not calibrated: ranges read here stay raw and are labelled so.')
    const standard = screen.getByRole('combobox', { name: 'standard, or ice water' })
    await user.click(press('Record this standard'))
    screen.getByText(/Name a standard on the shelf/)
    await user.type(standard, 'Ice water')
    await user.type(field('read, °C'), '0.2')
    await user.click(press('Record this standard'))
    await user.type(standard, 'adipic acid')
    await user.type(field('onset, °C'), '152.4')
    await user.type(field('clear, °C'), '151.0')
    await user.click(press('Record this standard'))
    screen.getByText(/lies above the clear point of 151\.0 °C\. Were the two swapped/)
    await user.clear(field('clear, °C'))
    await user.type(field('clear, °C'), '153.8')
    await user.click(press('Record this standard'))
    screen.getByText(/straight line: A straight line with its error needs three/)
    await user.click(press('Calibrate with these 2 standards'))
    expect(bodies('thermometer calibrated')).toMatchObject([
      {
        method: 'between the points',
        points: [
          [0.2, 0],
          [153.10000000000002, 152.5],
        ],
        heating: { rateCPerMin: 1, fillMm: 2, grain: 'fine' },
      },
    ])
  })
  test('a thread out of the bath is corrected only where no calibration holds it already', async () => {
    const user = open('/oil-bath-tube?part=thermometer')
    await user.type(await screen.findByRole('textbox', { name: 'out, °C of scale' }), '90')
    const [, reading] = screen.getAllByRole('textbox', { name: /^read, °C$|^onset, °C$/ })
    await user.type(reading as HTMLElement, '150')
    await user.type(field('thread at, °C'), '32')
    // Spirit: 0.001·90·118.
    screen.getByText(/Add 10\.62 °C: 160\.6 °C/)
    cleanup()
    open('/dial-block?part=thermometer')
    await screen.findByText(/In force since/)
    expect(screen.queryByText('Thread out of the bath')).toBeNull()
  })
})

describe('the rack', () => {
  test('what waits, in which runs, with the cost of an order of one’s own', async () => {
    const user = open('/rack')
    await screen.findByText(/No order is shorter/)
    screen.getByRole('heading', { name: 'Slot card' })
    expect(screen.getAllByRole('row')).toHaveLength(4)
    await user.click(press('Take Authentic adipic acid out of the rack'))
    expect(screen.getAllByRole('row')).toHaveLength(3)
  })
  test('a tube is packed with its set; nothing or too much is refused', async () => {
    const user = open('/rack')
    await user.click(await screen.findByRole('button', { name: 'Into the rack' }))
    screen.getByText('Choose the sample you pack.')
    // Two preps have a product of this name: each says whose it is.
    const [benzil] = screen.getAllByRole('option', { name: /^Benzil · “.+”, \d+ \w+$/ })
    if (benzil) await user.selectOptions(screen.getByRole('combobox', { name: 'sample of the tube' }), benzil)
    await user.clear(field('fill, mm'))
    await user.type(field('fill, mm'), '70')
    await user.click(press('Into the rack'))
    screen.getByText(/A fill height of 70 mm is impossible/)
    await user.clear(field('fill, mm'))
    await user.type(field('fill, mm'), '3')
    await user.type(field('set'), 'A')
    await user.click(press('Into the rack'))
    expect(bodies('tube packed')).toMatchObject([{ label: 'Benzil', fillMm: 3, grain: 'fine', set: 'A' }])
    // Four tubes no longer fit one run: a tube moved by hand shows what it costs.
    await screen.findByText('Run 2')
    await user.selectOptions(screen.getByRole('combobox', { name: 'run of Benzil' }), 'run 2')
    screen.getByText(/min more than the best order|No order is shorter/)
  })
  test('runs are put in another order by hand, and back', async () => {
    const user = open('/rack')
    await user.selectOptions(
      await screen.findByRole('combobox', { name: 'instrument of the runs' }),
      'Oil-bath tube',
    )
    await user.click(await screen.findByRole('button', { name: 'Run 2 earlier' }))
    await screen.findByText(/min more than the best order/)
    await user.click(press('back to the best'))
    await screen.findByText(/No order is shorter/)
  })
  test('empty, it says what to do', async () => {
    const user = open('/rack')
    await screen.findByText(/No order is shorter/)
    for (const label of ['Crude benzil', 'Authentic benzil', 'Authentic adipic acid'])
      await user.click(press(`Take ${label} out of the rack`))
    screen.getByText(/No tube is waiting\. Pack a tube/)
  })
})

describe('house rules', () => {
  test('a school is gone by, and one is edited into a set of the lab’s own', async () => {
    server.putOnShelf.mockResolvedValue({ added: 1, changed: 0, same: 0, refused: [] })
    const user = open('/rules')
    await user.click(await screen.findByRole('button', { name: 'Use Close start' }))
    // What it alters is said before it does.
    screen.getByText('slow part starts: 15 °C below → 5 °C below')
    expect(bodies('rules taken')).toEqual([])
    await user.click(press('Never mind'))
    await user.click(press('Use Close start'))
    await user.click(press('Use these rules'))
    within(screen.getByRole('region', { name: 'Used so far' })).getByText('Close start')
    expect(bodies('rules taken')).toMatchObject([{ conventions: { name: 'Close start', startBelowC: 5 } }])
    await user.click(press('Edit Close start'))
    await user.clear(field('name'))
    await user.type(field('name'), 'Saltmarsh')
    await user.clear(field('starts below, °C'))
    await user.type(field('starts below, °C'), 'ten')
    await user.click(press('Save this set'))
    screen.getByText('“starts below, °C” is not a number.')
    await user.clear(field('starts below, °C'))
    await user.type(field('starts below, °C'), '10')
    await user.selectOptions(screen.getByRole('combobox', { name: 'onset is the' }), 'distinct drop')
    await user.click(press('Save this set'))
    expect(server.putOnShelf.mock.calls[0]?.slice(0, 2)).toMatchObject([
      'house rules',
      [{ name: 'Saltmarsh', startBelowC: 10, onsetRule: 'distinct drop', fillMm: [1, 2] }],
    ])
  })
  test('what the lab closes and whom to call are set there; a name the shelf does not know is answered', async () => {
    server.putOnShelf.mockResolvedValue({ added: 0, changed: 1, same: 0, refused: [] })
    const user = open('/rules')
    await user.click(await screen.findByRole('button', { name: 'Edit Close start' }))
    await user.type(field('not allowed in this lab'), 'Toluene{Enter}benzilic')
    await user.type(field('whom to call'), 'first aid: the desk at the door')
    await user.click(press('Save this set'))
    screen.getByText('“benzilic” is not a compound or solvent on the shelf.')
    expect(server.putOnShelf).not.toHaveBeenCalled()
    await user.clear(field('not allowed in this lab'))
    await user.type(field('not allowed in this lab'), 'Toluene{Enter}{Enter}benzil{Enter}toluene')
    await user.click(press('Save this set'))
    expect(server.putOnShelf.mock.calls[0]?.slice(0, 2)).toMatchObject([
      'house rules',
      [{ closed: ['toluene', 'benzil'], emergencyCalls: 'first aid: the desk at the door' }],
    ])
  })
  test('a set that runs backwards is refused with the shelf’s sentence, and stays typed', async () => {
    server.putOnShelf.mockResolvedValue({
      added: 0,
      changed: 0,
      same: 0,
      refused: [{ row: 1, sentence: 'A rate of 3, 1, 1 °C/min is not in order: least, wanted, greatest.' }],
    })
    const user = open('/rules')
    await user.click(await screen.findByRole('button', { name: 'Edit Close start' }))
    fireEvent.change(field('least, °C/min'), { target: { value: '3' } })
    await user.click(press('Save this set'))
    await screen.findByText(/is not in order/)
    expect(field('least, °C/min')).toHaveProperty('value', '3')
  })
})

describe('how an instrument is connected', () => {
  test('the lines are told, and a simulated one reads for itself', async () => {
    open('/detecting-block?part=connection')
    await screen.findByText(/it sends its own readings and takes commands as lines/)
    screen.getByText('ramp <°C> <°C/min>')
  })
  test('one’s own offers the serial port, or says that this browser has none', async () => {
    const own: Instrument = {
      ...(SIMULATED_INSTRUMENTS[0] as Instrument),
      id: 'own' as Instrument['id'],
      name: 'Own block',
      simulated: false,
    }
    await openDemo({ ...SHELF, instruments: [own] })
    open('/own?part=connection')
    await screen.findByText(/This browser does not let a page use a serial port/)
  })
})
