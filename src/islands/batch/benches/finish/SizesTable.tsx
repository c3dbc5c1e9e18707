import { standing } from '../../../../core/batch/blade-state'
import { holeChangeMm, holeOf, skinOf } from '../../../../core/load/finish-sizes'
import type { Blade } from '../../../../core/shop/blade'
import { BOUNDS } from '../../../../core/shop/bounds'
import { QuantityField } from '../../../../ui/QuantityField'
import { ScrollRegion } from '../../../../ui/ScrollRegion'
import { useSay } from '../../../../ui/Units'
import { holeWords, skinWords } from '../../../../words/finish-sizes'
import { useBench } from '../../bench-context'
import { editBlade } from '../../edit'

const FIELDS = [
  ['holeBeforeMm', 'Hole before the heat', 'holeMm'],
  ['holeAfterMm', 'Hole now', 'holeMm'],
  ['gaugeMm', 'Its gauge', 'holeMm'],
  ['groundOffMm', 'Ground off a side', 'groundOffMm'],
  ['edgeLeftMm', 'Left behind the edge', 'edgeLeftMm'],
] as const

/** Measurements in finishing: the pivot hole back to size, and whether the soft skin is gone. */
export function SizesTable() {
  const { batch, blades, shown } = useBench()
  const say = useSay()
  const own = standing(blades.filter(blade => blade.group.id === shown.group.id))
  const set = (bladeId: string, mark: string, part: Blade['sizes']) =>
    editBlade(batch, bladeId, `${mark}: sizes`, blade => ({ ...blade, sizes: { ...blade.sizes, ...part } }))
  const clear = (bladeId: string, mark: string, name: keyof NonNullable<Blade['sizes']>) =>
    editBlade(batch, bladeId, `${mark}: sizes`, blade => {
      const { [name]: _, ...sizes } = blade.sizes ?? {}
      return { ...blade, sizes }
    })
  return (
    <ScrollRegion label="Sizes of each blade" className="max-h-[470px] overflow-auto">
      <table className="sheet min-w-[760px]">
        <thead className="sticky top-0 bg-ash">
          <tr>
            <th>Blade</th>
            {FIELDS.map(([name, label]) => (
              <th key={name} className="w-28">
                {label}
              </th>
            ))}
            <th>Pivot hole</th>
            <th>Soft skin</th>
          </tr>
        </thead>
        <tbody>
          {own.map(blade => (
            <tr key={blade.id}>
              <td className="font-semibold">{blade.mark}</td>
              {FIELDS.map(([name, label, bound]) => (
                <td key={name}>
                  <QuantityField
                    hideLabel
                    label={`${label}, ${blade.mark}`}
                    dimension="length"
                    fine
                    value={blade.record.sizes?.[name] ?? null}
                    {...BOUNDS[bound]}
                    onCommit={value => set(blade.id, blade.mark, { [name]: value })}
                    onClear={() => clear(blade.id, blade.mark, name)}
                  />
                </td>
              ))}
              <td className="text-small">
                {holeWords(holeOf(blade.record.sizes ?? {}), holeChangeMm(blade.record.sizes ?? {}), say)}
              </td>
              <td className="text-small">{skinWords(skinOf(blade, batch.protection ?? 'foil'), say)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </ScrollRegion>
  )
}
