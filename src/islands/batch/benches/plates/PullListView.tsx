import { useMemo } from 'react'
import type { ExpectedPull } from '../../../../core/bench/batch-figures'
import type { ProgrammedLoad } from '../../../../core/bench/batch-model'
import { overSoakMin } from '../../../../core/equipment/soak-over'
import type { Workshop } from '../../../../core/shop/workshop'
import { saveShop } from '../../../../store/records'
import { SelectField } from '../../../../ui/PlainFields'
import { Problems } from '../../../../ui/Problems'
import { ScrollRegion } from '../../../../ui/ScrollRegion'
import { useSay } from '../../../../ui/Units'
import { clockText } from '../../../../words/clock-text'
import { WAITED_FOR } from '../../../../words/pull-plan'
import { hrcText } from '../../../../words/speaker'
import { useAnswer } from '../../../../workers/use-answer'
import { useBench } from '../../bench-context'
import { SoakTooLong } from '../SoakTooLong'

/** When each blade is pulled, to the second, what it soaks until then, and what would change it. */
export function PullListView() {
  const { load } = useBench()
  if (!load) return null
  if (!load.programme.ok && load.programme.problems.length > 0) return <Problems of={load.programme.problems} />
  if (!load.pulls) return <p className="py-6 text-ink-2">Working out the pull list …</p>
  return (
    <div>
      <PullTable load={load} pulls={load.pulls.pulls} />
      <SoakTooLong load={load} />
      <Changes load={load} totalS={load.pulls.totalS} restS={load.pulls.restS} />
      <SetsAndPeople />
    </div>
  )
}

function PullTable({ load, pulls }: { load: ProgrammedLoad; pulls: readonly ExpectedPull[] }) {
  const { shop } = useBench()
  const marks = new Map(load.blades.map(blade => [blade.id, blade.mark]))
  const [first] = pulls
  return (
    <>
      <p className="mb-1 text-small">
        First pull: {clockText(first?.pullAtS ?? 0)} min after the oven reaches austenitize temperature.
      </p>
      <ScrollRegion label="Pull list" className="max-h-[280px] overflow-y-auto">
        <table className="sheet">
          <caption className="sr-only">Pull list, minutes and seconds from the first pull</caption>
          <thead>
            <tr>
              <th>Pull, min from the first</th>
              <th>Blade</th>
              <th>Soak, min</th>
              <th>Finished, HRC</th>
              <th>Plate temperature</th>
              <th>Out of the plates, min</th>
              <th>Waiting for</th>
            </tr>
          </thead>
          <tbody>
            {pulls.map(pull => (
              <PullRow
                key={pull.bladeId}
                pull={pull}
                fromS={first?.pullAtS ?? 0}
                mark={marks.get(pull.bladeId) ?? ''}
                sets={shop.plates.sets ?? 1}
              />
            ))}
          </tbody>
        </table>
      </ScrollRegion>
    </>
  )
}

interface RowProps {
  readonly pull: ExpectedPull
  readonly fromS: number
  readonly mark: string
  readonly sets: number
}

function PullRow({ pull, fromS, mark, sets }: RowProps) {
  const { t } = useSay()
  const over = overSoakMin(pull)
  return (
    <tr>
      <td className="figure text-heading">{clockText(pull.pullAtS - fromS)}</td>
      <td className="font-semibold">{mark}</td>
      <td className={over > 0 ? 'font-semibold text-bad' : ''}>
        {Math.round(pull.soakMin)}
        {over > 0 ? `, most ${Math.round(pull.longestMin)}` : ''}
      </td>
      <td>{pull.hrc === null ? 'not known' : hrcText(pull.hrc)}</td>
      <td>{pull.set === 0 ? 'into oil' : `${sets > 1 ? `set ${pull.set}, ` : ''}${t(pull.plateStartC)}`}</td>
      <td>
        {clockText(pull.outAtS - fromS)}, at {t(pull.leavesC)}
      </td>
      <td className={pull.waitedFor === 'plates-hot' ? 'font-semibold text-ember' : 'text-ink-2'}>
        {pull.waitedFor === null ? 'first' : WAITED_FOR[pull.waitedFor]}
        {pull.restedS > 0 ? `, ${clockText(pull.restedS)} min` : ''}
      </td>
    </tr>
  )
}

/** How long the whole load takes, and what a helper, a second set or ice would change. */
function Changes({ load, totalS, restS }: { load: ProgrammedLoad; totalS: number; restS: number }) {
  const { batch, shop, loads } = useBench()
  const loadIndex = loads.indexOf(load)
  const request = useMemo(() => ({ batch, shop, loadIndex }), [batch, shop, loadIndex])
  const answer = useAnswer('pull-list', request)
  const total = (change: 'helper' | 'second-set' | 'ice') => {
    const found = answer?.ok ? answer.value.changed.find(one => one.change === change) : undefined
    return found ? `${clockText(found.totalS)} min` : '…'
  }
  return (
    <p className="mt-2 text-small">
      From the first pull until the last blade is out of the plates: <strong>{clockText(totalS)} min</strong>
      {restS > 0 ? `, of which the plates rest ${clockText(restS)} min` : ''}. With a helper {total('helper')}, with a
      second set of plates {total('second-set')}, with the plates on ice between blades {total('ice')}.
    </p>
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
