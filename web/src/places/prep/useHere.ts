import { useParams } from 'react-router'
import { STATIONS, type Station } from '@ivory-crystal/core'

/** Station and prep address of the page. */
export function useHere(): { station: Station; base: string } {
  const { notebook, prep, station } = useParams()
  return {
    station: STATIONS.find((one) => one === station) ?? 'plan',
    base: `/n/${notebook ?? ''}/preps/${prep ?? ''}`,
  }
}
