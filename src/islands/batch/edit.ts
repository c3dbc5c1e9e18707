import * as tray from '../../core/batch/tray-edit'
import type { Problem } from '../../core/codes/problem'
import type { Batch, BatchGroup } from '../../core/shop/batch'
import type { Blade, Line } from '../../core/shop/blade'
import type { System } from '../../core/units/quantity'
import { editBatch } from '../../store/batches'
import { toast } from '../../ui/toast'
import { problemWords } from '../../words/problems'
import { speakerOf } from '../../words/speaker'

/** Changes one group of a batch, and remembers it for undo. */
export const editGroup = (batch: Batch, groupId: string, label: string, change: (group: BatchGroup) => BatchGroup) =>
  editBatch(batch, label, b => ({ ...b, groups: b.groups.map(g => (g.id === groupId ? change(g) : g)) }))

/** Changes one line of the tray. */
export const editLine = (batch: Batch, lineId: string, label: string, change: Partial<Line>) =>
  editBatch(batch, label, b => ({
    ...b,
    lines: b.lines.map(line => (line.id === lineId ? { ...line, ...change } : line)),
  }))

/** Notes something of one blade. */
export const editBlade = (batch: Batch, bladeId: string, label: string, change: (blade: Blade) => Blade) =>
  editBatch(batch, label, b => tray.editBlade(b, bladeId, change))

/** Says what stood in the way of something that was asked for. */
export const sayProblems = (problems: readonly Problem[], system: System) => {
  const say = speakerOf(system)
  for (const found of problems) toast.error(problemWords(found, say))
}

export const newId = () => crypto.randomUUID()
