import { useState } from 'react'
import { temperAirWPerM2K, temperLagS } from '../../../core/oven/temper-lag'
import { temperingOvenOf } from '../../../core/record/oven-record'
import type { BatchGroup } from '../../../core/record/schemas'
import { formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { ViewChoice } from '../../../ui/ViewChoice'
import { editGroup } from '../edit'
import { type BenchProps, band95, hrcText } from './bench-props'
import { EmptyTray } from './EmptyTray'
import { TemperFields } from './RouteFields'
import { AfterTemperView } from './temper/AfterTemperView'
import { TemperLoads } from './temper/TemperLoads'

const VIEWS = [
  ['loads', 'Loads'],
  ['after', 'Afterwards'],
] as const

/** Temper loads: who goes in together, at what, and what it should read after each; and what the oven really did. */
export function TemperBench({ batch, plan, plans, shop, go }: BenchProps) {
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('loads')
  if (batch.blades.length === 0) return <EmptyTray title="Temper" what="the temper loads" go={go} />
  const { group, prediction } = plan
  const last = group.route.tempers[group.route.tempers.length - 1]
  const oven = temperingOvenOf(shop, batch)
  const edit = (label: string, change: (route: BatchGroup['route']) => BatchGroup['route']) =>
    void editGroup(batch, group.id, label, g => ({ ...g, recipeId: null, route: change(g.route) }))
  return (
    <Bench
      title="Temper"
      says={`In ${shop.temperingOven === 'own' ? 'the tempering oven' : 'the hardening oven, once it has cooled'}. Down to room temperature between tempers.`}
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={
        view === 'loads' ? (
          <TemperLoads batch={batch} oven={oven} shop={shop} plans={plans} />
        ) : (
          <AfterTemperView batch={batch} oven={oven} shop={shop} plan={plan} />
        )
      }
      figures={
        <>
          <Figure
            label="Finished hardness"
            value={hrcText(prediction.finalHrc.mean)}
            unit={`HRC ${band95(prediction.finalHrc.sd)}`}
            working={prediction.working}
          />
          <LagFigure
            label={`${formatQuantity(plan.thicknessMm, 'length', shop.units)} blade is through after`}
            thicknessMm={plan.thicknessMm}
            atC={last?.atC ?? 200}
            fan={oven.fan}
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
      working={lags.map((s, i) => ({
        name: fan === undefined ? (['Lag with a fan', 'Lag in still air'][i] ?? '') : 'Lag',
        value: s,
        unit: 's',
        equation: 'ρc(t/2)/h · ln(ΔT/3 K), h 25 with a fan, 10 without',
        source: 'lumped blade; h: common practice, no published source',
      }))}
      note={`Start the clock when the blade, not the oven, is there. Two blades that touch count as one of double thickness.${fan === undefined ? ' Say in the Workshop whether this oven has a fan.' : ''}`}
    />
  )
}
