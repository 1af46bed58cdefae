import type { Explanation } from './explanation'

/** Every equation behind a number of the melting, in the order of the work. */
export const MELTING_EXPLANATIONS: readonly Explanation[] = [
  {
    id: 'fitBlockModel',
    title: 'What a dial does',
    equation: ['dT/dt = (P − T) / τ', 'P = room + gain · setting^exponent'],
    text: [
      'A dial sets power, not temperature. At one setting the block approaches a plateau P, faster when it is further away. Two or three heatings from cold are enough to find gain, exponent and τ by least squares (Levenberg and Marquardt).',
      'They give the two charts that often hang beside an instrument. One shows temperature against time for each setting. The other shows the setting that gives a chosen rate at a temperature.',
    ],
    example:
      'With gain 19, exponent 1.22 and τ 8.5 min in a room of 22 °C, setting 4 ends at 125.1 °C. At 60 °C it heats at (125.1 − 60) / 8.5 = 7.66 °C/min. For 1.5 °C/min at 95 °C it needs setting 3.44.',
    limits:
      'A draught, another room temperature or another thermometer changes it. Outside the logged settings and temperatures it is a guess and is drawn dashed.',
  },
  {
    id: 'planDial',
    title: 'Fast, then slow where it matters',
    equation: ['greatest setting with (P − T) / τ ≤ the greatest rate'],
    text: [
      'Up to the watch band the plan heats as fast as the house rules allow. It turns down early, because the heater still gives heat for half a minute. In the watch band it uses the highest setting that is not too fast, and goes one step up when the rate has dropped to the lowest allowed.',
      'With one dial setting there is no fast part: the setting for the watch band is used from the start.',
    ],
    example:
      'At 79 °C, 2 °C/min on the block above wants P = 79 + 2 · 8.5 = 96 °C, a setting of 3.05: on a dial with steps of 0.25 it is 3.',
    limits:
      'It is as good as the measured dial. By its own model it never exceeds the rate in the watch band; a heater that responds later than usual can exceed it by up to a fifth.',
  },
  {
    id: 'compareSchools',
    title: 'How ways of heating compare',
    equation: ['read = true + rate · (sample lag − probe lag)', 'widened by rate · melting time'],
    text: [
      'Both the sample and the probe are behind the block, and the difference moves both ends. A filling takes about half a minute to melt through, more if it is high or coarse. During that time the temperature rises, which raises the clear point.',
      'If the slow heating starts too close to the expected range, you miss the onset of an impure sample, or it melts as you put it in.',
    ],
    example:
      'At 5 °C/min with lags of 0.3 and 0.1 min, 94 to 95 °C reads 95.0 °C at the onset; with half a minute of melting it clears at 98.5 °C.',
    limits:
      'Lags and melting times are typical values unless those of the instrument are known. A calibration at the same rate with the same packing already includes them, so they are not counted twice.',
  },
  {
    id: 'planTubeRuns',
    title: 'Which tube when',
    equation: ['run = load + reach the first window + slow inside windows + fast between'],
    text: [
      'Tubes whose watch bands overlap take little time together. Tubes far apart cost the heating between them. A hot block costs the time to cool, which is τ · ln of the distances to room temperature. For up to twelve tubes every grouping and order is checked, so the answer is proven.',
      'Tubes of one set share a run, as an unknown, the authentic sample and their mixture must.',
    ],
    example:
      'Crude, product and authentic between 86 and 96 °C and a salt at 186 to 189 °C: 51.0 min in two runs, the three together first.',
    limits:
      'Loading counts as two minutes for each run. Beyond twelve tubes it gives a good answer, and the most by which it can differ from the best.',
  },
  {
    id: 'correctReading',
    title: 'A calibrated thermometer',
    equation: ['correction = true − read, linear between the standards'],
    text: [
      'The midpoint of the range read for a standard is compared with the midpoint of its literature range. Ice water gives zero. Between two standards the correction is interpolated. Beyond the last one it is extended, and the number says so.',
      'The alternative is a straight line through all standards. For both, each standard is left out once and predicted from the others. The error of that prediction is their error.',
    ],
    example:
      'Ice water read at 0.4 °C and a standard of 80.2 °C read at 79.1: at 45 °C the correction is −0.4 + 1.5 · 44.6 / 78.7 = 0.45 °C.',
    limits:
      'It holds for the heating rate and packing it was made with. A thermometer changes with age: after ninety days the app asks for two standards again.',
  },
  {
    id: 'emergentStemCorrectionC',
    title: 'Thread out of the bath',
    equation: ['correction = k · n · (T − t)'],
    text: [
      'A total-immersion thermometer reads too low when part of its thread is in cooler air. Here n is the length of that thread in degrees, and t is its mean temperature. The factor k is 0.00016 per °C for mercury in glass and 0.001 for spirit.',
      'A calibration in place already includes this, and a partial-immersion thermometer is made for it. Then nothing is added.',
    ],
    example: 'Reading 150 °C with 90 degrees of mercury thread out at 32 °C: 0.00016 · 90 · 118 = 1.70 °C.',
    limits:
      'The mean temperature of the thread is hard to know; an error of 20 °C in it is 0.3 °C in this example.',
  },
  {
    id: 'atTheEvent',
    title: 'A reading taken late',
    equation: ['T(then) = T(read) − rate · seconds / 60'],
    text: [
      'With a thermometer read by eye, you press the key at the moment, and type the number after you have read the scale. The reading is corrected back to the press with the heating rate at that time, from the readings around it.',
    ],
    example: '95.4 °C read 12 s late at 1.5 °C/min was 95.1 °C at the press.',
    limits:
      'The rate comes from readings a minute apart. If the rate is uneven, it is the mean of some minutes.',
  },
  {
    id: 'detectMelt',
    title: 'The melt by its light',
    equation: ['share = (light − solid) / (melt − solid)'],
    text: [
      'Powder scatters light, and a melt lets it through. The light of the solid is the median of the first tenth of the trace; that of the melt is the median of the last tenth. The onset is where the share last passes 5 % before reaching half. The clear point is where it first passes 95 % after that.',
      'You can move both ends on the chart. Moved ends are marked as moved.',
    ],
    example: 'Light that rises evenly from 92 to 94 °C passes 5 % at 92.1 °C and 95 % at 93.9 °C.',
    limits:
      'Shrinking and a moving tube also change the light. Traces in which nothing melts, or that end too early, are refused.',
  },
  {
    id: 'zeroRateRange',
    title: 'Repeats, and the range at zero heating rate',
    equation: ['end = end(zero rate) + slope · rate'],
    text: [
      'Each end moves in proportion to the heating rate. Runs of one sample at two or more rates give a straight line for each end. Its value at zero rate is what infinitely slow heating would show.',
    ],
    example:
      'Onsets of 94.2 and 94.4 °C at 1 and 2 °C/min extrapolate to 94.0 °C; clear points of 95.4 and 96.1 °C to 94.7 °C.',
    limits:
      'Extrapolation multiplies the scatter of the readings: two runs at similar rates show little. If the two lines cross, the app says so instead.',
  },
]
