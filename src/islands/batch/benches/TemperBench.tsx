import { keyedC } from '../../../core/oven/correction'
import { temperLagS } from '../../../core/oven/temper-lag'
import { temperLoadsOf } from '../../../core/plan/tray'
import { foilMarkLine } from '../../../core/plan/words'
import { temperingOvenOf } from '../../../core/record/oven-record'
import type { BatchGroup } from '../../../core/record/schemas'
import { formatBoth, formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { heatColour } from '../../../ui/heatline/colour'
import { editGroup } from '../edit'
import { type BenchProps, band95, hrcText } from './bench-props'
import { EmptyTray } from './EmptyTray'
import { TemperFields } from './RouteFields'

/** Heat transfer in a tempering oven with a fan and without, W/m²K. Common practice, no published source. */
const FAN_H = 25
const STILL_H = 10

/** Temper loads: who goes in together, at what, and what it should read after each. */
export function TemperBench({ batch, plan, plans, shop, go }: BenchProps) {
  const loads = temperLoadsOf(batch)
  if (batch.blades.length === 0) return <EmptyTray title="Temper" what="the temper loads" go={go} />
  const { group, prediction } = plan
  const last = group.route.tempers[group.route.tempers.length - 1]
  const lag = (h: number) => temperLagS(plan.thicknessMm, last?.atC ?? 200, h)
  const oven = temperingOvenOf(shop, batch)
  const edit = (label: string, change: (route: BatchGroup['route']) => BatchGroup['route']) =>
    void editGroup(batch, group.id, label, g => ({ ...g, recipeId: null, route: change(g.route) }))
  return (
    <Bench
      title="Temper"
      says={`In ${shop.temperingOven === 'own' ? 'the tempering oven' : 'the hardening oven, once it has cooled'}. Down to room temperature between tempers.`}
      drawing={
        <table className="sheet">
          <thead>
            <tr>
              <th>Load</th>
              <th>Blades</th>
              <th>Set to</th>
              <th>Hold</th>
              <th>Oxide tint</th>
              <th>Should read after, HRC</th>
            </tr>
          </thead>
          <tbody>
            {loads.map((load, i) => {
              const own = plans.filter(p => load.pieces.some(piece => piece.group.id === p.group.id))
              return (
                <tr key={i}>
                  <td>Temper {load.round}</td>
                  <td>{foilMarkLine(load.pieces.map(p => p.mark))}</td>
                  <td className="figure text-[22px]">{formatBoth(keyedC(oven, load.atC), shop.units)}</td>
                  <td>{formatQuantity(load.holdMin, 'duration', shop.units)}</td>
                  <td>
                    <span
                      className="inline-block h-5 w-12 border align-middle border-rule-strong"
                      style={{ background: heatColour(load.atC, 'temper') }}
                    />
                  </td>
                  <td>
                    {own
                      .map(
                        p =>
                          `${hrcText(p.prediction.hrc.afterTempers[load.round - 1]?.mean ?? 0)}${own.length > 1 ? ` (${p.grade.name})` : ''}`,
                      )
                      .join(', ')}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      }
      figures={
        <>
          <Figure
            label="Finished hardness"
            value={hrcText(prediction.finalHrc.mean)}
            unit={`HRC ${band95(prediction.finalHrc.sd)}`}
            working={prediction.working}
          />
          <Figure
            label={`${formatQuantity(plan.thicknessMm, 'length', shop.units)} blade is through after`}
            value={`${Math.round(lag(FAN_H) / 60)} to ${Math.round(lag(STILL_H) / 60)}`}
            unit="min, fan to still"
            working={[
              {
                name: 'Lag',
                value: lag(FAN_H),
                unit: 's',
                equation: 'ρc(t/2)/h · ln(ΔT/3 K), h 25 with a fan, 10 without',
                source: 'lumped blade; h: common practice, no published source',
              },
            ]}
            note="Start the clock when the blade, not the oven, is there. Two blades that touch count as one of double thickness."
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
      fields={<TemperFields route={group.route} edit={edit} />}
    />
  )
}
