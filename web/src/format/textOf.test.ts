import { expect, test } from '@jest/globals'
import { readLightFile } from '../places/melt/lightFile'
import { textOf } from './textOf'

const utf16 = (text: string) => Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(text, 'utf16le')])

test.each([
  ['UTF-8', Buffer.from('temp °C;light\n')],
  ['UTF-8 with its mark', Buffer.from('\uFEFFtemp °C;light\n')],
  ['UTF-16 with its mark', utf16('temp °C;light\n')],
])('%s is read', (_, bytes) => {
  expect(textOf('a.csv', bytes)).toEqual({ ok: true, text: 'temp °C;light\n' })
})
test('another encoding is refused with what to do, and bytes that are no text are too', () => {
  expect(textOf('a.csv', Buffer.from([0x74, 0xb0, 0x43]))).toMatchObject({
    ok: false,
    sentence: expect.stringContaining('is not written in UTF-8') as unknown,
  })
  expect(textOf('a.csv', Buffer.from([0x41, 0, 0x42]))).toMatchObject({ ok: false })
})
test('decimal commas and Windows line ends are read, and the commas are said', () => {
  const read = readLightFile('temperature;light\r\n95,4;0,12\r\n95,5;0,31\r\n')
  expect(read).toMatchObject({
    ok: true,
    decimals: 1,
    summary: '2 readings. Its commas were read as decimal points.',
  })
  expect(readLightFile('95.4;0.12\n95.5;0.31\n')).toMatchObject({ ok: true, summary: '2 readings.' })
})
