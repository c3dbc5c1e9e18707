import { useMemo, useState } from 'react'
import { withRoute } from '../../../core/batch/route-edit'
import type { SharedTempers } from '../../../core/bench/shared-tempers'
import { worked } from '../../../core/codes/working'
import { temperAirWPerM2K, temperLagS } from '../../../core/oven/temper-lag'
import type { BatchGroup } from '../../../core/shop/batch'
import { formatQuantity } from '../../../core/units/quantity'
import { minutesOf } from '../../../core/units/time'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { PredictedFigure } from '../../../ui/PredictedFigure'
import { Problems } from '../../../ui/Problems'
import { useSay } from '../../../ui/Units'
import { ViewChoice } from '../../../ui/ViewChoice'
import { savingWords, standingWords, standsTooLong } from '../../../words/batch-day'
import { hoursText } from '../../../words/clock-text'
import { useExactAnswer } from '../../../workers/use-answer'
import { useBench } from '../bench-context'
import { editGroup } from '../edit'
import { EmptyTray } from './EmptyTray'
import { RouteCurve } from './RouteCurve'
import { TemperFields } from './RouteFields'
import { LoggedTemperView } from './temper/LoggedTemperView'
import { SharedTempersView } from './temper/SharedTempersView'
import { TemperLoads } from './temper/TemperLoads'

const VIEWS = [
  ['loads', 'Loads'],
  ['share', 'Fewer loads'],
  ['after', 'Logged temper'],
] as const

/** Temper loads: who goes in together, at what, and what it should read after each; and what the oven really did. */
export function TemperBench() {
  const { batch, shown, shop, blades, temperingOven } = useBench()
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('loads')
  const isMixed = batch.groups.length > 1
  const plans = useExactAnswer(
    'shared-tempers',
    useMemo(() => (isMixed ? { batch, shop } : null), [isMixed, batch, shop]),
  )
  if (blades.length === 0) return <EmptyTray title="Temper" what="the temper loads" />
  const { group, prediction } = shown
  const last = group.route.tempers[group.route.tempers.length - 1]
  const oven = temperingOven.ok ? temperingOven.value : null
  const edit = (label: string, change: (route: BatchGroup['route']) => BatchGroup['route']) =>
    editGroup(batch, group.id, label, g => withRoute(g, change(g.route)))
  return (
    <Bench
      title="Temper"
      says={`In ${shop.temperingOvenId !== null ? 'the tempering oven' : 'the hardening oven, once it has cooled'}. Let the blades cool to room temperature between tempers.`}
      views={<ViewChoice views={VIEWS.filter(([key]) => isMixed || key !== 'share')} view={view} onView={setView} />}
      drawing={
        !temperingOven.ok ? (
          <Problems of={temperingOven.problems} />
        ) : view === 'loads' ? (
          <TemperLoads oven={temperingOven.value} />
        ) : view === 'share' ? (
          <SharedTempersView plans={plans ?? null} />
        ) : (
          <LoggedTemperView oven={temperingOven.value} />
        )
      }
      figures={
        <>
          <PredictedFigure label="Finished hardness" prediction={prediction} />
          <DayFigure />
          {view === 'loads' && plans?.ok && <Saving plans={plans.value} onShow={() => setView('share')} />}
          <LagFigure
            label={`${formatQuantity(shown.thicknessMm, 'length', shop.units)} blade is heated through after`}
            thicknessMm={shown.thicknessMm}
            atC={last?.atC ?? 200}
            fan={oven?.fan}
          />
          <Figure
            label="Maximum edge temperature while grinding"
            term="temper"
            value={last ? (formatQuantity(last.atC, 'temperature', shop.units).split(' ')[0] ?? '') : '—'}
            unit={shop.units === 'metric' ? '°C' : '°F'}
          />
          <Warnings
            lines={prediction.cautions.filter(c => ['robbed-chromium', 'second-temper', 'untempered'].includes(c.code))}
          />
          <CautionNote>
            {CAUTIONS.temper} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        view === 'loads' && (
          <>
            <TemperFields route={group.route} edit={edit} />
            {group.route.tempers.length > 0 && <GroupCurve />}
          </>
        )
      }
    />
  )
}

/** Hardness over the temper of the shown steel: where its route stands on the curve, and what another temper would give. */
function GroupCurve() {
  const { batch, shown } = useBench()
  const { group } = shown
  return (
    <section className="mt-3" aria-label={`Tempering curve of ${group.gradeName}`}>
      <h3 className="text-small font-semibold">
        {group.gradeName}: finished hardness by temper temperature. Drag the point to change its tempers.
      </h3>
      <div className="h-[142px]">
        <RouteCurve onRoute={(label, route) => editGroup(batch, group.id, label, g => withRoute(g, route))} />
      </div>
    </section>
  )
}

/** How long all of the batch takes, and how long its blades stand before their first temper. */
function DayFigure() {
  const say = useSay()
  const { day, shown, shop } = useBench()
  if (!day) return null
  const standing = day.standings.find(one => one.groupId === shown.group.id)
  return (
    <>
      <Figure
        label="Time for the whole batch, from oven on to the last temper out"
        value={hoursText(day.totalMin)}
        unit="h:min"
        note="For one person, one step after another. All loads are quenched first. The tempers follow in the order of the table, which is done soonest."
      />
      {standing && (
        <p className={`my-2 text-small ${standsTooLong(standing) ? 'font-semibold text-bad' : ''}`}>
          {standingWords(standing, shown.group.gradeName, say, shop.temperingOvenId !== null)}
        </p>
      )}
    </>
  )
}

/** Shows what the tempers would save by sharing loads, with the way to it. */
function Saving({ plans, onShow }: { plans: readonly SharedTempers[]; onShow: () => void }) {
  const saving = savingWords(plans, useSay())
  return (
    saving && (
      <p className="my-2 text-small">
        <button type="button" className="link min-h-touch text-left font-semibold" onClick={onShow}>
          {saving}
        </button>
      </p>
    )
  )
}

interface LagProps {
  readonly label: string
  readonly thicknessMm: number
  readonly atC: number
  /** Whether a fan moves the oven's air; undefined: not said, so both are shown. */
  readonly fan: boolean | undefined
}

function LagFigure({ label, thicknessMm, atC, fan }: LagProps) {
  const lags = (fan === undefined ? [true, false] : [fan]).map(f => temperLagS(thicknessMm, atC, temperAirWPerM2K(f)))
  return (
    <Figure
      label={label}
      value={lags.map(s => Math.round(minutesOf(s))).join(' to ')}
      unit={`min, ${fan === undefined ? 'fan to still' : fan ? 'with its fan' : 'in still air'}`}
      working={lags.map((s, i) => worked('temper-lag', s, 's', { fan: fan === undefined ? i === 0 : null }))}
      note={`Start the clock when the blade, not the oven, is at temperature. Two blades that touch count as one of double thickness.${fan === undefined ? ' Say in the Workshop whether this oven has a fan.' : ''}`}
    />
  )
}
