import { lazy, Suspense } from 'react'
import { toast } from 'sonner'
import { bladesOf } from '../../../core/plan/tray'
import { newGroup } from '../../../core/record/defaults'
import { BOUNDS } from '../../../core/record/schemas'
import { findGrade } from '../../../core/steel/grades'
import type { Prediction } from '../../../core/steel/predict'
import { GRADES } from '../../../data/grades'
import { editBatch } from '../../../store/batches'
import { Bench, Figure, Warnings } from '../../../ui/Bench'
import { NumberField, SelectField } from '../../../ui/PlainFields'
import { useAnswer } from '../../../workers/use-answer'
import { editGroup, newId, sayWithUndo } from '../edit'
import { saveAsRecipe } from '../save-recipe'
import { suggestFor } from '../suggest-for'
import { type BenchProps, band95, hrcText, percentText } from './bench-props'
import { RouteFields } from './RouteFields'

const TemperChart = lazy(() => import('../../../ui/charts/TemperChart'))

/** Steel, target and route; the tempering curve on which the temper is dragged. */
export function ChooseBench({ batch, plan, shop }: BenchProps) {
  const { group, grade, prediction } = plan
  const curve = useAnswer('temper-curve', { steel: { grade: grade.name }, route: group.route })
  const hottest = Math.max(0, ...group.route.tempers.map(t => t.atC))
  const setTempers = (atC: number) =>
    void editGroup(batch, group.id, `Temper to ${Math.round(atC)} °C`, g => ({
      ...g,
      route: { ...g.route, tempers: g.route.tempers.map(t => ({ ...t, atC })) },
    }))
  return (
    <Bench
      title="Choose"
      says={`${grade.name}${grade.alsoNamed.length ? `, also ${grade.alsoNamed.join(', ')}` : ''}. ${grade.note}`}
      drawing={
        <div className="h-[210px]">
          <Suspense fallback={null}>
            {curve?.ok && (
              <TemperChart
                points={curve.value}
                target={group.target}
                temperC={hottest}
                system={shop.units}
                rustsAboveC={grade.family === 'stainless' ? 400 : null}
                onTemper={setTempers}
              />
            )}
          </Suspense>
        </div>
      }
      figures={
        <>
          <Figure
            label="Finished hardness"
            value={hrcText(prediction.finalHrc.mean)}
            unit={`HRC ${band95(prediction.finalHrc.sd)}`}
            working={prediction.working}
            note="The band holds 95 %: the model’s own error and what a small shop’s oven temperatures do. Martensitic steels of 0.3 to 2.3 % C."
          />
          <Figure
            label="Soft austenite left"
            value={percentText(prediction.retainedAustenite.final)}
            unit=""
            working={prediction.working}
          />
          <Figure
            label="Chromium left to resist rust"
            value={prediction.austenite.Cr.toFixed(1)}
            unit={`%${prediction.corrosion.temperPenalty > 0 ? ', robbed by the temper' : ''}`}
            working={prediction.working}
          />
          <StageReadings prediction={prediction} />
          <Warnings lines={prediction.cautions} />
          <div className="mt-2 flex flex-wrap gap-2">
            <button type="button" className="btn btn-ember" onClick={() => suggestFor(batch, group, shop)}>
              Suggest a route for {group.target.min} to {group.target.max}
            </button>
            <button
              type="button"
              className="btn"
              onClick={() => void saveAsRecipe(group).then(name => name && toast(`Saved in recipes: ${name}`))}
            >
              Save as recipe
            </button>
          </div>
        </>
      }
      fields={
        <>
          <GroupFields batch={batch} plan={plan} shop={shop} />
          <RouteFields batch={batch} group={group} shop={shop} />
        </>
      }
    />
  )
}

/** What the tester should show on the way, so that a surprise is seen early. */
function StageReadings({ prediction }: { prediction: Prediction }) {
  const { asQuenched, afterCold, afterTempers } = prediction.hrc
  const rows = [
    ['as quenched', asQuenched] as const,
    ...(afterCold ? [['after cold', afterCold] as const] : []),
    ...afterTempers.map((hrc, i) => [`after temper ${i + 1}`, hrc] as const),
  ]
  return (
    <table className="sheet border-t border-rule">
      <caption className="pt-2.5 text-left text-[12.5px] text-ink-2">Should read on the way, HRC</caption>
      <tbody>
        {rows.map(([stage, hrc]) => (
          <tr key={stage}>
            <td className="!py-1">{stage}</td>
            <td className="!py-1 text-right font-semibold">{hrcText(hrc.mean)}</td>
            <td className="!py-1 !pr-0 text-right text-ink-2">{band95(hrc.sd)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

function GroupFields({ batch, plan, shop }: Pick<BenchProps, 'batch' | 'plan' | 'shop'>) {
  const { group } = plan
  const setGrade = (name: string) => {
    const grade = findGrade(name)
    if (!grade) return
    const fresh = newGroup(group.id, grade, shop, plan.thicknessMm)
    void editGroup(batch, group.id, `Steel to ${name}`, () => fresh).then(() =>
      sayWithUndo(`${name}, with its usual target and a suggested route`, batch.id),
    )
  }
  const setTarget = (target: typeof group.target) => {
    if (target.min >= target.max) toast('The lower end of the target must be below the upper end.')
    else void editGroup(batch, group.id, 'Target', g => ({ ...g, target }))
  }
  const addSteel = () => {
    const grade = GRADES.find(g => !batch.groups.some(own => own.gradeName === g.name)) ?? plan.grade
    void editBatch(batch, 'Add a steel', b => ({ ...b, groups: [...b.groups, newGroup(newId(), grade, shop, 2.5)] }))
  }
  const removable = batch.groups.length > 1 && bladesOf(batch, group.id).length === 0
  return (
    <div className="mb-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
      <SelectField
        label="Steel"
        value={group.gradeName}
        options={GRADES.map(g => [g.name, g.alsoNamed[1] ? `${g.name} (${g.alsoNamed[1]})` : g.name] as const)}
        onCommit={setGrade}
      />
      <NumberField
        label="Target from"
        unit="HRC"
        value={group.target.min}
        {...BOUNDS.hrc}
        onCommit={min => setTarget({ ...group.target, min })}
      />
      <NumberField
        label="Target to"
        unit="HRC"
        value={group.target.max}
        {...BOUNDS.hrc}
        onCommit={max => setTarget({ ...group.target, max })}
      />
      <div className="flex items-end gap-2">
        {batch.groups.length < 6 && (
          <button type="button" className="btn" onClick={addSteel}>
            Add a steel
          </button>
        )}
        {removable && (
          <button
            type="button"
            className="btn"
            onClick={() =>
              void editBatch(batch, `Remove ${group.gradeName}`, b => ({
                ...b,
                groups: b.groups.filter(g => g.id !== group.id),
              }))
            }
          >
            Remove
          </button>
        )}
      </div>
    </div>
  )
}
