import { type MixtureFacts, mixturesOf } from '../../notebook/views/mixtures'
import { type PrepFacts, sampleOf } from '../../notebook/views/prep'
import type { PeriodContext } from './context'
import { isPacked, meltTasks, meltUnderWay } from './meltTasks'
import type { Row } from './task'

/** What was ground with a prep’s product, is packed, and has not melted yet; null where nothing is. */
export function mixtureToMelt(context: PeriodContext, prep: PrepFacts): MixtureFacts | null {
  const product = sampleOf(prep, 'product')
  if (!product || context.isFresh) return null
  const ground = mixturesOf(context.view, product.id)
  return ground.findLast((one) => one.row === null && isPacked(context, one.sample.id)) ?? null
}

/** A mixed melt is asked for by what was found; once it is ground it is work like any other, until it has melted. */
export function mixtureTasks(row: Row, context: PeriodContext, prep: PrepFacts, name: string): void {
  const ground = mixtureToMelt(context, prep)
  if (!ground) return
  meltTasks(row, context, {
    name: 'the mixture',
    what: `${name} mixed with ${ground.reference.label.toLowerCase()}`,
    label: 'watch mixture',
    place: 'melts/new',
    samples: [ground.sample.id],
    purpose: 'careful',
    isOfPrep: true,
    melt: meltUnderWay(context, [ground.sample.id]),
  })
}
