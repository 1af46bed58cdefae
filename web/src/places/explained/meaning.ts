import type { Explanation } from './explanation'

/** Every equation behind what a range, a mixture or a plate is taken to mean. */
export const MEANING_EXPLANATIONS: readonly Explanation[] = [
  {
    id: 'judgeRange',
    title: 'What a melting range says of purity',
    equation: [
      'read − literature = heating + melting time + thermometer + reading + solvent + sample',
      'sample from read − Σ most to read − Σ least',
      'x(impurity) = 1 − exp(−ΔH/R · (1/T − 1/Tm))',
    ],
    text: [
      'Every degree of a width, and of the distance from the literature, is explained by causes, each with the least and the most that it can explain: heating (rate × 0.1 to 0.5 min, raises both ends; the rate as measured, or 0.6 to 1.5 times the one planned), melting through (rate × 0.3 to 0.8 min for 2 mm of fine powder, longer with more or coarser: raises the top), the thermometer (± 1.5 °C when never checked and 1 more for each 100 °C above 100, else twice its standard error), reading (two standard errors of a mark and half a division), solvent left (as much as it likes, until it is shown dry). What nothing else can explain is the sample’s. These values are typical, and shown as such.',
      'Beside an authentic sample of the same run heating and thermometer explain nothing: the two share them. Tubes that agree count as one better reading; several rates are looked back to none.',
      'If what may be the sample’s is small, the range is consistent with purity; if what must be its own is broad, it is impure. Where that straddles a border because of something that can be mended (too fast, too full, not shown dry, never checked, tubes that scatter) it cannot be told, and the mending comes first. Sharp and elsewhere is another compound, a mixture at its eutectic, another crystal form or the thermometer: a mixed melt says which.',
    ],
    example:
      'Read 92.0 to 97.5 °C at 5 °C/min, 2 mm of fine powder, thermometer never checked: heating explains 0.5 to 2.5, melting through 1.5 to 4.0 of the 5.5 of width, reading 1.0 of it; at least 0.5 and at most 5.0 is the sample’s own. Too fast to judge its width: repeat slower. At 84.6 to 91.2 °C and 1 °C/min on a thermometer checked in place (± 0.4), benzil holds 4.7 to 12.6 mol % of what dissolves in it.',
    limits:
      'Sand, salt, or anything that does not dissolve in the melt hardly lowers a range: a good one is consistent with purity and never proof of it. How much impurity is said only where the thermometer is accounted for and the range does not lie sharp elsewhere, and holds for the lesser part.',
  },
  {
    id: 'phase-map',
    title: 'Why a mixture melts below both its parts',
    equation: ['1/T = 1/Tm − R · ln(x) / ΔH', 'x(a) + x(b) = 1 at the eutectic'],
    text: [
      'A crystal of a melts into a liquid that holds b as well, and holds on to it: a liquid of both stays liquid further down than either alone. Each line of the map is where the last crystal of one goes; where they meet, both melt together, at one temperature, as sharp as a pure compound.',
      'Upwards through the map at one composition is what the eye sees in the tube: nothing, then at the eutectic temperature all of one and part of the other, then a slush that thins, then the last crystal on the line.',
      'Your sample is placed by its clear point, with heating taken off. The interval is two reading errors and half of the 3 °C within which simple pairs follow the map, added in squares.',
    ],
    example:
      'Benzil (96 °C, 23.5 kJ/mol) with benzoin (137.5 °C, 23.2 by Walden’s rule) meet at 78.4 °C and 32 mol % benzoin. With 10 mol % benzoin it begins there, is 48 % liquid at 85 °C, and clears at 91.0 °C. A clear point of 91.6 °C speaks for 8.8 mol %, between 5.7 and 11.8.',
    limits:
      'Ideal liquid, pure solids, no compound and no solid solution of the two. With an impurity nobody has named the map is drawn with an assumed one, and says so.',
  },
  {
    id: 'rankCandidates',
    title: 'Which compound it is',
    equation: ['P(candidate | seen) ∝ P(candidate) · P(range | candidate) · P(mixtures | candidate)'],
    text: [
      'Before anything is measured every candidate is as likely as any other, and one in ten (the house’s own figure) is kept for “not on the list”: something that melts within 20 °C, since a list is drawn around the unknown. What the unknown’s width shows of impurity is given back to its clear point; that lies below the candidate’s literature top by little (0.3 °C on average), with a reading error of 0.7 °C on a checked thermometer and 1.2 on one never checked. Melting well above the literature speaks strongly against: impurity does not raise.',
      'A mixture with an authentic sample is expected half way between the two clear points if they are the same compound, else where the phase map puts it, give or take 6.5 °C; a compound nobody listed mixes as those on the list would. A 1.5 % chance of no visible depression and a 1 % chance of a mishap (tubes swapped, wrong jar) keep any single run from deciding everything.',
      'Colour and form stand beside each candidate and may strike one out by hand; they are not in the number.',
    ],
    example:
      'Read 93.6 to 94.8 °C, among 1-naphthol, methyl 4-nitrobenzoate, triphenylmethane and glutaric acid: 37, 37, 20 and 2 %. The mixture with 1-naphthol clears at 76 °C: it falls to 0.2 %, methyl 4-nitrobenzoate rises to 49 %.',
    limits:
      'It knows the list, not chemistry. A wrong literature value, a mixture ground badly, or a pair that forms a solid solution misleads it. It reasons from clear points alone; the mixed verdict beside it looks at both ends.',
  },
  {
    id: 'nextMixture',
    title: 'Which mixture is most informative',
    equation: ['bits = Σ P(c) · ∫ f(T | c) · log₂( f(T | c) / f(T) ) dT'],
    text: [
      'For each authentic sample at hand the app imagines every outcome of the mixture, weighted by how likely it is now, and works out by how much the uncertainty over the candidates is expected to fall (Lindley, 1956). One bit halves the field.',
      'A sample of a likely candidate is most informative. One whose mixture would hardly melt lower is of little use, and the app says so.',
    ],
    example:
      'For the four above, before any mixture: 1-naphthol 0.92 bits, methyl 4-nitrobenzoate 0.87, triphenylmethane 0.65, glutaric acid 0.29.',
    limits:
      'It looks one mixture ahead. What is quicker at your bench, or safer to handle, may still be the better choice.',
  },
  {
    id: 'mixedVerdict',
    title: 'The mixed melting point',
    equation: [
      'same: not lower than the sample alone, and not broader',
      'different: lower at both ends and broader, or all liquid over 4 °C below both its parts',
    ],
    text: [
      'Two like ranges side by side are not identity: hundreds of compounds melt between 90 and 100 °C. Ground together, two compounds are an impurity in each other. One compound ground with itself is not; if the unknown was impure, the mixture even rises a little, since the pure compound thins the impurity.',
      'Only ranges of one run can say either: heating and thermometer are shared there. Anything between is “repeat”: an onset alone that is lower may be damp or unevenly ground; a little lower but sharp may be near the eutectic, so the parts are taken one to two; above both its parts no mixture melts, so the tubes were swapped or heated apart.',
    ],
    example:
      'Unknown 93.6 to 94.8, mixture 58.0 to 76.0 °C: it begins 35.6 °C lower and is 16.8 °C broader. Different.',
    limits:
      'What counts as a difference is what repeats may differ by in the house rules. Compounds that crystallize in each other’s lattice may show no depression, mirror-image and molecular compounds may melt higher or lower: rare, but real. Two impure samples mixed say little.',
  },
  {
    id: 'retentionFactor',
    title: 'Rf, and what half a millimetre does',
    equation: ['Rf = spot / front', 'u = (0.5 / √3) · √(1 + Rf²) / front'],
    text: [
      'Both distances count from the pencil line, the spot’s to its centre, and each is read to half a millimetre. Two spots agree when they differ by less than twice the two uncertainties together.',
      'An Rf belongs to its plate: eluent, layer, and vapour in the chamber. So the authentic sample runs beside, and both in one spot between: if that parts, they are two compounds.',
    ],
    example: 'A spot at 21 mm with the front at 50 mm: Rf 0.42 ± 0.013 (95 %).',
    limits:
      'Near the line or near the front everything looks alike. Equal heights are consistent with one compound; a difference is proof of two.',
  },
  {
    id: 'determinations',
    title: 'Several determinations, and the odd one',
    equation: ['Q = gap / span'],
    text: [
      'The value at an end whose gap to its neighbour is too great a part of the whole span does not belong with the rest (Dixon’s Q at 95 %, for three to ten values; beyond ten, further than 3.5 robust deviations from the median). Differences within what repeats may differ by are never remarked on.',
      'It is pointed out and stays in the mean: a reason is looked for at the bench, not in the arithmetic.',
    ],
    example:
      'Clear points of 94.8, 97.2, 95.0 and 94.9 °C: Q = 2.2 / 2.4 = 0.92, above 0.829. 97.2 is odd; the mean stays 95.5.',
    limits:
      'With two values there is no odd one. Three that agree by chance make the fourth look worse than it is.',
  },
]
