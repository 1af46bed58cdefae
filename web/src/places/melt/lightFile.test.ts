import { describe, expect, test } from '@jest/globals'
import { readLightFile } from './lightFile'

describe('a light trace from a file', () => {
  test('columns are found by their headings, in any order and with any separator', () => {
    const read = readLightFile('time;Signal;Temp °C\n0;0,10;90,25\n1;0,12;90,50')
    expect(read).toMatchObject({
      ok: true,
      decimals: 2,
      trace: [
        { temperatureC: 90.25, transmission: 0.1 },
        { temperatureC: 90.5, transmission: 0.12 },
      ],
    })
  })
  test('without headings the first is temperature, the second light', () => {
    expect(readLightFile('90.1,5\n90.2,6')).toMatchObject({
      ok: true,
      decimals: 1,
      trace: [{ temperatureC: 90.1, transmission: 5 }, { transmission: 6 }],
    })
  })
  test('a long one is thinned and says so', () => {
    const read = readLightFile(Array.from({ length: 9000 }, (_, i) => `${i / 100},1`).join('\n'))
    expect(read.ok && read.trace.length).toBe(3000)
    expect(read.ok && read.summary).toBe('9000 readings, one in 3 kept.')
  })
  test.each([
    ['temperature,light', 'This file is empty.'],
    ['90.1,5\nn/a,6', 'Line 2 is not a temperature and a light value: “n/a, 6”.'],
    ['<html><body>90.1,5</body></html>\n90.1,5', 'This is a web page or formatted text'],
    ['90.1', 'Line 1 is not a temperature and a light value'],
  ])('%j is refused', (text, sentence) => {
    const read = readLightFile(text)
    expect(read.ok ? '' : read.sentence).toContain(sentence)
  })
})
