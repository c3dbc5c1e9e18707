import type { HoleFinding, SkinFinding } from '../core/load/finish-sizes'
import type { Speaker } from './speaker'

/** How a hole stands to its gauge, and how it changed in the heat. */
export function holeWords(found: HoleFinding | null, changeMm: number | null, say: Speaker): string {
  const change =
    changeMm === null || Math.abs(changeMm) < 0.005
      ? ''
      : ` The heat made it ${say.thin(Math.abs(changeMm))} ${changeMm < 0 ? 'tighter' : 'wider'}.`
  if (!found) return change.trim() || 'not measured'
  switch (found.code) {
    case 'hone':
      return `Hone ${say.thin(found.byMm)} out: the gauge does not go in yet.${change}`
    case 'fits':
      return `Fits its gauge.${change}`
    case 'wide':
      return `${say.thin(found.byMm)} too wide: fit a larger pin or a bushing.${change}`
  }
}

/** Says how much of the soft skin is still on the blade. */
export function skinWords({ skinMm, leftMm }: SkinFinding, say: Speaker): string {
  const skin = skinMm < 0.01 ? `under ${say.thin(0.01)}` : say.thin(skinMm)
  if (leftMm === null) return `${skin} a side to grind off`
  return leftMm > 0.005 ? `${say.thin(leftMm)} of ${skin} a side still soft` : `gone (${skin} a side)`
}
