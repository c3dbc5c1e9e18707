import type { RoutePart } from '../../../core/shop/route'
import { useSay } from '../../../ui/Units'
import { routePartText } from '../../../words/route-part'
import { useBench } from '../bench-context'
import { suggestFor } from '../suggest-for'

/**
 * Whose a part of the route is: suggested, and following the blades; or the maker's own, with what would now be suggested and the
 * way to take it. Nothing once the blades are hardened: then it stays as it was.
 */
export function RouteMark({ part }: { part: RoutePart }) {
  const say = useSay()
  const { batch, shown, begun } = useBench()
  const { group, suggested } = shown
  if (begun) return null
  if (!group.fixed.includes(part)) return <>Suggested</>
  const text = routePartText(part, suggested, say)
  if (text === routePartText(part, group.route, say)) return <>Set by you, as suggested</>
  return (
    <>
      Set by you. Suggested: {text}.{' '}
      <button type="button" className="link min-h-9 text-left" onClick={() => void suggestFor(batch, group.id, [part])}>
        Use the suggested value
      </button>
    </>
  )
}
