import { useMemo, useState } from 'react'
import type { Request } from '../../core/contract/questions'
import { NumberField, SelectField } from '../../ui/PlainFields'
import { Problems } from '../../ui/Problems'
import { useSay } from '../../ui/Units'
import { addedWords, whyNotWords } from '../../words/day'
import { useExactAnswer } from '../../workers/use-answer'
import { dayAndClock, namesOf } from './day-view'
import type { Day } from './use-day'
import { BEST_VISITS } from './use-search'

const USUAL_COUNT = 3

/** Lines of batches that are not in the oven yet. */
const openLines = (batches: Day['request']['batches']) =>
  batches
    .filter(({ progress, running }) => !running && Object.keys(progress).length === 0)
    .flatMap(({ batch }) => batch.lines.map(line => ({ batch, line })))

/** Shows the cost of adding blades to a batch that is not in the oven yet. */
export function AddBlades({ day: { request, batches, origin } }: { day: Day }) {
  const say = useSay()
  const lines = openLines(request.batches)
  const [chosen, setChosen] = useState('')
  const [count, setCount] = useState(USUAL_COUNT)
  const asked = useMemo((): Request<'day-added'> | null => {
    const one = openLines(request.batches).find(({ line }) => line.id === chosen)
    return one ? { ...request, visits: BEST_VISITS, added: { batchId: one.batch.id, lineId: chosen, count } } : null
  }, [request, chosen, count])
  // Of no other blades and no other day than these.
  const answer = useExactAnswer('day-added', asked)
  if (lines.length === 0) return null
  return (
    <div className="mt-3">
      <h3>More blades</h3>
      <div className="grid grid-cols-[minmax(0,1fr)_96px] gap-3">
        <SelectField
          label="Like those of"
          value={chosen}
          options={[
            ['', 'Choose a line of a batch'],
            ...lines.map(
              ({ batch, line }) => [line.id, `${batch.name}: ${line.mark}, ${say.length(line.thicknessMm)}`] as const,
            ),
          ]}
          onCommit={setChosen}
        />
        <NumberField label="How many" value={count} min={1} max={60} onCommit={setCount} />
      </div>
      {asked && (
        <p role="status" className="min-h-12 py-2">
          {!answer
            ? 'Being worked out …'
            : answer.ok &&
              (answer.value.why
                ? whyNotWords(answer.value.why, say, id => namesOf(answer.value, batches)([id]))
                : answer.value.finishMin !== null &&
                  addedWords({ ...answer.value, done: dayAndClock(origin, answer.value.finishMin) }, say))}
        </p>
      )}
      {answer && !answer.ok && <Problems of={answer.problems} />}
    </div>
  )
}
