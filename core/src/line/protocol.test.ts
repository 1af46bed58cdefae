import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { advance, createBlock } from '../simulator/block'
import type { BlockCommand } from '../instruments/reading'
import { DETECTING_BLOCK } from '../instruments/characters'
import { createTube } from '../simulator/tube'
import { commandOfLine, lineOfCommand, lineOfReading, readingOfLine, temperatureInLine } from './protocol'

describe('the line protocol', () => {
  test('a simulated reading goes out as a line and comes back as it was', () => {
    const tube = createTube(
      { a: { meltingPointC: 95, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210 }, b: null, moleFractionA: 1 },
      { fillMm: 2, grain: 'fine' },
      { sampleLagMin: 0.3, seed: 1 },
    )
    const { readings } = advance(
      createBlock(DETECTING_BLOCK, 3, { tubes: [tube] }),
      [{ kind: 'tubes in' }],
      5,
    )
    for (const reading of readings) {
      const back = readingOfLine(lineOfReading(reading))
      expect(back).toEqual({ atS: reading.atS, ...reading.probe, light: reading.light })
    }
    expect(
      lineOfReading({
        sample: 12,
        atS: 12,
        probe: { text: '95.40', value: 95.4 },
        phase: 'heating',
        tubes: [],
        dial: 4,
      }),
    ).toBe('reading 12 95.40 dial=4 phase=heating')
  })
  test('every command survives the line', () => {
    const temperature = fc.integer({ min: 0, max: 4000 }).map((n) => n / 10)
    fc.assert(
      fc.property(
        fc.oneof(
          temperature.map((toC): BlockCommand => ({ kind: 'preheat', toC })),
          temperature.map((toC): BlockCommand => ({ kind: 'ramp', toC, rateCPerMin: 1.5 })),
          temperature.map((setting): BlockCommand => ({ kind: 'dial', setting })),
          fc.constantFrom<BlockCommand>({ kind: 'tubes in' }, { kind: 'stop' }),
        ),
        (command) => {
          expect(commandOfLine(lineOfCommand(command))).toEqual(command)
        },
      ),
    )
  })
  test.each([
    ['reading 12', 'is not “reading <seconds> <°C>”'],
    ['reading 12 95,4', 'with decimal points'],
    ['reading 12 5000', 'Is it in another unit?'],
    ['reading 12 95.4 light=2', 'numbers from 0 to 1'],
    ['temperature 12 95.4', 'is not “reading'],
  ])('“%s” is refused: %s', (line, sentence) => {
    expect(() => readingOfLine(line)).toThrow(sentence)
  })
  test.each(['melt', 'ramp 104', 'ramp 104 fast', 'stop now', 'dial'])('“%s” is no command', (line) => {
    expect(() => commandOfLine(line)).toThrow('is not a command. The commands are: preheat')
  })
})

describe('a line that anything may print', () => {
  test.each([
    ['95.4', '95.4'],
    ['95.40 C', '95.40'],
    ['T=+95,4 °C', '95.4'],
    ['ch1 203.7 F', '95.4'],
    ['368.55K', '95.4'],
    ['12:04:31 probe 2: 95.4 degC', '95.4'],
    ['-3.0 C', '-3.0'],
  ])('%s is %s °C', (line, text) => {
    expect(temperatureInLine(line)).toEqual({ text, value: Number(text) })
  })
  test.each(['', 'ready', '12 34', 'OK 1 2'])('“%s” holds no temperature', (line) => {
    expect(temperatureInLine(line)).toBeNull()
  })
})
