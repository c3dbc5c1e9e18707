import Plus from 'lucide-react/icons/plus'
import { Suspense, useState } from 'react'
import { fetchedAhead } from '../../ui/fetched-ahead'

/** A hand on its way to the button is followed by the dialog. */
const [NewBatchDialog, soon] = fetchedAhead(() => import('./NewBatchDialog'))

/** A batch begins with its steel and its blades; everything else has a suggested value. */
export function NewBatchButton() {
  // The finder leads here from any page.
  const [isOpen, setOpen] = useState(() => new URLSearchParams(location.search).has('new'))
  return (
    <>
      <button
        type="button"
        className="btn btn-ember"
        aria-haspopup="dialog"
        aria-expanded={isOpen}
        onPointerEnter={soon}
        onFocus={soon}
        onClick={() => setOpen(true)}
      >
        <Plus size={17} aria-hidden="true" /> New batch
      </button>
      {isOpen && (
        <Suspense fallback={null}>
          <NewBatchDialog onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  )
}
