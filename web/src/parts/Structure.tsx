import css from './Structure.module.css'
import { useEffect, useState } from 'react'

type Drawing = { readonly svg: string } | { readonly sentence: string } | null

/** A structure drawn from its SMILES; the drawing package is fetched only when one is shown. */
export function Structure({
  smiles,
  name,
  width = 220,
  height = 150,
}: {
  smiles: string
  name: string
  width?: number
  height?: number
}) {
  const [drawing, setDrawing] = useState<Drawing>(null)
  useEffect(() => {
    // The package is loaded outside React; an answer for a structure typed over since is dropped.
    let current = true
    void import('@ivory-crystal/core/structures').then(({ drawStructure }) => {
      if (!current) return
      try {
        setDrawing({ svg: drawStructure(smiles, width, height) })
      } catch {
        setDrawing({ sentence: 'This cannot be read as a structure (SMILES).' })
      }
    })
    return () => {
      current = false
    }
  }, [smiles, width, height])
  if (smiles.trim() === '') return <p className="quiet">No structure here.</p>
  if (drawing === null)
    return (
      <p className="quiet" aria-busy="true" style={{ minHeight: height }}>
        Drawing …
      </p>
    )
  if ('sentence' in drawing) return <p className="trouble">{drawing.sentence}</p>
  return (
    <div
      className={css.structure}
      role="img"
      aria-label={`Structure of ${name}`}
      // The drawing is made here, from a structure, by the package; no text of the user's is in it.
      dangerouslySetInnerHTML={{ __html: drawing.svg }}
    />
  )
}
