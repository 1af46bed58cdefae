/** Rounded to the tenth that temperatures are read and compared in; never −0, so that 2.0 is not “over 2.0”. */
export function tenths(value: number): number {
  return Math.round(value * 10) / 10 || 0
}
