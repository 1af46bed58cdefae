import { useEffect, useState } from 'react'
import Form from 'react-bootstrap/Form'
import { Link, useParams } from 'react-router'
import type { ClassLadder } from '@ivory-crystal/core/notebook'
import type { Result } from '@ivory-crystal/core/problems'
import { fixed } from '../../format/format'
import { ladderRow } from '../../parts/ladderRows'
import { RangeLadder } from '../../drawings/RangeLadder'
import { useNotebook } from '../../ledger/notebook'
import { FileButton } from '../../parts/FileButton'
import { readClass, readHandedIn } from './readClass'

type HandedIn = Exclude<Awaited<ReturnType<typeof readHandedIn>>, { readonly sentence: string }>

/** One sample's ranges from every notebook of this ledger, on one ladder, by bench code. */
export function ClassLadders() {
  const { notebook } = useParams()
  const notebooks = useNotebook((state) => state.notebooks)
  const view = useNotebook((state) => state.view)
  const [read, setRead] = useState<Result<readonly ClassLadder[]> | null>(null)
  const [key, setKey] = useState<string | null>(null)
  const [handedIn, setHandedIn] = useState<readonly HandedIn[]>([])
  const [sentences, setSaid] = useState<readonly string[]>([])
  const ids = notebooks.map(({ id }) => id).join(' ')
  useEffect(() => {
    // Other notebooks are read from the server.
    let wanted = true
    void readClass(notebooks, notebook ?? '', view, handedIn).then((ladders) => {
      if (wanted) setRead(ladders)
    })
    return () => {
      wanted = false
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the ids stand for the notebooks
  }, [ids, notebook, view, handedIn])
  const take = async (file: File) => {
    const taken = await readHandedIn(file)
    if ('sentence' in taken) setSaid((before) => [...before, taken.sentence])
    else setHandedIn((before) => [...before, taken])
  }
  const ladders = read?.ok ? read.value : []
  const shown = ladders.find(({ sample }) => sample.key === key) ?? ladders[0]
  return (
    <div className="mt-3">
      <h2>What every bench found</h2>
      <p className="mt-2" style={{ maxWidth: 760 }}>
        {notebooks.length === 1
          ? 'Only this notebook is here. Import the files of other benches to see their ranges beside yours.'
          : `From ${notebooks.length} notebooks.`}{' '}
        <Link to={`/n/${notebook ?? ''}/preps`}>Import a notebook file</Link>
      </p>
      <div className="row-of align-items-center">
        <FileButton
          name="Notebooks of the class"
          accept="application/json,.json,application/zip,.zip"
          multiple
          saysName={false}
          onFile={(file) => void take(file)}
        >
          Add the files of the class
        </FileButton>
        <span className="quiet">
          {handedIn.length === 0
            ? 'Zip or JSON files, many at once. They are only read here; nothing is added to this ledger.'
            : `Also shown: ${handedIn.map(({ title }) => title).join(', ')}.`}
        </span>
      </div>
      {sentences.map((sentence) => (
        <p key={sentence} className="look" role="alert">
          {sentence}
        </p>
      ))}
      {read === null && <p aria-busy="true">Reading the notebooks …</p>}
      {read && !read.ok && (
        <p className="look" role="alert">
          {read.problem.sentence}
        </p>
      )}
      {read?.ok && !shown && (
        <p>None of them has a careful range with both ends yet. It appears here when it is marked.</p>
      )}
      {shown && (
        <>
          <div style={{ width: 320 }}>
            <Form.Label htmlFor="class-sample">sample</Form.Label>
            <Form.Select
              id="class-sample"
              value={shown.sample.key}
              onChange={(event) => {
                setKey(event.target.value)
              }}
            >
              {ladders.map(({ sample, rows }) => (
                <option key={sample.key} value={sample.key}>
                  {sample.label} ({rows.length})
                </option>
              ))}
            </Form.Select>
          </div>
          <Ladder ladder={shown} />
        </>
      )}
    </div>
  )
}

function Ladder({ ladder: { rows, onset, clear, outliers } }: { ladder: ClassLadder }) {
  return (
    <>
      <div className="mt-3">
        <RangeLadder
          rows={rows.map(({ bench, row }, i) => ({
            ...ladderRow(row, outliers.includes(i) ? 'crude' : 'product'),
            key: `${row.melt} ${row.slot} ${i}`,
            label: bench,
            signs: [],
          }))}
          literature={null}
          note={`${rows.some(({ row }) => row.isSimulated) ? 'simulated ones among them; ' : ''}each bench’s own thermometer; corrected if the raw range is shown too`}
        />
      </div>
      <p className="mt-2">
        {onset.count === 1
          ? 'One determination; a mean needs more.'
          : `Mean of ${onset.count}: ${fixed(onset.mean, 1)} to ${fixed(clear.mean, 1)} °C. Onsets ${fixed(onset.spread, 1)} °C apart (standard deviation ${fixed(onset.sd ?? 0, 1)}), clear points ${fixed(clear.spread, 1)} (${fixed(clear.sd ?? 0, 1)}).`}
      </p>
      {outliers.map((i) => {
        const row = rows[i]
        return row ? (
          <p key={i} className="look">
            {row.bench} ({row.notebook}): {fixed(row.range.onsetC, 1)} to {fixed(row.range.clearC, 1)} °C does
            not agree with the others. It stays in the mean. Look for the reason: a thermometer, a rate,
            another sample.
          </p>
        ) : null
      })}
    </>
  )
}
