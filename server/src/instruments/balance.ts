import { createHash } from 'node:crypto'
import { Router } from 'express'
import Joi from 'joi'
import type { NotebookId } from '@ivory-crystal/core/ids'
import { fold, linesOf, prepOf, type RawEntry } from '@ivory-crystal/core/notebook'
import {
  type BalanceState,
  createBalance,
  type PanLoad,
  passBalance,
  simulatedPan,
  TEACHING_BALANCE,
} from '@ivory-crystal/core/simulator'
import type { BalanceStatus } from '@ivory-crystal/core/wire'
import type { Clock } from '../clock'
import { checked, HttpProblem } from '../http/problem'
import { notebookIn } from '../ledger/routes'
import type { LedgerStore } from '../ledger/storeTypes'
import type { Passing, PassingFeed } from '../ledger/stream'

const TICK_MS = 500
/** A pan nobody touched for this long is taken as left. */
const IDLE_AFTER_MS = 10 * 60_000

export interface SimulatedBalance extends PassingFeed {
  status(): BalanceStatus
  load(notebook: NotebookId, sample: string, load: PanLoad, aboutG: number): Promise<BalanceStatus>
  tare(): BalanceStatus
  pass(seconds: number): BalanceStatus
  /** Empty and at rest, as when it was put up; for tests. */
  clear(): void
  close(): void
}

/**
 * The simulated balance. What is on it is worked out from the notebook; its reading passes over the stream and
 * is written down only when a person takes it.
 *
 * @param byHand when true no clock drives it: `pass` does
 */
export function openBalance(store: LedgerStore, clock: Clock, byHand: boolean): SimulatedBalance {
  const listeners = new Set<(passing: Passing) => void>()
  let state: BalanceState = createBalance(TEACHING_BALANCE, clock.now() | 0)
  let onPan: PanLoad = 'nothing'
  let touchedAt = -IDLE_AFTER_MS
  let sentence = ''
  // Counted on from the clock, so that a later start of the server is never older than an earlier one.
  let order = clock.now()

  function status(): BalanceStatus {
    const { reading } = passBalance(state, [], 0)
    const { name, readabilityG } = state.character
    return { name, readabilityG, load: onPan, reading, order }
  }
  function publish(): BalanceStatus {
    const text = JSON.stringify({ ...status(), order: 0 })
    if (text === sentence) return status()
    sentence = text
    order += 1
    const now = status()
    for (const listener of listeners) listener({ event: 'balance', data: now })
    return now
  }
  const stop = byHand
    ? () => undefined
    : clock.every(TICK_MS, () => {
        if (clock.now() - touchedAt > IDLE_AFTER_MS) return
        state = passBalance(state, [], TICK_MS / 1000).state
        publish()
      })
  const touch = () => {
    touchedAt = clock.now()
  }

  return {
    status,
    async load(notebook, sample, load, aboutG) {
      touch()
      const lines = await store.all(notebook)
      const g = panMassG(lines, sample, load, aboutG, clock.now())
      state = passBalance(state, [{ kind: 'load', g }], 0).state
      onPan = load
      return publish()
    },
    tare() {
      touch()
      state = passBalance(state, [{ kind: 'tare' }], 0).state
      return publish()
    },
    pass(seconds) {
      state = passBalance(state, [], seconds).state
      return publish()
    },
    clear() {
      state = createBalance(TEACHING_BALANCE, clock.now() | 0)
      onPan = 'nothing'
      publish()
    },
    listen(receive) {
      listeners.add(receive)
      return () => listeners.delete(receive)
    },
    close: () => {
      stop()
    },
  }
}

function panMassG(
  lines: readonly RawEntry[],
  sample: string,
  load: PanLoad,
  aboutG: number,
  now: number,
): number {
  const view = fold(lines)
  const named = linesOf(view, sample, 'sample named')[0]
  if (!named) throw new HttpProblem(404, 'No such sample', 'This notebook holds no such sample to weigh.')
  const prep = named.body.prep ? prepOf(view, named.body.prep) : null
  const began = prep
    ? linesOf(view, prep.id, 'timer started').find(({ body }) => body.timer === 'air' || body.timer === 'dry')
    : undefined
  const seed = createHash('sha256').update(sample).digest().readInt32BE(0)
  return simulatedPan(load, named.body.role, prep?.plan?.body ?? null, {
    seed,
    driedMs: began ? Math.max(0, now - began.at) : 0,
    crudeG: aboutG,
  })
}

const loadBody = Joi.object({
  notebook: Joi.string().uuid().required(),
  sample: Joi.string().uuid().required(),
  load: Joi.string().valid('nothing', 'empty vessel', 'vessel with sample', 'boat with sample').required(),
  aboutG: Joi.number().unsafe().positive().max(200).required(),
})
const passBody = Joi.object({ seconds: Joi.number().integer().min(1).max(7200).required() })

/** @param byHand adds the endpoint that lets time pass, for tests only */
export function balanceRoutes(balance: SimulatedBalance, byHand: boolean): Router {
  const router = Router()
  router.get('/balance', (_request, response) => {
    response.json(balance.status())
  })
  router.post('/balance/load', async (request, response) => {
    const { notebook, sample, load, aboutG } = checked<{
      notebook: string
      sample: string
      load: PanLoad
      aboutG: number
    }>(loadBody, request.body)
    response.json(await balance.load(notebookIn(notebook), sample, load, aboutG))
  })
  router.post('/balance/tare', (request, response) => {
    checked(Joi.object({}), request.body)
    response.json(balance.tare())
  })
  if (byHand)
    router.post('/balance/advance', (request, response) => {
      const { seconds } = checked<{ seconds: number }>(passBody, request.body)
      response.json(balance.pass(seconds))
    })
  return router
}
