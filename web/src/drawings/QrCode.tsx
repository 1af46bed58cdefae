import { create } from 'qrcode'

/** Empty round it, modules. */
const QUIET = 2

/** A square code that a telephone reads. Black on white in every theme. */
export function QrCode({ text, label }: { text: string; label: string }) {
  const { size, data } = create(text, { errorCorrectionLevel: 'M' }).modules
  const path: string[] = []
  for (let row = 0; row < size; row++)
    for (let column = 0; column < size; column++)
      if (data[row * size + column]) path.push(`M${column + QUIET} ${row + QUIET}h1v1h-1z`)
  const side = size + 2 * QUIET
  return (
    <svg viewBox={`0 0 ${side} ${side}`} role="img" aria-label={label} shapeRendering="crispEdges">
      <rect width={side} height={side} fill="#fff" />
      <path d={path.join('')} fill="#000" />
    </svg>
  )
}
