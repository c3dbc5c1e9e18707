import { QrCode as Icon } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import type { Carried } from '../../core/files/code'
import { SheetDialog } from '../SheetDialog'

/** Few carry a thing so: what packs and draws it is fetched when it is wished. */
const ShownCode = lazy(() => import('./ShownCode'))

/** Shows a recipe or a blade as a code, for another browser to read off the screen. */
export function CodeButton({ of, name }: { of: () => Promise<Carried | null>; name: string }) {
  const [carried, setCarried] = useState<Carried | null>(null)
  return (
    <>
      <button type="button" className="btn" onClick={() => void of().then(setCarried)}>
        <Icon size={17} aria-hidden="true" /> As a code
      </button>
      <SheetDialog title={name} open={carried !== null} onOpen={open => !open && setCarried(null)}>
        <Suspense fallback={<p className="my-3 text-ink-2">Opening …</p>}>
          {carried && <ShownCode carried={carried} name={name} />}
        </Suspense>
      </SheetDialog>
    </>
  )
}
