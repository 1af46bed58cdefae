import { afterEach, beforeEach, expect, test } from '@jest/globals'
import { act, cleanup, screen } from '@testing-library/react'
import { type Line, type PrepFacts, sampleOf } from '@ivory-crystal/core/notebook'
import { golden } from '../../../../core/golden/contract'
import { openDemo, prepNamed, show } from '../../testing/opened'
import { recomputed } from '../../testing/recompute'

const { PrepSheet } = await import('./PrepSheet')
const { write } = await import('../../ledger/notebook')

beforeEach(() => openDemo())
afterEach(cleanup)

/** What stands on a sheet, a space between what stands apart. */
function textOf(node: Node): string {
  if (node.nodeType === 3) return node.textContent ?? ''
  const inner = [...node.childNodes].map(textOf).join('')
  return /^(span|b|i|text)$/i.test(node.nodeName) && !(node as Element).classList.contains('d-block')
    ? inner
    : ` ${inner} `
}
async function sheetOf(prep: PrepFacts, layout: 'hand-in' | 'full'): Promise<string> {
  const Sheet = ({ prep: now }: { prep: PrepFacts }) => (
    <article>
      <PrepSheet prep={now} layout={layout} />
    </article>
  )
  show(Sheet, prep, 'page')
  // The last line's hash comes from the server.
  await screen.findByText(/^Entry \d+ is the last one saved/)
  return textOf(screen.getByRole('article'))
}
const wrongIn = (text: string) => recomputed(text).filter(({ isRight }) => !isRight)

test.each(['hand-in', 'full'] as const)(
  'every result of the demo’s page can be worked out from the page: %s',
  async (layout) => {
    const text = await sheetOf(prepNamed('Benzil'), layout)
    expect(wrongIn(text)).toEqual([])
    const recomputedNames = recomputed(text).map(({ what }) => what)
    for (const result of [
      'Percent recovery, of the crude',
      'Percent recovery, of the benzil estimated in it',
      'Accounted for by weighing',
      'solvent, hot',
      'rinse',
      'not in the crystals',
      'in transfers',
      'expected in the liquor',
      '1.0 °C wide',
    ])
      expect(recomputedNames).toContain(result)
    expect(recomputedNames.filter((what) => / to /.test(what)).length).toBeGreaterThanOrEqual(4)
    expect(recomputedNames.some((what) => what.startsWith('Percent yield'))).toBe(true)
    expect(recomputedNames.some((what) => what.startsWith('begins'))).toBe(true)
  },
)

test('a second crop comes into it with its digits', async () => {
  const prep = prepNamed('Benzil')
  const named = (role: 'second crop', id: string): readonly Line[] =>
    [
      {
        kind: 'sample named',
        subject: id,
        body: { prep: prep.id, role, label: role, compound: null, of: [] },
      },
      {
        kind: 'weighed',
        subject: id,
        body: {
          method: 'tared',
          net: { text: '0.0711', value: 0.0711 },
          readabilityG: 0.0001,
          from: 'typed',
        },
      },
    ] as unknown as readonly Line[]
  const product = sampleOf(prep, 'product')
  expect(product?.weighing).not.toBeNull()
  act(() => {
    write(...named('second crop', '0a5a1c7e-0000-4000-9000-00000000ab01'))
  })
  const text = await sheetOf(prepNamed('Benzil'), 'hand-in')
  expect(text).toContain('(1.3914 g + 0.0711 g) ÷ 1.804 g')
  expect(wrongIn(text)).toEqual([])
  expect(recomputed(text).map(({ what }) => what)).toContain('Percent recovery, both crops')
})

test('what was put aside is taken off the crude, and the quotient is of what went in', async () => {
  const prep = prepNamed('Benzil')
  act(() => {
    write({
      kind: 'plan fixed',
      subject: prep.id,
      body: { ...(prep.plan as NonNullable<typeof prep.plan>).body, keptBackG: 0.025 },
    })
  })
  const text = await sheetOf(prepNamed('Benzil'), 'hand-in')
  expect(text).toContain('25 mg of it kept back: 1.779 g went in')
  expect(text).toContain('1.3914 g ÷ 1.779 g')
  expect(wrongIn(text)).toEqual([])
  expect(recomputed(text).some(({ what }) => what.includes('kept back'))).toBe(true)
})

test('widths come out of the corrected ends as printed, not of what they were rounded from', async () => {
  const { entries } = golden
  const planned = entries.find(({ kind }) => kind === 'melt planned')
  const started = entries.find(({ kind, subject }) => kind === 'run started' && subject === planned?.subject)
  const calibrated = entries.find(({ kind }) => kind === 'thermometer calibrated')
  const { coreVersion: _, restsOn: __, ...calibration } = calibrated?.body as Record<string, unknown>
  const [melt, run] = ['0a5a1c7e-0000-4000-9000-00000000ab11', '0a5a1c7e-0000-4000-9000-00000000ab12']
  const mark = (moment: string, slot: number, pressedAtS: number, lastProbe: number) => ({
    kind: 'mark made',
    subject: melt,
    body: {
      ...{ run, moment, slot, pressedAtS, lastSample: pressedAtS, from: 'key' },
      lastProbe: { text: lastProbe.toFixed(1), value: lastProbe },
    },
  })
  act(() => {
    write(
      ...([
        {
          kind: 'melt planned',
          subject: melt,
          body: {
            ...(planned?.body as object),
            calibration: { ...calibration, entry: calibrated?.id, at: calibrated?.at },
          },
        },
        { kind: 'run started', subject: melt, body: { ...(started?.body as object), run, feed: 'by hand' } },
        // Corrected by 1.06 and 1.08 °C: 99.06 and 100.38, a width of 1.32 that reads 99.1 to 100.4.
        mark('first liquid', 1, 600, 98.0),
        mark('all liquid', 1, 660, 99.3),
        mark('first liquid', 2, 300, 93.6),
        mark('all liquid', 2, 690, 99.9),
      ] as unknown as readonly Line[]),
    )
  })
  const text = await sheetOf(prepNamed('Benzil'), 'hand-in')
  expect(text).toContain('corrected, °C')
  expect(text).toContain('98.0 to 99.3')
  expect(text).toContain('99.1 to 100.4')
  expect(wrongIn(text)).toEqual([])
})

test('what was wrong once is found: a divisor that is not the one printed, a width, a sum', async () => {
  const text = await sheetOf(prepNamed('Benzil'), 'full')
  const spoilt = (from: string, to: string) => {
    expect(text).toContain(from)
    return wrongIn(text.replace(from, to)).map(({ what }) => what)
  }
  expect(spoilt('1.3914 g ÷ 1.804 g', '1.3914 g ÷ 1.904 g')).toContain('Percent recovery, of the crude')
  expect(spoilt('Added 0.7 mL, hot.', 'Added 0.9 mL, hot.')).toEqual(['solvent, hot'])
  expect(spoilt('0.413 g of the crude', '0.431 g of the crude')).toContain('not in the crystals')
})
