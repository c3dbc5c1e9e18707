import { contactOf } from '../../../../core/plan/pull-list'
import { oneSidedBow } from '../../../../core/quench/one-sided'
import { seconds800to500Of } from '../../../../core/quench/quench'
import type { Blade, Workshop } from '../../../../core/record/schemas'
import { predict } from '../../../../core/steel/predict'
import { formatDifference, formatQuantity } from '../../../../core/units/quantity'
import { CONTACT } from '../../../../data/thermal'
import { Prose } from '../../../../ui/Units'
import { useAnswer } from '../../../../workers/use-answer'
import { type BenchProps, hrcText } from '../bench-props'
import { quenchRequestOf } from './plates-request'

interface Props {
  readonly blade: Blade
  readonly plan: BenchProps['plan']
  readonly shop: Workshop
}

/** Laid down and clamped late: what a slow hand costs, s. */
const LATE_S = 6
const THICKER_MM = 12

/** The same blade by other ways: air, fan, oil, plates worse and better; what each leaves of hardness and of chromium. */
export function WaysView({ blade, plan, shop }: Props) {
  const base = quenchRequestOf(blade, plan, shop, contactOf(shop))
  const ways = [
    ['plates, as they are', useAnswer('quench', base)],
    ['plates in air blast', useAnswer('quench', { ...base, airWPerM2K: CONTACT.airBlast })],
    [
      `plates ${formatQuantity(THICKER_MM, 'length', shop.units)} thicker`,
      useAnswer('quench', { ...base, plates: { ...base.plates, thicknessMm: base.plates.thicknessMm + THICKER_MM } }),
    ],
    [`clamped ${LATE_S} s late`, useAnswer('quench', { ...base, delayS: LATE_S })],
    [
      `a gap of ${formatQuantity(0.1, 'length', shop.units)} by a fold`,
      useAnswer('quench', { ...base, clearanceMm: 0.1 }),
    ],
    ['fast oil, bare', useAnswer('quench', { ...base, medium: 'oil' as const, foilMm: 0 })],
    ['a fan, bare', useAnswer('quench', { ...base, medium: 'fan-air' as const, foilMm: 0 })],
    ['still air, in foil', useAnswer('quench', { ...base, medium: 'still-air' as const })],
  ] as const
  const slowest = plan.grade.quench.slowest800to500S
  const bow = oneSidedBow(blade, plan.group.route.austenitizeC, shop.plates.startC, 3)
  const seconds = (s: number | null | undefined) =>
    s === null || s === undefined ? '—' : s < 10 ? s.toFixed(1) : String(Math.round(s))
  return (
    <div>
      <table className="sheet">
        <caption className="mb-1 text-left text-[12.5px] text-ink-2">
          {blade.mark}, {formatQuantity(blade.thicknessMm, 'length', shop.units)}; this grade wants {slowest} s or less
          <Prose>from 800 to 500 °C</Prose>
        </caption>
        <thead>
          <tr>
            <th>Way</th>
            <th>
              <Prose>800 to 500 °C, s</Prose>
            </th>
            <th>Hand-warm, s</th>
            <th>As quenched, HRC</th>
            <th>Chromium lost to slow cooling</th>
          </tr>
        </thead>
        <tbody>
          {ways.map(([name, answer]) => {
            const first = answer?.ok ? answer.value.blades[0] : undefined
            const s = first && seconds800to500Of(first)
            const made =
              s === undefined
                ? null
                : predict(plan.grade, { ...plan.group.route, seconds800to500: Math.max(0.1, s) }, plan.experience)
            return (
              <tr key={name}>
                <td>{name}</td>
                <td className={s !== undefined && s > slowest ? 'font-semibold text-bad' : 'font-semibold'}>
                  {seconds(s)}
                  {s !== undefined && s > slowest ? ' too slow' : ''}
                </td>
                <td>{seconds(first?.secondsTo['60'])}</td>
                <td>{made ? hrcText(made.hrc.asQuenched.mean) : '—'}</td>
                <td>{made ? `${(100 * made.corrosion.slowCoolingPenalty).toFixed(0)} %` : '—'}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <p className="mt-2 max-w-2xl text-[13px]">
        Laid on one plate before it is clamped, it is {formatDifference(bow.gradientK, shop.units).replace(/^\+/, '')}{' '}
        hotter on top and bows <Prose>{`${bow.bowMm.toFixed(2)} mm`}</Prose> within three seconds. The clamp takes that
        out again; what stays as warp is not foretold.
      </p>
    </div>
  )
}
