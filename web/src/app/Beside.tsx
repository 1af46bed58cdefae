import { JustStruck } from './JustStruck'
import { NewVersion } from './NewVersion'
import { NextAct } from './NextAct'
import { Notices } from './Notices'
import { NumberPad } from './NumberPad'
import { Refusals } from './Refusals'

/** What stands above every place when there is a reason: notices, what was just struck, the next act, number keys. */
export function Beside() {
  return (
    <>
      <NewVersion />
      <Notices />
      <Refusals />
      <JustStruck />
      <NextAct />
      <NumberPad />
    </>
  )
}
