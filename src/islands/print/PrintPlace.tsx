import { bladesOf } from '../../core/batch/tray'
import type { BatchModel, ProgrammedLoad } from '../../core/bench/batch-model'
import type { Result } from '../../core/codes/result'
import type { Cut } from '../../core/foil/check-layout'
import { AMBIENT_C } from '../../core/oven/chamber'
import { correctionAt, keyedC } from '../../core/oven/correction'
import { keyIn } from '../../core/oven/keyed-programme'
import type { Batch } from '../../core/shop/batch'
import type { Oven } from '../../core/shop/oven'
import { bothScales, formatDifference, formatQuantity } from '../../core/units/quantity'
import { useBatch, useReadings } from '../../store/hooks'
import { RollDrawing } from '../../ui/foil/RollDrawing'
import { Problems } from '../../ui/Problems'
import { QrCode } from '../../ui/QrCode'
import { useSay } from '../../ui/Units'
import { standingWords } from '../../words/batch-day'
import { clockText } from '../../words/clock-text'
import { cutWords } from '../../words/cuts'
import { marksOf } from '../../words/lists'
import { holdWords, tooLongWords } from '../../words/pull-plan'
import { addressPart } from '../address'
import { KeyedTable } from '../batch/benches/heat/KeyedTable'
import { useBatchModel } from '../batch/use-batch-model'
import { type Laid, useWrap } from '../batch/use-wrap'
import { Place } from '../Place'
import { useShopNow } from '../shop-context'

export default function PrintPlace({ batchId = addressPart(2) }) {
  return (
    <Place>
      <Loaded batchId={batchId} />
    </Place>
  )
}

function Loaded({ batchId }: { batchId: string }) {
  const batch = useBatch(batchId)
  if (batch === undefined) return <p className="p-8">Reading …</p>
  if (!batch) return <p className="p-8">There is no such batch in this browser.</p>
  return (
    <div className="mx-auto max-w-[190mm] px-4 py-6 print:p-0">
      <div className="no-print mb-6 flex gap-2">
        <button type="button" className="btn btn-ember" onClick={() => print()}>
          Print
        </button>
        <a className="btn" href={`/batch/${batch.id}/heat`}>
          Back to the bench
        </a>
      </div>
      <ProgrammePart batch={batch} />
      <CutList batch={batch} />
      <Labels batch={batch} />
    </div>
  )
}

/** The programme sheet, or why there is none: nothing is printed that is keyed into another oven. */
function ProgrammePart({ batch }: { batch: Batch }) {
  const model = useBatchModel(batch, useReadings(batch.id), { isForPaper: true })
  if (!model) return <p className="p-8">Working out the programme …</p>
  const { oven, tempering, problems } = ovensOf(model)
  return model.ok && oven && tempering ? (
    <ProgrammeSheet model={model.value} oven={oven} tempering={tempering} />
  ) : (
    <section className="print-page">
      <h1 className="text-title">{batch.name}: programme sheet</h1>
      <Problems of={problems.slice(0, 1)} />
    </section>
  )
}

/** The ovens of a batch, or why it has none. */
function ovensOf(model: Result<BatchModel>) {
  if (!model.ok) return { oven: null, tempering: null, problems: model.problems }
  const { oven, temperingOven } = model.value
  return {
    oven: oven.ok ? oven.value : null,
    tempering: temperingOven.ok ? temperingOven.value : null,
    problems: [oven, temperingOven].flatMap(found => (found.ok ? [] : found.problems)),
  }
}

function ProgrammeSheet({ model, oven, tempering }: { model: BatchModel; oven: Oven; tempering: Oven }) {
  const { batch, shop, loads, temperLoads } = model
  return (
    <section className="print-page">
      <h1 className="text-title">{batch.name}: programme sheet</h1>
      <p className="mb-3 text-ink-2">
        {shop.name}. For {oven.name}, its correction of{' '}
        {formatDifference(correctionAt(oven, Math.max(...batch.groups.map(g => g.route.austenitizeC))), shop.units)}{' '}
        included.
      </p>
      {loads.map((load, i) => {
        const { programme } = load
        const keyed = programme.ok ? keyIn(programme.value, oven.controller) : programme
        return (
          <div key={load.austenitizeC} className="keep-together mb-5">
            <h2 className="text-large">
              Load {i + 1}: {marksOf(load.blades.map(b => b.mark))},{' '}
              {load.entryC <= AMBIENT_C ? 'in cold' : `in at ${bothScales(keyedC(oven, load.entryC), shop.units)}`}
            </h2>
            {keyed.ok ? <KeyedTable steps={keyed.value} oven={oven} /> : <Problems of={keyed.problems} className="" />}
            <p className="mt-1">
              Soak:{' '}
              {load.groups
                .map(g => `${g.gradeName} ${Math.round(g.route.soakMin)} min once the blade is there`)
                .join('; ')}
              .
            </p>
            <PullSheet load={load} />
          </div>
        )
      })}
      <h2 className="text-large">After the quench</h2>
      <DayLines model={model} />
      <table className="sheet">
        <tbody>
          {batch.groups
            .filter(g => g.route.cold)
            .map(g => (
              <tr key={g.id}>
                <td>Cold, {g.gradeName}</td>
                <td className="font-semibold">{bothScales(g.route.cold?.toC ?? 0, shop.units)}</td>
                <td>{formatQuantity(g.route.cold?.holdMin ?? 0, 'duration', shop.units)}</td>
              </tr>
            ))}
          {temperLoads.map((load, i) => (
            <tr key={i}>
              <td>
                Temper {load.round}, {marksOf(load.blades.map(b => b.mark))}
              </td>
              <td className="font-semibold">{bothScales(keyedC(tempering, load.atC), shop.units)}</td>
              <td>{formatQuantity(load.holdMin, 'duration', shop.units)}, then cool to room</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-4 border-l-4 border-rule-strong pl-3 text-small">
        Face shield, gauntlets, nothing that burns within reach. Local codes, the supplier’s safety sheet and licensed
        trades come first.
      </p>
    </section>
  )
}

/** How long all of it takes, and how long each steel stands before its first temper. */
function DayLines({ model: { day, groups, shop } }: { model: BatchModel }) {
  const say = useSay()
  if (!day) return null
  const nameOf = (groupId: string) => groups.find(g => g.group.id === groupId)?.group.gradeName ?? ''
  return (
    <p className="mb-1">
      The whole batch takes about {say.minutes(Math.round(day.totalMin))} from oven on to the last temper out.{' '}
      {day.standings.map(
        standing => `${standingWords(standing, nameOf(standing.groupId), say, shop.temperingOvenId !== null)} `,
      )}
    </p>
  )
}

/** When each blade is pulled, counted from the first pull, and what it soaks until then. */
function PullSheet({ load }: { load: ProgrammedLoad }) {
  const say = useSay()
  if (!load.pulls) return null
  const { pulls, hold } = load.pulls
  const blades = new Map(load.blades.map(blade => [blade.id, blade]))
  const fromS = pulls[0]?.pullAtS ?? 0
  const tooLong = tooLongWords(load.pulls, id => blades.get(id)?.mark ?? '')
  return (
    <>
      <p className="mt-1">{holdWords(hold)}</p>
      <table className="sheet mt-1">
        <caption className="text-left text-note text-ink-2">
          Pull order. First pull: {clockText(fromS)} min after the oven reaches austenitize temperature.
        </caption>
        <thead>
          <tr>
            <th>Pull, min from the first</th>
            <th>Blade</th>
            <th>Thickness</th>
            <th>Soak, min</th>
            <th>Pulled at (write in)</th>
          </tr>
        </thead>
        <tbody>
          {pulls.map(pull => {
            const blade = blades.get(pull.bladeId)
            return (
              <tr key={pull.bladeId}>
                <td className="figure">{clockText(pull.pullAtS - fromS)}</td>
                <td className="font-semibold">{blade?.mark}</td>
                <td>{blade && say.length(blade.line.thicknessMm)}</td>
                <td>{Math.round(pull.soakMin)}</td>
                <td>
                  <span className="inline-block w-24 border-b border-rule-strong">&nbsp;</span>
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {tooLong && <p className="mt-1 font-semibold text-bad">{tooLong}</p>}
    </>
  )
}

function CutList({ batch }: { batch: Batch }) {
  const shop = useShopNow()
  const { lines, answer, foil, laid } = useWrap(batch)
  if (!answer?.ok || !laid) return null
  const mm = (value: number) => formatQuantity(value, 'length', shop.units)
  const plan = answer.value
  return (
    <section className="print-page">
      <h1 className="mt-6 text-title print:mt-0">{batch.name}: cut list</h1>
      <p className="mb-3 text-ink-2">
        Foil type {foil.ok ? foil.value.name : '(see the Wrap bench)'}, {mm(laid.check.usedLengthMm)} off a roll{' '}
        {mm(shop.foil.rollWidthMm)} wide. Fold over the spine; long edge and ends rolled {batch.envelope.folds} times,{' '}
        {mm(batch.envelope.foldMm)} a fold.
      </p>
      <RollDrawing
        rollWidthMm={shop.foil.rollWidthMm}
        usedLengthMm={laid.check.usedLengthMm}
        layout={laid.layout}
        cuts={laid.check.cuts}
        marks={laid.marks}
        lengthText={mm}
      />
      {laid.check.cuts && <CutSteps cuts={laid.check.cuts} laid={laid} mm={mm} />}
      <table className="sheet mt-3">
        <thead>
          <tr>
            <th>Blades</th>
            <th>Sheet</th>
            <th>Count</th>
          </tr>
        </thead>
        <tbody>
          {plan.pieces.map((piece, i) => (
            <tr key={i}>
              <td>{lines[i]?.mark}</td>
              <td>
                {mm(piece.lengthMm)} × {mm(piece.widthMm)}
              </td>
              <td>{piece.count}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

/** Every cut in the order it is made, each drawn with those before it. */
function CutSteps({ cuts, laid, mm }: { cuts: readonly Cut[]; laid: Laid; mm: (v: number) => string }) {
  const say = useSay()
  const { rollWidthMm } = useShopNow().foil
  return (
    <ol className="mt-3 grid grid-cols-2 gap-x-6 gap-y-2">
      {cuts.map((cut, i) => (
        <li key={i} className="keep-together text-small">
          <strong>{i + 1}</strong> {cutWords(cut, rollWidthMm, say)}
          <RollDrawing
            rollWidthMm={rollWidthMm}
            usedLengthMm={laid.check.usedLengthMm}
            layout={laid.layout}
            cuts={cuts}
            marks={laid.marks}
            lengthText={mm}
            step={i}
          />
        </li>
      ))}
    </ol>
  )
}

function Labels({ batch }: { batch: Batch }) {
  const shop = useShopNow()
  return (
    <section className="print-page">
      <h1 className="mt-6 mb-3 text-title print:mt-0">{batch.name}: packet labels</h1>
      <ul className="grid grid-cols-3">
        {bladesOf(batch).map(({ id, mark, serial, line, group }) => (
          <li key={id} className="keep-together -mt-px -ml-px h-[34mm] border border-dashed border-rule-strong p-2">
            <QrCode
              text={`${location.origin}/blade/${id}`}
              label={`Code that opens ${mark}`}
              className="float-right h-[28mm] w-[28mm]"
            />
            <p className="figure text-figure-small">{mark}</p>
            <p className="font-semibold">{group.gradeName}</p>
            <p className="text-note">
              {formatQuantity(line.thicknessMm, 'length', shop.units)};{' '}
              {bothScales(group.route.austenitizeC, shop.units)}, {Math.round(group.route.soakMin)} min
            </p>
            <p className="text-note text-ink-2">
              {serial} · {batch.name}
            </p>
          </li>
        ))}
      </ul>
    </section>
  )
}
