import { useEffect } from 'react'
import { createPortal } from 'react-dom'
import { startSharing } from '../../sharing/link'
import { onlyShows } from '../../store/shared-role'
import { clock } from '../../ui/dates'
import { standingWords, troubleWords } from '../../words/sharing'
import { FollowRun } from './FollowRun'
import { useSharing } from './use-sharing'

/** Keeps this screen in step with the others of its workshop, and says how it stands: at the foot of the rail, on a phone under the page. */
export default function SharedMark() {
  useEffect(startSharing, [])
  const now = useSharing()
  const rail = document.getElementById('rail-foot')
  const trouble = troubleWords(now)
  const says = (
    <a className="inline-flex min-h-touch items-center underline underline-offset-2" href="/workshop#screens">
      {standingWords(now, now.awaySince ? clock(new Date(now.awaySince)) : '')}
    </a>
  )
  return (
    <>
      {onlyShows() && <FollowRun />}
      {rail && createPortal(<p className="text-rail text-bone-2">{says}</p>, rail)}
      <p className={`no-print bg-soot-2 px-4 text-note text-bone-2 ${rail ? 'md:hidden' : ''}`}>{says}</p>
      {trouble && (
        <p role="alert" className="no-print border-t-2 border-bad bg-ember-wash px-4 py-3">
          {trouble}
        </p>
      )}
    </>
  )
}
