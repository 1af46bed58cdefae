import type { Explanation } from './explanation'

/** Every equation behind what a range, a mixture or a plate is taken to mean. */
export const MEANING_EXPLANATIONS: readonly Explanation[] = [
  {
    id: 'judgeRange',
    title: 'What a melting range shows about purity',
    equation: [
      'read − literature = heating + melting time + thermometer + reading + solvent + sample',
      'sample from read − Σ most to read − Σ least',
      'x(impurity) = 1 − exp(−ΔH/R · (1/T − 1/Tm))',
    ],
    text: [
      'Causes explain the width of a range and its distance from the literature. Each has a least and a most that it can explain. Heating raises both ends by rate × 0.1 to 0.5 min. The rate is the measured one, or 0.6 to 1.5 times the planned one. Melting through raises the clear point by rate × 0.3 to 0.8 min for 2 mm of fine powder, more for a higher or coarser filling. A thermometer never checked counts ± 1.5 °C, and 1 °C more for each 100 °C above 100; a checked one counts twice its standard error. Reading counts two standard errors of a mark and half a division. Solvent can explain any amount until the sample is shown dry. What no other cause can explain comes from the sample. These values are typical, and are shown as such.',
      'Beside an authentic sample in the same run, heating and thermometer explain nothing, because both tubes share them. Tubes that agree count as one better reading. Several rates are extrapolated to zero rate.',
      'If the most the sample can explain is small, the range is consistent with purity. If the least it must explain is broad, the sample is impure. Sometimes both are possible because of something that can be improved: too fast, too full, not shown dry, never checked, tubes that scatter. Then it cannot be decided, and that comes first. A sharp range in another place is another compound, a eutectic mixture, another crystal form or the thermometer. A mixed melt decides.',
    ],
    example:
      'Read 92.0 to 97.5 °C at 5 °C/min, 2 mm of fine powder, thermometer never checked. The width is 5.5 °C: heating explains 0.5 to 2.5, melting through 1.5 to 4.0 and reading 1.0. At least 0.5 and at most 5.0 come from the sample. That is too fast to judge the width: repeat it more slowly. Benzil read at 84.6 to 91.2 °C and 1 °C/min, on a thermometer checked in place (± 0.4), holds 4.7 to 12.6 mol % of a soluble impurity.',
    limits:
      'Sand, salt, or anything that does not dissolve in the melt hardly lowers a range. A sharp range in the right place is consistent with purity and never proof of it. An amount of impurity is given only with a checked thermometer and a range that is not sharp in another place. It holds for the smaller part.',
  },
  {
    id: 'phase-map',
    title: 'Why a mixture melts below both its parts',
    equation: ['1/T = 1/Tm − R · ln(x) / ΔH', 'x(a) + x(b) = 1 at the eutectic'],
    text: [
      'A crystal of a melts into a liquid that also holds b. A liquid of both stays liquid at lower temperatures than either alone. Each line of the map shows where the last crystal of one melts. Where the lines meet, both melt together at one temperature, as sharply as a pure compound.',
      'Go upwards in the map at one composition, and you see what happens in the tube. At first nothing happens. At the eutectic temperature all of one and part of the other melt. Then the slush gets thinner, and at the line the last crystal melts.',
      'The clear point, corrected for heating, gives the place of your sample. The interval combines two reading errors and half of the 3 °C within which simple pairs follow the map, as a root of squares.',
    ],
    example:
      'Benzil (96 °C, 23.5 kJ/mol) with benzoin (137.5 °C, 23.2 by Walden’s rule) meet at 78.4 °C and 32 mol % benzoin. With 10 mol % benzoin it begins there, is 48 % liquid at 85 °C, and clears at 91.0 °C. A clear point of 91.6 °C means 8.8 mol %, between 5.7 and 11.8.',
    limits:
      'It assumes an ideal liquid, pure solids, and no compound or solid solution of the two. If the impurity is not named, the map uses an assumed one and says so.',
  },
  {
    id: 'rankCandidates',
    title: 'Which compound it is',
    equation: ['P(candidate | seen) ∝ P(candidate) · P(range | candidate) · P(mixtures | candidate)'],
    text: [
      'Before any measurement all candidates are equally likely. A chance of one in ten, set in the house rules, belongs to “not on the list”, a compound that melts within 20 °C. The clear point of the unknown is first corrected for the impurity that its width shows. It then lies slightly below the literature clear point (0.3 °C on average), with a reading error of 0.7 °C on a checked thermometer and 1.2 °C on an unchecked one. A range well above the literature counts strongly against a candidate, because an impurity does not raise it.',
      'If both are the same compound, their mixture should clear half way between the two clear points. If not, it should clear where the phase map says, within 6.5 °C. A compound that is not listed is assumed to mix like those on the list. There is a 1.5 % chance of no visible depression and a 1 % chance of a mistake, such as swapped tubes. So no single run decides everything.',
      'Colour and form are shown beside each candidate. You can rule one out by them; they are not in the probability.',
    ],
    example:
      'Read 93.6 to 94.8 °C, among 1-naphthol, methyl 4-nitrobenzoate, triphenylmethane and glutaric acid: 37, 37, 20 and 2 %. The mixture with 1-naphthol clears at 76 °C. It falls to 0.2 %, and methyl 4-nitrobenzoate rises to 49 %.',
    limits:
      'It knows the list, not chemistry. A wrong literature value, a badly ground mixture, or a pair that forms a solid solution misleads it. It uses clear points only; the verdict on each mixed melt uses both ends.',
  },
  {
    id: 'nextMixture',
    title: 'Which mixture is most informative',
    equation: ['bits = Σ P(c) · ∫ f(T | c) · log₂( f(T | c) / f(T) ) dT'],
    text: [
      'For each authentic sample you have, the app considers every outcome of the mixture and its probability. It calculates by how much the uncertainty about the candidates should fall (Lindley, 1956). One bit halves the number of candidates.',
      'A sample of a likely candidate is most informative. One whose mixture would hardly melt lower is of little use, and the app says so.',
    ],
    example:
      'For the four above, before any mixture: 1-naphthol 0.92 bits, methyl 4-nitrobenzoate 0.87, triphenylmethane 0.65, glutaric acid 0.29.',
    limits:
      'It looks only one mixture ahead. A sample that is quicker or safer to handle can still be the better choice.',
  },
  {
    id: 'mixedVerdict',
    title: 'The mixed melting point',
    equation: [
      'same: not lower than the sample alone, and not broader',
      'different: lower at both ends and broader, or all liquid over 4 °C below both its parts',
    ],
    text: [
      'Two equal ranges side by side do not prove identity: hundreds of compounds melt between 90 and 100 °C. Two different compounds ground together are an impurity in each other. One compound ground with itself is not. If the unknown is impure, the mixture even melts a little higher, because the pure compound dilutes the impurity.',
      'Only ranges of one run can decide, because they share heating and thermometer. Anything between is “repeat”. If only the onset is lower, the mixture could be damp or unevenly ground. If it is a little lower but sharp, it could be near the eutectic, so repeat it with one part to two. No mixture melts above both its parts: then tubes were swapped or heated in different runs.',
    ],
    example:
      'Unknown 93.6 to 94.8, mixture 58.0 to 76.0 °C: it begins 35.6 °C lower and is 16.8 °C broader. Different.',
    limits:
      'A difference counts if it is larger than repeats may differ by the house rules. Rarely, compounds that share one crystal lattice show no depression, and mirror-image forms and molecular compounds melt higher or lower. A mixture of two impure samples shows little.',
  },
  {
    id: 'retentionFactor',
    title: 'Rf, and what half a millimetre does',
    equation: ['Rf = spot / front', 'u = (0.5 / √3) · √(1 + Rf²) / front'],
    text: [
      'Both distances are measured from the pencil line, for a spot to its centre, each to half a millimetre. Two spots agree when they differ by less than twice their combined uncertainty.',
      'An Rf belongs to its plate: it depends on eluent, layer and vapour in the chamber. So run the authentic sample beside the unknown, and both in one spot between them. If that spot separates, they are two compounds.',
    ],
    example: 'A spot at 21 mm with the front at 50 mm: Rf 0.42 ± 0.013 (95 %).',
    limits:
      'Near the line or near the front all compounds look alike. Equal Rf values are consistent with one compound; different ones prove two.',
  },
  {
    id: 'determinations',
    title: 'Several determinations, and the odd one',
    equation: ['Q = gap / span'],
    text: [
      'An end value is odd if its gap to the next value is too large a part of the span (Dixon’s Q at 95 %, three to ten values). With more than ten values, it is odd beyond 3.5 robust deviations from the median. Differences that repeats may show are never mentioned.',
      'The odd value is pointed out but stays in the mean. Look for its reason at the bench.',
    ],
    example:
      'Clear points of 94.8, 97.2, 95.0 and 94.9 °C: Q = 2.2 / 2.4 = 0.92, above 0.829. 97.2 is odd; the mean stays 95.5.',
    limits:
      'Two values have no odd one. Three values that agree by chance make the fourth look worse than it is.',
  },
]
