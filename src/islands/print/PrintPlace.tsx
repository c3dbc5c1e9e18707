import type { Cut } from '../../core/foil/check-layout'
import { keyIn } from '../../core/oven/as-keyed'
import { AMBIENT_C } from '../../core/oven/chamber'
import { correctionAt, keyedC } from '../../core/oven/correction'
import { programmeOf } from '../../core/plan/heat-load'
import { loadsOf, piecesOf, temperLoadsOf } from '../../core/plan/tray'
import { foilMarkLine } from '../../core/plan/words'
import { ovenOf, temperingOvenOf } from '../../core/record/oven-record'
import type { Batch, Workshop } from '../../core/record/schemas'
import { formatBoth, formatDifference, formatQuantity } from '../../core/units/quantity'
import { useBatch } from '../../store/hooks'
import { RollDrawing } from '../../ui/foil/RollDrawing'
import { QrCode } from '../../ui/QrCode'
import { KeyedTable } from '../batch/benches/heat/KeyedTable'
import { useWrap } from '../batch/use-wrap'
import { Place } from '../Place'

export default function PrintPlace({ batchId }: { batchId: string }) {
  return <Place>{shop => <Loaded batchId={batchId} shop={shop} />}</Place>
}

function Loaded({ batchId, shop }: { batchId: string; shop: Workshop }) {
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
      <ProgrammeSheet batch={batch} shop={shop} />
      <CutList batch={batch} shop={shop} />
      <Labels batch={batch} shop={shop} />
    </div>
  )
}

function ProgrammeSheet({ batch, shop }: { batch: Batch; shop: Workshop }) {
  const oven = ovenOf(shop, batch)
  return (
    <section className="print-page">
      <h1 className="text-[24px]">{batch.name}: programme sheet</h1>
      <p className="mb-3 text-ink-2">
        {shop.name}. For {oven.name}, its correction of{' '}
        {formatDifference(correctionAt(oven, Math.max(...batch.groups.map(g => g.route.austenitizeC))), shop.units)}{' '}
        included.
      </p>
      {loadsOf(batch).map((load, i) => {
        const programme = programmeOf(load, oven)
        const keyed = programme.ok ? keyIn(programme.value, oven.controller) : programme
        return (
          <div key={load.austenitizeC} className="keep-together mb-5">
            <h2 className="text-[17px]">
              Load {i + 1}: {foilMarkLine(load.pieces.map(p => p.mark))},{' '}
              {load.entryC <= AMBIENT_C ? 'in cold' : `in at ${formatBoth(keyedC(oven, load.entryC), shop.units)}`}
            </h2>
            {keyed.ok ? (
              <KeyedTable steps={keyed.value} oven={oven} shop={shop} />
            ) : (
              <p className="text-bad">{keyed.problems[0]?.message}</p>
            )}
            <p className="mt-1">
              Soak:{' '}
              {load.groups
                .map(g => `${g.gradeName} ${Math.round(g.route.soakMin)} min once the blade is there`)
                .join('; ')}
              .
            </p>
            <p className="mt-1">
              Pull order:{' '}
              {load.pieces
                .map(p => `${p.mark} (${formatQuantity(p.blade.thicknessMm, 'length', shop.units)})`)
                .join(', ')}
            </p>
          </div>
        )
      })}
      <h2 className="text-[17px]">After the quench</h2>
      <table className="sheet">
        <tbody>
          {batch.groups
            .filter(g => g.route.cold)
            .map(g => (
              <tr key={g.id}>
                <td>Cold, {g.gradeName}</td>
                <td className="font-semibold">{formatBoth(g.route.cold?.toC ?? 0, shop.units)}</td>
                <td>{formatQuantity(g.route.cold?.holdMin ?? 0, 'duration', shop.units)}</td>
              </tr>
            ))}
          {temperLoadsOf(batch).map((load, i) => (
            <tr key={i}>
              <td>
                Temper {load.round}, {foilMarkLine(load.pieces.map(p => p.mark))}
              </td>
              <td className="font-semibold">
                {formatBoth(keyedC(temperingOvenOf(shop, batch), load.atC), shop.units)}
              </td>
              <td>{formatQuantity(load.holdMin, 'duration', shop.units)}, then cool to room</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-4 border-l-4 border-rule-strong pl-3 text-[13px]">
        Face shield, gauntlets, nothing that burns within reach. Local codes, the supplier’s safety sheet and licensed
        trades come first.
      </p>
    </section>
  )
}

function CutList({ batch, shop }: { batch: Batch; shop: Workshop }) {
  const { answer, foil, laid } = useWrap(batch, shop)
  if (!answer?.ok || !laid) return null
  const mm = (value: number) => formatQuantity(value, 'length', shop.units)
  const plan = answer.value
  return (
    <section className="print-page">
      <h1 className="mt-6 text-[24px] print:mt-0">{batch.name}: cut list</h1>
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
      {laid.check.cuts && <ShearOrder cuts={laid.check.cuts} rollWidthMm={shop.foil.rollWidthMm} mm={mm} />}
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
              <td>{batch.blades[i]?.mark}</td>
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

/** Every cut in the order it is made: first across the whole roll, then inside each section. */
function ShearOrder({
  cuts,
  rollWidthMm,
  mm,
}: {
  cuts: readonly Cut[]
  rollWidthMm: number
  mm: (v: number) => string
}) {
  const isWhole = (cut: Cut) => cut.kind === 'across' && cut.toMm - cut.fromMm >= rollWidthMm - 1
  const said = (list: readonly Cut[]) => list.map(cut => `${cut.kind} at ${mm(cut.atMm)}`).join(', ')
  return (
    <p className="mt-2 text-[13px]">
      <strong>Across the whole roll, from the free end:</strong>{' '}
      {cuts
        .filter(isWhole)
        .map((cut, i) => `${i + 1} at ${mm(cut.atMm)}`)
        .join(', ')}
      . <strong>Then inside the sections:</strong> {said(cuts.filter(cut => !isWhole(cut))) || 'nothing more'}. Along is
      measured from the left edge of the roll.
    </p>
  )
}

function Labels({ batch, shop }: { batch: Batch; shop: Workshop }) {
  return (
    <section className="print-page">
      <h1 className="mt-6 mb-3 text-[24px] print:mt-0">{batch.name}: packet labels</h1>
      <ul className="grid grid-cols-3">
        {piecesOf(batch).map(({ mark, blade, group }) => (
          <li key={mark} className="keep-together -mt-px -ml-px h-[34mm] border border-dashed border-rule-strong p-2">
            <QrCode
              text={`${location.origin}/blade/${batch.id}/${encodeURIComponent(mark)}`}
              label={`Code that opens ${mark}`}
              className="float-right h-[28mm] w-[28mm]"
            />
            <p className="figure text-[30px]">{mark}</p>
            <p className="font-semibold">{group.gradeName}</p>
            <p className="text-[12px]">
              {formatQuantity(blade.thicknessMm, 'length', shop.units)};{' '}
              {formatBoth(group.route.austenitizeC, shop.units)}, {Math.round(group.route.soakMin)} min
            </p>
            <p className="text-[12px] text-ink-2">{batch.name}</p>
          </li>
        ))}
      </ul>
    </section>
  )
}
