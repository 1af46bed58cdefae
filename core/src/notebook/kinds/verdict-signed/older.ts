import type { Grain } from '../../../heating/observedRange'
import type { RangeEvidence } from '../../../judging/evidence'
import type { Judgement, NextStep } from '../../../judging/judgement'
import type { Fusion } from '../../../melting/liquidus'
import type { MeltingRange } from '../../../melting/meltingRange'
import type { Upcasts } from '../defineKind'
import type { VerdictSigned } from './kind'

/** What versions 1 and 2 judged by. */
interface InputOfV2 {
  readonly corrected: MeltingRange
  readonly literature: { readonly lowC: number; readonly highC: number }
  readonly fusion?: Fusion
  readonly rateCPerMin: number
  readonly fillMm: number
  readonly grain: Grain
  readonly calibration: 'none' | 'in place' | 'at another rate'
  readonly dried: boolean
  readonly decomposed?: boolean
  readonly residualSolid?: boolean
  readonly crude?: MeltingRange
  readonly authenticSameRun?: MeltingRange
  readonly impurity?: RangeEvidence['impurity']
  readonly thermometerErrorC?: number | null
  readonly mixed?: RangeEvidence['mixed']
  readonly plate?: { spots: number; agrees: boolean | null; isPoor: boolean; sentence: string }
}

const STATES = {
  none: 'never checked',
  'in place': 'checked in place at this rate',
  'at another rate': 'checked at another rate',
} as const

/** The steps of versions 1 and 2 by the names they have now. */
const STEPS: Readonly<Record<string, NextStep>> = {
  sign: 'sign',
  'mixed-melt': 'mixed melt',
  recrystallize: 'recrystallize',
  'dry-and-repeat': 'dry and repeat',
  'repeat-slower': 'repeat slower',
  'repeat-with-less': 'repeat with less, finer',
  calibrate: 'check the thermometer',
  'melt-beside-authentic': 'melt beside authentic',
  'hot-filter': 'hot filter',
  'new-tube-fast-start': 'new tube, put in late',
  'repeat-mixed-melt': 'grind again and repeat the mixture',
  'find-what-it-is': 'find out what it is',
  plate: 'thin-layer plate',
  repeat: 'repeat as it was',
}

/** Versions 1 and 2 kept verdict, findings and actions; no budget was drawn then, and none is made up. */
function fromV2(body: unknown): VerdictSigned {
  const { input, judgement, ...rest } = body as Omit<VerdictSigned, 'evidence' | 'judgement'> & {
    readonly input: InputOfV2
    readonly judgement: Pick<Judgement, 'verdict' | 'findings'> & {
      readonly actions: readonly {
        readonly code: string
        readonly minutes?: number
        readonly sentence: string
      }[]
    }
  }
  return {
    ...rest,
    judgement: {
      verdict: judgement.verdict,
      findings: judgement.findings,
      measured: null,
      budget: [],
      impurity: null,
      notChecked: [],
      actions: judgement.actions.map(({ code, ...action }) => ({
        ...action,
        code: STEPS[code] ?? 'repeat as it was',
        removes: [],
      })),
    },
    evidence: {
      reading: input.corrected,
      resolutionC: 0.1,
      rateCPerMin: input.rateCPerMin,
      rateMeasured: true,
      fillMm: input.fillMm,
      grain: input.grain,
      watchedFromBelowOnsetC: null,
      thermometer: {
        state: STATES[input.calibration],
        errorC: input.thermometerErrorC ?? null,
        extrapolated: false,
      },
      dried: input.dried ? null : { how: 'not', minutes: null, solventBoilsC: null },
      signs: [
        ...(input.decomposed ? [{ sign: 'decomposes' as const, atC: null }] : []),
        ...(input.residualSolid ? [{ sign: 'solid that never melts' as const, atC: null }] : []),
      ],
      literature: input.literature,
      behaviour: 'melts',
      fusion: input.fusion ?? null,
      crude: input.crude ?? null,
      authentic: input.authenticSameRun ?? null,
      mixed: input.mixed ?? null,
      plate: input.plate
        ? {
            spots: input.plate.spots,
            sameHeight: input.plate.agrees,
            isPoor: input.plate.isPoor,
            sentence: input.plate.sentence,
          }
        : null,
      repeats: [],
      setAside: 0,
      impurity: input.impurity ?? null,
    },
  }
}

/** How bodies of earlier versions are read. */
export const upcasts: Upcasts = { 1: (body) => body, 2: fromV2 }
