import { describe, expect, test } from '@jest/globals'
import { labRulesOf } from '../conventions/lab'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import { STATIONS } from '../stations/stations'
import { meltCautions } from '../planning/meltCautions'
import { gentlerThan } from '../solubility/gentler'
import { isHalogenated, reactiveGroupsOf } from '../substances/groups'
import { meltingValueOf } from '../substances/meltingValue'
import { notOverSteam, reactionOf } from '../substances/reactions'
import type { Solvent } from '../substances/shelf'
import { coolingMin } from '../solubility/glassware'
import { proposedRinseML, rinseDoubt, rinseInstead } from '../solubility/rinse'
import { miscibilityDoubt } from '../solubility/solventPair'
import { TRIAL_CAUTION } from '../solubility/trial'
import { gritMarkML } from '../solubility/volume'
import { driesInAir } from '../weighing/airDrying'
import { crudeInText } from './batch'
import { askFirstAbout, cautionsFor } from './cautions'
import { dryingFor } from './drying'
import { EMERGENCIES } from './emergencies'
import { glasswareFor } from './glassware'
import { rescuesAt } from './rescues'
import { residueAdvice } from './residue'
import { wasteOf } from './waste'
import { Molecule, SSSearcher } from 'openchemlib'
import { oilingRisk } from '../solubility/oilingRisk'
import { PLATE_STEPS } from '../chromatography/plateSteps'
import { REFERENCE_COMPOUNDS, REFERENCE_SOLVENTS } from '../reference/reference'
import { referenceCompound, referenceSolvent } from '../../golden/reference'
import { PROCEDURES } from './shipped'

const [compound, solvent] = [referenceCompound, referenceSolvent]
const [water, ethanol, toluene, hexane] = ['water', 'ethanol-95', 'toluene', 'hexane'].map(solvent) as [
  Solvent,
  Solvent,
  Solvent,
  Solvent,
]

describe('groups of a structure', () => {
  /** The same groups, as a substructure search finds them. */
  const FRAGMENTS = [
    ['anhydride', 'C(=O)OC(=O)'],
    ['acid halide', 'C(=O)Cl'],
    ['aryl ester', 'C(=O)Oc1ccccc1'],
  ] as const
  const found = (smiles: string, fragment: string): boolean => {
    const searcher = new SSSearcher()
    const part = Molecule.fromSmiles(fragment)
    part.setFragment(true)
    searcher.setMol(part, Molecule.fromSmiles(smiles))
    return searcher.isFragmentInMolecule()
  }
  // Coumarins: the ester lies in the ring, and hot water leaves it alone.
  const isLactone = (smiles: string) => found(smiles, 'O=C1C=Cc2ccccc2O1')
  test('agree with a substructure search over the whole shelf', () => {
    const SMILES = [
      ...REFERENCE_COMPOUNDS.map(({ smiles }) => smiles),
      'CC(=O)Cl',
      'O=C(Br)c1ccccc1',
      'CC(=O)OC(C)=O',
    ]
    for (const smiles of SMILES) {
      const groups = reactiveGroupsOf(smiles)
      for (const [group, fragment] of FRAGMENTS)
        if (
          (group !== 'acid halide' || !/Br|S\(/.test(smiles)) &&
          !(group === 'aryl ester' && isLactone(smiles))
        )
          expect([smiles, group, groups.includes(group)]).toEqual([smiles, group, found(smiles, fragment)])
    }
    expect(reactiveGroupsOf('O=C(Br)c1ccccc1')).toEqual(['acid halide'])
    expect(reactiveGroupsOf('')).toEqual([])
  })
  test('of the shelf: four anhydrides, esters of phenols and no lactones, two sulfonyl chlorides', () => {
    const with_ = (group: string) =>
      REFERENCE_COMPOUNDS.filter(({ smiles }) => reactiveGroupsOf(smiles).includes(group as never)).map(
        ({ id }) => id,
      )
    expect(with_('anhydride')).toEqual([
      'maleic-anhydride',
      'phthalic-anhydride',
      'succinic-anhydride',
      'cis-4-cyclohexene-1-2-dicarboxylic-anhydride',
    ])
    expect(with_('aryl ester')).toEqual(['acetylsalicylic-acid', 'phenyl-benzoate', 'phenyl-salicylate'])
    expect(with_('acid halide')).toEqual([
      '4-acetamidobenzenesulfonyl-chloride',
      '4-toluenesulfonyl-chloride',
    ])
  })
  test('decide what may not meet', () => {
    expect(reactionOf(compound('phthalic-anhydride'), water)?.rulesOut).toBe(true)
    expect(reactionOf(compound('phthalic-anhydride'), ethanol)?.rulesOut).toBe(true)
    expect(reactionOf(compound('phthalic-anhydride'), toluene)).toBeNull()
    expect(reactionOf(compound('acetylsalicylic-acid'), water)).toMatchObject({
      rulesOut: false,
      sentence: expect.stringContaining('slowly splits'),
    })
    expect(reactionOf(compound('benzoic-acid'), water)).toBeNull()
  })
  test('and the waste', () => {
    expect(['C6H4Cl2', 'C7H5BrO', 'CHI3'].every(isHalogenated)).toBe(true)
    expect(['C14H10O2', 'C10H10Fe', 'H2SO4'].some(isHalogenated)).toBe(false)
    expect(wasteOf(ethanol, null, { formula: 'C6H4Cl2', hazards: [] })).toBe('halogenated organic waste')
    expect(wasteOf(water, null, { formula: 'C7H5ClO2', hazards: [] })).toBe(
      'halogenated aqueous waste, never the sink',
    )
    expect(wasteOf(solvent('acetic-acid'), water)).toContain('acid organic waste')
  })
})

describe('drying', () => {
  test('air is enough for low boilers alone', () => {
    expect([ethanol, hexane, solvent('2-propanol')].map((one) => driesInAir([one]))).toEqual([
      true,
      true,
      true,
    ])
    expect([water, toluene, solvent('acetic-acid')].map((one) => driesInAir([one]))).toEqual([
      false,
      false,
      false,
    ])
    expect(driesInAir([ethanol, water])).toBe(false)
    expect(driesInAir([solvent('petroleum-ether-60-80')])).toBe(true)
  })
  test('no oven comes within 45 °C of 1 mmHg, none takes what is wet with solvent, and what is light and unknown sees none', () => {
    for (const compound of REFERENCE_COMPOUNDS.map(({ id }) => referenceCompound(id)))
      for (const from of REFERENCE_SOLVENTS.map(({ id }) => referenceSolvent(id))) {
        const { how, ovenC } = dryingFor([from], compound)
        // One that comes with crystal water is dried where that is known to go and nothing else.
        if (how !== 'oven' || ovenC === null || ovenC === compound.anhydrousAtC) continue
        expect([compound.id, from.group]).toEqual([compound.id, 'water'])
        expect(ovenC).toBeLessThanOrEqual(Math.min(110, compound.meltLowC - 25))
        if (compound.vapour1mmHgC !== undefined) expect(ovenC).toBeLessThanOrEqual(compound.vapour1mmHgC - 45)
        else expect([compound.id, compound.molarMassGPerMol >= 200]).toEqual([compound.id, true])
      }
    const oven = (id: string) => dryingFor([water], compound(id)).ovenC
    expect([oven('benzoic-acid'), oven('salicylic-acid'), oven('adipic-acid')]).toEqual([50, 65, 110])
    for (const id of ['1-4-dibromobenzene', 'succinic-anhydride', 'dimethyl-fumarate'])
      expect([id, dryingFor([toluene], compound(id)).how]).toEqual([id, 'hood, then desiccator'])
    expect(dryingFor([ethanol, water], compound('trans-cinnamic-acid')).how).toBe('hood, then desiccator')
  })
  test('an oven stays 20 to 30 °C under melting; what goes off sees none, nor does a hydrate', () => {
    const benzoic = dryingFor([water], compound('benzoic-acid'))
    expect(benzoic).toMatchObject({ how: 'oven', ovenC: 50 })
    for (const id of ['camphor', 'ferrocene', 'naphthalene', 'phthalic-anhydride']) {
      const drying = dryingFor([toluene], compound(id))
      expect([id, drying.how]).toEqual([id, 'hood, then desiccator'])
      expect(drying.never).toContain('no oven and no vacuum')
    }
    expect(dryingFor([water], compound('citric-acid-anhydrous'))).toMatchObject({ how: 'air' })
    expect(dryingFor([water], compound('oxalic-acid-dihydrate')).never).toContain('no desiccant')
    expect(dryingFor([water], compound('acetylsalicylic-acid')).how).toBe('desiccator')
  })
  test('over steam goes nothing that is volatile or that hot water splits', () => {
    expect(notOverSteam(compound('camphor'))).toContain('evaporate with the steam')
    expect(notOverSteam(compound('naphthalene'))).toContain('evaporate with the steam')
    expect(notOverSteam(compound('acetylsalicylic-acid'))).toContain('split by hot water')
    expect(notOverSteam(compound('adipic-acid'))).toBeNull()
  })
})

describe('glass and time', () => {
  test('a flask holds solvent, solid and what is added to filter it', () => {
    expect(glasswareFor('small funnel', 1.8, { hotML: 11 }).vessel).toBe('25 mL Erlenmeyer flask')
    expect(glasswareFor('small funnel', 1.8, { hotML: 11 }, 3).vessel).toBe('50 mL Erlenmeyer flask')
    expect(glasswareFor('small funnel', 2.2, { hotML: 11 }).vessel).toBe('50 mL Erlenmeyer flask')
    expect(glasswareFor('large funnel', 12, { hotML: 60 }).vessel).toBe('250 mL round-bottomed flask')
    expect(glasswareFor('large funnel', 5, { hotML: 120 }).vessel).toBe('250 mL round-bottomed flask')
    expect(glasswareFor('large funnel', 400, { hotML: 2000 }).vessel).toBeNull()
  })
  test('a batch of five times the volume takes twice as long to cool', () => {
    expect([5, 20, 100, 1000].map((ml) => coolingMin(15, ml))).toEqual([15, 15, 30, 85])
  })
  test('the rinse is 1 mL a gram and never more than the liquor', () => {
    const of = (crystalsG: number, hotML: number, coldGPer100ML = 0.3) => ({
      crystalsG,
      hotML,
      coldGPer100ML,
    })
    expect([of(1.5, 11), of(2, 1.2), of(0.08, 0.5)].map(proposedRinseML)).toEqual([1.5, 1.2, 0.08])
    expect(rinseDoubt(1.5, of(1.5, 11))).toBeNull()
    expect(rinseDoubt(8, of(1.5, 11))).toContain('1 mL for a gram')
    expect(rinseDoubt(1, of(0.4, 0.5))).toContain('more than the mother liquor')
    expect(rinseDoubt(0, of(0.4, 0.5))).toBeNull()
  })
  test('the rinse dissolves no more than a fortieth of the crystals, or says what it would cost', () => {
    const urea = { crystalsG: 3.1, hotML: 8, coldGPer100ML: 67 }
    expect(proposedRinseML(urea)).toBe(0)
    expect(proposedRinseML({ ...urea, coldGPer100ML: 20 })).toBe(0.38)
    expect(rinseDoubt(0, urea, 'acetone')).toBe(
      '1 mL for a gram of crystals would dissolve 67 % of them: they are pressed dry and not rinsed. Ice-cold acetone hardly dissolves them: you can rinse with that. Collect that rinse separately, and use no oven until they no longer smell of it.',
    )
    expect(rinseDoubt(3, urea)).toBe(
      '3 mL cold dissolves up to 2.0 g of 3.1 g of crystals, 65 %: press them dry and do not rinse.',
    )
    expect(proposedRinseML({ ...urea, crystalsG: 0.05 })).toBe(0)
    expect(rinseDoubt(0, { ...urea, crystalsG: 0.05 })).toContain('pressed dry and not rinsed')
  })
  test('another rinse mixes with the liquor, dissolves hardly any, leaves in air and is not toxic', () => {
    const all = REFERENCE_SOLVENTS.map(({ id }) => referenceSolvent(id))
    const cold: Readonly<Record<string, number>> = {
      acetone: 1,
      methanol: 0.1,
      toluene: 0.01,
      hexane: 0.01,
      '2-propanol': 1.5,
    }
    const coldOf = ({ id }: Solvent) => cold[id] ?? null
    expect(rinseInstead([water], all, coldOf)?.id).toBe('acetone')
    expect(rinseInstead([water], all, () => 20)).toBeNull()
    expect(rinseInstead([solvent('toluene')], all, coldOf)?.id).toBe('acetone')
  })
  test('grit is called later where the least volume may be wrong', () => {
    expect([gritMarkML(3.5), gritMarkML(3.5, true)]).toEqual([7, 10.5])
  })
})

test('a solid that melts little above where water boils is the textbook oil', () => {
  const acetanilide = { saturationC: 94, meltingPointC: 115, boilingPointC: 100 }
  expect(oilingRisk({ ...acetanilide, fromWater: true })).toMatchObject({
    level: 'some',
    because: expect.stringContaining('under hot water it melts lower'),
  })
  expect(oilingRisk({ ...acetanilide, boilingPointC: 82 }).level).toBe('low')
})

test('a solvent that harms has a stand-in where the shelf has one', () => {
  const all = REFERENCE_SOLVENTS.map(({ id }) => referenceSolvent(id))
  const instead = (id: string) => gentlerThan(solvent(id), all)?.id ?? null
  expect(instead('hexane')).toBe('heptane')
  expect(instead('methanol')).toMatch(/^ethanol/)
  expect(['ethanol-95', 'water', 'dichloromethane', 'toluene', 'acetone'].map(instead)).toEqual(
    Array(5).fill(null),
  )
})

test('a liquor is evaporated over a bath where it burns, and one that can hold peroxides not at all', () => {
  expect(residueAdvice([ethanol])).toMatchObject({
    never: null,
    how: expect.stringContaining('never on a bare plate'),
  })
  expect(residueAdvice([water]).how).toContain('on a warm plate')
  expect(residueAdvice([solvent('diethyl-ether')]).never).toContain('must never be evaporated toward dryness')
  expect(residueAdvice([ethanol, solvent('tetrahydrofuran')]).never).toContain('tetrahydrofuran')
})

test('what goes in has the digits of what was weighed', () => {
  const goesIn = (crudeText: string, keptBackG: number) => crudeInText({ crudeText, keptBackG })
  expect([
    goesIn('1.804', 0),
    goesIn('1.804', 0.025),
    goesIn('12.40', 0.025),
    goesIn('0.1204', 0.006),
    // A coarse balance: what is divided by later is printed whole.
    goesIn('5.2', 0.025),
  ]).toEqual(['1.804', '1.779', '12.375', '0.1144', '5.175'])
})

test('95 % ethanol parts from alkanes when cold, dry ethanol mixes', () => {
  expect(miscibilityDoubt(ethanol, hexane)).toContain('mix only in part when cold')
  expect(miscibilityDoubt(solvent('ethanol-absolute'), hexane)).toBeNull()
})

test('a merged melting range has a best value, a spread and the width of a pure solid', () => {
  expect(meltingValueOf(compound('thiourea'))).toEqual({ clearC: 178, spreadC: 4, widthC: 2 })
  expect(meltingValueOf({ meltLowC: 94, meltHighC: 95.5 })).toEqual({ clearC: 95.5, spreadC: 0, widthC: 1.5 })
  for (const row of REFERENCE_COMPOUNDS.filter((one) => one.meltHighC - one.meltLowC >= 4))
    expect([row.id, meltingValueOf(row).widthC]).toEqual([row.id, 2])
})

describe('cautions', () => {
  test('the plate or bath that is named is the one of the plan', () => {
    const acid = compound('naphthalene')
    expect(cautionsFor(acid, solvent('acetic-acid'), null, 69).join(' ')).toContain('no bare hot plate')
    expect(cautionsFor(acid, solvent('acetic-acid'), null, 117).join(' ')).toContain('hot plate in the hood')
  })
  test('who must be asked is found among all that is used', () => {
    expect(askFirstAbout(compound('phenacetin'), null, [water])).toEqual(['phenacetin'])
    expect(askFirstAbout(compound('benzoic-acid'), compound('1-3-dinitrobenzene'), [water])).toEqual([
      '1,3-dinitrobenzene',
    ])
    expect(askFirstAbout(compound('benzoic-acid'), null, [water, ethanol])).toEqual([])
  })
  test('stand at glass that is spun, sucked or held hot, at the oil bath, the lamp and the test tubes', () => {
    const words = (id: string) =>
      PROCEDURES.find((one) => one.id === id)
        ?.steps.flatMap(({ cautions = [] }) => cautions.map(({ text }) => text))
        .join(' ')
    for (const id of ['craig-tube', 'centrifuge-tube']) {
      expect(words(id)).toMatch(/thick-walled centrifuge tube without cracks, within its rated speed/)
      expect(words(id)).toContain('A hot pipette squirts')
    }
    expect(words('small-funnel')).toMatch(/star cracks/)
    expect(words('small-funnel')).toMatch(/Do not lean over it. Swirl it, and never leave it/)
    expect(words('small-funnel')).toMatch(/A bent clip .* lets the air out.*Take it off the boil first/)
    expect(words('small-funnel')).toContain(
      'filtrate is grey, filter it again through a fresh filter with filter aid',
    )
    expect(meltCautions('oil-bath tube').join(' ')).toMatch(
      /keep water out of it.*never heat it until it smokes.*half an hour/,
    )
    expect(meltCautions('dial block').join(' ')).not.toContain('Oil')
    expect(PLATE_STEPS.map(({ caution = '' }) => caution).join(' ')).toContain('put bare skin under it')
    expect(TRIAL_CAUTION).toMatch(/boiling stick.*away from everyone.*never in a flame/)
  })
})

describe('when someone is hurt', () => {
  test('each card says first what to do, in five words at most', () => {
    expect(EMERGENCIES.map(({ id }) => id)).toEqual([
      'flask-burns',
      'clothing-burns',
      'lifeless',
      'breathed',
      'allergy',
      'eye',
      'skin',
      'burn',
      'cut',
      'swallowed',
      'spill-liquid',
      'spill-solid',
      'flask-bursts',
      'hood-or-power-out',
    ])
    const card = (id: string) => {
      const one = EMERGENCIES.find((emergency) => emergency.id === id)
      return `${one?.first ?? ''}. ${one?.then ?? ''}`
    }
    // Nobody who may not be breathing is laid on the side and waited beside.
    expect(card('lifeless')).toMatch(
      /Check breathing.*Not breathing normally: make the emergency call, begin chest compressions.*defibrillator.*Breathing normally: lay them on their side/,
    )
    expect(card('breathed')).toMatch(/does not wake: check the breathing/)
    expect(card('cut')).toMatch(/leave it there and press beside it, never on it/)
    expect(card('skin')).toMatch(/phenol .*polyethylene glycol/)
    for (const { first } of EMERGENCIES) expect(first.split(/\s+/).length).toBeLessThanOrEqual(5)
  })
  test('at the melt stand cards of their own, and none says to hurry at hot glass', () => {
    expect(rescuesAt('melt').map(({ id }) => id)).toEqual([
      'capillary-broke',
      'thermometer-stuck',
      'mercury',
      'tube-in-the-oil',
    ])
    for (const station of STATIONS)
      for (const { remedies } of rescuesAt(station)) expect(remedies.length).toBeGreaterThan(1)
  })
  test('whom to call, and what is closed, holds whichever set is gone by', () => {
    const ours = {
      ...DEFAULT_HOUSE_RULES,
      name: 'Ours',
      closed: ['hexane'],
      emergencyCalls: 'First aid: room 2',
    }
    expect(labRulesOf([DEFAULT_HOUSE_RULES, ours], DEFAULT_HOUSE_RULES)).toEqual({
      closed: ['hexane'],
      emergencyCalls: 'First aid: room 2',
    })
    expect(labRulesOf([], DEFAULT_HOUSE_RULES)).toEqual({ closed: [], emergencyCalls: null })
  })
})
