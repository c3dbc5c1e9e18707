import type { Problem } from '../core/codes/problem'
import { problemWords } from '../words/problems'
import { useSay } from './Units'

/** Why something cannot be worked out or taken, in plain words. */
export function Problems({ of, className = 'py-6' }: { of: readonly Problem[]; className?: string }) {
  const say = useSay()
  return (
    <div role="alert" className={`${className} text-bad`}>
      {of.slice(0, 3).map(problem => (
        <p key={`${problem.code} ${problem.path}`}>{problemWords(problem, say)}</p>
      ))}
    </div>
  )
}
