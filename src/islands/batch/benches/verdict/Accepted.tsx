import { isFinished, standing } from '../../../../core/batch/blade-state'
import { undecided } from '../../../../core/batch/decided'
import { FINISH_TASKS } from '../../../../data/finishing'
import { editBatch } from '../../../../store/batches'
import { finishedWords, finishWords } from '../../../../words/finishing'
import { bladesOfSteelWords } from '../../../../words/lists'
import { undoable } from '../../../undo'
import { useBench } from '../../bench-context'

/** Offers what follows once a group is kept as it is: its blades finished in one press, and their certificates in another. */
export function Accepted() {
  const { batch, blades, groups, shown, show } = useBench()
  const own = standing(blades.filter(blade => blade.group.id === shown.group.id))
  const ids = new Set(own.map(({ id }) => id))
  const done = own.every(({ record }) => isFinished(record))
  const next = undecided(groups)[0]
  const finish = () =>
    void editBatch(batch, finishWords(own.length), b => ({
      ...b,
      blades: b.blades.map(blade => (ids.has(blade.id) ? { ...blade, finished: [...FINISH_TASKS] } : blade)),
    })).then(({ saved }) => saved && undoable(finishedWords(own.length)))
  return (
    <section aria-label="Kept as it is" className="mt-2 flex flex-wrap items-center gap-3 border-l-3 border-good pl-3">
      <p>Kept as it is.</p>
      <button type="button" className={`btn ${done ? '' : 'btn-ember'}`} disabled={done} onClick={finish}>
        {done ? 'Finished' : finishWords(own.length)}
      </button>
      {next && (
        <button type="button" className={`btn ${done ? 'btn-ember' : ''}`} onClick={() => show(next.group.id)}>
          Next: {bladesOfSteelWords(batch, next.group)}
        </button>
      )}
      <a className={`btn ${done && !next ? 'btn-ember' : ''}`} href={`/certificate/${batch.id}`}>
        Print their certificates
      </a>
    </section>
  )
}
