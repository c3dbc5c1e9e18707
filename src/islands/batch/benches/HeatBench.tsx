import { useMemo, useState } from 'react'
import type { ProgrammedLoad } from '../../../core/bench/batch-model'
import type { Result } from '../../../core/codes/result'
import { worked } from '../../../core/codes/working'
import { costAt } from '../../../core/cost/price'
import type { HeatAnswer, LoadHeat } from '../../../core/load/load-heat'
import { correctionAt } from '../../../core/oven/correction'
import type { Oven } from '../../../core/shop/oven'
import { formatDifference, formatQuantity, type System } from '../../../core/units/quantity'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { editBatch } from '../../../store/batches'
import { Bench, CautionNote, Figure } from '../../../ui/Bench'
import { SelectField } from '../../../ui/PlainFields'
import { Problems } from '../../../ui/Problems'
import { useSay } from '../../../ui/Units'
import { ViewChoice } from '../../../ui/ViewChoice'
import { soaksText } from '../../../words/pull-plan'
import { edgeLeadWords } from '../../../words/thin-edge'
import { useAnswer } from '../../../workers/use-answer'
import { useBench } from '../bench-context'
import { useController } from '../use-controller'
import { EmptyTray } from './EmptyTray'
import { EntryView } from './heat/EntryView'
import { LoggedHeatView } from './heat/LoggedHeatView'
import { ProgrammeView } from './heat/ProgrammeView'
import { RackView } from './heat/RackView'
import { SharedSoak } from './heat/SharedSoak'
import { SoakTooLong } from './SoakTooLong'

/** Shows the energy of a load, and its cost if a price is set. */
function EnergyFigure({ answer }: { answer: HeatAnswer }) {
  const say = useSay()
  const { shop } = useBench()
  const { energyKWh, fromMin } = answer
  const cost = costAt(energyKWh, shop.prices?.kWh)
  return (
    <Figure
      label={fromMin > 0 ? 'Energy of this load, after the one before' : 'Energy of this heat, from cold'}
      value={energyKWh.toFixed(1)}
      unit={cost === null ? 'kWh' : `kWh, costs ${say.money(cost)}`}
      working={[
        worked('heat-energy', energyKWh, 'kWh', {}),
        ...(cost === null ? [] : [worked('heat-cost', cost, 'money', {})]),
      ]}
    />
  )
}

const VIEWS = [
  ['rack', 'Rack'],
  ['programme', 'Programme'],
  ['entry', 'Ways to load'],
  ['after', 'Logged heat'],
] as const

/** Loads, the rack, the programme to key in, and how far the blade is behind the oven. */
export function HeatBench() {
  const { load, oven } = useBench()
  if (!load) return <EmptyTray title="Heat" what="the load, the programme and the soak clock" />
  return oven.ok ? <Heat load={load} oven={oven.value} /> : <OvenChoice />
}

function Heat({ load, oven }: { load: ProgrammedLoad; oven: Oven }) {
  const { batch, shown, shop, loads } = useBench()
  const { session } = useController(batch.id)
  // With a controller on the line it is what one comes back for.
  const [view, setView] = useState<(typeof VIEWS)[number][0]>(session ? 'programme' : 'rack')
  const loadIndex = loads.indexOf(load)
  const { thicknessMm } = shown
  const heat = useAnswer(
    'load-heat',
    useMemo(() => ({ batch, shop, loadIndex, thicknessMm }), [batch, shop, loadIndex, thicknessMm]),
  )
  const { austenitizeC, programme } = load
  return (
    <Bench
      title="Heat"
      says={
        loads.length > 1
          ? `Load ${loadIndex + 1} of ${loads.length}, ${loadIndex === 0 ? 'the cooler load goes first' : 'it goes straight into the hot oven'}.`
          : 'Thin blades stand in front, the thickest at the back.'
      }
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={
        <>
          {view === 'rack' && loads.length > 1 && <SharedSoak />}
          {view === 'rack' && <RackView load={load} oven={oven} heat={heat} />}
          {view === 'programme' && <ProgrammeView load={load} oven={oven} />}
          {view === 'entry' && <EntryView load={load} oven={oven} />}
          {view === 'after' && <LoggedHeatView load={load} oven={oven} />}
        </>
      }
      figures={
        <>
          <ClimbFigure heat={heat} />
          {heat?.ok && <LagFigure heat={heat.value} load={load} thicknessMm={thicknessMm} />}
          <SoakFigure load={load} />
          <SoakTooLong load={load} />
          {heat?.ok && <EnergyFigure answer={heat.value} />}
          {!programme.ok && <Problems of={programme.problems} className="my-2" />}
          <CautionNote>
            {CAUTIONS.heat} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        view === 'rack' && (
          <div className="grid max-w-3xl grid-cols-2 items-end gap-3 sm:grid-cols-3">
            <OvenField />
            <p className="text-small sm:col-span-2">
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

/** Which oven hardens the batch. Where the packets stood in another does not hold in this one. */
function OvenField() {
  const { batch, shop, oven } = useBench()
  const choices = shop.ovens.filter(o => o.use === 'hardening' || o.id === batch.ovenId)
  return (
    <SelectField
      label="Hardening oven"
      value={oven.ok ? oven.value.id : ''}
      options={[
        ...(oven.ok ? [] : [['', `${batch.ovenName || 'no oven'}, not in the workshop`] as const]),
        ...choices.map(o => [o.id, o.name] as const),
      ]}
      onCommit={id => {
        const chosen = shop.ovens.find(o => o.id === id)
        if (!chosen) return
        void editBatch(batch, 'Oven', b => ({
          ...b,
          ovenId: chosen.id,
          ovenName: chosen.name,
          blades: b.blades.map(({ rack: _, ...blade }) => blade),
        }))
      }}
    />
  )
}

/** The batch's oven is gone: nothing is worked out until another is chosen. */
const OvenChoice = () => {
  const { oven } = useBench()
  return (
    <section aria-label="Heat" className="max-w-md p-6">
      <h2 className="text-heading">Heat</h2>
      {!oven.ok && <Problems of={oven.problems} className="my-3" />}
      <OvenField />
    </section>
  )
}

/** Shows the soak of the blades of the shown steel, from the first pulled to the last. */
function SoakFigure({ load }: { load: ProgrammedLoad }) {
  const { shown } = useBench()
  const own = new Set(load.blades.filter(blade => blade.group.id === shown.group.id).map(blade => blade.id))
  const pulls = load.pulls?.pulls.filter(pull => own.has(pull.bladeId)) ?? []
  return (
    <Figure
      label={`Soak of ${shown.group.gradeName}, first to last blade pulled`}
      term="soak"
      value={pulls.length > 0 ? soaksText(pulls).replace(/ min$/, '') : String(Math.round(shown.group.route.soakMin))}
      unit="min"
      note="Counted from when the blade is as hot as the oven. The last blades soak on while the others are quenched. The pull list at Plates shows each blade."
    />
  )
}

interface LagProps {
  readonly heat: LoadHeat
  readonly load: ProgrammedLoad
  readonly thicknessMm: number
}

/** From so much on the edge's longer soak is worth a word, s. */
const EDGE_LEAD_S = 30

/** How far the blade is behind the oven when that is at heat. */
function LagFigure({ heat: { alone, crowded, edge }, load, thicknessMm }: LagProps) {
  const { shop } = useBench()
  const say = useSay()
  return (
    <>
      <Figure
        label={`${formatQuantity(thicknessMm, 'length', shop.units)} blade reaches full heat after the oven`}
        value={crowded.lagS <= 0 ? '0' : `${Math.round(alone.lagS)} to ${Math.round(crowded.lagS)}`}
        unit={crowded.lagS <= 0 ? 's: no lag, the blade follows the oven' : 's, standing alone to closely packed'}
        working={[
          worked('climb-rate', alone.rateCPerH, 'K/h', {
            preheated: load.equalise.length > 0,
          }),
          worked('lag-alone', alone.lagS, 's', {}),
          worked('lag-crowded', crowded.lagS, 's', {}),
        ]}
        note="The soak starts when the blade, not the oven, is at temperature. Foil pressed flat on the blade shortens the delay."
      />
      {edge && edge.leadS >= EDGE_LEAD_S && <p className="pb-2 text-small">{edgeLeadWords(edge, say)}</p>}
    </>
  )
}

/** When the oven itself is at the soak of this load. */
function ClimbFigure({ heat }: { heat: Result<LoadHeat> | undefined }) {
  if (!heat?.ok) return null
  const { reachedMin, fromMin } = heat.value
  const climbMin = reachedMin === null ? null : reachedMin - fromMin
  return (
    <Figure
      label={fromMin > 0 ? 'Time to full heat with this load' : 'Time from cold to full heat with this load'}
      value={climbMin === null ? '∞' : String(Math.round(climbMin))}
      unit="min, preheats included"
      working={[worked('to-full-heat', climbMin ?? Number.POSITIVE_INFINITY, 'min', { afterLoad: fromMin > 0 })]}
    />
  )
}

const keyedSays = (correctionK: number, system: System): string =>
  Math.abs(correctionK) < 0.5
    ? 'Keyed without a correction: none is set for this oven.'
    : `Keyed with this oven’s correction of ${formatDifference(correctionK, system)}.`
