import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { NextAct } from './NextAct'
import { NumberPad } from './NumberPad'

beforeEach(() => {
  // The test browser draws nothing: everything counts as shown.
  Object.assign(HTMLElement.prototype, { checkVisibility: () => true, scrollIntoView: () => undefined })
})
afterEach(() => {
  cleanup()
  jest.restoreAllMocks()
})

const pressed: string[] = []
const Press = ({ name, ...rest }: { name: string; className?: string; 'data-act'?: true }) => (
  <button
    {...rest}
    onClick={() => {
      pressed.push(name)
    }}
  >
    {name}
  </button>
)

describe('the next act under one key', () => {
  const screenOf = (children: React.ReactNode) => {
    pressed.length = 0
    render(
      <main>
        <NextAct />
        {children}
      </main>,
    )
    return userEvent.setup()
  }
  test('Space presses what the screen marks, before its filled button', async () => {
    const user = screenOf(
      <>
        <Press name="filled" className="btn-primary" />
        <Press name="marked" data-act />
      </>,
    )
    await user.keyboard(' ')
    expect(pressed).toEqual(['marked'])
  })
  test('of two filled buttons none is guessed, and one alone is pressed', async () => {
    const user = screenOf(
      <>
        <Press name="one" className="btn-primary" />
        <Press name="two" className="btn-primary" />
      </>,
    )
    await user.keyboard(' ')
    expect(pressed).toEqual([])
    cleanup()
    await screenOf(<Press name="one" className="btn-primary" />).keyboard(' ')
    expect(pressed).toEqual(['one'])
  })
  test('a warning that stops the work stops the key', async () => {
    const user = screenOf(
      <>
        <p data-holds>A flame is lit at bench 8.</p>
        <Press name="marked" data-act />
      </>,
    )
    await user.keyboard(' ')
    expect(pressed).toEqual([])
  })
  test('nothing is pressed while something is typed, or another thing is under the keys', async () => {
    const user = screenOf(
      <>
        <Press name="marked" data-act />
        <Press name="chosen" />
        <textarea aria-label="words" />
      </>,
    )
    await user.click(screen.getByLabelText('words'))
    await user.keyboard(' ')
    screen.getByText('chosen').focus()
    await user.keyboard(' ')
    expect(pressed).toEqual(['chosen'])
    expect(screen.getByLabelText<HTMLTextAreaElement>('words').value).toBe(' ')
  })
})

function Weighing({ onDone }: { onDone: (text: string) => void }) {
  const [typed, setTyped] = useState({ empty: '', loaded: '' })
  return (
    <form
      aria-label="Weigh"
      onSubmit={(event) => {
        event.preventDefault()
        onDone(`${typed.empty} ${typed.loaded}`)
      }}
    >
      {(['empty', 'loaded'] as const).map((name) => (
        <input
          key={name}
          aria-label={name}
          inputMode="decimal"
          value={typed[name]}
          onChange={(event) => {
            setTyped({ ...typed, [name]: event.target.value })
          }}
        />
      ))}
      <button type="submit">Record</button>
    </form>
  )
}

test('Enter goes to the next empty number, and then records', async () => {
  const done: string[] = []
  render(
    <main>
      <NextAct />
      <Weighing onDone={(text) => done.push(text)} />
    </main>,
  )
  const user = userEvent.setup()
  await user.type(screen.getByLabelText('empty'), '28.1{Enter}')
  expect(document.activeElement).toBe(screen.getByLabelText('loaded'))
  expect(done).toEqual([])
  await user.keyboard('29.9{Enter}')
  expect(done).toEqual(['28.1 29.9'])
})

describe('number keys on a tablet', () => {
  const on = (coarse: boolean, width: number) => {
    jest
      .spyOn(window, 'matchMedia')
      .mockImplementation((query) => ({ matches: coarse && query.includes('coarse') }) as MediaQueryList)
    Object.assign(window, { innerWidth: width })
  }
  const touch = (name: string) => {
    const field = screen.getByLabelText(name)
    fireEvent.pointerDown(field)
    act(() => {
      field.focus()
    })
    return field as HTMLInputElement
  }
  beforeEach(() => {
    window.matchMedia ??= () => ({ matches: false }) as MediaQueryList
  })
  const key = (name: string) => {
    fireEvent.click(screen.getByRole('button', { name }))
  }

  test('a whole weighing goes in by them, and the tablet’s own keyboard stays down', () => {
    on(true, 820)
    const done: string[] = []
    render(
      <main>
        <NextAct />
        <NumberPad />
        <Weighing onDone={(text) => done.push(text)} />
      </main>,
    )
    expect(screen.queryByRole('group', { name: 'Number keys' })).toBeNull()
    const field = touch('empty')
    expect(field.inputMode).toBe('none')
    for (const one of ['2', '8', '.', '1', '1']) key(one)
    key('Delete the last digit')
    expect(field.value).toBe('28.1')
    key('Enter')
    expect(document.activeElement).toBe(screen.getByLabelText('loaded'))
    for (const one of ['3', '0']) key(one)
    key('Enter')
    expect(done).toEqual(['28.1 30'])
  })
  test.each([
    ['a mouse', false, 1280],
    ['a telephone, which has keys of its own', true, 390],
  ])('not with %s', (_, coarse, width) => {
    on(coarse, width)
    render(
      <main>
        <NumberPad />
        <Weighing onDone={() => undefined} />
      </main>,
    )
    expect(touch('empty').inputMode).toBe('decimal')
    expect(screen.queryByRole('group', { name: 'Number keys' })).toBeNull()
  })
})
