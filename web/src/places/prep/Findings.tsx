import css from './Judge.module.css'
import type { Judgement } from '@ivory-crystal/core/judging'
import { listed } from '@ivory-crystal/core/words'
import { capital } from '../../format/format'

export function headline(
  { verdict, measured }: Pick<Judgement, 'verdict' | 'measured'>,
  name: string,
): string {
  switch (verdict) {
    case 'consistent with pure':
      return `Consistent with pure ${name}`
    case 'nearly pure':
      return `Nearly pure ${name}`
    case 'impure':
      return `Impure ${name}`
    case 'not this compound':
      return `Not ${name}, by this range`
    case 'cannot tell':
      return measured ? 'Cannot tell from this range' : 'Cannot tell: there is no range'
  }
}

/** Judged by a build that kept what it measured, and from a range. */
export function isMeasured(
  judgement: Judgement,
): judgement is Judgement & { readonly measured: NonNullable<Judgement['measured']> } {
  return judgement.measured !== null && judgement.budget.length > 0
}

export function Findings({ judgement }: { judgement: Judgement }) {
  return (
    <dl className={css.findings}>
      {judgement.findings.map((finding) => [
        <dt key={`${finding.code} head`}>{capital(finding.headline)}</dt>,
        <dd key={finding.code}>{finding.sentence}</dd>,
      ])}
    </dl>
  )
}

/** What a signature leaves open, in a sentence said beside it; empty where nothing is. */
export function notChecked(judgement: Judgement): string {
  return judgement.notChecked.length === 0 ? '' : `Not checked: ${listed(judgement.notChecked)}.`
}
