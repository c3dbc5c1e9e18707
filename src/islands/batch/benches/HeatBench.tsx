import { useState } from 'react'
import { foilFor } from '../../../core/foil/foil-type'
import { AMBIENT_C, bladeKg, heatUpMin } from '../../../core/oven/chamber'
import { CROWDED_VIEW, FULL_VIEW } from '../../../core/oven/lag'
import { buildProgramme, type Segment } from '../../../core/oven/programme'
import { soakLag } from '../../../core/oven/soak-lag'
import { type Load, loadsOf } from '../../../core/plan/tray'
import type { Workshop } from '../../../core/record/schemas'
import type { Result } from '../../../core/result'
import { formatBoth, formatQuantity } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { PACE } from '../../../data/pace'
import { saveShop } from '../../../store/records'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { RackDrawing } from '../../../ui/drawings/RackDrawing'
import { NumberField } from '../../../ui/PlainFields'
import { ViewChoice } from '../../../ui/ViewChoice'
import { ovenOf } from '../use-plan'
import type { BenchProps } from './bench-props'
import { EmptyTray } from './EmptyTray'
import { EntryView } from './EntryView'

const VIEWS = [
  ['rack', 'Rack and programme'],
  ['entry', 'Entry compared'],
] as const

/** Loads, the programme to key in, and how far the blade is behind the oven. */
export function HeatBench({ batch, plan, shop, go }: BenchProps) {
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('rack')
  const loads = loadsOf(batch)
  const load = loads.find(l => l.groups.some(g => g.id === plan.group.id))
  if (!load) return <EmptyTray title="Heat" what="the load, the programme and the soak clock" go={go} />
  const oven = ovenOf(shop)
  const { austenitizeC } = load
  const programme = programmeOf(load, shop)
  const steelKg = load.pieces.reduce((sum, p) => sum + bladeKg(p.blade), 0)
  const behind = (view: number) =>
    soakLag({
      oven,
      steelKg,
      equalise: load.equalise,
      entryC: load.entryC,
      austenitizeC,
      thicknessMm: plan.thicknessMm,
      view,
    })
  const [alone, crowded] = [behind(FULL_VIEW), behind(CROWDED_VIEW)]
  const toEntryMin = heatUpMin(oven, AMBIENT_C, load.entryC, 0)
  const { climbMin, rateCPerH } = alone
  return (
    <Bench
      title="Heat"
      says={
        loads.length > 1
          ? `Load ${loads.indexOf(load) + 1} of ${loads.length}, ${loads[0] === load ? 'the cooler one first' : 'straight into the hot oven'}. Thin ones in front, thickest at the back.`
          : 'Thin ones in front, thickest at the back.'
      }
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={
        view === 'entry' ? (
          <EntryView load={load} shop={shop} />
        ) : (
          <>
            <RackDrawing
              chamber={oven.chamberMm}
              packets={load.pieces.map(p => ({
                mark: p.mark,
                lengthMm: p.blade.lengthMm,
                thicknessMm: p.blade.thicknessMm,
              }))}
            />
            <ProgrammeTable programme={programme} shop={shop} />
          </>
        )
      }
      figures={
        <>
          <Figure
            label="Oven from cold to full heat"
            value={Number.isFinite(climbMin) ? String(Math.round(toEntryMin + climbMin)) : '∞'}
            unit="min at full power"
            working={[
              {
                name: 'Empty to where it is loaded',
                value: toEntryMin,
                unit: 'min',
                equation: 'τ·ln((T∞ − a)/(T∞ − b))',
                source: oven.source,
              },
              {
                name: 'On up with the load in',
                value: climbMin,
                unit: 'min',
                equation: 'τ grows with the steel’s heat capacity',
                source: oven.source,
              },
            ]}
          />
          <Figure
            label={`${formatQuantity(plan.thicknessMm, 'length', shop.units)} blade arrives after the oven`}
            value={crowded.lagS <= 0 ? 'with it' : `${Math.round(alone.lagS)} to ${Math.round(crowded.lagS)}`}
            unit={crowded.lagS <= 0 ? ': the last climb is slow' : 's, alone to crowded'}
            working={[
              {
                name: load.equalise.length > 0 ? 'Climb from the preheat' : 'Climb, the blade going in cold',
                value: rateCPerH,
                unit: '°C/h',
                equation: 'oven at full power',
                source: oven.source,
              },
              {
                name: 'Alone',
                value: alone.lagS,
                unit: 's',
                equation: 'lumped blade in foil: radiation, gap conduction, within 5 °C',
                source: 'ε 0.70 outside, 0.35 and 0.40 inside, 0.5 mm gap; textbook values, from memory',
              },
              {
                name: 'Crowded, view 0.42',
                value: crowded.lagS,
                unit: 's',
                equation: 'the same with a part of the chamber hidden',
                source: 'view of strips on edge',
              },
            ]}
            note="The soak clock starts when the blade, not the oven, arrives. Foil pressed flat on the blade shortens the lag."
          />
          <Figure label="Soak once there" value={String(Math.round(plan.group.route.soakMin))} unit="min" />
          {!programme.ok && <Warnings lines={programme.problems} />}
          <CautionNote>
            {CAUTIONS.heat} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          <CorrectionField shop={shop} />
        </div>
      }
    />
  )
}

function programmeOf(load: Load, shop: Workshop): Result<Segment[]> {
  const foil = foilFor(load.austenitizeC)
  const longestSoak = Math.max(...load.groups.map(g => g.route.soakMin))
  return buildProgramme({
    equalise: load.equalise,
    austenitizeC: load.austenitizeC,
    holdMin: longestSoak + load.pieces.length * PACE.pullEveryMin + 10,
    correctionC: shop.oven.correctionC,
    ovenMaxC: shop.oven.maxC,
    foilMaxC: foil.ok ? foil.value.maxC : null,
  })
}

function ProgrammeTable({ programme, shop }: { programme: Result<Segment[]>; shop: Workshop }) {
  if (!programme.ok) return null
  return (
    <table className="sheet mt-4">
      <caption className="mb-1 text-left text-[12.5px] text-ink-2">To key in, exactly as shown</caption>
      <thead>
        <tr>
          <th>Step</th>
          <th>Ramp</th>
          <th>Set to</th>
          <th>Hold</th>
          <th>The blade should see</th>
        </tr>
      </thead>
      <tbody>
        {programme.value.map((segment, i) => (
          <tr key={segment.name}>
            <td>
              {i + 1} {segment.name}
            </td>
            <td>full power</td>
            <td className="figure text-[22px]">{formatBoth(segment.setC, shop.units)}</td>
            <td>{segment.name === 'Soak' ? `${segment.holdMin} min, for soak and pulls` : `${segment.holdMin} min`}</td>
            <td>{formatBoth(segment.nominalC, shop.units)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** A difference, not a temperature: kept in kelvin, shown in the degrees of the workshop. */
function CorrectionField({ shop }: { shop: Workshop }) {
  const [perK, unit] = shop.units === 'metric' ? [1, '°C'] : [1.8, '°F']
  return (
    <div className="col-span-2">
      <NumberField
        label="Correction of this oven, added to what the blade should see"
        unit={unit}
        value={Math.round(shop.oven.correctionC * perK * 10) / 10}
        min={-60 * perK}
        max={60 * perK}
        onCommit={shown => void saveShop(s => ({ ...s, oven: { ...s.oven, correctionC: shown / perK } }))}
      />
    </div>
  )
}
