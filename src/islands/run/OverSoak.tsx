import { useMemo } from 'react'
import { bladesOf } from '../../core/batch/tray'
import type { BoardRow } from '../../core/run/board'
import type { Batch } from '../../core/shop/batch'
import { minutesOf } from '../../core/units/time'
import { marksOfBlades } from '../../words/lists'
import { overSoakWords } from '../../words/soak-effect'
import { useAnswer } from '../../workers/use-answer'

/** Shows the effect of too long a soak on the worst blade; nothing while every blade is within its window. */
export function OverSoak({ rows, batch }: { rows: readonly BoardRow[]; batch: Batch }) {
  const over = rows.filter(row => row.overS > 0 && (row.place === 'soaking' || row.place === 'due'))
  const worst = over.reduce<BoardRow | null>((a, b) => (a && a.overS >= b.overS ? a : b), null)
  const id = worst?.blade.bladeId
  const groupId = useMemo(() => bladesOf(batch).find(blade => blade.id === id)?.group.id, [batch, id])
  // By the minute: more would ask for nothing that shows.
  const soakMin = worst?.soakedS ? Math.min(600, Math.ceil(minutesOf(worst.soakedS))) : null
  const effect = useAnswer(
    'soak-effect',
    useMemo(
      () => (groupId === undefined || soakMin === null ? null : { groups: batch.groups, groupId, soakMin }),
      [batch.groups, groupId, soakMin],
    ),
  )
  if (!worst || id === undefined) return null
  return (
    <p role="alert" className="border-l-4 border-[#ff8a6a] bg-soot-2 p-3 text-large">
      {overSoakWords(
        marksOfBlades(
          batch,
          over.map(row => row.blade.bladeId),
        ),
        minutesOf(worst.overS),
        effect?.ok ? effect.value : null,
      )}
    </p>
  )
}
