import { ROUND_FACE } from '../../data/rockwell'
import { fail, ok, type Result } from '../codes/result'

/**
 * Returns the correction of a Rockwell C reading on a convex cylinder, HRC: the metal gives way sideways, and the reading comes out
 * low. Interpolated in the table both ways; nothing is added above its widest diameter. Errors: 'too-round' below its narrowest
 * diameter, 'too-much-added' where more than 3 HRC would be, 'too-soft-for-round' below its softest reading.
 * Source: ASTM E18, corrections for convex cylindrical surfaces; from memory.
 * @example roundFaceCorrection(60, 12.7).value // 1.0
 */
export function roundFaceCorrection(readHrc: number, diameterMm: number): Result<number> {
  const { diametersMm, readings, added, mostAddedHrc } = ROUND_FACE
  const [narrowest, widest] = [diametersMm[0] as number, diametersMm.at(-1) as number]
  if (diameterMm >= widest) return ok(0)
  if (diameterMm < narrowest) return fail('too-round', { narrowestMm: narrowest })
  const softest = readings[0] as number
  if (readHrc < softest) return fail('too-soft-for-round', { softestHrc: softest })
  const [row, rowShare] = between(readings, readHrc)
  const [column, columnShare] = between(diametersMm, diameterMm)
  const at = (r: number, c: number) =>
    added[Math.min(r, readings.length - 1)]?.[Math.min(c, diametersMm.length - 1)] ?? 0
  const along = (r: number) => at(r, column) + columnShare * (at(r, column + 1) - at(r, column))
  const sum = along(row) + rowShare * (along(row + 1) - along(row))
  return sum > mostAddedHrc ? fail('too-much-added', { diameterMm, addedHrc: sum, mostHrc: mostAddedHrc }) : ok(sum)
}

/** A reading as it is recorded: what it comes to, and where the face was round what was shown and on what. */
export interface FacedReading {
  readonly hrc: number
  readonly roundFace?: { readonly diameterMm: number; readonly shownHrc: number }
}

/** Readings of one face, corrected where it is round; null: flat. Errors: as roundFaceCorrection. */
export function onFace(shownHrc: readonly number[], diameterMm: number | null): Result<FacedReading[]> {
  if (diameterMm === null) return ok(shownHrc.map(hrc => ({ hrc })))
  const read: FacedReading[] = []
  for (const shown of shownHrc) {
    const more = roundFaceCorrection(shown, diameterMm)
    if (!more.ok) return more
    read.push({ hrc: Math.round((shown + more.value) * 100) / 100, roundFace: { diameterMm, shownHrc: shown } })
  }
  return ok(read)
}

/** The step of a rising scale a value lies in, and how far along it; held at the last step. */
function between(scale: readonly number[], value: number): readonly [index: number, share: number] {
  const last = scale.length - 1
  if (value >= (scale[last] as number)) return [last, 0]
  const upper = scale.findIndex(step => step > value)
  const [a, b] = [scale[upper - 1] as number, scale[upper] as number]
  return [upper - 1, (value - a) / (b - a)]
}
