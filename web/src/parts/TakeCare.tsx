import { LOCAL_RULES, solidCaution } from '@ivory-crystal/core/procedures'
import type { Compound, Solvent } from '@ivory-crystal/core/substances'
import { Pictograms } from '../drawings/Pictograms'
import { capital } from '../format/format'

/** Pictograms and signal word of everything on the bench, one line to each. */
export function HazardMarks({
  compound,
  solvents = [],
}: {
  compound: Compound
  solvents?: readonly Solvent[]
}) {
  const marked = [
    { name: compound.name, hazards: compound.hazards, signalWord: compound.signalWord },
    ...solvents.map(({ name, hazards }) => ({ name, hazards, signalWord: undefined })),
  ].filter(({ hazards }) => hazards.length > 0)
  return marked.map(({ name, hazards, signalWord }) => (
    <p key={name} className="mt-1 mb-1">
      <Pictograms hazards={hazards} signalWord={signalWord} /> {capital(name)}
    </p>
  ))
}

/** What the solid on the balance or in the tube asks for, on the screen where it is handled. */
export function TakeCare({ compound }: { compound: Compound }) {
  return (
    <section aria-label="Take care" className="caution">
      <span className="d-block">
        <Pictograms hazards={compound.hazards} signalWord={compound.signalWord} size={30} />
      </span>
      {solidCaution(compound, { withWord: false })} <span className="quiet">{LOCAL_RULES}</span>
    </section>
  )
}
