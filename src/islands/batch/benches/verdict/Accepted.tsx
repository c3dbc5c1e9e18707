import { standing } from '../../../../core/batch/blade-state'
import { FINISH_TASKS } from '../../../../data/finishing'
import { editBatch } from '../../../../store/batches'
import { finishWords } from '../../../../words/finishing'
import { undoable } from '../../../undo'
import { useBench } from '../../bench-context'

/** Offers what follows once a group is kept as it is: its blades finished in one press, and their certificates in another. */
export function Accepted() {
  const { batch, blades, shown } = useBench()
  const own = standing(blades.filter(blade => blade.group.id === shown.group.id))
  const ids = new Set(own.map(({ id }) => id))
  const isFinished = own.every(({ record }) => FINISH_TASKS.every(task => record.finished?.includes(task)))
  const finish = () =>
    void editBatch(batch, finishWords(own.length), b => ({
      ...b,
      blades: b.blades.map(blade => (ids.has(blade.id) ? { ...blade, finished: [...FINISH_TASKS] } : blade)),
    })).then(({ saved }) => saved && undoable(finishWords(own.length)))
  return (
    <section aria-label="Kept as it is" className="mt-2 flex flex-wrap items-center gap-3 border-l-3 border-good pl-3">
      <p>Kept as it is.</p>
      <button type="button" className="btn" disabled={isFinished} onClick={finish}>
        {isFinished ? 'Finished' : finishWords(own.length)}
      </button>
      <a className="btn" href={`/certificate/${batch.id}`}>
        Print their certificates
      </a>
    </section>
  )
}
