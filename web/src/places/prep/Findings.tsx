import css from './Judge.module.css'
import type { Judgement } from '@ivory-crystal/core'
import { capital } from '../../format/format'

export function headline(verdict: Judgement['verdict'], name: string): string {
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
      return 'Cannot tell from this range'
  }
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
