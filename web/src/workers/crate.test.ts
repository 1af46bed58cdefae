import { describe, expect, test } from '@jest/globals'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import fc from 'fast-check'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { fold, type RawEntry, summaryOf } from '@ivory-crystal/core/notebook'
import { golden } from '../../../core/golden/contract'
import { type Beside, crate } from './crate'

const NOTEBOOK = { id: golden.entries[0]?.notebook, title: 'Saltmarsh teaching laboratory, bench 7' }
const NOW = golden.nowMs
const exportOf = (entries: readonly RawEntry[]) =>
  JSON.stringify({
    format: 'ivory-crystal notebook',
    version: 1,
    coreVersion: '1',
    exportedAt: NOW,
    notebook: NOTEBOOK,
    entries,
  })
const PICTURES = join(import.meta.dirname, '../../../core/golden/photographs')
const pictures = readdirSync(PICTURES).map((name) => ({
  sha256: name.replace('.jpg', ''),
  jpeg: new Uint8Array(readFileSync(join(PICTURES, name))),
}))
const BESIDE: Beside = {
  pictures,
  pages: [{ title: 'Benzil, from benzoin', file: '001-benzil', pdf: strToU8('%PDF-1.7 …') }],
  schema: '{"title":"a notebook"}',
}
async function packed(entries: readonly RawEntry[], beside: Beside = BESIDE): Promise<Uint8Array> {
  const zip = await crate.pack(exportOf(entries), beside, NOW, () => true)
  if (!zip) throw new Error('It was not packed.')
  return zip
}
interface Entity {
  readonly '@id': string
  readonly '@type': string
  readonly [name: string]: unknown
}
const graphOf = (zip: Uint8Array) =>
  (JSON.parse(strFromU8(unzipSync(zip)['ro-crate-metadata.json'] as Uint8Array)) as { '@graph': Entity[] })[
    '@graph'
  ]

describe('a crate', () => {
  test('comes in again to the very lines that went out, whichever they were', async () => {
    await fc.assert(
      fc.asyncProperty(fc.subarray([...golden.entries]), async (entries) => {
        const held = crate.unpack('x.zip', await packed(entries))
        expect(held.ok).toBe(true)
        const back = held.ok ? (JSON.parse(held.text) as { entries: RawEntry[] }).entries : []
        expect(back).toEqual(entries)
        expect(summaryOf(fold(back), NOW)).toEqual(summaryOf(fold(entries), NOW))
      }),
      { numRuns: 12 },
    )
  })
  test('says what each of its files is: what the specification asks for, units, simulated or not, the version', async () => {
    const zip = await packed(golden.entries)
    const files = unzipSync(zip)
    expect(Object.keys(files)[0]).toBe('ro-crate-metadata.json')
    const graph = graphOf(zip)
    const of = (id: string) => graph.find((entity) => entity['@id'] === id)
    expect(of('ro-crate-metadata.json')).toMatchObject({
      '@type': 'CreativeWork',
      conformsTo: { '@id': 'https://w3id.org/ro/crate/1.2' },
      about: { '@id': './' },
    })
    const root = of('./')
    expect(root).toMatchObject({ '@type': 'Dataset', name: NOTEBOOK.title, license: { '@id': '#licence' } })
    for (const asked of ['description', 'datePublished', 'hasPart']) expect(root?.[asked]).toBeTruthy()
    expect(new Set(graph.map((entity) => entity['@id'])).size).toBe(graph.length)
    const parts = (root?.['hasPart'] as { '@id': string }[]).map((part) => part['@id'])
    expect([...parts].sort()).toEqual(
      Object.keys(files)
        .filter((path) => path !== 'ro-crate-metadata.json')
        .sort(),
    )
    for (const path of parts) {
      expect(of(path)).toMatchObject({ '@type': 'File', contentSize: String(files[path]?.length) })
      expect(String(of(path)?.['sha256'])).toMatch(/^[0-9a-f]{64}$/)
    }
    // Whatever is pointed at is there.
    const pointed = [...JSON.stringify(graph).matchAll(/\{"@id":"(#[^"]+)"\}/g)].map(([, id]) => id ?? '')
    for (const id of pointed) expect(of(id)).toBeDefined()
    expect(graph.some(({ name, unitText }) => name === 'temperature' && unitText === '°C')).toBe(true)
    expect(graph.some(({ description }) => String(description).startsWith('Simulated: '))).toBe(true)
    expect(of('#software')?.['softwareVersion']).toBeTruthy()
  })
  test('its tables hold what the notebook holds, digit for digit, with units in their headings', async () => {
    const files = unzipSync(await packed(golden.entries))
    const csv = (name: string) =>
      strFromU8(files[name] as Uint8Array)
        .replace(/^\uFEFF/, '')
        .trim()
        .split('\r\n')
    const weighed = golden.entries.filter(({ kind }) => kind === 'weighed')
    const digits = weighed.flatMap(({ body }) => {
      const { net, empty, loaded } = body as {
        net?: { text: string }
        empty?: { text: string }
        loaded?: { text: string }
      }
      return [net, empty, loaded].flatMap((one) => (one ? [one.text] : []))
    })
    const [head] = csv('weighings.csv')
    for (const name of ['empty (g)', 'mass (g)', 'at (UTC)']) expect(head).toContain(name)
    for (const text of digits) expect(csv('weighings.csv').join('\n')).toContain(text)
    expect(csv('marks.csv').length - 1).toBe(golden.entries.filter(({ kind }) => kind === 'mark made').length)
    expect(csv('ranges.csv')[0]).toContain('heating rate (°C/min)')
    expect(csv('portions.csv').length).toBeGreaterThan(3)
    expect(csv('heatings.csv').length).toBeGreaterThan(20)
    expect(csv('plates.csv').join('\n')).toContain('0.')
  })
  test('a cell that a spreadsheet would take for a formula is made harmless', async () => {
    const opened = golden.entries.find(({ kind }) => kind === 'prep opened') as RawEntry
    const entries = golden.entries.map((line) =>
      line.id === opened.id
        ? { ...line, body: { ...(line.body as object), title: '=HYPERLINK("x")' } }
        : line,
    )
    const text = strFromU8(unzipSync(await packed(entries))['weighings.csv'] as Uint8Array)
    expect(text).toContain("'=HYPERLINK")
    expect(text).not.toMatch(/(^|\n|,)"?=HYPERLINK/)
  })
  test('holds its photographs, pages and schema, and the photographs come in again as they went out', async () => {
    expect(crate.picturesIn(exportOf(golden.entries))).toEqual(pictures.map(({ sha256 }) => sha256))
    const zip = await packed(golden.entries)
    expect(Object.keys(unzipSync(zip))).toEqual(
      expect.arrayContaining([
        'pages/001-benzil.pdf',
        'notebook.schema.json',
        `photographs/${pictures[0]?.sha256}.jpg`,
      ]),
    )
    const held = crate.unpack('x.zip', zip)
    expect(held).toMatchObject({ ok: true, remarks: [] })
    expect(held.ok && held.pictures).toEqual(pictures)
    const photograph = graphOf(zip).find(({ encodingFormat }) => encodingFormat === 'image/jpeg')
    expect(photograph?.['name']).toBe('Photograph: crystals')
  })
  test('a notebook that was changed after it was packed is told, by its SHA-256', async () => {
    const files = unzipSync(await packed(golden.entries))
    const text = strFromU8(files['notebook.json'] as Uint8Array)
    files['notebook.json'] = strToU8(text.replace('1.804', '1.904'))
    const held = crate.unpack('x.zip', zipSync(files))
    expect(held).toMatchObject({ ok: true, remarks: [expect.stringContaining('its SHA-256 differs')] })
  })
  test('what claims to unpack to far more than its size is not unpacked', () => {
    const blanks = zipSync({ 'notebook.json': new Uint8Array(110_000_000).fill(32) })
    expect(blanks.length).toBeLessThan(200_000)
    expect(crate.unpack('x.zip', blanks)).toMatchObject({
      ok: false,
      sentence: expect.stringContaining('not unpacked'),
    })
  })
  test('a picture that is not what its name says is left out, and said; none is written outside its place', async () => {
    const files = unzipSync(await packed(golden.entries))
    const [first] = pictures
    files[`photographs/${first?.sha256 ?? ''}.jpg`] = strToU8('<svg onload="alert(1)"/>')
    files[`photographs/${'0'.repeat(64)}.jpg`] = first?.jpeg ?? new Uint8Array()
    files['photographs/../../x.jpg'] = first?.jpeg ?? new Uint8Array()
    const held = crate.unpack('x.zip', zipSync(files))
    expect(held).toMatchObject({
      ok: true,
      pictures: [],
      remarks: [expect.stringMatching(/^2 photographs in it are left out: not a complete picture/)],
    })
  })
  test('says what each thermometer read and what was true', async () => {
    const points = [
      [80.1, 80.6],
      [121.4, 122.3],
    ]
    const entries = golden.entries.map((line) =>
      line.kind === 'melt planned'
        ? {
            ...line,
            body: {
              ...(line.body as object),
              calibration: { method: 'between the points', points, errorC: null, heating: null },
            },
          }
        : line,
    )
    const calibrationNodes = graphOf(await packed(entries)).filter(({ name }) => name === 'calibration')
    expect(calibrationNodes.length).toBeGreaterThan(0)
    expect(calibrationNodes.map(({ value }) => value).join()).toContain(
      'read 80.1, true 80.6; read 121.4, true 122.3',
    )
    expect(calibrationNodes[0]?.['unitText']).toBe('°C')
  })
  test('told to stop, it makes nothing', async () => {
    expect(await crate.pack(exportOf(golden.entries), BESIDE, NOW, (share) => share < 0.5)).toBeNull()
  })
})

describe('what is handed in', () => {
  const sentenceOf = (bytes: Uint8Array) => {
    const held = crate.unpack('x.zip', bytes)
    return held.ok ? 'unpacked' : held.sentence
  }
  const zip = (files: Record<string, string>) =>
    zipSync(Object.fromEntries(Object.entries(files).map(([path, text]) => [path, strToU8(text)])))
  const ours = JSON.stringify({ '@graph': [{ '@id': './', additionalType: 'notebook of a melting bench' }] })
  test('no zip, cut short, foreign, or without its notebook: each gets a sentence', async () => {
    expect(sentenceOf(strToU8('hello'))).toContain('“x.zip” cannot be unpacked')
    expect(sentenceOf((await packed(golden.entries)).slice(0, 4000))).toContain('cannot be unpacked')
    expect(sentenceOf(zip({ 'a.txt': 'a' }))).toContain('it is no research crate')
    expect(sentenceOf(zip({ 'ro-crate-metadata.json': '{"@graph":[{"@id":"./"}]}' }))).toContain(
      'holds no notebook of Ivory Crystal',
    )
    expect(sentenceOf(zip({ 'ro-crate-metadata.json': '{' }))).toContain('the file is damaged')
    expect(sentenceOf(zip({ 'ro-crate-metadata.json': '{"@graph":7}' }))).toContain(
      'holds no notebook of Ivory Crystal',
    )
    expect(sentenceOf(zip({ 'ro-crate-metadata.json': '{"@graph":[null]}' }))).toContain(
      'holds no notebook of Ivory Crystal',
    )
    expect(sentenceOf(zip({ 'ro-crate-metadata.json': ours }))).toContain('is incomplete')
  })
  test('a path that climbs out, and what is not looked for, is never unpacked', () => {
    const held = crate.unpack(
      'x.zip',
      zip({
        'ro-crate-metadata.json': ours,
        'notebook.json': '{}',
        '../../notebook.json': 'evil',
        'big.bin': 'x'.repeat(1000),
      }),
    )
    expect(held).toEqual({
      ok: true,
      text: '{}',
      pictures: [],
      remarks: [expect.stringContaining('gives no SHA-256')],
    })
  })
  test('a file that says it unpacks to a mountain is left packed', () => {
    const bytes = zip({ 'ro-crate-metadata.json': ours, 'notebook.json': '{}' })
    // The size in the central directory is what is asked before anything is unpacked.
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
    for (let at = 0; at < bytes.length - 4; at++)
      if (view.getUint32(at, true) === 0x02014b50) view.setUint32(at + 24, 4_000_000_000, true)
    expect(sentenceOf(bytes)).toContain('would unpack to more than a notebook can hold')
  })
})
