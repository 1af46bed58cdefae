import type { View } from '../fold'
import { splitInText } from './residueSplit'
import { accountOf } from './account'
import { oddFactsOf } from './oddities'
import { type PrepFacts, recoveryOf } from './prep'

/** More than this found beyond what went in is no estimate’s slack, g. */
const MORE_FOUND_G = 0.005

/** Why the recovery is under 100 %, from this prep's own numbers, in sentences. */
export function lossesOf(view: View, prep: PrepFacts): readonly string[] {
  const account = accountOf(view, prep.id)
  const recovery = recoveryOf(prep)
  if (!account.ok || !recovery.ok) return []
  const { crude, rows, residue, closurePercent } = account.value
  const plan = prep.plan?.body
  const crops = rows
    .filter(({ part }) => part === 'crystals' || part === 'second crop')
    .reduce((g, row) => g + (row.found?.value ?? 0), 0)
  const lostG = crude.value - crops
  if (lostG <= 0) return oddFactsOf(view, prep.id).map(({ sentence }) => sentence)
  const sentences = [`${lostG.toFixed(3)} g of the crude is not in the crystals.`]
  const row = (part: string) => rows.find((one) => one.part === part)
  const liquor = row('liquor')
  if (plan && liquor?.predictedG != null)
    sentences.push(
      `About ${liquor.predictedG.toFixed(3)} g was expected in the cold liquor: ${liquor.why}; the impurity was meant to stay there (estimated from ${(100 * plan.input.assay).toFixed(0)} % ${plan.compound.name}).`,
    )
  if (liquor?.found && residue)
    sentences.push(
      `${liquor.found.value.toFixed(3)} g was found in the evaporated liquor: about ${splitInText(residue).product} g ${prep.opened.body.compound.name} and ${splitInText(residue).impurity} g impurity (${residue.basis}).${residue.remark ? ` ${residue.remark}` : ''}`,
    )
  const grit = row('grit')
  const gritG = grit?.found?.value ?? grit?.predictedG ?? 0
  if (gritG > 0.0005)
    sentences.push(
      `${gritG.toFixed(3)} g ${grit?.found ? 'was left behind hot' : 'was not expected to dissolve'}, as grit.`,
    )
  const restG = row('unaccounted')?.found?.value ?? 0
  sentences.push(
    restG > 0.005
      ? `The other ${restG.toFixed(2)} g was lost in transfers, on glass and paper, and in the tubes${liquor?.found ? '' : ', or the mother liquor was warmer than planned'}.`
      : restG < -MORE_FOUND_G
        ? `${(-restG).toFixed(3)} g more is counted than went in. Less stayed in the mother liquor than predicted, or something was weighed that was not in the crude.`
        : 'This accounts for all of it within the estimates.',
  )
  if (closurePercent !== null)
    sentences.push(`${closurePercent.toFixed(1)} % of the crude is accounted for by weighing.`)
  return sentences
}
