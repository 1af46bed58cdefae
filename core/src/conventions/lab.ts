import type { Conventions } from './conventions'

/** What of the house rules holds for the whole lab, whichever set a notebook goes by. */
export interface LabRules {
  /** Ids of compounds and solvents no plan may use. */
  readonly closed: readonly string[]
  /** Whom to call, in the lab’s own words; null where it is not set. */
  readonly emergencyCalls: string | null
}

/**
 * A compound or solvent that any set closes is closed: nobody opens it by going by another set. Whom to call is
 * taken from the set in force, or from the first that says it.
 *
 * @param sets on the shelf
 * @param inForce the one the notebook goes by
 */
export function labRulesOf(sets: readonly Conventions[], inForce: Conventions): LabRules {
  const all = [inForce, ...sets]
  return {
    closed: [...new Set(all.flatMap(({ closed }) => closed ?? []))],
    emergencyCalls: all.find(({ emergencyCalls }) => emergencyCalls)?.emergencyCalls ?? null,
  }
}
