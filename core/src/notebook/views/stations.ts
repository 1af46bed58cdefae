import type { EpochMs, PrepId } from '../../ids'
import type { View } from '../fold'
import { memoize } from '../read'
import { type Station, STATIONS } from '../../stations/stations'
import { oddFactsOf } from './oddities'
import { isStale } from './stale'
import { meltsOf } from './melt'
import { massOf, type PrepFacts, prepOf, recoveryOf, sampleOf } from './prep'
import { latestRange, rangesOf } from './ranges'
import { timersInUseOf } from './timers'

export type StationState = 'not yet' | 'now' | 'done' | 'needs a look'
export interface StationFacts {
  readonly station: Station
  readonly state: StationState
  /** Why it needs a look, or null. */
  readonly reason: string | null
}

type StationTask = Pick<StationFacts, 'reason'> & { readonly is: 'done' | 'open' | 'needs a look' }
const DONE: StationTask = { is: 'done', reason: null }
const OPEN: StationTask = { is: 'open', reason: null }

/** How far each station of a prep is. The first that is neither done nor troubled is where the work is now. */
export const stationsOf = memoize((view: View, id: PrepId): readonly StationFacts[] => {
  const prep = prepOf(view, id)
  if (!prep) return []
  const taskLines = STATIONS.map((station) => taskAt(view, prep, station))
  const now = taskLines.findIndex(({ is }) => is === 'open')
  return STATIONS.map((station, i) => {
    const { is, reason } = taskLines[i] as StationTask
    return { station, reason, state: is !== 'open' ? is : i === now ? 'now' : 'not yet' }
  })
})

function look(reason: string): StationTask {
  return { is: 'needs a look', reason }
}

function taskAt(view: View, prep: PrepFacts, station: Station): StationTask {
  switch (station) {
    case 'plan':
      return planTask(view, prep)
    case 'weigh':
      return weighTask(view, prep)
    case 'melt':
      return meltTask(view, prep)
    case 'judge':
      if (!prep.verdict) return OPEN
      return isStale(view, prep.verdict) ? look('A reading it is based on was struck out. Sign again.') : DONE
    case 'page':
      return prep.verdict && !isStale(view, prep.verdict) && recoveryOf(prep).ok ? DONE : OPEN
    default:
      return stepsTask(prep, station)
  }
}

function planTask(view: View, prep: PrepFacts): StationTask {
  if (!prep.plan) return OPEN
  if (isStale(view, prep.plan))
    return look(
      'The crude weighing of this plan was struck out. Weigh the crude again and make the plan again.',
    )
  return DONE
}

function stepsTask(prep: PrepFacts, station: Station): StationTask {
  const steps = prep.steps.filter((step) => step.station === station)
  return steps.length > 0 && steps.every((step) => prep.ticked.has(step.id)) ? DONE : OPEN
}

function weighTask(view: View, prep: PrepFacts): StationTask {
  const product = sampleOf(prep, 'product')
  if (!product?.weighing) return OPEN
  const recovery = recoveryOf(prep)
  if (!recovery.ok) return look(recovery.problem.sentence)
  const [oddity] = oddFactsOf(view, prep.id)
  return oddity ? look(oddity.sentence) : DONE
}

function meltTask(view: View, prep: PrepFacts): StationTask {
  const rows = rangesOf(view, prep.id)
  if (latestRange(rows, 'product')) return DONE
  const trouble = rows.find((row) => row.runEnded && row.trouble)
  return trouble?.trouble ? look(trouble.trouble) : OPEN
}

export interface NextStep {
  readonly station: Station
  readonly text: string
  readonly urgent: boolean
}

/** The next thing to do in a prep, in one line; null when it is finished. */
export function nextStep(view: View, id: PrepId, now: EpochMs): NextStep | null {
  const prep = prepOf(view, id)
  if (!prep) return null
  const stations = stationsOf(view, id)
  // Whatever else is open can wait for what is melting.
  if (meltsOf(view, id).some((melt) => melt.run && !melt.run.ended))
    return { station: 'melt', text: 'A melt is running. Keep your eye at the lens.', urgent: false }
  const at =
    stations.find(({ state }) => state === 'needs a look') ?? stations.find(({ state }) => state === 'now')
  if (!at) return null
  if (at.state === 'needs a look') return { station: at.station, text: at.reason ?? '', urgent: true }
  // A clock that nobody minds any more makes no hurry: what there is to do stands in the step.
  const over = timersInUseOf(view, prep, now).find((timer) => timer.leftMs <= 0 && isOpen(prep, timer.timer))
  if (over)
    return { station: at.station, text: `The ${over.minutes} min of ${over.words} are up.`, urgent: true }
  return { station: at.station, text: stepText(prep, at.station), urgent: false }
}

function isOpen(prep: PrepFacts, timer: string): boolean {
  const step = prep.steps.find((one) => one.timer?.timer === timer)
  return step !== undefined && !prep.ticked.has(step.id)
}

function stepText(prep: PrepFacts, station: Station): string {
  switch (station) {
    case 'plan':
      return massOf(sampleOf(prep, 'crude')).ok ? 'Choose the solvent and make the plan.' : 'Weigh the crude.'
    case 'weigh':
      return 'Weigh the dry product.'
    case 'melt':
      return 'Pack tubes of crude and product and plan the melt.'
    case 'judge':
      return 'Read the findings and sign the verdict.'
    case 'page':
      return 'Print the page.'
    default:
      return prep.steps.find((step) => step.station === station && !prep.ticked.has(step.id))?.text ?? ''
  }
}
