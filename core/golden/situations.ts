import { readFileSync } from 'node:fs'
import { DEFAULT_HOUSE_RULES } from '../src/conventions/schools'
import type { Fusion } from '../src/melting/liquidus'
import { waldenFusionEnthalpy } from '../src/melting/liquidus'
import { mixedVerdict } from '../src/identity/mixedVerdict'
import type { Behaviour } from '../src/substances/behaviour'
import type { HouseWords, RangeEvidence, Repeat, SignSeen } from '../src/judging/evidence'

/** A reading with what a careful supervisor would say of it. */
export interface Situation {
  readonly id: string
  readonly compound: {
    meltLowC: number
    meltHighC: number
    fusionEnthalpyKJPerMol: number | null
    molarMassGPerMol: number
    behaviour: Behaviour
  }
  readonly reading: {
    onsetC: number
    clearC: number
    resolutionC: number
    rateCPerMin: number
    rateMeasured: boolean
    fillMm: number
    grain: 'fine' | 'coarse'
    startedBelowOnsetC: number
  }
  readonly thermometer: Omit<RangeEvidence['thermometer'], 'extrapolated'>
  readonly dried: {
    how: 'constant mass' | 'oven' | 'minutes of air' | 'not'
    minutes: number | null
    solvent: string | null
  } | null
  readonly signs: readonly SignSeen['sign'][]
  readonly crude: { onsetC: number; clearC: number } | null
  readonly authenticSameRun: { onsetC: number; clearC: number } | null
  readonly mixedMelt: {
    onsetC: number
    clearC: number
    alone: { onsetC: number; clearC: number }
    reference: { onsetC: number; clearC: number }
  } | null
  readonly plate: { spots: number; sameHeightAsAuthentic: boolean | null } | null
  readonly repeats: readonly Repeat[]
  readonly impurity: {
    name: string
    meltC: number
    fusionEnthalpyKJPerMol: number | null
    molarMassGPerMol: number
  } | null
  readonly houseRules: 'ordinary' | Partial<HouseWords>
  readonly expected: {
    readonly verdict: string
    readonly acceptableVerdicts: readonly string[]
    readonly firstAction: string
    readonly acceptableActions: readonly string[]
  }
}
export const SITUATIONS = JSON.parse(
  readFileSync(new URL('./judging-situations.json', import.meta.url), 'utf8'),
) as readonly Situation[]

const ORDINARY: HouseWords = {
  ...DEFAULT_HOUSE_RULES,
  sharpWidthC: 2,
  broadWidthC: 5,
  literatureWithinC: 2,
  repeatWithinC: 1,
  readingErrorC: 0.3,
  meltRate: { min: 1, target: 1, max: 2 },
  fillMm: [2, 3],
  onsetRule: 'first wetness',
}
/** Where the solvents of the situations boil, °C. */
const BOILS: Readonly<Record<string, number>> = {
  '2-propanol': 82,
  'ethyl acetate': 77,
  ethanol: 78,
  hexane: 69,
  toluene: 111,
  methanol: 65,
  acetone: 56,
  water: 100,
}
const boilsC = (solvent: string | null) =>
  solvent === null ? null : Math.max(...solvent.split(' and ').map((one) => BOILS[one] ?? 100))

function fusionOf(meltingPointC: number, enthalpy: number | null, molarMassGPerMol: number): Fusion {
  return enthalpy === null
    ? { meltingPointC, molarMassGPerMol, enthalpyKJPerMol: waldenFusionEnthalpy(meltingPointC) }
    : { meltingPointC, molarMassGPerMol, enthalpyKJPerMol: enthalpy }
}

export function evidenceOf(one: Situation): RangeEvidence {
  const { compound, reading, impurity, mixedMelt, plate, dried } = one
  const { onsetC, clearC } = reading
  return {
    reading: { onsetC, clearC },
    resolutionC: reading.resolutionC,
    rateCPerMin: reading.rateCPerMin,
    rateMeasured: reading.rateMeasured,
    fillMm: reading.fillMm,
    grain: reading.grain,
    watchedFromBelowOnsetC: reading.startedBelowOnsetC,
    thermometer: { ...one.thermometer, extrapolated: false },
    dried:
      dried && dried.solvent !== null
        ? { how: dried.how, minutes: dried.minutes, solventBoilsC: boilsC(dried.solvent) }
        : null,
    signs: one.signs.map((sign) => ({ sign, atC: null })),
    literature: { lowC: compound.meltLowC, highC: compound.meltHighC },
    behaviour: compound.behaviour,
    fusion: fusionOf(compound.meltHighC, compound.fusionEnthalpyKJPerMol, compound.molarMassGPerMol),
    crude: one.crude,
    authentic: one.authenticSameRun,
    mixed:
      mixedMelt &&
      mixedVerdict(
        { unknown: mixedMelt.alone, reference: mixedMelt.reference, mixture: mixedMelt, sameRun: true },
        ORDINARY,
      ),
    plate: plate && {
      spots: plate.spots,
      sameHeight: plate.sameHeightAsAuthentic,
      isPoor: false,
      sentence: '',
    },
    repeats: one.repeats,
    setAside: 0,
    impurity: impurity && {
      name: impurity.name,
      fusion: fusionOf(impurity.meltC, impurity.fusionEnthalpyKJPerMol, impurity.molarMassGPerMol),
    },
  }
}
export const rulesOf = ({ houseRules }: Situation): HouseWords =>
  houseRules === 'ordinary' ? ORDINARY : { ...ORDINARY, ...houseRules }
