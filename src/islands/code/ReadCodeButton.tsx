import { lazy, Suspense, useState } from 'react'
import { SheetDialog } from '../SheetDialog'

const ReadCode = lazy(() => import('./ReadCode'))

/** Reads a recipe or a blade off another browser's screen. */
export function ReadCodeButton() {
  const [open, setOpen] = useState(false)
  return (
    <SheetDialog
      title="Read a code"
      open={open}
      onOpen={setOpen}
      trigger={
        <button type="button" className="btn">
          Read a code …
        </button>
      }
    >
      <Suspense fallback={<p className="my-3 text-ink-2">Opening …</p>}>{open && <ReadCode />}</Suspense>
    </SheetDialog>
  )
}
