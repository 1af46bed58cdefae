export { PLATE_STEPS } from './plateSteps'
export { plateTrouble } from './plateTrouble'
export {
  LANE_KINDS,
  type LaneKind,
  type PlateOpinion,
  type ReadLane,
  readLanes,
  readPlate,
} from './readPlate'
export { retentionFactor } from './retentionFactor'
