export { determinations } from './determinations'
