import { caseLogOf, meltOf, photographsOf, type UnknownFacts } from '@ivory-crystal/core/notebook'
import { useNotebook } from '../../ledger/notebook'
import { MeltCurves } from '../../paper/MeltCurves'
import { PaperLog } from '../../paper/PaperLog'
import type { Layout } from '../../paper/layout'
import { Gallery } from '../../parts/Photographs'
import { CaseLadder } from './CaseLadder'
import { type SignedVerdict, SignedVerdictPart } from './SignedVerdictPart'

/** A signed case on paper. */
export function CaseSheet({
  unknown,
  signed,
  layout,
}: {
  unknown: UnknownFacts
  signed: SignedVerdict
  layout: Layout
}) {
  const view = useNotebook((state) => state.view)
  const { code, appearance } = unknown.opened.body
  const rows = [...unknown.rows, ...unknown.mixtures.flatMap(({ row }) => row ?? [])]
  const melts = [...new Set(rows.map(({ melt }) => melt))].flatMap((id) => meltOf(view, id) ?? [])
  return (
    <>
      <h1>Unknown {code}</h1>
      <p>{appearance}</p>
      <CaseLadder unknown={unknown} />
      <SignedVerdictPart unknown={unknown} signed={signed} />
      {layout === 'full' && (
        <>
          <Gallery lines={photographsOf(view, unknown.id)} />
          <MeltCurves melts={melts} />
        </>
      )}
      <hr className="rule" />
      <PaperLog lines={caseLogOf(view, unknown.id)} layout={layout} />
    </>
  )
}
