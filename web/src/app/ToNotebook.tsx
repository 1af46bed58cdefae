import { Navigate } from 'react-router'
import { useNotebook } from '../state/notebook'

/** The bare address leads to the open notebook's own, so that what is shared names it. */
export function ToNotebook() {
  const notebook = useNotebook((state) => state.notebook)
  return notebook ? <Navigate to={`/n/${notebook}`} replace /> : null
}
