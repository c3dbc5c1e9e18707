import type { ReactNode } from 'react'
import {
  type Dimension,
  formatFine,
  formatNumber,
  formatQuantity,
  otherReading,
  parseQuantity,
  shownUnitLabel,
} from '../core/units/quantity'
import { problemWords } from '../words/problems'
import type { Speaker } from '../words/speaker'
import { DraftInput } from './DraftInput'
import { useSay } from './Units'
import type { ReadText, Taken } from './use-draft'

interface Range {
  readonly min: number
  readonly max: number
}

interface Props extends Range {
  readonly label: string
  /** Base unit: °C, mm, kg or minutes; null where nothing is known yet. */
  readonly value: number | null
  readonly dimension: Dimension
  readonly onCommit: (base: number) => Taken
  readonly onClear?: () => Taken
  readonly hideLabel?: boolean
  readonly mark?: string | undefined
  readonly hint?: ReactNode
  /** A length that is measured with calipers: shown to the hundredth. */
  readonly fine?: boolean
}

/** Checks what was typed: a value in range, or what is wrong with it and which other unit would fit. */
function readQuantity(text: string, dimension: Dimension, say: Speaker, range: Range): ReadText<number> {
  const { system } = say
  const parsed = parseQuantity(text, dimension, system)
  if (!parsed.ok) return { message: parsed.problems.map(problem => problemWords(problem, say)).join(' ') }
  if (parsed.value >= range.min && parsed.value <= range.max) return { value: parsed.value }
  const shown = (base: number) => formatQuantity(base, dimension, system)
  const other = otherReading(text, dimension, system, range)
  return {
    message: `${shown(parsed.value)} is outside ${shown(range.min)} to ${shown(range.max)}.`,
    offer: other && { value: other.base, text: `${other.text} is ${shown(other.base)}` },
  }
}

/** A field that reads any spelling of a quantity ('1950F', '1/8in') and shows it in the workshop's units. */
export function QuantityField({
  label,
  value,
  dimension,
  min,
  max,
  onCommit,
  onClear,
  hideLabel,
  mark,
  hint,
  fine,
}: Props) {
  const say = useSay()
  const { system } = say
  return (
    <DraftInput
      label={label}
      hideLabel={hideLabel}
      mark={mark}
      hint={hint}
      shown={value === null ? '' : fine ? formatFine(value, system) : formatNumber(value, dimension, system)}
      unit={shownUnitLabel(dimension, system)}
      whole={dimension === 'duration'}
      read={text => readQuantity(text, dimension, say, { min, max })}
      stored={value}
      onCommit={base => (value === null || Math.abs(base - value) > 1e-9 ? onCommit(base) : undefined)}
      onClear={onClear}
    />
  )
}
