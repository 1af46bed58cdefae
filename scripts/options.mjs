import { parseArgs } from 'node:util'
import { distance } from 'fastest-levenshtein'

/** An option was given that is not known, or not as it is written; the sentence says how it is. */
export class WrongOption extends Error {
  name = 'WrongOption'
}

/** A word within so many letters of an option was meant to be it. */
const MEANT_WITHIN = 3

/**
 * Reads the options of a command. Each has one spelling: `--name`, or `--name=value` where it takes a value.
 *
 * @param words what stands after the command
 * @param known the options, each a `flag` or a `value`
 * @param filesMost how many words that are no option it takes, such as the name of a file
 * @returns flags and values by name, and the other words
 * @throws WrongOption on anything else, so that a slip never starts something that was not asked for
 */
export function readOptions(words, known, filesMost = 0) {
  const written = (name) => (known[name] === 'value' ? `--${name}=…` : `--${name}`)
  const { tokens } = parseArgs({ args: [...words], strict: false, tokens: true, allowPositionals: true })
  const values = {}
  const files = []
  for (const { kind, name, rawName, value, inlineValue } of tokens) {
    if (kind === 'option-terminator') continue
    if (kind === 'positional') {
      files.push(value)
      continue
    }
    if (!rawName.startsWith('--') || !Object.hasOwn(known, name)) throw new WrongOption(unknown(rawName))
    if (Object.hasOwn(values, name)) throw new WrongOption(`“${written(name)}” was given twice.`)
    if (known[name] === 'flag') {
      if (inlineValue) throw new WrongOption(`“--${name}” takes no value. Write it as ${written(name)}.`)
      values[name] = true
    } else if (!inlineValue || value === '')
      throw new WrongOption(`“--${name}” needs a value after an equals sign. Write it as ${written(name)}.`)
    else values[name] = value
  }
  if (files.length > filesMost)
    throw new WrongOption(
      `“${files[filesMost]}” is not understood here. ${listed() || 'This command takes no options.'}`,
    )
  return { values, files }

  function unknown(word) {
    const near = Object.keys(known)
      .map((name) => ({ name, off: distance(word.replace(/^-+/, ''), name) }))
      .sort((p, q) => p.off - q.off)[0]
    return near && near.off <= MEANT_WITHIN
      ? `“${word}” is not an option. Did you mean ${written(near.name)}?`
      : `“${word}” is not an option. ${listed() || 'This command takes no options.'}`
  }
  function listed() {
    const all = Object.keys(known).map(written)
    return all.length > 0 ? `The options are: ${all.join(', ')}.` : ''
  }
}

/** @throws WrongOption unless at most one of these was given */
export function requireOneOf(values, names) {
  const given = names.filter((name) => values[name])
  if (given.length > 1)
    throw new WrongOption(
      `${given.map((name) => `--${name}`).join(' and ')} are asked for at once. Give one of them.`,
    )
}
