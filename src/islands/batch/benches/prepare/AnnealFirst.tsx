import { MOST_HARDENED } from '../../../../core/batch/re-harden'
import { type BatchBlade, timesHardened } from '../../../../core/batch/tray'
import type { Batch } from '../../../../core/shop/batch'
import { gradeOf } from '../../../../core/steel/grades'
import { Warnings } from '../../../../ui/Bench'
import { useSay } from '../../../../ui/Units'
import { annealWords, hardenedAgainWords } from '../../../../words/re-harden'
import { useBench } from '../../bench-context'
import { HeatDone } from './HeatDone'

/** Blades that were hardened before are made soft first, by the anneal of their own steel. */
export function AnnealFirst({ batch, blades }: { batch: Batch; blades: readonly BatchBlade[] }) {
  const { shop } = useBench()
  const say = useSay()
  const often = blades.filter(blade => timesHardened(blade) > MOST_HARDENED)
  const [first] = blades
  return (
    <section aria-label="Anneal first" className="border-l-3 border-ember pl-3">
      <h3 className="text-lead">Anneal first</h3>
      {batch.groups.map(group => {
        const grade = gradeOf(group)
        return (
          grade && (
            <p key={group.id} className="text-small">
              <strong>{group.gradeName}</strong> {annealWords(grade.anneal, shop, say)}{' '}
              <span className="text-ink-2 italic">{grade.anneal.source}</span>
            </p>
          )
        )
      })}
      <HeatDone batch={batch} kind="anneal" />
      {first && (
        <p className="text-small">
          They were hardened before:{' '}
          <a className="underline" href={`/blade/${first.record.before?.bladeId}`}>
            {first.mark} as it was then
          </a>
          . The skin above counts every heat.
        </p>
      )}
      <Warnings
        lines={
          often.length > 0
            ? [{ code: 'hardened-often', message: hardenedAgainWords(often.map(blade => blade.mark)) }]
            : []
        }
      />
    </section>
  )
}
