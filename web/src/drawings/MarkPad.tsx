import css from './MarkPad.module.css'
import classNames from 'classnames'
import { type Moment, MOMENTS } from '@ivory-crystal/core/notebook'
import { span } from '../format/format'

const PAD_KEYS: Readonly<Record<Moment, readonly string[]>> = {
  'early sign': ['Q', 'W', 'E'],
  'first liquid': ['A', 'S', 'D'],
  'all liquid': ['Z', 'X', 'C'],
}
const SLOTS = [1, 2, 3] as const

interface PadTube {
  readonly slot: number
  readonly label: string
  readonly note: string
}

/** What the pad shows of a mark. */
export interface PadMark {
  readonly entry: {
    readonly id: string
    readonly body: { readonly slot: number; readonly moment: Moment; readonly pressedAtS: number }
  }
  /** null while it is still to be typed. */
  readonly temperature: { readonly text: string } | null
  readonly word: string | null
}

interface PadProps<M extends PadMark> {
  tubes: readonly PadTube[]
  marks: readonly M[]
  /** In words, what counts as the first liquid under these house rules. */
  onset: string
  disabled: boolean
  onPress: (slot: number, moment: Moment) => void
  onStrike: (mark: M) => void
}

/** What a key stands for, or null. */
export function padKey(key: string): { readonly slot: number; readonly moment: Moment } | null {
  for (const moment of MOMENTS) {
    const column = PAD_KEYS[moment].indexOf(key.toUpperCase())
    if (column >= 0) return { moment, slot: column + 1 }
  }
  return null
}

/** Nine areas, three tubes across and three moments down. Open areas all look alike: the pad expects nothing. */
export function MarkPad<M extends PadMark>({
  tubes,
  marks,
  onset,
  disabled,
  onPress,
  onStrike,
}: PadProps<M>) {
  return (
    <div className={css.pad} role="group" aria-label="Mark pad">
      <span />
      {SLOTS.map((slot) => {
        const tube = tubes.find((one) => one.slot === slot)
        return (
          <div key={slot} className={css.tubeHead}>
            {tube ? tube.label : <span>no tube</span>}
            <span>{tube ? tube.note : `slot ${slot}`}</span>
          </div>
        )
      })}
      {MOMENTS.map((moment) => (
        <PadRow
          key={moment}
          moment={moment}
          tubes={tubes}
          marks={marks}
          onset={onset}
          disabled={disabled}
          onPress={onPress}
          onStrike={onStrike}
        />
      ))}
    </div>
  )
}

function PadRow<M extends PadMark>({
  moment,
  tubes,
  marks,
  onset,
  disabled,
  onPress,
  onStrike,
}: PadProps<M> & { moment: Moment }) {
  return (
    <>
      <div className={css.rowName} title={moment === 'first liquid' ? onset : undefined}>
        {moment}
      </div>
      {SLOTS.map((slot, column) => {
        const tube = tubes.find((one) => one.slot === slot)
        const made = marks.filter(({ entry }) => entry.body.slot === slot && entry.body.moment === moment)
        const key = PAD_KEYS[moment][column]
        return (
          <div key={slot} className={css.cell}>
            <button
              type="button"
              className={css.press}
              disabled={disabled || !tube}
              aria-label={`${moment}, tube ${slot}${tube ? `, ${tube.label}` : ''}, key ${key}${made.map((mark) => `, marked at ${mark.temperature?.text ?? 'a temperature still to come'} °C`).join('')}`}
              onClick={() => {
                onPress(slot, moment)
              }}
            />
            {made.map((mark) => (
              <Made key={mark.entry.id} mark={mark} isOneOfMany={made.length > 1} onStrike={onStrike} />
            ))}
            <kbd className="key" aria-hidden>
              {key}
            </kbd>
          </div>
        )
      })}
    </>
  )
}

/** A mark in its cell, and the way to take it back. */
function Made<M extends PadMark>({
  mark,
  isOneOfMany,
  onStrike,
}: {
  mark: M
  isOneOfMany: boolean
  onStrike: (mark: M) => void
}) {
  const { moment, slot, pressedAtS } = mark.entry.body
  return (
    <span className={css.made}>
      <span data-reading className={isOneOfMany ? classNames(css.said, 'fw-bold') : css.at}>
        {mark.temperature?.text ?? '…'}
      </span>{' '}
      <span className={css.said}>
        {mark.word ? `${mark.word} · ` : ''}
        {span(pressedAtS * 1000)}
      </span>{' '}
      <button
        type="button"
        className={css.strike}
        aria-label={`Strike out ${moment} of tube ${slot}${mark.temperature ? ` at ${mark.temperature.text} °C` : ''}`}
        onClick={() => {
          onStrike(mark)
        }}
      >
        <span className={css.words}>strike out</span>
        <span className={css.cross} aria-hidden>
          ×
        </span>
      </button>
    </span>
  )
}
