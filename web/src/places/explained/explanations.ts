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
      'The logarithm of a solubility, plotted against one over the absolute temperature, is nearly a straight line. The app draws that line between two points. Beyond the last point it extends the line and says so.',
      'With only one point, the slope is the enthalpy of fusion divided by the gas constant, as for an ideal solution. This is an estimate and is labelled as one.',
    ],
    example:
      'Benzil in ethanol, 1.9 g per 100 mL at 20 °C and 8.7 at 50 °C: at 35 °C the line gives 4.22, not the 5.30 of a straight line in S.',
    limits:
      'Hydrates, solvates and solids that change their crystal form have a break in the line. Points from two sources do not always fit together.',
  },
  {
    id: 'plan',
    title: 'How much solvent, and how much crystallizes',
    equation: [
      'V(least) = 100 · m(product) / S(hot)',
      'in the liquor = S(cold) · V / 100',
      'crystals = m − in the liquor',
    ],
    text: [
      'The least hot volume dissolves all the product when hot. What this volume can hold when cold stays dissolved, both product and impurity. Impurity that does not dissolve even when hot is grit and is filtered off.',
      'The app proposes a tenth more than the least volume, so that it does not all crystallize at once, or the volume that keeps a named impurity dissolved. If that is under 1.5 mL per gram, it proposes more, as long as the mother liquor keeps at most three tenths of the product. Under 1 mL per gram you get a wet cake, and the plan says so.',
      'Crude kept back for its melting range, a plate and a seed crystal is not counted in the amounts or in the recovery.',
      'More solvent keeps more impurity in the mother liquor, but more product too. The mark on the drawing shows the volume you choose between the two.',
    ],
    example:
      '1.804 g of crude, 90 % benzil: 1.624 g needs 100 · 1.624 / 46 = 3.5 mL at 78 °C. In 11.0 mL at 2 °C, 0.65 · 11.0 / 100 = 0.07 g stays dissolved, so 1.55 g can crystallize.',
    limits:
      'This is an upper limit. Liquor on the crystals, impurity inside the crystals and losses on glass are not included. Two solutes also change the solubility of each other a little.',
  },
  {
    id: 'ranking',
    title: 'Which solvent is best',
    equation: ['score = (d₁ · d₂ · … · dₙ)^(1/n)'],
    text: [
      'Each property becomes a number from 0 (useless) to 1 (ideal), and the score is their geometric mean (Derringer and Suich, 1980). One useless property cannot be made up by the others.',
      'The properties are recovery from 50 to 95 %, purity from 80 to 99.5 %, and 3 to 25 mL per gram of crude. Further: little risk of oiling, liquid in the ice bath, a boiling point that lets it dry in air, and reliable solubilities. Points from this bench or of high confidence count 1, medium 0.8, low or a single point 0.25. A property that is not known does not count and is shown as not known.',
    ],
    example:
      'Scores of 0.9, 0.8 and 0.1 come to (0.9 · 0.8 · 0.1)^(1/3) = 0.42, though their plain mean is 0.6.',
    limits:
      'These limits are rules of thumb, not measurements. Hazards are not in the score: read them beside it. Anhydrides, acid halides and esters of phenols are recognised by their structure and not planned with water or alcohols. Other reactions are not recognised.',
  },
  {
    id: 'oiling',
    title: 'Oil instead of crystals',
    equation: ['at risk when T(deposits) ≥ T(impure solid is liquid)'],
    text: [
      'Crystals can start at the temperature at which a solution becomes saturated. If the impure solid is already liquid there, a second liquid separates before any crystal forms, and it takes the impurity with it.',
      'For the impure solid the lowest of three temperatures is used: the onset of the crude, its eutectic with the impurity, or the melting point. Less than 12 °C between the two counts as some risk, because solvent in an oil lowers its melting point further. From water the limit is 35 °C: solids that melt a little above 100 °C are well known to oil there.',
    ],
    example:
      'Benzil in 11 mL of ethanol is saturated near 58 °C, and its eutectic with benzoin is estimated near 78 °C: little risk.',
    limits:
      'The margin is a rule of thumb. Solids that take up much solvent oil far below their melting point.',
  },
  {
    id: 'pair',
    title: 'Two solvents',
    equation: ['ln S(mixture) = f · ln S(good) + (1 − f) · ln S(poor)'],
    text: [
      'Two solvents are used 5 °C below the lower of their boiling points, and the solubilities for that temperature are used. A second solvent that boils below the temperature of the flask would boil off at once.',
      'The solid is dissolved in more than the least volume of the good solvent. The poor solvent then saturates the solution, and it turns cloudy. Here f is the volume fraction of the good solvent (Yalkowsky and Roseman, 1981).',
      'The proportion is between 15 and 85 % of the good solvent, where the mixture needs 4 to 20 mL per gram. Of the proportions within 2 % of the best recovery, the one that needs least is chosen. In a nearly saturated solution the first drops of the poor solvent would make it cloudy, and hardly any could be added.',
    ],
    example: '40 and 0.3 g per 100 mL, three quarters good solvent: 40^0.75 · 0.3^0.25 = 11.8 g per 100 mL.',
    limits:
      'Real mixtures differ from this line by a factor of two or more. Watch for the cloud; the number is only a guide.',
  },
  {
    id: 'heat',
    title: 'How it is heated, and how long it cools',
    equation: ['T(bath) = T(boils) + 10 °C', 't(cools) = t(small) · (V / 20 mL)^0.45'],
    text: [
      'A flammable solvent that boils below 85 °C is heated in a water or steam bath, one below 45 °C in warm water. A flammable solvent that boils higher is heated in a block, an oil or a sand bath 30 °C above its boiling point. Only a solvent that hardly burns or does not burn goes on a hot plate, set about 40 °C above its boiling point. A round flask never does. A solvent with a boiling range counts from its lower end. If the solid would melt before the solvent boils, or two solvents are used, the bath stays at the temperature of the plan.',
      'Above 10 g of crude or 100 mL of solvent, a round flask under a reflux condenser is used. It is at most half full with the solvent, 0.8 mL for each gram of solid, and the extra solvent for hot filtration.',
      'A solvent that freezes above 1 °C is cooled in water at least 5 °C above its freezing point, never in ice.',
    ],
    example:
      'Ethanol boils at 78.2 °C: a bath of about 90 °C. Naphthalene melts from 79.5 °C: in acetic acid, which boils at 117.9 °C, it is dissolved in a bath held at 69 °C. A batch of 100 mL cools 15 · (100 / 20)^0.45 = 31, so about 30 min.',
    limits:
      'These are rules of thumb, not measurements. The rules of the lab and the person in charge come first.',
  },
  {
    id: 'rinse',
    title: 'How much rinse solvent',
    equation: ['V(rinse) = the least of 1 mL/g · m(crystals), V(liquor), and 2.5 % · m(crystals) / S(cold)'],
    text: [
      'A rinse can dissolve at most until it is saturated. If 1 mL per gram would dissolve more than 2.5 % of the crystals, a smaller rinse is planned. If hardly any rinse would remain, the crystals are pressed instead. The app then names another solvent from the shelf, if one mixes with the liquor, hardly dissolves the crystals and evaporates in air.',
    ],
    example:
      'Benzil, 1.5 g from ethanol: 1 mL cold dissolves at most 7 mg. Urea from water: 1 mL for a gram would take two thirds of it.',
    limits: 'This is an upper limit: a rinse that runs through quickly dissolves less.',
  },
  {
    id: 'drying',
    title: 'How a solid is dried',
    equation: ['T(oven) = the least of T(melts) − 25 °C, T(1 mmHg) − 45 °C, and 110 °C'],
    text: [
      'The minutes in air at the funnel and spread out are counted together: 5 for a solvent that boils up to 50 °C, 15 up to 70, 60 up to 85. House rules can require more. With a higher-boiling solvent, dry until two weighings agree within the limit of the house rules, and within 0.2 % of the mass. Between them pass 30 min, or a night in a desiccator or in air. Steps, balance and judge all use this rule.',
      'Crystals from water dry in an oven, 25 °C below the melting point and 45 °C below the temperature of 1 mmHg vapour pressure. If that is under 40 °C, or not known for a light solid, they dry in a desiccator. From any other solvent they dry in the hood until they no longer smell of it, then in a desiccator. Nothing wet with solvent goes into an oven.',
      'A solid that sublimes, or has 1 mmHg of vapour below 75 °C, goes into no oven and no vacuum, and air is drawn through it for only two minutes. A hydrate is dried in air and weighed as it is; its recovery is also given without the water. If an oven is known to remove only the water, as for caffeine at 80 °C, it is weighed without it.',
    ],
    example:
      'Benzoic acid from water melts from 121 °C and has 1 mmHg of vapour at 96 °C: an oven at 50 °C, not 95. Camphor: a desiccator.',
    limits:
      '“Light” means under 200 g/mol and melting below 100 °C, a rule of thumb. Solids that hold solvent inside their crystals need longer.',
  },
  {
    id: 'assay',
    title: 'Product fraction from the crude’s melting range',
    equation: ['ln x = −ΔH/R · (1/T − 1/T(melting))'],
    text: [
      'The last crystal of an impure solid melts at the temperature at which the liquid is saturated with product at mole fraction x (Schröder and van Laar). The clear point, corrected for heating rate and filling, gives x. The molar masses convert it into a mass fraction.',
      'The interval combines twice the reading error and 1.5 °C for the relation itself, as a root of squares.',
    ],
    example:
      'Benzil that is all liquid at 92.3 °C at 1 °C/min: 91.6 °C after correction, against 96 °C pure, is about 91 % by mass.',
    limits:
      'It holds for one impurity that does not form mixed crystals. Salt, sand and drying agent do not lower a melting point and are not detected.',
  },
  {
    id: 'cycles',
    title: 'Crystallizing again',
    equation: ['crude(n + 1) = crystals(n)'],
    text: [
      'Each time, the crystals are the next crude, with the same excess of solvent. Purity rises if the impurity is more soluble than the product. Each time some product is lost.',
      'For a second crop some of the mother liquor is evaporated. What it can no longer hold crystallizes, with more impurity than the first crop.',
    ],
    example: 'Losing 5 % of the product each time leaves 0.95³ = 86 % after three crystallizations.',
    limits: 'Losses in rinses and transfers are not included, and they are the larger part at small scale.',
  },
  {
    id: 'cooling',
    title: 'How much has crystallized by now',
    equation: ['crystallized = 1 − S(T) · V / (100 · m)'],
    text: [
      'At rest at temperature T, everything the solvent cannot hold has crystallized. Cooling is faster than crystallizing, so the flask can be behind the line, mainly at the start.',
    ],
    example: '1.62 g benzil in 11 mL at 20 °C: 1 − 1.9 · 11 / 162 = 87 %.',
    limits: 'A supersaturated solution stays below the line until it is scratched or seeded.',
  },
  {
    id: 'recovery',
    title: 'Percent recovery and its uncertainty',
    equation: ['recovery = 100 · m(crystals) / m(crude)', 'u(m) = d / √6', 'u(r)/r = √((u₁/m₁)² + (u₂/m₂)²)'],
    text: [
      'Each mass is two readings, each rounded to the readability d: the standard uncertainty of the difference is d/√6 (JCGM 100, F.2.2). The app shows twice that.',
      'Recovery of the crude compares the two masses that were weighed. Recovery of the product compares with the estimated product in the crude, and is only as good as that estimate. Percent yield compares with the most the reaction could give. These are three different numbers.',
    ],
    example: '1.3914 g from 1.804 g: 77.13 ± 0.04 %.',
    limits:
      'It cannot see damp crystals or a boiling stone among them. Over 100 % means that something is wrong.',
  },
  {
    id: 'yield',
    title: 'Percent yield',
    equation: [
      'theoretical = m(limiting) / M(limiting) · n · M(product)',
      'yield = 100 · m(crystals) / theoretical',
    ],
    text: [
      'The limiting reagent sets how many molecules of product can form: n for each of its own. Molar masses come from the structures on the shelf.',
    ],
    example: '2.004 g benzoin / 212.25 · 210.23 = 1.985 g; 1.3914 g of it is 70.1 %.',
    limits: 'It assumes that the crystals are pure, and that the reagent was pure and is used up.',
  },
  {
    id: 'account',
    title: 'Mass balance',
    equation: ['accounted = crystals + later crops + residue + grit', 'closure = 100 · accounted / crude'],
    text: [
      'The drawing shows predicted beside found. The prediction uses the solvent that was logged, minus what boiled away. “More than the weighing error” means more than two standard uncertainties of the weighing.',
      'The residue of the mother liquor is impurity and the product that stayed dissolved. It is split by what the cold solvent can hold, or by the melting range of the residue if that was measured.',
    ],
    example: '1.3914 + 0.2567 g of 1.804 g: 91.4 % accounted for, 0.156 g on glass, paper and in tubes.',
    limits: 'A closure over 102 % includes something that was not in the crude, most often solvent.',
  },
  ...MELTING_EXPLANATIONS,
  ...MEANING_EXPLANATIONS,
]
