import { SCHOOLS } from '../src/conventions/schools'
import { SIMULATED_INSTRUMENTS } from '../src/instruments/shipped'
import type { Shelf } from '../src/wire'

/** A shelf with instruments and house rules and nothing else, for what only plans time. */
export const BENCH_SHELF: Shelf = {
  compounds: [],
  solvents: [],
  solubilities: [],
  instruments: SIMULATED_INSTRUMENTS,
  houseRules: SCHOOLS,
  procedures: [],
}
