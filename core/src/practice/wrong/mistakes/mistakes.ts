import { BALANCE } from './balance'
import { BLOCK } from './block'
import { CENTRIFUGE } from './centrifuge'
import { COOLING } from './cooling'
import { FUNNEL } from './funnel'
import { HOT_PLATE } from './hotPlate'
import { LEAVING } from './leaving'
import { LENS } from './lens'
import { OIL_BATH } from './oilBath'
import { PAGE } from './page'
import { PLAN } from './plan'
import { PLATE } from './plate'
import { TUBES } from './tubes'
import { VESSELS } from './vessels'
import type { MistakeLine, SceneLines } from './mistake'

const LINES = {
  'at the hot plate': HOT_PLATE,
  'while it cools': COOLING,
  'at the funnel': FUNNEL,
  'at the balance': BALANCE,
  'packing tubes': TUBES,
  'at the block': BLOCK,
  'at the oil bath': OIL_BATH,
  'on the page': PAGE,
  leaving: LEAVING,
  'in the plan': PLAN,
  'at the vessels': VESSELS,
  'at the centrifuge': CENTRIFUGE,
  'at the lens': LENS,
  'at the plate': PLATE,
} as const satisfies Readonly<Record<string, SceneLines>>

/** Where at the bench something is seen. */
export type Scene = keyof typeof LINES
export const SCENES = Object.keys(LINES) as readonly Scene[]

export interface Mistake extends MistakeLine {
  readonly scene: Scene
}
export const MISTAKES: readonly Mistake[] = SCENES.flatMap((scene) =>
  LINES[scene].mistakes.map((line) => ({ ...line, scene })),
)

/** Things seen that are as they should be. */
export function fineAt(scene: Scene): readonly string[] {
  return LINES[scene].fine
}
