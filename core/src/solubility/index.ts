export { assayFromRange } from './assayFromRange'
export { type TubeToTry, tubesToTry } from './classes'
export { crystallizationCycles, cyclesToReach, proposedSecondCropML, secondCrop } from './cycles'
export { dropsPerML } from './drops'
export { gentlerThan } from './gentler'
export { AGAINST_OILING, oilingRisk } from './oilingRisk'
export {
  type CrystallizationInput,
  type CrystallizationPlan,
  planCrystallization,
} from './planCrystallization'
export { pointsTrouble } from './pointsTrouble'
export { type RankedSolvent, type SolventPart, rankSolvents } from './rankSolvents'
export { rinseLossUpToG } from './rinseLoss'
export { crystallizedFraction, depositsFromC } from './saturation'
export { type SolubilityPoint, solubilityAt } from './solubilityAt'
export { planSolventPair } from './solventPair'
export { leastSolventForPurity, solventTradeoff } from './solventTradeoff'
export { COLD_SEEN, COOLED_SEEN, HOT_SEEN, TRIAL_CAUTION, trialPoint } from './trial'
export { type ProposedVolume, gritMarkML, withVolumeML } from './volume'
