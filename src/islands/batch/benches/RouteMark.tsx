import type { ReactNode } from 'react'
import { isOutOf } from '../../../core/rockwell/target'
import type { RoutePart } from '../../../core/shop/route-parts'
import { useSay } from '../../../ui/Units'
import { routePartText } from '../../../words/route-part'
import { useBench } from '../bench-context'
import { suggestFor } from '../suggest-for'

/** Whose a part of a route is, and the way back to what is suggested where that is something else. */
interface RouteMark {
  readonly mark: string | undefined
  readonly hint: ReactNode
}

/**
 * Whose the parts of the shown steel's route are: suggested, and following the blades; or the maker's own, with what would now be
 * suggested and the way to take it. Nothing is marked once the blades are hardened: then the route stays as it was.
 */
export function useRouteMarks(): (part: RoutePart) => RouteMark {
  const say = useSay()
  const { batch, shown, begun } = useBench()
  const { group, suggested } = shown
  // What misses its target is never called suggested for it: it is the nearest that this steel comes.
  const follows = isOutOf(group.target, shown.prediction.finalHrc.mean) ? 'nearest it comes' : 'suggested'
  return part => {
    if (begun) return { mark: undefined, hint: undefined }
    if (!group.fixed.includes(part)) return { mark: follows, hint: undefined }
    const text = routePartText(part, suggested, say)
    const take = () => void suggestFor(batch, group.id, [part])
    return {
      mark: 'set by you',
      hint: text !== routePartText(part, group.route, say) && (
        <button type="button" className="link min-h-touch text-left" onClick={take}>
          Use the suggested {text}
        </button>
      ),
    }
  }
}
