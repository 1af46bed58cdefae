/**
 * Starting materials of the syntheses a crude comes from, most of them liquids, which have no place on a shelf of
 * melting ranges: a percent yield needs only what they weigh, and that follows from their formula.
 */
export interface Reagent {
  readonly name: string
  readonly synonyms: readonly string[]
  readonly cas: null
  readonly formula: string
  readonly smiles: string
}

const reagent = (name: string, smiles: string, formula: string, ...synonyms: string[]): Reagent => ({
  name,
  smiles,
  formula,
  synonyms,
  cas: null,
})

export const REAGENTS: readonly Reagent[] = [
  reagent('acetaldehyde', 'CC=O', 'C2H4O', 'ethanal'),
  reagent('acetic acid', 'CC(=O)O', 'C2H4O2', 'ethanoic acid', 'glacial acetic acid'),
  reagent('acetic anhydride', 'CC(=O)OC(C)=O', 'C4H6O3', 'ethanoic anhydride'),
  reagent('acetone', 'CC(C)=O', 'C3H6O', 'propanone', '2-propanone'),
  reagent('acetophenone', 'CC(=O)c1ccccc1', 'C8H8O', 'methyl phenyl ketone'),
  reagent('acetyl chloride', 'CC(=O)Cl', 'C2H3ClO', 'ethanoyl chloride'),
  reagent('aniline', 'Nc1ccccc1', 'C6H7N', 'phenylamine', 'aminobenzene', 'benzenamine'),
  reagent('anisole', 'COc1ccccc1', 'C7H8O', 'methoxybenzene'),
  reagent('2-methoxyaniline', 'COc1ccccc1N', 'C7H9NO', 'o-anisidine'),
  reagent('anisaldehyde', 'COc1ccc(C=O)cc1', 'C8H8O2', '4-methoxybenzaldehyde', 'p-anisaldehyde'),
  reagent('benzaldehyde', 'O=Cc1ccccc1', 'C7H6O'),
  reagent('benzene', 'c1ccccc1', 'C6H6'),
  reagent('benzoyl chloride', 'O=C(Cl)c1ccccc1', 'C7H5ClO'),
  reagent('benzyl alcohol', 'OCc1ccccc1', 'C7H8O', 'phenylmethanol'),
  reagent('benzyl chloride', 'ClCc1ccccc1', 'C7H7Cl'),
  reagent('benzylamine', 'NCc1ccccc1', 'C7H9N'),
  reagent('bromine', 'BrBr', 'Br2'),
  reagent('bromobenzene', 'Brc1ccccc1', 'C6H5Br', 'phenyl bromide'),
  reagent('butan-1-ol', 'CCCCO', 'C4H10O', '1-butanol', 'n-butanol'),
  reagent('chlorobenzene', 'Clc1ccccc1', 'C6H5Cl', 'phenyl chloride'),
  reagent('cyclohexanol', 'OC1CCCCC1', 'C6H12O'),
  reagent('cyclohexanone', 'O=C1CCCCC1', 'C6H10O'),
  reagent('cyclohexene', 'C1=CCCCC1', 'C6H10'),
  reagent('cyclopentadiene', 'C1C=CC=C1', 'C5H6'),
  reagent('cyclopentanone', 'O=C1CCCC1', 'C5H8O'),
  reagent('diethyl malonate', 'CCOC(=O)CC(=O)OCC', 'C7H12O4'),
  reagent('N,N-dimethylaniline', 'CN(C)c1ccccc1', 'C8H11N', 'dimethylaniline'),
  reagent('ethanol', 'CCO', 'C2H6O', 'ethyl alcohol'),
  reagent('ethyl acetoacetate', 'CCOC(=O)CC(C)=O', 'C6H10O3', 'ethyl 3-oxobutanoate'),
  reagent('ethyl benzoate', 'CCOC(=O)c1ccccc1', 'C9H10O2'),
  reagent('formaldehyde', 'C=O', 'CH2O', 'methanal'),
  reagent('furfural', 'O=Cc1ccco1', 'C5H4O2', '2-furaldehyde'),
  reagent('hydrazine', 'NN', 'H4N2'),
  reagent('hydrogen peroxide', 'OO', 'H2O2'),
  reagent('hydroxylamine hydrochloride', 'NO.Cl', 'H3NO·ClH'),
  reagent('isobutylbenzene', 'CC(C)Cc1ccccc1', 'C10H14'),
  reagent('methanol', 'CO', 'CH4O', 'methyl alcohol'),
  reagent('methyl benzoate', 'COC(=O)c1ccccc1', 'C8H8O2'),
  reagent('methyl salicylate', 'COC(=O)c1ccccc1O', 'C8H8O3', 'oil of wintergreen'),
  reagent('nitric acid', 'O[N+](=O)[O-]', 'HNO3'),
  reagent('nitrobenzene', 'O=[N+]([O-])c1ccccc1', 'C6H5NO2'),
  reagent('phenylhydrazine', 'NNc1ccccc1', 'C6H8N2'),
  reagent('propan-2-ol', 'CC(C)O', 'C3H8O', 'isopropanol', 'isopropyl alcohol'),
  reagent('propionic anhydride', 'CCC(=O)OC(=O)CC', 'C6H10O3'),
  reagent('salicylaldehyde', 'O=Cc1ccccc1O', 'C7H6O2', '2-hydroxybenzaldehyde'),
  reagent('semicarbazide hydrochloride', 'NNC(N)=O.Cl', 'CH5N3O·ClH'),
  reagent('styrene', 'C=Cc1ccccc1', 'C8H8'),
  reagent('toluene', 'Cc1ccccc1', 'C7H8', 'methylbenzene'),
  reagent('2-methylaniline', 'Cc1ccccc1N', 'C7H9N', 'o-toluidine'),
  reagent('2,6-dimethylaniline', 'Cc1cccc(C)c1N', 'C8H11N', '2,6-xylidine'),
  reagent('4-phenetidine', 'CCOc1ccc(N)cc1', 'C8H11NO', 'p-phenetidine', '4-ethoxyaniline'),
  reagent('triethyl phosphite', 'CCOP(OCC)OCC', 'C6H15O3P'),
]
