import { Navigate, useLocation } from 'react-router'
import { useNotebook } from '../ledger/notebook'

/** An address without a notebook leads to the open notebook's own, so that what is shared names it. */
export function ToNotebook({ place }: { place: string }) {
  const notebook = useNotebook((state) => state.notebook)
  const { search, hash } = useLocation()
  return notebook ? <Navigate to={`/n/${notebook}${place}${search}${hash}`} replace /> : null
}
