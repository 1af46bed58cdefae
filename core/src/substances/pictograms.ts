/** The pictograms of the globally harmonized system, by what they stand for. */
const PICTOGRAMS = [
  'explodes',
  'flammable',
  'oxidizes',
  'corrosive',
  'toxic',
  'harmful',
  'health hazard',
  'harms life in water',
] as const
export type Pictogram = (typeof PICTOGRAMS)[number]

/** Hazard classes of each, as the system assigns them; the letters after a code do not matter here. */
const CODES: Readonly<Record<Pictogram, RegExp>> = {
  explodes: /^H(20[0-5]|24[01])/,
  flammable: /^H(22[0-8]|24[12]|25[0-2]|26[01])/,
  oxidizes: /^H27[0-2]/,
  corrosive: /^H(290|314|318)/,
  toxic: /^H(30[01]|31[01]|33[01])/,
  harmful: /^H(302|312|315|317|319|332|335|336)/,
  'health hazard': /^H(304|334|34[01]|35[01]|36[01]|37[0-3])/,
  'harms life in water': /^H4(00|10|11)/,
}
/** Codes the exclamation mark stands for that another pictogram takes over. */
const TAKEN_OVER: readonly (readonly [by: RegExp, codes: RegExp])[] = [
  [/^H(30[01]|31[01]|33[01])/, /^H3(02|12|32)/],
  [/^H(314|318)/, /^H3(15|19)/],
  [/^H334/, /^H3(15|17|19)/],
]

/**
 * Pictograms of hazard codes, each once, in the order of `PICTOGRAMS`: the skull stands for the exclamation mark of an
 * acute toxicity, corrosion for that of an irritation, the health hazard of a respiratory sensitiser for that of skin.
 *
 * @example pictogramsOf(['H301', 'H302', 'H410']) // ['toxic', 'harms life in water']
 */
export function pictogramsOf(hazards: readonly string[]): readonly Pictogram[] {
  const taken = TAKEN_OVER.flatMap(([by, codes]) => (hazards.some((code) => by.test(code)) ? [codes] : []))
  return PICTOGRAMS.filter((one) =>
    hazards.some(
      (code) => CODES[one].test(code) && !(one === 'harmful' && taken.some((codes) => codes.test(code))),
    ),
  )
}

const DANGER =
  /^H(20[0-3]|205|22[02458]|240|241|250|260|261|27[01]|30[014]|31[0148]|33[014]|340|350|360|370|372)/

/**
 * Signal word of hazard codes; null where they ask for none. A word on file wins, since categories under one code differ.
 *
 * @param signalWord on file
 */
export function signalWordOf(
  hazards: readonly string[],
  signalWord?: 'Danger' | 'Warning',
): 'Danger' | 'Warning' | null {
  if (signalWord) return signalWord
  if (hazards.some((code) => DANGER.test(code))) return 'Danger'
  return pictogramsOf(hazards).length > 0 ? 'Warning' : null
}
