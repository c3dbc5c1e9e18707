import { preparationOf, stressReliefOf } from '../../../../core/batch/prepare'
import { timesHardened } from '../../../../core/batch/tray'
import { BOUNDS } from '../../../../core/shop/bounds'
import { gradeOf } from '../../../../core/steel/grades'
import { editBatch } from '../../../../store/batches'
import { Warnings } from '../../../../ui/Bench'
import { QuantityField } from '../../../../ui/QuantityField'
import { ScrollRegion } from '../../../../ui/ScrollRegion'
import { useSay } from '../../../../ui/Units'
import { Working } from '../../../../ui/Working'
import { stressReliefWords } from '../../../../words/protection'
import { useBench } from '../../bench-context'
import { editLine } from '../../edit'
import { AnnealFirst } from './AnnealFirst'
import { HeatDone } from './HeatDone'

/** Edge and skin to leave, shims for tapered tangs, and stress relief where it was machined hard. */
export function BeforeHeat() {
  const { batch, blades } = useBench()
  const say = useSay()
  const hardenedOf = (lineId: string) =>
    Math.max(1, ...blades.filter(blade => blade.line.id === lineId).map(timesHardened))
  const again = blades.filter(blade => timesHardened(blade) > 1)
  const rows = batch.lines.flatMap(line => {
    const group = batch.groups.find(g => g.id === line.groupId)
    return group
      ? [{ line, group, prepared: preparationOf(line, group, batch.protection ?? 'foil', hardenedOf(line.id)) }]
      : []
  })
  return (
    <div className="space-y-3">
      <ScrollRegion label="What to leave on each blade" className="max-h-[300px] overflow-auto">
        <table className="sheet min-w-[620px]">
          <thead className="sticky top-0 bg-ash">
            <tr>
              <th>Blades</th>
              <th className="w-32">Edge thickness</th>
              <th>Decarburised skin, per side</th>
              <th className="w-32">Tang end, thickness</th>
              <th>Shim for the plates</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ line, prepared }) => (
              <tr key={line.id}>
                <td className="font-semibold">{line.mark}</td>
                <td>
                  {line.bevels === 'full' ? (
                    'full thickness'
                  ) : (
                    <QuantityField
                      hideLabel
                      label={`Edge of ${line.mark}`}
                      dimension="length"
                      value={prepared.edgeMm}
                      {...BOUNDS.edgeMm}
                      onCommit={edgeMm => editLine(batch, line.id, `${line.mark}: edge`, { edgeMm })}
                    />
                  )}
                </td>
                <td>
                  {prepared.skinMm < 0.01 ? `under ${say.thin(0.01)}` : say.thin(prepared.skinMm)} a side{' '}
                  <Working of={`Skin of ${line.mark}`} lines={prepared.working} />
                </td>
                <td>
                  <QuantityField
                    hideLabel
                    label={`Tang end of ${line.mark}`}
                    dimension="length"
                    value={line.tangThicknessMm ?? line.thicknessMm}
                    {...BOUNDS.tangThicknessMm}
                    onCommit={tangThicknessMm => editLine(batch, line.id, `${line.mark}: tang`, { tangThicknessMm })}
                  />
                </td>
                <td>{prepared.shimMm === null ? 'none' : `${say.length(prepared.shimMm)} under the tang’s end`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollRegion>
      <Warnings lines={rows.flatMap(({ prepared }) => prepared.doubts)} />
      <label className="flex min-h-touch items-center gap-2">
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
      {again.length > 0 && <AnnealFirst batch={batch} blades={again} />}
      {batch.stressRelief && <HeatDone batch={batch} kind="relieve" />}
      {batch.stressRelief &&
        batch.groups.map(group => {
          const grade = gradeOf(group)
          return (
            grade && (
              <p key={group.id} className="text-small">
                <strong>{group.gradeName}</strong> {stressReliefWords(stressReliefOf(grade), say)}.{' '}
                <span className="text-ink-2 italic">{grade.stressRelief.source}</span>
              </p>
            )
          )
        })}
    </div>
  )
}
