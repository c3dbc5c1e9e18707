import type { ReactNode } from 'react'
import type { BatchBlade } from '../../../../core/batch/tray'
import type { Blade } from '../../../../core/shop/blade'
import { FINISH_TASKS, type FinishTask } from '../../../../data/finishing'
import { editBatch } from '../../../../store/batches'
import { More } from '../../../../ui/More'
import { ScrollRegion } from '../../../../ui/ScrollRegion'
import { FINISH_WORDS, openWords } from '../../../../words/finishing'
import { useBench } from '../../bench-context'
import { editBlade } from '../../edit'

/** Finishing tasks of the shown steel, to tick: for all of its blades at once, and for each. */
export function FinishTable() {
  const { batch, blades, shown } = useBench()
  const own = blades.filter(blade => blade.group.id === shown.group.id)
  const ids = new Set(own.map(({ id }) => id))
  const tickAll = (task: FinishTask, done: boolean) =>
    void editBatch(batch, `All: ${FINISH_WORDS[task].name}`, b => ({
      ...b,
      blades: b.blades.map(blade => (ids.has(blade.id) ? ticked(blade, task, done) : blade)),
    }))
  const tick = (bladeId: string, mark: string, task: FinishTask, done: boolean) =>
    void editBlade(batch, bladeId, `${mark}: ${FINISH_WORDS[task].name}`, blade => ticked(blade, task, done))
  const has = ({ record }: BatchBlade, task: FinishTask) => record.finished?.includes(task) ?? false
  return (
    <>
      <TaskTable>
        <TaskRow
          name={`All ${own.length}`}
          stateOf={task => {
            const count = own.filter(blade => has(blade, task)).length
            return count === own.length ? 'done' : count > 0 ? 'partly' : 'open'
          }}
          onTick={tickAll}
        />
      </TaskTable>
      <More
        place="finish"
        title="Each blade"
        says={openWords(own.map(({ mark, record }) => ({ mark, finished: record.finished ?? [] })))}
      >
        <ScrollRegion label="Tasks of each blade" className="max-h-[calc(var(--row)*6.25)] overflow-y-auto">
          <TaskTable>
            {own.map(blade => (
              <TaskRow
                key={blade.id}
                name={blade.mark}
                stateOf={task => (has(blade, task) ? 'done' : 'open')}
                onTick={(task, done) => tick(blade.id, blade.mark, task, done)}
              />
            ))}
          </TaskTable>
        </ScrollRegion>
      </More>
    </>
  )
}

const ticked = <B extends Pick<Blade, 'finished'>>(blade: B, task: FinishTask, done: boolean): B => ({
  ...blade,
  finished: FINISH_TASKS.filter(other => (other === task ? done : blade.finished?.includes(other))),
})

const TaskTable = ({ children }: { children: ReactNode }) => (
  <table className="sheet table-fixed">
    <thead className="sticky top-0 bg-ash">
      <tr>
        <th>Blade</th>
        {FINISH_TASKS.map(task => (
          <th key={task}>{FINISH_WORDS[task].name}</th>
        ))}
      </tr>
    </thead>
    <tbody>{children}</tbody>
  </table>
)

interface RowProps {
  readonly name: string
  readonly stateOf: (task: FinishTask) => 'done' | 'partly' | 'open'
  readonly onTick: (task: FinishTask, done: boolean) => void
}

const TaskRow = ({ name, stateOf, onTick }: RowProps) => (
  <tr>
    <td className="font-semibold">{name}</td>
    {FINISH_TASKS.map(task => (
      <td key={task} className="!py-0">
        <label className="inline-flex min-h-row min-w-touch items-center">
          <input
            ref={box => {
              if (box) box.indeterminate = stateOf(task) === 'partly'
            }}
            type="checkbox"
            className="h-5 w-5"
            aria-label={`${name}: ${FINISH_WORDS[task].name}`}
            checked={stateOf(task) === 'done'}
            onChange={event => onTick(task, event.target.checked)}
          />
        </label>
      </td>
    ))}
  </tr>
)

/** How each of it is done. */
export const FinishHow = () => (
  <ul className="my-2 list-disc space-y-0.5 pl-5 text-small">
    {FINISH_TASKS.map(task => (
      <li key={task}>{FINISH_WORDS[task].how}</li>
    ))}
  </ul>
)
