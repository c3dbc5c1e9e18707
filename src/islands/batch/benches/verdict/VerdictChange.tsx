import { useMemo } from 'react'
import { routeUpTo } from '../../../../core/batch/hardness-stages'
import type { Request } from '../../../../core/contract/questions'
import { beforeLatest } from '../../../../core/hardness/before-latest'
import { stageReadingOf } from '../../../../core/hardness/stage-reading'
import { useSay } from '../../../../ui/Units'
import { verdictChangeWords } from '../../../../words/verdict'
import { useExactAnswer } from '../../../../workers/use-answer'
import { useBench } from '../../bench-context'
import type { Option } from './take-option'

/** Says what the readings entered last changed: what came first before them, where that is another thing than now. */
export function VerdictChange({ now, asked }: { now: Option; asked: Request<'advise'> }) {
  const { batch, shop, shown, blades, readings } = useBench()
  const say = useSay()
  const { group } = shown
  const parted = useMemo(
    () => beforeLatest(readings, new Set(blades.filter(b => b.group.id === group.id).map(b => b.id))),
    [readings, blades, group.id],
  )
  const { tester, learning } = shop
  const lately = useExactAnswer(
    'lately',
    useMemo(
      () => (parted ? { batches: [batch], readings: parted.before, tester, learning: learning !== false } : null),
      [batch, tester, learning, parted],
    ),
  )
  const was = lately?.ok ? lately.value[0]?.groups.find(({ groupId }) => groupId === group.id)?.latest : undefined
  const advice = useExactAnswer(
    'advise',
    useMemo(
      () =>
        was?.by === 'readings'
          ? { ...asked, route: routeUpTo(group.route, was.stage), reading: stageReadingOf(was) }
          : null,
      [asked, group.route, was],
    ),
  )
  const before = advice?.ok ? advice.value.options[0] : undefined
  if (!parted || !was || !before) return null
  const words = verdictChangeWords(
    {
      marks: blades.filter(({ id }) => parted.latest[0]?.bladeId === id).map(({ mark }) => mark),
      hrcs: parted.latest.map(({ hrc }) => hrc),
      wasHrc: was.hrc,
      before,
      now,
    },
    say,
  )
  return words && <p className="mt-2 border-l-3 border-ember pl-3 text-small">{words}</p>
}
