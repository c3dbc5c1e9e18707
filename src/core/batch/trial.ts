import type { Random } from '../numeric/random'
import type { Batch, BatchGroup } from '../shop/batch'
import type { PlannedRoute } from '../shop/route'
import { type RouteChange, routeChanges } from '../steel/compare-routes'
import { standing } from './blade-state'
import { type BatchBlade, bladesOf, countOfLine, linesOf } from './tray'

/** Two halves of one steel in a batch: the one as usual, and the one where something is changed. */
export interface Trial {
  readonly control: BatchGroup
  readonly changed: BatchGroup
  readonly changes: readonly RouteChange[]
}

/** Groups changes that count as one: two tempers moved together are one change. */
const THING: Readonly<Record<RouteChange['what'], string>> = {
  'soak-temperature': 'soak-temperature',
  'soak-time': 'soak-time',
  cold: 'cold',
  'cold-hold': 'cold',
  'temper-count': 'temper-count',
  'temper-temperature': 'temper',
  'temper-hold': 'temper-hold',
}

/** How many things a list of changes changes. With more than one nobody can tell which of them did it. */
export const thingsChanged = (changes: readonly RouteChange[]): number =>
  new Set(changes.map(change => THING[change.what])).size

/** The trial of a batch; null where it has none, or where one half is gone. */
export function trialOf({ groups }: Pick<Batch, 'groups'>): Trial | null {
  const changed = groups.find(group => group.trialOf !== undefined)
  const control = changed && groups.find(group => group.id === changed.trialOf)
  return changed && control ? { control, changed, changes: routeChanges(control.route, changed.route) } : null
}

/** A mark that is left for the changed half of a line: the line's own with an X, or a number behind it. */
function markFor(mark: string, used: ReadonlySet<string>): string {
  for (let i = 0; ; i++) {
    const name = `${mark}X${i === 0 ? '' : i}`
    if (!used.has(name.toUpperCase())) return name
  }
}

/**
 * Halves every line of a steel by lot: one half keeps its route, the other gets the changed one as a steel of its own beside it. Size,
 * bar and place in the oven are in both halves alike: of each two neighbours of a line one is drawn. A line of one blade stays with
 * the control.
 */
export function withTrial(
  batch: Batch,
  groupId: string,
  route: PlannedRoute,
  { random, newId }: { readonly random: Pick<Random, 'uniform'>; readonly newId: () => string },
): Batch {
  const group = batch.groups.find(one => one.id === groupId)
  if (!group) return batch
  const changedId = newId()
  const used = new Set(batch.lines.map(line => line.mark.toUpperCase()))
  const halves = batch.lines
    .filter(line => line.groupId === groupId)
    .flatMap(line => {
      const own = bladesOf(batch, groupId).filter(blade => blade.line.id === line.id)
      const taken = drawnOf(own, random)
      if (taken.length === 0) return []
      const mark = markFor(line.mark, used)
      used.add(mark.toUpperCase())
      return [{ line: { ...line, id: newId(), groupId: changedId, mark }, taken }]
    })
  const moved = new Map(
    halves.flatMap(({ line, taken }) => taken.map((blade, i) => [blade.id, { line, number: i + 1 }])),
  )
  const changed: BatchGroup = {
    ...group,
    id: changedId,
    route,
    fixed: ['austenitizeC', 'soakMin', 'cold', 'tempers'],
    recipeId: null,
    decisions: [],
    trialOf: groupId,
  }
  return {
    ...batch,
    // The control stays as it is while the workshop's suggestions move.
    groups: [
      ...batch.groups.map(one =>
        one.id === groupId
          ? { ...one, fixed: ['austenitizeC' as const, 'soakMin' as const, 'cold' as const, 'tempers' as const] }
          : one,
      ),
      changed,
    ],
    lines: [...batch.lines, ...halves.map(half => half.line)],
    blades: batch.blades.map(blade => {
      const to = moved.get(blade.id)
      return to ? { ...blade, lineId: to.line.id, number: to.number } : blade
    }),
  }
}

/**
 * One of each two neighbours, by lot: randomised blocks of two, so that neither end of the oven speaks for one half. Neighbours by
 * their places on the rack where they were placed by hand, else as they are loaded. One left over is not drawn.
 */
function drawnOf(blades: readonly BatchBlade[], random: Pick<Random, 'uniform'>): BatchBlade[] {
  const depth = ({ record }: BatchBlade) => record.rack?.inMm ?? 0
  const across = ({ record }: BatchBlade) => record.rack?.acrossMm ?? 0
  const inPlace = blades.every(blade => blade.record.rack)
    ? [...blades].sort((a, b) => across(a) - across(b) || depth(a) - depth(b))
    : blades
  const blocks = Math.floor(inPlace.length / 2)
  return Array.from({ length: blocks }, (_, i) => inPlace[2 * i + (random.uniform() < 0.5 ? 0 : 1)]).filter(
    blade => blade !== undefined,
  )
}

/** Blades of both halves that are still in the batch. */
export const halvesOf = (batch: Batch, { control, changed }: Trial) => ({
  control: standing(bladesOf(batch, control.id)),
  changed: standing(bladesOf(batch, changed.id)),
})

/** Returns how many blades of a group stay as the control of a trial: half of each line, the odd one in the other half. */
export const controlCount = (batch: Pick<Batch, 'lines' | 'blades'>, groupId: string): number =>
  linesOf(batch, groupId).reduce((sum, line) => sum + Math.floor(countOfLine(batch, line.id) / 2), 0)
