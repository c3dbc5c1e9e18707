import { preparationOf, stressReliefSteps } from '../../../../core/blade/prepare'
import type { Batch, Workshop } from '../../../../core/record/schemas'
import { gradeOf } from '../../../../core/steel/grades'
import { formatBoth, formatQuantity } from '../../../../core/units/quantity'
import { editBatch } from '../../../../store/batches'
import { Warnings } from '../../../../ui/Bench'
import { QuantityField } from '../../../../ui/QuantityField'
import { Prose } from '../../../../ui/Units'
import { Working } from '../../../../ui/Working'
import { editBlade } from '../../edit'

/** Edge and skin to leave, shims for tapered tangs, and stress relief where it was machined hard. */
export function BeforeHeat({ batch, shop }: { batch: Batch; shop: Workshop }) {
  const mm = (value: number) => formatQuantity(value, 'length', shop.units)
  const rows = batch.blades.flatMap(blade => {
    const group = batch.groups.find(g => g.id === blade.groupId)
    return group ? [{ blade, group, prepared: preparationOf(blade, group, batch.protection ?? 'foil') }] : []
  })
  return (
    <div className="space-y-3">
      <div className="max-h-[300px] overflow-auto" role="region" aria-label="What to leave on each blade" tabIndex={0}>
        <table className="sheet min-w-[620px]">
          <thead className="sticky top-0 bg-ash">
            <tr>
              <th>Blades</th>
              <th className="w-32">At the edge</th>
              <th>Skin to grind off after</th>
              <th className="w-32">Tang end, thickness</th>
              <th>Shim for the plates</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ blade, prepared }) => (
              <tr key={blade.id}>
                <td className="font-semibold">{blade.mark}</td>
                <td>
                  {blade.bevels === 'full' ? (
                    'full thickness'
                  ) : (
                    <QuantityField
                      hideLabel
                      label={`Edge of ${blade.mark}`}
                      dimension="length"
                      value={prepared.edgeMm}
                      min={0.1}
                      max={12}
                      onCommit={edgeMm => void editBlade(batch, blade.id, `${blade.mark}: edge`, { edgeMm })}
                    />
                  )}
                </td>
                <td>
                  <Prose>
                    {prepared.skinMm < 0.01 ? 'under 0.01 mm a side' : `${prepared.skinMm.toFixed(2)} mm a side`}
                  </Prose>{' '}
                  <Working of={`Skin of ${blade.mark}`} lines={prepared.working} />
                </td>
                <td>
                  <QuantityField
                    hideLabel
                    label={`Tang end of ${blade.mark}`}
                    dimension="length"
                    value={blade.tangThicknessMm ?? blade.thicknessMm}
                    min={0.3}
                    max={12}
                    onCommit={tangThicknessMm =>
                      void editBlade(batch, blade.id, `${blade.mark}: tang`, { tangThicknessMm })
                    }
                  />
                </td>
                <td>{prepared.shimMm === null ? 'none' : `${mm(prepared.shimMm)} under the tang’s end`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Warnings
        lines={rows.flatMap(({ blade, prepared }) =>
          prepared.doubts.map(d => ({ ...d, code: `${d.code}-${blade.id}` })),
        )}
      />
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="h-5 w-5"
          checked={batch.stressRelief ?? false}
          onChange={event => {
            const stressRelief = event.target.checked
            void editBatch(batch, 'Stress relief', b => ({ ...b, stressRelief }))
          }}
        />
        Stress relief first: milled hard, ground on one side, or straightened cold
      </label>
      {batch.stressRelief &&
        batch.groups.map(group => {
          const grade = gradeOf(group)
          return (
            grade && (
              <p key={group.id} className="text-[13px]">
                <strong>{group.gradeName}</strong>{' '}
                {stressReliefSteps(grade)
                  .map(step => `${step.what} ${formatBoth(step.atC, shop.units)}, ${step.note}`)
                  .join('; ')}
                . <span className="text-ink-2 italic">{grade.stressRelief.source}</span>
              </p>
            )
          )
        })}
    </div>
  )
}
