import { createPortal } from 'react-dom'

/** Says on every page that the workshop is made up, with the way to one's own: at the foot of the rail, on a phone under the page. */
export function DemoNote() {
  const rail = document.getElementById('rail-foot')
  const says = (
    <>
      Made-up workshop.{' '}
      <a className="inline-flex min-h-touch items-center underline underline-offset-2" href="/start">
        Start your own
      </a>
    </>
  )
  return (
    <>
      {rail && createPortal(<p className="text-rail text-bone-2">{says}</p>, rail)}
      <p className={`no-print bg-soot-2 px-4 text-note text-bone-2 ${rail ? 'md:hidden' : ''}`}>{says}</p>
    </>
  )
}
