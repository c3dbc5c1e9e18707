import { PACE } from '../../data/pace'
import { standing } from '../batch/blade-state'
import { type BatchBlade, bladesOf, tempersOf } from '../batch/tray'
import type { DayBatch } from './day-batch'
import type { PlannedTask } from './day-plan'
import { temperWithinMin } from './standing-limits'

/** Blades that something is lost of if they wait. */
export interface Urgent {
  readonly code: 'in-oven' | 'to-cold' | 'in-cold' | 'to-temper' | 'in-temper' | 'next-temper'
  readonly batchId: string
  readonly bladeIds: readonly string[]
  /** When it should be done, min; and whether something is lost after it, or only time. */
  readonly dueMin: number
  readonly loses: boolean
  readonly round: number
}

/** Blades of begun batches by what their next step is, those first of which the most is lost the soonest. */
export function mustNotWait(batches: readonly DayBatch[]): Urgent[] {
  return batches
    .flatMap(one => {
      const found = new Map<string, Urgent>()
      for (const blade of standing(bladesOf(one.batch))) {
        const urgent = urgentOf(blade, one)
        if (!urgent) continue
        const key = `${urgent.code} ${urgent.round}`
        const before = found.get(key)
        found.set(key, {
          ...urgent,
          batchId: one.batch.id,
          bladeIds: [...(before?.bladeIds ?? []), blade.id],
          dueMin: Math.min(urgent.dueMin, before?.dueMin ?? Number.POSITIVE_INFINITY),
        })
      }
      return [...found.values()]
    })
    .sort((a, b) => Number(b.loses) - Number(a.loses) || a.dueMin - b.dueMin)
}

/** The same, blades in the oven by when the plan has them pulled; without a plan of it, at once. */
export function withPulls(
  urgent: readonly Urgent[],
  tasks: readonly Pick<PlannedTask, 'kind' | 'groups' | 'startMin'>[],
  groups: readonly { readonly id: string; readonly bladeIds: readonly string[] }[],
): Urgent[] {
  return urgent.map(one => {
    if (one.code !== 'in-oven') return one
    const ids = groups.filter(group => group.bladeIds.some(id => one.bladeIds.includes(id))).map(group => group.id)
    const pull = tasks.find(task => task.kind === 'pull' && task.groups.some(id => ids.includes(id)))
    return pull ? { ...one, dueMin: pull.startMin } : one
  })
}

type OfBlade = Omit<Urgent, 'batchId' | 'bladeIds'>

function urgentOf(blade: BatchBlade, { progress }: DayBatch): OfBlade | null {
  const at = progress.get(blade.id)
  if (!at) return null
  const { cold } = blade.group.route
  const tempers = tempersOf(blade)
  const withinMin = temperWithinMin(blade)
  switch (at.kind) {
    case 'in-oven':
      return { code: 'in-oven', dueMin: at.atMin, loses: true, round: 0 }
    case 'quenched':
      return cold
        ? { code: 'to-cold', dueMin: at.atMin + cold.delayMin, loses: true, round: 0 }
        : firstTemper(tempers.length, at.atMin + withinMin)
    case 'in-cold':
      return { code: 'in-cold', dueMin: at.atMin + (cold?.holdMin ?? 0), loses: false, round: 0 }
    case 'thawed':
      return firstTemper(tempers.length, at.atMin + withinMin)
    case 'in-temper': {
      const holdMin = (tempers[at.round - 1]?.holdMin ?? 0) + PACE.temperLagMin
      return { code: 'in-temper', dueMin: at.atMin + holdMin, loses: false, round: at.round }
    }
    case 'tempered':
      return at.round < tempers.length
        ? { code: 'next-temper', dueMin: at.atMin + PACE.coolBetweenMin, loses: false, round: at.round + 1 }
        : null
  }
}

const firstTemper = (tempers: number, dueMin: number): OfBlade | null =>
  tempers > 0 ? { code: 'to-temper', dueMin, loses: true, round: 1 } : null
