import type { Step } from '../../procedures/procedure'
import { capital } from '../../words'

/** What a sort of work is called for one prep: what to do, and a word for a bar. */
export type TaskWords = (name: string, solvent: string) => { readonly words: string; readonly label: string }
export const WORKS: Readonly<Record<string, TaskWords>> = {
  'get ready': (name, solvent) => ({ words: `Put ${solvent} on to heat for the ${name}`, label: 'heat' }),
  'wet the crude': (name) => ({ words: `Wet the crude ${name} in its flask`, label: 'wet' }),
  dissolve: (name) => ({ words: `Dissolve the ${name}`, label: 'dissolve' }),
  'into the ice': (name) => ({ words: `Put the flask of ${name} into the cold bath`, label: 'to cold' }),
  'set up suction': (name) => ({
    words: `Set up suction for the ${name}: clamp first, then the hose`,
    label: 'suction',
  }),
  collect: (name) => ({ words: `Collect the ${name}`, label: 'collect' }),
  balance: (name) => ({ words: `Balance the centrifuge tube of the ${name}`, label: 'balance' }),
  spin: (name) => ({ words: `Put the ${name} into the centrifuge`, label: 'spin' }),
  'put away': (name) => ({ words: `Put crystals and mother liquor of the ${name} away`, label: 'put away' }),
  dry: (name) => ({ words: `Spread, dry and weigh the ${name}`, label: 'dry' }),
  evaporate: (name) => ({ words: `Set the ${name} on the steam`, label: 'steam' }),
  'off the steam': (name) => ({ words: `Take the ${name} off the steam`, label: 'off' }),
}
/** What goes on by itself, by the clock of its step. */
export const ALONE: Readonly<Record<string, TaskWords>> = {
  heat: (_, solvent) => ({ words: `${capital(solvent)} heats`, label: solvent }),
  cool: (name) => ({ words: `Crystals are forming: leave the ${name} alone`, label: `${name} cools` }),
  ice: (name) => ({ words: `The ${name} stands in the cold bath`, label: name }),
  air: (name) => ({ words: `The ${name} dries in a stream of air`, label: 'air' }),
  spin: (name) => ({ words: `The ${name} spins`, label: 'spins' }),
  boil: (name) => ({ words: `The ${name} evaporates`, label: 'evaporates' }),
  dry: (name) => ({ words: `The ${name} dries on`, label: 'dries' }),
}

/** How things are left at a safe stop, by the clock before it. */
export const STOPS: Readonly<Record<string, string>> = { cool: 'cold crystals', dry: 'spread to dry' }

/** A step nobody knows is called by its own first words. */
export function unknownWork(step: Step | undefined): TaskWords {
  const text = step?.text ?? ''
  const words = text.split(/[.:;](\s|$)/)[0] ?? text
  return () => ({ words, label: step?.station ?? '' })
}
