/** Where a term is met: a place of the app, or everywhere. */
export type TermPlace = 'prep' | 'melt' | 'judge' | 'unknown' | 'plate' | 'period' | 'notebook' | 'shelf'

/** A word of the field or of this app, explained once. */
export interface Term {
  /** The standard term, as the app writes it in a sentence. */
  readonly term: string
  /** What heads a column or a field; at most four words, with its unit. */
  readonly label: string
  /** One or two sentences. */
  readonly meaning: string
  readonly where: readonly TermPlace[]
  /** Other names in use for the same thing. */
  readonly also?: readonly string[]
}

/** Every term the app explains, by the name that code and addresses use. */
export const TERMS = {
  crude: {
    term: 'crude',
    label: 'crude, g',
    meaning: 'The solid as it comes from the reaction, before it is purified.',
    where: ['prep'],
  },
  product: {
    term: 'product',
    label: 'product, g',
    meaning: 'The dry crystals that recrystallization gives.',
    where: ['prep'],
  },
  recovery: {
    term: 'percent recovery',
    label: 'recovery, %',
    meaning: 'The mass of dry crystals divided by the mass of crude that was dissolved, times 100.',
    where: ['prep'],
  },
  yield: {
    term: 'percent yield',
    label: 'yield, %',
    meaning:
      'The amount of product divided by the most that the limiting reagent could give, times 100. It judges the reaction; percent recovery judges the purification.',
    where: ['prep'],
  },
  closure: {
    term: 'mass balance',
    label: 'accounted for, %',
    meaning:
      'All that was weighed afterwards, divided by the mass of crude, times 100. Over 100 %, the crystals could be damp.',
    where: ['prep'],
  },
  limitingReagent: {
    term: 'limiting reagent',
    label: 'limiting reagent',
    meaning: 'The reactant that is used up first. It sets the most product that can form.',
    where: ['prep'],
  },
  motherLiquor: {
    term: 'mother liquor',
    label: 'mother liquor',
    meaning: 'The solution that is left when the crystals have been collected.',
    where: ['prep'],
  },
  residue: {
    term: 'residue',
    label: 'residue, g',
    meaning: 'The solid that stays when the mother liquor is evaporated.',
    where: ['prep'],
  },
  secondCrop: {
    term: 'second crop',
    label: 'second crop, g',
    meaning: 'Crystals won from the mother liquor by concentrating and cooling it again.',
    where: ['prep'],
  },
  seed: {
    term: 'seed crystal',
    label: 'seed crystal',
    meaning: 'A grain of the pure solid that starts crystallization in a supersaturated solution.',
    where: ['prep'],
  },
  supersaturated: {
    term: 'supersaturated',
    label: 'supersaturated',
    meaning: 'Holding more dissolved solid than the solvent can keep at this temperature.',
    where: ['prep'],
  },
  oilingOut: {
    term: 'oiling out',
    label: 'oiling out',
    meaning:
      'The solid comes out of solution as drops of liquid instead of crystals, and takes impurities with it.',
    where: ['prep'],
  },
  grit: {
    term: 'grit',
    label: 'grit, g',
    meaning: 'Insoluble matter that stays undissolved in the hot solvent and is filtered off hot.',
    where: ['prep'],
  },
  constantMass: {
    term: 'constant mass',
    label: 'constant mass',
    meaning: 'Two weighings, with drying between them, that agree within the limit of the lab.',
    where: ['prep'],
  },
  solventPair: {
    term: 'solvent pair',
    label: 'solvent pair',
    meaning: 'Two solvents that mix: one dissolves the solid well, and the other brings it out again.',
    where: ['prep'],
  },
  solubility: {
    term: 'solubility',
    label: 'solubility, g/100 mL',
    meaning: 'The mass of solid that 100 mL of solvent can dissolve at a temperature.',
    where: ['prep', 'shelf'],
  },
  meltingRange: {
    term: 'melting range',
    label: 'melting range, °C',
    meaning: 'The temperatures from the first liquid to the last crystal. Report both.',
    where: ['melt', 'judge'],
    also: ['melting point, for a narrow range'],
  },
  onset: {
    term: 'onset',
    label: 'onset, °C',
    meaning: 'The temperature at which the first liquid is seen in the tube.',
    where: ['melt', 'judge'],
    also: ['first liquid'],
  },
  clearPoint: {
    term: 'clear point',
    label: 'clear point, °C',
    meaning: 'The temperature at which the last crystal melts.',
    where: ['melt', 'judge'],
    also: ['all liquid'],
  },
  width: {
    term: 'width',
    label: 'width, °C',
    meaning: 'The clear point minus the onset.',
    where: ['melt', 'judge'],
  },
  shrinking: {
    term: 'shrinking',
    label: 'shrinks, °C',
    meaning: 'The column pulls away from the glass before any liquid is seen. It is not the onset.',
    where: ['melt'],
    also: ['sintering'],
  },
  sweating: {
    term: 'sweating',
    label: 'sweats, °C',
    meaning: 'Tiny drops on the glass before the solid melts: solvent that is still in it, or an early melt.',
    where: ['melt'],
  },
  slush: {
    term: 'slush',
    label: 'slush',
    meaning: 'Solid and liquid side by side in the tube, between onset and clear point.',
    where: ['melt'],
  },
  decomposition: {
    term: 'decomposition',
    label: 'decomposes, °C',
    meaning: 'The solid darkens or gives off gas as it melts. Write “dec.” beside the range.',
    where: ['melt', 'judge'],
  },
  heatingRate: {
    term: 'heating rate',
    label: 'heating rate, °C/min',
    meaning: 'How fast the block or bath warms. Near the melting point it is 1 to 2 °C per minute.',
    where: ['melt'],
  },
  ramp: {
    term: 'ramp',
    label: 'ramp',
    meaning: 'The planned slow heating through the temperatures at which the sample could melt.',
    where: ['melt'],
  },
  startTemperature: {
    term: 'start temperature',
    label: 'start, °C',
    meaning:
      'Where the slow heating begins, below the lowest temperature at which the sample could show liquid.',
    where: ['melt'],
  },
  watchBand: {
    term: 'watch band',
    label: 'watch band, °C',
    meaning: 'The temperatures between which a tube can melt. Keep looking at it there.',
    where: ['melt'],
  },
  scoutingRun: {
    term: 'scouting run',
    label: 'scouting run',
    meaning: 'A fast first run, up to 10 °C/min, to learn roughly where an unknown melts.',
    where: ['melt', 'unknown'],
  },
  mark: {
    term: 'mark',
    label: 'mark, °C',
    meaning: 'A moment of a melt, recorded with its temperature when its key is pressed.',
    where: ['melt'],
  },
  calibration: {
    term: 'calibration',
    label: 'calibration',
    meaning: 'Standards of known melting point show how far the thermometer reads too high or too low.',
    where: ['melt', 'judge'],
  },
  literatureRange: {
    term: 'literature range',
    label: 'literature, °C',
    meaning: 'The melting range that a handbook gives for the pure compound.',
    where: ['judge', 'shelf'],
  },
  meltingPointDepression: {
    term: 'melting point depression',
    label: 'depression, °C',
    meaning: 'How far an impurity lowers the clear point below that of the pure compound.',
    where: ['judge', 'unknown'],
  },
  eutectic: {
    term: 'eutectic',
    label: 'eutectic, °C',
    meaning:
      'The mixture of two solids with the lowest melting point. It melts sharply, like a pure compound.',
    where: ['judge', 'unknown'],
  },
  mixedMelt: {
    term: 'mixed melting point',
    label: 'mixed melt, °C',
    meaning:
      'The unknown is ground with a known compound and melted. An unchanged range means the same compound; a lower and broader one means another.',
    where: ['unknown', 'judge'],
  },
  authenticSample: {
    term: 'authentic sample',
    label: 'authentic sample',
    meaning: 'A pure sample of a known compound, to melt beside the unknown or mixed with it.',
    where: ['unknown', 'judge'],
  },
  candidate: {
    term: 'candidate',
    label: 'candidate',
    meaning: 'A compound that the unknown could be, by its melting range.',
    where: ['unknown'],
  },
  contribution: {
    term: 'contribution',
    label: 'explains, °C',
    meaning: 'The part of a width or of a distance that one cause can explain: the least and the most.',
    where: ['judge'],
  },
  verdict: {
    term: 'verdict',
    label: 'verdict',
    meaning: 'What a range says of purity or identity, signed by its author with the entries it is based on.',
    where: ['judge', 'unknown'],
  },
  houseRules: {
    term: 'house rules',
    label: 'house rules',
    meaning:
      'The limits a laboratory has set: how narrow is sharp, how slow is slow, and what is not allowed.',
    where: ['judge', 'melt'],
  },
  plate: {
    term: 'plate (TLC)',
    label: 'plate',
    meaning:
      'Thin-layer chromatography: a coated sheet on which the parts of a sample travel different distances.',
    where: ['plate'],
  },
  retentionFactor: {
    term: 'retention factor',
    label: 'Rf',
    meaning:
      'The distance a spot travelled divided by the distance the solvent travelled, both from the start line.',
    where: ['plate'],
  },
  eluent: {
    term: 'eluent',
    label: 'eluent',
    meaning: 'The solvent that climbs the plate and carries the spots along.',
    where: ['plate'],
  },
  handsOn: {
    term: 'hands-on',
    label: 'hands-on, min',
    meaning: 'Work that needs a person for all of its time.',
    where: ['period'],
  },
  unattended: {
    term: 'unattended',
    label: 'unattended, min',
    meaning:
      'Work that goes on without a person, such as cooling or drying. Other work can be done meanwhile.',
    where: ['period'],
  },
  safeStop: {
    term: 'safe stop',
    label: 'safe stop',
    meaning: 'A point at which work can be left until another day, with what to cover, label and switch off.',
    where: ['period', 'prep'],
  },
  entry: {
    term: 'entry',
    label: 'entry',
    meaning: 'One thing written down in the notebook, with its time and author. It is never erased.',
    where: ['notebook'],
  },
  struckOut: {
    term: 'struck out',
    label: 'struck out',
    meaning:
      'Marked as wrong, with a reason. The entry stays readable, and nothing is worked out from it any more.',
    where: ['notebook'],
  },
} as const satisfies Readonly<Record<string, Term>>

export type TermId = keyof typeof TERMS
