import { Plus, Trash2 } from 'lucide-react'
import { countOf, steelKgOf } from '../../../core/plan/tray'
import { newBlade } from '../../../core/record/defaults'
import { type Blade, BOUNDS } from '../../../core/record/schemas'
import { formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { editBatch } from '../../../store/batches'
import { Bench, CautionNote, Figure } from '../../../ui/Bench'
import { TrayDrawing } from '../../../ui/drawings/TrayDrawing'
import { NumberField, SelectField, TextField } from '../../../ui/PlainFields'
import { QuantityField } from '../../../ui/QuantityField'
import { editBlade, newId, sayWithUndo } from '../edit'
import type { BenchProps } from './bench-props'

/** The tray: what blades there are, marked and counted. */
export function PrepareBench({ batch, plan, shop }: BenchProps) {
  const kg = steelKgOf(batch.blades)
  const add = () =>
    void editBatch(batch, 'Add blades', b => ({
      ...b,
      blades: [...b.blades, newBlade(newId(), plan.group.id, b.blades)],
    }))
  return (
    <Bench
      title="Prepare"
      says="The tray of blanks, to one scale. The bar behind each tip is its thickness."
      drawing={
        batch.blades.length > 0 ? (
          <TrayDrawing rows={batch.blades} />
        ) : (
          <div className="border border-dashed border-rule-strong p-6">
            <p className="mb-3">No blades yet. Enter one line for equal blades; each gets its own mark.</p>
            <button type="button" className="btn btn-ember" onClick={add}>
              Add the first blade
            </button>
          </div>
        )
      }
      figures={
        <>
          <Figure label="Blades counted in" value={String(countOf(batch.blades))} unit="" />
          <Figure
            label="Steel"
            value={formatQuantity(kg, 'mass', shop.units).split(' ')[0] ?? ''}
            unit={formatQuantity(kg, 'mass', shop.units).split(' ')[1] ?? ''}
            working={[
              {
                name: 'Weight',
                value: kg,
                unit: 'kg',
                equation: 'Σ length · width · thickness · 7700 kg/m³, as plain bars',
                source: 'density of steel, textbook value, from memory',
              },
            ]}
          />
          <ul className="mt-2 list-disc space-y-1 pl-5 text-[13px]">
            <li>Degrease. Drill every hole and stamp every mark now.</li>
            <li>Pre-ground bevels: leave about {formatQuantity(0.5, 'length', shop.units)} at the edge.</li>
            <li>
              Hard machining or straightening: stress relief {formatQuantity(650, 'temperature', shop.units)} for 1 h,
              cool in air.
            </li>
          </ul>
          <CautionNote>
            {CAUTIONS.prepare} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        batch.blades.length > 0 && (
          <>
            <div className="overflow-x-auto">
              <table className="sheet min-w-[720px]">
                <thead>
                  <tr>
                    <th className="w-18">Mark</th>
                    <th className="w-42">Steel</th>
                    <th>Length</th>
                    <th>Width</th>
                    <th>Spine</th>
                    <th className="w-18">Count</th>
                    <th className="w-34">Bevels</th>
                    <th className="w-11">
                      <span className="sr-only">Remove</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {batch.blades.map(blade => (
                    <BladeRow key={blade.id} blade={blade} batch={batch} />
                  ))}
                </tbody>
              </table>
            </div>
            <button type="button" className="btn mt-3" onClick={add}>
              <Plus size={16} aria-hidden="true" /> Blades like the last
            </button>
          </>
        )
      }
    />
  )
}

function BladeRow({ blade, batch }: { blade: Blade; batch: BenchProps['batch'] }) {
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
