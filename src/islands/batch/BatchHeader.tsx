import Copy from 'lucide-react/icons/copy'
import Flame from 'lucide-react/icons/flame'
import Play from 'lucide-react/icons/play'
import Printer from 'lucide-react/icons/printer'
import Redo2 from 'lucide-react/icons/redo-2'
import Undo2 from 'lucide-react/icons/undo-2'
import { useSyncExternalStore } from 'react'
import type { BatchModel } from '../../core/bench/batch-model'
import { type Problem, problem } from '../../core/codes/problem'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { formatQuantity } from '../../core/units/quantity'
import { editBatch } from '../../store/batches'
import { pageHistory } from '../../store/history'
import { dashOf } from '../../ui/heatline/dashes'
import { TextField } from '../../ui/PlainFields'
import { useSystem } from '../../ui/Units'
import { bladesOfSteelWords } from '../../words/lists'
import { redo, undo } from '../undo'
import { sayProblems } from './edit'
import { useController } from './use-controller'

/** Begins a batch like another; what does so is fetched with the press. */
const beginLike = (other: Batch): Promise<readonly Problem[] | null> =>
  import('./begin-batch').then(
    begun => begun.beginLike(other),
    () => [problem('writers-missing', {})],
  )

interface Props {
  readonly model: BatchModel
  readonly groupId: string
  readonly onGroup: (id: string) => void
  readonly run: Run | null
  readonly onHeat: () => void
}

const SOOT_BUTTON = 'inline-flex min-h-touch items-center gap-2 rounded-[3px] px-3 text-bone-2 hover:text-bone'

/** Name, blades by steel, and what can be done with the whole batch. */
export function BatchHeader({ model, groupId, onGroup, run, onHeat }: Props) {
  const { batch } = model
  const others = model.groups.flatMap(({ group }) => (group.id === groupId ? [] : [group.id]))
  return (
    <header className="flex min-h-touch flex-wrap items-center gap-x-4 px-4 pt-1 md:pl-6">
      <h1 className="min-w-0 shrink">
        <span className="sr-only">{batch.name}</span>
        <TextField
          label="Name of the batch"
          hideLabel
          value={batch.name}
          longest={80}
          className="field-sizing-content max-w-full min-h-touch rounded-[3px] bg-transparent text-heading font-semibold text-bone"
          onCommit={name => editBatch(batch, 'Name', b => ({ ...b, name }))}
        />
      </h1>
      <fieldset aria-label="Steel shown" className="flex flex-wrap">
        {model.groups.map(({ group }) => {
          const here = group.id === groupId
          return (
            <button
              key={group.id}
              type="button"
              aria-pressed={here}
              onClick={() => onGroup(group.id)}
              className={`min-h-touch px-2 text-small ${here ? 'text-bone underline decoration-hot decoration-2 underline-offset-[6px]' : 'text-bone-2 hover:text-bone'}`}
            >
              {model.groups.length > 1 && <LineSample dash={here ? undefined : dashOf(others.indexOf(group.id))} />}
              {bladesOfSteelWords(batch, group)}
            </button>
          )
        })}
      </fieldset>
      <div className="ml-auto flex items-center">
        <LiveOven batchId={batch.id} onHeat={onHeat} />
        <UndoButtons />
        <button
          type="button"
          className={SOOT_BUTTON}
          title="New batch like this one"
          onClick={() => void beginLike(batch).then(problems => problems && sayProblems(problems, model.shop.units))}
        >
          <Copy size={17} aria-hidden="true" /> <span className="sr-only xl:not-sr-only">New batch like this one</span>
        </button>
        <a className={SOOT_BUTTON} href={`/print/${batch.id}`}>
          <Printer size={17} aria-hidden="true" /> Print
        </a>
        <a className={`${SOOT_BUTTON} font-semibold !text-hot`} href={`/run/${batch.id}`}>
          <Play size={17} aria-hidden="true" /> {run && run.endedAt === null ? 'Back to the run' : 'Run'}
        </a>
      </div>
    </header>
  )
}

/** Takes back what was done last on this page, and does it again; the title says what that is. */
function UndoButtons() {
  const { done, undone } = useSyncExternalStore(pageHistory.subscribe, pageHistory.get)
  const [last, next] = [done.at(-1), undone.at(-1)]
  return (
    <>
      <button
        type="button"
        className={SOOT_BUTTON}
        title={last ? `Undo: ${last.label}` : 'There is nothing to undo on this page.'}
        onClick={() => void undo()}
      >
        <Undo2 size={17} aria-hidden="true" /> Undo
      </button>
      {next && (
        <button type="button" className={SOOT_BUTTON} title={`Redo: ${next.label}`} onClick={() => void redo()}>
          <Redo2 size={17} aria-hidden="true" /> Redo
        </button>
      )}
    </>
  )
}

/** How the line of a steel is drawn below: whole for the one that is shown. */
const LineSample = ({ dash }: { dash: string | undefined }) => (
  <svg width={26} height={8} className="mr-1.5 inline-block" aria-hidden="true">
    <line x1={0} x2={26} y1={4} y2={4} stroke={dash ? '#8a7866' : '#ff8a2a'} strokeWidth={2} strokeDasharray={dash} />
  </svg>
)

/** Shows a connected controller on every bench, with a way back to it. */
function LiveOven({ batchId, onHeat }: { batchId: string; onHeat: () => void }) {
  const system = useSystem()
  const { session, state } = useController(batchId)
  if (!session || !state) return null
  const { reading, trouble } = state
  const shows =
    reading === null
      ? 'listening'
      : reading.shownC === null
        ? 'broken thermocouple'
        : formatQuantity(reading.shownC, 'temperature', system)
  return (
    <button type="button" className={SOOT_BUTTON} onClick={onHeat}>
      <Flame size={17} aria-hidden="true" /> Oven {trouble ? 'in trouble' : shows}
    </button>
  )
}
