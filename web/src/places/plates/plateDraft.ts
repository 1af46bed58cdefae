import {
  type LaneKind,
  type PlateOpinion,
  plateTrouble,
  type ReadLane,
  readLanes,
  readPlate,
} from '@ivory-crystal/core/chromatography'
import type { PrepId, SampleId, UnknownId } from '@ivory-crystal/core/ids'
import {
  type NamedSample,
  type PlateDeveloped,
  prepOf,
  samplesNamed,
  type SpotShape,
  unknownOf,
  type View,
  type Visualized,
} from '@ivory-crystal/core/notebook'
import type { Reading } from '@ivory-crystal/core/units'
import { readReading } from '@ivory-crystal/core/weighing'

/** A plate as it is being measured; numbers as typed. */
export interface PlateDraft {
  readonly stationary: string
  readonly eluent: string
  readonly visualized: readonly Visualized[]
  readonly widthMm: string
  readonly heightMm: string
  readonly lineMm: string
  readonly frontMm: string
  readonly lanes: readonly LaneDraft[]
}
export interface LaneDraft {
  readonly sample: SampleId | null
  readonly label: string
  readonly kind: LaneKind
  readonly acrossMm: number
  readonly spots: readonly { readonly mm: string; readonly shape: SpotShape }[]
}

const WIDTH_MM = 40

/** Lanes as they are usually spotted: the sample, both in one spot, the authentic sample. */
export function startingDraft(view: View, of: PrepId | UnknownId | null): PlateDraft {
  const sample = sampleOfSubject(view, of)
  const authentic = authenticFor(view, of, sample)
  const lanes: LaneDraft[] = [
    { sample: sample?.id ?? null, label: sample?.label ?? 'sample', kind: 'sample', acrossMm: 0, spots: [] },
    { sample: null, label: 'both', kind: 'co-spot', acrossMm: 0, spots: [] },
    {
      sample: authentic?.id ?? null,
      label: authentic?.label ?? 'authentic',
      kind: 'authentic',
      acrossMm: 0,
      spots: [],
    },
  ]
  return {
    stationary: 'silica gel with fluorescent indicator',
    eluent: '',
    visualized: ['ultraviolet lamp'],
    widthMm: String(WIDTH_MM),
    heightMm: '80',
    lineMm: '10',
    frontMm: '',
    lanes: spread(lanes, WIDTH_MM),
  }
}

/** Lanes at even distances over the width. */
export function spread(lanes: readonly LaneDraft[], widthMm: number): readonly LaneDraft[] {
  return lanes.map((lane, i) => ({ ...lane, acrossMm: ((i + 1) * widthMm) / (lanes.length + 1) }))
}

function sampleOfSubject(view: View, of: PrepId | UnknownId | null): NamedSample | null {
  if (!of) return null
  const samples = samplesNamed(view)
  if (prepOf(view, of as PrepId))
    return samples.find(({ prep, role }) => prep === of && role === 'product') ?? null
  return unknownOf(view, of as UnknownId)?.sample ?? null
}

/** Of a prep its own compound; of an unknown the one whose mixture came out unchanged, else the first at hand. */
function authenticFor(
  view: View,
  of: PrepId | UnknownId | null,
  sample: NamedSample | null,
): NamedSample | null {
  const unknown = of ? unknownOf(view, of as UnknownId) : null
  if (unknown) {
    const same = unknown.mixtures.find(({ verdict }) => verdict.ok && verdict.value.verdict === 'same')
    return (
      same?.reference ??
      // The one that was melted with it is the one in question, before others of the list.
      unknown.mixtures.findLast(({ verdict }) => !(verdict.ok && verdict.value.verdict === 'different'))
        ?.reference ??
      unknown.candidates.find(({ authentic, ruledOut }) => authentic && !ruledOut)?.authentic ??
      null
    )
  }
  return (
    samplesNamed(view).find(
      ({ role, compound }) => role === 'authentic' && compound?.id === sample?.compound?.id,
    ) ?? null
  )
}

/** A recorded plate, to be corrected. */
export function draftOf(body: PlateDeveloped): PlateDraft {
  return {
    stationary: body.stationary,
    eluent: body.eluent,
    visualized: body.visualized,
    widthMm: String(body.size.widthMm),
    heightMm: String(body.size.heightMm),
    lineMm: String(body.lineMm),
    frontMm: body.frontMm.text,
    lanes: body.lanes.map(({ sample, label, kind, acrossMm, spots }) => ({
      sample,
      label,
      kind,
      acrossMm,
      spots: spots.map(({ centreMm, shape }) => ({ mm: centreMm.text, shape })),
    })),
  }
}

export interface ReadDraft {
  readonly size: { readonly widthMm: number; readonly heightMm: number }
  readonly lineMm: number
  readonly front: Reading | null
  readonly lanes: readonly ReadLane[]
  readonly opinion: PlateOpinion | null
  /** What of its measures spoils its reading. */
  readonly trouble: readonly string[]
  /** What is in the way of recording it, or null. */
  readonly sentence: string | null
  readonly body: Omit<PlateDeveloped, 'of'> | null
}

/** Reads what is typed; what cannot be read is said, and the drawing stands on what can. */
export function readDraft(draft: PlateDraft): ReadDraft {
  const [width, height, line] = [
    readReading(draft.widthMm, 'The width of the plate'),
    readReading(draft.heightMm, 'The height of the plate'),
    readReading(draft.lineMm, 'The height of the line'),
  ]
  const size = {
    widthMm: width.ok && width.value.value > 0 ? width.value.value : WIDTH_MM,
    heightMm: height.ok && height.value.value > 0 ? height.value.value : 80,
  }
  const lineMm = line.ok ? line.value.value : 10
  const front = readReading(draft.frontMm, 'The front')
  const nothing = {
    size,
    lineMm,
    front: front.ok ? front.value : null,
    lanes: [],
    opinion: null,
    trouble: [],
    body: null,
  }
  for (const one of [width, height, line]) if (!one.ok) return { ...nothing, sentence: one.problem.sentence }
  if (!front.ok)
    return {
      ...nothing,
      sentence:
        draft.frontMm.trim() === ''
          ? 'Drag the front to its mark, or type its distance from the line.'
          : front.problem.sentence,
    }
  if (lineMm + front.value.value > size.heightMm)
    return {
      ...nothing,
      sentence: `A front ${front.value.text} mm above a line at ${line.ok ? line.value.text : ''} mm is beyond a plate of ${size.heightMm} mm.`,
    }
  return measured(draft, { size, lineMm, front: front.value })
}

function measured(
  draft: PlateDraft,
  at: { size: ReadDraft['size']; lineMm: number; front: Reading },
): ReadDraft {
  const lanes: PlateDeveloped['lanes'][number][] = []
  const trouble = plateTrouble({ lineMm: at.lineMm, frontMm: at.front.value, heightMm: at.size.heightMm })
  const nothing = { ...at, lanes: [], opinion: null, trouble, body: null }
  for (const lane of draft.lanes) {
    const spots: { centreMm: Reading; shape: SpotShape }[] = []
    for (const { mm, shape } of lane.spots) {
      const centre = readReading(mm, `A spot of ${lane.label}`)
      if (!centre.ok) return { ...nothing, sentence: centre.problem.sentence }
      spots.push({ centreMm: centre.value, shape })
    }
    if (lane.label.trim() === '') return { ...nothing, sentence: 'Give every lane a name.' }
    lanes.push({ ...lane, label: lane.label.trim(), spots })
  }
  const plain = lanes.map(({ label, kind, spots }) => ({
    label,
    kind,
    spotsMm: spots.map(({ centreMm }) => centreMm.value),
  }))
  try {
    const read = {
      ...at,
      trouble,
      lanes: readLanes(plain, at.front.value),
      opinion: readPlate(plain, at.front.value, trouble),
    }
    const missing =
      draft.eluent.trim() === ''
        ? 'Enter the eluent: without it an Rf means nothing.'
        : draft.visualized.length === 0
          ? 'Enter how the spots were made visible.'
          : lanes.every(({ spots }) => spots.length === 0)
            ? 'No spot is measured yet. Click in a lane at the centre of a spot.'
            : null
    return {
      ...read,
      sentence: missing,
      body: missing
        ? null
        : {
            stationary: draft.stationary.trim() || 'not said',
            eluent: draft.eluent.trim(),
            visualized: draft.visualized,
            size: at.size,
            lineMm: at.lineMm,
            frontMm: at.front,
            lanes,
          },
    }
  } catch (error) {
    return { ...nothing, sentence: (error as Error).message }
  }
}
