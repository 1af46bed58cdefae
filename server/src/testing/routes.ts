import { Router } from 'express'
import Joi from 'joi'
import type { Clock } from '../clock'
import { readGolden, writeDemo } from '../demo'
import { checked } from '../http/problem'
import type { SimulatedBalance } from '../instruments/balance'
import type { SimulatedBench } from '../instruments/bench'
import type { LedgerStore } from '../ledger/storeTypes'
import type { PhotographStore } from '../photographs/store'
import type { ShelfStore } from '../shelf/shelf'

const freshBody = Joi.object({ demo: Joi.boolean().required() })

/** A fresh notebook for each test on one server, its instruments cold and its balance empty; exists in tests only. */
export function testingRoutes(
  store: LedgerStore,
  shelf: ShelfStore,
  photographs: PhotographStore,
  bench: SimulatedBench,
  balance: SimulatedBalance,
  clock: Clock,
): Router {
  const router = Router()
  router.post('/testing/notebooks', async (request, response) => {
    const { demo } = checked<{ demo: boolean }>(freshBody, request.body)
    bench.clear()
    balance.clear()
    const id = demo
      ? await writeDemo(store, shelf, photographs, await readGolden(), clock)
      : (await store.createNotebook({ title: 'My notebook' })).id
    response.status(201).json({ id })
  })
  return router
}
