import type { Station } from '../../../stations/stations'
import { defineKind } from '../defineKind'

/** Something went wrong and a remedy was tried; both in the words they stood in on the card. */
export interface RescueTried {
  readonly station: Station
  readonly rescue: string
  readonly remedy: string
  readonly words: { readonly rescue: string; readonly remedy: string }
  readonly helped: 'helped' | 'did not help'
}
export const rescueTried = defineKind<RescueTried>()({
  kind: 'rescue tried',
  version: 2,
  about: 'prep',
  sentence: ({ words, helped }) => `${words.rescue}: tried “${words.remedy}” It ${helped}.`,
})
