/** The longest sentence, in words. */
export const SENTENCE_MOST_WORDS = 28

/** Phrases the app does not use, each with what it says instead. */
const NOT_PLAIN: readonly (readonly [RegExp, string])[] = [
  [/\bto spare\b|\bout by \d/i, 'minutes spare; finished by'],
  [/what it hangs on/i, 'what sets your finishing time'],
  [/hands free\b(?! *')/i, 'while you wait'],
  [/\bif it gets late\b|\bit gets late\b/i, 'if you run late'],
  [/\bgoes wrong\b|\bhurt, fire/i, 'something went wrong; emergency and rescue'],
  [/\ball stored\b/i, 'all saved'],
  [/\blines? of this notebook\b|\brests? on \d/i, 'entries; based on'],
  [/\bstrikes?\b(?!(?: \S+){0,4} out\b)/i, 'strike out'],
  [/whom each degree|\bnobody else can own\b|\bowns? \d/i, 'what explains each degree; explains'],
  [/\btakes? this away\b/i, 'would remove this'],
  [/\bfor certain\b/i, 'at least'],
  [/\btells? (?:most|little|much)\b/i, 'most informative; little use'],
  [/\bgo(?:es|ne)? by it\b|\bgoing by\b/i, 'use these rules'],
  [/\bclosed (?:in|by) this lab/i, 'not allowed in this lab'],
  [/\bturn over\b|\bask for a turn\b|\bwho has it\b/i, 'hand over; join the queue; in use by'],
  [/\bcom(?:es?|ing) down\b|\bcame down\b/i, 'crystallize'],
  [/\bsmelt on purpose\b/i, 'never smell it on purpose'],
  [/\bfix this plan\b|\bfixed \d/i, 'use this plan; plan set at'],
  [/\bschools?\b/i, 'other ways of heating; common practices'],
  [/\blicenses?\b/, 'is no excuse for'],
  [/\bsooner than planned\b/i, 'finished … minutes early'],
  [/\bover soonest\b/i, 'the order that finishes first'],
  [/\bsample is at hand\b/i, 'I have an authentic sample'],
  [/\bfor harmful\b/i, 'treat as hazardous'],
  [/\bmin (?:are|is) over\b|\bminutes are over\b/i, 'the … minutes are up'],
  [/\bit would do for\b|\bmore than one would want\b|\bhonest\b/i, 'the figure and the rule it breaks'],
  [/\blook(?:ed)? back to (?:no|none)\b/i, 'extrapolated to zero rate'],
  [/\bon file\b|\bon record\b/i, 'known; recorded'],
  [/\btaken? back to the press\b/i, 'corrected back to the press'],
  [/\bmatters? nothing\b|\bmore than nothing\b/i, 'above zero'],
  [/\blooks the same hot or cold\b/i, 'looks like a cold one'],
  [/\bspeaks? for (?:it|that|identity)\b/i, 'shows'],
  [/\bnobody (?:knows(?! what)|has said|named|checked)\b/i, 'is not known'],
  [/\bcannot be had\b|\bhad back\b/i, 'are lost'],
  [/\bno idea\b/i, 'not known'],
]

/** What is wrong in the source already. */
const MISWRITTEN: readonly (readonly [RegExp, string])[] = [
  [/ {2}/, 'a doubled space'],
  [/\b(?!yara)(\w{2,}) \1\b(?! tube)/i, 'a doubled word'],
  [/\d °(?![CF])|\bdegrees? C\b/, 'a lost unit'],
]

/** Traces of a sentence that was not put together to its end. */
const BROKEN: readonly (readonly [RegExp, string])[] = [
  [/(?<!\d) [.,;:!?](?:\s|$)/, 'a space before a mark'],
  [/\bundefined\b|\bNaN\b|\[object |\bnull\b/, 'a lost value'],
  [/\{[a-z]\w*\}/i, 'an unresolved name'],
  [/[,;:]\s*[.;:]/, 'two marks in a row'],
  [/(?<!\.)\.\.(?!\.)/, 'a doubled full stop'],
  [/(?<!\b(?:dec|approx|no|e\.g|i\.e))\. [a-z](?!\w*[A-Z])/, 'a lower-case letter after a full stop'],
  [/\d\.\d+ (?:wide|broad|lower|higher|below|above|was|of the width)\b/, 'a number without its unit'],
]

export const wordsIn = (text: string): readonly string[] => text.match(/\p{L}[\p{L}’'-]*/gu) ?? []

/** The sentences of a text. */
export const splitSentences = (text: string): readonly string[] =>
  text
    .split(/(?<=[.!?…])["”)]?\s+(?=["“(]?[A-Z0-9])/)
    .map((one) => one.trim())
    .filter((one) => /[a-z]{2}/i.test(one))

/**
 * What is not plain in a text that people read: a phrase the app does not use, a sentence that was not put together to
 * its end, or one over {@link SENTENCE_MOST_WORDS} words.
 * @param as a whole text as it is read, or a text of the source, whose gaps are not filled yet
 * @returns what is wrong, each with the place; empty where nothing is
 */
export function notPlain(text: string, as: 'read' | 'in the source' = 'read'): readonly string[] {
  const found = [
    ...NOT_PLAIN.flatMap(([pattern, instead]) => {
      const at = pattern.exec(text)
      return at ? [`“${at[0]}”: say “${instead}”`] : []
    }),
    ...[...MISWRITTEN, ...(as === 'read' ? BROKEN : [])].flatMap(([pattern, what]) => {
      const at = pattern.exec(text)
      return at ? [`${what} at “${text.slice(Math.max(0, at.index - 12), at.index + 20)}”`] : []
    }),
    ...splitSentences(text)
      .filter((sentence) => wordsIn(sentence).length > SENTENCE_MOST_WORDS)
      .map((sentence) => `${wordsIn(sentence).length} words`),
  ]
  return found.map((what) => `${what} · ${text}`)
}
