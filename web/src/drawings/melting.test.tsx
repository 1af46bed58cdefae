import { describe, expect, test } from '@jest/globals'
import { renderToStaticMarkup } from 'react-dom/server'
import type { LightSample } from '@ivory-crystal/core/heating'
import { planTubeRuns, type TubeRunInput } from '@ivory-crystal/core/scheduling'
import { LightChart } from './LightChart'
import { RunStrip } from './RunStrip'
import { SetUpPicture } from './SetUpPicture'
import { Thermometer } from './Thermometer'

const numbers = (html: string, attribute: string) =>
  [...html.matchAll(new RegExp(`${attribute}="(-?[\\d.]+)"`, 'g'))].map((found) => Number(found[1]))

describe('a thermometer to be read by eye', () => {
  const drawn = (valueC: number) =>
    renderToStaticMarkup(<Thermometer valueC={valueC} lowC={-10} highC={250} />)
  test('has its scale about the thread and no number of its own', () => {
    const labels = [...drawn(93.7).matchAll(/>(\d+)<\/text>/g)].map((found) => Number(found[1]))
    expect(labels).toEqual([90, 95, 100])
    expect(drawn(93.7)).not.toContain('93.7')
  })
  test('the end of the thread stands at its temperature on that scale', () => {
    const html = drawn(93.5)
    const [thread] = [...html.matchAll(/<rect x="3"[^>]*width="([\d.]+)"/g)].map((found) => Number(found[1]))
    const at = (label: number) => Number(new RegExp(`x="([\\d.]+)"[^>]*>${label}</text>`).exec(html)?.[1])
    const perC = (at(100) - at(90)) / 10
    expect(((thread ?? 0) + 3 - at(90)) / perC + 90).toBeCloseTo(93.5, 6)
  })
  test('ends where its scale ends', () => {
    expect(drawn(249)).not.toContain('>255<')
  })
})

describe('the runs on a strip', () => {
  const input: TubeRunInput = {
    apparatus: {
      slots: 1,
      ambientC: 22,
      blockC: 22,
      fastCPerMin: 10,
      slowCPerMin: 1,
      coolTimeConstantMin: 9,
      loadMin: 2,
    },
    tubes: [
      { id: 'high', expectedLowC: 150, expectedHighC: 152, leadC: 15, tailC: 5 },
      { id: 'low', expectedLowC: 90, expectedHighC: 92, leadC: 15, tailC: 5 },
    ],
    keepTogether: [],
  }
  const { timeline, runs, totalMin } = planTubeRuns(input)
  const drawn = renderToStaticMarkup(<RunStrip timeline={timeline} runs={runs.length} />)
  test('every phase is drawn, slow in one colour and fast in another, to the end of the time', () => {
    const paths = [...drawn.matchAll(/<path d="M([\d.]+) ([\d.]+)L([\d.]+) ([\d.]+)" stroke="([^"]+)"/g)]
    expect(paths).toHaveLength(timeline.length)
    expect(paths.filter((path) => path[5] === 'var(--teal)')).toHaveLength(2)
    expect(Math.max(...paths.map((path) => Number(path[3])))).toBeCloseTo(550, 6)
    expect(drawn).toContain(`2 runs over ${totalMin.toFixed(0)} minutes, up to 160 °C`)
  })
  test('hotter is higher', () => {
    const slow = timeline.filter(({ phase }) => phase === 'slow')
    const paths = [...drawn.matchAll(/M[\d.]+ ([\d.]+)L[\d.]+ ([\d.]+)" stroke="var\(--teal\)"/g)]
    paths.forEach((path, i) => {
      expect(Number(path[2])).toBeLessThan(Number(path[1]))
      expect(slow[i]?.toC).toBeGreaterThan(slow[i]?.fromC ?? Infinity)
    })
  })
})

describe('light against temperature', () => {
  const trace: LightSample[] = Array.from({ length: 100 }, (_, i) => ({
    temperatureC: 90 + i / 10,
    transmission: i < 50 ? 0.1 : 0.9,
  }))
  const drawn = (ends: { onsetC: number; clearC: number } | null) =>
    renderToStaticMarkup(<LightChart trace={trace} ends={ends} onMove={() => undefined} label="Benzil" />)
  test('has an end to move on either side, told to the ear in °C', () => {
    const html = drawn({ onsetC: 94.5, clearC: 95.5 })
    expect(html).toContain('aria-label="onset of Benzil, °C"')
    expect(numbers(html, 'aria-valuenow')).toEqual([94.5, 95.5])
    expect(numbers(html, 'aria-valuemin')).toEqual([90, 90])
  })
  test('has none where nothing was found, and is not drawn of nothing', () => {
    expect(drawn(null)).not.toContain('role="slider"')
    expect(
      renderToStaticMarkup(<LightChart trace={[]} ends={null} onMove={() => undefined} label="Benzil" />),
    ).toBe('')
  })
})

describe('the set-up, one picture at a time', () => {
  test('a thing to be set up has its picture, each another one; what is only read has none', () => {
    const pictures = [
      'oil-level-and-head-space',
      'stopper-vented',
      'bulb-at-the-junction',
      'sample-at-the-bulb',
      'band-and-open-end-above-the-oil',
      'rings-slid-on-safely',
      'flame-at-the-arm',
    ].map((id) => renderToStaticMarkup(<SetUpPicture of={id} />))
    expect(pictures.every((html) => html.startsWith('<svg'))).toBe(true)
    expect(new Set(pictures).size).toBe(pictures.length)
    expect(renderToStaticMarkup(<SetUpPicture of="oil-label-read" />)).toBe('')
  })
})
