import { describe, expect, test } from '@jest/globals'
import { type LinePort, readPort } from './serial'
import { readPairs } from './table'

/** A port that says what a test tells it to, in pieces as a wire would cut them. */
function fakePort() {
  let give: ReadableStreamDefaultController<Uint8Array> | null = null
  const sentences: string[] = []
  const port: LinePort = {
    open: ({ baudRate }) => {
      sentences.push(`open ${baudRate}`)
      return Promise.resolve()
    },
    readable: new ReadableStream<Uint8Array>({
      start(controller) {
        give = controller
      },
    }),
    close: () => {
      sentences.push('close')
      return Promise.resolve()
    },
  }
  const settle = () => new Promise((resolve) => setTimeout(resolve, 5))
  return {
    port,
    sentences,
    send: async (text: string) => {
      give?.enqueue(new TextEncoder().encode(text))
      await settle()
    },
  }
}

describe('a thermometer on a serial port', () => {
  test('each number with its unit is a reading, however the wire cuts the lines', async () => {
    const { port, sentences: messages, send } = fakePort()
    let now = 5000
    const received: string[] = []
    const skipped: string[] = []
    const reader = await readPort(
      port,
      9600,
      () => now,
      (line) => received.push(line),
      (line) => skipped.push(line),
    )
    await send('ready\r\n21.')
    await send('4 C\r\n')
    now += 1200
    await send('T=+21,9 °C\n\n70.7 F\r')
    now += 1000
    await send('22.6 C')
    expect(received).toEqual(['reading 0 21.4', 'reading 1 21.9', 'reading 1 21.5'])
    expect(skipped).toEqual(['ready'])
    await reader.stop()
    expect(messages).toEqual(['open 9600', 'close'])
  })
  test('a port that cannot be read says so', async () => {
    const { port } = fakePort()
    const shut: LinePort = { ...port, readable: null }
    const nothing = () => undefined
    await expect(readPort(shut, 9600, () => 0, nothing, nothing)).rejects.toThrow('cannot be read')
  })
})

describe('two columns typed or from a file', () => {
  test.each([
    [
      '0 22\n1.5 30',
      [
        [0, 22],
        [1.5, 30],
      ],
    ],
    [
      '0;22,5\n2;31,5',
      [
        [0, 22.5],
        [2, 31.5],
      ],
    ],
    [
      'minutes,°C\n0,22\n2,31',
      [
        [0, 22],
        [2, 31],
      ],
    ],
    [
      'seconds,temperature\n0,22\n90,31',
      [
        [0, 22],
        [1.5, 31],
      ],
    ],
  ])('%j', (text, pairs) => {
    expect(readPairs(text)).toEqual({ ok: true, pairs })
  })
  test.each([
    ['', 'Nothing has been typed'],
    ['0 22\n1', 'Line 2 is not a time and a temperature'],
    ['0 22\n1 900', 'a block at 900 °C cannot be'],
    ['2 22\n1 30', 'go backwards'],
  ])('%j is refused', (text, sentence) => {
    const read = readPairs(text)
    expect(read.ok ? '' : read.sentence).toContain(sentence)
  })
  test('a long file is thinned evenly', () => {
    const read = readPairs(Array.from({ length: 9000 }, (_, i) => `${i / 60} 30`).join('\n'))
    expect(read.ok && read.pairs.length).toBe(3000)
  })
})
