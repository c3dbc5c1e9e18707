import { countOfLine, linesOf } from '../../../core/batch/tray'
import { TrayDrawing } from '../../../ui/drawings/TrayDrawing'
import { useBench } from '../bench-context'
import { useGlow } from '../use-glow'

/** The tray drawn to scale: of one steel, or of all. */
export function Tray({ groupId }: { groupId?: string }) {
  const { batch } = useBench()
  const lines = groupId === undefined ? batch.lines : linesOf(batch, groupId)
  return <TrayDrawing glow={useGlow()} rows={lines.map(line => ({ ...line, count: countOfLine(batch, line.id) }))} />
}
