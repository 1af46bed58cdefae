import type { Explanation } from './explanation'
import { MEANING_EXPLANATIONS } from './meaning'
import { MELTING_EXPLANATIONS } from './melting'

/** Every equation behind a number, in the order of the work. */
export const EXPLANATIONS: readonly Explanation[] = [
  {
    id: 'solubility',
    title: 'Solubility between points',
    equation: ['ln S = a − b / T'],
    text: [
      'Against one over the absolute temperature the logarithm of a solubility is nearly a straight line. Between two points the app draws that line; beyond the last point it goes on along it and says so.',
      'With one point only, the slope is the enthalpy of fusion over the gas constant, as for an ideal solution: an estimate, and labelled so.',
    ],
    example:
      'Benzil in ethanol, 1.9 g per 100 mL at 20 °C and 8.7 at 50 °C: at 35 °C the line gives 4.22, not the 5.30 of a straight line in S.',
    limits:
      'Hydrates, solvates and solids that change form have a break in the line. Points from two sources may not fit together.',
  },
  {
    id: 'plan',
    title: 'How much solvent, and what comes back',
    equation: [
      'V(least) = 100 · m(product) / S(hot)',
      'in the liquor = S(cold) · V / 100',
      'crystals = m − in the liquor',
    ],
    text: [
      'The least volume dissolves the product hot. Whatever the volume holds cold stays dissolved, of product and of impurity alike. What the impurity does not dissolve even hot is grit, to be left behind.',
      'Proposed is a tenth over the least, so that it does not all come down at once; or what keeps a named impurity dissolved; or, where that would be under 1.5 mL a gram, more, as far as the liquor keeps no more than three tenths of the product. Under 1 mL a gram it is a wet cake, and the plan says so.',
      'Crude that is put aside for its melting range, a plate and a seed is not in the amounts, nor in the recovery.',
      'So more solvent keeps more impurity in the liquor, and more product too. The mark on the drawing is where the two are weighed against each other.',
    ],
    example:
      '1.804 g of crude, 90 % benzil: 1.624 g needs 100 · 1.624 / 46 = 3.5 mL at 78 °C. In 11.0 mL at 2 °C, 0.65 · 11.0 / 100 = 0.07 g stays dissolved, so 1.55 g can come back.',
    limits:
      'It is an upper bound. Clinging liquor, crystals that grow around impurity, and losses on glass come on top; two solutes change each other’s solubility a little.',
  },
  {
    id: 'ranking',
    title: 'Which solvent is best',
    equation: ['score = (d₁ · d₂ · … · dₙ)^(1/n)'],
    text: [
      'Each property becomes a number from 0 (worthless) to 1 (all that can be wished), and the score is their geometric mean (Derringer and Suich, 1980): one worthless property cannot be bought back by the others.',
      'The wishes: recovery from 50 to 95 %, purity from 80 to 99.5 %, 3 to 25 mL per gram of crude, little risk of oiling, liquid in the ice bath, a boiling point that dries in air, solubilities that are sure: of the bench or of high confidence 1, medium 0.8, low or from one point alone 0.25. What is not known has no say, and is shown as not known.',
    ],
    example:
      'Scores of 0.9, 0.8 and 0.1 come to (0.9 · 0.8 · 0.1)^(1/3) = 0.42, though their plain mean is 0.6.',
    limits:
      'The wishes are rules of the bench, not measurements. Hazards are not in the score: read them beside it. Anhydrides, acid halides and esters of phenols are recognised by their structure and kept from water and alcohols; other reactions are not.',
  },
  {
    id: 'oiling',
    title: 'Oil instead of crystals',
    equation: ['at risk when T(deposits) ≥ T(impure solid is liquid)'],
    text: [
      'A solution deposits where it becomes saturated. If the impure solid would already be liquid there, a second liquid parts from the solution before any crystal can form, and it takes the impurity along.',
      'The lowest of three temperatures is used for the impure solid: where the crude was seen to begin melting, its eutectic with the impurity, or the melting point. A margin under 12 °C counts as some risk, since solvent in an oil lowers its melting further; from water the margin is 35 °C, because a solid that melts a little above 100 °C is the textbook oil there.',
    ],
    example:
      'Benzil in 11 mL of ethanol is saturated near 58 °C, and its eutectic with benzoin is estimated near 78 °C: little risk.',
    limits:
      'The margin is a rule of the bench. Solids that hold much solvent oil far below their melting point.',
  },
  {
    id: 'pair',
    title: 'Two solvents',
    equation: ['ln S(mixture) = f · ln S(good) + (1 − f) · ln S(poor)'],
    text: [
      'Two solvents are used 5 °C under where the lower one boils, and solubilities are asked there: a second solvent that boils lower than the flask is hot would boil off at once.',
      'Dissolved in more than the least of the good solvent, the solution is brought to saturation by the poor one: it clouds. f is the share of the good solvent by volume (Yalkowsky and Roseman, 1981).',
      'The proportion is chosen between 15 and 85 % of the good solvent, where the mixture needs 4 to 20 mL for a gram: of those that come within 2 % of the best recovery, the one that needs least. In a solution that is nearly saturated the first drops of the poor solvent would cloud it, and hardly any would go in.',
    ],
    example: '40 and 0.3 g per 100 mL, three quarters good solvent: 40^0.75 · 0.3^0.25 = 11.8 g per 100 mL.',
    limits:
      'Real mixtures bend away from the line, by a factor of two or more. The cloud is the measurement; the number is a guide.',
  },
  {
    id: 'heat',
    title: 'What it is heated in, and how long it cools',
    equation: ['T(bath) = T(boils) + 10 °C', 't(cools) = t(small) · (V / 20 mL)^0.45'],
    text: [
      'A flammable solvent that boils below 85 °C goes into a water or steam bath, one below 45 °C into warm water; one that burns easily and boils higher into a heating block, an oil or a sand bath 30 °C above its boiling point. Only what hardly burns, or does not, stands on a plate, set some 40 °C above it, and no round flask ever does. What boils over a range counts from where it begins. Where the solid would melt before the solvent boils, or two solvents are used, the bath is held at the temperature of the plan and no hotter.',
      'Over 10 g of crude or 100 mL of solvent the flask is a round one under a reflux condenser. It holds the solvent, 0.8 mL for each gram of solid, and what is added to filter it hot, and is at most half full.',
      'A solvent that freezes above 1 °C is cooled in water 5 °C clear of that, never in ice.',
    ],
    example:
      'Ethanol boils at 78.2 °C: a bath of about 90 °C. Naphthalene melts from 79.5 °C: in acetic acid, which boils at 117.9 °C, it is dissolved in a bath held at 69 °C. A batch of 100 mL cools 15 · (100 / 20)^0.45 = 31, so about 30 min.',
    limits:
      'Rules of the bench, not measurements. The lab’s rules and the person in charge come first; so does a bath that is at hand.',
  },
  {
    id: 'rinse',
    title: 'How much it is rinsed with',
    equation: ['V(rinse) = the least of 1 mL/g · m(crystals), V(liquor), and 2.5 % · m(crystals) / S(cold)'],
    text: [
      'A rinse leaves saturated, at the most. Where 1 mL for a gram would dissolve more than 2.5 % of the crystals it is made smaller, and where hardly any is left the crystals are pressed and another solvent is named, if the shelf has one that mixes with the liquor, hardly dissolves them and leaves in air.',
    ],
    example:
      'Benzil, 1.5 g from ethanol: 1 mL cold dissolves at most 7 mg. Urea from water: 1 mL for a gram would take two thirds of it.',
    limits: 'A bound: a rinse that runs through quickly dissolves less.',
  },
  {
    id: 'drying',
    title: 'How a solid is dried',
    equation: ['T(oven) = the least of T(melts) − 25 °C, T(1 mmHg) − 45 °C, and 110 °C'],
    text: [
      'Minutes of air, at the funnel and spread, counted together: 5 for what boils up to 50 °C, 15 up to 70, 60 up to 85, and never fewer than the house asks for. Anything higher is dried until two weighings agree, with 30 min between them, over night in a desiccator or in air, within what the house says and no more than 0.2 % of the mass. Steps, balance and judge go by this alone.',
      'From water: in an oven 25 °C under where the solid melts and 45 °C under where it has a vapour pressure of 1 mmHg, or in a desiccator where that is under 40 °C or not known of a light solid. From any other solvent: in the hood until the crystals no longer smell of it, then in a desiccator; nothing wet with solvent goes into an oven.',
      'What sublimes, or has 1 mmHg of vapour below 75 °C, sees neither oven nor vacuum, and is drawn with air for two minutes only. A hydrate is dried in air alone and weighed as it is, its recovery also told without the water; where an oven is known to take the water out and harm nothing, as of caffeine at 80 °C, it is weighed without.',
    ],
    example:
      'Benzoic acid from water melts from 121 °C and has 1 mmHg of vapour at 96 °C: an oven at 50 °C, not 95. Camphor: a desiccator.',
    limits:
      'Light means under 200 g/mol and melting below 100 °C: a rule of the bench. Solids that hold solvent in their crystals need longer than this says.',
  },
  {
    id: 'assay',
    title: 'Product fraction from the crude’s melting range',
    equation: ['ln x = −ΔH/R · (1/T − 1/T(melting))'],
    text: [
      'The last crystal of an impure solid melts where the liquid holds the product at the mole fraction x (Schröder and van Laar). The clear point, less what heating rate and filling add, gives x; the molar masses turn it into a fraction by mass.',
      'The interval takes twice the reading error and 1.5 °C for the relation itself, added in squares.',
    ],
    example:
      'Benzil that is all liquid at 92.3 °C at 1 °C/min: 91.6 °C after correction, against 96 °C pure, is about 91 % by mass.',
    limits:
      'For one impurity that does not form mixed crystals. Salt, sand and drying agent do not lower a melting point, and are not seen.',
  },
  {
    id: 'cycles',
    title: 'Crystallizing again',
    equation: ['crude(n + 1) = crystals(n)'],
    text: [
      'Each time, the crystals are the next crude, with the same excess of solvent. Purity rises while the impurity is the better soluble of the two; product is paid each time.',
      'A second crop is the liquor evaporated to less: what it then cannot hold comes down, with more impurity than in the first.',
    ],
    example: 'Losing 5 % of the product each time leaves 0.95³ = 86 % after three crystallizations.',
    limits: 'Rinses and transfers come on top of it, and are the larger part at small scale.',
  },
  {
    id: 'cooling',
    title: 'How much has come down by now',
    equation: ['crystallized = 1 − S(T) · V / (100 · m)'],
    text: [
      'At rest at a temperature T, what the solvent cannot hold has crystallized. Cooling is faster than crystallizing: the flask may lag behind the line, above all at the start.',
    ],
    example: '1.62 g benzil in 11 mL at 20 °C: 1 − 1.9 · 11 / 162 = 87 %.',
    limits: 'A supersaturated solution sits below the line until it is scratched or seeded.',
  },
  {
    id: 'recovery',
    title: 'Percent recovery, and how sure it is',
    equation: ['recovery = 100 · m(crystals) / m(crude)', 'u(m) = d / √6', 'u(r)/r = √((u₁/m₁)² + (u₂/m₂)²)'],
    text: [
      'Each mass is two readings, each rounded to the readability d: the standard uncertainty of the difference is d/√6 (JCGM 100, F.2.2). Shown is twice that.',
      'Recovery of the crude compares what was weighed. Recovery of the product compares with the product thought to be in the crude, and is only as good as that estimate. Percent yield compares with what the reaction could have given. The three are different numbers.',
    ],
    example: '1.3914 g from 1.804 g: 77.13 ± 0.04 %.',
    limits:
      'It knows nothing of damp crystals or a stone among them: over 100 % is a result, and a question.',
  },
  {
    id: 'yield',
    title: 'Percent yield',
    equation: [
      'theoretical = m(limiting) / M(limiting) · n · M(product)',
      'yield = 100 · m(crystals) / theoretical',
    ],
    text: [
      'The limiting reagent sets how many molecules of product there can be: n for each of its own. Molar masses come from the structures on the shelf.',
    ],
    example: '2.004 g benzoin / 212.25 · 210.23 = 1.985 g; 1.3914 g of it is 70.1 %.',
    limits: 'It takes the crystals for pure, and the reagent for pure and used up.',
  },
  {
    id: 'account',
    title: 'Where it went',
    equation: ['accounted = crystals + later crops + residue + grit', 'closure = 100 · accounted / crude'],
    text: [
      'Predicted beside found. The prediction is worked out again for the solvent that was really logged, what boiled away taken off. “More apart than weighing explains” means more than two standard uncertainties of the weighing.',
      'The residue of the liquor is impurity and the product that stayed dissolved. It is split by what the cold solvent can hold, or by the residue’s own melting range once that is measured.',
    ],
    example: '1.3914 + 0.2567 g of 1.804 g: 91.4 % accounted for, 0.156 g on glass, paper and in tubes.',
    limits: 'A closure over 102 % counts something that was not in the crude: solvent, most often.',
  },
  ...MELTING_EXPLANATIONS,
  ...MEANING_EXPLANATIONS,
]
