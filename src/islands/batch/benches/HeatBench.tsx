import { useMemo, useState } from 'react'
import { correctionAt } from '../../../core/oven/correction'
import { CROWDED_VIEW, FULL_VIEW } from '../../../core/oven/lag'
import { soakLag } from '../../../core/oven/soak-lag'
import { type HeatAnswer, heatAnswerOf, heatOf, loadKg, programmeOf } from '../../../core/plan/heat-load'
import { loadsOf } from '../../../core/plan/tray'
import { chamberOf, ovenOf } from '../../../core/record/oven-record'
import { ok, type Result } from '../../../core/result'
import { formatDifference, formatQuantity, type System } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { editBatch } from '../../../store/batches'
import { Bench, CautionNote, Figure, Warnings } from '../../../ui/Bench'
import { SelectField } from '../../../ui/PlainFields'
import { ViewChoice } from '../../../ui/ViewChoice'
import { useAnswer } from '../../../workers/use-answer'
import { useController } from '../use-controller'
import type { BenchProps } from './bench-props'
import { EmptyTray } from './EmptyTray'
import { AfterView } from './heat/AfterView'
import { EnergyFigure } from './heat/EnergyFigure'
import { EntryView } from './heat/EntryView'
import { ProgrammeView } from './heat/ProgrammeView'
import { RackView } from './heat/RackView'
import { ShareClosing } from './heat/ShareClosing'

const VIEWS = [
  ['rack', 'Rack'],
  ['programme', 'Programme'],
  ['entry', 'Entry compared'],
  ['after', 'Afterwards'],
] as const

/** Loads, the rack, the programme to key in, and how far the blade is behind the oven. */
export function HeatBench({ batch, plan, shop, go }: BenchProps) {
  const { session } = useController(batch.id)
  // With a controller on the line it is what one comes back for.
  const [view, setView] = useState<(typeof VIEWS)[number][0]>(session ? 'programme' : 'rack')
  const loads = useMemo(() => loadsOf(batch), [batch])
  const load = loads.find(l => l.groups.some(g => g.id === plan.group.id))
  const oven = ovenOf(shop, batch)
  const asked = useMemo(
    () => (load ? heatOf(loads, loads.indexOf(load), oven, batch) : null),
    [loads, load, oven, batch],
  )
  const answer = useAnswer('oven', asked?.request ?? null)
  const heat = asked && answer ? (answer.ok ? ok(heatAnswerOf(asked, answer.value)) : answer) : undefined
  if (!load) return <EmptyTray title="Heat" what="the load, the programme and the soak clock" go={go} />
  const chamber = chamberOf(oven)
  const { austenitizeC } = load
  const programme = programmeOf(load, oven)
  const behind = (view: number) =>
    soakLag({
      oven: chamber,
      steelKg: loadKg(load),
      equalise: load.equalise,
      entryC: load.entryC,
      austenitizeC,
      thicknessMm: plan.thicknessMm,
      view,
    })
  const [alone, crowded] = [behind(FULL_VIEW), behind(CROWDED_VIEW)]
  const { rateCPerH } = alone
  return (
    <Bench
      title="Heat"
      says={
        loads.length > 1
          ? `Load ${loads.indexOf(load) + 1} of ${loads.length}, ${loads[0] === load ? 'the cooler one first' : 'straight into the hot oven'}.`
          : 'Thin ones in front, thickest at the back.'
      }
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={
        <>
          {view === 'rack' && loads.length > 1 && <ShareClosing batch={batch} shop={shop} />}
          {view === 'rack' && <RackView batch={batch} load={load} oven={oven} shop={shop} heat={heat} />}
          {view === 'programme' && <ProgrammeView batch={batch} load={load} oven={oven} shop={shop} />}
          {view === 'entry' && <EntryView batch={batch} load={load} oven={oven} shop={shop} />}
          {view === 'after' && <AfterView batch={batch} load={load} oven={oven} shop={shop} plan={plan} />}
        </>
      }
      figures={
        <>
          <ClimbFigure heat={heat} />
          <Figure
            label={`${formatQuantity(plan.thicknessMm, 'length', shop.units)} blade arrives after the oven`}
            value={crowded.lagS <= 0 ? 'with it' : `${Math.round(alone.lagS)} to ${Math.round(crowded.lagS)}`}
            unit={crowded.lagS <= 0 ? 'as the last climb is slow' : 's, alone to crowded'}
            working={[
              {
                name: load.equalise.length > 0 ? 'Climb from the preheat' : 'Climb, the blade going in cold',
                value: rateCPerH,
                unit: '°C/h',
                equation: 'oven at full power',
                source: chamber.source,
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
          {heat?.ok && <EnergyFigure answer={heat.value} shop={shop} />}
          {!programme.ok && <Warnings lines={programme.problems} />}
          <CautionNote>
            {CAUTIONS.heat} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        view === 'rack' && (
          <div className="grid max-w-3xl grid-cols-2 items-end gap-3 sm:grid-cols-3">
            <SelectField
              label="Hardened in"
              value={oven.id}
              options={shop.ovens.filter(o => o.use === 'hardening' || o === oven).map(o => [o.id, o.name] as const)}
              onCommit={id =>
                void editBatch(batch, 'Oven', b => ({
                  ...b,
                  oven: shop.ovens.find(o => o.id === id)?.name ?? b.oven,
                  rack: undefined,
                }))
              }
            />
            <p className="text-[13px] sm:col-span-2">
              {keyedSays(correctionAt(oven, austenitizeC), shop.units)}{' '}
              <a className="link" href={`/oven/${oven.id}`}>
                The oven and its correction
              </a>
            </p>
          </div>
        )
      }
    />
  )
}

/** When the oven itself is at the soak of this load. */
function ClimbFigure({ heat }: { heat: Result<HeatAnswer> | undefined }) {
  if (!heat?.ok) return null
  const { reachedMin, fromMin } = heat.value
  const climbMin = reachedMin === null ? null : reachedMin - fromMin
  return (
    <Figure
      label={fromMin > 0 ? 'Oven back up with this load in' : 'Oven from cold to full heat'}
      value={climbMin === null ? '∞' : String(Math.round(climbMin))}
      unit="min, with the load and its preheats"
      working={[
        {
          name: fromMin > 0 ? 'From the load before being out' : 'From oven on',
          value: climbMin ?? Number.POSITIVE_INFINITY,
          unit: 'min',
          equation: 'the programme as keyed, packets in at their entry, doors and walls followed',
          source: 'wall model, docs/method.md, Oven',
        },
      ]}
    />
  )
}

const keyedSays = (correctionK: number, system: System): string =>
  Math.abs(correctionK) < 0.5
    ? 'Keyed as the blade should see it: this oven is not corrected.'
    : `Keyed ${formatDifference(correctionK, system)} to what the blade should see.`
