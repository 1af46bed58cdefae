import type { Move } from '@ivory-crystal/core/planning'
import { aboutMinutes, fixed, span } from '../../format/format'

/** What to do now, in one line. */
export function sentenceOf(move: Move, control: string): string {
  switch (move.say) {
    case 'not heard':
      return 'The instrument does not answer. Keep watching and pressing: each press is saved with its time, and its temperature comes later from the trace.'
    case 'cool first':
      return `Let it cool to ${fixed(move.toC, 0)} °C first. The tubes stay out.`
    case 'preheat':
      return `Heat fast to ${fixed(move.toC, 1)} °C. The tubes stay out until then.`
    case 'heats to':
      return `It heats fast to ${fixed(move.toC, 1)} °C. The tubes stay out until then.`
    case 'comes to':
      return `It settles at ${fixed(move.toC, 1)} °C. The tubes stay out until then.`
    case 'heat by hand':
      return `Heat fast to ${fixed(move.toC, 0)} °C, then turn it down.`
    case 'turn down':
      return `Turn it down now: at ${fixed(move.rateCPerMin, 1)} °C/min it overshoots ${fixed(move.toC, 0)} °C.`
    case 'read first':
      return 'Read the thermometer first, and type the temperature.'
    case 'tubes in':
      return 'Put the tubes in, sealed end down. Turn them until you see each well.'
    case 'slow down':
      return `Slow down now: ${fixed(move.rateCPerMin, 1)} °C/min from here.`
    case 'turn':
      return move.inMin === 0 || move.inMin === null
        ? `Turn the ${control} to ${move.dial} now.`
        : `Turn the ${control} to ${move.dial} in ${span(move.inMin * 60_000)}.`
    case 'opens':
      return `The watch band begins at ${fixed(move.atC, 1)} °C${move.inMin === null ? '' : `, in ${aboutMinutes(move.inMin)}`}.`
    case 'in the window':
      return 'In the watch band. Keep your eye on all tubes.'
    case 'at the stop':
      return 'At the stop temperature. If it has not melted, go on a little, or end the run and say so.'
    case 'past the stop':
      return 'Past the planned stop. If it has not melted, end the run and say so, or go on a little.'
    case 'all told':
      return 'Every tube has both ends. End the run and let it cool.'
    case 'too slow':
      return `It rises by only ${fixed(Math.max(0, move.rateCPerMin), 1)} °C/min: turn the ${control} up by one step.`
    case 'too fast': {
      const fast = `${fixed(move.rateCPerMin, 1)} °C/min is too fast in the watch band`
      if (move.setting !== null) return `${fast}: turn down to ${fixed(move.setting, 2)} now.`
      return move.byHand
        ? `${fast}: turn it down now.`
        : `${fast}; the range will read too broad and too high. Let the rate settle, or repeat more slowly.`
    }
  }
}
