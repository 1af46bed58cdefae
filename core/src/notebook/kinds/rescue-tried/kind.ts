import { RESCUES } from '../../../procedures/rescues'
import type { Station } from '../../../stations/stations'
import { defineKind } from '../defineKind'

/** Something went wrong and a remedy was tried. */
export interface RescueTried {
  readonly station: Station
  readonly rescue: string
  readonly remedy: string
  readonly helped: 'helped' | 'did not help'
}
export const rescueTried = defineKind<RescueTried>()({
  kind: 'rescue tried',
  version: 1,
  about: 'prep',
  sentence: (body) => {
    const rescue = RESCUES.find(({ id }) => id === body.rescue)
    const remedy = rescue?.remedies.find(({ id }) => id === body.remedy)
    return `${rescue?.title ?? body.rescue}: tried “${remedy?.text ?? body.remedy}” It ${body.helped}.`
  },
})
