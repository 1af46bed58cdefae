import type { Reading, Weighing } from '../../contract'
import { defineKind } from '../defineKind'

/** One weighing of a sample, digit for digit. */
export type Weighed =
  | { readonly method: 'tared'; readonly net: Reading; readonly readabilityG: number }
  | {
      readonly method: 'difference'
      readonly empty: Reading
      readonly loaded: Reading
      readonly readabilityG: number
    }
export const weighed = defineKind<Weighed>()({
  kind: 'weighed',
  version: 1,
  about: 'sample',
  sentence: (body) =>
    body.method === 'tared'
      ? `Weighed ${body.net.text} g, tared.`
      : `Weighed ${body.loaded.text} g loaded, ${body.empty.text} g empty.`,
})

/** The numbers of a weighing, without their text. */
export function weighingOf(body: Weighed): Weighing {
  return body.method === 'tared'
    ? { method: 'tared', netG: body.net.value, readabilityG: body.readabilityG }
    : {
        method: 'difference',
        emptyG: body.empty.value,
        loadedG: body.loaded.value,
        readabilityG: body.readabilityG,
      }
}
