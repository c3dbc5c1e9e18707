import { addMinutes } from 'date-fns/addMinutes'
import type { BatchModel, ExpectedTemperLoad, ProgrammedLoad } from '../../core/bench/batch-model'
import { placesOf, rackPacketsOf } from '../../core/load/heat-load'
import { AMBIENT_C } from '../../core/oven/chamber'
import { correctionAt, keyedC } from '../../core/oven/correction'
import { keyIn } from '../../core/oven/keyed-programme'
import type { Oven } from '../../core/shop/oven'
import { CAUTIONS, DEFER } from '../../data/cautions'
import { PACE } from '../../data/pace'
import { clock } from '../../ui/dates'
import { RackPlan } from '../../ui/drawings/RackPlan'
import { Problems } from '../../ui/Problems'
import { useSay } from '../../ui/Units'
import { standingWords } from '../../words/batch-day'
import { clockText } from '../../words/clock-text'
import { marksOf } from '../../words/lists'
import { inUnits } from '../../words/marked'
import { holdWords, tooLongWords } from '../../words/pull-plan'
import { hrcOrDash } from '../../words/speaker'
import { KeyedTable } from '../batch/benches/heat/KeyedTable'

interface Props {
  readonly model: BatchModel
  readonly oven: Oven
  readonly tempering: Oven
  /** When the oven is switched on. */
  readonly onAt: Date
}

/** A box to write into. */
const Box = ({ wide = false }: { wide?: boolean }) => (
  <span className={`inline-block h-7 border border-rule-strong align-middle ${wide ? 'w-24' : 'w-14'}`} />
)

/** The whole of a batch at its ovens on paper: when, what is keyed, who stands where, what it should read, and room to write. */
export function OvenSheet({ model, oven, tempering, onAt }: Props) {
  const { batch, shop, loads, temperLoads, day } = model
  const say = useSay()
  const at = (min: number) => clock(addMinutes(onAt, min))
  const withBlades = loads.filter(load => load.blades.length > 0)
  return (
    <section className="print-page">
      <h1 className="text-title">{batch.name}: oven sheet</h1>
      <p className="mb-2 text-small">
        {shop.name}. {oven.name}, correction of{' '}
        {say.signed(correctionAt(oven, Math.max(...batch.groups.map(g => g.route.austenitizeC))))} included.{' '}
        {day && (
          <>
            On at <strong className="figure text-title">{at(0)}</strong>, last temper out at{' '}
            <strong className="figure text-title">{at(day.totalMin)}</strong>.
          </>
        )}
      </p>
      {withBlades.map((load, i) => (
        <LoadPart key={load.austenitizeC} load={load} index={i} model={model} oven={oven} at={at} />
      ))}
      <section className="keep-together">
        <h2 className="text-large">After the quench</h2>
        {day?.standings.map(standing => (
          <p key={standing.groupId} className="text-small">
            {standingWords(
              standing,
              batch.groups.find(({ id }) => id === standing.groupId)?.gradeName ?? '',
              say,
              shop.temperingOvenId !== null,
            )}
          </p>
        ))}
        <table className="sheet mt-1">
          <thead>
            <tr>
              <th>Step</th>
              <th>Blades</th>
              <th>Set to</th>
              <th>Hold</th>
              <th>In</th>
              <th>Out</th>
              <th>Expected after, HRC</th>
              <th>In and out (write in)</th>
            </tr>
          </thead>
          <tbody>
            <ColdRow model={model} at={at} />
            {temperLoads.map(load => (
              <TemperRow
                key={`${load.round} ${load.atC} ${load.holdMin}`}
                load={load}
                model={model}
                oven={tempering}
                at={at}
              />
            ))}
          </tbody>
        </table>
        <p className="mt-1 text-small">Let the blades cool to room temperature between tempers.</p>
      </section>
      <ReadingsTable model={model} />
      <p className="keep-together mt-3 border-l-4 border-rule-strong pl-3 text-note">
        {[CAUTIONS.heat, CAUTIONS.plates, CAUTIONS.cold, CAUTIONS.temper]
          .map(caution => inUnits(caution ?? '', say))
          .join(' ')}{' '}
        {DEFER}
      </p>
    </section>
  )
}

type At = (min: number) => string

interface PartProps {
  readonly load: ProgrammedLoad
  readonly index: number
  readonly model: BatchModel
  readonly oven: Oven
  readonly at: At
}

/** One load: when it goes in, what is keyed, where its packets stand and when each is pulled. */
function LoadPart({ load, index, model, oven, at }: PartProps) {
  const say = useSay()
  const { programme, pulls } = load
  const keyed = programme.ok ? keyIn(programme.value, oven.controller) : programme
  const times = model.day?.hot[index]
  const marks = new Map(load.blades.map(blade => [blade.id, blade.mark]))
  const tooLong = pulls && tooLongWords(pulls, id => marks.get(id) ?? '')
  return (
    <div className="mb-4">
      <div className="keep-together">
        <h2 className="text-large">
          Load {index + 1}: {marksOf([...marks.values()])},{' '}
          {load.entryC <= AMBIENT_C ? 'in cold' : `in at ${say.keyed(keyedC(oven, load.entryC))}`}
        </h2>
        {times && (
          <p className="text-body">
            In at <strong className="figure text-title">{at(times.loadedMin)}</strong>, at full heat at{' '}
            <strong className="figure text-title">{at(times.reachedMin)}</strong>. Loaded at <Box wide />, at full heat
            at <Box wide />
          </p>
        )}
        {keyed.ok ? <KeyedTable steps={keyed.value} oven={oven} /> : <Problems of={keyed.problems} className="" />}
      </div>
      <div className="keep-together my-2">
        <RackPlan
          chamber={oven.chamberMm}
          packets={rackPacketsOf(load).map(packet => ({ ...packet, mark: marks.get(packet.id) ?? '' }))}
          places={placesOf(load, oven)}
        />
      </div>
      {pulls && (
        <>
          <p className="text-small">{holdWords(pulls.hold)}</p>
          <table className="sheet mt-1">
            <caption className="text-left text-note text-ink-2">
              Pull order. If full heat comes later than planned, every pull is later by as much.
            </caption>
            <thead>
              <tr>
                <th>Pull at</th>
                <th>After full heat, min</th>
                <th>Blade</th>
                <th>Soak, min</th>
                <th>Expected at the end, HRC</th>
                <th>Pulled at (write in)</th>
              </tr>
            </thead>
            <tbody>
              {pulls.pulls.map((pull, i) => (
                <tr key={pull.bladeId}>
                  <td className="figure text-title">{times ? at(times.pulls[i]?.pullMin ?? 0) : '…'}</td>
                  <td className="figure">{clockText(pull.pullAtS)}</td>
                  <td className="figure text-title">{marks.get(pull.bladeId)}</td>
                  <td className="figure">{Math.round(pull.soakMin)}</td>
                  <td className="figure text-lead">{hrcOrDash(pull.hrc)}</td>
                  <td>
                    <Box wide />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {tooLong && <p className="mt-1 font-semibold text-bad">{tooLong}</p>}
        </>
      )}
    </div>
  )
}

function ColdRow({ model: { batch, blades, day }, at }: { model: BatchModel; at: At }) {
  const say = useSay()
  const cold = blades.flatMap(({ mark, group }) => (group.route.cold ? [{ mark, ...group.route.cold }] : []))
  if (cold.length === 0) return null
  const holdMin = Math.max(...cold.map(one => one.holdMin))
  return (
    <tr>
      <td>Cold</td>
      <td>{marksOf(cold.map(({ mark }) => mark))}</td>
      <td className="figure">
        {[...new Set(batch.groups.flatMap(({ route }) => (route.cold ? [say.keyed(route.cold.toC)] : [])))].join(', ')}
      </td>
      <td>{say.minutes(holdMin)}</td>
      <td className="figure text-lead">{day?.cold ? at(day.cold.startMin) : '…'}</td>
      <td className="figure text-lead">{day?.cold ? at(day.cold.endMin - PACE.warmMin) : '…'}</td>
      <td>—</td>
      <td>
        <Box /> <Box />
      </td>
    </tr>
  )
}

interface TemperProps {
  readonly load: ExpectedTemperLoad
  readonly model: BatchModel
  readonly oven: Oven
  readonly at: At
}

function TemperRow({ load, model: { groups }, oven, at }: TemperProps) {
  const say = useSay()
  const nameOf = (groupId: string) => groups.find(({ group }) => group.id === groupId)?.group.gradeName ?? ''
  return (
    <tr>
      <td className="whitespace-nowrap">Temper {load.round}</td>
      <td>{marksOf(load.blades.map(b => b.mark))}</td>
      <td className="figure text-lead whitespace-nowrap">{say.keyed(keyedC(oven, load.atC))}</td>
      <td>{say.minutes(load.holdMin)}</td>
      <td className="figure text-lead">{load.place ? at(load.place.startMin) : '…'}</td>
      <td className="figure text-lead">{load.place ? at(load.place.endMin) : '…'}</td>
      <td className="figure">
        {load.expected
          .map(({ hrc, groupId }) => `${hrcOrDash(hrc)}${load.expected.length > 1 ? ` (${nameOf(groupId)})` : ''}`)
          .join(', ')}
      </td>
      <td>
        <Box /> <Box />
      </td>
    </tr>
  )
}

/** Room for three readings of each blade beside what it is aimed at. */
function ReadingsTable({ model: { blades } }: { model: BatchModel }) {
  return (
    <section className="mt-3">
      <h2 className="text-large">Readings, HRC</h2>
      <ul className="grid grid-cols-2 gap-x-6">
        {blades.map(({ id, mark, group }) => (
          <li key={id} className="keep-together flex items-center justify-between gap-2 border-b border-rule py-1">
            <span className="figure text-lead">{mark}</span>
            <span className="text-note">
              {group.target.min} to {group.target.max}
            </span>
            <span className="flex gap-1">
              <Box />
              <Box />
              <Box />
            </span>
          </li>
        ))}
      </ul>
    </section>
  )
}
