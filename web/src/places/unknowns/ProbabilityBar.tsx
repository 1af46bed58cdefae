import css from './ProbabilityBar.module.css'
import { fixed } from '../../format/format'

/** How likely, as a bar and in words that do not claim more digits than there are. */
export function ProbabilityBar({ probability, name }: { probability: number | null; name: string }) {
  const sentence = probability === null ? '–' : percent(probability)
  return (
    <div
      className={css.chance}
      role="img"
      aria-label={`${name}: ${sentence}`}
      data-testid={`chance of ${name}`}
    >
      <svg width="100%" height="14" preserveAspectRatio="none" viewBox="0 0 100 14" aria-hidden>
        <rect x="0" y="6" width="100" height="2" fill="var(--hair)" />
        <rect x="0" y="1" width={Math.max(0.6, 100 * (probability ?? 0))} height="12" fill="var(--ink)" />
      </svg>
      <span>{sentence}</span>
    </div>
  )
}

export function percent(probability: number): string {
  if (probability > 0.99) return 'over 99 %'
  if (probability < 0.001) return 'under 0.1 %'
  return `${fixed(100 * probability, probability < 0.1 ? 1 : 0)} %`
}
