import { FINISH_TASKS, type FinishTask } from '../../../../data/finishing'
import { ScrollRegion } from '../../../../ui/ScrollRegion'
import { FINISH_WORDS } from '../../../../words/finishing'
import { useBench } from '../../bench-context'
import { editBlade } from '../../edit'

/** Lists the finishing tasks of each blade of the shown steel, to tick. */
export function FinishTable() {
  const { batch, blades, shown } = useBench()
  const own = blades.filter(blade => blade.group.id === shown.group.id)
  const tick = (bladeId: string, mark: string, task: FinishTask, done: boolean) =>
    void editBlade(batch, bladeId, `${mark}: ${FINISH_WORDS[task].name}`, ({ finished = [], ...blade }) => ({
      ...blade,
      finished: FINISH_TASKS.filter(other => (other === task ? done : finished.includes(other))),
    }))
  return (
    <ScrollRegion label="What is done on each blade" className="max-h-[calc(var(--row)*8.25)] overflow-y-auto">
      <table className="sheet">
        <thead className="sticky top-0 bg-ash">
          <tr>
            <th>Blade</th>
            {FINISH_TASKS.map(task => (
              <th key={task}>{FINISH_WORDS[task].name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {own.map(({ id, mark, record }) => (
            <tr key={id}>
              <td className="font-semibold">{mark}</td>
              {FINISH_TASKS.map(task => (
                <td key={task} className="!py-0">
                  <label className="inline-flex min-h-row min-w-touch items-center">
                    <input
                      type="checkbox"
                      className="h-5 w-5"
                      aria-label={`${mark}: ${FINISH_WORDS[task].name}`}
                      checked={record.finished?.includes(task) ?? false}
                      onChange={event => tick(id, mark, task, event.target.checked)}
                    />
                  </label>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </ScrollRegion>
  )
}

/** How each of it is done. */
export const FinishHow = () => (
  <ul className="my-2 list-disc space-y-0.5 pl-5 text-small">
    {FINISH_TASKS.map(task => (
      <li key={task}>{FINISH_WORDS[task].how}</li>
    ))}
  </ul>
)
