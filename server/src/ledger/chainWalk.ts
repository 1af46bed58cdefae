import type { NotebookId } from '@ivory-crystal/core/ids'
import { beginningOf, hashAfter, type HashedLine } from './chain'
import { type Anchor, hashOfFirst, mergeReports, type Place, startOf, type Walked } from './walked'
import type { BatchLine, JournalStep } from './journalTypes'

/** Walks the chains of hashes of all notebooks of one journal, batch by batch. */
export function chainWalk() {
  const notebooks = new Map<NotebookId, Walked>()
  /** An id is in a ledger once. */
  const ids = new Set<string>()
  /** Once a line could not be read, what it held is known to be missing. */
  let isLineLost = false

  const at = (notebook: NotebookId): Walked => {
    const known = notebooks.get(notebook)
    if (known) return known
    const made: Walked = {
      notebook,
      head: { seq: 0, hash: beginningOf(notebook) },
      held: null,
      suspect: null,
      claimed: null,
      hashes: [startOf(beginningOf(notebook))],
      bare: null,
      title: null,
    }
    notebooks.set(notebook, made)
    return made
  }
  const damage = ({ number, text }: Place, reason: string, isLoss = true): JournalStep => ({
    step: 'damage',
    damage: { line: number, reason, text, isLoss },
  })

  function* batch(batchLine: BatchLine, place: Place): Generator<JournalStep> {
    // A line says itself which notebook it is of: a batch that names another was damaged there.
    if (batchLine.entries.every(({ entry }) => entry.notebook !== batchLine.notebook)) {
      isLineLost = true
      yield damage(place, 'It names another notebook than its entries do.')
      return
    }
    const walked = at(batchLine.notebook)
    const first = batchLine.entries[0] as BatchLine['entries'][number]
    yield* titleOf(walked, first.hash !== undefined)
    if (first.seq <= walked.head.seq) {
      yield* again(walked, batchLine, place)
      return
    }
    const { from, steps } = anchorOf(walked, batchLine, place)
    yield* steps
    yield* lines(walked, batchLine, from, place)
  }

  /** A title without a hash stands where its notebook began before there were hashes. */
  function* titleOf(walked: Walked, isHashed: boolean): Generator<JournalStep> {
    const { title } = walked
    walked.title = null
    if (!title) return
    if (isHashed) yield damage(title.place, `The title of notebook ${walked.notebook} carries no hash.`)
    else yield title.step
  }

  /** What a batch follows, and what is to be told where it does not follow what stands before it. */
  function anchorOf(walked: Walked, batchLine: BatchLine, place: Place): Anchor {
    const { head, suspect, claimed, notebook } = walked
    const { before } = batchLine
    const first = batchLine.entries[0] as BatchLine['entries'][number]
    const fits = (hash: string | undefined | null) =>
      hash !== undefined && hash !== null && first.hash === hashOfFirst(batchLine, hash)
    walked.suspect = null
    if (suspect) {
      if (first.seq === suspect.line.seq + 1 && (before === suspect.line.hash || fits(suspect.line.hash))) {
        // What follows was written after this very line: only its own hash was damaged.
        const before = release(walked)
        hold(walked, suspect.line, suspect.place)
        return {
          from: suspect.line.hash,
          steps: [
            ...(before.length > 0 ? [stand(before, notebook)] : []),
            hashLost(suspect.place, suspect.line.seq, notebook),
          ],
        }
      }
      return mergeReports(anchorOf(walked, batchLine, place), [
        notAsWritten(suspect.place, suspect.line.seq, notebook),
      ])
    }
    if (first.seq === head.seq + 1) {
      if (before === head.hash) return { from: head.hash, steps: [] }
      if (walked.bare && before === undefined && first.hash === undefined)
        return { from: head.hash, steps: [] }
      if (fits(head.hash))
        return {
          from: head.hash,
          steps: [
            damage(
              place,
              `Entry ${first.seq} of notebook ${notebook} lost the hash of the entry before it.`,
              false,
            ),
          ],
        }
      if (head.seq > 0 && before !== undefined && fits(before))
        return { from: before, steps: unseat(walked, first.seq) }
      return { from: head.hash, steps: [] }
    }
    if (claimed && first.seq === claimed.seq + 1 && (claimed.hash === null || claimed.hash === before))
      return { from: before ?? '', steps: [] }
    const missing = `Entries ${head.seq + 1} to ${first.seq - 1} of notebook ${notebook} are missing before it.`
    const isKnown = isLineLost || (claimed !== null && first.seq === claimed.seq + 1)
    return { from: before ?? '', steps: isKnown ? [] : [damage(place, missing)] }
  }

  /** The last line that stood is not the one that the next was written after. */
  function unseat(walked: Walked, next: number): readonly JournalStep[] {
    const { held, notebook } = walked
    if (!held) return []
    const { seq } = held.line
    walked.held = null
    walked.hashes.length = seq
    ids.delete(held.line.entry.id)
    return [
      damage(
        held.place,
        `Entry ${seq} of notebook ${notebook} is not the one that entry ${next} was written after: this entry or an earlier one was rewritten.`,
      ),
    ]
  }

  /** The lines of a batch, each held against its hash. */
  function* lines(walked: Walked, batchLine: BatchLine, from: string, place: Place): Generator<JournalStep> {
    const { notebook, entries, recordedAt } = batchLine
    const isBare = walked.head.seq === 0 || walked.bare !== null
    if (entries.some(({ hash }) => hash !== undefined)) walked.bare = null
    else if (isBare)
      walked.bare = { from: walked.bare?.from ?? place, count: (walked.bare?.count ?? 0) + entries.length }
    let befores: readonly string[] = [from]
    const good: HashedLine[] = []
    const steps: JournalStep[] = []
    for (const [i, { seq, entry, hash }] of entries.entries()) {
      const line = { seq, recordedAt, entry }
      const [first = ''] = befores
      const computed = hashAfter(first, line)
      const isPlaced = entry.notebook === notebook && seq === (entries[0]?.seq ?? 0) + i && !ids.has(entry.id)
      const isRight =
        hash === undefined
          ? walked.bare !== null
          : hash === computed || befores.slice(1).some((before) => hashAfter(before, line) === hash)
      if (isPlaced && isRight) {
        good.push({ ...line, hash: hash ?? computed })
        ids.add(entry.id)
        befores = [hash ?? computed]
        continue
      }
      const next = entries[i + 1]
      if (isPlaced && next && hashAfter(computed, { ...next, recordedAt }) === next.hash) {
        good.push({ ...line, hash: computed })
        ids.add(entry.id)
        steps.push(hashLost(place, seq, notebook))
        befores = [computed]
      } else if (isPlaced && !next) {
        walked.suspect = { line: { ...line, hash: computed }, place }
        walked.claimed = { seq, hash: hash ?? null }
      } else {
        steps.push(
          ids.has(entry.id) && entry.notebook === notebook
            ? damage(place, `Entry ${seq} of notebook ${notebook} has the id of another entry.`)
            : notAsWritten(place, seq, notebook),
        )
        befores = hash === undefined ? [computed] : [hash, computed]
        if (!next) walked.claimed = { seq, hash: hash ?? null }
      }
    }
    const before = release(walked)
    const last = good.pop()
    if (before.length > 0 || good.length > 0) yield stand([...before, ...good], notebook)
    for (const line of good) note(walked, line)
    if (last) hold(walked, last, place)
    yield* steps
  }

  /** A batch whose numbers are taken: the same once more, one out of its place, or another in the place of what stands. */
  function* again(walked: Walked, batchLine: BatchLine, place: Place): Generator<JournalStep> {
    const { notebook, entries, recordedAt, before } = batchLine
    const first = entries[0] as BatchLine['entries'][number]
    let last = before ?? ''
    const worked = entries.map(({ seq, entry }): HashedLine => {
      last = hashAfter(last, { seq, recordedAt, entry })
      return { seq, recordedAt, entry, hash: last }
    })
    const isItself = worked.every(
      ({ hash, entry }, i) => hash === entries[i]?.hash && entry.notebook === notebook,
    )
    if (isItself && worked.every(({ seq, hash }) => walked.hashes[seq] === startOf(hash))) {
      yield damage(
        place,
        `Entry ${first.seq} of notebook ${notebook} is in the file twice; it counts once.`,
        false,
      )
      return
    }
    const isFree = worked.every(({ seq, entry }) => walked.hashes[seq] === undefined && !ids.has(entry.id))
    const follows = before !== undefined && walked.hashes[first.seq - 1] === startOf(before)
    if (isItself && isFree && follows) {
      for (const line of worked) note(walked, line)
      yield stand(worked, notebook)
      yield damage(place, `Entry ${first.seq} of notebook ${notebook} is in the wrong place.`, false)
      return
    }
    yield damage(place, `Entry ${first.seq} of notebook ${notebook} is in the place of another entry.`)
  }

  function note(walked: Walked, { seq, hash, entry }: HashedLine): void {
    walked.hashes[seq] = startOf(hash)
    ids.add(entry.id)
  }

  /** The line becomes the last that stands, held back until what follows vouches for it. */
  function hold(walked: Walked, line: HashedLine, place: Place): void {
    walked.held = { line, place }
    note(walked, line)
    walked.head = { seq: line.seq, hash: line.hash }
    walked.claimed = null
  }

  function release(walked: Walked): readonly HashedLine[] {
    const { held } = walked
    walked.held = null
    return held ? [held.line] : []
  }

  function* end(): Generator<JournalStep> {
    for (const walked of notebooks.values()) {
      yield* titleOf(walked, false)
      const { notebook, suspect, bare } = walked
      const held = release(walked)
      if (held.length > 0) yield stand(held, notebook)
      if (suspect) yield notAsWritten(suspect.place, suspect.line.seq, notebook)
      if (bare)
        yield damage(
          bare.from,
          `Entries 1 to ${bare.count} of notebook ${notebook} have no hash, so they cannot be checked.`,
          false,
        )
    }
  }

  function stand(stood: readonly HashedLine[], notebook: NotebookId): JournalStep {
    return { step: 'lines', notebook, lines: stood }
  }
  function hashLost(place: Place, seq: number, notebook: NotebookId): JournalStep {
    return damage(
      place,
      `Entry ${seq} of notebook ${notebook} lost its hash; the next entry confirms it.`,
      false,
    )
  }
  function notAsWritten(place: Place, seq: number, notebook: NotebookId): JournalStep {
    return damage(
      place,
      `Entry ${seq} of notebook ${notebook} is not as it was written, or an earlier one was rewritten.`,
    )
  }

  return {
    batch,
    end,
    lineLost() {
      isLineLost = true
    },
    titleWithoutHash(id: NotebookId, step: JournalStep, place: Place) {
      at(id).title = { step, place }
    },
  }
}
