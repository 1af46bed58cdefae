/** From this many letters on a name is taken to break in a narrow column. */
const LONG = 18

/** A long name breaks before its last two words, so that “acid” does not stand alone. */
export function lastWordUnbroken(name: string): string {
  return name.length >= LONG ? name.replace(/ (?=\S{1,6}$)/, '\u00a0') : name
}
