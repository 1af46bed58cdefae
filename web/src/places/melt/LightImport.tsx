import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { MeltFacts } from '@ivory-crystal/core/notebook'
import { textOf } from '../../format/textOf'
import { type LightFile, readLightFile } from './lightFile'
import { LightOfTube } from './LightPanel'
import { FileButton } from '../../parts/FileButton'

interface Chosen {
  readonly name: string
  readonly read: LightFile
}

/** The tube a file is of, where its name says so: “tube 2.csv”, “slot-3.txt”. */
const slotIn = (name: string) => Number(/(?:tube|slot)\D{0,2}(\d+)/i.exec(name)?.[1] ?? NaN)

/** A light trace an instrument wrote to a file, brought in for one tube. */
export function LightImport({ melt }: { melt: MeltFacts }) {
  const { tubes } = melt.planned.body
  const [slot, setSlot] = useState(tubes[0]?.slot ?? 1)
  const [files, setFiles] = useState<readonly Chosen[]>([])
  const [named, setNamed] = useState('')
  const file = files.find(({ name }) => name === named)?.read ?? null
  const take = async (chosen: File) => {
    const text = textOf(chosen.name, new Uint8Array(await chosen.arrayBuffer()))
    const read = text.ok ? readLightFile(text.text) : text
    setFiles((before) => [...before.filter(({ name }) => name !== chosen.name), { name: chosen.name, read }])
    setNamed(chosen.name)
    const own = slotIn(chosen.name)
    if (tubes.some((one) => one.slot === own)) setSlot(own)
  }
  const tube = tubes.find((one) => one.slot === slot)
  return (
    <details className="mt-3" open={file !== null}>
      <summary>Import a light trace of the instrument (CSV)</summary>
      <div className="row-of align-items-center mt-2">
        <Form.Select
          style={{ width: 190 }}
          aria-label="tube of this trace"
          value={slot}
          onChange={(event) => {
            setSlot(Number(event.target.value))
          }}
        >
          {tubes.map((one) => (
            <option key={one.slot} value={one.slot}>
              {one.slot}: {one.label}
            </option>
          ))}
        </Form.Select>
        <FileButton
          accept=".csv,.txt,text/csv,text/plain"
          name="file of temperature and light"
          multiple
          onFile={(chosen) => void take(chosen)}
        >
          Choose a file, or all of a folder
        </FileButton>
      </div>
      {files.length > 1 && (
        <ul className="mt-2" aria-label="Files brought in">
          {files.map(({ name, read }) => (
            <li key={name}>
              <Button
                size="sm"
                variant="link"
                disabled={name === named || !read.ok}
                onClick={() => {
                  setNamed(name)
                  const own = slotIn(name)
                  if (tubes.some((one) => one.slot === own)) setSlot(own)
                }}
              >
                {name}
              </Button>{' '}
              <span className={read.ok ? 'quiet' : 'trouble'}>{read.ok ? read.summary : read.sentence}</span>
            </li>
          ))}
        </ul>
      )}
      {file && !file.ok && (
        <p className="look" role="alert">
          {file.sentence}
        </p>
      )}
      {file?.ok && tube && (
        <>
          <p className="quiet mt-1 mb-0">{file.summary}</p>
          <LightOfTube
            melt={melt}
            slot={slot}
            label={tube.label}
            trace={file.trace}
            decimals={file.decimals}
            file
            rateCPerMin={melt.planned.body.window.rateCPerMin}
          />
        </>
      )}
    </details>
  )
}
