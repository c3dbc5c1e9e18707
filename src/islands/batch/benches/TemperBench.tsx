import { useState } from 'react'
import { worked } from '../../../core/codes/working'
import { withRoute } from '../../../core/job/suggestion'
import { temperAirWPerM2K, temperLagS } from '../../../core/oven/temper-lag'
import type { BatchGroup } from '../../../core/shop/batch'
import { formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { Problems } from '../../../ui/Problems'
import { ViewChoice } from '../../../ui/ViewChoice'
import { bandText, hrcText } from '../../../words/speaker'
import { useBench } from '../bench-context'
import { editGroup } from '../edit'
import { EmptyTray } from './EmptyTray'
import { TemperFields } from './RouteFields'
import { LoggedTemperView } from './temper/LoggedTemperView'
import { TemperLoads } from './temper/TemperLoads'

const VIEWS = [
  ['loads', 'Loads'],
  ['after', 'Afterwards'],
] as const

/** Temper loads: who goes in together, at what, and what it should read after each; and what the oven really did. */
export function TemperBench() {
  const { batch, shown, shop, blades, temperingOven } = useBench()
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('loads')
  if (blades.length === 0) return <EmptyTray title="Temper" what="the temper loads" />
  const { group, prediction } = shown
  const last = group.route.tempers[group.route.tempers.length - 1]
  const oven = temperingOven.ok ? temperingOven.value : null
  const edit = (label: string, change: (route: BatchGroup['route']) => BatchGroup['route']) =>
    editGroup(batch, group.id, label, g => withRoute(g, change(g.route)))
  return (
    <Bench
      title="Temper"
      says={`In ${shop.temperingOvenId !== null ? 'the tempering oven' : 'the hardening oven, once it has cooled'}. Down to room temperature between tempers.`}
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={
        !temperingOven.ok ? (
          <Problems of={temperingOven.problems} />
        ) : view === 'loads' ? (
          <TemperLoads oven={temperingOven.value} />
        ) : (
          <LoggedTemperView oven={temperingOven.value} />
        )
      }
      figures={
        <>
          <Figure
            label="Finished hardness"
            value={hrcText(prediction.finalHrc.mean)}
            unit={`HRC ${bandText(prediction.finalHrc.sd)}`}
            working={prediction.working}
          />
          <LagFigure
            label={`${formatQuantity(shown.thicknessMm, 'length', shop.units)} blade is through after`}
            thicknessMm={shown.thicknessMm}
            atC={last?.atC ?? 200}
            fan={oven?.fan}
          />
          <Figure
            label="Grinding heat it forgives"
            value={last ? (formatQuantity(last.atC, 'temperature', shop.units).split(' ')[0] ?? '') : '—'}
            unit={shop.units === 'metric' ? '°C at the edge' : '°F at the edge'}
          />
          <Warnings
            lines={prediction.cautions.filter(c => ['robbed-chromium', 'second-temper', 'untempered'].includes(c.code))}
          />
          <CautionNote>
            {CAUTIONS.temper} {DEFER}
          </CautionNote>
        </>
      }
      fields={view === 'loads' && <TemperFields route={group.route} edit={edit} />}
    />
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
      value={lags.map(s => Math.round(s / 60)).join(' to ')}
      unit={`min, ${fan === undefined ? 'fan to still' : fan ? 'with its fan' : 'in still air'}`}
      working={lags.map((s, i) => worked('temper-lag', s, 's', { fan: fan === undefined ? i === 0 : null }))}
      note={`Start the clock when the blade, not the oven, is there. Two blades that touch count as one of double thickness.${fan === undefined ? ' Say in the Workshop whether this oven has a fan.' : ''}`}
    />
  )
}
