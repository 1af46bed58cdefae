import type { Grain } from '@ivory-crystal/core/heating'
import type { SampleId } from '@ivory-crystal/core/ids'
import type { NamedSample, PlannedTube, RackTube } from '@ivory-crystal/core/notebook'
import { readReading } from '@ivory-crystal/core/weighing'

/** A slot as it is being filled in. */
export interface SlotDraft {
  readonly sample: SampleId | ''
  readonly fillMm: string
  readonly grain: Grain
  readonly tube: RackTube['entry']['id'] | null
}
export const EMPTY_SLOT: SlotDraft = { sample: '', fillMm: '2', grain: 'fine', tube: null }

/** Slots as they start: tubes from the rack, else crude and product of the prep. */
export function startingSlots(
  slots: number,
  rack: readonly RackTube[],
  samples: readonly NamedSample[],
  prep: string | null,
): readonly SlotDraft[] {
  const fromRack = rack.map(({ entry }): SlotDraft => ({
    sample: entry.body.sample,
    fillMm: String(entry.body.fillMm),
    grain: entry.body.grain,
    tube: entry.id,
  }))
  const ofPrep = ['crude', 'product'].map((role): SlotDraft => {
    const sample = samples.find((one) => one.prep === prep && one.role === role)
    return { ...EMPTY_SLOT, sample: prep && sample ? sample.id : '' }
  })
  const given = fromRack.length > 0 ? fromRack : ofPrep
  return Array.from({ length: slots }, (_, i) => given[i] ?? EMPTY_SLOT)
}

export type TubesRead =
  | { readonly ok: true; readonly tubes: readonly PlannedTube[] }
  | { readonly ok: false; readonly sentence: string }

/** The filled slots as tubes, or what is wrong with one. */
export function readSlots(slots: readonly SlotDraft[], samples: readonly NamedSample[]): TubesRead {
  const tubes: PlannedTube[] = []
  for (const [i, slot] of slots.entries()) {
    if (slot.sample === '') continue
    const fill = readReading(slot.fillMm, `The fill height in slot ${i + 1}`)
    if (!fill.ok) return { ok: false, sentence: fill.problem.sentence }
    if (fill.value.value <= 0 || fill.value.value > 50)
      return {
        ok: false,
        sentence: `A fill height of ${fill.value.text} mm in slot ${i + 1} cannot be; most labs pack 2 to 3.`,
      }
    const label = samples.find(({ id }) => id === slot.sample)?.label ?? 'sample'
    tubes.push({
      slot: i + 1,
      sample: slot.sample,
      label,
      fillMm: fill.value.value,
      grain: slot.grain,
      ...(slot.tube ? { tube: slot.tube } : {}),
    })
  }
  return tubes.length > 0
    ? { ok: true, tubes }
    : { ok: false, sentence: 'Put a sample into at least one slot.' }
}
