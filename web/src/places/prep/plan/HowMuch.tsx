import { useMemo } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { eutectic } from '@ivory-crystal/core/melting'
import type { Draft, Planned } from '@ivory-crystal/core/planning'
import { attempt } from '@ivory-crystal/core/problems'
import { filterExcessML, type Insert } from '@ivory-crystal/core/procedures'
import {
  AGAINST_OILING,
  depositsFromC,
  leastSolventForPurity,
  oilingRisk,
  type ProposedVolume,
  solventTradeoff,
} from '@ivory-crystal/core/solubility'
import { boilsFromC, type Compound, fusionOf, type Solvent } from '@ivory-crystal/core/substances'
import { capital, fixed, millilitres } from '../../../format/format'
import { NumberField } from '../../../parts/NumberField'
import { TradeoffChart } from '../../../drawings/TradeoffChart'
import { Why } from '../../../parts/Why'
import { Term } from '../../../parts/Term'

const STEPS = 60

/** How much solvent: recovery and purity against volume, with the mark to drag. */
export function HowMuch({
  planned,
  compound,
  impurity,
  solvent,
  amount,
  inserts,
  crudeOnsetC,
  numberAt,
  onVolume,
  onAmount,
}: {
  planned: Planned | null
  compound: Compound
  impurity: Compound | null
  solvent: Solvent | undefined
  amount: Draft['amount']
  inserts: readonly Insert[]
  crudeOnsetC: number | undefined
  numberAt: (field: 'hotC' | 'coldC' | 'washML' | 'volumeML') => {
    readonly value: string
    readonly error: string | null
    readonly onChange: (value: string) => void
  }
  onVolume: (ml: number) => void
  onAmount: (amount: Draft['amount']) => void
}) {
  return (
    <>
      {planned && <Tradeoff planned={planned} compound={compound} impurity={impurity} onVolume={onVolume} />}
      <div className="row-of align-items-start mt-2">
        <NumberField label="hot, °C" {...numberAt('hotC')} />
        <NumberField label="cold, °C" {...numberAt('coldC')} />
        <NumberField
          label="cold rinse, mL"
          {...numberAt('washML')}
          help={
            planned
              ? planned.proposedWashML > 0
                ? `usual: ${planned.proposedWashML}`
                : 'usual: none, pressed dry'
              : ''
          }
        />
        {!planned?.pair && (
          <NumberField
            label="volume to use, mL"
            {...numberAt('volumeML')}
            help={
              planned
                ? `proposed: ${millilitres(planned.proposed.ml)}, ${reasonOf(planned.proposed, impurity)}`
                : 'proposed when it can be'
            }
          />
        )}
      </div>
      {planned && <Grit planned={planned} impurity={impurity} inserts={inserts} />}
      {planned && !planned.pair && <PurityWanted planned={planned} onVolume={onVolume} />}
      {!planned?.pair && (
        <fieldset className="mt-2 row-of align-items-center">
          <legend className="form-label float-none w-auto mb-0">how it is added</legend>
          {(['least hot solvent', 'measured volume'] as const).map((one) => (
            <Form.Check
              key={one}
              type="radio"
              id={`amount-${one}`}
              name="amount"
              label={one === 'least hot solvent' ? 'least hot solvent, by portions' : 'one measured volume'}
              checked={amount === one}
              onChange={() => {
                onAmount(one)
              }}
            />
          ))}
          {planned && (
            <span className="quiet">
              {amount === 'measured volume'
                ? `All ${fixed(planned.plan.hotML, 1)} mL at once: simple, but the product that would dissolve in ${millilitres(planned.plan.minimumHotML)} stays dissolved a little more.`
                : `Dissolve near ${millilitres(planned.plan.minimumHotML)} mL, and add the rest hot afterwards.`}
            </span>
          )}
        </fieldset>
      )}
      {planned && solvent && (
        <Oiling
          planned={planned}
          compound={compound}
          impurity={impurity}
          solvent={solvent}
          crudeOnsetC={crudeOnsetC}
        />
      )}
    </>
  )
}

/** Why a volume is proposed, after its figure. */
function reasonOf({ because }: ProposedVolume, impurity: Compound | null): string {
  switch (because) {
    case 'a tenth over the least':
      return 'a tenth over the least, so that it does not all crystallize at once'
    case 'keeps the impurity dissolved':
      return `where ${impurity?.name ?? 'the impurity'} stays dissolved cold`
    case 'room to work':
      return 'more than dissolves it, so that there is enough mother liquor'
    case 'no room to work':
      return 'and still hardly any mother liquor: see beside'
    case 'for recovery and room':
      return 'the proportion with the best recovery and room to work'
  }
}

/** What to do about solid that will not dissolve, in the words of the steps. */
function Grit({
  planned: { plan, pair },
  impurity,
  inserts,
}: {
  planned: Planned
  impurity: Compound | null
  inserts: readonly Insert[]
}) {
  if (plan.gritG <= 0) return null
  const excessML = filterExcessML({ result: plan, pair, inserts })
  return (
    <p className="look mt-2 mb-0">
      About {fixed(plan.gritG, 3)} g of {impurity?.name ?? 'the impurity'} does not dissolve even when hot: it
      is <Term of="grit" />. Filter the hot liquid off it
      {excessML > 0
        ? `, with ${fixed(excessML, 1)} mL more so that nothing crystallizes on the way, and evaporate that again.`
        : `: ${fixed(plan.hotML, 1)} mL keeps the rest dissolved on the way.`}
      {inserts.length === 0 && ' For fine grit, choose hot filtration under “Procedure”.'}
    </p>
  )
}

export function Tradeoff({
  planned: { input, plan, pair },
  compound,
  impurity,
  onVolume,
}: {
  planned: Pick<Planned, 'input' | 'plan' | 'pair'>
  compound: Compound
  impurity: Compound | null
  onVolume: ((ml: number) => void) | null
}) {
  const mostML = spanML(plan.minimumHotML, plan.impurityStaysDissolvedML, plan.hotML)
  const curve = useMemo(() => {
    const plans = attempt(() => solventTradeoff(input, { fromML: 0, toML: mostML, steps: STEPS }))
    return plans.ok ? plans.value : []
  }, [input, mostML])
  if (pair)
    return (
      <p className="mt-1">
        {fixed(pair.goodML, 1)} mL to dissolve, then about {fixed(pair.poorML, 1)} mL of {pair.solvent.name}{' '}
        until it turns cloudy.{' '}
        <span className="quiet">
          The two solubilities are mixed log-linearly, which is a rough guide. The impurity is assumed to stay
          dissolved.
        </span>
      </p>
    )
  if (curve.length === 0) return null
  return (
    <TradeoffChart
      points={curve.map((one) => ({
        ml: one.hotML,
        recoveryPercent: one.recoveryPercentOfProduct,
        purityPercent: one.impurityAssumedDissolved ? null : 100 * one.crystalMassFraction,
      }))}
      leastML={plan.minimumHotML}
      staysDissolvedML={plan.impurityStaysDissolvedML}
      impurity={impurity?.name ?? 'impurity'}
      product={compound.name}
      volumeML={plan.hotML}
      onChange={onVolume}
    />
  )
}

/** Room to see both what is planned and where the impurity stays dissolved, held still while the mark is dragged. */
function spanML(leastML: number, staysML: number | null, hotML: number): number {
  const wanted = Math.max(4 * leastML, Math.min(1.5 * (staysML ?? 0), 12 * leastML), 1.05 * hotML)
  const base = 10 ** Math.floor(Math.log10(wanted))
  return ([1, 1.5, 2, 3, 4, 5, 6, 8, 10].find((one) => one * base >= wanted - 1e-9) ?? 10) * base
}

const PURITIES = [0.98, 0.99, 0.995, 0.999]

function PurityWanted({
  planned: { input, plan },
  onVolume,
}: {
  planned: Planned
  onVolume: (ml: number) => void
}) {
  if (plan.impurityAssumedDissolved || input.assay >= 1) return null
  const rows = PURITIES.filter((purity) => purity > input.assay).map((purity) => ({
    purity,
    found: attempt(() => leastSolventForPurity(input, purity)),
  }))
  return (
    <p className="quiet mt-1 mb-0">
      Least for a purity:{' '}
      {rows.map(({ purity, found }) => {
        if (!found.ok) return null
        const percent = `${fixed(100 * purity, purity > 0.99 ? 1 : 0)} %`
        return 'ml' in found.value ? (
          <Button
            key={purity}
            variant="link"
            size="sm"
            className="me-3"
            onClick={() => {
              if ('ml' in found.value) onVolume(Math.ceil(found.value.ml * 10 - 1e-6) / 10)
            }}
          >
            {percent} at {fixed(found.value.ml, 1)} mL
          </Button>
        ) : (
          <span key={purity} className="me-3">
            {percent} not by one crystallization (best {fixed(100 * found.value.best, 0)} %)
          </span>
        )
      })}
    </p>
  )
}

function Oiling({
  planned: { input, pair },
  compound,
  impurity,
  solvent,
  crudeOnsetC,
}: {
  planned: Planned
  compound: Compound
  impurity: Compound | null
  solvent: Solvent
  crudeOnsetC: number | undefined
}) {
  const risk = attempt(() => {
    const fusion = fusionOf(compound)
    return oilingRisk({
      saturationC: depositsFromC(input),
      crudeOnsetC,
      eutecticC: impurity ? eutectic(fusion, fusionOf(impurity)).temperatureC : undefined,
      meltingPointC: fusion.meltingPointC,
      boilingPointC: boilsFromC(solvent),
      fromWater: solvent.group === 'water' || pair?.solvent.group === 'water',
    })
  })
  if (!risk.ok) return null
  const { level, because } = risk.value
  return (
    <div className={level === 'low' ? 'mt-3' : 'look mt-3'}>
      <b>
        {level === 'low'
          ? 'Oiling: little risk.'
          : level === 'some'
            ? 'Oiling: some risk.'
            : 'Oiling: likely.'}
      </b>{' '}
      {because} <Why of="oiling" />
      {level !== 'low' && (
        <ul className="mb-0 mt-1 ps-3 quiet">
          {AGAINST_OILING.map((help) => (
            <li key={help}>{capital(help)}</li>
          ))}
        </ul>
      )}
    </div>
  )
}
