import type { Batch, BatchGroup } from '../shop/batch'
import type { Blade, Line } from '../shop/blade'
import type { PlannedRoute, Temper } from '../shop/route'

/** One blade as it is scribed and moved, with its line of the tray and its steel: A3 of the line A, six of them. */
export interface BatchBlade {
  readonly id: string
  /** Mark scribed on the blade. */
  readonly mark: string
  readonly serial: string
  readonly record: Blade
  readonly line: Line
  readonly group: BatchGroup
}

type Tray = Pick<Batch, 'lines' | 'blades' | 'groups'>

/** Returns a blade's mark: its line's, with its number if the line has or had more than one. */
const markOf = (line: Line, blade: Blade, alone: boolean): string =>
  alone && blade.number === 1 ? line.mark : `${line.mark}${blade.number}`

/** Every blade on the tray of a batch, in its order. A line of one keeps its plain mark. */
export function bladesOf(batch: Tray, groupId?: string): BatchBlade[] {
  const groups = new Map(batch.groups.map(group => [group.id, group]))
  const byLine = new Map<string, Blade[]>()
  for (const blade of batch.blades) {
    if (blade.removedAt !== null) continue
    const own = byLine.get(blade.lineId)
    if (own) own.push(blade)
    else byLine.set(blade.lineId, [blade])
  }
  return batch.lines.flatMap(line => {
    const group = groups.get(line.groupId)
    if (!group || (groupId !== undefined && line.groupId !== groupId)) return []
    const own = [...(byLine.get(line.id) ?? [])].sort((a, b) => a.number - b.number)
    return own.map(
      (record): BatchBlade => ({
        id: record.id,
        mark: markOf(line, record, own.length === 1),
        serial: record.serial,
        record,
        line,
        group,
      }),
    )
  })
}

/** The lines of one steel. */
export const linesOf = (batch: Pick<Batch, 'lines'>, groupId: string): Line[] =>
  batch.lines.filter(line => line.groupId === groupId)

/** Blades on the tray, of one steel or of all. */
export const countOf = (batch: Tray, groupId?: string): number => bladesOf(batch, groupId).length

/** Blades a line of the tray stands for. */
export const countOfLine = (batch: Pick<Batch, 'blades'>, lineId: string): number =>
  batch.blades.filter(blade => blade.lineId === lineId && blade.removedAt === null).length

/** Thickest of some lines, mm; 0 for none. */
export const thickestMm = (lines: readonly Pick<Line, 'thicknessMm'>[]): number =>
  Math.max(0, ...lines.map(line => line.thicknessMm))

/** The line of a steel with its thickest blades; undefined while it has none. */
export const thickestLineOf = (batch: Pick<Batch, 'lines'>, groupId: string): Line | undefined =>
  [...linesOf(batch, groupId)].sort((a, b) => b.thicknessMm - a.thicknessMm)[0]

/** Blades assumed while the tray is still empty, mm. */
export const ASSUMED_THICKNESS_MM = 2.5

/** The thickest blade of a group, or what is assumed while it has none, mm. */
export const thicknessOf = (batch: Pick<Batch, 'lines'>, groupId: string): number =>
  thickestMm(linesOf(batch, groupId)) || ASSUMED_THICKNESS_MM

/** Tempers of one blade: its group's, and those that were written for it alone. */
export const tempersOf = (blade: BatchBlade): readonly Temper[] => [
  ...blade.group.route.tempers,
  ...(blade.record.tempers ?? []),
]

/** A blade's whole route, with what was written for it alone. */
export const routeOfBlade = (blade: BatchBlade): PlannedRoute => ({
  ...blade.group.route,
  tempers: tempersOf(blade),
})

/** How often a blade has been hardened, this batch's time included. */
export const timesHardened = ({ record }: Pick<BatchBlade, 'record'>): number => (record.before?.hardened ?? 0) + 1

/** Marks that more than one blade of a tray bears. */
export function sharedMarks(batch: Tray): string[] {
  const seen = new Map<string, number>()
  for (const { mark } of bladesOf(batch)) seen.set(mark, (seen.get(mark) ?? 0) + 1)
  return [...seen].flatMap(([mark, count]) => (count > 1 ? [mark] : []))
}
