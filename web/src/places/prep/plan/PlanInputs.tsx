import css from './PlanForm.module.css'
import classNames from 'classnames'
import type { PrepFacts } from '@ivory-crystal/core/notebook'
import {
  type Draft,
  type DraftField,
  keptBackG,
  shelfPoints,
  solventsFor,
  typedPoints,
  withSecond,
  withSolvent,
} from '@ivory-crystal/core/planning'
import { crudeInText, proposedKeptBackG } from '@ivory-crystal/core/procedures'
import type { Shelf } from '@ivory-crystal/core/wire'
import { useMemo } from 'react'
import Form from 'react-bootstrap/Form'
import { fixed } from '../../../format/format'
import { CompoundField, compoundNamed } from '../../../parts/CompoundField'
import { NumberField } from '../../../parts/NumberField'
import { AssayProposal } from './AssayProposal'
import { SecondSolvent } from './SecondSolvent'

/** What the crude is, what of it is put aside, and what it is dissolved in. */
export function PlanInputs({
  prep,
  shelf,
  draft,
  weighedG,
  crudeText,
  numberAt,
  errorAt,
  onChange,
}: {
  prep: PrepFacts
  shelf: Shelf
  draft: Draft
  weighedG: number
  crudeText: string
  numberAt: (field: 'assayPercent' | 'keptBackMg') => {
    readonly value: string
    readonly error: string | null
    readonly onChange: (value: string) => void
  }
  errorAt: (field: DraftField) => string | null
  onChange: (change: Partial<Draft>) => void
}) {
  const { compound } = prep.opened.body
  const solvents = useMemo(() => solventsFor(shelf, compound), [shelf, compound])
  const impurity = compoundNamed(shelf, draft.impurity)
  const solventError = errorAt('solvent')
  const aside = keptBackG(draft, weighedG)
  return (
    <div className={classNames(css.planInputs, 'mt-2')}>
      <div>
        <NumberField
          label={`${compound.name} in it, %`}
          className=""
          {...numberAt('assayPercent')}
          help="by mass, estimated"
        />
        <AssayProposal
          prep={prep}
          impurity={impurity}
          onTake={(assayPercent) => {
            onChange({ assayPercent })
          }}
        />
      </div>
      <CompoundField
        label="impurity, if known"
        value={draft.impurity}
        invalid={draft.impurity !== '' && !impurity}
        isAddable
        help={
          draft.impurity !== '' && !impurity
            ? 'not on the shelf; leave it empty if it has no name there'
            : 'a name from the shelf'
        }
        onChange={(typed) => {
          const picked = compoundNamed(shelf, typed)
          onChange({
            impurity: typed,
            impurityPoints: picked ? typedPoints(shelfPoints(shelf, picked.id, draft.solvent)) : [],
          })
        }}
      />
      <div>
        <Form.Label htmlFor="solvent">solvent</Form.Label>
        <Form.Select
          id="solvent"
          value={draft.solvent}
          isInvalid={solventError !== null}
          onChange={(event) => {
            onChange(withSolvent(shelf, compound, impurity, event.target.value, draft.second))
          }}
        >
          {[true, false].map((known) => (
            <optgroup key={String(known)} label={known ? 'points on the shelf' : 'nothing known'}>
              {solvents
                .filter((one) => one.known === known)
                .map(({ solvent: one }) => (
                  <option key={one.id} value={one.id}>
                    {one.name}
                  </option>
                ))}
            </optgroup>
          ))}
        </Form.Select>
        {solventError && (
          <div className="invalid-feedback" role="alert">
            {solventError}
          </div>
        )}
        <SecondSolvent
          shelf={shelf}
          chosen={draft.second}
          error={errorAt('second') ?? errorAt('secondPoints')}
          onChoose={(id) => {
            onChange(withSecond(shelf, compound, draft, id))
          }}
        />
      </div>
      <div className={css.aside}>
        <NumberField label="kept back, mg" {...numberAt('keptBackMg')} />
        <p className="quiet mb-0">
          for its melting range, a plate and a seed crystal: usually{' '}
          {fixed(1000 * proposedKeptBackG(weighedG), 0)} mg; 0 if you kept it back before weighing
          {aside > 0 && aside < weighedG && <>. {crudeInText({ crudeText, keptBackG: aside })} g go in</>}
        </p>
      </div>
    </div>
  )
}
