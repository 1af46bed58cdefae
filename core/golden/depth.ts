/** Whether every test goes as deep as it can: `npm run test:deep`, before what was built is called done. */
export const IS_DEEP = process.env['IVORY_CRYSTAL_DEEP'] === '1'

/** Of so many tries of a property a quarter every time, and all of them where it goes deep. */
export function runs(tries: number): number {
  return IS_DEEP ? tries : Math.ceil(tries / 4)
}
