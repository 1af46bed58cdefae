import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { cleanup, fireEvent, screen } from '@testing-library/react'
import { type Bodies, platesOf, unknownsOf } from '@ivory-crystal/core/notebook'
import { NOTEBOOK, openDemo, showAt, useNotebook, written } from '../../testing/opened'

const { PlatePage } = await import('./PlatePage')

beforeEach(async () => {
  sessionStorage.clear()
  await openDemo()
})
afterEach(cleanup)

const press = (name: string | RegExp) => screen.getByRole('button', { name })
const plateAt = (path: string) =>
  showAt(PlatePage, `/n/${NOTEBOOK}/plates/${path}`, '/n/:notebook/plates/:plate')
const k14 = () =>
  unknownsOf(useNotebook.getState().view).find(({ opened }) => opened.body.code === 'K-14')?.id ?? ''
const type = (name: string, value: string) => {
  fireEvent.change(screen.getByLabelText(name), { target: { value } })
}

describe('a plate being measured', () => {
  test('lanes as usual: the unknown, both, an authentic one at hand; what is missing is said in turn', () => {
    plateAt(`new?of=${k14()}`)
    expect(screen.getByLabelText('lane a: what was spotted')).toHaveProperty('value', 'K-14')
    expect(screen.getByLabelText('lane c: what was spotted')).toHaveProperty('value', 'Authentic 1-naphthol')
    screen.getByText(/Never look into it or put bare skin under it/)
    screen.getByText(/Drag the front to its mark/)
    type('front above the line, mm', '75')
    screen.getByText(/is beyond a plate of 80 mm/)
    type('front above the line, mm', 'x')
    screen.getByText(/The front/)
    type('front above the line, mm', '56.0')
    screen.getByText(/without it an Rf means nothing/)
    type('eluent', 'hexane and ethyl acetate, 4 : 1')
    screen.getByText(/No spot is measured yet/)
    expect(press('Record this plate')).toHaveProperty('disabled', true)
  })
  test('spots are typed, shaped, taken out; the reading follows; it is recorded with what it is beside', async () => {
    const user = plateAt(`new?of=${k14()}`)
    type('front above the line, mm', '56.0')
    type('eluent', 'ethyl acetate')
    for (const lane of ['a', 'a', 'c']) await user.click(press(`add a spot to lane ${lane}`))
    type('lane a, spot 1, mm', '33.5')
    type('lane c, spot 1, mm', '41')
    type('lane a, spot 2, mm', '57')
    screen.getByText(/K-14: A spot at 57 mm lies above the front at 56 mm/)
    type('lane a, spot 2, mm', '20')
    screen.getByText(/2 spots at Rf 0.60, the authentic sample at 0.73: further apart/)
    await user.selectOptions(screen.getByLabelText('lane a, spot 2, shape'), 'faint')
    await user.click(press('take spot 1 of lane c out'))
    await user.click(press('take lane b out'))
    await user.click(press('Another lane'))
    type('lane c: what was spotted', '')
    screen.getByText('Give every lane a name.')
    type('lane c: what was spotted', 'glutaric acid')
    await user.click(screen.getByLabelText('iodine vapour'))
    await user.click(press('Record this plate'))
    const [body] = written('plate developed').map((line) => line.body as Bodies['plate developed'])
    expect(body).toMatchObject({
      of: k14(),
      visualized: ['ultraviolet lamp', 'iodine vapour'],
      frontMm: { text: '56.0', value: 56 },
    })
    expect(body?.lanes.map(({ label, acrossMm, spots }) => [label, acrossMm, spots.length])).toEqual([
      ['K-14', 10, 2],
      ['Authentic 1-naphthol', 20, 0],
      ['glutaric acid', 30, 0],
    ])
    expect(body?.lanes[0]?.spots[1]).toEqual({ centreMm: { text: '20', value: 20 }, shape: 'faint' })
    expect(sessionStorage.length).toBe(0)
  })
  test('clicks and drags land to the half millimetre', () => {
    plateAt(`new?of=${k14()}`)
    type('front above the line, mm', '56.0')
    const plate = screen.getByRole('img', { name: /^Plate\./ })
    // jsdom lays nothing out: the drawing's corner is at 0, 0. 5.4 px a mm, the line 10 mm above the edge of 80.
    const y = (mm: number) => 22 + 5.4 * (70 - mm)
    Object.assign(plate, { setPointerCapture: () => undefined })
    const at = (clientX: number, clientY: number) => ({ clientX, clientY, bubbles: true, pointerId: 1 })
    const pointer = (target: Element, kind: string, x: number, mm: number) =>
      fireEvent(target, new MouseEvent(kind, at(x, y(mm))))
    pointer(plate, 'pointerdown', 16 + 5.4 * 11, 30.2)
    expect(screen.getByLabelText('lane a, spot 1, mm')).toHaveProperty('value', '30.0')
    const spot = plate.querySelectorAll('.spot')[1]
    pointer(spot as Element, 'pointerdown', 70, 30)
    pointer(plate, 'pointermove', 70, 41.3)
    pointer(plate, 'pointerup', 70, 41.3)
    expect(screen.getByLabelText('lane a, spot 1, mm')).toHaveProperty('value', '41.5')
    const drag = (target: Element | null | undefined, from: [number, number], to: [number, number]) => {
      pointer(target as Element, 'pointerdown', ...from)
      pointer(plate, 'pointermove', ...to)
      pointer(plate, 'pointerup', ...to)
    }
    drag(plate.querySelectorAll('.lane')[2], [16 + 5.4 * 30, -11], [16 + 5.4 * 33.1, -11])
    expect(screen.getByLabelText('lane c: mm from the left edge')).toHaveProperty('value', '33')
    drag(plate.querySelectorAll('.spot')[0], [100, 0], [100, 2])
    expect(screen.getByLabelText('line above the edge, mm')).toHaveProperty('value', '12.0')
    type('line above the edge, mm', '10')
    pointer([...plate.querySelectorAll('.spot')].at(-1) as Element, 'pointerdown', 70, 56)
    pointer(plate, 'pointermove', 70, 60.1)
    pointer(plate, 'pointerup', 70, 60.1)
    expect(screen.getByLabelText('front above the line, mm')).toHaveProperty('value', '60.0')
  })
  test('what was being measured outlives a reload', () => {
    plateAt(`new?of=${k14()}`)
    type('eluent', 'toluene')
    cleanup()
    plateAt(`new?of=${k14()}`)
    expect(screen.getByLabelText('eluent')).toHaveProperty('value', 'toluene')
  })
})

describe('a recorded plate', () => {
  const recorded = () => platesOf(useNotebook.getState().view)[0]
  test('says what it says, with the error of reading, and keeps its photograph under it', () => {
    plateAt(recorded()?.id ?? '')
    expect(screen.getByTestId('plate-opinion').textContent).toContain('the same Rf within the reading error')
    expect(screen.getAllByText('0.60 ± 0.01')).toHaveLength(2)
    expect(document.querySelector('image')?.getAttribute('href')).toMatch(/^data:image\/jpeg;base64,/)
    screen.getByText(/hexane and ethyl acetate, 4 : 1; seen by ultraviolet lamp and own colour/)
  })
  test('measured again, the old line is struck and the new one stands', async () => {
    const user = plateAt(recorded()?.id ?? '')
    await user.click(press('Measure it again'))
    type('lane c, spot 1, mm', '25')
    await user.click(press('Record this plate'))
    expect(written('struck')).toHaveLength(1)
    expect(screen.getByTestId('plate-opinion').textContent).toContain('not the same compound')
  })
  test('one that is not there says so', () => {
    plateAt('nowhere')
    screen.getByText('No such plate')
  })
})
