import css from './WhichSolvent.module.css'
import classNames from 'classnames'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { candidatesOf, shelfPoints } from '@ivory-crystal/core/planning'
import {
  gentlerThan,
  type RankedSolvent,
  rankSolvents,
  type SolventPart,
  type TubeToTry,
  tubesToTry,
} from '@ivory-crystal/core/solubility'
import { type Compound, hazardLine, type SolubilityRow, type Solvent } from '@ivory-crystal/core/substances'
import type { Shelf } from '@ivory-crystal/core/wire'
import { capital, fixed } from '../../../format/format'
import { Why } from '../../../parts/Why'

const PART_NAMES: Readonly<Record<SolventPart, string>> = {
  recovery: 'recovery',
  purity: 'purity',
  volume: 'volume',
  oiling: 'oiling',
  freezing: 'ice bath',
  drying: 'drying',
  certainty: 'how sure',
}

/** Every solvent of the shelf for this crude, ranked, each part of the score with its sentence. */
export function WhichSolvent({
  shelf,
  compound,
  impurity,
  crudeG,
  assay,
  crudeOnsetC,
  chosen,
  closed,
  onChoose,
}: {
  shelf: Shelf
  compound: Compound
  impurity: Compound | null
  crudeG: number
  assay: number
  crudeOnsetC: number | undefined
  chosen: string
  /** Ids the lab has closed. */
  closed: readonly string[]
  onChoose: (id: string) => void
}) {
  const [open, setOpen] = useState<string | null>(null)
  const ranked = useMemo(
    () =>
      rankSolvents(
        { compound, impurity, crudeG, assay, crudeOnsetC },
        candidatesOf(shelf, compound, impurity).filter(({ solvent }) => !closed.includes(solvent.id)),
      ),
    [shelf, compound, impurity, crudeG, assay, crudeOnsetC, closed],
  )
  const scored = ranked.filter(({ score }) => score !== null)
  const ruledOut = ranked.filter(({ isRuledOut }) => isRuledOut)
  const unknown = ranked.filter(({ score, isRuledOut }) => score === null && !isRuledOut)
  const shut = shelf.solvents.filter(({ id }) => closed.includes(id))
  const known = new Set(scored.map(({ solvent }) => solvent.id))
  const tubes = tubesToTry(
    compound,
    shelf.solvents.filter(({ id }) => !closed.includes(id)),
  ).filter(({ solvents }) => solvents.length > 1 || solvents.some(({ id }) => !known.has(id)))
  return (
    <>
      {scored.length === 0 && (
        <p>
          Nothing is known of {compound.name} in any solvent of the shelf. Type a point under “Solubility”, or
          try a few solvents in test tubes.
        </p>
      )}
      {scored.length > 0 && (
        <table className={classNames(css.solvents, 'lines stacks')}>
          <thead>
            <tr>
              <th>solvent</th>
              <th>
                score <Why of="ranking" />
              </th>
              {Object.values(PART_NAMES).map((name) => (
                <th key={name} className={css.part}>
                  {name}
                </th>
              ))}
              <th />
            </tr>
          </thead>
          <tbody>
            {scored.map((one) => (
              <SolventRow
                key={one.solvent.id}
                one={one}
                gentler={gentlerThan(one.solvent, shelf.solvents)}
                sources={sourcesOf(shelfPoints(shelf, compound.id, one.solvent.id))}
                isOpen={open === one.solvent.id}
                isChosen={chosen === one.solvent.id}
                onOpen={() => {
                  setOpen(open === one.solvent.id ? null : one.solvent.id)
                }}
                onChoose={() => {
                  onChoose(one.solvent.id)
                }}
              />
            ))}
          </tbody>
        </table>
      )}
      {ruledOut.map(({ solvent, sentence }) => (
        <p key={solvent.id} className="look mt-2 mb-0">
          Not {solvent.name}: {sentence}
        </p>
      ))}
      {shut.length > 0 && (
        <p className="quiet mt-2">
          Not allowed by the house rules of this lab: {shut.map(({ name }) => name).join(', ')}.
        </p>
      )}
      {scored.length === 1 && (
        <p className="look mt-2 mb-0">
          Hot and cold are known in {scored[0]?.solvent.name} only, so there is nothing to compare it with.
          Try others in test tubes.
        </p>
      )}
      <TubesToTry tubes={tubes} />
      {unknown.length > 0 && (
        <p className="quiet mt-2">
          Not known, so not ranked: {unknown.map(({ solvent }) => solvent.name).join(', ')}. Add points on the
          shelf, or try them in a tube.
        </p>
      )}
    </>
  )
}

/** What to try in test tubes, by the classes handbooks tell. */
function TubesToTry({ tubes }: { tubes: readonly TubeToTry[] }) {
  if (tubes.length === 0) return null
  return (
    <section className="mt-3" aria-label="Worth a test tube">
      <h3>Worth a test tube</h3>
      <dl className="parts">
        {tubes.slice(0, TUBES_SHOWN).map(({ solvents, because }) => {
          const names = solvents.map(({ name }) => name).join(' and ')
          return [<dt key={names}>{capital(names)}</dt>, <dd key={`${names} because`}>{because}.</dd>]
        })}
      </dl>
      <p className="quiet mb-0">
        From the classes in general handbooks, medium confidence: a guide for what to try, not for amounts.
      </p>
    </section>
  )
}
const TUBES_SHOWN = 5

/** Where the solubilities of a row come from, and how sure they are. */
function sourcesOf(rows: readonly SolubilityRow[]): string {
  const sentences = rows.map(({ source, confidence }) =>
    confidence === null ? source : `${source}, ${confidence} confidence`,
  )
  return [...new Set(sentences)].join('; ')
}

function SolventRow({
  one,
  gentler,
  sources,
  isOpen,
  isChosen,
  onOpen,
  onChoose,
}: {
  one: RankedSolvent
  gentler: Solvent | null
  sources: string
  isOpen: boolean
  isChosen: boolean
  onOpen: () => void
  onChoose: () => void
}) {
  const { solvent, score, parts, plan, sentence } = one
  return (
    <>
      <tr className={isChosen ? classNames(css.first, 'chosen') : css.first}>
        <td className="whole">
          <button type="button" className="opener text-nowrap" aria-expanded={isOpen} onClick={onOpen}>
            {isOpen ? '▾' : '▸'} {capital(solvent.name)}
          </button>
        </td>
        <td className="num fw-bold" data-name="score">
          {fixed(100 * (score ?? 0), 0)}
        </td>
        {parts.map((part) => (
          <td key={part.part} className={css.part} data-name={PART_NAMES[part.part]}>
            <Score score={part.score} name={`${PART_NAMES[part.part]}: ${part.sentence}`} />
          </td>
        ))}
        <td className="text-nowrap">
          {isChosen ? (
            <span className="quiet">in use</span>
          ) : (
            <Button size="sm" variant="link" onClick={onChoose}>
              Use it
            </Button>
          )}
        </td>
      </tr>
      <tr className={isChosen ? 'chosen' : undefined}>
        <td colSpan={10} className="quiet">
          {sentence}
          {gentler && ` ${capital(gentler.name)} does the same and is less hazardous. Try that first.`}{' '}
          <span className="hazard">{hazardLine(solvent.hazards)}</span>
        </td>
      </tr>
      {isOpen && (
        <tr>
          <td colSpan={10}>
            <dl className="parts">
              {parts.map((part) => [
                <dt key={`${part.part} name`}>{capital(PART_NAMES[part.part])}</dt>,
                <dd key={part.part}>{part.sentence}</dd>,
              ])}
              <dt>Hazards</dt>
              <dd>As listed above; not part of the score.</dd>
              <dt>Values</dt>
              <dd>
                Solvent: {solvent.source}. Solubility: {sources}.
              </dd>
              {plan && (
                <>
                  <dt>Volume</dt>
                  <dd>
                    {fixed(plan.minimumHotML, 1)} mL dissolves it hot; {fixed(plan.hotML, 1)} mL to use
                  </dd>
                </>
              )}
            </dl>
          </td>
        </tr>
      )}
    </>
  )
}

/** A score by length and not by colour alone; nothing where it is not known. */
function Score({ score, name }: { score: number | null; name: string }) {
  return (
    <svg className={css.score} viewBox="0 0 44 12" role="img" aria-label={name}>
      <title>{name}</title>
      {score !== null && <path d="M0 6.5h44" stroke="var(--hair)" />}
      {score === null ? (
        <text x="0" y="10" fontSize="11" fill="var(--ink-2)">
          ?
        </text>
      ) : (
        <rect
          y="3"
          width={Math.max(2, 44 * score)}
          height="7"
          fill={score < 0.35 ? 'var(--ember)' : score < 0.7 ? 'var(--tan)' : 'var(--teal)'}
        />
      )}
    </svg>
  )
}
