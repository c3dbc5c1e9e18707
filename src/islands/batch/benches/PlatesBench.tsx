import { lazy, Suspense } from 'react'
import { bladesOf, loadsOf } from '../../../core/plan/tray'
import type { Workshop } from '../../../core/record/schemas'
import { formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { CONTACT } from '../../../data/thermal'
import { saveShop } from '../../../store/records'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { PlatesDrawing } from '../../../ui/drawings/PlatesDrawing'
import { SelectField } from '../../../ui/PlainFields'
import { QuantityField } from '../../../ui/QuantityField'
import { useAnswer } from '../../../workers/use-answer'
import { type BenchProps, band95, hrcText } from './bench-props'
import { EmptyTray } from './EmptyTray'

const QuenchChart = lazy(() => import('../../../ui/charts/QuenchChart'))

const AIR: Readonly<Record<Workshop['plates']['air'], { label: string; h: number }>> = {
  still: { label: 'still air', h: CONTACT.stillAir },
  fan: { label: 'a fan', h: CONTACT.fan },
  'air-blast': { label: 'air blast', h: CONTACT.airBlast },
}

/** From soak to hand-warm: one packet between the plates, estimated as lumps. */
export function PlatesBench({ batch, plan, shop, go }: BenchProps) {
  const { plates } = shop
  const blade = [...bladesOf(batch, plan.group.id)].sort((a, b) => b.thicknessMm - a.thicknessMm)[0]
  const request = (contactWPerM2K: number) =>
    blade
      ? {
          blade: { thicknessMm: blade.thicknessMm, widthMm: blade.widthMm, lengthMm: blade.lengthMm },
          fromC: plan.group.route.austenitizeC,
          plates: { thicknessMm: plates.thicknessMm, widthMm: plates.widthMm, lengthMm: plates.lengthMm },
          plateStartC: plates.startC,
          contactWPerM2K,
          airWPerM2K: AIR[plates.air].h,
          martensiteStartC: plan.prediction.martensiteStartC,
          ambientC: 25,
        }
      : null
  const usual = useAnswer('plates', request(CONTACT.clampedFoil))
  const poor = useAnswer('plates', request(CONTACT.clampedLow))
  const good = useAnswer('plates', request(CONTACT.clampedHigh))
  if (!blade) return <EmptyTray title="Plates" what="how fast the plates take the heat" go={go} />
  const quench = usual?.ok ? usual.value : null
  const range = (mark: string): string => {
    const value = (answer: typeof usual) => (answer?.ok ? (answer.value.secondsTo[mark] ?? null) : null)
    const shown = (s: number | null) => (s === null ? '∞' : s < 10 ? s.toFixed(1) : Math.round(s).toString())
    return `s, ${shown(value(good))} to ${shown(value(poor))}`
  }
  const at = (mark: string) => {
    const s = quench?.secondsTo[mark]
    return s === null || s === undefined ? '—' : s < 10 ? s.toFixed(1) : String(Math.round(s))
  }
  const slow = (quench?.secondsTo['500'] ?? 0) - (quench?.secondsTo['800'] ?? 0) > plan.grade.quench.slowest800to500S
  const queue = loadsOf(batch).find(l => l.groups.some(g => g.id === plan.group.id))?.pieces ?? []
  const set = (part: Partial<Workshop['plates']>) => void saveShop(s => ({ ...s, plates: { ...s.plates, ...part } }))
  return (
    <Bench
      title="Plates"
      says={`From soak to hand-warm, one packet at a time. Shown: the thickest of this steel, ${blade.mark}, ${formatQuantity(blade.thicknessMm, 'length', shop.units)}.`}
      drawing={
        <>
          <PlatesDrawing
            plates={plates}
            blade={blade}
            mark={queue.find(p => p.blade.id === blade.id)?.mark ?? blade.mark}
            waiting={queue.map(p => p.mark)}
            system={shop.units}
          />
          <div className="mt-3 h-[170px]">
            <Suspense fallback={null}>
              {quench && (
                <QuenchChart
                  curve={quench.curve}
                  martensiteStartC={plan.prediction.martensiteStartC}
                  system={shop.units}
                />
              )}
            </Suspense>
          </div>
        </>
      }
      figures={
        <>
          <Figure
            label={`Below ${formatQuantity(500, 'temperature', shop.units)}`}
            value={at('500')}
            unit={range('500')}
            working={quench?.working}
            note="Lumped estimate: no gradient inside plate or blade, so it comes out about a tenth short. The range is contact from 300 to 1200 W/m²K."
          />
          <Figure
            label={`Hand-warm, ${formatQuantity(60, 'temperature', shop.units)}`}
            value={at('60')}
            unit={range('60')}
            working={quench?.working}
          />
          {quench && (
            <Figure
              label="Plates before the next blade, 90 s on"
              value={
                formatQuantity(
                  quench.curve.find(([s]) => s >= 90)?.[2] ?? quench.plateEndC,
                  'temperature',
                  shop.units,
                ).split(' ')[0] ?? ''
              }
              unit={shop.units === 'metric' ? '°C' : '°F'}
              working={quench.working}
            />
          )}
          <Figure
            label="Hardness this quench allows"
            value={hrcText(plan.prediction.hrc.asQuenched.mean)}
            unit={`HRC ${band95(plan.prediction.hrc.asQuenched.sd)}`}
            working={plan.prediction.working}
          />
          {slow && (
            <Warnings
              lines={[
                {
                  code: 'slow',
                  message: `Slower from 800 to 500 °C than the ${plan.grade.quench.slowest800to500S} s this grade allows.`,
                },
              ]}
            />
          )}
          <CautionNote>
            {CAUTIONS.plates} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-5">
          <QuantityField
            label="Plate thickness"
            dimension="length"
            value={plates.thicknessMm}
            min={5}
            max={80}
            onCommit={thicknessMm => set({ thicknessMm })}
          />
          <QuantityField
            label="Plate width"
            dimension="length"
            value={plates.widthMm}
            min={40}
            max={300}
            onCommit={widthMm => set({ widthMm })}
          />
          <QuantityField
            label="Plate length"
            dimension="length"
            value={plates.lengthMm}
            min={100}
            max={1200}
            onCommit={lengthMm => set({ lengthMm })}
          />
          <QuantityField
            label="Plates start at"
            dimension="temperature"
            value={plates.startC}
            min={-20}
            max={150}
            onCommit={startC => set({ startC })}
          />
          <SelectField
            label="Plates cooled by"
            value={plates.air}
            options={Object.entries(AIR).map(([k, v]) => [k as Workshop['plates']['air'], v.label] as const)}
            onCommit={air => set({ air })}
          />
        </div>
      }
    />
  )
}
