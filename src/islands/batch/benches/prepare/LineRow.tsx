import Trash2 from 'lucide-react/icons/trash-2'
import { countOfLine } from '../../../../core/batch/tray'
import { removeLine, setCount } from '../../../../core/batch/tray-edit'
import type { Line } from '../../../../core/shop/blade'
import { BOUNDS, LONGEST } from '../../../../core/shop/bounds'
import { editBatch } from '../../../../store/batches'
import { NumberField, SelectField, TextField } from '../../../../ui/PlainFields'
import { QuantityField } from '../../../../ui/QuantityField'
import { undoable } from '../../../undo'
import { useBench } from '../../bench-context'
import { editLine, newId } from '../../edit'

const LENGTHS = [
  ['Length', 'lengthMm', BOUNDS.bladeLengthMm],
  ['Width', 'widthMm', BOUNDS.bladeWidthMm],
  ['Spine thickness', 'thicknessMm', BOUNDS.bladeThicknessMm],
] as const

/** One line of the tray in exact fields. */
export function LineRow({ line }: { line: Line }) {
  const { batch } = useBench()
  const set = (label: string, change: Partial<Line>) => editLine(batch, line.id, `${line.mark}: ${label}`, change)
  const remove = () =>
    void editBatch(batch, `Remove ${line.mark}`, b => removeLine(b, line.id, new Date().toISOString())).then(() =>
      undoable(`${line.mark} removed`),
    )
  return (
    <tr>
      <td>
        <TextField
          hideLabel
          label={`Mark of ${line.mark}`}
          value={line.mark}
          longest={LONGEST.mark}
          onCommit={mark => set('mark', { mark })}
        />
      </td>
      <td>
        <SelectField
          hideLabel
          label={`Steel of ${line.mark}`}
          value={line.groupId}
          options={batch.groups.map(g => [g.id, g.gradeName] as const)}
          onCommit={groupId => set('steel', { groupId })}
        />
      </td>
      {LENGTHS.map(([label, key, bounds]) => (
        <td key={key}>
          <QuantityField
            hideLabel
            label={`${label} of ${line.mark}`}
            dimension="length"
            value={line[key]}
            {...bounds}
            onCommit={value => set(label, { [key]: value })}
          />
        </td>
      ))}
      <td>
        <NumberField
          hideLabel
          whole
          label={`Count of ${line.mark}`}
          value={countOfLine(batch, line.id)}
          {...BOUNDS.bladeCount}
          onCommit={count =>
            editBatch(batch, `${line.mark}: count`, b => setCount(b, line.id, count, newId, new Date().toISOString()))
          }
        />
      </td>
      <td>
        <SelectField
          hideLabel
          label={`Bevels of ${line.mark}`}
          value={line.bevels}
          options={[
            ['pre-ground', 'pre-ground'],
            ['full', 'full'],
          ]}
          onCommit={bevels => set('bevels', { bevels })}
        />
      </td>
      <td>
        <button type="button" className="btn btn-plain w-11" aria-label={`Remove ${line.mark}`} onClick={remove}>
          <Trash2 size={16} aria-hidden="true" />
        </button>
      </td>
    </tr>
  )
}
