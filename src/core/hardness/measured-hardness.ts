import type { Stage } from '../shop/route'
import type { Hardness } from './hardness'

/** What was measured of the blades of a steel, by blade, each in the order of its route's stages; a blade without any is not there. */
export type MeasuredBlades = Readonly<Record<string, readonly Hardness[]>>

/** How hard a blade is at a stage; null where nothing was measured. */
export const measuredAt = (measured: MeasuredBlades, bladeId: string, stage: Stage): Hardness | null =>
  measured[bladeId]?.find(hardness => hardness.stage === stage) ?? null
