import { describe, expect, test } from '@jest/globals'
import { renderToStaticMarkup } from 'react-dom/server'
import type { EntryId } from '@ivory-crystal/core/ids'
import type { TubeLook } from '@ivory-crystal/core/melting'
import type { Mark } from '@ivory-crystal/core/notebook'
import { Lens } from './Lens'
import { MarkPad, padKey } from './MarkPad'
import type { LadderRow } from './LadderRung'
import { RangeLadder } from './RangeLadder'
import { SolventColumn } from './SolventColumn'

const reading = (text: string) => ({ text, value: Number(text) })

describe('the mark pad', () => {
  const tubes = [
    { slot: 1, label: 'Crude benzil', note: 'tube 1' },
    { slot: 2, label: 'Benzil', note: 'tube 2' },
  ]
  const mark = (
    slot: number,
    moment: 'early sign' | 'first liquid',
    text: string | null,
    word: string | null = null,
  ): Mark =>
    ({
      entry: { id: `${slot} ${moment} ${text}` as EntryId, body: { slot, moment, pressedAtS: 125 } },
      temperature: text === null ? null : reading(text),
      word,
    }) as unknown as Mark
  const pad = (marks: Mark[]) =>
    renderToStaticMarkup(
      <MarkPad
        tubes={tubes}
        marks={marks}
        onset="the first distinct drop"
        disabled={false}
        onPress={() => undefined}
        onStrike={() => undefined}
      />,
    )
  const cells = (html: string) => html.split('<div class="cell">').slice(1)

  test('nine keys stand for three moments of three tubes, in either case', () => {
    expect(['q', 'W', 'e', 'A', 's', 'D', 'z', 'X', 'c'].map(padKey)).toEqual(
      (['early sign', 'first liquid', 'all liquid'] as const).flatMap((moment) =>
        [1, 2, 3].map((slot) => ({ moment, slot })),
      ),
    )
    expect([padKey('p'), padKey('Enter'), padKey('')]).toEqual([null, null, null])
  })
  test('open areas all look alike: nothing hints at what a tube will do', () => {
    const [open, ...others] = [0, 1, 3, 4, 6, 7].map((i) =>
      (cells(pad([]))[i] ?? '').replace(/aria-label="[^"]*"/, '').replace(/>[QWEASDZXC]</, '><'),
    )
    expect(others).toEqual(Array(5).fill(open))
  })
  test('an area without a tube cannot be pressed', () => {
    expect([2, 5, 8].map((i) => (cells(pad([]))[i] ?? '').includes('disabled'))).toEqual([true, true, true])
    expect(pad([])).toContain('no tube')
  })
  test('as many early signs as were seen stand in their area, with word and time', () => {
    const [first] = cells(
      pad([mark(1, 'early sign', '77.8', 'shrinks'), mark(1, 'early sign', '78.1', 'sweats')]),
    )
    expect(first).toContain('77.8')
    expect(first?.replace(/<[^>]+>|&#x27;/g, '')).toContain('shrinks · 2:05')
    expect(first).toContain('78.1')
  })
  test('a mark whose temperature is still to come says so, aloud too', () => {
    const html = pad([mark(2, 'first liquid', null)])
    expect(html).toContain('…')
    expect(html).toContain('marked at a temperature still to come °C')
  })
})

describe('the range ladder', () => {
  const row = (change: Partial<LadderRow>): LadderRow => ({
    key: 'k',
    label: 'Product',
    note: 'tube 2',
    onset: reading('93.8'),
    clear: reading('95.0'),
    signs: [],
    tone: 'product',
    ...change,
  })
  const ladder = (rows: LadderRow[], eutectic: { temperatureC: number; label: string } | null = null) =>
    renderToStaticMarkup(
      <RangeLadder rows={rows} literature={{ lowC: 94, highC: 96 }} eutectic={eutectic} note="raw" />,
    )
  const bars = (html: string) =>
    [...html.matchAll(/<rect x="([\d.]+)" y="\d+" width="([\d.]+)" height="18"/g)].map(
      (m) => [Number(m[1]), Number(m[2])] as const,
    )

  test('keeps the digits of the readings and says the ranges aloud', () => {
    const html = ladder([row({ onset: reading('93.80') })])
    expect(html).toContain('>93.80<')
    expect(html).toContain('Product: 93.80 to 95.0 °C. Literature 94 to 96 °C.')
  })
  test('bars lie where their temperatures are, all on one axis', () => {
    const [crude, product] = bars(
      ladder([
        row({ key: 'c', onset: reading('84'), clear: reading('90') }),
        row({ onset: reading('93'), clear: reading('96') }),
      ]),
    )
    const perDegree = (crude?.[1] ?? 0) / 6
    expect(product?.[1]).toBeCloseTo(3 * perDegree, 6)
    expect((product?.[0] ?? 0) - (crude?.[0] ?? 0)).toBeCloseTo(9 * perDegree, 6)
  })
  test('one number alone is no bar', () => {
    const html = ladder([row({ clear: null }), row({ key: 'n', onset: null, clear: null })])
    expect(bars(html)).toEqual([])
    expect(html).toContain('no clear point')
    expect(html).toContain('nothing marked')
  })
  test('the axis takes in the eutectic and every sign', () => {
    const html = ladder([row({ signs: [{ temperature: reading('71.2'), word: 'shrinks' }] })], {
      temperatureC: 66.4,
      label: 'eutectic 66.4, estimated',
    })
    expect(html).toContain('eutectic 66.4, estimated')
    expect(html).toContain('shrinks 71.2')
    const positions = [...html.matchAll(/(?:x|d)="M?(-?[\d.]+)/g)].map((m) => Number(m[1]))
    expect(Math.min(...positions)).toBeGreaterThanOrEqual(0)
  })
  test('a sign shortly before the onset stands under its number, and not through it', () => {
    const tickOf = (atC: string) => {
      const html = ladder([row({ signs: [{ temperature: reading(atC), word: 'shrinks' }] })])
      const [, from, long] = /d="M[\d.]+ (\d+)v(\d+)" stroke="var\(--ink-2\)"/.exec(html) ?? []
      const numberAt = Number(/y="(\d+)"[^>]*>93\.8</.exec(html)?.[1])
      return { underBy: Number(from) - numberAt, long: Number(long) }
    }
    expect(tickOf('93.6').underBy).toBeGreaterThan(0)
    const far = tickOf('84.0')
    expect(far.underBy).toBeLessThan(0)
    expect(far.long).toBeGreaterThan(-far.underBy)
  })
})

describe('the solvent column', () => {
  const column = (addedML: number | null, staysDissolvedML: number | null = 10.4) =>
    renderToStaticMarkup(
      <SolventColumn
        addedML={addedML}
        dissolveML={3.5}
        toML={11}
        staysDissolvedML={staysDissolvedML}
        impurity="benzoin"
      />,
    )
  test.each([3, 5.6, 9.3, 0.35, 62, 140])(
    'with %d mL planned, every label of the gauge is the value it stands at',
    (toML) => {
      const html = renderToStaticMarkup(
        <SolventColumn
          addedML={null}
          dissolveML={toML * 0.7}
          toML={toML}
          staysDissolvedML={null}
          impurity={null}
        />,
      )
      const ticks = [...html.matchAll(/<path d="M40 ([\d.]+)h8"[^>]*><\/path><text[^>]*>([\d.]+)</g)].map(
        (m) => ({ y: Number(m[1]), label: Number(m[2]) }),
      )
      expect(ticks.length).toBeGreaterThanOrEqual(5)
      const [zero] = ticks
      const top = ticks.at(-1)
      expect(zero?.label).toBe(0)
      const pxPerML = ((zero?.y ?? 0) - (top?.y ?? 0)) / (top?.label ?? 1)
      for (const { y, label } of ticks) expect((zero?.y ?? 0) - y).toBeCloseTo(label * pxPerML, 6)
    },
  )
  test('planned, it stands at where to dilute, with where to dissolve and the grit mark', () => {
    const html = column(null)
    expect(html).toContain('11.0 mL planned; dissolve near 3.5, dilute to 11.0 mL')
    for (const mark of ['dissolve 3.5', 'dilute to 11.0', 'is grit', 'benzoin just'])
      expect(html).toContain(mark)
  })
  test('at work, it fills with what was added', () => {
    const height = (html: string) => Number(/<rect[^>]*height="([\d.]+)"/.exec(html)?.[1])
    expect(height(column(8)) / height(column(4))).toBeCloseTo(2, 6)
    expect(height(column(0))).toBe(0)
    expect(column(4)).toContain('4.0 mL added so far')
  })
  test('its labels do not run into each other', () => {
    const at = [...column(null).matchAll(/<text x="110" y="([\d.]+)"/g)]
      .map((m) => Number(m[1]))
      .sort((p, q) => p - q)
    expect(at.length).toBeGreaterThanOrEqual(5)
    at.slice(1).forEach((y, i) => expect(y - (at[i] ?? 0)).toBeGreaterThanOrEqual(13.9))
  })
  test('more than planned still fits', () => {
    expect(column(60)).toContain('60.0 mL added so far')
  })
})

const TUBE_2 = { slot: 2, seed: 'a tube', fillMm: 3, grain: 'fine', colour: 'yellow' } as const
test.each<[TubeLook, string]>([
  ['not in', 'not in the block'],
  ['powder', 'dry powder'],
  ['shrunk', 'pulled away from the wall'],
  ['sweating', 'wet at the wall'],
  ['drops', 'drops in the bulk'],
  ['slush', 'slush'],
  ['last crystals', 'a few crystals left'],
  ['clear', 'clear liquid'],
  ['bubbling', 'bubbles, darkening'],
])('the lens says what it shows: %s', (look, sentence) => {
  const html = renderToStaticMarkup(<Lens tubes={[TUBE_2]} readings={[{ look, liquidFraction: 0.4 }]} />)
  expect(html).toContain(`Simulated tube 2: ${sentence}`)
  expect(html).toContain('no tube in slot 1')
})
