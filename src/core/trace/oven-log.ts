import type { LogPoint } from '../oven/log-points'
import type { LoggedHeat } from '../oven/logged-soak'
import type { OvenLog } from '../shop/oven-log'

/** A log as it is kept; when blades went in and came out is read off it until someone says better. */
export const newLog = (
  of: Pick<OvenLog, 'id' | 'ovenId' | 'name' | 'addedAt'> & Partial<Pick<OvenLog, 'batchId' | 'load'>>,
  points: readonly LogPoint[],
): OvenLog => ({
  batchId: null,
  load: null,
  ...of,
  points: points.map(([min, c]): [number, number] => [min, c]),
  loadedMin: null,
  pulledMin: null,
})

/** The newest log of a group's hardening heat (0) or of one of its tempers, of logs newest first; null without one. */
export const logOf = (logs: readonly OvenLog[], groupId: string, temper: number): OvenLog | null =>
  logs.find(log => log.load?.temper === temper && log.load.groupIds.includes(groupId)) ?? null

/** A blade held for less than this has had no soak that could be counted, min. */
const LEAST_SOAK_MIN = 0.5

/** Returns the ratio of a logged soak to the one asked for, or null if no heat was logged. */
export const soakedShare = (heat: LoggedHeat | null, askedMin: number): number | null =>
  heat && (heat.arrivedMin === null ? 0 : heat.effectiveSoakMin / Math.max(LEAST_SOAK_MIN, askedMin))
