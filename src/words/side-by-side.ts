import type { Side } from '../core/logbook/side-by-side'
import { hrcText, type Speaker } from './speaker'
import { stageName } from './stages'

/** A route in a line. */
export function routeLine({ austenitizeC, soakMin, cold, tempers }: Side['route'], say: Speaker): string {
  return [
    `${say.t(austenitizeC)} for ${say.minutes(Math.round(soakMin))}`,
    cold ? `cold ${say.t(cold.toC)}` : 'no cold',
    tempers.map(temper => `temper ${say.t(temper.atC)} for ${say.minutes(temper.holdMin)}`).join(', ') || 'no temper',
  ].join('; ')
}

/** Says the soaks of blades as they were run. */
export const soakedRange = (of: Side['soakedMin']): string =>
  of === null
    ? 'not run with the application'
    : of.to - of.from < 0.1
      ? `${of.from.toFixed(1)} min`
      : `${of.from.toFixed(1)} to ${of.to.toFixed(1)} min`

/** Hardness at every stage that was read. */
export const hardnessList = (of: Side['hardness']): string =>
  of.map(({ stage, hrc, u95 }) => `${hrcText(hrc)} ± ${hrcText(u95)} ${stageName(stage)}`).join('; ') || 'not read'

/** Says the results of edge tests. */
export function edgeCounts({ holds, rolls, chips }: Side['edges'], edgeDeg: number | null): string {
  if (edgeDeg === null) return 'not proved'
  return `${holds} held, ${rolls} rolled, ${chips} chipped at ${Math.round(edgeDeg)}° a side`
}
