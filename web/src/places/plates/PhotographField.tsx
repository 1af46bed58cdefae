import css from './PhotographField.module.css'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Photograph } from '../../drawings/PlateDrawing'
import { smallJpeg } from './photograph'
import { FileButton } from '../../parts/FileButton'

const EDGES = [
  ['left', 'left edge'],
  ['right', 'right edge'],
  ['top', 'upper edge'],
  ['bottom', 'lower edge'],
] as const
/** Edges keep this far apart, as parts of the picture. */
const APART = 0.1

/** A photograph of the plate to be measured on, with where the plate's edges are on it. */
export function PhotographField({
  photograph,
  onPhotograph,
}: {
  photograph: Photograph | null
  onPhotograph: (photograph: Photograph | null) => void
}) {
  const [sentence, setSaid] = useState<string | null>(null)
  const take = async (file: File | undefined) => {
    if (!file) return
    try {
      onPhotograph({ jpeg: await smallJpeg(file), left: 0, right: 1, top: 0, bottom: 1 })
      setSaid(null)
    } catch (error) {
      setSaid((error as Error).message)
    }
  }
  return (
    <div style={{ maxWidth: 290 }}>
      <div className="row-of">
        <FileButton
          size="sm"
          name="a photograph under the drawing (optional)"
          accept="image/*"
          onFile={(file) => void take(file)}
        >
          Put a photograph under the drawing
        </FileButton>
      </div>
      {sentence && (
        <p className="look" role="alert">
          {sentence}
        </p>
      )}
      {photograph && (
        <>
          <p className="form-text mb-1">Move its edges until they match the plate.</p>
          {EDGES.map(([edge, name]) => (
            <div key={edge} className={css.edgeSlider}>
              <label htmlFor={`edge-${edge}`}>{name}</label>
              <Form.Range
                id={`edge-${edge}`}
                min={0}
                max={1}
                step={0.005}
                value={photograph[edge]}
                onChange={(event) => {
                  onPhotograph(moved(photograph, edge, Number(event.target.value)))
                }}
              />
            </div>
          ))}
          <Button
            size="sm"
            variant="link"
            onClick={() => {
              onPhotograph(null)
            }}
          >
            Take it away
          </Button>
        </>
      )}
    </div>
  )
}

function moved(photograph: Photograph, edge: (typeof EDGES)[number][0], to: number): Photograph {
  switch (edge) {
    case 'left':
      return { ...photograph, left: Math.min(to, photograph.right - APART) }
    case 'right':
      return { ...photograph, right: Math.max(to, photograph.left + APART) }
    case 'top':
      return { ...photograph, top: Math.min(to, photograph.bottom - APART) }
    case 'bottom':
      return { ...photograph, bottom: Math.max(to, photograph.top + APART) }
  }
}
