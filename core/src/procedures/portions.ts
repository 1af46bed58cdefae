/** What a portion of solvent is for. */
export const PORTION_USES = ['dissolve', 'dilute', 'rinse', 'second'] as const
export type PortionUse = (typeof PORTION_USES)[number]
