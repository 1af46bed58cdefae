import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import type { MeltFacts } from '@ivory-crystal/core'
import { type LightFile, readLightFile } from './lightFile'
import { LightOfTube } from './LightPanel'
import { FileButton } from '../../parts/FileButton'

/** A light trace an instrument wrote to a file, brought in for one tube. */
export function LightImport({ melt }: { melt: MeltFacts }) {
  const { tubes } = melt.planned.body
  const [slot, setSlot] = useState(tubes[0]?.slot ?? 1)
  const [file, setFile] = useState<LightFile | null>(null)
  const tube = tubes.find((one) => one.slot === slot)
  return (
    <details className="mt-3" open={file !== null}>
      <summary>Bring in a light trace the instrument wrote (CSV)</summary>
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
          onFile={(chosen) => {
            void chosen.text().then((text) => {
              setFile(readLightFile(text))
            })
          }}
        >
          Choose a file
        </FileButton>
      </div>
      {file && !file.ok && (
        <p className="look" role="alert">
          {file.sentence}
        </p>
      )}
      {file?.ok && tube && (
        <>
          <p className="quiet mt-1 mb-0">{file.said}</p>
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
