import { type Request, type Response, Router, text } from 'express'
import Joi from 'joi'
import type { MeltId } from '@ivory-crystal/core/ids'
import type { BlockCommand, BlockReading } from '@ivory-crystal/core/instruments'
import { lineOfReading } from '@ivory-crystal/core/line'
import { blockCommand } from '@ivory-crystal/core/checks'
import type { Clock } from '../clock'
import { checked, HttpProblem } from '../http/problem'
import type { Streams } from '../http/streams'
import { notebookIn } from '../ledger/routes'
import type { SimulatedBench } from './bench'
import type { PassUntil } from './run'

const startBody = Joi.object({
  notebook: Joi.string().uuid().required(),
  melt: Joi.string().uuid().required(),
})
const commandBody = Joi.object({ command: blockCommand.required() })
const passBody = Joi.object({
  seconds: Joi.number().integer().min(1).max(7200).required(),
  until: Joi.object({
    phase: Joi.string(),
    probeC: Joi.number(),
    tube: Joi.number().integer().min(0),
    liquid: Joi.number(),
    look: Joi.string(),
    not: Joi.string(),
  }),
})

/** @param byHand adds the endpoint that lets time pass, for tests only */
export function instrumentRoutes(
  bench: SimulatedBench,
  streams: Streams,
  clock: Clock,
  byHand: boolean,
): Router {
  const router = Router()
  router.get('/instruments', async (_request, response) => {
    response.json({ instruments: await bench.states() })
  })
  router.get('/instruments/:instrument/line/stream', (request, response) => {
    speakLine(bench, request.params.instrument, streams, clock, request, response)
  })
  router.post('/instruments/:instrument/line', text({ limit: LINES_MOST }), async (request, response) => {
    const answers: string[] = []
    for (const line of linesIn(request.body)) answers.push(await bench.line(request.params.instrument, line))
    response.type('text/plain').send(`${answers.join('\n')}\n`)
  })
  router.post('/instruments/:instrument/runs', async (request, response) => {
    const { notebook, melt } = checked<{ notebook: string; melt: string }>(startBody, request.body)
    response
      .status(201)
      .json(await bench.start(request.params.instrument, notebookIn(notebook), melt as MeltId))
  })
  router.post('/instruments/:instrument/runs/:run/commands', async (request, response) => {
    const { command } = checked<{ command: BlockCommand }>(commandBody, request.body)
    response.json(await bench.command(request.params.instrument, request.params.run, command))
  })
  router.post('/instruments/:instrument/runs/:run/end', async (request, response) => {
    checked(Joi.object({}), request.body)
    response.json(await bench.end(request.params.instrument, request.params.run))
  })
  if (byHand)
    router.post('/instruments/:instrument/advance', async (request, response) => {
      const { seconds, until } = checked<{ seconds: number; until?: PassUntil }>(passBody, request.body)
      response.json(await bench.pass(request.params.instrument, seconds, until))
    })
  return router
}

const LINES_MOST = '100kb'
const LINES_AT_ONCE = 600

function linesIn(body: unknown): string[] {
  if (typeof body !== 'string')
    throw new HttpProblem(415, 'The entry was refused', 'Lines are sent as text/plain, one message a line.')
  const lines = body.split(/\r?\n/).filter((line) => line.trim() !== '')
  if (lines.length === 0 || lines.length > LINES_AT_ONCE)
    throw new HttpProblem(400, 'The entry was refused', `Send 1 to ${LINES_AT_ONCE} lines at a time.`)
  return lines
}

/** What an instrument says and is told, line by line, as server-sent events. */
function speakLine(
  bench: SimulatedBench,
  instrument: string,
  streams: Streams,
  clock: Clock,
  request: Request,
  response: Response,
): void {
  streams.open(request, response, clock, (stream) => [
    bench.listen(({ event, data }) => {
      const about = data as { instrument: string; reading?: BlockReading | null; line?: string }
      if (about.instrument !== instrument) return
      if (event === 'reading' && about.reading) stream.send('line', lineOfReading(about.reading))
      else if (event === 'rest') stream.send('line', 'rest')
      else if (event === 'line' && about.line) stream.send('line', about.line)
    }),
  ])
}
