import { useState } from 'react'
import { isOut } from '../../../../core/batch/blade-state'
import type { BatchBlade } from '../../../../core/batch/tray'
import type { EdgeTest } from '../../../../core/shop/blade'
import { BOUNDS, LONGEST } from '../../../../core/shop/bounds'
import {
  EDGE_PLACES,
  EDGE_RESULTS,
  EDGE_TEST_UNITS,
  EDGE_TESTS,
  type EdgeTestKind,
  RUST_RESULTS,
} from '../../../../data/edge-tests'
import { NumberField, SelectField, TextField } from '../../../../ui/PlainFields'
import { QuantityField } from '../../../../ui/QuantityField'
import { toast } from '../../../../ui/toast'
import { stateWords } from '../../../../words/blade-state'
import { EDGE_PLACE_NAMES, RESULT_NAMES, TEST_NAMES, UNIT_NAMES } from '../../../../words/edge-tests'
import { useBench } from '../../bench-context'
import { editBlade, newId } from '../../edit'

type Draft = Omit<EdgeTest, 'id' | 'at' | 'hidden'>

interface Props {
  readonly blades: readonly BatchBlade[]
  readonly edgeDeg: number
  readonly onEdgeDeg: (edgeDeg: number) => void
  /** Blades by their numbers of a drawn order, their marks hidden; null: by their marks. */
  readonly order: readonly string[] | null
}

/** One result: which blade, which test, what the edge did, and what the control did beside it. */
export function EdgeTestForm({ blades, edgeDeg, onEdgeDeg, order }: Props) {
  const { batch } = useBench()
  const [bladeId, setBladeId] = useState(blades[0]?.id ?? '')
  const [draft, setDraft] = useState<Omit<Draft, 'edgeDeg'>>({ kind: 'rope-cuts', result: 'holds' })
  const set = (part: Partial<Draft>) => setDraft(now => ({ ...now, ...part }))
  const without = (part: 'amount' | 'depthMm' | 'where' | 'control' | 'behindMm' | 'grit') =>
    setDraft(({ [part]: _, ...rest }) => rest)
  const blade = blades.find(one => one.id === bladeId) ?? blades[0]
  if (!blade) return null
  const salt = draft.kind === 'salt-water'
  const results = salt ? RUST_RESULTS : EDGE_RESULTS
  const shown = (one: BatchBlade) => (order ? `Number ${order.indexOf(one.id) + 1}` : one.mark)
  const listed = order ? order.flatMap(id => blades.find(one => one.id === id) ?? []) : blades
  const note = async () => {
    const test: EdgeTest = {
      ...whatCounts(draft),
      id: newId(),
      at: new Date().toISOString(),
      edgeDeg,
      ...(order ? { hidden: true } : {}),
    }
    const { saved } = await editBlade(batch, blade.id, `Edge test of ${blade.mark}`, record => ({
      ...record,
      edgeTests: [...(record.edgeTests ?? []), test],
    }))
    if (!saved) return
    // What is of this edge alone does not go on to the next.
    setDraft(({ where: _, depthMm: __, ...rest }) => rest)
    toast(`${shown(blade)}: ${RESULT_NAMES[test.result]}.`)
    const next = listed[listed.indexOf(blade) + 1]
    if (next) setBladeId(next.id)
  }
  return (
    <form
      aria-label="A result"
      className="grid grid-cols-2 items-end gap-x-4 gap-y-2 md:grid-cols-4"
      onSubmit={event => {
        event.preventDefault()
        void note()
      }}
    >
      <SelectField
        label="Blade"
        value={blade.id}
        options={listed.map(one => [
          one.id,
          isOut(one.record) ? `${shown(one)} (${stateWords(one.record)})` : shown(one),
        ])}
        onCommit={setBladeId}
      />
      <SelectField<EdgeTestKind>
        label="Test"
        value={draft.kind}
        options={EDGE_TESTS.map(kind => [kind, TEST_NAMES[kind]])}
        onCommit={kind => {
          const rust = kind === 'salt-water'
          set({ kind, ...(rust === salt ? {} : { result: rust ? 'clean' : 'holds' }) })
        }}
      />
      {draft.kind === 'own' && (
        <TextField
          label="What you call it"
          value={draft.name ?? ''}
          longest={LONGEST.testName}
          onCommit={name => set({ name })}
        />
      )}
      <NumberField label="Edge angle a side" value={edgeDeg} unit="°" {...BOUNDS.edgeDeg} onCommit={onEdgeDeg} />
      <NumberField
        label={`How many ${UNIT_NAMES[EDGE_TEST_UNITS[draft.kind]]}`}
        value={draft.amount ?? null}
        whole
        {...BOUNDS.testAmount}
        onCommit={amount => set({ amount })}
        onClear={() => without('amount')}
      />
      <SelectField<EdgeTest['result']>
        label={salt ? 'The steel' : 'The edge'}
        value={draft.result}
        options={results.map(result => [result, RESULT_NAMES[result]])}
        onCommit={result => set({ result })}
      />
      {draft.result !== 'holds' && draft.result !== 'clean' && (
        <>
          <SelectField<NonNullable<EdgeTest['where']> | ''>
            label="Where"
            value={draft.where ?? ''}
            options={[['', 'not noted'], ...EDGE_PLACES.map(place => [place, EDGE_PLACE_NAMES[place]] as const)]}
            onCommit={where => (where === '' ? without('where') : set({ where }))}
          />
          <QuantityField
            label="How deep"
            value={draft.depthMm ?? null}
            dimension="length"
            fine
            {...BOUNDS.chipDepthMm}
            onCommit={depthMm => set({ depthMm })}
            onClear={() => without('depthMm')}
          />
        </>
      )}
      {!salt && (
        <ControlFields
          control={draft.control}
          onChange={control => (control ? set({ control }) : without('control'))}
        />
      )}
      <details>
        <summary className="min-h-touch cursor-pointer py-2 text-small">How it was sharpened</summary>
        <div className="grid gap-y-2">
          <QuantityField
            label="Behind the edge"
            value={draft.behindMm ?? null}
            dimension="length"
            fine
            {...BOUNDS.behindEdgeMm}
            onCommit={behindMm => set({ behindMm })}
            onClear={() => without('behindMm')}
          />
          <NumberField
            label="Grit"
            value={draft.grit ?? null}
            whole
            {...BOUNDS.grit}
            onCommit={grit => set({ grit })}
            onClear={() => without('grit')}
          />
        </div>
      </details>
      <button type="submit" className="btn btn-ember">
        Note the result
      </button>
    </form>
  )
}

/** Of what stands in the fields, what belongs to the test and its result: the rest was of another choice. */
function whatCounts({ name, where, depthMm, control, ...rest }: Omit<Draft, 'edgeDeg'>): Omit<Draft, 'edgeDeg'> {
  const damaged = rest.result !== 'holds' && rest.result !== 'clean'
  return {
    ...rest,
    ...(rest.kind === 'own' && name ? { name } : {}),
    ...(damaged && where ? { where } : {}),
    ...(damaged && depthMm !== undefined ? { depthMm } : {}),
    ...(rest.kind !== 'salt-water' && control ? { control } : {}),
  }
}

/** The blade of known hardness that was tested beside it. */
function ControlFields({
  control,
  onChange,
}: {
  control: EdgeTest['control']
  onChange: (control: EdgeTest['control']) => void
}) {
  const is = control ?? { name: 'Control', hrc: 59, result: 'holds' as const }
  return (
    <>
      <SelectField<'none' | (typeof EDGE_RESULTS)[number]>
        label="A control beside it"
        value={control?.result ?? 'none'}
        options={[['none', 'none'], ...EDGE_RESULTS.map(result => [result, RESULT_NAMES[result]] as const)]}
        onCommit={result => onChange(result === 'none' ? undefined : { ...is, result })}
      />
      {control && (
        <NumberField
          label="Its hardness"
          value={control.hrc}
          unit="HRC"
          {...BOUNDS.hrc}
          onCommit={hrc => onChange({ ...control, hrc })}
        />
      )}
    </>
  )
}
