import { perMetric, SCALED, type ScaledKind } from '../core/units/scaled'
import { NumberField } from './PlainFields'
import { useSay } from './Units'
import type { Taken } from './use-draft'

interface Props {
  readonly label: string
  readonly min: number
  readonly max: number
  readonly kind: ScaledKind
  /** Stored in the metric unit. */
  readonly value: number
  readonly onCommit: (value: number) => Taken
}

/** A number that is stored in a metric unit and typed in the shop's own: a volume, a leak, a price by weight or length. */
export function ScaledField({ label, kind, value, min, max, onCommit }: Props) {
  const { system } = useSay()
  const each = perMetric(kind, system)
  return (
    <NumberField
      label={label}
      unit={SCALED[kind][system]}
      value={value * each}
      min={roundedIn(min * each, Math.ceil)}
      max={roundedIn(max * each, Math.floor)}
      onCommit={typed => onCommit(typed / each)}
    />
  )
}

/** Bounds as one would say them. */
const roundedIn = (bound: number, round: (value: number) => number): number => round(bound * 100) / 100
