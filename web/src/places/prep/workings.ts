import {
  accountOf,
  type PrepFacts,
  putAsideOf,
  recoveryOf,
  sampleOf,
  type View,
} from '@ivory-crystal/core/notebook'
import { crudeInText } from '@ivory-crystal/core/procedures'
import { fixed, netMassText, withUncertainty } from '../../format/format'

/** A result of the page, with the numbers of the same page that it was worked out from. */
export interface Worked {
  readonly key: string
  readonly label: string
  /** With its unit. */
  readonly result: string
  /** “1.3914 g ÷ 1.804 g”: what is printed gives what is printed. */
  readonly from: string | null
}

/** Every per cent of the page and how it comes about. */
export function workingsOf(view: View, prep: PrepFacts): readonly Worked[] {
  const recovery = recoveryOf(prep)
  const account = accountOf(view, prep.id)
  const sums = account.ok ? account.value : null
  const plan = prep.plan?.body
  const aside = putAsideOf(prep)
  const massOf = (role: 'crude' | 'product' | 'second crop' | 'residue' | 'grit') => {
    const weighing = sampleOf(prep, role)?.weighing
    return weighing ? netMassText(weighing.body) : null
  }
  const weighed = massOf('crude')
  const crude = aside && weighed !== null ? crudeInText({ ...aside, crudeText: weighed }) : weighed
  const product = massOf('product')
  const second = massOf('second crop')
  const crops = second === null ? `${product ?? ''} g` : `(${product ?? ''} g + ${second} g)`
  const found = ['residue', 'grit'].flatMap((role) => massOf(role as 'residue' | 'grit') ?? [])
  const over = (top: string) => (crude === null || product === null ? null : `${top} ÷ ${crude} g`)
  return [
    {
      key: 'recovery',
      label: `Percent recovery, of the crude${aside ? ' that went in' : ''}`,
      result: recovery.ok ? `${withUncertainty(recovery.value.percent)} %` : 'not known',
      from: recovery.ok ? over(`${product ?? ''} g`) : null,
    },
    ...(sums && second !== null
      ? [
          {
            key: 'both crops',
            label: 'Percent recovery, both crops',
            result: `${withUncertainty(sums.ofCrude)} %`,
            from: over(crops),
          },
        ]
      : []),
    ...(sums?.ofProduct && plan
      ? [
          {
            key: 'of the compound',
            label: `Percent recovery, of the ${prep.opened.body.compound.name} estimated in it`,
            result: `${withUncertainty(sums.ofProduct)} %`,
            from:
              crude === null
                ? null
                : `${crops}${times(plan.result.crystalMassFraction)} ÷ (${crude} g × ${share(plan.input.assay)})`,
          },
        ]
      : []),
    ...(sums?.yield && prep.reaction
      ? [
          {
            key: 'yield',
            label: `Percent yield, from ${sums.yield.from}`,
            result: `${fixed(sums.yield.percent, 1)} %`,
            from: `${crops} ÷ (${prep.reaction.body.limitingMass.text} g ÷ ${fixed(prep.reaction.body.limiting.molarMassGPerMol, 2)} g/mol × ${prep.reaction.body.productPerLimiting} × ${fixed(prep.opened.body.compound.molarMassGPerMol, 2)} g/mol)`,
          },
        ]
      : []),
    ...(sums?.closurePercent != null
      ? [
          {
            key: 'accounted',
            label: 'Accounted for by weighing',
            result: `${fixed(sums.closurePercent, 1)} %`,
            from: over(`(${[product, second, ...found].filter((one) => one !== null).join(' g + ')} g)`),
          },
        ]
      : []),
    ...(plan
      ? [
          {
            key: 'planned',
            label: 'Planned recovery, the most to expect',
            result: `${fixed(plan.result.recoveryPercentOfCrude, 0)} %`,
            from: null,
          },
        ]
      : []),
  ]
}

/** A fraction to the digits it needs to work with. */
const share = (value: number) => fixed(value, 4).replace(/\.?0+$/, '')

const times = (fraction: number) => (share(fraction) === '1' ? '' : ` × ${share(fraction)}`)
