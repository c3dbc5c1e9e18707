import { halfWidth95 } from '../../core/numeric/coverage'
import type { OvenEvidence } from '../../core/oven/evidence'
import type { Oven } from '../../core/shop/oven'
import { Problems } from '../../ui/Problems'
import { useSay } from '../../ui/Units'
import { useAnswer } from '../../workers/use-answer'
import { newId } from '../batch/edit'

/** Shows the oven offset by past hardness, and adds it as evidence. */
export function HardnessPart({ oven, onAdd }: { oven: Oven; onAdd: (item: OvenEvidence) => void }) {
  const say = useSay()
  const answer = useAnswer('oven-offset', { ovenId: oven.id })
  if (oven.use !== 'hardening' || !answer) return null
  if (!answer.ok) return <Problems of={answer.problems} className="mt-4" />
  const found = answer.value
  return (
    <section className="mt-4 border-t border-rule pt-3">
      <h2 className="text-lead font-semibold">By the hardness of past batches</h2>
      {found === null ? (
        <p className="text-small text-ink-2">Too few readings of batches in this oven to say anything.</p>
      ) : (
        <>
          <p className="text-small">
            {found.readings} readings of {found.batches} batches: it runs {say.signed(found.offsetK)} ±{' '}
            {say.d(halfWidth95(found.sdK))} against what it shows, near {say.t(found.atC)}.
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
            Use this measurement
          </button>
        </>
      )}
    </section>
  )
}
