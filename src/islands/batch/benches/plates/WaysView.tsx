import { contactOf } from '../../../../core/equipment/plates'
import { countedSeconds } from '../../../../core/load/quench-seconds'
import { seconds800to500Of } from '../../../../core/quench/cooling-time'
import { oneSidedBow } from '../../../../core/quench/one-sided'
import type { Line } from '../../../../core/shop/blade'
import { formatDifference, formatQuantity } from '../../../../core/units/quantity'
import { CONTACT } from '../../../../data/thermal'
import { useSay } from '../../../../ui/Units'
import { hrcText, percentText } from '../../../../words/speaker'
import { useAnswer } from '../../../../workers/use-answer'
import { usePredictions } from '../../../use-predictions'
import { useBench } from '../../bench-context'
import { quenchRequestOf } from './plates-request'

interface Props {
  /** The line whose blade is quenched, and that blade's mark. */
  readonly line: Line
  readonly mark: string
}

/** Laid down and clamped late: what a slow hand costs, s. */
const LATE_S = 6
const THICKER_MM = 12

/** The same blade by other ways: air, fan, oil, plates worse and better; what each leaves of hardness and of chromium. */
export function WaysView({ line, mark }: Props) {
  const { shown, shop, learnt } = useBench()
  const say = useSay()
  const base = quenchRequestOf(line, shown, shop, contactOf(shop))
  const ways = [
    ['plates, as they are', useAnswer('quench', base)],
    ['plates with compressed air', useAnswer('quench', { ...base, airWPerM2K: CONTACT.airBlast })],
    [
      `plates ${formatQuantity(THICKER_MM, 'length', shop.units)} thicker`,
      useAnswer('quench', { ...base, plates: { ...base.plates, thicknessMm: base.plates.thicknessMm + THICKER_MM } }),
    ],
    [`clamped ${LATE_S} s late`, useAnswer('quench', { ...base, delayS: LATE_S })],
    [
      `a gap of ${formatQuantity(0.1, 'length', shop.units)} by a fold`,
      useAnswer('quench', { ...base, clearanceMm: 0.1 }),
    ],
    ['fast oil, bare', useAnswer('quench', { ...base, medium: 'fast-oil' as const, foilMm: 0 })],
    ['a fan, bare', useAnswer('quench', { ...base, medium: 'fan-air' as const, foilMm: 0 })],
    ['still air, in foil', useAnswer('quench', { ...base, medium: 'still-air' as const })],
  ] as const
  const firsts = ways.map(([, answer]) => (answer?.ok ? answer.value.blades[0] : undefined))
  const seconds800to500 = firsts.map(first => first && seconds800to500Of(first))
  const { grade, group } = shown
  // A way that is still worked out is predicted as planned, and not shown.
  const made = usePredictions(
    seconds800to500.map(s => ({
      grade,
      route: s === undefined ? group.route : { ...group.route, seconds800to500: countedSeconds(s, grade) },
    })),
    learnt,
  )
  const slowest = shown.grade.quench.slowest800to500S
  const bow = oneSidedBow(line, shown.group.route.austenitizeC, shop.plates.startC, 3)
  const seconds = (s: number | null | undefined) =>
    s === null || s === undefined ? '—' : s < 10 ? s.toFixed(1) : String(Math.round(s))
  return (
    <div>
      <table className="sheet">
        <caption className="mb-1 text-left text-note text-ink-2">
          {mark}, {formatQuantity(line.thicknessMm, 'length', shop.units)}; this grade needs {slowest} s or less from{' '}
          {say.bare(800)} to {say.t(500)}
        </caption>
        <thead>
          <tr>
            <th>Way</th>
            <th>
              {say.bare(800)} to {say.t(500)}, s
            </th>
            <th>Cool enough to hold after, s</th>
            <th>As quenched, HRC</th>
            <th>Chromium lost to carbides</th>
          </tr>
        </thead>
        <tbody>
          {ways.map(([name], i) => {
            const first = firsts[i]
            const s = seconds800to500[i]
            const prediction = s === undefined ? undefined : made?.[i]
            return (
              <tr key={name}>
                <td>{name}</td>
                <td className={s !== undefined && s > slowest ? 'font-semibold text-bad' : 'font-semibold'}>
                  {seconds(s)}
                  {s !== undefined && s > slowest ? ' too slow' : ''}
                </td>
                <td>{seconds(first?.secondsTo['60'])}</td>
                <td>{prediction ? hrcText(prediction.hrc.asQuenched.mean) : '—'}</td>
                <td>{prediction ? percentText(prediction.corrosion.slowCoolingPenalty) : '—'}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <p className="mt-2 max-w-2xl text-small">
        Laid on one plate before it is clamped, it is {formatDifference(bow.gradientK, shop.units).replace(/^\+/, '')}{' '}
        hotter on top and bows {say.thin(bow.bowMm)} within three seconds. The clamp presses that flat again. How much
        warp stays cannot be predicted.
      </p>
    </div>
  )
}
