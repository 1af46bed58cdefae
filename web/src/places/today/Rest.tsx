import type { ComponentType, ReactNode } from 'react'
import { useParams } from 'react-router'
import { FlamesMet } from '../../parts/FlameNear'
import { OpenCases } from './OpenCases'
import { PeriodPart } from './period/PeriodPart'

/** What Today shows before, in and after its list. */
export function Rest({ List }: { List: ComponentType<{ cases?: ReactNode }> }) {
  const { notebook = '' } = useParams()
  return (
    <>
      <FlamesMet />
      <PeriodPart list={<List cases={<OpenCases base={`/n/${notebook}`} />} />} />
    </>
  )
}
