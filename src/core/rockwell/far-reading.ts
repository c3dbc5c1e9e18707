import { median } from 'simple-statistics'
import { ROCKWELL } from '../../data/rockwell'

/** A typed reading that is so far from what it should agree with that a slip is likelier than the steel. */
export interface FarReading {
  /** Its place in what was typed, from 0. */
  readonly index: number
  readonly hrc: number
  /** Comparison values: the other readings of the blade, or the prediction if there are none. */
  readonly against: readonly number[]
}

/**
 * Readings to ask about before they are kept. All of a blade, typed and known, are held against their median; a lone one against the
 * prediction, HRC, by more, since a failed quench reads low in truth.
 */
export function farReadings(
  typed: readonly number[],
  known: readonly number[],
  predictedHrc: number | null,
): FarReading[] {
  const all = [...typed, ...known]
  if (all.length === 0) return []
  if (all.length === 1) {
    const [hrc] = all as [number]
    const isFar = predictedHrc !== null && Math.abs(hrc - predictedHrc) > ROCKWELL.askBeyondPredictedHrc
    return isFar ? [{ index: 0, hrc, against: [predictedHrc] }] : []
  }
  // Of two that differ either may be the slip: half their distance counts.
  const limit = all.length === 2 ? ROCKWELL.askBeyondHrc / 2 : ROCKWELL.askBeyondHrc
  const middle = median([...all])
  const isFar = (hrc: number) => Math.abs(hrc - middle) > limit
  return typed.flatMap((hrc, index) => {
    if (!isFar(hrc)) return []
    const others = [...typed.slice(0, index), ...typed.slice(index + 1), ...known]
    const near = others.filter(other => !isFar(other))
    return [{ index, hrc, against: near.length > 0 ? near : others }]
  })
}
