import type { BatchBlade } from '../batch/tray'
import type { Reading } from '../shop/reading'
import type { Stage } from '../shop/route'

/** Readings of some blades at a stage; those taken out are passed over. */
export function readingsOf(
  blades: readonly Pick<BatchBlade, 'id'>[],
  stage: Stage,
  { readings }: { readonly readings: readonly Reading[] },
): Reading[] {
  const ids = new Set(blades.map(blade => blade.id))
  return readings.filter(r => r.deletedAt === null && r.stage === stage && r.bladeId !== null && ids.has(r.bladeId))
}
