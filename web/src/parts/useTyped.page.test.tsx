import { describe, expect, jest, test } from '@jest/globals'
import { screen, waitFor } from '@testing-library/react'
import { NOTEBOOK, openDemo, prepNamed, showAt, written } from '../testing/opened'
import { KINDS } from '@ivory-crystal/core/notebook'
import { ok, refuse } from '@ivory-crystal/core/problems'
import { readReading } from '@ivory-crystal/core/weighing'

const { checkLines, useLines, useTyped } = await import('./useTyped')
const { Refusal, InlineField } = await import('./InlineField')

const AT = `/n/${NOTEBOOK}/x`
const press = (name: string) => screen.getByRole('button', { name })
const box = (name: string) => screen.getByRole<HTMLInputElement>('textbox', { name })

describe('a form', () => {
  const keep = jest.fn<(grams: number) => Promise<string | undefined>>()
  const check = jest.fn<(grams: number) => Promise<string | null>>()
  function Grams() {
    const form = useTyped({
      start: { grams: '', vessel: 'beaker' },
      make({ grams }) {
        const read = readReading(grams, 'The mass')
        return read.ok ? ok(read.value.value) : refuse(read.problem.sentence, 'grams')
      },
      check,
      keep,
    })
    return (
      <form onSubmit={form.onSubmit}>
        <InlineField label="mass, g" {...form.of('grams')} />
        <InlineField label="vessel" {...form.of('vessel')} />
        <button disabled={form.busy}>keep</button>
        <Refusal sentence={form.message} />
      </form>
    )
  }
  const begin = () => {
    keep.mockReset()
    check.mockReset().mockResolvedValue(null)
    return showAt(Grams, AT)
  }

  test('keeps what it comes to, once, and only when it is handed in', async () => {
    const user = begin()
    await user.type(box('mass, g'), '1.80')
    expect(keep).not.toHaveBeenCalled()
    await user.click(press('keep'))
    await waitFor(() => {
      expect(keep).toHaveBeenCalledWith(1.8)
    })
    expect(keep).toHaveBeenCalledTimes(1)
    expect(check).toHaveBeenCalledWith(1.8)
  })

  test('says what is wrong at its field, keeps nothing, and loses nothing typed', async () => {
    const user = begin()
    await user.type(box('mass, g'), '1.8.0')
    await user.click(press('keep'))
    await screen.findByRole('alert')
    expect(box('mass, g')).toHaveProperty('value', '1.8.0')
    expect(box('mass, g').className).toContain('is-invalid')
    expect(box('vessel').className).not.toContain('is-invalid')
    expect(keep).not.toHaveBeenCalled()
    await user.type(box('mass, g'), '0')
    expect(screen.queryByRole('alert')).toBeNull()
  })

  test('a last look that refuses is said, and is no single field’s', async () => {
    const user = begin()
    check.mockResolvedValue('The flask is full.')
    await user.type(box('mass, g'), '2')
    await user.click(press('keep'))
    expect((await screen.findByRole('alert')).textContent).toBe('The flask is full.')
    expect(box('mass, g').className).not.toContain('is-invalid')
    expect(keep).not.toHaveBeenCalled()
  })

  test('what could not be kept is said, and can be handed in again', async () => {
    const user = begin()
    keep.mockResolvedValueOnce('The server cannot be reached.')
    await user.type(box('mass, g'), '2')
    await user.click(press('keep'))
    expect((await screen.findByRole('alert')).textContent).toBe('The server cannot be reached.')
    await user.click(press('keep'))
    await waitFor(() => {
      expect(keep).toHaveBeenCalledTimes(2)
    })
  })

  test('handed in twice before it is kept, it is kept once', async () => {
    const user = begin()
    let done = () => undefined as void
    keep.mockReturnValue(
      new Promise((resolve) => {
        done = () => {
          resolve(undefined)
        }
      }),
    )
    await user.type(box('mass, g'), '2')
    await user.click(press('keep'))
    await waitFor(() => {
      expect(press('keep')).toHaveProperty('disabled', true)
    })
    await user.type(box('mass, g'), '{Enter}')
    expect(keep).toHaveBeenCalledTimes(1)
    done()
  })
})

describe('a form of lines', () => {
  function Saw() {
    const prep = prepNamed('Benzil')
    const form = useLines({
      start: { text: '', by: 'bench 7' },
      make: ({ text }) => ok([{ kind: 'observed', subject: prep.id, body: { station: 'weigh', text } }]),
      stays: ['by'],
    })
    return (
      <form onSubmit={form.onSubmit}>
        <InlineField label="seen" {...form.of('text')} />
        <InlineField label="by" {...form.of('by')} />
        <button>write</button>
        <Refusal sentence={form.message} />
      </form>
    )
  }

  test('writes what its kind’s schema takes; then it is empty but for what stays', async () => {
    await openDemo()
    const user = showAt(Saw, AT)
    await user.type(box('seen'), 'white needles')
    await user.clear(box('by'))
    await user.type(box('by'), 'bench 9')
    await user.click(press('write'))
    await waitFor(() => {
      expect(box('seen').value).toBe('')
    })
    expect(box('by').value).toBe('bench 9')
    expect(written('observed').map(({ body }) => (body as { text: string }).text)).toEqual(['white needles'])
  })

  test('what is typed while a line is still looked over is not wiped away with it', async () => {
    await openDemo()
    let come: (schemas: Awaited<ReturnType<typeof KINDS.observed.schemas>>) => void = () => undefined
    const schemas = await KINDS.observed.schemas()
    const late = jest.spyOn(KINDS.observed, 'schemas').mockReturnValue(
      new Promise((resolve) => {
        come = resolve
      }),
    )
    const user = showAt(Saw, AT)
    await user.type(box('seen'), 'white needles')
    await user.click(press('write'))
    await user.clear(box('seen'))
    await user.type(box('seen'), 'and a yellow tinge')
    come(schemas)
    await waitFor(() => {
      expect(written('observed')).toHaveLength(1)
    })
    expect(box('seen').value).toBe('and a yellow tinge')
    late.mockRestore()
    await user.click(press('write'))
    await waitFor(() => {
      expect(box('seen').value).toBe('')
    })
    expect(written('observed').map(({ body }) => (body as { text: string }).text)).toEqual([
      'white needles',
      'and a yellow tinge',
    ])
  })

  test('what the schema refuses is not written', async () => {
    await openDemo()
    const user = showAt(Saw, AT)
    await user.click(press('write'))
    expect((await screen.findByRole('alert')).textContent).toMatch(/text/)
    expect(written('observed')).toEqual([])
  })
})

test('of several lines the first that may not be written is told', async () => {
  const subject = prepNamed('Benzil').id
  const fine = { kind: 'observed', subject, body: { station: 'weigh', text: 'dry' } } as const
  const bad = { kind: 'observed', subject, body: { station: 'weigh', text: ' untrimmed' } } as const
  expect(await checkLines([fine])).toBeNull()
  expect(await checkLines([fine, bad])).toMatch(/trim|whitespace/)
})

test('a schema that does not come in time is not waited for: the server looks at the line all the same', async () => {
  const never = jest.spyOn(KINDS.observed, 'schemas').mockReturnValue(new Promise(() => undefined))
  const subject = prepNamed('Benzil').id
  const bad = { kind: 'observed', subject, body: { station: 'weigh', text: ' untrimmed' } } as const
  expect(await checkLines([bad], 5)).toBeNull()
  never.mockRestore()
  expect(await checkLines([bad])).not.toBeNull()
})
