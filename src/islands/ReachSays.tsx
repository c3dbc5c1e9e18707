import { useMemo } from 'react'
import { routeWish } from '../core/advice/shop-can'
import type { Learnt } from '../core/learn/shop-memory'
import type { TargetHrc } from '../core/rockwell/target'
import { GRADES, type Grade } from '../data/grades'
import { Problems } from '../ui/Problems'
import { useSay } from '../ui/Units'
import { reachSentences } from '../words/reach'
import { useAnswer } from '../workers/use-answer'
import { useShopNow } from './shop-context'

interface Props {
  readonly grade: Grade
  readonly target: TargetHrc
  readonly thicknessMm?: number | undefined
  readonly learnt: Learnt | null
}

/** Shows the best that a steel comes to in this shop, what keeps it from a target, and which steels would reach it. */
export function ReachSays({ grade, target, thicknessMm, learnt }: Props) {
  const shop = useShopNow()
  const say = useSay()
  const request = useMemo(() => {
    const wish = routeWish(grade, shop, { target, ...(thicknessMm === undefined ? {} : { thicknessMm }) })
    return { ...wish, grades: GRADES, can: { ...wish.can, oil: shop.oil }, learnt }
  }, [grade, shop, target, thicknessMm, learnt])
  const answer = useAnswer('reach', request)
  if (!answer) return <p className="text-small text-ink-2">Looking …</p>
  if (!answer.ok) return <Problems of={answer.problems} />
  return (
    <div className="space-y-1 text-small" role="status">
      {reachSentences(answer.value, grade.name, say).map(sentence => (
        <p key={sentence}>{sentence}</p>
      ))}
    </div>
  )
}
