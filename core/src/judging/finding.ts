import type { Finding } from './judgement'

/** A number as it is said, °C or °C/min. */
export const c = (value: number) => value.toFixed(1)

export function finding(
  code: Finding['code'],
  headline: string,
  sentence: string,
  numbers: Finding['numbers'] = {},
): Finding {
  return { code, numbers, headline, sentence }
}
