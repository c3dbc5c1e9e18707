import { useMemo, useState } from 'react'
import { coldToC, newBatch } from '../../core/job/new-batch'
import { usualOvenOf } from '../../core/job/ovens'
import { type RankedGrade, rankGrades, targetFor } from '../../core/job/rank-steels'
import { reachC } from '../../core/oven/correction'
import { BOUNDS } from '../../core/shop/bounds'
import { formatBoth } from '../../core/units/quantity'
import type { Grade } from '../../data/grades'
import { USE_NAMES, USES, type UseName } from '../../data/uses'
import { addBatch } from '../../store/batches'
import { NumberField } from '../../ui/PlainFields'
import { QuantityField } from '../../ui/QuantityField'
import { useSay } from '../../ui/Units'
import { rankWords, refusalWords } from '../../words/steels'
import { newId } from '../batch/edit'
import { useShopNow } from '../shop-context'

interface Props {
  readonly grades: readonly Grade[]
  readonly onGrade: (gradeId: string) => void
}

/** From use, edge and what the shop has: steels and routes in order, with the reason; and what can not be done here. */
export default function SuggestView({ grades, onGrade }: Props) {
  const say = useSay()
  const shop = useShopNow()
  const [use, setUse] = useState<UseName>('kitchen')
  const [edgeDeg, setEdgeDeg] = useState(USES.kitchen.edgeDeg)
  const [thicknessMm, setThicknessMm] = useState(2.5)
  const [oil, setOil] = useState(false)
  const { ranked, refused } = useMemo(
    () =>
      rankGrades({
        grades,
        use,
        edgeDeg,
        thicknessMm,
        coldToC: coldToC(shop),
        ovenMaxC: reachC(usualOvenOf(shop)),
        oil,
      }),
    [grades, use, edgeDeg, thicknessMm, oil, shop],
  )
  const target = targetFor(use, edgeDeg)
  return (
    <div className="grid gap-x-10 gap-y-4 lg:grid-cols-[250px_minmax(0,1fr)]">
      <div className="space-y-4">
        <fieldset>
          <legend className="label">What is it for?</legend>
          <div className="grid grid-cols-2 gap-1 lg:grid-cols-1">
            {USE_NAMES.map(name => (
              <button
                key={name}
                type="button"
                aria-pressed={use === name}
                className={`btn justify-start ${use === name ? 'btn-ember' : ''}`}
                onClick={() => {
                  setUse(name)
                  setEdgeDeg(USES[name].edgeDeg)
                }}
              >
                {USES[name].label}
              </button>
            ))}
          </div>
        </fieldset>
        <NumberField label="Edge angle, a side" unit="°" value={edgeDeg} {...BOUNDS.edgeDeg} onCommit={setEdgeDeg} />
        <QuantityField
          label="Spine"
          dimension="length"
          value={thicknessMm}
          {...BOUNDS.bladeThicknessMm}
          onCommit={setThicknessMm}
        />
        <label className="flex min-h-11 items-center gap-2">
          <input type="checkbox" className="h-5 w-5" checked={oil} onChange={event => setOil(event.target.checked)} />
          There is a quench oil bath here
        </label>
        <p className="text-[12.5px] text-ink-2">
          Asked of the blade: {target.min} to {target.max} HRC. Cold, oven and foil as in Workshop.
        </p>
      </div>
      <div className="min-w-0">
        <ol>
          {ranked.map((r, i) => (
            <RankedRow key={r.grade.name} ranked={r} place={i + 1} onGrade={onGrade} />
          ))}
        </ol>
        {refused.length > 0 && (
          <section className="mt-4">
            <h2 className="text-[15px]">Not in this shop</h2>
            <ul>
              {refused.map(({ grade, why }) => (
                <li key={grade.name} className="border-t border-rule py-1.5 text-[13px]">
                  <strong>{grade.name}</strong> <span className="text-ink-2">{refusalWords(why, say)}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </div>
  )
}

function RankedRow({ ranked, place, onGrade }: { ranked: RankedGrade; place: number; onGrade: Props['onGrade'] }) {
  const shop = useShopNow()
  const { grade, route, hrc, why, target } = ranked
  const plan = async () => {
    const batch = newBatch(
      { batch: newId(), group: newId() },
      `${grade.name} batch`,
      grade,
      shop,
      new Date().toISOString(),
    )
    const [group] = batch.groups
    if (group && (await addBatch({ ...batch, groups: [{ ...group, target, route }] })).saved)
      location.href = `/batch/${batch.id}/choose`
  }
  return (
    <li className="grid grid-cols-[34px_minmax(0,1fr)_auto] items-center gap-x-3 border-t border-rule py-2">
      <span className="figure text-[26px] text-ink-2">{place}</span>
      <div className="min-w-0">
        <button
          type="button"
          className="link min-h-6 text-left text-[15px] font-semibold"
          onClick={() => onGrade(grade.id)}
        >
          {grade.name}
        </button>{' '}
        <span className="text-[13px] text-ink-2">
          {formatBoth(route.austenitizeC, shop.units)}, {route.cold ? 'cold, ' : ''}temper twice at{' '}
          {formatBoth(route.tempers[0]?.atC ?? 0, shop.units)}: {hrc.mean.toFixed(1)} ± {(1.96 * hrc.sd).toFixed(1)} HRC
        </span>
        <p className="text-[13px]">{rankWords(why)}</p>
      </div>
      <button type="button" className={`btn ${place === 1 ? 'btn-ember' : ''}`} onClick={() => void plan()}>
        Plan a batch
      </button>
    </li>
  )
}
