import { ReachSays } from '../../../ReachSays'
import { useBench } from '../../bench-context'

/** Shows why the shown group's steel does not reach its target here. */
export default function WhyNot() {
  const { shown, learnt } = useBench()
  const { group, grade, thicknessMm } = shown
  return <ReachSays grade={grade} target={group.target} thicknessMm={thicknessMm} learnt={learnt} />
}
