export { type Candidate, type IdentityInput, type MixtureRun, RANK_OPTIONS } from './likelihood'
export { mixedVerdict } from './mixedVerdict'
export {
  BY_EYE_WITHIN,
  type NextMixture,
  depressionDoubt,
  nextMixture,
  outcomeWords,
  whyNoMixture,
} from './nextMixture'
export { type Ranked, rankCandidates } from './rankCandidates'
export { type Reliability, type ReliabilityInput, reliabilityOf } from './reliability'
export { whyHere } from './whyHere'
