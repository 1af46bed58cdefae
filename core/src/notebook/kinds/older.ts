import { knowOlder } from '../fold'
import type { Kind } from './list'
import type { Upcasts } from './defineKind'
import { upcasts as sampleNamed } from './sample-named/older'
import { upcasts as weighed } from './weighed/older'
import { upcasts as planFixed } from './plan-fixed/older'
import { upcasts as solventAdded } from './solvent-added/older'
import { upcasts as timerStarted } from './timer-started/older'
import { upcasts as meltPlanned } from './melt-planned/older'
import { upcasts as runStarted } from './run-started/older'
import { upcasts as runCommand } from './run-command/older'
import { upcasts as trace } from './trace/older'
import { upcasts as markMade } from './mark-made/older'
import { upcasts as verdictSigned } from './verdict-signed/older'
import { upcasts as rescueTried } from './rescue-tried/older'

/** How the bodies of earlier versions are read, by kind. */
const OLDER = {
  'sample named': sampleNamed,
  weighed: weighed,
  'plan fixed': planFixed,
  'solvent added': solventAdded,
  'timer started': timerStarted,
  'melt planned': meltPlanned,
  'run started': runStarted,
  'run command': runCommand,
  trace: trace,
  'mark made': markMade,
  'verdict signed': verdictSigned,
  'rescue tried': rescueTried,
} as const satisfies Partial<Record<Kind, Upcasts>>

/** From here on lines of earlier versions are read. A page asks for it when it meets the first of them. */
export function readOlderVersions(): void {
  knowOlder(OLDER)
}
