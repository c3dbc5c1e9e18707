import type { Stage } from '../shop/route'
import type { Hardness } from './hardness'

/** Measured hardness of the blades of a steel, by blade, in the order of the route's stages; blades without any are absent. */
export type MeasuredBlades = Readonly<Record<string, readonly Hardness[]>>

/** How hard a blade is at a stage; null where nothing was measured. */
export const measuredAt = (measured: MeasuredBlades, bladeId: string, stage: Stage): Hardness | null =>
  measured[bladeId]?.find(hardness => hardness.stage === stage) ?? null
