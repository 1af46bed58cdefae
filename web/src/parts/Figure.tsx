import type { ReactNode } from 'react'

/** A word, its number with the unit, and where the number is from. */
export function Figure({ name, children, why }: { name: ReactNode; children: ReactNode; why?: ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{children}</dd>
      {why !== undefined && <dd className="why">{why}</dd>}
    </div>
  )
}
