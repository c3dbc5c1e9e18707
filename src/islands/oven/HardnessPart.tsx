import { useMemo } from 'react'
import type { Oven, OvenEvidence } from '../../core/record/oven-schema'
import type { Workshop } from '../../core/record/schemas'
import { formatDifference, formatQuantity } from '../../core/units/quantity'
import { useBatches, useReadings } from '../../store/hooks'
import { useAnswer } from '../../workers/use-answer'
import { newId } from '../batch/edit'

/** What past hardness says, and taking it in as evidence. */
export function HardnessPart({
  oven,
  shop,
  onAdd,
}: {
  oven: Oven
  shop: Workshop
  onAdd: (item: OvenEvidence) => void
}) {
  const batches = useBatches()
  const readings = useReadings()
  const request = useMemo(
    () => (batches && readings ? { batches, readings, oven: oven.name } : null),
    [batches, readings, oven.name],
  )
  const answer = useAnswer('oven-offset', request)
  if (oven.use !== 'hardening' || !answer) return null
  if (!answer.ok) return <p className="mt-4 text-[13px] text-bad">{answer.problems[0]?.message}</p>
  const found = answer.value
  return (
    <section className="mt-4 border-t border-rule pt-3">
      <h2 className="text-[15px] font-semibold">By the hardness of past batches</h2>
      {found === null ? (
        <p className="text-[13px] text-ink-2">Too few readings of batches in this oven to say anything.</p>
      ) : (
        <>
          <p className="text-[13.5px]">
            {found.readings} readings of {found.batches} batches: it acts {formatDifference(found.offsetK, shop.units)}{' '}
            ± {formatDifference(1.96 * found.sdK, shop.units).replace(/^\+/, '')} against its display near{' '}
            {formatQuantity(found.atC, 'temperature', shop.units)}.
          </p>
          <button
            type="button"
            className="btn mt-2"
            onClick={() =>
              onAdd({
                id: newId(),
                kind: 'hardness',
                at: new Date().toISOString(),
                atC: found.atC,
                offsetK: found.offsetK,
                sdK: found.sdK,
                readings: found.readings,
              })
            }
          >
            Take it in
          </button>
        </>
      )}
    </section>
  )
}
