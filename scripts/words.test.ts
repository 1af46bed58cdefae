import { join } from 'node:path'
import { expect, test } from '@jest/globals'
import { readFileSync } from 'node:fs'
import { notPlain, wordsIn } from '../core/golden/plainWords'
import { labelsIn, sentencesIn } from './sentences'

const ROOT = join(import.meta.dirname, '..')
const LABEL_MOST_WORDS = 4
/** The shortest that says what it does. */
const LONGER = new Set(['I have an authentic sample', 'Scouting run: pack a tube', 'not allowed in this lab'])
/** What is no text for people: what entries of the first version said, selectors, SQL. */
const OTHER = /stepsOfV1|ledger\/tables|paper\/readSheet|sheets\/pageTables/

test('every sentence of the source is plain', () => {
  const sentences = sentencesIn(ROOT, ['core/src', 'server/src', 'web/src']).filter(
    ({ file }) => !OTHER.test(file),
  )
  expect(sentences.length).toBeGreaterThan(5000)
  expect(
    sentences.flatMap(({ text, file, line }) =>
      notPlain(text, 'in the source').map((what) => `${file}:${line} ${what}`),
    ),
  ).toEqual([])
})

test('labels of fields, buttons and columns have four words at most', () => {
  const labels = labelsIn(ROOT, ['web/src'])
  expect(labels.length).toBeGreaterThan(300)
  expect(
    labels
      .filter(
        ({ text }) =>
          !LONGER.has(text) && wordsIn(text.replace(/, [\w°/ %·]+$|\(.*\)$/, '')).length > LABEL_MOST_WORDS,
      )
      .map(({ text, file, line }) => `${file}:${line} ${text}`),
  ).toEqual([])
})

test('the first page a reader of the project sees is plain', () => {
  const prose = readFileSync(join(ROOT, 'README.md'), 'utf8')
    .replaceAll(/```[^]*?```|\|.*\|/g, '')
    .replaceAll(/`[^`]*`/g, 'X')
    .replaceAll(/!?\[([^\]]*)\]\([^)]*\)/g, '$1')
    .split(/\n{2,}|\n(?=[-#|])/)
  expect(prose.flatMap((one) => notPlain(one.replaceAll(/\s+/g, ' ').trim(), 'in the source'))).toEqual([])
})
