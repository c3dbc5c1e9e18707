import { lazy, Suspense, useState } from 'react'

/** Asks which steel and how many blades: fetched when that is wished. */
const AddSteelDialog = lazy(() => import('./AddSteelDialog'))

/** A further steel in the batch. */
export function AddSteel() {
  const [open, setOpen] = useState(false)
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        Add a steel
      </button>
      <Suspense fallback={null}>{open && <AddSteelDialog onClose={() => setOpen(false)} />}</Suspense>
    </>
  )
}
