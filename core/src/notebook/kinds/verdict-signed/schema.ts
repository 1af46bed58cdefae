import Joi from 'joi'
import { BEHAVIOURS } from '../../../substances/behaviour'
import { DRIED_HOW, SIGNS, THERMOMETER_STATES } from '../../../judging/evidence'
import { FINDING_CODES, NEXT_STEPS, CAUSES, VERDICTS } from '../../../judging/judgement'
import type { VerdictSigned } from './kind'
import {
  celsius,
  conventions,
  coreVersion,
  fusion,
  grain,
  name,
  number,
  range,
  restsOn,
  shape,
  uuid,
} from '../../../schema/pieces'

/** What versions 1 and 2 might find and advise. */
const FINDINGS_OF_V2 = [
  'sharp',
  'a-little-wide',
  'broad',
  'low-and-broad',
  'sharp-but-low',
  'agrees-with-literature',
  'high',
  'top-passes-literature',
  'rate-explains',
  'fill-explains',
  'calibration-missing',
  'damp-possible',
  'decomposes',
  'residual-solid',
  'better-than-crude',
  'agrees-with-authentic',
  'differs-from-authentic',
  'impurity-at-most',
  'impurity-estimate',
  'possible-eutectic',
  'thermometer-explains',
  'mixed-same',
  'mixed-different',
  'mixed-unclear',
  'plate-agrees',
  'plate-differs',
  'plate-more-spots',
  'plate-poor',
  'repeats-scatter',
]
const ACTIONS_OF_V2 = [
  'sign',
  'mixed-melt',
  'recrystallize',
  'dry-and-repeat',
  'repeat-slower',
  'repeat-with-less',
  'calibrate',
  'melt-beside-authentic',
  'hot-filter',
  'new-tube-fast-start',
  'repeat-mixed-melt',
  'find-what-it-is',
  'plate',
  'repeat',
]

const sentence = Joi.string().max(1000).required()
const findingsOf = (codes: readonly string[]) =>
  Joi.array()
    .items(
      Joi.object({
        code: Joi.string()
          .valid(...codes)
          .required(),
        numbers: Joi.object().pattern(Joi.string().max(40), number).required(),
        headline: Joi.string().max(200).required(),
        sentence,
      }),
    )
    .max(30)
    .required()
const first = {
  sample: uuid.required(),
  signedBy: name.required(),
  judgement: Joi.object({
    verdict: Joi.string()
      .valid('consistent with pure', 'nearly pure', 'impure', 'not this compound', 'cannot tell')
      .required(),
    findings: findingsOf(FINDINGS_OF_V2),
    actions: Joi.array()
      .items(
        Joi.object({
          code: Joi.string()
            .valid(...ACTIONS_OF_V2)
            .required(),
          minutes: number.min(0),
          sentence,
        }),
      )
      .max(20)
      .required(),
  }).required(),
  input: Joi.object({
    corrected: range.required(),
    literature: Joi.object({ lowC: celsius.required(), highC: celsius.required() }).required(),
    fusion,
    rateCPerMin: number.min(0).max(1000).required(),
    fillMm: number.positive().max(50).required(),
    grain: grain.required(),
    calibration: Joi.string().valid('none', 'in place', 'at another rate').required(),
    dried: Joi.boolean().required(),
    decomposed: Joi.boolean(),
    residualSolid: Joi.boolean(),
    crude: range,
    authenticSameRun: range,
    impurity: Joi.object({ name: name.required(), fusion: fusion.required() }),
  }).required(),
  conventions: conventions.required(),
  coreVersion: coreVersion.required(),
  restsOn: restsOn.required(),
}
export const verdictSignedV1 = Joi.object(first)

const judgeInput = verdictSignedV1.extract('input') as Joi.ObjectSchema
/** The second version knows of mixed melts, plates, repeats and how good the thermometer is. */
export const verdictSignedV2 = Joi.object({
  ...first,
  input: judgeInput
    .keys({
      thermometerErrorC: number.min(0).max(1000).allow(null),
      mixed: Joi.object({
        verdict: Joi.string().valid('same', 'different', 'repeat').required(),
        because: sentence,
      }),
      plate: Joi.object({
        spots: number.integer().min(0).max(50).required(),
        agrees: Joi.boolean().allow(null).required(),
        isPoor: Joi.boolean().required(),
        sentence,
      }),
      repeats: Joi.object({
        count: number.integer().min(1).max(1000).required(),
        spreadC: number.min(0).max(1000).required(),
      }),
    })
    .required(),
})

const degrees = number.min(-5000).max(5000).required()
const spanC = Joi.object({ leastC: degrees, mostC: degrees }).required()
const owner = Joi.string().valid(...CAUSES)
const literature = Joi.object({ lowC: celsius.required(), highC: celsius.required() })
const rate = number.positive().max(1000).required()
const fraction = number.min(0).max(1)
const seen = number.min(-5000).max(5000)
const named = Joi.object({ name: name.required(), fusion: fusion.required() })

const judgement = Joi.object({
  verdict: Joi.string()
    .valid(...VERDICTS)
    .required(),
  measured: Joi.object({
    range: range.required(),
    against: Joi.object({
      what: Joi.string().valid('authentic', 'literature').required(),
      lowC: celsius.required(),
      highC: celsius.required(),
    })
      .allow(null)
      .required(),
    distanceC: Joi.object({ onset: degrees, clear: degrees }).allow(null).required(),
    widthC: number.min(0).max(5000).required(),
  })
    .allow(null)
    .required(),
  budget: Joi.array()
    .items(
      Joi.object({
        owner: owner.required(),
        endC: Joi.object({ onset: spanC, clear: spanC, width: spanC }).required(),
        isOpenEnded: Joi.boolean().required(),
        sentence,
      }),
    )
    .max(20)
    .required(),
  impurity: Joi.array().ordered(fraction.required(), fraction.required()).length(2).allow(null).required(),
  findings: findingsOf(FINDING_CODES),
  actions: Joi.array()
    .items(
      Joi.object({
        code: Joi.string()
          .valid(...NEXT_STEPS)
          .required(),
        minutes: number.min(0),
        removes: Joi.array().items(owner).max(20).required(),
        sentence,
      }),
    )
    .max(20)
    .required(),
  notChecked: Joi.array().items(Joi.string().max(200)).max(20).required(),
})

const evidence = Joi.object({
  reading: range.required(),
  resolutionC: number.min(0).max(100).required(),
  rateCPerMin: rate,
  rateMeasured: Joi.boolean().required(),
  fillMm: number.positive().max(50).required(),
  grain: grain.required(),
  watchedFromBelowOnsetC: seen.allow(null).required(),
  thermometer: Joi.object({
    state: Joi.string()
      .valid(...THERMOMETER_STATES)
      .required(),
    errorC: number.min(0).max(1000).allow(null).required(),
    extrapolated: Joi.boolean().required(),
  }).required(),
  dried: Joi.object({
    how: Joi.string()
      .valid(...DRIED_HOW)
      .required(),
    minutes: number.min(0).allow(null).required(),
    solventBoilsC: celsius.allow(null).required(),
  })
    .allow(null)
    .required(),
  signs: Joi.array()
    .items(
      Joi.object({
        sign: Joi.string()
          .valid(...SIGNS)
          .required(),
        atC: celsius.allow(null).required(),
      }),
    )
    .max(500)
    .required(),
  literature: literature.allow(null).required(),
  behaviour: Joi.string()
    .valid(...BEHAVIOURS)
    .required(),
  fusion: fusion.allow(null).required(),
  crude: range.allow(null).required(),
  authentic: range.allow(null).required(),
  mixed: Joi.object({
    verdict: Joi.string().valid('same', 'different', 'repeat').required(),
    because: sentence,
  })
    .allow(null)
    .required(),
  plate: Joi.object({
    spots: number.integer().min(0).max(50).required(),
    sameHeight: Joi.boolean().allow(null).required(),
    isPoor: Joi.boolean().required(),
    sentence,
  })
    .allow(null)
    .required(),
  repeats: Joi.array()
    .items(Joi.object({ onsetC: celsius.required(), clearC: celsius.required(), rateCPerMin: rate }))
    .max(200)
    .required(),
  setAside: number.integer().min(0).max(1000).required(),
  laterSolidAtC: celsius,
  impurity: named.allow(null).required(),
})

/** The third keeps the budget of degrees and all the evidence. */
export const verdictSignedV3 = shape<VerdictSigned>({
  sample: first.sample,
  signedBy: first.signedBy,
  judgement: judgement.required(),
  evidence: evidence.allow(null).required(),
  conventions: first.conventions,
  coreVersion: first.coreVersion,
  restsOn: first.restsOn,
})

export const schemas = { 1: verdictSignedV1, 2: verdictSignedV2, 3: verdictSignedV3 }
