import css from './Pictograms.module.css'
import { type Pictogram, pictogramsOf, signalWordOf } from '@ivory-crystal/core/substances'

/** What is drawn in each frame, on a field of 100 by 100. */
const DRAWN: Readonly<Record<Pictogram, string>> = {
  explodes:
    'M50 40l6-14 3 14 12-8-6 14 14 2-13 7 9 11-14-4-1 14-9-11-9 12-1-14-13 5 8-12-14-6 14-3-7-13 13 8z',
  flammable:
    'M51 22c3 12 19 19 16 37-1 8-8 13-16 13s-16-6-16-14c0-9 6-12 8-19 4 3 5 7 5 10 5-7 6-17 3-27zM32 76h37v4H32z',
  oxidizes:
    'M51 18c3 9 14 14 12 27-1 4-3 6-6 8 2-7-1-11-4-14 0 6-5 8-5 13-4-2-8-5-8-10 0-7 5-9 7-14 2 2 3 4 3 6 3-4 3-10 1-16zM50 54a12 12 0 100 24 12 12 0 000-24zm0 4.5a7.5 7.5 0 110 15 7.5 7.5 0 010-15zM32 81h37v4H32z',
  corrosive:
    'M27 33l14-7 3 5-14 8zM66 27l16 5-2 6-15-5zM40 41h4v4h-4zM36 49h4v5h-4zM42 53h4v4h-4zM24 60h26c-2 4-7 2-8 6h-5c-1-3-5-1-6-4h-7zM62 41h4v4h-4zM67 47h4v5h-4zM60 50h4v4h-4zM55 60h9c2 4 5 5 8 1h8v8l-19 5-7-4zM24 70h28v3H24z',
  toxic:
    'M50 24c-12 0-19 8-19 17 0 6 3 10 7 12l-1 8h5v-5h4v5h8v-5h4v5h5l-1-8c4-2 7-6 7-12 0-9-7-17-19-17zm-8 15a5 5 0 110 10 5 5 0 010-10zm16 0a5 5 0 110 10 5 5 0 010-10zM28 65l22 7 22-7 1 4-18 5.5 18 5.5-1 4-22-7-22 7-1-4 18-5.5-18-5.5z',
  harmful: 'M45 24h10l-2.5 33h-5zM50 62a6 6 0 110 12 6 6 0 010-12z',
  'health hazard':
    'M50 22a8.5 8.5 0 110 17 8.5 8.5 0 010-17zM37 42h26l10 28-7 4-5-14v20H39V60l-5 14-7-4zM50 46l3.5 8 8.5 3.5-8.5 3.5-3.5 8-3.5-8-8.5-3.5 8.5-3.5z',
  'harms life in water':
    'M34 30l3-8 3 3 4-6 3 5 6-3-4 8 6-2-5 8h-6l1 22h-6l1-20-8-2zM24 60h30c8-8 18-8 24-1l5-5v14l-5-5c-6 6-16 6-24-1H24zM68 58a2 2 0 110 4 2 2 0 010-4zM24 70h44v4H24z',
}

/** Every sign stays clear of its frame. */
const WITHIN = 'translate(11 10) scale(.78)'

/** Hazards as their pictograms, drawn for this app, with the signal word; nothing where there are none on file. */
export function Pictograms({
  hazards,
  signalWord,
  size = 34,
}: {
  hazards: readonly string[]
  /** The signal word on file. */
  signalWord?: 'Danger' | 'Warning' | undefined
  size?: number
}) {
  const shown = pictogramsOf(hazards)
  const word = signalWordOf(hazards, signalWord)
  if (shown.length === 0) return null
  return (
    <span className={css.row}>
      {shown.map((one) => (
        <svg key={one} width={size} height={size} viewBox="0 0 100 100" role="img" aria-label={one}>
          <title>{one}</title>
          <path d="M50 5L95 50 50 95 5 50z" className={css.frame} />
          <path d={DRAWN[one]} fillRule="evenodd" transform={WITHIN} className={css.sign} />
        </svg>
      ))}
      {word && <b className={css.word}>{word}</b>}
    </span>
  )
}
