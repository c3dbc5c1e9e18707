import type { Problem } from '../core/codes/problem'
import { problemWords } from '../words/problems'
import { useSay } from './Units'

/** Shows why something cannot be computed or taken, in plain words; nothing where there is no problem. */
export function Problems({ of, className = 'py-6' }: { of: readonly Problem[]; className?: string }) {
  const say = useSay()
  if (of.length === 0) return null
  return (
    <div role="alert" className={`${className} text-bad`}>
      {of.slice(0, 3).map(problem => (
        <p key={`${problem.code} ${problem.path}`}>{problemWords(problem, say)}</p>
      ))}
    </div>
  )
}
