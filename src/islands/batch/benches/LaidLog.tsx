import { type ReactNode, useState } from 'react'
import { rounded } from '../../../core/numeric/round'
import { BOUNDS } from '../../../core/shop/bounds'
import type { OvenLog } from '../../../core/shop/oven-log'
import { newLog } from '../../../core/trace/oven-log'
import { changeLog, putLog, removeLog } from '../../../store/records'
import { LogDrawing } from '../../../ui/drawings/LogDrawing'
import { NumberField } from '../../../ui/PlainFields'
import { useSystem } from '../../../ui/Units'
import { LogImport } from '../../oven/LogImport'
import { undoable } from '../../undo'
import { newId } from '../edit'

interface LayLogProps {
  readonly of: Pick<OvenLog, 'ovenId' | 'batchId' | 'load'>
  readonly log: OvenLog | null
  /** Why one would. */
  readonly says: string
  readonly children: (log: OvenLog, another: () => void) => ReactNode
}

/** A load's log where there is one; else, or when another is wanted, the place to read one. */
export function LayLog({ of, log, says, children }: LayLogProps) {
  const [adding, setAdding] = useState(false)
  if (log && !adding) return children(log, () => setAdding(true))
  return (
    <div className="py-2">
      {!log && <p className="mb-3 max-w-2xl text-small">{says}</p>}
      <LogImport
        action="Show this log over the plan"
        onTake={(name, points) => {
          void putLog(newLog({ id: newId(), ...of, name, addedAt: new Date().toISOString() }, points))
          setAdding(false)
        }}
      />
      {log && (
        <button type="button" className="btn mt-3" onClick={() => setAdding(false)}>
          Back to {log.name}
        </button>
      )}
    </div>
  )
}

interface LaidLogProps {
  readonly log: OvenLog
  readonly bladeName: string
  readonly bladePoints: readonly (readonly [min: number, c: number])[]
  readonly targetC: number
  readonly inMin: number
  readonly outMin: number
  /** Names of the moments of going in and coming out. */
  readonly momentNames: { readonly went: string; readonly came: string; readonly out: string }
  readonly facts: readonly Fact[]
  readonly children: ReactNode
  readonly another: () => void
}

export interface Fact {
  readonly name: string
  readonly value: string
  readonly asked: string
}

/** A log laid over the plan: the display and the blade, what it came to, and its moments put right by hand. */
export function LaidLog(props: LaidLogProps) {
  const { log, bladeName, bladePoints, targetC, inMin, outMin, momentNames, facts, children, another } = props
  const system = useSystem()
  return (
    <div>
      <LogDrawing
        lines={[
          { name: 'oven’s display, as logged', points: log.points, look: 'logged' },
          { name: bladeName, points: bladePoints, look: 'blade' },
        ]}
        system={system}
        label={`${log.name}: display and blade`}
        targetC={targetC}
        marks={[
          { min: inMin, name: 'in' },
          { min: outMin, name: momentNames.out },
        ]}
        height={200}
      />
      <dl className="mt-2 grid grid-cols-2 gap-x-6 gap-y-1 text-small sm:grid-cols-4">
        {facts.map(({ name, value, asked }) => (
          <div key={name} className="border-t border-rule py-1">
            <dt className="text-note text-ink-2">{name}</dt>
            <dd>
              <span className="font-semibold">{value}</span> <span className="text-note text-ink-2">{asked}</span>
            </dd>
          </div>
        ))}
      </dl>
      <p className="mt-2 text-body">{children}</p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <MomentField label={momentNames.went} min={inMin} onCommit={loadedMin => changeLog(log.id, { loadedMin })} />
        <MomentField label={momentNames.came} min={outMin} onCommit={pulledMin => changeLog(log.id, { pulledMin })} />
        <button type="button" className="btn" onClick={another}>
          Read another log …
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => void removeLog(log).then(done => done.saved && undoable(`Removed: ${log.name}`))}
        >
          Remove this log
        </button>
      </div>
    </div>
  )
}

const MomentField = ({ label, min, onCommit }: { label: string; min: number; onCommit: (min: number) => void }) => (
  <div className="w-36">
    <NumberField label={label} unit="min" value={rounded(min, 1)} {...BOUNDS.logMin} onCommit={onCommit} />
  </div>
)
