const SQRT_2_PI = Math.sqrt(2 * Math.PI)
const SERIES_BELOW = 2
const SERIES_TERMS = 60
const FRACTION_LEVELS = 90

/** exp(y²)·erfc(y) for y ≥ 0: a series near zero, a continued fraction beyond (Abramowitz and Stegun 7.1.6, 7.1.14). */
function scaledErfc(y: number): number {
  if (y < SERIES_BELOW) {
    let term = y
    let sum = y
    for (let n = 1; n < SERIES_TERMS; n++) {
      term *= (2 * y * y) / (2 * n + 1)
      sum += term
    }
    return Math.exp(y * y) - (2 / Math.sqrt(Math.PI)) * sum
  }
  let below = y
  for (let n = FRACTION_LEVELS; n >= 1; n--) below = y + n / 2 / below
  return 1 / (Math.sqrt(Math.PI) * below)
}

/**
 * Natural logarithm of the standard normal distribution function; far in the tail too, where the function
 * itself is too small for a number.
 *
 * @example logNormalCdf(0) // −0.6931
 */
export function logNormalCdf(z: number): number {
  if (z <= 0) return -(z * z) / 2 + Math.log(scaledErfc(-z / Math.SQRT2) / 2)
  return Math.log1p(-Math.exp(-(z * z) / 2) * (scaledErfc(z / Math.SQRT2) / 2))
}

/** Beyond this z² a normal density is nothing beside any mishap. */
const NOTHING_Z2 = 120

/** Normal density about a mean. */
export function normalDensity(value: number, mean: number, sd: number): number {
  const z = (value - mean) / sd
  return z * z > NOTHING_Z2 ? 0 : Math.exp(-(z * z) / 2) / (sd * SQRT_2_PI)
}

/**
 * Natural logarithm of the density of a normal error added to an exponential depression: how far a clear point
 * lies above the pure compound's, where impurity only lowers it.
 *
 * @param aboveC °C above the pure clear point; mostly below 0
 * @param meanC mean depression °C
 * @param sdC of the reading °C
 */
export function logDepressed(aboveC: number, meanC: number, sdC: number): number {
  return (
    aboveC / meanC +
    (sdC * sdC) / (2 * meanC * meanC) -
    Math.log(meanC) +
    logNormalCdf(-aboveC / sdC - sdC / meanC)
  )
}
