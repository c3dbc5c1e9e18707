import { useMemo } from 'react'
import { routeWish } from '../../../../core/advice/shop-can'
import { GRADES } from '../../../../data/grades'
import { Problems } from '../../../../ui/Problems'
import { useSay } from '../../../../ui/Units'
import { othersWords, reachLimitWords, reachWords } from '../../../../words/reach'
import { useAnswer } from '../../../../workers/use-answer'
import { useBench } from '../../bench-context'

/** Shows the best that this steel comes to in this shop, what keeps it from the target, and which steels would reach it. */
export default function WhyNot() {
  const { shown, shop, learnt } = useBench()
  const say = useSay()
  const { group, grade, thicknessMm } = shown
  const request = useMemo(() => {
    const wish = routeWish(grade, shop, { target: group.target, thicknessMm })
    return { ...wish, grades: GRADES, can: { ...wish.can, oil: shop.oil }, learnt }
  }, [grade, shop, group.target, thicknessMm, learnt])
  const answer = useAnswer('reach', request)
  if (!answer) return <p className="text-small text-ink-2">Looking …</p>
  if (!answer.ok) return <Problems of={answer.problems} />
  const reach = answer.value
  return (
    <div className="text-small" role="status">
      <p>{reachWords(reach, grade.name, group.target)}</p>
      <ul className="list-disc pl-5">
        {reach.limits.map(limit => (
          <li key={limit.what}>{reachLimitWords(limit, say)}</li>
        ))}
      </ul>
      <p>{othersWords(reach)}</p>
    </div>
  )
}
