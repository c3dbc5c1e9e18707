import type { Batch, BatchGroup, Decision } from '../shop/batch'
import type { PlannedRoute, Stage, Temper } from '../shop/route'
import { temperOf } from './hardness-stages'
import { bladesOf, tempersOf } from './tray'
import { editBlade } from './tray-edit'

/** The temper that a route has next after a stage; null where it has none left. */
export const nextTemper = (route: Pick<PlannedRoute, 'tempers'>, stage: Stage): Temper | null =>
  route.tempers[temperOf(stage) ?? 0] ?? null

/** Whether two tempers are there and the same, °C and minutes alike. */
export const sameTemper = (a: Temper | null, b: Temper | null): boolean =>
  a !== null && b !== null && a.atC === b.atC && a.holdMin === b.holdMin

/** Blades that were judged at a stage. */
export interface Judged {
  readonly bladeId: string
  readonly stage: Stage
}

/** The temper that waits for all of some judged blades already; null where one of them has none, or another. */
export function waitingTemper(
  batch: Pick<Batch, 'lines' | 'blades' | 'groups'>,
  judged: readonly Judged[],
): Temper | null {
  const blades = new Map(bladesOf(batch).map(blade => [blade.id, blade]))
  const waiting = judged.map(({ bladeId, stage }) => {
    const blade = blades.get(bladeId)
    return blade ? nextTemper({ tempers: tempersOf(blade) }, stage) : null
  })
  const [first = null] = waiting
  return waiting.every(one => sameTemper(one, first)) ? first : null
}

/** Writes a temper for judged blades alone, behind what they had; one that has a temper to come already gets no second. */
export function addTemperAfter(batch: Batch, judged: readonly Judged[], temper: Temper): Batch {
  return judged.reduce(
    (all, one) =>
      waitingTemper(all, [one])
        ? all
        : editBlade(all, one.bladeId, blade => ({ ...blade, tempers: [...(blade.tempers ?? []), { ...temper }] })),
    batch,
  )
}

/** Takes out again what was written for judged blades alone after their stage. A temper of their whole group stays. */
export function takeOutTemper(batch: Batch, judged: readonly Judged[]): Batch {
  const blades = new Map(bladesOf(batch).map(blade => [blade.id, blade]))
  return judged.reduce((all, { bladeId, stage }) => {
    const blade = blades.get(bladeId)
    const shared = blade?.group.route.tempers.length ?? 0
    const done = Math.max(0, (temperOf(stage) ?? 0) - shared)
    return editBlade(all, bladeId, one => ({ ...one, tempers: (one.tempers ?? []).slice(0, done) }))
  }, batch)
}

/** Whether a waiting temper was written for a judged blade alone, and can be taken out for it alone. */
export function isOwnTemper(batch: Pick<Batch, 'lines' | 'blades' | 'groups'>, { bladeId, stage }: Judged): boolean {
  const blade = bladesOf(batch).find(one => one.id === bladeId)
  return blade !== undefined && (temperOf(stage) ?? 0) >= blade.group.route.tempers.length
}

/** The decision that wrote the temper which comes next after a stage into a group's route; null where it is the plan's own. */
export function decidedTemper(
  { route, decisions }: Pick<BatchGroup, 'route' | 'decisions'>,
  stage: Stage,
): Decision | null {
  const next = nextTemper(route, stage)
  return (
    decisions.findLast(one => one.by === 'option' && one.from.stage === stage && sameTemper(one.temper, next)) ?? null
  )
}

/** A group without the temper that was decided on after a stage, and without that decision; as it is where there was none. */
export function withoutDecidedTemper(group: BatchGroup, stage: Stage): BatchGroup {
  const decision = decidedTemper(group, stage)
  if (!decision) return group
  const at = temperOf(stage) ?? 0
  return {
    ...group,
    route: { ...group.route, tempers: group.route.tempers.filter((_, i) => i !== at) },
    decisions: group.decisions.filter(one => one !== decision),
  }
}
