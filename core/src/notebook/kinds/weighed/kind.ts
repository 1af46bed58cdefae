import type { Weighing } from '../../../weighing/netMass'
import type { Reading } from '../../../units'
import { defineKind } from '../defineKind'

interface Balance {
  readonly readabilityG: number
  /** How the digits came in. */
  readonly from: 'typed' | 'simulated balance'
}
/** One weighing of a sample, digit for digit. */
export type Weighed =
  | (Balance & { readonly method: 'tared'; readonly net: Reading })
  | (Balance & {
      readonly method: 'difference'
      readonly empty: Reading
      readonly loaded: Reading
      /** By which name the vessel is known, so that its empty mass is found again. */
      readonly vessel?: string | undefined
    })
export const weighed = defineKind<Weighed>()({
  kind: 'weighed',
  version: 2,
  about: 'sample',
  sentence: (body) => {
    const how = body.from === 'simulated balance' ? ' (simulated balance)' : ''
    return body.method === 'tared'
      ? `Weighed ${body.net.text} g, tared${how}.`
      : `Weighed ${body.loaded.text} g loaded, ${body.empty.text} g empty${how}.`
  },
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
