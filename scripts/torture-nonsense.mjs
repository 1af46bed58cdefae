import { randomUUID } from 'node:crypto'
import { connect } from 'node:net'
import { below, golden, line, one, shaOf } from './torture-bench.mjs'

const METHODS = ['GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'HEAD', 'PROPFIND']
/** A request that makes no sense in one way or another. */
export function nonsense(server) {
  const notebook = one([
    server.notebook,
    randomUUID(),
    'x',
    '%00',
    '%E0%A4%A',
    '../..',
    'ÿ'.repeat(below(40)),
  ])
  const paths = [
    '/',
    '/api',
    '/api/about',
    '/api/notebooks',
    `/api/notebooks/${notebook}/entries`,
    `/api/notebooks/${notebook}/entries?after=${one(['-1', 'x', '1e9', '99999999999999', ''])}`,
    `/api/notebooks/${notebook}/head`,
    `/api/notebooks/${notebook}/export`,
    '/api/import',
    '/api/shelf',
    `/api/shelf/${one(['compound', 'solvent', 'sealed%20answer', 'nothing', '%c0'])}`,
    '/api/shelf/house%20rules/versions?id=default',
    '/api/instruments',
    `/api/instruments/${one(['dial-block', 'programmable-block', 'no-such', '__proto__'])}/runs`,
    `/api/instruments/dial-block/line`,
    `/api/instruments/dial-block/runs/${randomUUID()}/commands`,
    `/api/photographs/${one([shaOf(golden), randomUUID(), '%00', 'x'.repeat(64)])}`,
    '/api/keeping',
    '/api/restore',
    '/api/restore/look',
    '/api/import/look',
    '/api/seals',
    '/api/seals/open',
    '/api/balance/load',
    `/assets/${one(['x.js', '%', '..%2f..%2fpackage.json'])}`,
  ]
  const values = [
    null,
    true,
    0,
    -0,
    1e308,
    '',
    'x'.repeat(below(3000)),
    '\u0000',
    '\ud800',
    [],
    {},
    [[]],
    [[[]]],
    { id: 1 },
  ]
  const bodies = [
    '',
    '{',
    '[]',
    'null',
    '1e400',
    '['.repeat(below(4000)),
    JSON.stringify(one(values)),
    JSON.stringify({ groups: [[one(values)]] }),
    JSON.stringify({ groups: one(values) }),
    JSON.stringify({
      groups: [
        [{ ...line(server), [one(['id', 'v', 'kind', 'subject', 'body', 'at', 'author'])]: one(values) }],
      ],
    }),
    JSON.stringify({ rows: [one(values)], dryRun: one(values) }),
    JSON.stringify({
      notebook: one(values),
      melt: one(values),
      unknown: one(values),
      compound: one(values),
      purity: one(values),
    }),
    JSON.stringify({
      format: 'ivory-crystal notebook',
      version: 1,
      coreVersion: '0',
      exportedAt: 1,
      notebook: { id: one(values), title: one(values) },
      entries: one(values),
    }),
    JSON.stringify({
      command: {
        kind: one(['preheat', 'ramp', 'dial', 'stop', 'x']),
        toC: one(values),
        rateCPerMin: one(values),
      },
    }),
  ]
  return {
    method: one(METHODS),
    path: one(paths).replaceAll(' ', '%20'),
    body: one(bodies),
    type: one([
      'application/json',
      'application/zip',
      'image/jpeg',
      'text/plain',
      'application/x-www-form-urlencoded',
      'x/y; charset=utf-99',
    ]),
    encoding: one(['identity', 'gzip', 'snappy', 'br', '']),
  }
}

/** One request over a bare socket, so that nothing mends it on the way; answers with the status, or null. */
export function ask(server, { method, path, body, type, encoding }) {
  const { host, port } = new URL(server.at)
  return new Promise((resolve) => {
    const socket = connect(Number(port), '127.0.0.1', () => {
      const head = [
        `${method} ${encodeURI(path).replaceAll('%25', '%')} HTTP/1.1`,
        `Host: ${host}`,
        'Connection: close',
        `Content-Type: ${type}`,
        `Content-Encoding: ${encoding}`,
        `Content-Length: ${Buffer.byteLength(body)}`,
      ]
      socket.write(`${head.join('\r\n')}\r\n\r\n${body}`)
    })
    let heard = ''
    socket.setTimeout(5000, () => socket.destroy())
    socket.on('data', (bytes) => (heard += bytes.toString('latin1')))
    socket.on('error', () => undefined)
    socket.on('close', () => resolve(/^HTTP\/1\.1 (\d+)/.exec(heard)?.[1] ?? null))
  })
}
