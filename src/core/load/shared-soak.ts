import type { Batch, BatchGroup } from '../shop/batch'
import { gradeOf } from '../steel/grades'
import { predict } from '../steel/predict'
import type { System } from '../units/quantity'
import { settingsBetween } from '../units/setting'
import { type Load, loadsOf } from './loads'

/** Two loads that could share one soak, and what that does to each steel. */
export interface SharedSoak {
  readonly atC: number
  readonly changes: readonly {
    readonly groupId: string
    readonly gradeName: string
    readonly fromC: number
    /** Finished hardness at the shared soak less that planned, HRC. */
    readonly hrc: number
  }[]
}

const windowOf = (group: BatchGroup) => gradeOf(group)?.austenitize ?? null

/**
 * Neighbouring loads whose steels' austenitize windows overlap: one shared soak saves an hour. Of the temperatures all of them allow, the one that
 * moves the finished hardness of the worst-off steel least. Null where the windows do not overlap in a temperature that can be keyed.
 */
function sharedSoak(a: Load, b: Load, system: System): SharedSoak | null {
  const groups = [...a.groups, ...b.groups]
  const windows = groups.map(windowOf)
  if (windows.some(w => w === null)) return null
  const low = Math.max(...windows.map(w => w?.minC ?? 0))
  const high = Math.min(...windows.map(w => w?.maxC ?? 0))
  if (low > high) return null
  const tried = settingsBetween(low, high, system)
  if (tried.length === 0) return null
  const outcomes = tried.map(atC => ({ atC, changes: groups.map(group => changeOf(group, atC)) }))
  return outcomes.reduce((best, o) => (worst(o) < worst(best) ? o : best))
}

const worst = (o: SharedSoak) => Math.max(...o.changes.map(c => Math.abs(c.hrc)))

function changeOf(group: BatchGroup, atC: number): SharedSoak['changes'][number] {
  const grade = gradeOf(group)
  const finished = (austenitizeC: number) =>
    grade ? predict(grade, { ...group.route, austenitizeC }).finalHrc.mean : 0
  const fromC = group.route.austenitizeC
  return { groupId: group.id, gradeName: group.gradeName, fromC, hrc: finished(atC) - finished(fromC) }
}

/** The first pair of neighbouring loads of a batch that could be one; null where none could. */
export function soakToShare(
  batch: Pick<Batch, 'lines' | 'blades' | 'groups' | 'entry'>,
  system: System,
): SharedSoak | null {
  const loads = loadsOf(batch, system)
  for (const [i, load] of loads.entries()) {
    const next = loads[i + 1]
    const shared = next && load.blades.length > 0 && next.blades.length > 0 ? sharedSoak(load, next, system) : null
    if (shared) return shared
  }
  return null
}
