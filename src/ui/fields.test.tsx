// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { problem } from '../core/codes/problem'
import type { Saving } from '../core/codes/result'
import { continuing, isContinuing } from '../core/continuing'
import { NumberField, SelectField, TextField } from './PlainFields'
import { QuantityField } from './QuantityField'
import { UnitsProvider } from './Units'

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  vi.useRealTimers()
  cleanup()
})

const type = (field: HTMLElement, text: string) => fireEvent.change(field, { target: { value: text } })
const rest = () => act(() => vi.advanceTimersByTimeAsync(400))
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label)

/** A number field whose value is what was last taken. */
function count(outcome: () => Promise<Saving> | undefined = () => undefined) {
  const taken: { value: number; goesOn: boolean }[] = []
  const view = (value: number) => (
    <NumberField
      label="Count"
      value={value}
      min={1}
      max={60}
      whole
      onCommit={next => {
        taken.push({ value: next, goesOn: isContinuing() })
        return outcome()
      }}
    />
  )
  const { rerender } = render(view(4))
  return { taken, show: (value: number) => rerender(view(value)), values: () => taken.map(t => t.value) }
}

describe('a field of a number', () => {
  it('is taken once when it is left, by Enter or by going elsewhere', () => {
    const { values } = count()
    type(field('Count'), '6')
    fireEvent.keyDown(field('Count'), { key: 'Enter' })
    fireEvent.blur(field('Count'))
    expect(values()).toEqual([6])
    type(field('Count'), '7')
    fireEvent.blur(field('Count'))
    expect(values()).toEqual([6, 7])
  })

  it('is taken while typing rests, and what is typed on goes on as one change', async () => {
    const { taken } = count()
    type(field('Count'), '1')
    await rest()
    type(field('Count'), '12')
    await rest()
    fireEvent.blur(field('Count'))
    expect(taken).toEqual([
      { value: 1, goesOn: false },
      { value: 12, goesOn: true },
    ])
  })

  it('is taken when the page goes, though typing has not rested', () => {
    const { values } = count()
    type(field('Count'), '9')
    fireEvent(window, new Event('pagehide'))
    expect(values()).toEqual([9])
  })

  it('says what is wrong only when it is left, keeps what was typed, and Escape takes it back', async () => {
    const { values } = count()
    type(field('Count'), 'many')
    await rest()
    expect(screen.queryByRole('alert')).toBeNull()
    fireEvent.blur(field('Count'))
    expect(screen.getByRole('alert').textContent).toContain('“many” is not a number.')
    expect(field('Count').value).toBe('many')
    expect(field('Count').getAttribute('aria-invalid')).toBe('true')
    fireEvent.keyDown(field('Count'), { key: 'Escape' })
    expect(field('Count').value).toBe('4')
    expect(screen.queryByRole('alert')).toBeNull()
    expect(values()).toEqual([])
  })

  it.each([
    ['2.5', 'Give a whole number.'],
    ['61', 'It must be from 1 to 60.'],
    ['0', 'It must be from 1 to 60.'],
    ['', 'is not a number'],
  ])('refuses %s', (text, words) => {
    const { values } = count()
    type(field('Count'), text)
    fireEvent.blur(field('Count'))
    expect(screen.getByRole('alert').textContent).toContain(words)
    expect(values()).toEqual([])
  })

  it('Escape puts back what was there before anything was typed, though it was taken meanwhile', async () => {
    const { values, show } = count()
    type(field('Count'), '8')
    await rest()
    show(8)
    fireEvent.keyDown(field('Count'), { key: 'Escape' })
    expect(values()).toEqual([8, 4])
  })

  it('shows what does not fit beside itself, and says that it does', async () => {
    const shownBeside = vi.fn()
    count(async () => ({ saved: false, problems: [problem('too-many-blades', { most: 240 })], shownBeside }))
    type(field('Count'), '60')
    fireEvent.blur(field('Count'))
    await act(() => vi.advanceTimersByTimeAsync(0))
    expect(screen.getByRole('alert').textContent).toContain('A batch holds at most 240 blades.')
    expect(field('Count').value).toBe('60')
    expect(shownBeside).toHaveBeenCalled()
  })

  it('leaves a refusal of the browser to the page, and keeps what was typed', async () => {
    count(async () => ({ saved: false, problems: [problem('storage-full', {})] }))
    type(field('Count'), '6')
    fireEvent.blur(field('Count'))
    await act(() => vi.advanceTimersByTimeAsync(0))
    expect(screen.queryByRole('alert')).toBeNull()
    expect(field('Count').value).toBe('6')
  })
})

describe('a field of a quantity', () => {
  const soak = (system: 'metric' | 'imperial', onCommit = vi.fn()) => {
    render(
      <UnitsProvider value={system}>
        <QuantityField label="Soak" dimension="temperature" value={1066} min={700} max={1300} onCommit={onCommit} />
      </UnitsProvider>,
    )
    return onCommit
  }

  it('reads either scale whatever the shop’s is, and stores °C', () => {
    const onCommit = soak('metric')
    type(field('Soak'), '1950F')
    fireEvent.blur(field('Soak'))
    expect(onCommit.mock.calls[0]?.[0]).toBeCloseTo(1065.56, 2)
  })

  it('shows the shop’s own scale', () => {
    soak('imperial')
    expect(field('Soak').value).toBe('1951')
  })

  it('offers the scale that would fit, and takes it at a press', () => {
    const onCommit = soak('metric')
    type(field('Soak'), '1950')
    fireEvent.blur(field('Soak'))
    expect(screen.getByRole('alert').textContent).toContain('1950 °C is outside 700 °C to 1300 °C.')
    fireEvent.click(screen.getByRole('button', { name: /1950 °F is 1066 °C/ }))
    expect(onCommit.mock.calls[0]?.[0]).toBeCloseTo(1065.56, 2)
    expect(screen.queryByRole('alert')).toBeNull()
  })

  it('is not taken where nothing changed', () => {
    const onCommit = soak('metric')
    type(field('Soak'), '1066')
    fireEvent.blur(field('Soak'))
    expect(onCommit).not.toHaveBeenCalled()
  })
})

describe('a line of text', () => {
  it('is trimmed; emptied it is what stood there, unless empty means something', () => {
    const onCommit = vi.fn()
    const { unmount } = render(<TextField label="Name" value="Net knives" longest={80} onCommit={onCommit} />)
    type(field('Name'), '  Fillets ')
    fireEvent.blur(field('Name'))
    type(field('Name'), '   ')
    fireEvent.blur(field('Name'))
    expect(onCommit.mock.calls).toEqual([['Fillets']])
    unmount()
    render(<TextField label="Lot" value="gull 2" longest={80} mayBeEmpty onCommit={onCommit} />)
    type(field('Lot'), '')
    fireEvent.blur(field('Lot'))
    expect(onCommit.mock.calls.at(-1)).toEqual([''])
  })
})

describe('a choice', () => {
  it('is taken as it is chosen', () => {
    const onCommit = vi.fn()
    render(
      <SelectField
        label="Air"
        value="fan"
        options={[
          ['fan', 'a fan'],
          ['still', 'still air'],
        ]}
        onCommit={onCommit}
      />,
    )
    fireEvent.change(screen.getByLabelText('Air'), { target: { value: 'still' } })
    expect(onCommit.mock.calls[0]?.[0]).toBe('still')
  })
})

describe('a change that goes on', () => {
  it('holds for what is called at once, also where that throws', () => {
    expect(() =>
      continuing(() => {
        expect(isContinuing()).toBe(true)
        throw new Error('refused')
      }),
    ).toThrow('refused')
    expect(isContinuing()).toBe(false)
  })
})
