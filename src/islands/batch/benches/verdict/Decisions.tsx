import type { Decision } from '../../../../core/shop/batch'
import { format } from '../../../../ui/dates'
import { useSay } from '../../../../ui/Units'
import { decisionWords } from '../../../../words/verdict'

/** Lists earlier decisions about a group, newest first, with their reasons. */
export function Decisions({ decisions }: { decisions: readonly Decision[] }) {
  const say = useSay()
  if (decisions.length === 0) return null
  return (
    <div className="mt-3 border-t border-rule pt-2">
      <h3 className="text-small">Decisions</h3>
      <ul className="text-small">
        {[...decisions]
          .reverse()
          .slice(0, 4)
          .map(decision => {
            const { what, why } = decisionWords(decision, say)
            return (
              <li key={decision.at} className="border-b border-rule py-1.5">
                <span className="text-ink-2">{format(decision.at)}</span> {what}{' '}
                <span className="text-ink-2">{why}</span>
              </li>
            )
          })}
      </ul>
    </div>
  )
}
