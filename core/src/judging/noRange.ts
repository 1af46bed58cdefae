import { FURTHER_DOWN_C } from '../heating/room'
import { capital } from '../words'
import { carefulRunMin } from './carefulRun'
import type { HouseWords } from './evidence'
import type { Behaviour } from '../substances/behaviour'
import type { Action, Judgement } from './judgement'

/** Why a tube has no range: both numbers or a reason, never one number. */
export const NO_RANGE_REASONS = [
  'not melted at the stop temperature',
  'decomposed before it melted',
  'the onset was missed',
  'the clear point was missed',
  'the tube broke or came out',
  'it melted as it went in',
  'stopped by choice',
] as const
export type NoRangeReason = (typeof NO_RANGE_REASONS)[number]

/** What is known of a tube that has no range; temperatures °C. */
export interface NoRange {
  readonly reason: NoRangeReason
  /** Where its heating began and stopped. */
  readonly startC: number
  readonly stopC: number
  readonly literature: { readonly lowC: number; readonly highC: number } | null
  readonly behaviour: Behaviour
  /** Whether nothing of its solvent can be left; null where nothing is known of it. */
  readonly isShownDry?: boolean | null
}
/** A tube this warm cannot be put in much cooler, °C. */
const AT_ROOM_C = 35
/** Dry, and liquid so far below literature, neither thermometer nor eye may own it, °C. */
const FAR_BELOW_C = 12

/** Judges a tube that gave no range: the reason is evidence too, and says what to do. Hardly ever more than “cannot tell”: only what is dry and
 * was liquid far below its literature is impure, whatever its range. */
export function judgeNoRange(one: NoRange, rules: HouseWords): Judgement {
  const { sentence, next, verdict = 'cannot tell' } = explain(one, rules)
  const minutes = carefulRunMin(one.literature, rules)
  return {
    verdict,
    measured: null,
    budget: [],
    impurity: null,
    findings: [{ code: 'no-range', numbers: {}, headline: capital(one.reason), sentence }],
    actions: next.map((action) => ({ minutes, ...action })),
    notChecked: [],
  }
}

type Explanation = {
  readonly sentence: string
  readonly next: readonly Action[]
  readonly verdict?: Judgement['verdict']
}

const again: Action = {
  code: 'repeat as it was',
  removes: [],
  sentence: 'Melt a new tube of it the same way.',
}

function explain(
  { reason, startC, stopC, literature, behaviour, isShownDry = null }: NoRange,
  rules: HouseWords,
): Explanation {
  switch (reason) {
    case 'not melted at the stop temperature': {
      const aboveC = literature ? stopC - literature.highC : 0
      const next: Action[] = [
        {
          code: 'melt beside authentic',
          removes: ['thermometer', 'literature'],
          sentence:
            'Melt a new tube beside an authentic sample and heat further. If the authentic sample melts and this one does not, it is another compound.',
        },
        {
          code: 'check the thermometer',
          removes: ['thermometer'],
          sentence: 'Check the thermometer with melting standards.',
        },
      ]
      return aboveC > rules.literatureWithinC
        ? {
            sentence: `still solid at ${c(stopC)} °C, ${c(aboveC)} °C above literature. An impurity does not cause that. It could be another compound, a salt or grit, or the thermometer reads too high`,
            next: [
              ...next,
              {
                code: 'find out what it is',
                removes: [],
                sentence:
                  'Treat it as an unknown: list the compounds that melt above this, and test them by mixed melt.',
              },
              {
                code: 'hot filter',
                removes: ['sample'],
                sentence:
                  'If some of it melted: dissolve it again hot, and separate the liquid from what stays solid.',
              },
            ],
          }
        : {
            sentence: `still solid at ${c(stopC)} °C, where the heating stopped: that is too low to say anything`,
            next: [again],
          }
    }
    case 'decomposed before it melted':
      return {
        sentence: 'a decomposition point depends on the heating rate and does not measure purity',
        next: [
          {
            code: 'new tube, put in late',
            removes: ['heating', 'late'],
            sentence:
              'Take a new tube and put it in about 10 °C below the range, so that it is hot for less time. Report the rate with the range.',
          },
          {
            code: 'melt beside authentic',
            removes: ['thermometer', 'heating', 'literature'],
            sentence: 'Heat an authentic sample beside it in the same run. Then the two can be compared.',
          },
        ],
      }
    case 'it melted as it went in': {
      const belowC = literature ? literature.lowC - startC : 0
      const further: Action = {
        code: 'repeat slower',
        removes: ['late'],
        sentence: `Cool the block well below this temperature, put a new tube in, and watch from ${FURTHER_DOWN_C} °C lower.`,
      }
      const dry: Action = {
        code: 'dry and repeat',
        removes: ['solvent'],
        sentence: 'Dry it to constant mass first, and melt it again: solvent left in it does this.',
      }
      const again: Action = {
        code: 'recrystallize',
        removes: ['sample'],
        sentence: 'Recrystallize it and compare.',
      }
      if (belowC > 0 && isShownDry === false)
        return {
          sentence: `it was liquid at ${c(startC)} °C, ${c(belowC)} °C below literature, and is not shown dry: it is wet or very impure`,
          next: [dry, further],
        }
      if (isShownDry === true && (belowC > FAR_BELOW_C || (belowC > 0 && startC <= AT_ROOM_C)))
        return {
          verdict: 'impure',
          sentence: `it was liquid at ${c(startC)} °C, ${c(belowC)} °C below literature, and it is dry. Only the sample can explain so much: it is very impure or another compound. Its onset is not known`,
          next: [again, further],
        }
      return {
        sentence:
          belowC > 0
            ? `it was liquid at ${c(startC)} °C, ${c(belowC)} °C below literature: it is very impure, wet, or another compound. Its onset is not known`
            : `it was put in at ${c(startC)} °C, which was too hot to see the onset`,
        next: [further],
      }
    }
    case 'stopped by choice':
      return {
        sentence: `stopped by choice at ${c(stopC)} °C at the latest: its range is not known`,
        next: [again],
      }
    case 'the onset was missed':
    case 'the clear point was missed':
    case 'the tube broke or came out':
      return {
        sentence:
          behaviour === 'sublimes' && reason !== 'the tube broke or came out'
            ? 'one temperature is not a range. It sublimes, so seal the new tube'
            : 'its range is not known; one temperature is not a range',
        next: [again],
      }
  }
}

function c(value: number): string {
  return value.toFixed(1)
}
