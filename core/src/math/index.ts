export { nextRandom } from './random'
export { tenths } from './tenths'
