import { base32crockford } from '@scure/base'
import { ImpossibleInput, type Result, attempt } from '../../problems'
import type { Compound } from '../../substances/shelf'
import { type MadeExercise, MADE_LIMITS, MADE_ON, MADE_RATES } from './made'

const VERSION = 1

const WIDTHS = [3, 18, 18, 6, 4, 1, 2, 3, 4, 21] as const

const BYTES = 10

const GROUP = 5

const WRONG_LETTER = 'A letter of that code is wrong or missing. Compare it with the code you were given.'

/**
 * A short code that holds the whole of an exercise: letters and figures without the ones that look alike, in groups
 * of five. What is in it is hidden from a glance, not from somebody who wants to know.
 *
 * @throws ImpossibleInput on what no code can hold
 */
export function codeOf(made: MadeExercise): string {
  const { impurityPercent, fillMm, minutes, seed } = made
  for (const [value, most, what] of [
    [impurityPercent, MADE_LIMITS.impurityPercent, 'The impurity, in mol %,'],
    [fillMm, MADE_LIMITS.fillMm, 'The height of the sample, in mm,'],
    [minutes, MADE_LIMITS.minutes, 'The time, in minutes,'],
    [seed, MADE_LIMITS.seed, 'The seed'],
  ] as const)
    if (!Number.isInteger(value) || value < 0 || value > most)
      throw new ImpossibleInput('bad-options', `${what} is a whole number up to ${most}.`)
  if (fillMm < 1) throw new ImpossibleInput('bad-fill', 'A tube with nothing in it cannot melt.')
  const fields = [
    VERSION,
    hashOf(made.compound),
    made.impurity === null ? 0 : hashOf(made.impurity),
    impurityPercent,
    fillMm,
    made.grain === 'coarse' ? 1 : 0,
    MADE_ON.indexOf(made.instrument),
    MADE_RATES.indexOf(made.rateCPerMin),
    minutes,
    seed,
  ]
  let bits = 0n
  fields.forEach((value, i) => {
    bits = (bits << BigInt(WIDTHS[i] ?? 0)) | BigInt(value)
  })
  const payload = Uint8Array.from({ length: BYTES }, (_, i) =>
    Number((bits >> BigInt(8 * (BYTES - 1 - i))) & 255n),
  )
  const check = checkOf(payload)
  const letters = base32crockford.encode(Uint8Array.from([...payload, check >> 8, check & 255]))
  return (letters.match(new RegExp(`.{1,${GROUP}}`, 'g')) ?? []).join('-')
}

/**
 * The exercise a code stands for.
 *
 * @param compounds of this shelf
 * @returns a sentence where the code is damaged, of a newer version, or of a compound that is not on this shelf
 */
export function madeFromCode(code: string, compounds: readonly Compound[]): Result<MadeExercise> {
  return attempt(() => {
    const letters = code.toUpperCase().replaceAll(/[\s-]/g, '').replaceAll('O', '0').replaceAll(/[IL]/g, '1')
    const bytes = bytesOf(letters)
    const payload = bytes.slice(0, BYTES)
    if (((bytes[BYTES] ?? 0) << 8) + (bytes[BYTES + 1] ?? 0) !== checkOf(payload))
      throw new ImpossibleInput('bad-options', WRONG_LETTER)
    let bits = payload.reduce((sum, byte) => (sum << 8n) | BigInt(byte), 0n)
    const fields: number[] = []
    for (const width of [...WIDTHS].reverse()) {
      fields.unshift(Number(bits & ((1n << BigInt(width)) - 1n)))
      bits >>= BigInt(width)
    }
    const [
      version,
      compound,
      impurity,
      impurityPercent = 0,
      fillMm = 0,
      coarse,
      on = 0,
      rate = 0,
      minutes = 0,
      seed = 0,
    ] = fields
    if (version !== VERSION)
      throw new ImpossibleInput(
        'bad-options',
        'That code was made by a newer version of the app and cannot be read here.',
      )
    const instrument = MADE_ON[on]
    const rateCPerMin = MADE_RATES[rate]
    if (!instrument || !rateCPerMin || fillMm < 1)
      throw new ImpossibleInput('bad-options', 'That code holds something that this version does not know.')
    return {
      compound: named(compound ?? 0, compounds),
      impurity: impurity ? named(impurity, compounds) : null,
      impurityPercent,
      fillMm,
      grain: coarse === 1 ? 'coarse' : 'fine',
      instrument,
      rateCPerMin,
      minutes,
      seed,
    }
  })
}

function bytesOf(letters: string): Uint8Array {
  const whole = /^[0-9A-HJKMNP-TV-Z]{20}$/.test(letters)
  if (!whole)
    throw new ImpossibleInput(
      'bad-options',
      `A code has twenty letters and figures in groups of five, such as the one you were given; this has ${letters.length}${letters.length === 20 ? ', and one of them is not used in codes' : ''}.`,
    )
  try {
    return base32crockford.decode(letters)
  } catch {
    // Bits at its end that no code has.
    throw new ImpossibleInput('bad-options', WRONG_LETTER)
  }
}

function named(hash: number, compounds: readonly Compound[]): string {
  const found = compounds.filter(({ id }) => hashOf(id) === hash)
  if (found.length !== 1)
    throw new ImpossibleInput(
      'bad-options',
      'That exercise uses a compound that is not on this shelf. Add it under the same name, or ask for the file.',
    )
  return found[0]?.id ?? ''
}

/** FNV-1a of an id, folded to what a code has room for; never 0. */
function hashOf(id: string): number {
  let hash = 0x811c9dc5
  for (let i = 0; i < id.length; i++) hash = Math.imul(hash ^ id.charCodeAt(i), 0x01000193) >>> 0
  return ((hash >>> 18) ^ (hash & 0x3ffff)) & 0x3ffff || 1
}

/** CRC-16 (CCITT): one wrong letter is always found. */
function checkOf(bytes: Uint8Array): number {
  let crc = 0xffff
  for (const byte of bytes) {
    crc ^= byte << 8
    for (let bit = 0; bit < 8; bit++)
      crc = crc & 0x8000 ? ((crc << 1) ^ 0x1021) & 0xffff : (crc << 1) & 0xffff
  }
  return crc
}
