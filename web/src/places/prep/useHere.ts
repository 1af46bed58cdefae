import { useParams } from 'react-router'
import { type Station, STATIONS } from '@ivory-crystal/core/stations'

/** Station, prep address and notebook address of the page. */
export function useHere(): { station: Station; base: string; home: string } {
  const { notebook, prep, station } = useParams()
  const home = `/n/${notebook ?? ''}`
  return {
    station: STATIONS.find((one) => one === station) ?? 'plan',
    base: `${home}/preps/${prep ?? ''}`,
    home,
  }
}
