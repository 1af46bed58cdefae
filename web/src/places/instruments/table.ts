import { cellsIn, isNumber, numberIn } from '../../format/cells'

export type PairsRead =
  | { readonly ok: true; readonly pairs: readonly (readonly [number, number])[] }
  | { readonly ok: false; readonly sentence: string }

/** More than this is thinned evenly. */
const MOST = 4000

/** Two columns of numbers, typed or from a file: minutes (or seconds by their heading) and °C. */
export function readPairs(text: string): PairsRead {
  if (text.trim() === '')
    return { ok: false, sentence: 'Nothing has been typed. Type one reading per line: minutes and °C.' }
  const data = cellsIn(text)
  const heading = data[0]?.some((cell) => !isNumber(cell)) === true
  const inSeconds = heading && /sec|\bs\b/i.test(data[0]?.[0] ?? '')
  const rows = heading ? data.slice(1) : data
  const pairs: [number, number][] = []
  for (const [i, row] of rows.entries()) {
    const [first = '', second = ''] = row
    if (!isNumber(first) || !isNumber(second))
      return {
        ok: false,
        sentence: `Line ${i + (heading ? 2 : 1)} is not a time and a temperature: “${row.join(' ').slice(0, 60)}”.`,
      }
    const [time, temperatureC] = [first, second].map(numberIn) as [number, number]
    if (temperatureC < -100 || temperatureC > 600)
      return {
        ok: false,
        sentence: `Line ${i + (heading ? 2 : 1)}: a block at ${temperatureC} °C cannot be.`,
      }
    pairs.push([inSeconds ? time / 60 : time, temperatureC])
  }
  if (pairs.some(([minute], i) => minute < (pairs[i - 1]?.[0] ?? 0)))
    return { ok: false, sentence: 'The times go backwards, or begin below 0.' }
  const every = Math.ceil(pairs.length / MOST)
  return { ok: true, pairs: pairs.filter((_, i) => i % every === 0) }
}
