import { useMemo } from 'react'
import type { Pull, Waited } from '../../../../core/quench/pace'
import type { Workshop } from '../../../../core/shop/workshop'
import { saveShop } from '../../../../store/records'
import { SelectField } from '../../../../ui/PlainFields'
import { Problems } from '../../../../ui/Problems'
import { useSay } from '../../../../ui/Units'
import { useAnswer } from '../../../../workers/use-answer'
import { useBench } from '../../bench-context'

const WAITED: Readonly<Record<Waited, string>> = {
  door: 'the oven back at heat',
  hands: 'your hands',
  'plates-full': 'plates empty',
  'plates-hot': 'plates to cool',
}

const clock = (s: number) => `${Math.floor(s / 60)}:${String(Math.round(s % 60)).padStart(2, '0')}`

/** When each blade may be pulled, to the second, and what a second set, a helper or ice would change. */
export function PullListView() {
  const { batch, shop, load, loads } = useBench()
  const loadIndex = load ? loads.indexOf(load) : -1
  const request = useMemo(() => (loadIndex < 0 ? null : { batch, shop, loadIndex }), [batch, shop, loadIndex])
  const answer = useAnswer('pull-list', request)
  if (!load) return null
  if (!answer) return <p className="py-6 text-ink-2">Trying the plates …</p>
  if (!answer.ok) return <Problems of={answer.problems} />
  const marks = new Map(load.blades.map(blade => [blade.id, blade.mark]))
  const { as, sets, changed } = answer.value
  const { pulls, totalS, restS } = as
  const total = (change: (typeof changed)[number]['change']) =>
    clock(changed.find(one => one.change === change)?.totalS ?? totalS)
  return (
    <div>
      <div className="max-h-[300px] overflow-y-auto">
        <table className="sheet">
          <caption className="sr-only">Pull list, minutes and seconds from the first pull</caption>
          <thead>
            <tr>
              <th>Pull at</th>
              <th>Blade</th>
              <th>Plates</th>
              <th>Out at</th>
              <th>Leaves at</th>
              <th>It waited for</th>
            </tr>
          </thead>
          <tbody>
            {pulls.map(pull => (
              <PullRow key={pull.id} pull={pull} mark={marks.get(pull.id) ?? ''} sets={sets} />
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 text-small">
        All {pulls.length} in <strong>{clock(totalS)}</strong> min
        {restS > 0 ? `, of it ${clock(restS)} of rest for the plates` : ''}. A helper: {total('helper')}. A second set:{' '}
        {total('second-set')}. Plates onto ice between: {total('ice')}. Heaviest first: {total('heaviest-first')}, where
        the soaks allow it.
      </p>
      <p className="text-note text-ink-2">
        The last blades soak on while the others are quenched: keep {clock(totalS)} within what their soak allows.
      </p>
      <SetsAndPeople />
    </div>
  )
}

function PullRow({ pull, mark, sets }: { pull: Pull; mark: string; sets: number }) {
  const { t } = useSay()
  return (
    <tr>
      <td className="figure text-heading">{clock(pull.pullAtS)}</td>
      <td className="font-semibold">{mark}</td>
      <td>
        {sets > 1 ? `set ${pull.set}, ` : ''}
        {t(pull.plateStartC)}
      </td>
      <td>{clock(pull.outAtS)}</td>
      <td>{t(pull.leavesC)}</td>
      <td className={pull.waitedFor === 'plates-hot' ? 'font-semibold text-ember' : 'text-ink-2'}>
        {pull.waitedFor === null ? '—' : WAITED[pull.waitedFor]}
        {pull.restedS > 0 ? `, ${clock(pull.restedS)}` : ''}
      </td>
    </tr>
  )
}

function SetsAndPeople() {
  const { shop } = useBench()
  const set = (part: Partial<Workshop['plates']>) => saveShop(s => ({ ...s, plates: { ...s.plates, ...part } }))
  return (
    <div className="mt-3 grid max-w-md grid-cols-2 gap-3">
      <SelectField
        label="Sets of plates"
        value={String(shop.plates.sets ?? 1)}
        options={[
          ['1', 'one'],
          ['2', 'two'],
        ]}
        onCommit={n => set({ sets: n === '2' ? 2 : 1 })}
      />
      <SelectField
        label="At the quench"
        value={String(shop.plates.people ?? 1)}
        options={[
          ['1', 'alone'],
          ['2', 'with a helper'],
        ]}
        onCommit={n => set({ people: n === '2' ? 2 : 1 })}
      />
    </div>
  )
}
