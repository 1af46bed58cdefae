import type { PrepFacts } from '@ivory-crystal/core/notebook'
import {
  burningSolventsOf,
  type FlameNear,
  flamesNear,
  isInTheOpen,
  type VapourNear,
  vapoursNear,
} from '@ivory-crystal/core/planning'
import { listed } from '@ivory-crystal/core/words'
import type { ReactNode } from 'react'
import { useNow } from '../clock/now'
import { capital, clock } from '../format/format'
import { useNotebook } from '../ledger/notebook'

/** A flame is looked for again this often, ms. */
const LOOK_MS = 20_000

/** Where a prep’s solvent burns and a flame is near: said on the screen where it is heated, poured or drawn dry. */
export function FlameNearPrep({ prep }: { prep: PrepFacts }) {
  const { flames, nowMs } = useFlames()
  const solvents = burningSolventsOf(prep)
  if (solvents.length === 0) return null
  return flames.map((flame) => (
    <Alert key={flame.who}>
      {lit(flame, nowMs)}{' '}
      {isInTheOpen(prep, nowMs) ? together(solvents, flame, nowMs) : apart(solvents, flame)}
    </Alert>
  ))
}

/** Every flammable solvent on the heat or in the open, against every flame near. */
export function FlamesMet() {
  const { flames, vapours, nowMs } = useFlames()
  return flames.flatMap((flame) =>
    vapours.map(({ prep, title, solvents }) => (
      <Alert key={`${flame.who} ${prep}`}>
        {lit(flame, nowMs)} {together(solvents, flame, nowMs)} ({title})
      </Alert>
    )),
  )
}

/** Before a flame of one’s own is lit: what may not be near it. */
export function NoFlameYet() {
  const { vapours } = useFlames()
  return vapours.map(({ prep, title, solvents }) => (
    <Alert key={prep}>
      {capital(listed(solvents))} of {title} {solvents.length > 1 ? 'are' : 'is'} on the heat or in the open
      here. No flame until {solvents.length > 1 ? 'they are' : 'it is'} off the heat, cold and covered.
    </Alert>
  ))
}

function useFlames(): {
  readonly flames: readonly FlameNear[]
  readonly vapours: readonly VapourNear[]
  readonly nowMs: number
} {
  const nowMs = useNow(LOOK_MS)
  const view = useNotebook((state) => state.view)
  const instruments = useNotebook((state) => state.shelf?.instruments)
  return {
    flames: flamesNear(view, instruments ?? [], nowMs),
    vapours: vapoursNear(view, nowMs),
    nowMs,
  }
}

function Alert({ children }: { children: ReactNode }) {
  return (
    <p className="look" role="alert" data-holds>
      {children}
    </p>
  )
}

function lit({ who, isOwn, fromMs, toMs }: FlameNear, nowMs: number): string {
  if (isOwn) return `The ${who.toLowerCase()} here burns with a flame.`
  const until = toMs === null ? '' : ` until ${clock(toMs)}`
  return fromMs > nowMs
    ? `A flame will be lit at ${who} from ${clock(fromMs)}${until}.`
    : `A flame is lit at ${who}${until}.`
}

function together(solvents: readonly string[], { isOwn, fromMs }: FlameNear, nowMs: number): string {
  const what = listed(solvents)
  const it = solvents.length > 1 ? 'them' : 'it'
  if (fromMs > nowMs) return `Have ${what} off the heat and loosely covered by then, or ask them to wait.`
  return isOwn
    ? `Put it out now, or take ${what} off the heat and cover ${it} loosely: the vapour burns.`
    : `Take ${what} off the heat and cover ${it} loosely now, and ask for the flame to be put out: the vapour burns.`
}

function apart(solvents: readonly string[], { isOwn }: FlameNear): string {
  return `${capital(listed(solvents))} ${solvents.length > 1 ? 'burn' : 'burns'}: neither heated nor poured here until the flame is out${isOwn ? '' : ', or ask for it to be put out first'}.`
}
