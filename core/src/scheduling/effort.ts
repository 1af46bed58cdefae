/** With more tasks than this less is tried, so that a first plan is not waited for. */
const MANY_TASKS = 60
/** A plan asked for with no more than this is a first one. */
export const AT_FIRST = 0.01

/** The share of the usual tries that so many tasks leave time for, 0 to 1. */
export const few = (tasks: number, power: number): number => Math.min(1, (MANY_TASKS / tasks) ** power)

/** How much of the usual work a first plan takes, 0 to 1, so that it is there at once: the better one comes after it. */
export function effortAtFirst(tasks: number): number {
  return AT_FIRST * few(tasks, 3)
}
