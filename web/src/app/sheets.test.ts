import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join, relative, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from '@jest/globals'
import { compile, Logger } from 'sass'

const WEB = fileURLToPath(new URL('..', import.meta.url))
/** Bootstrap as far as the app takes it. */
const BOOTSTRAP = compile(join(WEB, 'bootstrap.scss'), {
  loadPaths: [fileURLToPath(new URL('../../../node_modules', import.meta.url))],
  quietDeps: true,
  logger: Logger.silent,
}).css
const FILES = readdirSync(WEB, { recursive: true, encoding: 'utf8' }).map((file) => join(WEB, file))
const SCREENS = FILES.filter((file) => file.endsWith('.tsx') && !file.endsWith('.test.tsx')).map((file) => ({
  file,
  text: readFileSync(file, 'utf8'),
}))
const SHEETS = FILES.filter((file) => file.endsWith('.module.css'))

/** The names a sheet gives, without those it only leans on. */
function namesOf(sheet: string): Set<string> {
  const own = readFileSync(sheet, 'utf8').replace(/:global\([^)]*\)/g, '')
  const selectors = [...own.matchAll(/([^{}]*)\{/g)]
    .map((m) => m[1] ?? '')
    .filter((one) => !one.includes('@'))
  return new Set(selectors.flatMap((one) => [...one.matchAll(/\.([a-zA-Z]\w*)/g)].map((m) => m[1] ?? '')))
}

/** The names the components that import a sheet take from it. */
function takenFrom(sheet: string): Set<string> {
  const importers = SCREENS.filter(({ file, text }) =>
    [...text.matchAll(/import css from '([^']+)'/g)].some(
      (m) => resolve(dirname(file), m[1] ?? '') === sheet,
    ),
  )
  return new Set(importers.flatMap(({ text }) => [...text.matchAll(/\bcss\.(\w+)/g)].map((m) => m[1] ?? '')))
}

describe('What dresses one component stands beside it', () => {
  test.each(SHEETS.map((sheet) => [relative(WEB, sheet), sheet] as const))(
    '%s: every name it gives is worn, every name worn is given',
    (_, sheet) => {
      expect([...takenFrom(sheet)].sort()).toEqual([...namesOf(sheet)].sort())
    },
  )

  test('every name the theme gives is spoken on a screen, or is Bootstrap’s own', () => {
    const theme = readFileSync(join(WEB, 'theme.css'), 'utf8')
    const given = new Set([...theme.matchAll(/\.([a-z][a-z-]*)(?=[\s:,.{>])/g)].map((m) => m[1] ?? ''))
    const screens = SCREENS.map(({ text }) => text).join('\n')
    // Bootstrap’s own components give themselves these.
    const bootstraps = /^(btn|form|modal|invalid|is-invalid|progress|dropdown|active)/
    const unspoken = [...given].filter(
      (name) => !bootstraps.test(name) && !new RegExp(`['"\`\\s]${name}['"\`\\s]`).test(screens),
    )
    expect(unspoken).toEqual([])
  })

  test('every name a screen wears is given by the theme or by Bootstrap', () => {
    const given = new Set(
      [readFileSync(join(WEB, 'theme.css'), 'utf8'), BOOTSTRAP]
        .flatMap((sheet) => [...sheet.matchAll(/\.(-?[a-zA-Z_][\w-]*)/g)])
        .map((m) => m[1] ?? ''),
    )
    const worn = SCREENS.flatMap(({ file, text }) =>
      [...text.matchAll(/className=(?:"([^"]*)"|\{((?:[^{}]|\{[^{}]*\})*)\})/g)].flatMap(
        ([, plain, worked]) =>
          plain === undefined
            ? [...(worked ?? '').replace(/[=!]== '[^']*'/g, '').matchAll(/'([^']*)'/g)].map(
                (m) => `${relative(WEB, file)}: ${m[1] ?? ''}`,
              )
            : [`${relative(WEB, file)}: ${plain}`],
      ),
    )
    const unknown = worn.flatMap((line) => {
      const [file = '', names = ''] = line.split(': ')
      return names
        .split(/\s+/)
        .filter((name) => name !== '' && !given.has(name))
        .map((name) => `${file}: ${name}`)
    })
    expect(unknown).toEqual([])
  })
})
