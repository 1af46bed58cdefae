import type { LightSample } from '@ivory-crystal/core/heating'
import { cellsIn, isNumber, numberIn } from '../../format/cells'

export type LightFile =
  | {
      readonly ok: true
      readonly trace: readonly LightSample[]
      readonly decimals: number
      readonly summary: string
    }
  | { readonly ok: false; readonly sentence: string }

const MOST_KEPT = 4000

/** Temperature and light off a file of two columns: commas, semicolons or tabs, with or without a heading. */
export function readLightFile(text: string): LightFile {
  const data = cellsIn(text)
  if (text.trimStart().startsWith('<'))
    return {
      ok: false,
      sentence: 'This is a web page or formatted text, not a table of temperature and light. Save it as CSV.',
    }
  const heading = data[0]?.some((cell) => !isNumber(cell)) === true
  const columns = columnsOf(heading ? (data[0] ?? []) : [])
  const rows = heading ? data.slice(1) : data
  const bad = rows.findIndex((row) => !isNumber(row[columns.temperature]) || !isNumber(row[columns.light]))
  if (rows.length === 0) return { ok: false, sentence: 'This file is empty.' }
  if (bad !== -1)
    return {
      ok: false,
      sentence: `Line ${bad + (heading ? 2 : 1)} is not a temperature and a light value: “${(rows[bad] ?? []).join(', ').slice(0, 60)}”.`,
    }
  const every = Math.ceil(rows.length / MOST_KEPT)
  const texts = rows.map((row) => (row[columns.temperature] ?? '').trim())
  const trace = rows
    .filter((_, i) => i % every === 0)
    .map((row) => ({
      temperatureC: numberIn(row[columns.temperature] ?? ''),
      transmission: numberIn(row[columns.light] ?? ''),
    }))
  const decimals = Math.min(
    2,
    Math.max(...texts.slice(0, 200).map((one) => one.split(/[.,]/)[1]?.length ?? 0)),
  )
  return {
    ok: true,
    trace,
    decimals,
    summary: `${rows.length} readings${every > 1 ? `, one in ${every} kept` : ''}.${texts.some((one) => one.includes(',')) ? ' Its commas were read as decimal points.' : ''}`,
  }
}

/** Columns by their heading where they have one; else temperature first, light second. */
function columnsOf(heading: readonly string[]): { temperature: number; light: number } {
  const find = (words: RegExp) => heading.findIndex((cell) => words.test(cell))
  const temperature = find(/temp|°c|\bt\b/i)
  const light = find(/light|trans|signal|intens/i)
  return temperature >= 0 && light >= 0 && temperature !== light
    ? { temperature, light }
    : { temperature: 0, light: 1 }
}
