import Icon from 'lucide-react/icons/qr-code'
import { lazy, Suspense, useState } from 'react'
import type { Carried } from '../../core/files/code'

/** Few carry a thing so: what packs, draws and shows it is fetched when it is wished. */
const CodeDialog = lazy(() => import('./CodeDialog'))

/** Shows a recipe or a blade as a code, for another browser to read off the screen. */
export function CodeButton({ of, name }: { of: () => Promise<Carried | null>; name: string }) {
  const [carried, setCarried] = useState<Carried | null>(null)
  return (
    <>
      <button type="button" className="btn" onClick={() => void of().then(setCarried)}>
        <Icon size={17} aria-hidden="true" /> As a code
      </button>
      <Suspense fallback={null}>
        {carried && <CodeDialog carried={carried} name={name} onClose={() => setCarried(null)} />}
      </Suspense>
    </>
  )
}
