import type { RunId } from '../../../ids'
import type { BlockCommand } from '../../../instruments/reading'
import { defineKind } from '../defineKind'

/** A command as the instrument took it, at its own time; or how fast simulated time passes from there on. */
export interface RunCommand {
  readonly run: RunId
  readonly atS: number
  readonly command: BlockCommand | { readonly kind: 'pace'; readonly pace: number }
}
export const runCommand = defineKind<RunCommand>()({
  kind: 'run command',
  version: 2,
  about: 'melt',
  sentence: ({ command }) => {
    switch (command.kind) {
      case 'preheat':
        return `Preheating to ${command.toC.toFixed(1)} °C.`
      case 'ramp':
        return `Ramp to ${command.toC.toFixed(1)} °C at ${command.rateCPerMin} °C/min.`
      case 'tubes in':
        return 'Tubes put in.'
      case 'dial':
        return `Dial or flame set to ${command.setting}.`
      case 'stop':
        return 'Stopped; the block cools.'
      case 'pace':
        return command.pace === 1
          ? 'Simulated time back to real time.'
          : `Simulated time runs ${command.pace} times as fast.`
    }
  },
})
