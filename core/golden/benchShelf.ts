import { SCHOOLS, type Shelf, SIMULATED_INSTRUMENTS } from '../src/index'

/** A shelf with instruments and house rules and nothing else, for what only plans time. */
export const BENCH_SHELF: Shelf = {
  compounds: [],
  solvents: [],
  solubilities: [],
  instruments: SIMULATED_INSTRUMENTS,
  houseRules: SCHOOLS,
  procedures: [],
}
