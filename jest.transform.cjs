const { createHash } = require('node:crypto')
const { createTransformer } = require('@swc/jest')

/**
 * In a test's own world a global is looked up by an interceptor, each time, at sixty times the price: a module that
 * computes spends its time on `Math`. Each takes the globals it names as its own once, on its first line.
 */
const GLOBALS = [
  'Math',
  'Object',
  'Array',
  'Number',
  'Infinity',
  'NaN',
  'JSON',
  'Map',
  'Set',
  'String',
  'Uint8Array',
  'DataView',
  'Symbol',
  'Error',
  'Buffer',
]

function ownGlobals(code) {
  const named = GLOBALS.filter(
    (name) =>
      new RegExp(`(?<![\\w$.])${name}(?![\\w$])`).test(code) &&
      !new RegExp(`(?:(?:const|let|var|class|function)\\s+|import[^;\\n]*[{,\\s])${name}\\b`).test(code),
  )
  return named.length === 0 ? code : `const {${named.join(',')}}=globalThis;${code}`
}

const withOwnGlobals = (made) => ({ ...made, code: ownGlobals(made.code) })

module.exports = {
  createTransformer(options) {
    // Without options the code is taken as it is: a package that computes.
    const inner = options?.jsc
      ? createTransformer(options)
      : {
          process: (code) => ({ code }),
          processAsync: async (code) => ({ code }),
          getCacheKey: (code) => createHash('sha1').update(code).digest('hex'),
        }
    const own = createHash('sha1')
      .update(ownGlobals.toString() + GLOBALS.join())
      .digest('hex')
    return {
      canInstrument: false,
      process: (...given) => withOwnGlobals(inner.process(...given)),
      processAsync: async (...given) => withOwnGlobals(await inner.processAsync(...given)),
      getCacheKey: (...given) =>
        createHash('sha1')
          .update(inner.getCacheKey(...given) + own)
          .digest('hex'),
    }
  },
}
