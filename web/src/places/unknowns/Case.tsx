import { Link, Navigate, useParams } from 'react-router'
import type { UnknownId } from '@ivory-crystal/core/ids'
import {
  CASE_STATIONS,
  caseStationsOf,
  nextInCase,
  type UnknownFacts,
  unknownOf,
} from '@ivory-crystal/core/notebook'
import { Photographs } from '../../parts/Photographs'
import { StationString } from '../../parts/StationString'
import { Title } from '../../parts/Title'
import { useNotebook } from '../../ledger/notebook'
import { Candidates } from './Candidates'
import { CaseLadder } from './CaseLadder'
import { CaseMelt } from './CaseMelt'
import { CasePlates } from './CasePlates'
import { Mixtures } from './Mixtures'
import { SignCase } from './SignCase'

/** One unknown: from its scouting run to the signed verdict. */
export function Case() {
  const { notebook, unknown: id, station } = useParams()
  const view = useNotebook((state) => state.view)
  const unknown = unknownOf(view, id as UnknownId)
  const home = `/n/${notebook ?? ''}`
  if (!unknown)
    return (
      <>
        <Title title="No such case" />
        <p className="mt-3">
          There is no such unknown in this notebook. <Link to={`${home}/unknowns`}>All cases</Link>
        </p>
      </>
    )
  const base = `${home}/unknowns/${unknown.id}`
  const here = CASE_STATIONS.find((one) => one === station)
  if (!here) return <Navigate to={`${base}/${nextInCase(view, unknown)?.station ?? 'sign'}`} replace />
  const { code, appearance } = unknown.opened.body
  return (
    <>
      <Title title={`Unknown ${code}`} aside={appearance} />
      <StationString stations={caseStationsOf(view, unknown)} here={here} base={base} />
      <CaseLadder unknown={unknown} />
      <Station unknown={unknown} here={here} />
      <Photographs of={unknown.id} usual="tubes" />
    </>
  )
}

function Station({ unknown, here }: { unknown: UnknownFacts; here: (typeof CASE_STATIONS)[number] }) {
  switch (here) {
    case 'melt':
      return <CaseMelt unknown={unknown} />
    case 'candidates':
      return <Candidates unknown={unknown} />
    case 'mixtures':
      return <Mixtures unknown={unknown} />
    case 'plate':
      return <CasePlates unknown={unknown} />
    case 'sign':
      return <SignCase unknown={unknown} />
  }
}
