import { Trash2 } from 'lucide-react'
import { type Blade, BOUNDS } from '../../../../core/record/schemas'
import { editBatch } from '../../../../store/batches'
import { NumberField, SelectField, TextField } from '../../../../ui/PlainFields'
import { QuantityField } from '../../../../ui/QuantityField'
import { editBlade, sayWithUndo } from '../../edit'
import type { BenchProps } from '../bench-props'

/** One line of the tray in exact fields. */
export function BladeRow({ blade, batch }: { blade: Blade; batch: BenchProps['batch'] }) {
  const set = (label: string, change: Partial<Blade>) =>
    void editBlade(batch, blade.id, `${blade.mark}: ${label}`, change)
  const remove = () =>
    void editBatch(batch, `Remove ${blade.mark}`, b => ({
      ...b,
      blades: b.blades.filter(other => other.id !== blade.id),
    })).then(() => sayWithUndo(`${blade.mark} removed`, batch.id))
  const length = (label: string, key: 'lengthMm' | 'widthMm' | 'thicknessMm', bounds: { min: number; max: number }) => (
    <QuantityField
      hideLabel
      label={`${label} of ${blade.mark}`}
      dimension="length"
      value={blade[key]}
      {...bounds}
      onCommit={value => set(label, { [key]: value })}
    />
  )
  return (
    <tr>
      <td>
        <TextField
          hideLabel
          label={`Mark of ${blade.mark}`}
          value={blade.mark}
          longest={12}
          onCommit={mark => set('mark', { mark })}
        />
      </td>
      <td>
        <SelectField
          hideLabel
          label={`Steel of ${blade.mark}`}
          value={blade.groupId}
          options={batch.groups.map(g => [g.id, g.gradeName] as const)}
          onCommit={groupId => set('steel', { groupId })}
        />
      </td>
      <td>{length('Length', 'lengthMm', BOUNDS.bladeLengthMm)}</td>
      <td>{length('Width', 'widthMm', BOUNDS.bladeWidthMm)}</td>
      <td>{length('Spine thickness', 'thicknessMm', BOUNDS.bladeThicknessMm)}</td>
      <td>
        <NumberField
          hideLabel
          whole
          label={`Count of ${blade.mark}`}
          value={blade.count}
          {...BOUNDS.bladeCount}
          onCommit={count => set('count', { count })}
        />
      </td>
      <td>
        <SelectField
          hideLabel
          label={`Bevels of ${blade.mark}`}
          value={blade.bevels}
          options={[
            ['pre-ground', 'pre-ground'],
            ['full', 'full'],
          ]}
          onCommit={bevels => set('bevels', { bevels })}
        />
      </td>
      <td>
        <button type="button" className="btn btn-plain w-11" aria-label={`Remove ${blade.mark}`} onClick={remove}>
          <Trash2 size={16} aria-hidden="true" />
        </button>
      </td>
    </tr>
  )
}
