/** A sentence begins with a capital. */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}

/** A sentence that goes on after a colon does not. */
export function uncapital(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1)
}

/** “a”, “a and b”, “a, b and c”. */
export function listed(names: readonly string[]): string {
  return names.length < 2
    ? (names[0] ?? '')
    : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1] ?? ''}`
}

/**
 * A number to so many significant digits, always written out: 210, 1.3, 0.00012; never with a power of ten.
 *
 * @param digits 1 or more
 */
export function significant(value: number, digits: number): string {
  if (value === 0 || !Number.isFinite(value)) return String(value)
  const rounded = Number(value.toPrecision(digits))
  const decimals = digits - 1 - Math.floor(Math.log10(Math.abs(rounded)))
  return rounded.toFixed(Math.min(20, Math.max(0, decimals)))
}

const HOURS_FROM_MIN = 90

/**
 * Minutes as people read them: as minutes up to 90, then as hours and minutes.
 *
 * @param minutes rounded to whole ones
 * @example minutesInWords(150) // '2 h 30 min'
 */
export function minutesInWords(minutes: number): string {
  const whole = Math.round(minutes)
  if (whole <= HOURS_FROM_MIN) return `${whole} min`
  const rest = whole % 60
  return rest === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${rest} min`
}
